import { randomUUID } from 'node:crypto';
import { chemistryOf, containerSpeed, cureOf, flashOffS } from '$lib/core/shelf';
import {
	FILLS,
	planShot,
	rankSpares,
	usuallyLeftMl,
	shotFiller,
	shotRecipe,
	type PlannedShot,
	type ShotContext,
	type ShotInputs,
	type ShotRecipe
} from '$lib/core/shot';
import { skinOf } from '$lib/core/master/skin';
import { closingOf, outsideMl, spread, wallMm } from '$lib/core/mould';
import { RATIO_TOLERANCE_PERCENT } from '$lib/core/mix';
import type { PourPlan } from '$lib/core/pour';
import type { WorkshopSettings } from '$lib/core/workshop';
import { inTransaction } from '../db/connection';
import { KeptRows, stampOf } from '../db/keptRows';
import { plain, tables, type ShotRow } from '../db/models';
import { NotFoundError, RefusedError } from '../errors';
import { nextNumber } from './counters';
import { inUse } from './containers';
import { getMaster, listMasters, type Master } from './masters';
import { getMaterial, getResin, listMaterials, type Kept, type Resin } from './materials';
import { getMould, listMoulds, type Mould } from './moulds';
import { usualPot, withPot } from './vessels';

export interface Shot {
	id: string;
	version: number;
	number: number;
	masterId: string;
	resinId: string;
	inputs: ShotInputs;
	planned: PlannedShot;
	createdAt: Date;
}

function toShot(row: ShotRow): Shot {
	const { id, version, number, masterId, resinId, inputs, result, createdAt } = row;
	return { id, version, number, masterId, resinId, inputs, planned: result, createdAt };
}

export async function getShot(id: string): Promise<Shot> {
	const row = await tables.shots().findByPk(id);
	if (!row) throw new NotFoundError('shot');
	return toShot(plain(row));
}

/** Shots of the lists by their state: a planned shot is large, and it is not read anew for every page. */
const kept = new KeptRows<Shot>(500);

export async function listShots(limit = 50): Promise<Shot[]> {
	const stamps = await tables
		.shots()
		.findAll({ attributes: ['id', 'version', 'updatedAt'], order: [['createdAt', 'DESC']], limit });
	const rows = stamps.map((row) => plain(row));
	const missing = rows.filter((row) => !kept.peek(row.id, stampOf(row))).map(({ id }) => id);
	const read = missing.length ? await tables.shots().findAll({ where: { id: missing } }) : [];
	const fresh = new Map(read.map(plain).map((row) => [row.id, kept.keep(row.id, stampOf(row), toShot(row))]));
	return rows.flatMap((row) => fresh.get(row.id) ?? kept.peek(row.id, stampOf(row)) ?? []);
}

/** What the records say about a shot, for the core's sums. */
export function shotContext(
	master: Master,
	moulds: readonly Mould[],
	resin: Resin,
	settings: WorkshopSettings,
	filler?: Kept<'filler'>,
	recipes: ShotRecipe[] = []
): ShotContext {
	return {
		cavityVolumeMl: master.volumeMl,
		mouldWallMm: Math.min(...moulds.map(wallMm)),
		mouldsVolumeMl: moulds.reduce((sum, m) => sum + outsideMl(m, master.volumeMl), 0),
		cavities: moulds.reduce((sum, m) => sum + m.inputs.cavities, 0),
		...skinOf(master.record),
		...(filler ? { filler: shotFiller(filler.record) } : {}),
		recipes,
		resin: resin.record,
		settings
	};
}

/** Colour recipes of the shelf as this resin takes them. */
async function recipesFor(resin: Resin): Promise<ShotRecipe[]> {
	const [recipes, colours] = await Promise.all([listMaterials('recipe'), listMaterials('colour')]);
	return recipes.map((r) => shotRecipe(r, colours, resin.record));
}

async function gather(inputs: ShotInputs) {
	const [master, resin, ...moulds] = await Promise.all([
		getMaster(inputs.masterId),
		getResin(inputs.resinId),
		...[...new Set(inputs.mouldIds)].map(getMould)
	]);
	const stranger = moulds.find((m) => m.masterId !== master.id);
	if (stranger) throw new RefusedError(`M${stranger.number} is a mould of another master.`, 'mouldIds');
	if (inputs.releaseId) await getMaterial('release', inputs.releaseId);
	const filler = inputs.fillerId ? await getMaterial('filler', inputs.fillerId) : undefined;
	const recipes = await recipesFor(resin);
	const unfit = moulds.find((m) => m.state !== 'active');
	if (unfit) {
		throw new RefusedError(`M${unfit.number} is ${unfit.state}: only an active mould is poured.`, 'mouldIds');
	}
	return { master, resin, moulds, filler, recipes };
}

