import { describe, expect, it } from 'vitest';
import { get, post } from './http';

const calc = (name: string, body: unknown) => post(`/api/calc/${name}`, body);
const white = { potLifeS: 150, demouldS: 900, character: 'quick' };

describe('the open calculation interface', () => {
	it('lists what it can do, and each example works when it is sent back', async () => {
		const { status, json } = await get('/api/calc');
		expect(status).toBe(200);
		expect(json.calculations.length).toBeGreaterThanOrEqual(8);
		for (const { name, schema, example, body } of json.calculations) {
			expect(schema).toHaveProperty('$schema');
			// a 3D file goes as the raw body, what is said beside it as the query
			const answer = body
				? await post(`/api/calc/${name}?${example.query}`, example.body as string)
				: await calc(name, example);
			expect(answer.status, name).toBe(200);
			expect(answer.text).not.toMatch(/NaN|Infinity/);
		}
	});

	it('displacement: 84.8 g of water at 20 °C (Kell)', async () => {
		const { json } = await calc('displacement', { overflowMassG: 84.8, waterTempC: 20 });
		expect(json.volumeMl).toBeCloseTo(84.95, 2);
	});

	it('mix: 400 g of A with 360 g of B at 100:90 (common practice, no source)', async () => {
		const { json } = await calc('mix', {
			resin: { densityAGPerMl: 1.1, densityBGPerMl: 0.99, ratio: { by: 'weight', a: 100, b: 90 } },
			target: { massG: 760 }
		});
		expect(json.a.massG).toBeCloseTo(400, 6);
		expect(json.b.massG).toBeCloseTo(360, 6);
		expect(json).toMatchObject({ fillers: [], fillerVolumeFraction: 0, viscosityFactor: 1 });
		expect(json.ratioErrorPercent).toBeGreaterThan(0);
	});

	it('correct-pour answers in the ratio’s own kind', async () => {
		const weight = await calc('correct-pour', {
			ratio: { by: 'weight', a: 100, b: 90 },
			pouredAG: 110,
			pouredBG: 90,
			capacityG: 200
		});
		expect(weight.json.addBG).toBeCloseTo(9, 6);
		expect(weight.json.totalG).toBeCloseTo(209, 6);
		expect(weight.json.discardG).toBeCloseTo(9, 6);
		const volume = await calc('correct-pour', { ratio: { by: 'volume', a: 1, b: 1 }, pouredAMl: 60 });
		expect(volume.json).toMatchObject({ addAMl: 0, addBMl: 60, totalMl: 120, discardMl: 0 });
	});

	it('mould-block, pot, budget and dew-point keep their names', async () => {
		const block = await calc('mould-block', {
			cavity: { shape: 'tube', diameterMm: 76.2, heightMm: 88.9 },
			masterVolumeMl: 50,
			rubber: {
				densityGPerMl: 1.1072,
				ratio: { by: 'weight', a: 100, b: 10 },
				workingTimeS: 2400,
				cureTimeS: 57_600,
				refTempC: 23
			},
			roomTempC: 23
		});
		expect(block.json.grossVolumeMl).toBeCloseTo(405.4, 1);
		expect(block.json.rubber.massG).toBeCloseTo((405.42 - 50) * 1.1072, 0);
		expect(block.json).toMatchObject({
			a: { massG: expect.any(Number) },
			degasVesselMl: expect.any(Number),
			readyInS: expect.any(Number)
		});
		const pot = await calc('pot', {
			gaugeKpa: 275.79,
			potVolumeL: 10,
			contentsL: 2,
			freeAirLPerMin: 100,
			ratedGaugeKpa: 400
		});
		expect(pot.json.bubbleVolumeRatio).toBeCloseTo(0.269, 3);
		const budget = await calc('budget', {
			steps: [{ name: 'mix', durationS: 45 }],
			potLifeS: 100,
			marginPercent: 0
		});
		expect(budget.json).toMatchObject({ slackS: 55, fits: true, deadlines: [{ name: 'mix', atS: 45 }] });
		const dew = await calc('dew-point', { tempC: 25, relativeHumidity: 60 });
		expect(dew.json.dewPointC).toBeCloseTo(16.7, 1);
	});

	it('cup and part give the sheet back', async () => {
		const cup = await calc('cup', { resin: white, massG: 100, startTempC: 23, roomTempC: 23, pourTempC: 36 });
		expect(cup.json.potLifeS).toBeCloseTo(150, 1);
		expect(cup.json.series[0]).toEqual({ timeS: 0, tempC: 23, conversion: 0 });
		expect(cup.json.reachesPourTempS).toBeGreaterThan(0);
		const part = await calc('part', {
			resin: white,
			section: { shape: 'slab', thicknessMm: 6 },
			mouldWallMm: 10,
			startTempC: 23,
			mouldTempC: 23,
			roomTempC: 23
		});
		expect(part.json.demouldS / 900).toBeCloseTo(1, 2);
	});
});

