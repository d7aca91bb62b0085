import { QueryTypes } from 'sequelize';
import { inRubber, outsideMl, standingOf, STATE_WORDS } from '$lib/core/mould';
import {
	mendingS,
	pullRecipe,
	UNBOOKED,
	type CastsSeen,
	type LineToPlan,
	type MouldToPlan,
	type PullRecipe,
	type Stock,
	type Take,
	type Workshop,
	type WorkshopHours
} from '$lib/core/orders';
import type { WorkshopSettings } from '$lib/core/workshop';
import { db } from '../db/connection';
import { RowCache } from '../db/rowCache';
import { plain, tables } from '../db/models';
import { NotFoundError, RefusedError } from '../errors';
import { listContainers, type Container } from './containers';
import { ledgerStamp } from './ledger';
import { listMasters, type Master } from './masters';
import { listFillers, listResins, listRubbers } from './materials';
import { listMoulds, takesResin, type Mould } from './moulds';
import { begunPulls } from './begunPulls';
import { countLines, listOrders, type Order } from './orders';
import { keptPlans } from './keptPlans';
import { getShot, type Shot } from './shots';
import { listVessels } from './vessels';
import { families, mouldWears } from './wear';

/** Hands that making a mould takes, s (common practice, no source). */
const MAKE_S = 3600;
/** What is at the bench still wants so long at the least, ms. */
const LEAST_LEFT_MS = 10 * 60_000;
const DAY_MS = 86_400_000;

/** Everything that the schedule rests on, as it stands now. */
export async function workshopToPlan(
	settings: WorkshopSettings,
	hours: WorkshopHours,
	pins: Readonly<Record<string, number>>,
	at: Date
): Promise<Workshop> {
	// a plan counts in whole seconds
	const now = new Date(Math.floor(at.getTime() / 1000) * 1000);
	const orders = await listOrders(true);
	const lineIds = orders.flatMap((o) => o.record.lines.map((l) => l.id));
	const [counts, seen, moulds, vessels, tins, masters, resins, fillers, busy, begun] = await Promise.all([
		countLines(lineIds),
		yieldsSeen(),
		listMoulds(),
		listVessels(now),
		listContainers(),
		listMasters(),
		listResins(),
		listFillers(),
		busyMoulds(now),
		begunPulls(
			orders.flatMap((o) => o.record.lines),
			now
		)
	]);
	const shots = new Map<string, Recipe>();
	for (const id of new Set(orders.flatMap((o) => o.record.lines.map((l) => l.shotId))))
		shots.set(id, await recipeOf(id, settings, hours.nightTempC));
	const stock = stockOf(tins);
	const fillerIds = new Map(fillers.map((f) => [f.record.name, f.id]));
	const lineOf = (line: Order['record']['lines'][number]): LineToPlan => {
		const { shot, recipes, refused } = shots.get(line.shotId)!;
		const pieceName = masters.find((m) => m.id === shot?.masterId)?.record.name ?? 'piece';
		const resinName = resins.find((r) => r.id === shot?.resinId)?.record.name ?? '';
		const { good, casting, pours } = counts.get(line.id)!;
		const sofar = seen.get(`${pieceName}\n${resinName}`) ?? { good: 0, scrap: 0 };
		return {
			id: line.id,
			shotId: line.shotId,
			shotNumber: shot?.number ?? 0,
			pieceName,
			resinName,
			copies: line.copies,
			good,
			casting,
			pulls: pours,
			begun: begun.get(line.id) ?? [],
			// where nothing is finished nobody says that it is done
			finishS: line.finishMinutes > 0 ? Math.round(line.finishMinutes * 60 + (mendingS(sofar) ?? 0)) : 0,
			hardenS: Math.round(line.hardenHours * 3600),
			seen: sofar,
			recipes: recipes.map((r) => ({
				...r,
				takes: r.takes.map((t) => ({ ...t, stockId: stock.keyOf(t, shot?.resinId ?? '', fillerIds) }))
			})),
			refused
		};
	};
	const used = new Set([...shots.values()].flatMap((s) => s.recipes.flatMap((r) => r.mouldIds)));
	return {
		nowMs: now.getTime(),
		hours,
		orders: orders.map((o) => ({
			id: o.id,
			number: o.number,
			name: o.record.name,
			dueAtMs: o.record.dueAtMs,
			priority: o.record.priority,
			lines: o.record.lines.map(lineOf)
		})),
		moulds: await mouldsToPlan(
			moulds.filter((m) => used.has(m.id)),
			masters,
			busy,
			now,
			hours.keptOut,
			stock
		),
		pots: vessels
			.filter((v) => v.record.kind === 'pot')
			.map((v) => ({
				id: v.id,
				name: v.record.name,
				freeAtMs: Math.max(now.getTime(), busy.get(v.id) ?? 0),
				refused: v.refused ?? null,
				vessel: v.record
			})),
		stock: stock.list,
		pins
	};
}

