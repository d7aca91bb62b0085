import { describe, expect, it } from 'vitest';
import { improving } from './improvePlan';
import { planFrom } from './planFrom';
import { planOrders } from './planOrders';
import { HOUR, line, order, recipe, workshop } from './workshop.testing';

const shop = workshop([
	order('1', 1, [line('l1', 14, [recipe('a'), recipe('b')])]),
	order('2', 1.2, [line('l2', 12, [recipe('c', { potId: 'pot', holdS: 1200 })])])
]);
const plan = planOrders(shop, {}, { iterations: 1 });
const startsMs = Object.fromEntries(plan.activities.map((a) => [a.id, a.startMs]));

describe('a better plan', () => {
	it('is never worse than the one before it, and is one that the workshop takes', () => {
		let last = { lateWeightedS: Infinity, finishMs: Infinity };
		let best: Record<string, number> = {};
		let steps = 0;
		for (const known of improving(shop, startsMs, 1)) {
			expect(known.lateWeightedS).toBeLessThanOrEqual(last.lateWeightedS);
			if (known.lateWeightedS === last.lateWeightedS)
				expect(known.finishMs).toBeLessThanOrEqual(last.finishMs);
			expect(known.finishMs).toBeGreaterThanOrEqual(known.boundMs);
			[last, best] = [known, known.startsMs];
			if (++steps >= 300) break;
		}
		expect(steps).toBeGreaterThan(10);
		const taken = planFrom(shop, best, startsMs);
		expect(taken).toMatchObject({
			ok: true,
			plan: { lateWeightedS: last.lateWeightedS, finishMs: last.finishMs }
		});
	});
	it('the plan itself is taken as it stands, and moves nothing', () => {
		expect(planFrom(shop, startsMs, startsMs)).toMatchObject({
			ok: true,
			plan: { moved: 0, activities: plan.activities, boundMs: plan.boundMs }
		});
	});
	it('one that was tampered with is not: two at once, in the night, or with nothing in it', () => {
		const [first, second] = plan.activities.filter((a) => a.part === 'cast');
		for (const wrong of [
			{ ...startsMs, [second!.id]: first!.startMs },
			{ ...startsMs, [first!.id]: first!.startMs + 14 * HOUR },
			{}
		]) {
			const refused = planFrom(shop, wrong, startsMs);
			expect(refused.ok).toBe(false);
			expect(refused.ok ? [] : refused.breaches).not.toEqual([]);
		}
	});
});
