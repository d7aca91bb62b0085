import { expect, it } from 'vitest';
import { DEMO_RESINS } from '../../server/seed/materials';
import { resinRecord } from '../shelf';
import { WORKSHOP_DEFAULTS } from '../workshop';
import { orderTakesG, planShot, shortOnShelf, shotInputs, type ShotContext } from '.';

// 1.10 and 0.99 g/ml, one to one by volume: 100 to 90 by weight
const resin = resinRecord.parse(DEMO_RESINS.find((r) => r.name === 'Lantern white'));
const context: ShotContext = {
	cavityVolumeMl: 96,
	mouldWallMm: 12,
	mouldsVolumeMl: 400,
	skinAreaMm2: 9000,
	radiusMm: 30,
	heightMm: 30,
	resin,
	recipes: [],
	settings: WORKSHOP_DEFAULTS
};
const plan = (more: object) =>
	planShot(
		shotInputs.parse({
			masterId: '00000000-0000-4000-8000-000000000001',
			mouldIds: ['00000000-0000-4000-8000-000000000002'],
			resinId: '00000000-0000-4000-8000-000000000003',
			copies: 3,
			sprueVolumeMl: 0,
			sectionMm: 6,
			startTempC: 22,
			mouldTempC: 22,
			roomTempC: 22,
			relativeHumidity: 45,
			...more
		}),
		context
	).shot;

it('an order takes every cup: of a cast in layers all of them, not the first alone (mass is kept)', () => {
	const { batches, massG } = plan({ kind: 'rotocast', wallMm: 3, layers: 3 });
	expect(batches[0]!.layers).toHaveLength(3);
	const { aG, bG } = orderTakesG(batches);
	expect(aG + bG).toBeCloseTo(massG, 6);
	expect(aG / bG).toBeCloseTo(100 / 90, 2);
	expect(aG).toBeGreaterThan(2.5 * batches.reduce((sum, b) => sum + b.a.massG, 0));
});

it('a solid order takes its batches; one in several colours every cup', () => {
	const solid = plan({ kind: 'solid' });
	expect(orderTakesG(solid.batches).aG + orderTakesG(solid.batches).bG).toBeCloseTo(solid.massG, 6);
	const cup = (aG: number, bG: number) => ({
		a: { massG: aG, volumeMl: aG },
		b: { massG: bG, volumeMl: bG }
	});
	const colours = { ...cup(1, 1), cups: [cup(30, 27), cup(10, 9)] } as never;
	expect(orderTakesG([colours, colours])).toEqual({ aG: 80, bG: 72 });
});

it('the shelf is short of what its tins in use do not hold; a part without a tin is not spoken of', () => {
	const { batches } = plan({ kind: 'solid' });
	const { aG, bG } = orderTakesG(batches);
	const tin = (part: 'A' | 'B' | 'whole', remainingG: number) => ({ part, remainingG });
	expect(shortOnShelf(batches, [])).toEqual([]);
	expect(shortOnShelf(batches, [tin('A', aG + 1), tin('B', bG + 1)])).toEqual([]);
	expect(shortOnShelf(batches, [tin('A', aG / 2), tin('A', aG / 3), tin('B', bG + 1)])).toEqual([
		{ part: 'A', needG: aG, leftG: (5 * aG) / 6 }
	]);
	expect(shortOnShelf(batches, [tin('B', bG - 1)]).map((p) => p.part)).toEqual(['B']);
	// a tin that holds the whole is A with nothing beside it
	expect(shortOnShelf(batches, [tin('whole', 1)]).map((p) => p.part)).toEqual(['A']);
});
