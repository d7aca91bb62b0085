import { withSteps } from '$lib/core/bench';
import {
	castablePourPlan,
	planCastable,
	type CastableContext,
	type CastableInputs,
	type CastableMould
} from '$lib/core/castable';
import { STATE_WORDS } from '$lib/core/mould';
import type { WorkshopSettings } from '$lib/core/workshop';
import { inTransaction } from '../db/connection';
import { plain, tables } from '../db/models';
import { RefusedError } from '../errors';
import type { Actor } from '../people/audit';
import { measuredMaster } from './masters';
import { getMaterial, listMaterials, type Kept } from './materials';
import { getMould, type Mould } from './moulds';
import { holdMoulds, noteBegun, refuseBusy } from './takeMoulds';

/** A mould as plaster, wax and soap ask for it: what it holds, and the hottest that its face stands. */
export function asCastableMould(
	{ number, rubberId, inputs }: Pick<Mould, 'number' | 'rubberId' | 'inputs'>,
	rubbers: readonly Kept<'rubber'>[],
	thermoplastics: readonly Kept<'thermoplastic'>[]
): CastableMould {
	const rubber = rubbers.find((r) => r.id === rubberId);
	const plastic = thermoplastics.find((t) => t.id === inputs.thermoplasticId);
	return {
		name: `M${number}`,
		cavities: inputs.cavities ?? 1,
		mostTempC: rubber?.record.mostTempC ?? plastic?.record.softenTempC
	};
}

/**
 * Puts a cast of plaster, wax or soap on the bench; it is worked out here from the records, whatever the browser showed.
 * @param id made in the page: the same press twice is one pour
 * @throws RefusedError for moulds that are not its master's, not in use, or in another pour
 */
export async function pourCastable(
	id: string,
	inputs: CastableInputs,
	settings: WorkshopSettings,
	actor?: Actor
): Promise<string> {
	const [material, master, rubbers, thermoplastics, ...moulds] = await Promise.all([
		getMaterial('castable', inputs.materialId),
		measuredMaster(inputs.masterId),
		listMaterials('rubber'),
		listMaterials('thermoplastic'),
		...[...new Set(inputs.mouldIds)].map(getMould)
	]);
	const stranger = moulds.find((m) => m.masterId !== master.id);
	if (stranger) throw new RefusedError(`M${stranger.number} is a mould of another master.`, 'mouldIds');
	const unfit = moulds.find((m) => m.state !== 'active');
	if (unfit)
		throw new RefusedError(
			`M${unfit.number} is ${STATE_WORDS[unfit.state]}: only an active mould is poured.`,
			'mouldIds'
		);
	const context: CastableContext = {
		volumeMl: master.volumeMl,
		moulds: moulds.map((m) => asCastableMould(m, rubbers, thermoplastics)),
		...settings
	};
	const planned = planCastable(inputs, material.record, context);
	const plan = castablePourPlan(inputs, planned, {
		masterName: master.record.name,
		references: master.record.references.map(({ name, lengthMm }) => ({ name, lengthMm })),
		moulds,
		record: material.record,
		settings
	});
	return inTransaction(async (transaction) => {
		await holdMoulds(plan, transaction);
		const known = await tables.pours().findByPk(id, { transaction });
		if (known) return plain(known).id;
		await refuseBusy(plan, transaction);
		await tables
			.pours()
			.create(
				{ id, shotId: null, batchIndex: 0, status: 'open', plan: withSteps(plan, settings.units) },
				{ transaction }
			);
		await noteBegun(actor, plan, transaction);
		return id;
	});
}
