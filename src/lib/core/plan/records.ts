import { slowestWall, type WallKind } from '../cure/wall';
import { thickestOf } from '../shot/thickest';
import { pourMeetings, type Experience, type Thing } from '../compatibility';
import type { MasterRecord } from '../master/master';
import { skinOf } from '../master/skin';
import { MOULD_WORDS, outsideMl, wallMm, wallOf, type MouldInputs, type MouldPlan } from '../mould';
import type { TaughtDemould } from '../cure';
import type { ContainerHealth, MarkCup, ReleaseRecord, ResinRecord } from '../shelf';
import type { OtherPiece, ShotContext, ShotFiller, ShotRecipe, SprueSizes } from '../shot';
import { solidVolumeMl } from '../volume';
import type { Warning } from '../working';
import type { WorkshopSettings } from '../workshop';
import type { Stamp } from './stamps';

/** What a shot wants to know of one mould: its wall, what its outside takes up, and how many it casts at once. */
export interface MouldFigures {
	wallMm: number;
	wall: WallKind;
	/** It is poured into its open back. */
	open: boolean;
	outsideMl: number;
	cavities: number;
	/** Its pour opening; nothing where it is poured into its open back or has none on record. */
	sprue?: SprueSizes;
}

type MadeMould = { inputs: MouldInputs; plan: MouldPlan };

/**
 * Those figures of a mould that stands on the shelf. @param masterVolumeMl of what it casts
 * @example
 * mouldFigures(mouldOf('one-piece'), 64); // { wallMm: 10, wall: 'silicone', open: false, outsideMl: 180, cavities: 1, sprue: { diameterMm: 8, lengthMm: 20 } }
 */
export function mouldFigures(mould: MadeMould, masterVolumeMl: number): MouldFigures {
	return {
		wallMm: wallMm(mould),
		wall: wallOf(mould),
		open: MOULD_WORDS[mould.inputs.kind].open,
		outsideMl: outsideMl(mould, masterVolumeMl),
		// moulds of the first kind knew no cavities
		cavities: mould.inputs.cavities ?? 1,
		...(!MOULD_WORDS[mould.inputs.kind].open && mould.inputs.sprue !== 'none' && mould.inputs.sprueDiameterMm
			? { sprue: { diameterMm: mould.inputs.sprueDiameterMm, lengthMm: mould.inputs.sprueLengthMm } }
			: {})
	};
}

/**
 * What a mould's sprue holds, ml; moulds of the first kind knew none.
 * @example
 * sprueVolumeMl(mouldOf('one-piece')); // 1.0053
 */
export function sprueVolumeMl({ inputs }: Pick<MadeMould, 'inputs'>): number {
	const { sprue, sprueDiameterMm, sprueLengthMm } = inputs;
	return sprueDiameterMm && sprue !== 'none'
		? solidVolumeMl({ shape: 'tube', diameterMm: sprueDiameterMm, heightMm: sprueLengthMm })
		: 0;
}

/**
 * A mould of another piece, as a cup that fills it as well wants to know it.
 * @example
 * otherPiece({ id: '9', number: 9, label: 'Cube', ...mouldOf('one-piece') }, { record: cube, volumeMl: 64 }).name; // 'M9 Cube'
 */
export function otherPiece(
	mould: MadeMould & { id: string; number: number; label: string },
	master: { record: MasterRecord; volumeMl: number }
): OtherPiece {
	const {
		wallMm: mouldWallMm,
		wall,
		open,
		outsideMl: outside,
		cavities
	} = mouldFigures(mould, master.volumeMl);
	return {
		mouldId: mould.id,
		name: `M${mould.number} ${mould.label}`,
		masterName: master.record.name,
		volumeMl: master.volumeMl,
		sprueMl: open ? 0 : sprueVolumeMl(mould),
		cavities,
		outsideMl: outside,
		mouldWallMm,
		wall,
		open,
		thinnestMm: master.record.shape?.findings.thinnestMm,
		thickest: thickestIn(master)
	};
}

/** The thickest place of a piece, by its file, else by its volume and sizes. */
const thickestIn = ({ record, volumeMl }: { record: MasterRecord; volumeMl: number }) =>
	thickestOf({
		...record,
		widthMm: record.footprint === 'round' ? record.lengthMm : record.widthMm,
		volumeMl,
		thickestMm: record.shape?.findings.thickestMm
	});

/** Of several moulds the sprue that fills last: friction goes with length over the fourth power of the width. */
function narrowestSprue(moulds: readonly MouldFigures[]): { sprue?: SprueSizes } {
	const [sprue] = moulds
		.flatMap((m) => (m.sprue ? [m.sprue] : []))
		.sort((a, b) => b.lengthMm / b.diameterMm ** 4 - a.lengthMm / a.diameterMm ** 4);
	return sprue ? { sprue } : {};
}