/** Keeps a shot; it is worked out again here from the records, whatever the browser showed. */
export async function saveShot(typed: ShotInputs, settings: WorkshopSettings): Promise<string> {
	const [{ master, resin, moulds, filler, recipes }, tins, vessel] = await Promise.all([
		gather(typed),
		inUse(typed.resinId),
		usualPot(typed.potId)
	]);
	// which pot it was sized for stays with it, whatever becomes the usual one
	const inputs = { ...typed, potId: typed.usePot ? (vessel?.id ?? '') : '' };
	const rateFactor = tins.a && containerSpeed(tins.a.record.slowerPercent, tins.a.rateFactor);
	const result = planShot(inputs, {
		...shotContext(master, moulds, resin, withPot(settings, vessel), filler, recipes),
		rateFactor
	});
	return inTransaction(async (transaction) => {
		const id = randomUUID();
		const number = await nextNumber('shot', transaction);
		await tables
			.shots()
			.create(
				{ id, number, masterId: master.id, resinId: resin.id, inputs, result, version: 1 },
				{ transaction }
			);
		return id;
	});
}

const added = (list: readonly { massG: number; volumeMl: number }[]) => ({
	massG: list.reduce((sum, x) => sum + x.massG, 0),
	volumeMl: list.reduce((sum, x) => sum + x.volumeMl, 0)
});

/** The three moulds that would take a left-over best. */
async function sparesFor(except: readonly string[], leftMl: number) {
	const [moulds, masters] = await Promise.all([listMoulds(), listMasters()]);
	const volumes = new Map(masters.map((m) => [m.id, m.volumeMl]));
	const free = moulds
		.filter((m) => m.state === 'active' && !except.includes(m.id))
		.map(({ id, number, label, masterId }) => ({ id, number, label, volumeMl: volumes.get(masterId) ?? 0 }));
	return rankSpares(leftMl, free)
		.slice(0, 3)
		.map(({ number, label, volumeMl }) => ({ number, label, volumeMl }));
}

