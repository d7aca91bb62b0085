import { randomUUID } from 'node:crypto';
import {
	INSPECTION_DEFAULTS,
	INSPECTED_PARTS,
	type InspectedPart,
	vesselRecord
} from '$lib/core/pressurePot';
import { db } from '../db/connection';
import { tables } from '../db/models';
import { addInspection, listVessels, saveVessel } from '../repositories/vessels';
import { DAY_MS, idFrom, type Story } from './story';

/** A pot in order, an old one out of use, and a vacuum chamber. */
export async function stockPots(nowMs: number): Promise<void> {
	const common = { dues: INSPECTION_DEFAULTS };
	const pot = await saveVessel(
		vesselRecord.parse({
			...common,
			kind: 'pot',
			name: 'Pot 1',
			volumeL: 18,
			diameterMm: 260,
			shelvesMm: [210, 110],
			ratedGaugeKpa: 413,
			targetGaugeKpa: 275,
			regulatorGaugeKpa: 290,
			freeAirLPerMin: 100,
			secondGaugeKpa: 600,
			secondLPerMin: 68
		})
	);
	const old = await saveVessel(
		vesselRecord.parse({
			...common,
			kind: 'pot',
			name: 'Pot 2, small',
			volumeL: 9.5,
			diameterMm: 215,
			shelvesMm: [230],
			ratedGaugeKpa: 380,
			targetGaugeKpa: 275,
			freeAirLPerMin: 100
		})
	);
	const chamber = await saveVessel(
		vesselRecord.parse({
			...common,
			kind: 'chamber',
			name: 'Chamber',
			volumeL: 12,
			diameterMm: 240,
			shelvesMm: [240],
			pumpLPerMin: 70,
			reachesKpa: 3
		})
	);
	const day = (n: number) => new Date(nowMs - n * DAY_MS);
	for (const [i, id] of [pot, old, chamber].entries())
		await db().query('UPDATE vessels SET createdAt = ? WHERE id = ?', { replacements: [day(400 - i), id] });
	const look = (id: string, part: InspectedPart, days: number, ok: boolean, note: string) =>
		addInspection(id, randomUUID(), { part, ok, by: 'Ines', note }, day(days));
	for (const part of INSPECTED_PARTS) {
		await look(
			pot,
			part,
			part === 'vessel' ? 300 : 40,
			true,
			part === 'vessel' ? 'by the inspector, sticker on the lid' : ''
		);
		await look(chamber, part, 60, true, '');
	}
	await look(old, 'gasket', 30, false, 'a cut where the lid sits');
}

/** The years before: cycles that no pour of ours noted. */
export async function oldCycles({ random, nowMs }: Story): Promise<void> {
	const vessels = await listVessels();
	const pot = vessels.find((v) => v.record.name === 'Pot 1')!;
	const rows = Array.from({ length: 230 }, (_, i) => {
		const holdS = 900 + random() * 1500;
		const leak = 0.05 + random() * 0.4;
		return {
			id: idFrom(random),
			vesselId: pot.id,
			pourId: null,
			at: new Date(nowMs - (200 + (230 - i) * 0.8 + random()) * DAY_MS),
			body: {
				load: 'old notebook',
				targetGaugeKpa: 275,
				timeToPressureS: Math.round(24 + random() * 14),
				lowestGaugeKpa: Math.round(275 - (leak * holdS) / 60),
				holdS: Math.round(holdS),
				leakKpaPerMin: leak,
				by: i % 3 ? 'Ines' : 'Tom'
			}
		};
	});
	await tables.cycles().bulkCreate(rows);
	// the looks were made when these were behind it
	await db().query('UPDATE vessel_inspections SET cycles = 230 WHERE vesselId = ?', {
		replacements: [pot.id]
	});
}