interface Recipe {
	shot: Shot | null;
	recipes: PullRecipe[];
	refused: string | null;
}

async function recipeOf(id: string, settings: WorkshopSettings, nightTempC: number | null): Promise<Recipe> {
	let shot: Shot | null = null;
	try {
		shot = await getShot(id);
		const plans = await keptPlans(shot, settings);
		return { shot, recipes: plans.map((plan, batch) => pullRecipe(plan, batch, nightTempC)), refused: null };
	} catch (error) {
		if (error instanceof RefusedError) return { shot, recipes: [], refused: error.message };
		if (error instanceof NotFoundError)
			return { shot, recipes: [], refused: 'Its shot is not in the books any more.' };
		throw error;
	}
}

/** When each mould and pot that is in an open pour is free again, ms since 1970. */
async function busyMoulds(now: Date): Promise<Map<string, number>> {
	const open = await tables
		.pours()
		.findAll({ attributes: ['plan', 'combinedAt'], where: { status: 'open' } });
	const free = new Map<string, number>();
	for (const row of open) {
		const { plan, combinedAt } = plain(row);
		const workS = plan.steps.reduce((sum, s) => sum + s.durationS, 0);
		const from = combinedAt?.getTime() ?? now.getTime() + LEAST_LEFT_MS;
		const soonest = now.getTime() + LEAST_LEFT_MS;
		for (const { id } of plan.moulds) free.set(id, Math.max(soonest, from + (workS + plan.demouldS) * 1000));
		if (plan.pot?.vesselId)
			free.set(plan.pot.vesselId, Math.max(soonest, from + (workS + plan.holdUntilS) * 1000));
	}
	return free;
}

async function mouldsToPlan(
	moulds: readonly Mould[],
	masters: readonly Master[],
	busy: ReadonlyMap<string, number>,
	now: Date,
	keptOut: readonly string[],
	stock: ReturnType<typeof stockOf>
): Promise<MouldToPlan[]> {
	const [all, rubbers] = await Promise.all([families(), listRubbers()]);
	const wears = await mouldWears(moulds, all);
	return moulds.map((m) => {
		const wear = wears.find((w) => w.mould.id === m.id)?.forecast;
		const rubber = rubbers.find((r) => r.id === m.rubberId);
		return {
			id: m.id,
			number: m.number,
			label: m.label,
			freeAtMs: Math.max(now.getTime(), busy.get(m.id) ?? 0, m.readyAt?.getTime() ?? 0),
			refused: !takesResin(m)
				? `is ${STATE_WORDS[m.state]}`
				: keptOut.includes(m.id)
					? 'is kept out of the plan.'
					: null,
			body: bodyOf(
				m,
				masters.find((a) => a.id === m.masterId)
			),
			left: wear ? { low: wear.pullsLeftLow, median: wear.pullsLeftMedian, high: wear.pullsLeftHigh } : null,
			successor:
				rubber && inRubber(m.inputs.kind)
					? {
							makeS: MAKE_S,
							cureS: Math.round(rubber.record.cureTimeS),
							takes: (['A', 'B'] as const).flatMap((side): Take[] => {
								const massG = m.plan[side === 'A' ? 'a' : 'b'].massG;
								const t = { stockId: UNBOOKED + side, name: `${rubber.record.name} ${side}`, massG };
								return massG > 0 ? [{ ...t, stockId: stock.keyOf(t, rubber.id) }] : [];
							})
						}
					: null
		};
	});
}