/** The plan of one batch, frozen for the bench. @throws RefusedError when the shot has no such batch. */
export async function batchPlan(
	shotId: string,
	batchIndex: number,
	settings: WorkshopSettings
): Promise<PourPlan> {
	const shot = await getShot(shotId);
	const batch = shot.planned.shot.batches[batchIndex];
	if (!batch) throw new RefusedError(`Shot ${shot.number} has no batch ${batchIndex + 1}.`);
	const [{ master, resin, moulds }, tins, vessel] = await Promise.all([
		gather(shot.inputs),
		inUse(shot.resinId),
		usualPot(shot.inputs.potId)
	]);
	const air = withPot(settings, vessel);
	const { releaseId } = shot.inputs;
	const release = releaseId ? (await getMaterial('release', releaseId)).record : undefined;
	const speed = tins.a && containerSpeed(tins.a.record.slowerPercent, tins.a.rateFactor);
	return {
		shotId,
		batchIndex,
		batchCount: shot.planned.shot.batches.length,
		masterName: master.record.name,
		moulds: spread(
			batch.copies,
			moulds.map((m) => ({ id: m.id, number: m.number, label: m.label, cavities: m.inputs.cavities }))
		).map(({ id, number, label, copies }) => ({ id, number, label, copies })),
		resinName: resin.record.name,
		references: master.record.references.map(({ name, lengthMm }) => ({ name, lengthMm })),
		lots: [...new Set([tins.a?.record.lot, tins.b?.record.lot].filter((l): l is string => Boolean(l)))],
		traps: master.record.traps.length,
		...(release
			? { release: { name: release.name, kind: release.kind, flashOffS: flashOffS(release) } }
			: {}),
		cure: cureOf(resin.record, speed),
		section: {
			section: { shape: 'slab', thicknessMm: shot.inputs.sectionMm },
			mouldWallMm: Math.min(...moulds.map(wallMm))
		},
		chemistry: chemistryOf(resin.record.family),
		...(batch.layers
			? {
					a: added(batch.layers.map((l) => l.a)),
					b: added(batch.layers.map((l) => l.b)),
					layers: batch.layers.map((l) => ({
						a: l.a,
						b: l.b,
						...(l.catalyst ? { catalyst: l.catalyst } : {}),
						thicknessMm: l.thicknessMm,
						potLifeS: l.potLifeS,
						lockS: l.lockS - l.startS,
						gelS: l.gelS - l.startS,
						recoatFromS: l.recoatFromS - l.startS,
						recoatUntilS: l.recoatUntilS - l.startS,
						serves: l.serves,
						...(l.sags ? { sags: true } : {}),
						...(l.way ? { way: l.way } : {}),
						...(l.fillers?.length ? { fillers: l.fillers } : {}),
						...(l.colours?.length ? { colours: l.colours } : {}),
						...(l.levelMm === undefined ? {} : { levelMm: l.levelMm }),
						...(l.setsIn?.length ? { setsIn: l.setsIn } : {})
					}))
				}
			: batch.cups
				? {
						a: added(batch.cups.map((c) => c.a)),
						b: added(batch.cups.map((c) => c.b)),
						cups: batch.cups
					}
				: { a: batch.a, b: batch.b }),
		...(batch.colours?.length ? { colours: batch.colours } : {}),
		...(shot.inputs.pourTempC === undefined ? {} : { pourTempC: shot.inputs.pourTempC }),
		...(shot.planned.dust
			? {
					dust: { name: shot.planned.dust.name, massG: shot.planned.dust.massG * batch.copies }
				}
			: {}),
		measuring: shot.inputs.measuring ?? 'two cups',
		pouring: { way: shot.inputs.pourWay ?? 'sprue', place: shot.inputs.pourPlace ?? 'lowest' },
		tolerancePercent: resin.record.ratioTolerancePercent ?? RATIO_TOLERANCE_PERCENT,
		scaleResolutionG: settings.scaleResolutionG,
		scaleCapacityG: settings.scaleCapacityG,
		closing: moulds.map((m) => ({ mould: `M${m.number}`, ...closingOf(m) })),
		spares: await sparesFor(shot.inputs.mouldIds, usuallyLeftMl(batch.volumeMl)),
		...(batch.fillers?.length
			? { fillers: batch.fillers.map(({ name, massG, volumeMl }) => ({ name, massG, volumeMl })) }
			: {}),
		...(shot.inputs.inserts?.length
			? { inserts: shot.inputs.inserts.map(({ name, massG }) => ({ name, massG })) }
			: {}),
		...(shot.planned.kind === 'filled' && shot.planned.balance
			? {
					fill: {
						words: FILLS[shot.inputs.fillKind].words,
						mixG: shot.planned.balance.mixG * batch.copies,
						fillMl: shot.planned.balance.fillMl * batch.copies
					}
				}
			: {}),
		...(batch.catalyst && !batch.layers ? { catalyst: batch.catalyst } : {}),
		containers: { ...(tins.a ? { a: tins.a.id } : {}), ...(tins.b ? { b: tins.b.id } : {}) },
		massG: batch.massG,
		markAMm: batch.schools.marks.markAMm,
		markBMm: batch.schools.marks.markBMm,
		cupDiameterMm: batch.schools.marks.cupDiameterMm,
		potLifeS: batch.potLifeS,
		gelTimeS: batch.gelTimeS,
		usableS: batch.budget.usableS,
		steps: batch.steps.map((step, i) => ({ ...step, role: shot.planned.roles[i]! })),
		...(shot.planned.pot
			? {
					pot: {
						...(vessel ? { vesselId: vessel.id } : {}),
						name: air.potName,
						targetGaugeKpa: air.potTargetGaugeKpa,
						ratedGaugeKpa: air.potRatedGaugeKpa,
						bubbleDiameterRatio: shot.planned.pot.bubbleDiameterRatio
					}
				}
			: {}),
		holdUntilS: shot.planned.shot.holdUntilS - (batch.layers?.at(-1)?.startS ?? 0),
		// of a rotocast the clock begins with the last layer
		demouldS: shot.planned.shot.demouldS - (batch.layers?.at(-1)?.startS ?? 0),
		roomTempC: shot.inputs.roomTempC,
		relativeHumidity: shot.inputs.relativeHumidity,
		mouldTempC: shot.inputs.mouldTempC,
		startTempC: shot.inputs.startTempC
	};
}
