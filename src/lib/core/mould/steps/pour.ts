import type { MakingPlan } from './plan';
import { check, type MakingStep, type ShowQuantity } from './step';

/** Stirring a rubber by hand, s (common practice, no source). */
const STIR_S = 180;

/** Which cup is mixed when one pour takes several: told, never guessed. */
const mixesWords = (mixes: number, show: ShowQuantity, massG: number) =>
	mixes > 1 ? ` In ${mixes} mixes of ${show(massG / mixes, 'mass')} each, one after another.` : '';

/** One pour of rubber: weighed, combined, mixed, placed, cured. @param coat it is brushed on */
export function pourSteps(plan: MakingPlan, i: number, show: ShowQuantity, coat = false): MakingStep[] {
	const p = plan.pours[i]!;
	const id = (name: string) => `${name}-${i}`;
	const name = plan.pours.length > 1 ? `${p.name}: ` : '';
	const steps: MakingStep[] = [
		{
			id: id('measure'),
			kind: 'measure',
			title: `${name}weigh A and B`,
			detail: `${plan.materialName}, each stirred in its own tin first.${p.thickenerG ? ' The thickener goes into B first, by weight.' : ''}${mixesWords(p.mixes, show, p.massG)}`,
			action: 'Both are weighed',
			amounts: [
				{ label: 'A', massG: p.aG ?? 0 },
				...(p.thickenerG ? [{ label: 'thickener into B', massG: p.thickenerG }] : []),
				{ label: 'B', massG: p.bG ?? 0 }
			],
			cautions: p.thickenerG ? ['silicone', 'powder'] : ['silicone']
		},
		{
			id: id('combine'),
			kind: 'combine',
			title: 'Combine A and B',
			detail: 'The working time begins here.',
			action: 'Combined: start the clock',
			pour: i,
			cautions: ['silicone']
		},
		{
			id: id('mix'),
			kind: 'timed',
			title: 'Mix',
			detail: `About ${show(STIR_S, 'time')} with a straight-edged stick, scraping sides and floor; then into a second cup.`,
			action: 'It is mixed',
			pour: i,
			cautions: ['silicone']
		}
	];
	if (plan.degas === 'vacuum' && plan.vacuum && !coat) steps.push(...vacuumSteps(plan, i, show));
	steps.push({
		id: id('place'),
		kind: 'timed',
		title: coat ? `Brush on: ${p.name.toLowerCase()}` : 'Pour at the lowest point',
		detail: coat
			? i === 0
				? 'Thin and into every detail, bubbles brushed out; no thickener here.'
				: 'Spread it straight after mixing: what waits in bulk heats itself. More at rims and undercuts.'
			: 'A thin high stream beside the master, never on it; let it rise round it. Tap the box. Keep the cup with a stick in it as a witness.',
		action: coat ? 'It is on' : 'It is poured',
		pour: i,
		places: true,
		cautions: []
	});
	if (plan.degas === 'pressure' && !coat)
		steps.push(
			check(
				id('pot'),
				'Into the pot, under pressure',
				'Clamp the lid, pump up slowly, hold until it is cured: what cures under pressure may go back in the pot.',
				'At pressure',
				['pressure']
			)
		);
	steps.push({
		id: id('cure'),
		kind: 'wait',
		title: coat && i < plan.pours.length - 1 ? 'Wait until it has gelled' : 'Let it cure',
		detail:
			coat && i < plan.pours.length - 1
				? 'The next coat goes on as soon as this one no longer comes off on a finger.'
				: plan.cureKind === 'condensation'
					? 'Heat does not hurry a tin cure. When the stick peels clean out of the witness cup, it is ready.'
					: 'Warmth hurries a platinum cure. When the stick peels clean out of the witness cup, it is ready.',
		action: coat && i < plan.pours.length - 1 ? 'It has gelled' : 'The witness cup is cured',
		waitS: p.setS,
		then: coat && i < plan.pours.length - 1 ? 'next coat' : 'try the witness cup',
		cautions: []
	});
	return steps;
}

function vacuumSteps(plan: MakingPlan, i: number, show: ShowQuantity): MakingStep[] {
	const v = plan.vacuum!;
	return [
		{
			id: `vacuum-${i}`,
			kind: 'timed',
			title: 'Vacuum: rise and collapse',
			detail: `About ${show(v.pumpDownS, 'time')} to pump down. It rises to ${show(v.risenMl, 'volume')} in a vessel of ${show(v.vesselMl, 'volume')}: let a little air in when it nears the rim. Three minutes more after it collapses.`,
			action: 'It has collapsed and rested',
			pour: i,
			cautions: ['vacuum']
		},
		{
			id: `let-in-${i}`,
			kind: 'timed',
			title: 'Let the air in, then stop the pump',
			detail: 'In this order: a pump that stops first sucks its oil back.',
			action: 'Air is in, pump is off',
			pour: i,
			cautions: ['vacuum']
		}
	];
}
