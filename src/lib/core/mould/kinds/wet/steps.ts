import { opened } from '../../steps/finish';
import type { MakingPlan } from '../../steps/plan';
import { fixDown, prepared } from '../../steps/prepare';
import { check, type MakingStep, type ShowQuantity } from '../../steps/step';

/** Everything stands ready, then minutes: powder and water, pour, set, open, cast. */
export function wetSteps(plan: MakingPlan, show: ShowQuantity): MakingStep[] {
	const wet = plan.wet!;
	const [pour] = plan.pours;
	return [
		...prepared(plan, fixDown()),
		check(
			'cast-ready',
			`Have the ${wet.cast} ready`,
			`It is cast within ${show(wet.usableS, 'time')}: what goes in stands ready before the mould is mixed.`,
			'It stands ready',
			wet.cast === 'wax' ? ['scald'] : ['powder']
		),
		{
			id: 'measure-0',
			kind: 'measure',
			title: 'Weigh powder and water',
			detail: `Water of ${show(wet.waterTempC, 'temperature')}: warmer sets sooner. Loosen the powder in its tin first; apart until it begins.`,
			action: 'Both are weighed',
			amounts: [
				{ label: 'powder', massG: pour?.aG ?? 0 },
				{ label: 'water', massG: pour?.bG ?? 0 }
			],
			cautions: ['powder']
		},
		{
			id: 'combine-0',
			kind: 'combine',
			title: 'Powder into the water',
			detail: 'All at once. The working time begins here.',
			action: 'Combined: start the clock',
			pour: 0,
			cautions: ['powder']
		},
		{
			id: 'mix-0',
			kind: 'timed',
			title: 'Stir hard',
			detail: 'About a minute, against the wall of the bowl, until no lump is left.',
			action: 'It is smooth',
			pour: 0,
			cautions: []
		},
		{
			id: 'place-0',
			kind: 'timed',
			title: 'Pour at the lowest point',
			detail: 'Beside the master, never on it; let it rise round it. Knock the box to free the air.',
			action: 'It is poured',
			pour: 0,
			places: true,
			cautions: []
		},
		{
			id: 'cure-0',
			kind: 'wait',
			title: 'Let it set',
			detail: 'It no longer takes a fingerprint. Leave it a minute more: it gets stronger.',
			action: 'It has set',
			waitS: pour?.setS ?? wet.setS,
			then: 'it has set',
			cautions: []
		},
		opened(
			'Take the master out, cast at once',
			`Ease it out in one pull. ${wet.cast === 'wax' ? 'Wax as cool as it still pours' : 'Shake out every drop, then plaster from one side'}: within ${show(wet.usableS, 'time')}, under a damp cloth until then.`
		),
		{
			id: 'inspect',
			kind: 'inspect',
			title: 'Look into it, and cast',
			// filled with water and dried like a rubber it would be spoilt
			detail: `No tears, nothing of the master left in it; shake out what stands in it. Then the ${wet.cast}: ${plan.masterVolumeMl === undefined ? 'up to the brim' : show(plan.masterVolumeMl, 'volume')}, now.`,
			action: 'It is cast',
			cautions: wet.cast === 'wax' ? ['scald'] : ['powder']
		}
	];
}
