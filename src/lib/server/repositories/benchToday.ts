import { QueryTypes } from 'sequelize';
import {
	inspectionsWanted,
	NEAR_END_PULLS,
	pourToday,
	stockWanted,
	successorWanted,
	type PourToday,
	type Wanted
} from '$lib/core/plan';
import { chemistryOf } from '$lib/core/shelf';
import type { WorkshopSettings } from '$lib/core/workshop';
import { db } from '../db/connection';
import { RowCache } from '../db/rowCache';
import { listContainers } from './containers';
import { listResins } from './materials';
import { listVessels } from './vessels';

/** With what a mould can be poured today. */
type MouldToday = PourToday & { resinName: string };
export type Due = Wanted & { href: string };

/** By all that they follow from: the same are asked for at every look at the front page. */
const answers = new RowCache<PourToday>(500);

/** For moulds by id: what they were last poured with, held against shelf, room and air of today. */
export async function pourableToday(
	mouldIds: readonly string[],
	settings: WorkshopSettings
): Promise<Record<string, MouldToday>> {
	if (mouldIds.length === 0) return {};
	const [rows, resins, tins] = await Promise.all([
		db().query<{ mouldId: string; resinName: string; massG: number | null; cupG: string | null }>(
			`SELECT mp.mouldId, p.resinName, p.massG, JSON_VALUE(o.plan, '$.massG') AS cupG
			FROM mould_pulls mp JOIN pulls p ON p.id = mp.lastPullId LEFT JOIN pours o ON o.id = p.pourId
			WHERE mp.mouldId IN (:ids)`,
			{ type: QueryTypes.SELECT, replacements: { ids: mouldIds } }
		),
		listResins(),
		listContainers()
	]);
	const { roomTempC, relativeHumidity, stopHumidityPercent } = settings;
	const found: Record<string, MouldToday> = {};
	for (const row of rows) {
		const resin = resins.find((r) => r.record.name === row.resinName);
		const massG = row.massG === null ? 0 : Number(row.massG);
		if (!resin || !(massG > 0)) continue;
		const of = { massG, cupG: row.cupG === null ? massG : Number(row.cupG) };
		const own = tins
			.filter((t) => t.record.materialId === resin.id)
			.map(({ record, remainingG, emptied, rateFactor }) => ({ record, remainingG, emptied, rateFactor }));
		const asked = [resin.record, of, own, { roomTempC, relativeHumidity, stopHumidityPercent }] as const;
		const today = answers.get(JSON.stringify(asked), '', () => pourToday(...asked));
		found[row.mouldId] = { ...today, resinName: row.resinName };
	}
	return found;
}

const at = (wanted: Wanted | undefined, href: string): Due[] => (wanted ? [{ ...wanted, href }] : []);

/** What is due: looks at vessels, moulds near their end; and what runs out on the shelf. */
export async function dueNow(settings: WorkshopSettings, now: Date): Promise<{ due: Due[]; out: Due[] }> {
	const [vessels, near, tins, resins] = await Promise.all([
		listVessels(now),
		db().query<{ id: string; number: number; label: string; left: number }>(
			`SELECT m.id, m.number, m.label,
				CAST(JSON_VALUE(l.forecast, '$.low') AS SIGNED) - (mp.pulls - l.pulls) AS \`left\`
			FROM moulds m JOIN mould_pulls mp ON mp.mouldId = m.id
			JOIN mould_inspections l ON l.mouldId = m.id AND l.forecast IS NOT NULL
				AND l.at = (SELECT MAX(at) FROM mould_inspections x WHERE x.mouldId = m.id)
			WHERE m.state = 'active' HAVING \`left\` <= :nearEnd ORDER BY \`left\` LIMIT 8`,
			{ type: QueryTypes.SELECT, replacements: { nearEnd: NEAR_END_PULLS } }
		),
		listContainers(),
		listResins()
	]);
	const today = now.toISOString().slice(0, 10);
	return {
		due: [
			...vessels
				.filter((v) => !v.record.outOfUse)
				.flatMap((v) => at(inspectionsWanted(v.record.name, v.dues, now.getTime()), `/pots/${v.id}`)),
			...near.flatMap((m) =>
				at(successorWanted(`M${m.number} ${m.label}`, Number(m.left)), `/moulds/${m.id}/wear`)
			)
		],
		out: tins
			.filter((t) => !t.emptied)
			.flatMap((t) => {
				const resin = resins.find((r) => r.id === t.record.materialId);
				const chemistry = resin ? chemistryOf(resin.record.family) : 'silicone';
				return at(stockWanted(t.materialName, t, chemistry, today, settings), `/shelf/containers/${t.id}`);
			})
	};
}
