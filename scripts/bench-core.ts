// The core's own times, run by `npm run bench`.
import { createRequire } from 'node:module';
import { calibrate, cup, cupBands, part, sections, sectionsBands } from '../src/lib/core/cure';
import { cupMoves, layersBand, partMoves, truths } from '../src/lib/core/cure/bands';
import { cupFigures } from '../src/lib/core/cure/cup';
import { solveLayered } from '../src/lib/core/cure/layered';
import { CUP_LOSS_W_PER_M2K, integrateCup, standardCupAreaM2 } from '../src/lib/core/cure/cupModel';
import { curingRate } from '../src/lib/core/cure/kinetics';
import { mix } from '../src/lib/core/mix';

const row = (what: string, value: string, aim: string) =>
	console.log(`${what.padEnd(46)} ${value.padStart(12)}   aim ${aim}`);

/** Median time of one call, ms, over batches long enough for the clock. */
function medianMs(work: (i: number) => unknown, batches: number, perBatch: number): number {
	const times: number[] = [];
	for (let b = 0; b < batches; b++) {
		const start = performance.now();
		for (let i = 0; i < perBatch; i++) work(b * perBatch + i);
		times.push((performance.now() - start) / perBatch);
	}
	return times.sort((x, y) => x - y)[Math.floor(batches / 2)]!;
}

const white = { potLifeS: 150, demouldS: 900, character: 'quick' as const };
// another record each time: the calibration is part of the price
const fresh = (i: number) => ({ ...white, potLifeS: 150 + (i % 997) / 100 });
const at = { massG: 250, startTempC: 23, roomTempC: 21 };
const section = { shape: 'slab' as const, thicknessMm: 6 };
const mould = { mouldWallMm: 12, startTempC: 23, mouldTempC: 23, roomTempC: 21 };

row(
	'cup, record known',
	`${medianMs((i) => cup({ resin: white, ...at, massG: 100 + (i % 900) }), 41, 10).toFixed(2)} ms`,
	'under 5 ms'
);
row(
	'cup, record new (with calibration)',
	`${medianMs((i) => cup({ resin: fresh(i), ...at }), 41, 5).toFixed(2)} ms`,
	''
);
row(
	'part to demould, record known',
	`${medianMs((i) => part({ resin: white, section, ...mould, roomTempC: 20 + (i % 997) / 300 }), 41, 5).toFixed(2)} ms`,
	'under 40 ms'
);
const input = {
	resin: { densityAGPerMl: 1.1, densityBGPerMl: 0.99, ratio: { by: 'weight' as const, a: 100, b: 90 } },
	target: { volumeMl: 100 }
};
row('mix', `${(medianMs(() => mix(input), 41, 500) * 1000).toFixed(1)} µs`, 'under 50 µs');

interface TheirSolver {
	absoluteTolerance: number;
	relativeTolerance: number;
	solve(f: (t: number, y: number[]) => number[], t0: number, y0: number[], t1: number): { y: number[] };
}
const { Solver } = createRequire(import.meta.url)('odex') as { Solver: new (n: number) => TheirSolver };
const model = calibrate(white);
const setup = {
	kinetics: model.kinetics,
	massG: 250,
	densityGPerMl: model.densityGPerMl,
	specificHeatJPerGK: model.specificHeatJPerGK,
	startTempC: 23,
	roomTempC: 21,
	areaM2: standardCupAreaM2(250, model.densityGPerMl),
	lossWPerM2K: CUP_LOSS_W_PER_M2K
};
const cool = (CUP_LOSS_W_PER_M2K * setup.areaM2) / (setup.massG * setup.specificHeatJPerGK);
const theirs = () => {
	const solver = new Solver(2);
	solver.absoluteTolerance = 1e-6;
	solver.relativeTolerance = 1e-6;
	return solver.solve(
		(_t, y) => {
			const rate = curingRate(model.kinetics, y[0]!, y[1]!);
			return [rate, model.kinetics.riseK * rate - cool * (y[1]! - 21)];
		},
		0,
		[0, 23],
		400
	).y;
};
const ours = () => integrateCup(setup, 400, () => false).y;
const [a, b] = [ours(), theirs()];
row(
	'cup equation, difference to odex at 400 s',
	`${Math.abs(a[1]! - b[1]!).toExponential(1)} °C`,
	'equal accuracy'
);
row(
	'cup equation, time against odex',
	`× ${(medianMs(ours, 41, 20) / medianMs(theirs, 41, 20)).toFixed(2)}`,
	'below 1'
);

// how sure a forecast is: its price, and whether the bands hold
const where = (thicknessMm: number, open: boolean) => ({
	section: { shape: 'slab' as const, thicknessMm },
	mouldWallMm: 10,
	open
});
const room = { startTempC: 23, mouldTempC: 23, roomTempC: 23 };
row(
	'cup with its band, record known',
	`${medianMs((i) => cupBands({ resin: white, ...at, massG: 100 + (i % 900) }), 21, 3).toFixed(1)} ms`,
	'under 10 ms'
);
row(
	'part with its band, record known',
	`${medianMs((i) => sectionsBands({ resin: white, where: where(6 + (i % 97) / 100, false), ...room }), 11, 1).toFixed(0)} ms`,
	'under 150 ms'
);
row(
	'four layers',
	`${medianMs(
		(i) =>
			solveLayered(model, {
				layersMm: [1, 1, 1, 1 + (i % 9) / 100],
				mouldWallMm: 12,
				...room,
				mixS: 60,
				nextAt: model.gelConversion,
				recoatUntil: 0.8
			}),
		11,
		1
	).toFixed(0)} ms`,
	''
);
row(
	'four layers with their band',
	`${medianMs(
		(i) =>
			layersBand({
				resin: white,
				setup: {
					layersMm: [1, 1, 1, 1 + (i % 9) / 100],
					mouldWallMm: 12,
					...room,
					mixS: 60,
					nextAt: model.gelConversion,
					recoatUntil: 0.8
				}
			}),
		5,
		1
	).toFixed(0)} ms`,
	'under 600 ms'
);
const TRUTHS = 400;
const inside = (values: readonly number[], band: { low: number; high: number }) =>
	`${((100 * values.filter((v) => v >= band.low && v <= band.high).length) / values.length).toFixed(0)} %`;
for (const [name, resin, massG] of [
	['a fast cup', white, 100],
	['a slow cup', { potLifeS: 1200, demouldS: 14_400, character: 'gradual' as const }, 400]
] as const) {
	const question = { resin, massG, startTempC: 23, roomTempC: 23 };
	const lives = truths(question, cupMoves, TRUTHS).map((q) => cupFigures(q).potLifeS);
	row(`truths inside the band, ${name}`, inside(lives, cupBands(question).potLifeS), '72 to 88 %');
}
for (const [name, mm, open] of [
	['a skin of 3 mm', 3, true],
	['a block of 12 mm', 12, false]
] as const) {
	const question = { resin: white, where: where(mm, open), ...room };
	const times = truths(question, partMoves, TRUTHS).map((q) => sections(q.resin, q.where, q).demouldS);
	row(`truths inside the band, ${name}`, inside(times, sectionsBands(question).demouldS), '72 to 88 %');
}
