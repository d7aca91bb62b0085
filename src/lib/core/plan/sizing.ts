import { pourMeetings, releaseThing, resinThing, type Experience, type Thing } from '../compatibility';
import type { Outcome } from '../outcome';
import { outcomeOf } from '../outcomeOf';
import {
	isCatalysed,
	type ColourRecord,
	type FillerRecord,
	type RecipeRecord,
	type ReleaseRecord,
	type ResinRecord
} from '../shelf';
import {
	copyCost,
	handsPerCopyS,
	planShot,
	shotFiller,
	shotRecipe,
	takenOf,
	type CopyCost,
	type OtherPiece,
	type PlannedShot,
	type ShotContext,
	type ShotInputs,
	type Thickest
} from '../shot';
import { tryPlanShot } from '../shot/tryPlan';
import { whatIf, type OtherResin } from '../shot/whatIf';
import type { Warning } from '../working';
import { shotContextOf, type MouldFigures } from './records';
import { taughtFor, type PulledPresses } from './taught';

interface Kept<T> {
	id: string;
	record: T;
}

/** A shot as it stands on the page: what is typed, and the records of what was chosen. */
export interface SizingQuestion {
	inputs: ShotInputs;
	master: Parameters<typeof shotContextOf>[0]['master'];
	moulds: readonly (MouldFigures & { id: string; face: Thing | null })[];
	resin: Kept<ResinRecord>;
	settings: ShotContext['settings'];
	release?: Kept<ReleaseRecord> | undefined;
	filler?: FillerRecord | undefined;
	/** What of the shelf single layers may take. */
	fillers?: readonly Kept<FillerRecord>[];
	recipes: readonly Kept<RecipeRecord>[];
	colours: readonly Kept<ColourRecord>[];
	/** Speed of the tin in use against its sheet. */
	tinSpeed?: number | undefined;
	/** Moulds of other pieces that its cups may fill. */
	others?: readonly (OtherPiece & { face: Thing | null })[];
	presses: readonly PulledPresses[];
	/** What earlier pours took, the newest first. */
	took?: Parameters<typeof takenOf>[0];
	experiences: readonly Experience[];
	/** What money goes by, in the workshop's currency. */
	/** What the mould cost is not known where nothing is said. */
	cost: { mouldPulls: number; scrapPercent: number; mouldCost?: number | undefined; hourly: number };
}

/** What it comes to. What the cost was refused for refuses no shot. */
export interface Sizing {
	shot: Outcome<PlannedShot>;
	cost?: Outcome<CopyCost>;
	/** What meets in it: resin, the faces of its moulds, the release between. */
	touching: Warning[];
	thickest?: Thickest | undefined;
}

/**
 * Everything that the records of a question say about its shot.
 * @example
 * sizingContext(sizingOfCube).cavityVolumeMl; // 64
 */
export function sizingContext(q: SizingQuestion): ShotContext {
	return shotContextOf({
		master: q.master,
		moulds: q.moulds,
		resin: q.resin.record,
		settings: q.settings,
		filler: q.filler && shotFiller(q.filler),
		fillers: q.fillers?.map((f) => ({ id: f.id, ...shotFiller(f.record) })),
		others: q.others?.map(({ face: _face, ...o }) => o),
		recipes: q.recipes.map((r) => shotRecipe(r, q.colours, q.resin.record)),
		tinSpeed: q.tinSpeed,
		taken: takenOf(
			q.took ?? [],
			q.moulds.map((m) => m.id)
		),
		taught: taughtFor(
			q.presses,
			q.resin.id,
			q.moulds.map((m) => m.id)
		)
	});
}

/**
 * Sizes what stands on the page; bad input is an answer. Plain data both ways, so that it can cross to a worker.
 * @example
 * sizing(sizingOfCube).shot.ok; // true
 */
export function sizing(q: SizingQuestion): Sizing {
	const context = sizingContext(q);
	const shot = tryPlanShot(q.inputs, context);
	return {
		shot,
		...(shot.ok ? { cost: outcomeOf(() => costOfCopy(q, shot.value)) } : {}),
		touching: pourMeetings(
			{
				resin: resinThing(q.resin.id, q.resin.record),
				// each face once: two moulds of one rubber say the same
				moulds: [...new Map(facesOf(q).flatMap((face) => (face ? [[face.key, face]] : []))).values()],
				release: q.release && releaseThing(q.release.id, q.release.record)
			},
			q.experiences
		),
		thickest: context.thickest
	};
}