/** How a mould stands in a pot; nothing where its master is gone. */
const bodyOf = (mould: Mould, master: Master | undefined): MouldToPlan['body'] =>
	master && {
		name: `M${mould.number}`,
		...standingOf(mould, master.record),
		outsideMl: outsideMl(mould, master.volumeMl ?? 0)
	};

/** What is left of each part of each material; tins of one part stand for each other. */
function stockOf(tins: readonly Container[]) {
	const keys = new Map(tins.map((t) => [t.id, `${t.record.materialId}/${t.record.part}`]));
	const list = new Map<string, Stock & { dated: { untilMs: number; leftG: number }[] }>();
	for (const t of tins) {
		const key = keys.get(t.id)!;
		const known = list.get(key) ?? { id: key, name: partName(t), leftG: 0, dated: [] };
		list.set(key, known);
		if (t.emptied || !(t.remainingG > 0)) continue;
		known.leftG += t.remainingG;
		if (t.record.useBy)
			known.dated.push({ untilMs: Date.parse(t.record.useBy) + DAY_MS, leftG: t.remainingG });
	}
	/** The stock that something is taken from: where no tin is in use, that of which the last one was emptied. */
	const keyOf = (
		{ stockId, name }: Take,
		materialId: string,
		fillerIds: ReadonlyMap<string, string> = new Map()
	): string => {
		if (!stockId.startsWith(UNBOOKED)) return keys.get(stockId) ?? stockId;
		const side = stockId.slice(UNBOOKED.length);
		const known =
			side === 'A' || side === 'B'
				? [`${materialId}/${side}`, ...(side === 'A' ? [`${materialId}/whole`] : [])]
				: [`${fillerIds.get(name)}/whole`];
		return known.find((key) => list.has(key)) ?? stockId;
	};
	return { keyOf, list: [...list.values()] };
}

const partName = (t: Container) =>
	t.record.part === 'A' || t.record.part === 'B' ? `${t.materialName} ${t.record.part}` : t.materialName;

type Seen = ReadonlyMap<string, CastsSeen>;
type SeenColumn = 'good' | 'scrap' | 'copies' | 'notedCopies' | 'notedS';
const seenYields = new RowCache<{ seen: Seen }>(1);

/** What came out so far, by piece and resin. */
export async function yieldsSeen(): Promise<Seen> {
	const stamp = await ledgerStamp();
	const known = seenYields.peek('seen', stamp);
	if (known) return known.seen;
	const rows = await db().query<{ piece: string; resin: string } & Record<SeenColumn, string>>(
		`SELECT masterName AS piece, resinName AS resin, SUM(copies * (grade <> 'scrap')) AS good,
			SUM(copies * (grade = 'scrap')) AS scrap,
			SUM(copies * (grade = 'needs-work' OR (grade = 'good' AND COALESCE(mendedS, 0) > 0))) AS copies,
			SUM(copies * (IF(grade = 'needs-work', mendedS IS NOT NULL, grade = 'good' AND COALESCE(mendedS, 0) > 0))) AS notedCopies,
			SUM(IF(grade <> 'scrap', COALESCE(mendedS, 0), 0)) AS notedS
		FROM pulls GROUP BY masterName, resinName`,
		{ type: QueryTypes.SELECT }
	);
	const seen = new Map(
		rows.map(({ piece, resin, good, scrap, copies, notedCopies, notedS }): [string, CastsSeen] => [
			`${piece}\n${resin}`,
			{
				good: Number(good),
				scrap: Number(scrap),
				mended: { copies: Number(copies), notedCopies: Number(notedCopies), notedS: Number(notedS) }
			}
		])
	);
	return seenYields.keep('seen', stamp, { seen }).seen;
}
