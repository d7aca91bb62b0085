import { expect, it } from 'vitest';
import { buyingList, coatsWanted } from './buying';
import { pullsWanted } from './pulls';
import type { PullRecipe } from './snapshot';
import { DAY, line, NOW, order, recipe, workshop } from './workshop.testing';

const surely = { seen: { good: 900, scrap: 0 } };
const five = (more: Partial<PullRecipe> = {}, mould = 'a') => [
	order('1', 4, [line('l', 5, [recipe(mould, more)], surely)])
];
const cast = (startMs: number) => ({ lineId: 'l', part: 'cast', batch: 0, startMs });

it('what all casts take against the shelf, and when it runs out', () => {
	const shop = workshop(five(), { stock: [{ id: 'white', name: 'White A', leftG: 200 }] });
	// five casts of 60 g
	expect(buyingList(shop, [cast(NOW + 5000), cast(NOW + 1000)])).toEqual([
		{
			stockId: 'white',
			name: 'White A',
			takesG: 300,
			leftG: 200,
			shortG: 100,
			pastG: 0,
			runsOutMs: NOW + 5000,
			orders: ['Order 1']
		}
	]);
});

it('what no tin of the books holds is bought whole, and has no day on which it runs out', () => {
	const takes = [{ stockId: 'unbooked/A', name: 'Blue A', massG: 60 }];
	expect(buyingList(workshop(five({ takes })))).toMatchObject([
		{ name: 'Blue A', takesG: 300, leftG: null, shortG: 300, runsOutMs: null }
	]);
	// what the plan waits for comes first; of two resins without tins each is its own
	const two = [{ stockId: 'unbooked/A', name: 'Red A', massG: 10 }];
	const shop = workshop(
		[
			...five({ takes }),
			order('2', 4, [
				line('m', 1, [recipe('b', { takes: two })], surely),
				line('n', 1, [recipe('c')], surely)
			])
		],
		{ stock: [{ id: 'white', name: 'White A', leftG: 50 }] }
	);
	expect(buyingList(shop).map((b) => [b.name, b.takesG])).toEqual([
		['White A', 60],
		['Blue A', 300],
		['Red A', 10]
	]);
});

it('of what is left it says how much is past its day when the last of it is cast', () => {
	const dated = [
		{ untilMs: NOW + DAY, leftG: 500 },
		{ untilMs: NOW + 9 * DAY, leftG: 300 }
	];
	const shop = workshop(five(), { stock: [{ id: 'white', name: 'White A', leftG: 900, dated }] });
	const pastG = (startMs: number) => buyingList(shop, [cast(startMs)])[0]!.pastG;
	expect([NOW + DAY - 1, NOW + 2 * DAY, NOW + 10 * DAY].map(pastG)).toEqual([0, 500, 800]);
});

const worn = (leftG: number) =>
	workshop(five(), {
		moulds: [
			{
				id: 'a',
				number: 1,
				label: 'a',
				freeAtMs: NOW,
				refused: null,
				left: { low: 2, median: 3, high: 4 },
				successor: { makeS: 3600, cureS: 60_000, takes: [{ stockId: 'deep', name: 'Deep A', massG: 400 }] }
			}
		],
		stock: [
			{ id: 'white', name: 'White A', leftG: 900 },
			{ id: 'deep', name: 'Deep A', leftG }
		]
	});

it('the successor of a mould that will not last takes its rubber', () => {
	const rows = buyingList(worn(1000), [{ part: 'make', mouldId: 'a', startMs: NOW + DAY }]);
	expect(rows.find((b) => b.stockId === 'deep')).toMatchObject({
		leftG: 1000,
		shortG: 0,
		orders: ['successor of M1']
	});
	expect(rows.find((b) => b.stockId === 'deep')!.takesG % 400).toBe(0);
});

it('a successor is not planned with rubber that is not there, and says what is short', () => {
	const { pulls, hindrances, successors } = pullsWanted(worn(150));
	expect(successors).toEqual([]);
	expect(pulls.length).toBeGreaterThan(0);
	expect(hindrances).toMatchObject([
		{
			why: 'M1 is not sure to last, and of Deep A, of which its successor takes 400 g, 150 g are left.',
			short: { stockId: 'deep', massG: 250 }
		}
	]);
	// what the cast that is not planned would have taken is there for others
	expect(pulls.length + hindrances[0]!.casts).toBe(pullsWanted(worn(1e6)).pulls.length);
});

it('coats of a release: of each mould of each cast', () => {
	expect(coatsWanted(workshop(five({ coats: { name: 'Talc', moulds: 2 } })))).toEqual([
		{ name: 'Talc', coats: 10 }
	]);
});
