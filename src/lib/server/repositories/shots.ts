import { randomUUID } from 'node:crypto';
import type { Transaction } from 'sequelize';
import { releaseThing, resinThing, type Thing } from '$lib/core/compatibility';
import { MOULD_MODULES, STATE_WORDS } from '$lib/core/mould';
import { outcomeOf } from '$lib/core/outcomeOf';
import {
	composePlan,
	mouldFigures,
	movedStamps,
	otherPiece,
	planDifferences,
	shotContextOf,
	taughtFor,
	type Difference,
	type PlanRecords,
	type Stamp
} from '$lib/core/plan';
import type { PourPlan } from '$lib/core/plan';
import { chemistryOf, containerHealth, containerSpeed } from '$lib/core/shelf';
import {
	keptLayer,
	planShot,
	usuallyLeftMl,
	shotFiller,
	shotRecipe,
	type PlannedShot,
	type ShotContext,
	type ShotInputs,
	type ShotRecipe
} from '$lib/core/shot';
import type { WorkshopSettings } from '$lib/core/workshop';
import { inTransaction } from '../db/connection';
import { makeOnce } from '../db/makeOnce';
import { RowCache, stampOf } from '../db/rowCache';
import { plain, tables, type ShotRow } from '../db/models';
import { NotFoundError, RefusedError } from '../errors';
import { nextNumber } from './counters';
import { inUse, tinsOfFillers } from './containers';
import { measuredMaster } from './masters';
import { listExperiences } from './experiences';
import { getMaterial, getResin, listMaterials, type Resin } from './materials';
import { demouldPresses } from './demouldPresses';
import { getMould, type Mould } from './moulds';
import { sparesFor } from './spares';
import { updateVersioned } from './versioned';
import { usualPot, withPot } from './vessels';

/** A planned shot with the stamps of what it rests on; those of the version before have none. */
type KeptPlan = PlannedShot & { stamps?: Stamp[] };

export interface Shot {
	id: string;
	version: number;
	number: number;
	masterId: string;
	resinId: string;
	inputs: ShotInputs;
	planned: KeptPlan;
	createdAt: Date;
}

/** Shots of the version before keep the clocks of their layers from the pour of the first. */
function keptShot(planned: KeptPlan): KeptPlan {
	const batches = planned.shot.batches.map((b) => (b.layers ? { ...b, layers: b.layers.map(keptLayer) } : b));
	return { ...planned, shot: { ...planned.shot, batches } };
}

function toShot(row: ShotRow): Shot {
	const { id, version, number, masterId, resinId, inputs, result, createdAt } = row;
	return { id, version, number, masterId, resinId, inputs, planned: keptShot(result), createdAt };
}

export async function getShot(id: string): Promise<Shot> {
	const row = await tables.shots().findByPk(id);
	if (!row) throw new NotFoundError('shot');
	return toShot(plain(row));
}

/** Shots of the lists by their state: a planned shot is large, and it is not read anew for every page. */
const kept = new RowCache<Shot>(500);

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

/** Colour recipes of the shelf as this resin takes them. */
async function recipesFor(resin: Resin): Promise<ShotRecipe[]> {
	const [recipes, colours] = await Promise.all([listMaterials('recipe'), listMaterials('colour')]);
	return recipes.map((r) => shotRecipe(r, colours, resin.record));
}