describe('bad input', () => {
	it.each([
		[
			'pot',
			{ gaugeKpa: 500, potVolumeL: 10, contentsL: 2, freeAirLPerMin: 100, ratedGaugeKpa: 400 },
			'gaugeKpa'
		],
		[
			'mould-block',
			{
				cavity: { shape: 'box', lengthMm: 50, widthMm: 50, heightMm: 50 },
				masterVolumeMl: 130,
				rubber: {
					densityGPerMl: 1.1,
					ratio: { by: 'weight', a: 1, b: 1 },
					workingTimeS: 2400,
					cureTimeS: 14_400,
					refTempC: 23
				},
				roomTempC: 23
			},
			'masterVolumeMl'
		],
		['cup', { resin: white, massG: -1, startTempC: 23, roomTempC: 23 }, 'massG'],
		['mix', { resin: { densityAGPerMl: 'heavy' }, target: { massG: 1 } }, 'resin.densityAGPerMl'],
		['displacement', { overflowMassG: 'lots', waterTempC: 20 }, 'overflowMassG'],
		['budget', { steps: [], potLifeS: 100 }, 'steps']
	])('%s is refused at its field with 422', async (name, body, path) => {
		const { status, json } = await calc(name, body);
		expect(status).toBe(422);
		expect(json.errors.map((e: { path: string }) => e.path)).toContain(path);
		expect(json.errors[0].message.length).toBeGreaterThan(5);
	});

	it.each(['', '{', 'null', '[]', '"x"', '1e999', '🦀'])('the body %j is refused with 422', async (body) => {
		expect((await calc('mix', body)).status).toBe(422);
	});

	it('too large is 413, unknown is 404, and nothing is a 500', async () => {
		expect((await calc('mix', `"${'x'.repeat(400_000)}"`)).status).toBe(413);
		expect((await calc('mix', `"${'x'.repeat(12_000_000)}"`)).status).toBe(413);
		expect((await calc('alchemy', {})).status).toBe(404);
		expect((await get('/api/calc/mix')).status).toBe(405);
		expect((await get('/api/calc/alchemy')).status).toBe(404);
	});

	it('a page of another site cannot write', async () => {
		const { status } = await post('/api/calc/mix', {}, { origin: 'http://evil.example' });
		expect(status).toBe(403);
	});
});

describe('schedule', () => {
	const hands = { resource: 'hands', amount: 1 };
	const ask = (activities: unknown[], more: object = {}) =>
		calc('schedule', {
			resources: [{ name: 'hands', capacity: 1, calendar: [{ fromS: 0, untilS: 100 }] }],
			activities,
			...more
		});

	it('answers with starts, bound and proof, and from a seed the same again', async () => {
		const shop = [
			{ id: 'pour', durationS: 30, needs: [hands] },
			{ id: 'demould', durationS: 10, needs: [hands], after: [{ id: 'pour', leastS: 20, mostS: 40 }] },
			{ id: 'sweep', durationS: 20, needs: [hands] }
		];
		const { status, json } = await ask(shop, { iterations: 20, seed: 7 });
		expect(status).toBe(200);
		// worked by hand: what is swept lies between, nothing waits
		expect(json).toMatchObject({
			status: 'feasible',
			starts: { pour: 0, sweep: 30, demould: 50 },
			finishS: 60,
			lowerBoundS: 60,
			lateWeightedS: 0,
			proven: true
		});
		expect((await ask(shop, { iterations: 20, seed: 7 })).json).toEqual(json);
	});
	it('what cannot be is proven by what is in the way', async () => {
		const { json } = await ask([
			{ id: 'mix', durationS: 60, needs: [hands] },
			{ id: 'watch', durationS: 5, needs: [hands], after: [{ id: 'mix', from: 'start', mostS: 20 }] },
			{ id: 'sweep', durationS: 5, needs: [hands] }
		]);
		expect(json).toMatchObject({ status: 'infeasible', conflict: ['mix', 'watch'], starts: {} });
	});
	it.each([
		[[{ id: 'a', durationS: 1.5 }], 'activities.0.durationS', 'Times are whole seconds.'],
		[[{ id: 'a', durationS: 1, breaks: true }], 'activities.0.breaks', /without a break/],
		[
			[{ id: 'a', durationS: 1, needs: [{ resource: 'oven', amount: 1 }] }],
			'activities.0.needs.0.resource',
			'There is no resource "oven".'
		],
		[
			[{ id: 'a', durationS: 1, after: [{ id: 'b' }] }],
			'activities.0.after.0.id',
			'There is no activity "b".'
		],
		[
			[
				{ id: 'a', durationS: 1 },
				{ id: 'a', durationS: 2 }
			],
			'activities.1.id',
			'"a" is there twice.'
		]
	])('%j is refused at its field', async (activities, path, message) => {
		const { status, json } = await ask(activities);
		expect(status).toBe(422);
		expect(json.errors[0]).toMatchObject({ path, message: expect.stringMatching(message) });
	});
	it('over ten seconds are not worked on', async () => {
		const { status, json } = await ask([], { budgetMs: 10_001 });
		expect([status, json.errors[0].path]).toEqual([422, 'budgetMs']);
	});
});
