import { RATIO_TOLERANCE_PERCENT, WATER_PER_PLASTER } from '../mix';
import type { TimeBand } from '../cure/bands';
import type { CureRecord } from '../cure/record';
import type { Sections } from '../cure/sections';
import { stagesOf } from '../cure/stages';
import { slowestWall, WALLS } from '../cure/wall';
import { closingOf, wallMm, wallOf } from '../mould';
import { mouldCopies } from './mouldCopies';
import type { PourPlan } from './pourPlan';
import {
	type MarkCup,
	type ResinFamily,
	chemistryOf,
	cureOf,
	flashOffS,
	isCatalysed,
	stockWarnings
} from '../shelf';
import { layerAmount } from '../shot/layerAmount';
import {
	FILLS,
	lengthenedResin,
	withShare,
	type CopyBalance,
	type PlannedShot,
	type ShotBatch,
	type ShotInputs
} from '../shot';
import { InputError } from '../working';
import { harmsOf, type PlanRecords } from './records';

/** The form of plan that this version composes; one of an earlier form is read in and goes on as it is. */
export const PLAN_VERSION = 2;

/** A shot that is to be poured: what was typed, and what was planned from it. */
export interface ShotToPour {
	id: string;
	number: number;
	inputs: ShotInputs;
	planned: PlannedShot;
}

const added = (list: readonly { massG: number; volumeMl: number }[]) => ({
	massG: list.reduce((sum, x) => sum + x.massG, 0),
	volumeMl: list.reduce((sum, x) => sum + x.volumeMl, 0)
});

/** A band of the whole cast, counted from the pour of its last layer. */
const later = (band: TimeBand, byS: number): TimeBand => ({
	...band,
	lowS: Math.max(0, band.lowS - byS),
	highS: band.highS - byS
});

/** What is measured: one cup, one for each colour, or one for each layer. */
function cupsOf(batch: ShotBatch): Pick<PourPlan, 'a' | 'b' | 'layers' | 'cups'> {
	if (batch.layers)
		return {
			a: added(batch.layers.map((l) => l.a)),
			b: added(batch.layers.map((l) => l.b)),
			layers: batch.layers
		};
	if (batch.cups)
		return { a: added(batch.cups.map((c) => c.a)), b: added(batch.cups.map((c) => c.b)), cups: batch.cups };
	return { a: batch.a, b: batch.b };
}

/** What goes on, in or under the resin besides its parts. */
function besides(batch: ShotBatch, { inputs, planned }: ShotToPour): Partial<PourPlan> {
	return {
		...(batch.colours?.length ? { colours: batch.colours } : {}),
		...(batch.cups ? { colourSchool: inputs.colourSchool ?? 'in-turn' } : {}),
		...(inputs.pourTempC === undefined ? {} : { pourTempC: inputs.pourTempC }),
		...(planned.dust ? { dust: { name: planned.dust.name, massG: planned.dust.massG * batch.copies } } : {}),
		...(batch.fillers?.length
			? { fillers: batch.fillers.map(({ name, massG, volumeMl }) => ({ name, massG, volumeMl })) }
			: {}),
		...(inputs.inserts?.length
			? { inserts: inputs.inserts.map(({ name, massG }) => ({ name, massG })) }
			: {}),
		...(planned.rotocast && inputs.rimLengthMm > 0 && inputs.rimMm > 0
			? { rim: { highMm: inputs.rimMm, thickMm: inputs.rimThickMm ?? inputs.rimMm } }
			: {}),
		...(planned.kind === 'filled' && planned.balance
			? { fill: fillOf(planned.balance, inputs, batch.copies) }
			: {}),
		...(batch.catalyst && !batch.layers ? { catalyst: batch.catalyst } : {})
	};
}

/**
 * The plan of one batch for the bench, from a shot and the records of today. What it rests on is stamped on it;
 * once a
 * pour has begun it is kept, and nothing works it out anew.
 * @param batchIndex counted from 0
 * @throws InputError when the shot has no such batch
 * @example
 * composePlan(shotOfCube, 0, recordsOfCube).a.massG; // 53.543
 */