export async function gather(inputs: ShotInputs) {
	const [master, resin, ...moulds] = await Promise.all([
		measuredMaster(inputs.masterId),
		getResin(inputs.resinId),
		...[...new Set(inputs.mouldIds)].map(getMould)
	]);
	const stranger = moulds.find((m) => m.masterId !== master.id);
	if (stranger) throw new RefusedError(`M${stranger.number} is a mould of another master.`, 'mouldIds');
	const [release, filler, markCup, recipes, tins, vessel, presses] = await Promise.all([
		inputs.releaseId ? getMaterial('release', inputs.releaseId) : undefined,
		inputs.fillerId ? getMaterial('filler', inputs.fillerId) : undefined,
		inputs.cupId ? getMaterial('cup', inputs.cupId) : undefined,
		recipesFor(resin),
		inUse(inputs.resinId),
		usualPot(inputs.potId),
		demouldPresses(inputs.resinId)
	]);
	const layerFillers = await Promise.all(
		[...new Set((inputs.layerRows ?? []).map((r) => r.fillerId).filter(Boolean))].map((id) =>
			getMaterial('filler', id)
		)
	);
	for (const m of moulds) refuseUnfit(m, 'mouldIds');
	const others = await othersOf(inputs, master.id);
	const taught = taughtFor(presses, resin.id, inputs.mouldIds);
	const fillerTins = await tinsOfFillers([...(filler ? [filler] : []), ...layerFillers]);
	return {
		master,
		resin,
		moulds,
		others,
		release,
		filler,
		markCup,
		layerFillers,
		recipes,
		tins,
		vessel,
		taught,
		fillerTins
	};
}

/** @throws RefusedError at the field when it is not in use, or takes no resin */
function refuseUnfit(mould: Mould, field: string): void {
	if (mould.state !== 'active')
		throw new RefusedError(
			`M${mould.number} is ${STATE_WORDS[mould.state]}: only an active mould is poured.`,
			field
		);
	const refuses = MOULD_MODULES[mould.inputs.kind].refusesResin;
	if (refuses) throw new RefusedError(`M${mould.number} ${refuses}`, field);
}

/** Moulds of other pieces that its cups fill as well, each with its master. */
async function othersOf(inputs: ShotInputs, masterId: string) {
	const asked = inputs.kind === 'solid' && !inputs.cups?.length ? (inputs.also ?? []) : [];
	return Promise.all(
		asked.map(async ({ mouldId }, i) => {
			const field = `also.${i}.mouldId`;
			const mould = await getMould(mouldId);
			refuseUnfit(mould, field);
			if (mould.masterId === masterId)
				throw new RefusedError(`M${mould.number} is a mould of the piece itself: choose it above.`, field);
			return { mould, master: await measuredMaster(mould.masterId) };
		})
	);
}
type Gathered = Awaited<ReturnType<typeof gather>>;

const speedOf = ({ tins }: Pick<Gathered, 'tins'>) =>
	tins.a && containerSpeed(tins.a.record.slowerPercent, tins.a.rateFactor);

function contextOf(of: Gathered, settings: WorkshopSettings): ShotContext {
	return shotContextOf({
		master: of.master,
		moulds: of.moulds.map((m) => mouldFigures(m, of.master.volumeMl)),
		resin: of.resin.record,
		settings: withPot(settings, of.vessel),
		filler: of.filler && shotFiller(of.filler.record),
		fillers: of.layerFillers.map((f) => ({ id: f.id, ...shotFiller(f.record) })),
		others: of.others.map((o) => otherPiece(o.mould, o.master)),
		recipes: of.recipes,
		tinSpeed: speedOf(of),
		taught: of.taught
	});
}

