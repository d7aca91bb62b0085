import { QueryTypes } from 'sequelize';
import { layerAmount, type Layer } from '$lib/core/shot';
import { db } from '../db/connection';

/** Of each master the newest finished pour in layers: what was mixed for a copy, layer by layer. */
interface LastLayers {
	masterId: string;
	/** The day on which it was poured, `YYYY-MM-DD`. */
	day: string;
	massG: number[];
}

/** The newest so many pours in layers are looked through. */
const NEWEST = 200;

export async function lastLayers(): Promise<LastLayers[]> {
	const rows = await db().query<{ masterId: string; day: string; layers: string | Layer[]; copies: number }>(
		`SELECT s.masterId, DATE_FORMAT(o.createdAt, '%Y-%m-%d') AS day,
			JSON_EXTRACT(o.plan, '$.layers') AS layers,
			GREATEST(1, COALESCE(JSON_EXTRACT(o.plan, '$.moulds[0].copies'), 1)) AS copies
		FROM pours o JOIN shots s ON s.id = o.shotId
		WHERE o.status = 'finished' AND JSON_LENGTH(o.plan, '$.layers') > 0
		ORDER BY o.createdAt DESC LIMIT ${NEWEST}`,
		{ type: QueryTypes.SELECT }
	);
	const found = new Map<string, LastLayers>();
	for (const { masterId, day, layers, copies } of rows) {
		if (found.has(masterId)) continue;
		const list = (typeof layers === 'string' ? JSON.parse(layers) : layers) as Layer[];
		found.set(masterId, { masterId, day, massG: list.map((l) => layerAmount(l).massG / Number(copies)) });
	}
	return [...found.values()];
}
