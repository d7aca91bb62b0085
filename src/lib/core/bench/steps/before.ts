import { MOULD_WORDS } from '../../mould/kinds/words';
import type { MouldKind } from '../../mould/kinds/names';
import { formatQuantity, formatWeighed, type UnitSystem } from '../../units';
import type { PourPlan } from '../../plan/pourPlan';
import { isWalled, mouldNames, type BenchStep } from './step';

/** Everything before a part is opened: mould clean, coated, closed, things set in, spare moulds, air, stirring. */
export function beforeSteps(plan: PourPlan, units: UnitSystem): BenchStep[] {
	return [
		lookStep(plan),
		...(plan.release && plan.release.borne === undefined ? coatSteps(plan.release, plan) : []),
		...(plan.dust ? [dustStep(plan.dust, plan, units)] : []),
		...(plan.inserts?.length && plan.pouring?.way !== 'halves' && !isWalled(plan)
			? [insertStep(plan.inserts, units)]
			: []),
		...(plan.closing ? [closeStep(plan)] : []),
		...(plan.spares ? [spareStep(plan.spares, units)] : []),
		{
			id: 'air',
			kind: 'air',
			title: 'Room, humidity, mould',
			detail: 'Read them off now; they go into the ledger.',
			action: 'Keep these readings',
			cautions: []
		}
	];
}

function lookStep(plan: PourPlan): BenchStep {
	const kinds = kindsOf(plan);
	// where it tears or holes first; a plan of the version before does not say its kind
	const looked = [...new Set((kinds.length ? kinds : USUAL).map((k) => MOULD_WORDS[k].looked))];
	// one that stands in no books has no name
	const named = plan.moulds.length > 0 ? `${mouldNames(plan)}: n` : 'N';
	return {
		id: 'look',
		kind: 'check',
		title: 'Look the mould over',
		detail:
			(plan.closing
				? `${named}o flash, dust, old resin or water. ${looked.join(' ')}`
				: `${named}o flash, dust, old resin or water; no new tears. Close it, line up the seam, stand it level. Spare moulds for left-overs at hand.`) +
			coatHeld(plan.release),
		action: plan.closing ? 'Clean and whole' : 'Mould is ready',
		...(plan.touches?.length ? { warnings: plan.touches } : {}),
		cautions: []
	};
}

/** What is said of a coat that is not put on this time. */
const coatHeld = (release: PourPlan['release']): string =>
	release?.borne === undefined
		? ''
		: ` Its coat of ${release.name} has borne ${release.borne === 1 ? '1 pull' : `${release.borne} pulls`} of ${release.everyPulls}; if it was washed off, put it on again.`;

const USUAL: readonly MouldKind[] = ['one-piece'];

/** The kinds of its moulds, each once; plans of the version before do not say. */
const kindsOf = (plan: PourPlan): MouldKind[] => [...new Set(plan.moulds.flatMap((m) => m.kind ?? []))];

function closeStep(plan: PourPlan): BenchStep {
	const ways = [...new Set(plan.closing!.map((c) => `${c.how} ${c.little} ${c.much}`.trim()))];
	if (plan.pouring?.way === 'halves') {
		return {
			id: 'seat',
			kind: 'check',
			title: 'Lay both halves open and level',
			detail: `Shim them until a drop stays where it is; what closes them within reach. ${ways[0] ?? ''}`,
			action: 'They lie level',
			cautions: []
		};
	}
	const kinds = kindsOf(plan);
	const open = kinds.length > 0 && kinds.every((k) => MOULD_WORDS[k].open);
	return {
		id: 'seat',
		kind: 'check',
		title: open ? 'Stand it level' : 'Seat it and close it',
		detail:
			`${kinds.map((k) => MOULD_WORDS[k].seated).join(' ')} ${ways.slice(0, 2).join(' ')} Shim it level, scrap board or foil under.`.trim(),
		action: open ? 'It stands level' : 'Closed and level',
		cautions: []
	};
}

function spareStep(spares: NonNullable<PourPlan['spares']>, units: UnitSystem): BenchStep {
	return {
		id: 'spares',
		kind: 'check',
		title: 'A place for what is left',
		detail: spares.length
			? `${spares.map((s) => `M${s.number} ${s.label}, ${formatQuantity(s.volumeMl, 'volume', units)}`).join('; ')} stand ready. Gloves, tissue, clean sticks within reach.`
			: 'No small mould stands free: foil or a tray to spread it thin. Gloves, tissue, clean sticks within reach.',
		action: 'All within reach',
		cautions: []
	};
}

function dustStep(dust: NonNullable<PourPlan['dust']>, plan: PourPlan, units: UnitSystem): BenchStep {
	return {
		id: 'dust',
		kind: 'check',
		title: `Dust the face: ${dust.name}`,
		detail: `${mouldNames(plan)}: about ${formatWeighed(dust.massG, units, plan.scaleResolutionG ?? 1)} with a soft brush into every corner; knock out what is loose and keep it for B.`,
		action: 'It is dusted',
		cautions: ['powder']
	};
}

function insertStep(inserts: NonNullable<PourPlan['inserts']>, units: UnitSystem): BenchStep {
	return {
		id: 'inserts',
		kind: 'check',
		title: 'Set in what goes inside',
		detail: `${inserts.map((i) => `${i.name}, ${formatQuantity(i.massG, 'mass', units)}`).join('; ')}: clean, dry, warm, held off the face.`,
		action: 'It is set in',
		cautions: []
	};
}

function coatSteps(release: NonNullable<PourPlan['release']>, plan: PourPlan): BenchStep[] {
	const powder = release.kind === 'talc';
	const coat: BenchStep = {
		id: 'coat',
		kind: 'check',
		title: `Coat the mould: ${release.name}`,
		detail: powder
			? `${mouldNames(plan)}: dust it into every corner, knock out what is loose.`
			: `${mouldNames(plan)}: thin and even, into the detail without pooling.`,
		action: 'It is coated',
		cautions: powder ? ['powder'] : ['solvent']
	};
	if (!(release.flashOffS > 0)) return [coat];
	return [
		coat,
		{
			id: 'flash-off',
			kind: 'dry',
			title: 'Let it flash off and warm up',
			detail: 'A wet release leaves pinholes, and a spray chills the face.',
			action: 'It is dry',
			waitS: release.flashOffS,
			cautions: []
		}
	];
}
