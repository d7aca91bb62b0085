import { parse } from 'devalue';
import { afterAll, describe, expect, it } from 'vitest';
import type { KeptOrdersPlan, Workshop } from '$lib/core/orders';
import { closeDb } from '$lib/server/db/connection';
import { plain, tables } from '$lib/server/db/models';
import { readHours, saveHours } from '$lib/server/repositories/workHours';
import { get, sendForm } from './http';

// a plan that a page has worked out, over the demo's orders and a plan that is known to be worse
const DAY_MS = 86_400_000;
const FOLLOWED = 1;
afterAll(closeDb);

const followed = async (): Promise<KeptOrdersPlan> => plain((await tables.plans().findByPk(FOLLOWED))!).body;
const put = (body: KeptOrdersPlan) => tables.plans().update({ body }, { where: { id: FOLLOWED } });

/** The plan of this moment, whatever was kept before. */
async function planned(): Promise<KeptOrdersPlan> {
	// one that nobody has looked at yet is not there
	await get('/orders/plan.json');
	const { hours, version } = await readHours();
	await saveHours({ ...hours, acceptsItself: true }, version);
	await put({ ...(await followed()), restsOn: 'nothing' });
	await get('/orders/plan.json');
	await saveHours(hours, (await readHours()).version);
	return followed();
}
/** The same work, all of it a day later. */
const dayLater = (kept: KeptOrdersPlan): KeptOrdersPlan => ({
	...kept,
	plan: {
		...kept.plan,
		finishMs: kept.plan.finishMs + DAY_MS,
		lateWeightedS: kept.plan.lateWeightedS + 1,
		activities: kept.plan.activities.map((a) => ({
			...a,
			startMs: a.startMs + DAY_MS,
			endMs: a.endMs + DAY_MS
		}))
	}
});
const improve = (starts: unknown, asOfMs: number) =>
	sendForm('/orders/board?/improved', [
		['starts', JSON.stringify(starts)],
		['asOfMs', String(asOfMs)]
	]);

describe('a better plan that a page has found', () => {
	it('is looked for from the workshop and the plan of this moment, sent when it is asked for', async () => {
		await planned();
		const { text } = await sendForm('/orders/board?/workshop', []);
		// in working hours what is to begin now moves along with the clock: the plan that is followed since it was asked
		const good = await followed();
		const sent = JSON.parse(text) as { type: string; data: string };
		expect(sent.type).toBe('success');
		const { workshop, startsMs, finishMs } = parse(sent.data) as {
			workshop: Workshop;
			startsMs: Record<string, number>;
			finishMs: number;
		};
		expect(startsMs).toEqual(Object.fromEntries(good.plan.activities.map((a) => [a.id, a.startMs])));
		expect(finishMs).toBe(good.plan.finishMs);
		const wanted = workshop.orders.flatMap((o) => o.lines.map((l) => l.id));
		expect(good.plan.activities.every((a) => !a.lineId || wanted.includes(a.lineId))).toBe(true);
	});

	it('is followed where it is better, and once; what is no better, broken, too old or unreadable is refused', async () => {
		const good = await planned();
		expect(good.plan.activities.length).toBeGreaterThan(50);
		const { madeAtMs } = good.plan;
		const starts = Object.fromEntries(good.plan.activities.map((a) => [a.id, a.startMs]));
		try {
			await put(dayLater(good));
			const broken = { ...starts, [good.plan.activities.find((a) => a.part === 'cure')!.id]: madeAtMs };
			for (const [text, asOfMs, why] of [
				[broken, madeAtMs, /"type":"failure"/],
				[starts, madeAtMs - DAY_MS, /worked out too long ago/],
				[starts, Date.now() + DAY_MS, /worked out too long ago/],
				[{ one: 'soon' }, madeAtMs, /could not be read/]
			] as const) {
				expect((await improve(text, asOfMs)).text).toMatch(why);
				expect((await followed()).plan.finishMs).toBe(good.plan.finishMs + DAY_MS);
			}
			const { text } = await improve(starts, madeAtMs);
			expect(text).toMatch(/"type":"success"/);
			const now = await followed();
			expect(now.plan.finishMs).toBe(good.plan.finishMs);
			expect(Object.fromEntries(now.plan.activities.map((a) => [a.id, a.startMs]))).toEqual(starts);
			expect((await improve(starts, madeAtMs)).text).toMatch(/no better than the plan/);
		} finally {
			await put(good);
		}
	});
});