/** The faces that it touches: of its moulds, and of those that its cups fill as well. */
const facesOf = ({ moulds, others = [], inputs }: SizingQuestion) => [
	...moulds.map((m) => m.face),
	...others.filter((o) => (inputs.also ?? []).some((a) => a.mouldId === o.mouldId)).map((o) => o.face)
];

/** What a good copy of it costs: the resin by its price, each filler by its own. */
function costOfCopy(q: SizingQuestion, { shot }: PlannedShot): CopyCost {
	const copies = Math.max(1, q.inputs.copies);
	const { pouredMl, alsoMl = 0 } = shot.batches[0]!;
	/** Of the first cup, which share is not in moulds of other pieces. */
	const own = 1 - alsoMl / pouredMl;
	const fillers = shot.batches.flatMap((b) =>
		b.layers ? b.layers.flatMap((l) => l.fillers ?? []) : b.fillers
	);
	const fillerG = fillers.reduce((sum, f) => sum + f.massG, 0);
	const records = [...(q.filler ? [q.filler] : []), ...(q.fillers ?? []).map((f) => f.record)];
	// one without a price leaves the whole of them without
	const price = (name: string) => records.find((r) => r.name === name)?.pricePerKg ?? NaN;
	const perKg = fillers.reduce((sum, f) => sum + f.massG * price(f.name), 0) / fillerG;
	return copyCost({
		...q.cost,
		resinG: (own * (shot.massG - fillerG)) / copies,
		resinPerKg: q.resin.record.pricePerKg,
		fillerG: (own * fillerG) / copies,
		fillerPerKg: Number.isNaN(perKg) ? undefined : perKg,
		handsS: handsPerCopyS(shot.batches[0]!)
	});
}

/**
 * What would change the shot of a question, and what would give it more time.
 * @param others resins that could be poured instead
 * @example
 * sizingWhatIf(sizingOfCube, []).ok; // true
 */
export const sizingWhatIf = (q: SizingQuestion, others: readonly OtherResin[]) => {
	const context = sizingContext(q);
	return outcomeOf(() => {
		const share = proposedShare(q.inputs, context);
		return { ...whatIf(q.inputs, context, others), ...(share ? { share } : {}) };
	});
};

/** A share of catalyst that is proposed, %, against the one of the record. */
export interface ProposedShare {
	/** `null`: none between 1 and 2 % fits. */
	percent: number | null;
	recordPercent: number;
	massG: number;
	thickestMm: number;
}

/** Between these shares a polyester is usually catalysed, tenths of a percent (common practice, no source). */
const [LEAST_TENTHS, MOST_TENTHS] = [10, 20];

/**
 * Of a catalysed resin: of the shares within 1 to 2 % with which this very shot neither may crack nor runs out of time,
 * the one that gels nearest to the sheet's time. More is hotter and quicker, so the first that does not do ends it.
 */
function proposedShare(inputs: ShotInputs, context: ShotContext): ProposedShare | undefined {
	const { catalystPercent: recordPercent, referenceGelS, family } = context.resin;
	if (!isCatalysed(family) || recordPercent === undefined || referenceGelS === undefined) return undefined;
	const { shot, where } = planShot(inputs, context, false);
	const batch = shot.batches[0]!;
	let best: { percent: number; misses: number } | undefined;
	for (let tenths = LEAST_TENTHS; tenths <= MOST_TENTHS; tenths++) {
		const percent = tenths / 10;
		const tried = planShot({ ...inputs, catalystPercent: percent }, context, false).shot;
		const { fits, gelTimeS } = tried.batches[0]!;
		if (!fits || tried.warnings.some((w) => w.code === 'may-crack')) break;
		const misses = Math.abs(Math.log(gelTimeS / referenceGelS));
		if (best === undefined || misses < best.misses) best = { percent, misses };
	}
	return {
		percent: best?.percent ?? null,
		recordPercent,
		massG: batch.massG,
		thickestMm: batch.layers
			? Math.max(...batch.layers.map((l) => l.thicknessMm))
			: (where?.thickest?.thicknessMm ?? where?.section.thicknessMm ?? inputs.sectionMm)
	};
}