export function composePlan(shot: ShotToPour, batchIndex: number, records: PlanRecords): PourPlan {
	const { inputs, planned } = shot;
	const batch = planned.shot.batches[batchIndex];
	if (!batch) throw new InputError(['batch'], `Shot ${shot.number} has no batch ${batchIndex + 1}.`);
	const { master, moulds, release, tins, settings } = records;
	const resin = { ...withShare(records.resin, inputs.catalystPercent), taught: planned.taught };
	// of a cast in layers the clock begins with the last of them
	const lastStartS = batch.layers?.at(-1)?.pouredS ?? 0;
	// the first cup of a cold cast has no colour, and of colours together each has its own
	const recipe =
		inputs.cups?.length || inputs.kind === 'cold'
			? undefined
			: records.recipes.find((r) => r.id === inputs.recipeId);
	const lots = [tins.a?.lot, tins.b?.lot].filter((l): l is string => Boolean(l));
	const cure: CureRecord = {
		...cureOf(lengthenedResin(resin, recipe?.lengtheningPercent), tins.speed),
		...(planned.fillerMix ? { fillerMix: planned.fillerMix } : {})
	};
	const section: Sections = planned.where ?? {
		section: { shape: 'slab', thicknessMm: batch.layers?.at(-1)?.thicknessMm ?? inputs.sectionMm },
		mouldWallMm: Math.min(...moulds.map((m) => wallMm(m))),
		wall: slowestWall(moulds.map((m) => wallOf(m)))
	};
	const touches = harmsOf(records);
	const filledToo = (records.others ?? []).filter((o) => planned.also?.some((a) => a.mouldId === o.id));
	const stock = stockWarnings({ a: tins.a?.health, b: tins.b?.health, whole: isCatalysed(resin.family) });
	return {
		version: PLAN_VERSION,
		stamps: [...records.stamps],
		shotId: shot.id,
		batchIndex,
		batchCount: planned.shot.batches.length,
		masterName: master.record.name,
		moulds: mouldsOf(shot, batch, moulds, records.others ?? []),
		resinName: resin.name,
		references: master.record.references.map(({ name, lengthMm }) => ({ name, lengthMm })),
		lots: [...new Set(lots)],
		// a piece that was never looked over is not known to trap nothing
		...(master.record.traps.length > 0 || master.record.shape ? { traps: master.record.traps.length } : {}),
		...(release
			? {
					release: {
						name: release.name,
						kind: release.kind,
						flashOffS: flashOffS(release),
						...(release.everyPulls === undefined ? {} : { everyPulls: release.everyPulls })
					}
				}
			: {}),
		...(touches.length ? { touches } : {}),
		...(stock.length ? { stock } : {}),
		cure,
		section,
		...stagesIn(resin.family, cure, section, inputs),
		...(resin.family === 'water-extended polyester' ? { waterExtended: true } : {}),
		chemistry: chemistryOf(resin.family),
		...cupsOf(batch),
		...besides(batch, shot),
		measuring: inputs.measuring ?? 'two-cups',
		...(records.markCup ? { markCup: markCupOf(records.markCup) } : {}),
		pouring: { way: inputs.pourWay ?? 'sprue', place: inputs.pourPlace ?? 'lowest' },
		tolerancePercent: resin.ratioTolerancePercent ?? RATIO_TOLERANCE_PERCENT,
		stopHumidityPercent: settings.stopHumidityPercent,
		scaleResolutionG: settings.scaleResolutionG,
		scaleCapacityG: settings.scaleCapacityG,
		closing: [...moulds, ...filledToo].map((m) => ({ mould: `M${m.number}`, ...closingOf(m) })),
		spares: records.spares,
		containers: {
			...(tins.a ? { a: tins.a.id } : {}),
			...(tins.b ? { b: tins.b.id } : {}),
			...(Object.keys(tins.fillers ?? {}).length ? { fillers: { ...tins.fillers } } : {})
		},
		...netOf(planned, batch),
		massG: batch.massG,
		markAMm: batch.schools.marks.markAMm,
		markBMm: batch.schools.marks.markBMm,
		cupDiameterMm: batch.schools.marks.cupDiameterMm,
		potLifeS: batch.potLifeS,
		gelTimeS: batch.gelTimeS,
		usableS: batch.budget.usableS,
		marginPercent: settings.marginPercent,
		...(batch.potLifeBand ? { potLifeBand: batch.potLifeBand } : {}),
		...demouldOf(planned, inputs, lastStartS),
		steps: batch.steps.map((step, i) => ({ ...step, role: planned.roles[i]! })),
		...(planned.pot
			? {
					pot: {
						...(records.vesselId ? { vesselId: records.vesselId } : {}),
						name: settings.potName,
						targetGaugeKpa: settings.potTargetGaugeKpa,
						ratedGaugeKpa: settings.potRatedGaugeKpa,
						bubbleDiameterRatio: planned.pot.bubbleDiameterRatio
					}
				}
			: {}),
		holdUntilS: planned.shot.holdUntilS - lastStartS,
		roomTempC: inputs.roomTempC,
		relativeHumidity: inputs.relativeHumidity,
		mouldTempC: inputs.mouldTempC,
		startTempC: inputs.startTempC
	};
}

