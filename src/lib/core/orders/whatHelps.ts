import { handsTimes } from './hours';
import { planOrders, type OrdersPlan } from './planOrders';
import type { PlanBudget } from './settled';
import type { LineToPlan, Workshop } from './snapshot';

/** Something that would bring an order forward. */
export interface Help {
	kind: 'hands' | 'mould' | 'warmth';
	/** Of a mould: which one there would be another of. */
	mouldId?: string;
	/** The order is ready so much sooner, ms. */
	gainMs: number;
	/** It is in time then, which it was not. */
	saves: boolean;
	/** More hours of hands that it takes until the order is ready. */
	handsHours: number;
}

/** Gains of less are chance, ms. */
const LEAST_GAIN_MS = 10 * 60_000;

/**
 * What would bring an order forward most: another pair of hands, another mould of those that it is cast in, a room that stays
 * warm at night. Each is planned anew, as the plan itself was.
 * @param orderId of an order that is planned whole
 * @example
 * whatHelps(ammonites, planOrders(ammonites), 'nothing'); // []
 */
export function whatHelps(
	workshop: Workshop,
	plan: OrdersPlan,
	orderId: string,
	budget: PlanBudget = {}
): Help[] {
	const now = plan.orders.find((o) => o.id === orderId);
	if (!now?.readyAtMs) return [];
	const { readyAtMs, lateMs } = now;
	const order = workshop.orders.find((o) => o.id === orderId)!;
	const moulds = [...new Set(order.lines.flatMap((l) => l.recipes.flatMap((r) => [...r.mouldIds])))];
	const tried: { kind: Help['kind']; mouldId?: string; with: Workshop }[] = [
		{ kind: 'hands', with: withHands(workshop) },
		...(workshop.hours.nightTempC === null ? [] : [{ kind: 'warmth' as const, with: withWarmth(workshop) }]),
		...moulds.flatMap((mouldId) => {
			const more = withMould(workshop, mouldId);
			return more ? [{ kind: 'mould' as const, mouldId, with: more }] : [];
		})
	];
	return tried
		.flatMap(({ kind, mouldId, with: changed }): Help[] => {
			const then = planOrders(changed, {}, budget).orders.find((o) => o.id === orderId);
			const gainMs = readyAtMs - (then?.readyAtMs ?? Infinity);
			if (!(gainMs >= LEAST_GAIN_MS)) return [];
			return [
				{
					kind,
					...(mouldId === undefined ? {} : { mouldId }),
					gainMs,
					saves: lateMs > 0 && then!.lateMs === 0,
					handsHours: kind === 'hands' ? openHours(workshop, then!.readyAtMs!) : 0
				}
			];
		})
		.sort((a, b) => b.gainMs - a.gainMs);
}

/** One pair of hands more whenever somebody is there. */
const withHands = (workshop: Workshop): Workshop => ({
	...workshop,
	hours: {
		...workshop.hours,
		week: workshop.hours.week.map((d) => ({ ...d, hands: d.hands > 0 ? d.hands + 1 : 0 })),
		exceptions: workshop.hours.exceptions.map((e) => ({ ...e, hands: e.hands > 0 ? e.hands + 1 : 0 }))
	}
});

const eachLine = (workshop: Workshop, of: (line: LineToPlan) => LineToPlan): Workshop => ({
	...workshop,
	orders: workshop.orders.map((o) => ({ ...o, lines: o.lines.map(of) }))
});

const withWarmth = (workshop: Workshop): Workshop =>
	eachLine(workshop, (line) => ({
		...line,
		recipes: line.recipes.map((r) => ({ ...r, cureS: { day: r.cureS.day, night: r.cureS.day } }))
	}));

/** Another mould like this one, made and cured first; nothing for one that nobody knows how to make. */
function withMould(workshop: Workshop, mouldId: string): Workshop | undefined {
	const mould = workshop.moulds.find((m) => m.id === mouldId);
	if (!mould?.successor) return undefined;
	const id = `${mouldId}, another`;
	const number = Math.max(...workshop.moulds.map((m) => m.number)) + 1;
	const freeAtMs = workshop.nowMs + (mould.successor.makeS + mould.successor.cureS) * 1000;
	const more = eachLine(workshop, (line) => ({
		...line,
		recipes: line.recipes.flatMap((r) =>
			r.mouldIds.includes(mouldId)
				? [r, { ...r, mouldIds: r.mouldIds.map((m) => (m === mouldId ? id : m)) }]
				: [r]
		)
	}));
	return { ...more, moulds: [...workshop.moulds, { ...mould, id, number, left: null, freeAtMs }] };
}

/** Hours in which somebody is there until then. */
function openHours({ hours, nowMs }: Workshop, untilMs: number): number {
	return handsTimes(hours, nowMs, Math.ceil((untilMs - nowMs) / 86_400_000) + 1).reduce(
		(sum, o) => sum + Math.max(0, Math.min(o.untilS, (untilMs - nowMs) / 1000) - o.fromS) / 3600,
		0
	);
}
