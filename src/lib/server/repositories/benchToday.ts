import { QueryTypes } from 'sequelize';
import { cup } from '$lib/core/cure';
import { fieldErrors } from '$lib/core/fieldErrors';
import {
	chemistryOf,
	containerHealth,
	containerSpeed,
	cureOf,
	LOW_SHARE,
	shotsLeft,
	tinsInUse
} from '$lib/core/shelf';
import type { WorkshopSettings } from '$lib/core/workshop';
import { db } from '../db/connection';
import { KeptRows } from '../db/keptRows';
import { listContainers, type Container } from './containers';
import { listResins, type Resin } from './materials';
import { looksComing } from './vessels';

/** With what a mould can be poured today. */
export interface PourToday {
	resinName: string;
	massG: number;
	/** Of its cup at today's room; nothing where the record does not reach. */
	potLifeS: number | null;
	/** Copies that the tins in use hold; nothing where there are no tins in the books. */
	enoughFor: number | null;
	/** Why it had better wait. */
	wait: string | null;
}

export interface Due {
	what: string;
	href: string;
	late: boolean;
}

/** A mould is near its end when the careful figure of its last look leaves so few pulls. */
const NEAR_END = 4;
const DAY_MS = 86_400_000;

function enoughFor(resin: Resin, tins: readonly Container[], massG: number): number | null {
	const left = (parts: string[]) => {
		const of = tins.filter(
			(t) => !t.emptied && t.record.materialId === resin.id && parts.includes(t.record.part)
		);
		return of.length ? of.reduce((sum, t) => sum + t.remainingG, 0) : undefined;
	};
	return shotsLeft(resin.record, massG, { a: left(['A', 'whole']), b: left(['B']) }) ?? null;
}

/** Pot lives by all that they follow from: the same cups are asked for at every look at the front page. */
const cups = new KeptRows<{ potLifeS: number | null }>(500);

function potLifeOf(asked: Parameters<typeof cup>[0]): number | null {
	try {
		return cup(asked).potLifeS;
	} catch (error) {
		if (!fieldErrors(error)) throw error;
		return null;
	}
}

/** For moulds by id: what they were last poured with, held against shelf, room and air of today. */
export async function pourableToday(
	mouldIds: readonly string[],
	settings: WorkshopSettings
): Promise<Record<string, PourToday>> {
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
	const potLife = (resin: Resin, massG: number): number | null => {
		const own = tins.filter((t) => t.record.materialId === resin.id);
		const tin = tinsInUse(own.map((t) => ({ ...t, part: t.record.part }))).a;
		const asked = {
			resin: cureOf(resin.record, tin && containerSpeed(tin.record.slowerPercent, tin.rateFactor)),
			massG,
			startTempC: settings.roomTempC,
			roomTempC: settings.roomTempC
		};
		return cups.get(JSON.stringify(asked), '', () => ({ potLifeS: potLifeOf(asked) })).potLifeS;
	};
	const found: Record<string, PourToday> = {};
	for (const row of rows) {
		const resin = resins.find((r) => r.record.name === row.resinName);
		const massG = row.massG === null ? 0 : Number(row.massG);
		if (!resin || !(massG > 0)) continue;
		const enough = enoughFor(resin, tins, massG);
		const damp =
			chemistryOf(resin.record.family) === 'urethane' &&
			settings.relativeHumidity >= settings.stopHumidityPercent;
		found[row.mouldId] = {
			resinName: row.resinName,
			massG,
			// the clock is the cup's: of a cast in layers that is one layer, and the shelf has to hold them all
			potLifeS: potLife(resin, row.cupG === null ? massG : Number(row.cupG)),
			enoughFor: enough,
			wait:
				enough === 0
					? 'too little of it on the shelf'
					: damp
						? `${Math.round(settings.relativeHumidity)} % humidity: many stop here`
						: null
		};
	}
	return found;
}

/** What is due: looks at vessels, moulds near their end; and what runs out on the shelf. */
export async function dueNow(settings: WorkshopSettings, now: Date): Promise<{ due: Due[]; out: Due[] }> {
	const [looks, near, tins, resins] = await Promise.all([
		looksComing(now),
		db().query<{ id: string; number: number; label: string; left: number }>(
			`SELECT m.id, m.number, m.label,
				CAST(JSON_VALUE(l.forecast, '$.low') AS SIGNED) - (mp.pulls - l.pulls) AS \`left\`
			FROM moulds m JOIN mould_pulls mp ON mp.mouldId = m.id
			JOIN mould_looks l ON l.mouldId = m.id AND l.forecast IS NOT NULL
				AND l.at = (SELECT MAX(at) FROM mould_looks x WHERE x.mouldId = m.id)
			WHERE m.state = 'active' HAVING \`left\` <= ${NEAR_END} ORDER BY \`left\` LIMIT 8`,
			{ type: QueryTypes.SELECT }
		),
		listContainers(),
		listResins()
	]);
	const today = now.toISOString().slice(0, 10);
	return {
		due: [
			...looks
				.filter(({ due }) => due.state === 'failed' || due.state === 'due' || due.state === 'soon')
				.map(({ vessel, due }) => ({
					what: `${vessel.record.name}, ${due.name.toLowerCase()}: ${
						due.state === 'failed'
							? 'failed its look'
							: due.state === 'due'
								? 'past its due date'
								: `due in ${Math.max(0, Math.ceil((due.dueAtMs - now.getTime()) / DAY_MS))} days or ${due.cyclesLeft} cycles`
					}`,
					href: `/pots/${vessel.id}`,
					late: due.state !== 'soon'
				})),
			...near.map((m) => ({
				what: `M${m.number} ${m.label}: ${Number(m.left) <= 0 ? 'may be at its end' : `as few as ${Number(m.left)} pulls left`}, pour its successor`,
				href: `/moulds/${m.id}/wear`,
				late: Number(m.left) <= 0
			}))
		],
		out: tins
			.filter((t) => !t.emptied)
			.flatMap((t) => {
				const resin = resins.find((r) => r.id === t.record.materialId);
				const health = containerHealth(
					t.record,
					resin ? chemistryOf(resin.record.family) : 'silicone',
					today,
					settings.relativeHumidity
				);
				const low = t.remainingG < LOW_SHARE * t.record.sizeG;
				if (!low && health.level !== 'doubtful') return [];
				const name = `${t.materialName}${t.record.part === 'whole' ? '' : ` ${t.record.part}`}`;
				return [
					{
						what: `${name}: ${low ? 'running out' : 'doubtful, try a small cup first'}`,
						href: `/shelf/containers/${t.id}`,
						late: low
					}
				];
			})
	};
}
