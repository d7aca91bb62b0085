import { QueryTypes, type Transaction } from 'sequelize';
import {
	makingClocks,
	makingCuts,
	makingEvent,
	makingSteps,
	placed,
	readyAtMs,
	reduceMaking,
	weighedPours,
	type MakingEvent,
	type MakingState,
	type WeighedPour
} from '$lib/core/making';
import { masterVolumeMl } from '$lib/core/master';
import { inRubber, MADE_OF, mixingOf, MOULD_MODULES, type MakingPlan } from '$lib/core/mould';
import type { Clock } from '$lib/core/bench';
import { flashOffS } from '$lib/core/shelf';
import { InputError } from '$lib/core/working';
import type { WorkshopSettings } from '$lib/core/workshop';
import { db, inTransaction } from '../db/connection';
import { plain, tables, type MouldRow } from '../db/models';
import { NotFoundError, RefusedError } from '../errors';
import { note, type Actor } from '../people/audit';
import { insertEvents, type Sender } from './benchEvents';
import { getMaster, measureByWater } from './masters';
import { getMaterial } from './materials';
import { getMould, type Mould } from './moulds';

/** The mixes of a plan. @throws RefusedError when the rubber is not workable for long enough */
function mixing(...what: Parameters<typeof mixingOf>) {
	try {
		return mixingOf(...what);
	} catch (error) {
		if (error instanceof InputError) throw new RefusedError(error.message);
		throw error;
	}
}

/** What is done at the bench for a mould, from its records and the workshop as they stand now. */
async function makingPlan(mould: Mould, settings: WorkshopSettings): Promise<MakingPlan> {
	const { inputs, plan } = mould;
	const master = await getMaster(mould.masterId);
	const release = inputs.releaseId ? await getMaterial('release', inputs.releaseId) : undefined;
	const rubber = inRubber(plan.kind) ? await getMaterial('rubber', inputs.rubberId) : undefined;
	const thermoplastic =
		MADE_OF[plan.kind] === 'thermoplastic'
			? await getMaterial('thermoplastic', inputs.thermoplasticId)
			: undefined;
	const { mixes, vacuum: air } = mixing(plan, { rubber: rubber?.record }, inputs.degas, settings);
	const setS = MOULD_MODULES[plan.kind].settingS(plan);
	const volumeMl = masterVolumeMl(master.record);
	return {
		number: mould.number,
		label: mould.label,
		masterName: mould.masterName,
		kind: plan.kind,
		materialName: mould.rubberName,
		...(rubber ? { cureKind: rubber.record.cureKind } : {}),
		sealing: master.record.sealing,
		...(release
			? {
					release: {
						name: release.record.name,
						flashOffS: flashOffS(release.record),
						powder: release.record.kind === 'talc'
					}
				}
			: {}),
		shape: inputs.shape,
		seamSide: inputs.seamSide,
		degas: inputs.degas,
		...(air
			? {
					vacuum: {
						risenMl: air.risenMl,
						vesselMl: settings.vacuumVesselMl,
						pumpDownS: air.pumpDownS,
						takesS: air.takesS
					}
				}
			: {}),
		pours: plan.pours.map((p, i) => ({
			name: p.name,
			massG: p.massG,
			...(p.a ? { aG: p.a.massG } : {}),
			...(p.b ? { bG: p.b.massG } : {}),
			...(p.thickenerG ? { thickenerG: p.thickenerG } : {}),
			mixes: mixes[i]?.count ?? 1,
			setS: setS[i]!
		})),
		workingTimeS: plan.workingTimeS,
		...MOULD_MODULES[plan.kind].making(inputs, plan, {
			rubber: rubber?.record,
			thermoplastic: thermoplastic?.record
		}),
		...(volumeMl === undefined ? {} : { masterVolumeMl: volumeMl }),
		cavities: inputs.cavities
	};
}

/** Begins to make a mould; one that is begun already goes on where it stands. */
export async function beginMaking(id: string, settings: WorkshopSettings, actor?: Actor): Promise<void> {
	const mould = await getMould(id);
	if (mould.making) return;
	if (mould.state !== 'new' || mould.pouredAt)
		throw new RefusedError('This mould is made already: a new one is planned from its master.');
	if (mould.plan.pours.length === 0 && MADE_OF[mould.plan.kind] !== 'nothing')
		throw new RefusedError('This plan is of an older kind: save it once more, then make it.');
	const making = await makingPlan(mould, settings);
	await inTransaction(async (transaction) => {
		const row = await tables.moulds().findByPk(id, { transaction, lock: transaction.LOCK.UPDATE });
		if (!row || plain(row).making) return;
		await tables.moulds().update({ making, state: 'being-made' }, { where: { id }, transaction });
		await note(actor, 'making-begun', `M${mould.number}, ${mould.masterName}`, transaction);
	});
}