/**
 * What the records say about a shot: built here alone, for the page that sizes it, the server that keeps it, and
 * its card.
 * @example
 * shotContextOf({
 *   master: { record: cube, volumeMl: 64 },
 *   moulds: [],
 *   resin: urethane,
 *   settings: WORKSHOP_DEFAULTS,
 *   recipes: []
 * }).cavityVolumeMl; // 64
 */
export function shotContextOf(of: {
	master: { record: MasterRecord; volumeMl: number };
	moulds: readonly MouldFigures[];
	resin: ResinRecord;
	settings: WorkshopSettings;
	filler?: ShotFiller | undefined;
	/** Fillers that single layers may take. */
	fillers?: ShotContext['fillers'];
	/** Moulds of other pieces that may be filled from the same cup. */
	others?: ShotContext['others'];
	recipes: ShotRecipe[];
	/** Speed of the tin in use against its sheet; nothing when none is known. */
	tinSpeed?: number | undefined;
	/** What presses at demould taught of the resin in these moulds. */
	taught?: TaughtDemould | undefined;
	/** What earlier pours of these moulds took. */
	taken?: ShotContext['taken'];
}): ShotContext {
	const { skinAreaMm2, radiusMm, heightMm } = skinOf(of.master.record);
	return {
		cavityVolumeMl: of.master.volumeMl,
		mouldWallMm: Math.min(...of.moulds.map((m) => m.wallMm)),
		wall: slowestWall(of.moulds.map((m) => m.wall)),
		open: of.moulds.every((m) => m.open),
		thickest: thickestIn(of.master),
		mouldsVolumeMl: of.moulds.reduce((sum, m) => sum + m.outsideMl, 0),
		cavities: of.moulds.reduce((sum, m) => sum + m.cavities, 0),
		skinAreaMm2,
		radiusMm,
		heightMm,
		...narrowestSprue(of.moulds),
		...(of.filler ? { filler: of.filler } : {}),
		...(of.fillers ? { fillers: of.fillers } : {}),
		...(of.others ? { others: of.others } : {}),
		recipes: of.recipes,
		resin: of.taught ? { ...of.resin, taught: of.taught } : of.resin,
		...(of.taken ? { taken: of.taken } : {}),
		rateFactor: of.tinSpeed,
		settings: of.settings
	};
}

/** Everything that the plan of a pour is composed of, as the records have it today. */
export interface PlanRecords {
	master: { record: MasterRecord; volumeMl: number };
	moulds: readonly (MadeMould & { id: string; number: number; label: string })[];
	/** Moulds of other pieces that its cups may fill. */
	others?: readonly (MadeMould & { id: string; number: number; label: string })[];
	resin: ResinRecord;
	release?: ReleaseRecord | undefined;
	/** Tins in use, and the speed of the first against its sheet. */
	tins: {
		a?: PlanTin | undefined;
		b?: PlanTin | undefined;
		speed?: number | undefined;
		/** Tins of fillers, by the names of the fillers. */
		fillers?: Readonly<Record<string, string>> | undefined;
	};
	/** The cup that marks are given for. */
	markCup?: MarkCup | undefined;
	/** The pot that it goes into, as the books have it. */
	vesselId?: string | undefined;
	/** The workshop's, with the figures of that pot. */
	settings: WorkshopSettings;
	/** Moulds that stand empty for what is left over, the best first. */
	spares: { number: number; label: string; volumeMl: number }[];
	/** Colour recipes of the shelf, as this resin takes them. */
	recipes: readonly ShotRecipe[];
	/** What touches: the resin, what the moulds are made of, the release. */
	touching: { resin: Thing; moulds: readonly Thing[]; release?: Thing | undefined };
	/** What was seen of such pairs here. */
	experiences: readonly Experience[];
	stamps: readonly Stamp[];
}

export interface PlanTin {
	id: string;
	lot: string;
	/** How far it may be trusted today; left out: nothing against it is known. */
	health?: ContainerHealth;
}

/**
 * Pairs that are known to harm, among what touches in a pour.
 * @example
 * harmsOf({
 *   touching: {
 *     resin: resinThing('1', { name: 'White', family: 'fast urethane' }),
 *     moulds: [rigidThing('printed')]
 *   },
 *   experiences: []
 * })[0]?.code; // 'sticks'
 */
export const harmsOf = (records: Pick<PlanRecords, 'touching' | 'experiences'>): Warning[] =>
	pourMeetings(records.touching, records.experiences).filter((w) => w.severity === 'harm');