/** The state of every record that a plan rests on. What a tin holds does not move a plan; which tin, and its speed, do. */
function stampsOf(of: Gathered, inputs: ShotInputs, settings: WorkshopSettings): Stamp[] {
	const { master, resin, moulds, others, release, filler, layerFillers, recipes, tins, vessel, taught } = of;
	const versioned = (kind: Stamp['kind'], row: { id: string; version: number }, name: string): Stamp => ({
		kind,
		id: row.id,
		name,
		state: `${row.version}`
	});
	const coloured = [
		inputs.recipeId,
		...(inputs.cups ?? []).map((c) => c.recipeId),
		...(inputs.layerRows ?? []).map((r) => r.recipeId)
	];
	const { altitudeM, marginPercent, scaleResolutionG, scaleCapacityG, mixingCupMl } = settings;
	return [
		versioned('master', master, master.record.name),
		...[...moulds, ...others.map((o) => o.mould)].map((m) => versioned('mould', m, `M${m.number}`)),
		...others.map((o) => versioned('master', o.master, o.master.record.name)),
		versioned('resin', resin, `sheet of ${resin.record.name}`),
		...[...(filler ? [filler] : []), ...layerFillers]
			.filter((f, i, all) => all.findIndex((other) => other.id === f.id) === i)
			.map((f) => versioned('filler', f, f.record.name)),
		...(release ? [versioned('release', release, release.record.name)] : []),
		...recipes
			.filter((r) => coloured.includes(r.id))
			.map((r): Stamp => ({ kind: 'colour', id: r.id, name: r.name, state: JSON.stringify(r.colours) })),
		...(tins.a
			? [
					{
						kind: 'tin' as const,
						id: tins.a.id,
						name: `tin of ${tins.a.materialName}`,
						state: `${speedOf(of)}`
					}
				]
			: []),
		...(taught
			? [
					{
						kind: 'taught' as const,
						id: resin.id,
						name: `what was pressed at demould of ${resin.record.name}`,
						state: `${taught.maturityFactor.toFixed(3)} ${taught.flexibleShare.toFixed(3)}`
					}
				]
			: []),
		...(inputs.usePot && vessel ? [versioned('pot', vessel, vessel.record.name)] : []),
		{
			kind: 'workshop',
			id: 'workshop',
			name: 'settings of the workshop',
			state: JSON.stringify([altitudeM, marginPercent, scaleResolutionG, scaleCapacityG, mixingCupMl])
		}
	];
}

/** Sizes a shot by the records of today, with the stamps of what it rests on. */
function planNow(of: Gathered, inputs: ShotInputs, settings: WorkshopSettings): KeptPlan {
	return { ...planShot(inputs, contextOf(of, settings)), stamps: stampsOf(of, inputs, settings) };
}

/**
 * Keeps a shot, or changes one that was not poured yet; it is worked out again here from the records, whatever the
 * browser showed.
 */
export async function saveShot(
	typed: ShotInputs,
	settings: WorkshopSettings,
	existing?: { id: string; version: number },
	id: string = randomUUID()
): Promise<string> {
	const gathered = await gather(typed);
	const { master, resin, vessel } = gathered;
	// which pot it was sized for stays with it, whatever becomes the usual one
	const inputs = { ...typed, potId: typed.usePot ? (vessel?.id ?? '') : '' };
	const result = planNow(gathered, inputs, settings);
	const save = async (transaction: Transaction) => {
		if (existing) {
			if (await tables.pours().count({ where: { shotId: existing.id }, transaction }))
				throw new RefusedError('It is at the bench, or was poured: size it anew from this one instead.');
			const change = { masterId: master.id, resinId: resin.id, inputs, result };
			await updateVersioned(tables.shots(), 'shot', existing.id, existing.version, change, transaction);
			return;
		}
		const number = await nextNumber('shot', transaction);
		await tables
			.shots()
			.create(
				{ id, number, masterId: master.id, resinId: resin.id, inputs, result, version: 1 },
				{ transaction }
			);
	};
	return makeOnce(existing?.id ?? id, () => inTransaction(save));
}

/** What the moulds of a pour are made of, where the resin touches them. */
async function facesOf(moulds: readonly Mould[]): Promise<Thing[]> {
	const [rubbers, plastics] = await Promise.all([listMaterials('rubber'), listMaterials('thermoplastic')]);
	return moulds.flatMap(
		(m) =>
			MOULD_MODULES[m.inputs.kind].thing(m.inputs, {
				rubber: rubbers.find((r) => r.id === m.inputs.rubberId)?.record,
				thermoplastic: plastics.find((r) => r.id === m.inputs.thermoplasticId)?.record
			}) ?? []
	);
}