/** The mould's making plan. @throws NotFoundError when it was not begun */
export async function getMaking(id: string): Promise<MakingPlan> {
	const { making } = await getMould(id);
	if (!making) throw new NotFoundError('making of this mould');
	return making;
}

/** Events from a sequence number on. */
export async function readMakingEvents(
	mouldId: string,
	after = 0,
	transaction?: Transaction
): Promise<{ events: MakingEvent[]; lastSeq: number }> {
	const rows = await db().query<{ seq: number; body: unknown }>(
		'SELECT seq, body FROM making_events WHERE mouldId = :mouldId AND seq > :after ORDER BY seq',
		{ type: QueryTypes.SELECT, replacements: { mouldId, after }, ...(transaction ? { transaction } : {}) }
	);
	return {
		events: rows.map((r) => makingEvent.parse(typeof r.body === 'string' ? JSON.parse(r.body) : r.body)),
		lastSeq: rows.length > 0 ? Number(rows[rows.length - 1]!.seq) : after
	};
}

/** Adds events and brings the mould's own dates and state up to them, all or nothing. */
export async function addMakingEvents(
	mouldId: string,
	events: readonly MakingEvent[],
	from: Sender = {}
): Promise<MakingState> {
	return inTransaction(async (transaction) => {
		const row = await tables.moulds().findByPk(mouldId, { transaction, lock: transaction.LOCK.UPDATE });
		const plan = row && plain(row).making;
		if (!row || !plan) throw new NotFoundError('making of this mould');
		await insertEvents(
			'making',
			mouldId,
			events.map((e) => makingEvent.parse(e)),
			(body) => makingEvent.parse(body),
			transaction,
			from
		);
		const all = await readMakingEvents(mouldId, 0, transaction);
		const steps = makingSteps(plan);
		const state = reduceMaking(steps, all.events);
		await project(plain(row), steps, state, transaction);
		return state;
	});
}

async function project(
	mould: Pick<MouldRow, 'id' | 'masterId' | 'number' | 'state'>,
	steps: ReturnType<typeof makingSteps>,
	state: MakingState,
	transaction: Transaction
): Promise<void> {
	const { id: mouldId, state: before } = mould;
	const { firstMs } = placed(steps, state);
	const ready = firstMs === undefined ? undefined : (state.endedAtMs ?? readyAtMs(steps, state, Date.now()));
	const to = { open: 'being-made', finished: 'new', abandoned: 'retired' } as const;
	// once it is in use, its making only adds to its record
	const own =
		before === 'being-made' || before === 'new' || (before === 'retired' && state.status === 'abandoned');
	await tables.moulds().update(
		{
			...(own ? { state: to[state.status] } : {}),
			pouredAt: firstMs === undefined ? null : new Date(firstMs),
			readyAt: ready === undefined ? null : new Date(ready),
			inspection: state.inspection ?? null
		},
		{ where: { id: mouldId }, transaction }
	);
	if (state.inspection?.waterMl && state.endedAtMs !== undefined)
		await measureByWater(
			mould.masterId,
			{
				volumeMl: state.inspection.waterMl,
				mould: `M${mould.number}`,
				on: new Date(state.endedAtMs).toISOString().slice(0, 10)
			},
			transaction
		);
}

/** The making of a mould as it stands; nothing when it was never begun. */
async function madeSoFar(id: string) {
	const row = await tables.moulds().findByPk(id, { attributes: ['making'] });
	const making = row && plain(row).making;
	if (!making) return undefined;
	const steps = makingSteps(making);
	const { events } = await readMakingEvents(id);
	return { making, steps, state: reduceMaking(steps, events) };
}

/** Clocks of a mould that is being made. */
export async function clocksOfMaking(id: string): Promise<Clock[]> {
	const made = await madeSoFar(id);
	return made ? makingClocks(id, made.making, made.steps, made.state) : [];
}

/** What was really weighed while it was made. */
export async function weighedInMaking(id: string): Promise<WeighedPour[]> {
	const made = await madeSoFar(id);
	return made ? weighedPours(made.steps, made.state) : [];
}

/** Waits of its making that were ended early. */
export async function cutsOfMaking(id: string): Promise<ReturnType<typeof makingCuts>> {
	const made = await madeSoFar(id);
	return made ? makingCuts(made.steps, made.state) : [];
}