/** The moulds of one cup: those of its piece, each with its copies, and what it fills besides. */
function mouldsOf(
	{ planned }: ShotToPour,
	batch: ShotBatch,
	moulds: PlanRecords['moulds'],
	others: NonNullable<PlanRecords['others']>
): PourPlan['moulds'] {
	const own = mouldCopies(batch.copies, moulds);
	const too = (planned.also ?? []).flatMap(({ mouldId, copies, masterName }) => {
		const m = others.find((o) => o.id === mouldId);
		return m
			? [
					{
						id: m.id,
						number: m.number,
						label: m.label,
						copies,
						kind: m.inputs.kind ?? ('one-piece' as const),
						masterName
					}
				]
			: [];
	});
	return [...own, ...too];
}

/** What its moulds take by the sums, and what it is mixed by instead. */
function netOf({ taken }: PlannedShot, batch: ShotBatch): Pick<PourPlan, 'netG' | 'taken'> {
	const mixedG = batch.layers ? batch.layers.reduce((sum, l) => sum + layerAmount(l).massG, 0) : batch.massG;
	const netG = (mixedG * batch.pouredMl) / (batch.pouredMl + batch.lossMl);
	return {
		...(netG > 0 ? { netG } : {}),
		...(taken
			? {
					taken: {
						share: taken.share,
						pours: taken.pours,
						lastLeftG: taken.lastLeftG,
						lastMixedG: taken.lastMixedG
					}
				}
			: {})
	};
}

const markCupOf = ({
	name,
	floorMm,
	rimMm,
	heightMm,
	graduated
}: MarkCup): NonNullable<PourPlan['markCup']> => ({
	name,
	floorMm,
	rimMm,
	heightMm,
	graduated
});

/** The stages of a catalysed cast at its slowest place; nothing where it does not come to the last within the horizon. */
function stagesIn(
	family: ResinFamily,
	cure: CureRecord,
	{ section, mouldWallMm, wall, open }: Sections,
	{ startTempC, mouldTempC, roomTempC }: Pick<ShotToPour['inputs'], 'startTempC' | 'mouldTempC' | 'roomTempC'>
): Pick<PourPlan, 'stages'> {
	if (!isCatalysed(family) || !Number.isFinite(mouldWallMm)) return {};
	const stages = stagesOf(cure, {
		section,
		mouldWallMm,
		...(wall ? { wall: WALLS[wall] } : {}),
		...(open ? { open } : {}),
		startTempC,
		mouldTempC,
		roomTempC
	});
	return Number.isFinite(stages.hardS) ? { stages } : {};
}

/** When it comes out, counted from the pour of the last layer: once it keeps its shape, or while it still gives. */
function demouldOf(
	{ shot, taught, pot }: ShotToPour['planned'],
	{ out, kind, fillWhere }: Pick<ShotToPour['inputs'], 'out' | 'kind' | 'fillWhere'>,
	lastStartS: number
): Pick<PourPlan, 'demouldS' | 'flexibleS' | 'out' | 'demouldBand' | 'ownDemould'> {
	const demouldS = shot.demouldS - lastStartS;
	const flexibleS = shot.flexibleS === undefined ? undefined : shot.flexibleS - lastStartS;
	// a shell that is filled in its mould is firm before
	const early = out === 'flexible' && (kind !== 'filled' || fillWhere === 'outside');
	if (early && flexibleS !== undefined && flexibleS < demouldS) {
		const held = pot ? shot.holdUntilS - lastStartS : 0;
		return { demouldS: Math.max(flexibleS, held), out: { stiffS: demouldS } };
	}
	return {
		demouldS,
		...(flexibleS === undefined ? {} : { flexibleS }),
		...(taught?.own ? { ownDemould: taught.own } : {}),
		...(shot.demouldBand ? { demouldBand: later(shot.demouldBand, lastStartS) } : {})
	};
}

/** What goes into the shell: how much of it, of what, and where it is done. */
function fillOf(
	{ mixG, fillMl }: Pick<CopyBalance, 'mixG' | 'fillMl'>,
	inputs: ShotToPour['inputs'],
	copies: number
): NonNullable<PourPlan['fill']> {
	const kind = inputs.fillKind ?? 'plaster';
	const allG = mixG * copies;
	const water = inputs.waterPerPowder ?? WATER_PER_PLASTER;
	return {
		words: FILLS[kind].words,
		kind,
		mixG: allG,
		fillMl: fillMl * copies,
		...(kind === 'plaster' ? { powderG: allG / (1 + water), waterG: (allG * water) / (1 + water) } : {}),
		...(inputs.fillWhere === 'outside' ? { outside: true } : {})
	};
}
