import type { z } from 'zod';
import { masterRecord } from '$lib/core/master';
import { mouldInputs, type MouldKind } from '$lib/core/mould';
import { shotInputs } from '$lib/core/shot';
import { tables } from '../db/models';
import { saveMaster } from '../repositories/masters';
import { listMaterials } from '../repositories/materials';
import { getMould, saveMould } from '../repositories/moulds';
import { saveShot } from '../repositories/shots';
import { pouredBefore } from './pulls';
import { DAY_MS, type Story } from './story';

/** A piece that was moulded in every way there is for resin, each mould in use. */
export async function everyKindOfMould(story: Story): Promise<void> {
	const masterId = await saveMaster(
		masterRecord.parse({
			name: 'Gull medallion',
			material: 'resin print',
			footprint: 'round',
			lengthMm: 58,
			widthMm: 58,
			heightMm: 14,
			readings: [{ method: 'overflow', overflowMassG: 27.6, waterTempC: 20 }],
			note: 'Moulded in every way, to see which lasts.'
		}),
		null
	);
	const [plastic] = await listMaterials('thermoplastic');
	const [spray] = await listMaterials('release');
	const red = { rubberId: story.rubberIds.get('Slipway red')! };
	const ways: [MouldKind, Partial<z.input<typeof mouldInputs>>][] = [
		['open-face', red],
		['two-part', { ...red, releaseId: spray!.id }],
		['jacket', { rubberId: story.rubberIds.get('Spindrift skin')!, skinMm: 6 }],
		['press', { thermoplasticId: plastic!.id, clearanceMm: 8 }],
		['rigid', { rigidSource: 'printed' }]
	];
	for (const [i, [kind, way]] of ways.entries()) {
		const mouldId = await saveMould(
			mouldInputs.parse({
				label: `Gull, ${kind}`,
				masterId,
				kind,
				clearanceMm: 10,
				coverMm: 10,
				lossPercent: 5,
				roomTempC: 21,
				releaseId: '',
				place: 'Shelf 3',
				note: '',
				...way
			})
		);
		const madeMs = story.nowMs - (40 - i) * DAY_MS;
		const { plan } = await getMould(mouldId);
		await tables.moulds().update(
			{
				state: 'active',
				pouredAt: new Date(madeMs),
				readyAt: new Date(madeMs + plan.readyInS * 1000)
			},
			{ where: { id: mouldId } }
		);
		const shotId = await saveShot(
			shotInputs.parse({
				masterId,
				mouldIds: [mouldId],
				resinId: story.resinIds.get('Lantern white')!,
				// nothing lets go of a printed face without it
				releaseId: kind === 'rigid' ? spray!.id : '',
				copies: 1,
				sprueVolumeMl: 2,
				sectionMm: 5,
				startTempC: 21,
				mouldTempC: 21,
				roomTempC: 21,
				relativeHumidity: 42
			}),
			story.settings
		);
		await pouredBefore(story, shotId, 20 - i);
	}
}
