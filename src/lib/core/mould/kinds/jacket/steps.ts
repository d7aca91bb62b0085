import { cup, type CureRecord } from '../../../cure';
import { PRINTED_BANDS } from './jacket';
import type { ShellRecipe } from './shellRecipe';
import { lookedOver, opened } from '../../steps/finish';
import type { MakingPlan } from '../../steps/plan';
import { pourSteps } from '../../steps/pour';
import { fixDown, prepared } from '../../steps/prepare';
import { check, type MakingStep, type ShowQuantity } from '../../steps/step';

/** Coats of rubber, then the shell in its parts. */
export function jacketSteps(plan: MakingPlan, show: ShowQuantity): MakingStep[] {
	if (plan.shell!.kind === 'printed') return inSupport(plan, show);
	return [
		...prepared(plan, fixDown(), false),
		...plan.pours.flatMap((_, i) => pourSteps(plan, i, show, true)),
		...shell(plan, show),
		opened(
			'Undo the shell, take the skin off',
			'Shell off part by part; peel the skin like a glove, dust it with talc.'
		),
		lookedOver(plan, show)
	];
}

/** A printed support: it stands round the master, and the rubber is poured into the gap through its hole. */
const inSupport = (plan: MakingPlan, show: ShowQuantity): MakingStep[] => [
	...prepared(plan, fixDown(), false),
	check(
		'support',
		'Close the support round the master',
		`A fresh print inhibits some rubbers: washed, cured through and sealed, a trial patch first. Wax inside, the cover on, ${PRINTED_BANDS} bands round it, clay in the joint; the hole on top, its vents open.`,
		'It is closed, and nothing can leak'
	),
	...plan.pours.flatMap((_, i) => pourSteps(plan, i, show)),
	opened(
		'Take the support off, and the skin',
		`The ${PRINTED_BANDS} bands off, the parts one after another; peel the skin like a glove, dust it with talc.`
	),
	lookedOver(plan, show)
];

/** A laying resin as they usually are, where the shell's own is not on record (a default of ours). */
const LAYING_RESIN: CureRecord = { potLifeS: 900, demouldS: 10_800, character: 'quick' };

/** When a pot of all of it would run away. */
function standing(massG: number, show: ShowQuantity): string {
	if (!(massG >= 1)) return '';
	const { peakTempC, peakTimeS } = cup({ resin: LAYING_RESIN, massG, startTempC: 21, roomTempC: 21 });
	return ` All of it left standing in one pot would be about ${show(peakTempC, 'temperature')} after ${show(peakTimeS, 'time')}, of a usual resin of ${show(LAYING_RESIN.potLifeS!, 'time')}.`;
}

/** One portion as it is weighed, how many, how long each has, and what one would come to that is left in its pot. */
function portions(
	{ portions: n, portion: p, resinName, thickenerName }: ShellRecipe,
	show: ShowQuantity
): string {
	const parts = [
		`${show(p.bG, 'mass')} of B`,
		...(thickenerName && p.thickenerG > 0
			? [`${show(p.thickenerG, 'mass')} of ${thickenerName} into it`]
			: []),
		`${show(p.aG, 'mass')} of A last`
	];
	const of =
		p.catalystG === undefined
			? parts
			: [`${show(p.aG, 'mass')} of resin`, ...parts.slice(1, -1), `${show(p.catalystG, 'mass')} of catalyst`];
	return `${n === 1 ? 'One mix' : `${n} portions, one after another`} of ${resinName}, each: ${of.join(', ')}. All of it out of the pot at once and spread, about ${show(p.spreadS, 'time')} of work; in the pot it has ${show(p.potLifeS, 'time')}${p.peakTempC > 60 ? `, and what is left there comes to about ${show(p.peakTempC, 'temperature')} after ${show(p.peakTimeS, 'time')}` : ''}.`;
}

/** The shell in its parts: flange, laying, setting. */
function shell(plan: MakingPlan, show: ShowQuantity): MakingStep[] {
	const s = plan.shell!;
	return Array.from({ length: s.parts }, (_, i): MakingStep[] => [
		check(
			`flange-${i}`,
			`Shell, part ${i + 1} of ${s.parts}: ${i === 0 ? 'clay wall along the joint' : 'wax the flange'}`,
			i === 0
				? 'A clay wall where the parts meet, straight, keys pressed in. Wax or petroleum jelly on skin and wall.'
				: 'Take the clay wall off, wax the flange twice: leaks then peel off.',
			'It is ready for the shell'
		),
		check(
			`lay-${i}`,
			`Lay part ${i + 1}`,
			s.kind === 'resin'
				? s.recipe
					? portions(s.recipe, show)
					: `${show(s.massEachG, 'mass')} of thickened resin in all, flange included, in portions: each is mixed, spread at once and thin, and only then the next.${standing(s.massEachG, show)}`
				: `${s.layers} layers of plaster bandage, dipped and wrung, crosswise, flange included.${s.plaster ? ` Laid with cloth instead: ${show(s.plaster.powderG, 'mass')} of plaster sifted into ${show(s.plaster.waterG, 'mass')} of water.` : ''}`,
			'It is on',
			s.kind === 'resin' ? ['epoxy', 'isocyanate', 'powder', 'bulk'] : ['powder']
		),
		{
			id: `set-${i}`,
			kind: 'wait',
			title: 'Let the shell set',
			detail: 'It gets warm; leave it until it is cool and rings.',
			action: i === s.parts - 1 ? `It is set; ${s.bolts} bolt holes drilled` : 'It is set',
			waitS: s.setS,
			then: 'shell is set',
			cautions: i === s.parts - 1 ? ['knife', 'powder'] : []
		}
	]).flat();
}
