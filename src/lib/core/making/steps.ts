import { formatQuantity, type UnitSystem } from '../units';
import type { MakingPlan } from './plan';
import { shell } from './shellSteps';
import { check, type MakingStep, type Show } from './step';

/** Stirring a rubber by hand, s (common practice, no source). */
const STIR_S = 180;

/** The steps of making a mould, in the order of the work. */
export function makingSteps(plan: MakingPlan, units: UnitSystem = 'metric'): MakingStep[] {
	const show: Show = (value, kind) => formatQuantity(value, kind, units);
	const begin = [fix(plan), ...boxing(plan), ...sealing(plan), ...release(plan, '', plan.masterName)];
	switch (plan.kind) {
		case 'rigid':
			return [...rigid(plan), ...end(plan, show)];
		case 'press':
			return [...begin, ...press(plan, show), ...end(plan, show)];
		case 'jacket':
			return [
				...begin,
				...plan.pours.flatMap((_, i) => pourSteps(plan, i, show)),
				...shell(plan, show),
				...end(plan, show)
			];
		default:
			return [
				...begin,
				...plan.pours.flatMap((_, i) => [
					...(i > 0 ? [...turnOver(plan), ...release(plan, '-joint', 'the rubber of the first half')] : []),
					...pourSteps(plan, i, show)
				]),
				...end(plan, show)
			];
	}
}

function fix(plan: MakingPlan): MakingStep {
	if (plan.kind === 'two-part' || plan.kind === 'press')
		return check(
			'fix',
			'Bed the master in clay',
			'Sulphur-free clay up to the parting line, square against the master without a gap. Press the keys in. Lay the sprue in clay.',
			'It is bedded'
		);
	const cut =
		plan.kind === 'one-piece'
			? ` Write its outline and the cut line (${plan.seamSide}) on the base board: the master is out of sight afterwards.`
			: '';
	return check(
		'fix',
		'Fix the master down',
		`Clay under its rim, hot glue at the foot: it floats otherwise.${cut}`,
		'It is fixed',
		['hot-glue']
	);
}

function boxing(plan: MakingPlan): MakingStep[] {
	if (plan.kind === 'jacket') return [];
	const walls = { box: 'the boards', tube: 'the tube', bricks: 'the bricks' }[plan.shape];
	return [
		check(
			'box',
			'Raise the walls, seal every joint',
			`Stand ${walls} up and run hot glue or clay along every joint, inside corners too: rubber finds each gap, and a leak empties the box overnight. Stand it level.`,
			'Nothing can leak',
			['hot-glue']
		)
	];
}

function sealing(plan: MakingPlan): MakingStep[] {
	if (plan.sealing === 'none') return [];
	return [
		check(
			'seal',
			`Seal the master: ${plan.sealing}`,
			'Two thin coats rather than one thick; let it dry through. An open face locks rubber in its pores.',
			'It is sealed and dry',
			['solvent']
		)
	];
}

function release(plan: MakingPlan, suffix: string, on: string): MakingStep[] {
	const r = plan.release;
	if (!r) return [];
	const coat = check(
		`release${suffix}`,
		`Release: ${r.name}`,
		`On ${on}, thin and even, into the corners without pooling.`,
		'It is coated',
		r.powder ? ['powder'] : ['solvent']
	);
	if (!(r.flashOffS > 0)) return [coat];
	return [
		coat,
		{
			id: `flash-off${suffix}`,
			kind: 'wait',
			title: 'Let it flash off',
			detail: 'A wet release leaves pinholes in the rubber.',
			action: 'It is dry',
			waitS: r.flashOffS,
			then: 'release is dry',
			cautions: []
		}
	];
}

function turnOver(plan: MakingPlan): MakingStep[] {
	return [
		check(
			'turn',
			'Turn it over, take the clay out',
			`Leave ${plan.masterName} in the first half. Clean every trace of clay from it and from the keys; raise and seal the walls again.`,
			'It is clean and boxed'
		),
		...(plan.release
			? []
			: [
					check(
						'separate',
						'Separate the halves',
						'Rubber sticks to rubber of its own kind: release on the joint, or the halves are one.',
						'The joint is coated'
					)
				])
	];
}

/** Which cup is mixed when one pour takes several: told, never guessed. */
const mixesWords = (mixes: number, show: Show, massG: number) =>
	mixes > 1 ? ` In ${mixes} mixes of ${show(massG / mixes, 'mass')} each, one after another.` : '';

function pourSteps(plan: MakingPlan, i: number, show: Show): MakingStep[] {
	const p = plan.pours[i]!;
	const id = (name: string) => `${name}-${i}`;
	const coat = plan.kind === 'jacket';
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

function vacuumSteps(plan: MakingPlan, i: number, show: Show): MakingStep[] {
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

function press(plan: MakingPlan, show: Show): MakingStep[] {
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

function rigid(plan: MakingPlan): MakingStep[] {
	return [
		check(
			'clean',
			'Look it over',
			'No stringing, dust or old resin; try the parts together dry: no rocking, no step.',
			'The parts meet'
		),
		check(
			'vents',
			'Drill sprue and vents',
			'Vents at the places noted on the master; deburr inside.',
			'They are open',
			['knife']
		),
		...release(plan, '', 'every face of the mould'),
		check(
			'close',
			'Putty in the parting line, bands round it',
			'A thin bead outside the cavity, bands evenly.',
			'It is closed'
		)
	];
}

function end(plan: MakingPlan, show: Show): MakingStep[] {
	const open: Record<MakingPlan['kind'], [string, string]> = {
		'open-face': ['Take the master out', 'Boards off, bend the rubber away from its edges first.'],
		'one-piece': [
			'Cut the seam, take the master out',
			`A wavy cut on its ${plan.seamSide}, never a sharp corner; leave the hinge uncut. A relief cut beside thin limbs.`
		],
		'two-part': [
			'Part the halves, take the master out',
			'Along the joint, keys last. Cut sprue and vents with a sharp tube.'
		],
		jacket: [
			'Undo the shell, take the skin off',
			'Shell off part by part; peel the skin like a glove, dust it with talc.'
		],
		press: ['Part the halves, take the master out', 'Cut sprue and vents with a warm blade.'],
		rigid: ['', '']
	};
	const [title, detail] = open[plan.kind];
	return [
		...(title ? [check('open', title, detail, 'The master is out', ['knife'])] : []),
		{
			id: 'inspect',
			kind: 'inspect',
			title: 'Look the mould over',
			detail: `Fill it with water and weigh what it takes: ${show(plan.masterVolumeMl, 'volume')}${plan.cavities > 1 ? ` in each of ${plan.cavities} cavities` : ''} is what the master has. Then dry it for a day.`,
			action: 'It goes on the shelf',
			cautions: []
		}
	];
}
