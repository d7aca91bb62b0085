import { quickMaster, quickMould, quickPlan, quickResin, quickShot, type QuickInput } from '$lib/core/quick';
import { containerSpeed } from '$lib/core/shelf';
import type { WorkshopSettings } from '$lib/core/workshop';
import { withSteps } from '$lib/core/bench';
import { inTransaction } from '../db/connection';
import { makeOnce } from '../db/makeOnce';
import { plain, tables } from '../db/models';
import type { Actor } from '../people/audit';
import { inUse } from './containers';
import { getMaster, saveMaster } from './masters';
import { getResin, listResins, saveMaterial } from './materials';
import { getMould, saveMould, setMouldState } from './moulds';
import { saveShot } from './shots';
import { noteBegun } from './takeMoulds';
import { uuidOf } from '../uuidOf';

/** The resin of the question: from the shelf with its tins, or one that stands on no shelf. */
async function resinOf(q: QuickInput) {
	if (q.resinBy !== 'shelf') return { record: quickResin(q, undefined), tins: {} };
	const [{ record }, { a, b }] = await Promise.all([getResin(q.resinId), inUse(q.resinId)]);
	return {
		record,
		tins: {
			...(a ? { a: { id: a.id, lot: a.record.lot } } : {}),
			...(b ? { b: { id: b.id, lot: b.record.lot } } : {}),
			speed: a && containerSpeed(a.record.slowerPercent, a.rateFactor)
		}
	};
}

/**
 * Puts a question on the bench as it is: no mould, no shot, nothing that a pull would be counted for.
 * @param id made in the page: the same press twice is one pour
 */
export async function pourQuick(
	id: string,
	q: QuickInput,
	settings: WorkshopSettings,
	actor?: Actor
): Promise<string> {
	const { record, tins } = await resinOf(q);
	const plan = withSteps(quickPlan(q, record, settings, tins), settings.units);
	return makeOnce(id, () =>
		inTransaction(async (transaction) => {
			await tables.pours().create({ id, shotId: null, batchIndex: 0, status: 'open', plan }, { transaction });
			await noteBegun(actor, plan, transaction);
		})
	);
}

/** The resin's place on the shelf; what is typical or from a label goes there, marked as such. */
async function onShelf(id: string, q: QuickInput, actor?: Actor): Promise<string> {
	if (q.resinBy === 'shelf') return q.resinId;
	const record = quickResin(q, undefined);
	const same = (await listResins()).find(
		(r) => r.record.name === record.name && r.record.potLifeS === record.potLifeS
	);
	return same?.id ?? saveMaterial('resin', record, { id: uuidOf(`${id} resin`), actor });
}

/** In use, whoever takes it there: of two presses at once the later finds it so. */
async function takeIntoUse(mouldId: string, actor?: Actor): Promise<void> {
	const mould = await getMould(mouldId);
	if (mould.state === 'active') return;
	await setMouldState(mouldId, mould.version, 'active', { actor }).catch(async (failure: unknown) => {
		if ((await getMould(mouldId)).state !== 'active') throw failure;
	});
}

/**
 * Keeps a question as master, mould and shot with what is known of them.
 * @param id of the master, made in the page; those of what goes with it follow from it: the same press twice, or at once, is
 * one of each, and one that was cut off is gone on with
 * @returns the shot
 */
export async function keepQuick(
	id: string,
	q: QuickInput,
	settings: WorkshopSettings,
	actor?: Actor
): Promise<string> {
	const known = await tables.shots().findOne({ where: { masterId: id } });
	if (known) return plain(known).id;
	const resinId = await onShelf(id, q, actor);
	const { record } = await getResin(resinId);
	await saveMaster(quickMaster(q, record), null, { id, actor });
	const master = await getMaster(id);
	const mouldId = await saveMould(quickMould(id, master.record.name, q.roomTempC), {
		id: uuidOf(`${id} mould`),
		actor
	});
	await takeIntoUse(mouldId, actor);
	const { inputs } = quickShot(q, record, settings);
	return saveShot({ ...inputs, masterId: id, mouldIds: [mouldId], resinId }, settings, {
		id: uuidOf(`${id} shot`),
		actor
	});
}
