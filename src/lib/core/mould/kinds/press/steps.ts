import { lookedOver, opened } from '../../steps/finish';
import type { MakingPlan } from '../../steps/plan';
import { bedInClay, prepared } from '../../steps/prepare';
import { check, type MakingStep, type ShowQuantity } from '../../steps/step';

/** Each half softened, pressed on and cooled. */
export function pressSteps(plan: MakingPlan, show: ShowQuantity): MakingStep[] {
	return [
		...prepared(plan, bedInClay()),
		...pressed(plan, show),
		opened('Part the halves, take the master out', 'Cut sprue and vents with a warm blade.'),
		lookedOver(plan, show)
	];
}

function pressed(plan: MakingPlan, show: ShowQuantity): MakingStep[] {
	const soft = plan.soften!;
	return plan.pours.flatMap((p, i): MakingStep[] => [
		...(i === 0
			? []
			: [
					check(
						'turn',
						'Turn it over, take the clay out',
						'The first half must be cold: hot, the two bond. Chill only to release the clay. A separator on the joint is the careful way.',
						'It is clean, cold and separated'
					)
				]),
		{
			id: `soften-${i}`,
			kind: 'wait',
			title: `${p.name}: soften ${show(p.massG, 'mass')}`,
			detail: `In near-boiling water, at ${show(soft.tempC, 'temperature')} or above, until it is clear and soft right through. Dry it.`,
			action: 'It is soft',
			waitS: soft.softenS,
			then: 'press it on',
			amounts: [{ label: plan.materialName, massG: p.massG }],
			cautions: ['scald']
		},
		{
			id: `place-${i}`,
			kind: 'timed',
			title: 'Press it home',
			detail: 'From the middle outwards into every corner of the box, a board on top, hard and even.',
			action: 'It is pressed',
			places: true,
			cautions: ['scald']
		},
		{
			id: `cure-${i}`,
			kind: 'wait',
			title: 'Let it cool at room temperature',
			detail: 'Chilling shrinks it. Leave it alone.',
			action: 'It is cold',
			waitS: p.setS - soft.softenS,
			then: 'it is cold',
			cautions: []
		}
	]);
}
