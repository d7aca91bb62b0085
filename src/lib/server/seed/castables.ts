import { castableInputs } from '$lib/core/castable';
import { castableRecord } from '$lib/core/shelf';
import { tables, plain } from '../db/models';
import { pourCastable } from '../repositories/castables';
import { listMaterials, saveMaterial } from '../repositories/materials';
import { DEMO_CASTABLES } from './castableRecords';
import { finishPour } from './pulls';
import { idFrom, type Story } from './story';

export async function castableShelf(): Promise<void> {
	for (const c of DEMO_CASTABLES) await saveMaterial('castable', castableRecord.parse(c));
}

/** A plaster copy of the ammonite, poured last week. */
export async function plasterBefore(story: Story): Promise<void> {
	const master = await tables.masters().findOne({ where: { name: 'Ammonite paperweight' } });
	const masterId = plain(master!).id;
	const moulds = await tables
		.moulds()
		.findAll({ where: { masterId, state: 'active' }, order: [['number', 'DESC']] });
	const material = (await listMaterials('castable')).find((c) => c.record.sort === 'plaster')!;
	const pourId = await pourCastable(
		idFrom(story.random),
		castableInputs.parse({
			materialId: material.id,
			masterId,
			mouldIds: [plain(moulds[0]!).id],
			copies: 1
		}),
		story.settings
	);
	await finishPour(story, pourId, 8);
}