export async function recordsOf(
	of: Gathered,
	inputs: ShotInputs,
	settings: WorkshopSettings,
	leftMl: number
): Promise<PlanRecords> {
	const { master, resin, moulds, release, recipes, tins, vessel } = of;
	const others = of.others.map((o) => o.mould);
	const today = new Date().toISOString().slice(0, 10);
	const tinOf = (tin: NonNullable<typeof tins.a>) => ({
		id: tin.id,
		lot: tin.record.lot,
		health: containerHealth(tin.record, chemistryOf(resin.record.family), today, settings)
	});
	const [faces, experiences, spares] = await Promise.all([
		facesOf([...moulds, ...others]),
		listExperiences(),
		sparesFor([...inputs.mouldIds, ...others.map((o) => o.id)], leftMl)
	]);
	return {
		master,
		moulds,
		others,
		resin: resin.record,
		release: release?.record,
		tins: {
			...(tins.a ? { a: tinOf(tins.a) } : {}),
			...(tins.b ? { b: tinOf(tins.b) } : {}),
			speed: speedOf(of),
			fillers: of.fillerTins
		},
		markCup: of.markCup?.record,
		vesselId: vessel?.id,
		settings: withPot(settings, vessel),
		spares,
		recipes,
		touching: {
			resin: resinThing(resin.id, resin.record),
			moulds: faces,
			release: release && releaseThing(release.id, release.record)
		},
		experiences,
		stamps: stampsOf(of, inputs, settings)
	};
}

/** Why and in what a kept shot is otherwise by today's records. */
export interface ShotMoved {
	/** Records that changed since; nothing is known of them for shots of the version before. */
	records: string[];
	differences: Difference[];
	/** By today's records it cannot be planned at all. */
	refused?: string;
}

interface BatchPlans {
	/** As it was kept, on the records of that day. */
	kept: PourPlan;
	/** By the records of today; the kept one where nothing moved. */
	now: PourPlan;
	/** Nothing while the kept plan holds. */
	moved?: ShotMoved;
}

/**
 * The plan of one batch as it was kept and as today's records make it.
 * @throws RefusedError when the shot has no such batch, or its moulds cannot be poured
 */
export async function batchPlans(
	shotId: string,
	batchIndex: number,
	settings: WorkshopSettings
): Promise<BatchPlans> {
	const shot = await getShot(shotId);
	const of = await gather(shot.inputs);
	const batch = shot.planned.shot.batches[batchIndex];
	if (!batch) throw new RefusedError(`Shot ${shot.number} has no batch ${batchIndex + 1}.`);
	const records = await recordsOf(of, shot.inputs, settings, usuallyLeftMl(batch.volumeMl));
	const kept = composePlan(shot, batchIndex, { ...records, stamps: shot.planned.stamps ?? [] });
	const moved = movedStamps(shot.planned.stamps, records.stamps);
	if (moved?.length === 0) return { kept, now: kept };
	const names = moved?.map((s) => s.name) ?? [];
	const outcome = outcomeOf(() => {
		const planned = planNow(of, shot.inputs, settings);
		return composePlan({ ...shot, planned }, batchIndex, records);
	});
	if (!outcome.ok) {
		const refused = outcome.errors[0].message;
		return { kept, now: kept, moved: { records: names, differences: [], refused } };
	}
	const now = outcome.value;
	const differences = planDifferences(kept, now, settings.units);
	return differences.length > 0 ? { kept, now, moved: { records: names, differences } } : { kept, now };
}

/** Sizes a kept shot again by the records of today, so that its page, its card and its other batches agree. */
export async function replanShot(shotId: string, settings: WorkshopSettings): Promise<void> {
	const shot = await getShot(shotId);
	const result = planNow(await gather(shot.inputs), shot.inputs, settings);
	await updateVersioned(tables.shots(), 'shot', shot.id, shot.version, { result });
}
