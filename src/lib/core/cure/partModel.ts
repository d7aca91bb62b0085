import { conductionStepper, type Grid } from './conduction';
import type { CureModel } from './model';
import { arrhenius, conversionFactor } from './kinetics';

/** Silicone rubber of a mould (from memory: field values) and still air round it. */
export const MOULD = {
	conductivityWPerMK: 0.22,
	densityGPerMl: 1.1,
	specificHeatJPerGK: 1.4
} as const;
export const AIR_W_PER_M2K = 10;

export interface PartSetup {
	readonly section: { readonly shape: 'slab' | 'cylinder' | 'sphere'; readonly thicknessMm: number };
	readonly mouldWallMm: number;
	readonly startTempC: number;
	readonly mouldTempC: number;
	readonly roomTempC: number;
	/** A slab open to the air on one face. */
	readonly open?: boolean;
}

export interface PartOptions {
	/** Conversions whose time at the slowest place is noted. */
	readonly watchConversions?: readonly number[];
	/** A time at which the slowest place's conversion is noted, s. */
	readonly watchAtS?: number;
	/** Largest change of conversion in a step; halve it to check the result. */
	readonly stepConversion?: number;
	readonly cells?: number;
	readonly horizonS?: number;
	/** It is called ready no sooner, s: not before the resin’s own cup has gelled. */
	readonly demouldNotBeforeS?: number;
	/** Keep the course of core and wall. */
	readonly series?: boolean;
}

/** Core and wall of a part at one moment. */
export interface PartPoint {
	timeS: number;
	coreTempC: number;
	wallTempC: number;
	faceTempC: number;
	/** Conversion at the slowest place. */
	slowest: number;
}

export interface PartRun {
	/** Infinity where the horizon came first. */
	gelCoreS: number;
	gelWallS: number;
	demouldS: number;
	peakTempC: number;
	/** Hottest place of the resin at the moment of demould, °C. */
	hottestAtDemouldC: number;
	peakMouldFaceC: number;
	watchedS: number[];
	slowestConversionAtWatch: number;
	/** Rest in seconds at 23 °C between the demould conversion and `watchAtS`. */
	restAtWatchS: number;
	/** Heat released, heat still stored above the start, heat given to the air: J per unit of area. */
	energy: { releasedJ: number; storedJ: number; lostJ: number };
	steps: number;
	/** Whether it came to its end, to the horizon, or ran out of steps: then it says nothing of the resin. */
	ended: 'done' | 'horizon' | 'too-many-steps';
	series: PartPoint[];
}

type RunModel = Omit<CureModel, 'warnings' | 'defaulted'>;

/** Finite-volume cells of resin and mould, from the middle (or the open face) outwards. */
function makeGrid(model: RunModel, setup: PartSetup, cells: number): { grid: Grid; resinCells: number } {
	const { shape, thicknessMm } = setup.section;
	const open = setup.open === true && shape === 'slab';
	const resinM = (open ? thicknessMm : thicknessMm / 2) / 1000;
	const wallM = setup.mouldWallMm / 1000;
	const mouldCells = Math.max(6, Math.round(cells * 0.75));
	const edges: number[] = [];
	for (let i = 0; i <= cells; i++) edges.push((resinM * i) / cells);
	// cells of the mould grow outwards: the steep gradient is at the face
	const growth = 1.12;
	const first = (wallM * (growth - 1)) / (growth ** mouldCells - 1);
	for (let i = 0, x = resinM; i < mouldCells; i++) edges.push((x += first * growth ** i));
	const dimension = shape === 'slab' ? 0 : shape === 'cylinder' ? 1 : 2;
	const resin = {
		k: model.conductivityWPerMK,
		c: model.densityGPerMl * model.specificHeatJPerGK * 1e6
	};
	const mould = {
		k: MOULD.conductivityWPerMK,
		c: MOULD.densityGPerMl * MOULD.specificHeatJPerGK * 1e6
	};
	const materials = Array.from({ length: cells + mouldCells }, (_, i) => (i < cells ? resin : mould));
	return {
		resinCells: cells,
		grid: {
			edgesM: edges,
			dimension,
			conductivity: materials.map((x) => x.k),
			heatCapacity: materials.map((x) => x.c),
			innerAir: open ? AIR_W_PER_M2K : 0,
			outerAir: AIR_W_PER_M2K,
			airTempC: setup.roomTempC
		}
	};
}

/**
 * Conduction with reaction through resin and mould in one dimension.
 * Strang splitting: half a step of reaction in each cell (heat stays in the cell), a full step of
 * conduction, half a step of reaction. Steps follow the fastest reaction in the part.
 */
export function solvePart(model: RunModel, setup: PartSetup, options: PartOptions = {}): PartRun {
	const { grid, resinCells } = makeGrid(model, setup, options.cells ?? 20);
	const n = grid.heatCapacity.length;
	const temp = new Float64Array(n);
	for (let i = 0; i < n; i++) temp[i] = i < resinCells ? setup.startTempC : setup.mouldTempC;
	const startTemp = Float64Array.from(temp);
	const conversion = new Float64Array(resinCells);
	const inhibitor = new Float64Array(resinCells).fill(Number.isFinite(model.kinetics.inductionPerS) ? 1 : 0);
	const conduct = conductionStepper(grid);
	const stepConversion = options.stepConversion ?? 0.01;
	const horizonS = options.horizonS ?? 60 * 86_400;
	const watch = options.watchConversions ?? [];
	const run: PartRun = {
		gelCoreS: Infinity,
		gelWallS: Infinity,
		demouldS: Infinity,
		peakTempC: setup.startTempC,
		hottestAtDemouldC: NaN,
		peakMouldFaceC: setup.mouldTempC,
		watchedS: watch.map(() => Infinity),
		slowestConversionAtWatch: NaN,
		restAtWatchS: 0,
		energy: { releasedJ: 0, storedJ: 0, lostJ: 0 },
		steps: 0,
		ended: 'too-many-steps',
		series: []
	};
	const watchAtS = options.watchAtS ?? 0;
	const resinFace = resinCells - 1;
	let t = 0;
	let dt = Math.min(0.1, 0.05 / model.kinetics.k23PerS);
	let slowest = 0;
	let restedS = NaN;
	const notBeforeS = options.demouldNotBeforeS ?? 0;
	let readyS = Infinity;
	let previous = { core: 0, wall: 0, slowest: 0, factor: 1 };

	while (run.steps < 100_000 && t < horizonS) {
		if (watchAtS > t && t + dt > watchAtS) dt = watchAtS - t;
		const fastest1 = react(model, temp, conversion, inhibitor, dt / 2);
		run.energy.lostJ += conduct.step(temp, dt);
		const fastest2 = react(model, temp, conversion, inhibitor, dt / 2);
		const t0 = t;
		t += dt;
		run.steps++;

		slowest = Infinity;
		let hottest = -Infinity;
		for (let i = 0; i < resinCells; i++) {
			if (conversion[i]! < slowest) slowest = conversion[i]!;
			if (temp[i]! > hottest) hottest = temp[i]!;
		}
		run.peakTempC = Math.max(run.peakTempC, hottest);
		run.peakMouldFaceC = Math.max(run.peakMouldFaceC, conduct.faceTempC(temp, resinFace));
		if (options.series) {
			run.series.push({
				timeS: t,
				coreTempC: temp[0]!,
				wallTempC: temp[resinFace]!,
				faceTempC: conduct.faceTempC(temp, resinFace),
				slowest
			});
		}
		const core = conversion[0]!;
		const wall = conversion[resinFace]!;
		const cross = (level: number, before: number, now: number) =>
			t0 + ((t - t0) * (level - before)) / (now - before);
		if (run.gelCoreS === Infinity && core >= model.gelConversion)
			run.gelCoreS = cross(model.gelConversion, previous.core, core);
		if (run.gelWallS === Infinity && wall >= model.gelConversion)
			run.gelWallS = cross(model.gelConversion, previous.wall, wall);
		watch.forEach((level, i) => {
			if (run.watchedS[i] === Infinity && slowest >= level)
				run.watchedS[i] = cross(level, previous.slowest, slowest);
		});
		if (t === watchAtS) run.slowestConversionAtWatch = slowest;
		// the rest goes at the temperature of the mould round the part, outside the flash of its own heat
		const factor = arrhenius(model.kinetics.activationJPerMol, temp[n - 1]!);
		if (Number.isNaN(restedS)) {
			if (slowest >= model.demouldConversion) {
				const reachedS = cross(model.demouldConversion, previous.slowest, slowest);
				restedS = (t - reachedS) * factor;
				if (model.demouldRestS <= 0) readyS = reachedS;
			}
		} else restedS += (dt * (factor + previous.factor)) / 2;
		if (readyS === Infinity && restedS >= model.demouldRestS)
			readyS = t - (restedS - model.demouldRestS) / factor;
		if (run.demouldS === Infinity && readyS < Infinity && t >= notBeforeS) {
			run.demouldS = Math.max(readyS, notBeforeS);
			run.hottestAtDemouldC = hottest;
		}
		if (t === watchAtS && restedS > 0) run.restAtWatchS = restedS;
		previous = { core, wall, slowest, factor };
		if (
			run.demouldS < Infinity &&
			run.gelCoreS < Infinity &&
			run.gelWallS < Infinity &&
			t >= watchAtS &&
			run.watchedS.every((s) => s < Infinity)
		) {
			run.ended = 'done';
			break;
		}
		const fastest = Math.max(fastest1, fastest2, 1e-12);
		dt = Math.min(stepConversion / fastest, dt * 1.3, 0.02 * (t + 5) * (stepConversion / 0.01));
	}
	if (t >= horizonS) run.ended = 'horizon';
	run.energy.storedJ = conduct.heatJ(temp) - conduct.heatJ(startTemp);
	run.energy.releasedJ = conduct.releasedJ(conversion, model.densityGPerMl * model.heatOfCureJPerG * 1e6);
	return run;
}

/** Reaction alone in each cell for a time; returns the fastest rate met, 1/s. Midpoint rule. */
export function react(
	model: RunModel,
	temp: Float64Array,
	conversion: Float64Array,
	inhibitor: Float64Array,
	timeS: number
): number {
	const { k23PerS, m, n, activationJPerMol, riseK, inductionPerS } = model.kinetics;
	let fastest = 0;
	for (let i = 0; i < conversion.length; i++) {
		let left = timeS;
		const factor = arrhenius(activationJPerMol, temp[i]!);
		if (inhibitor[i]! > 0) {
			const usedPerS = inductionPerS * factor;
			const neededS = inhibitor[i]! / usedPerS;
			inhibitor[i] = neededS > left ? inhibitor[i]! - left * usedPerS : 0;
			left = Math.max(0, left - neededS);
			// near the end of the induction short steps find its moment
			fastest = Math.max(fastest, usedPerS * 0.1);
			if (left === 0) continue;
		}
		const a0 = conversion[i]!;
		const rate0 = k23PerS * factor * conversionFactor(m, n, a0);
		const mid = a0 + (rate0 * left) / 2;
		const rate =
			k23PerS * arrhenius(activationJPerMol, temp[i]! + riseK * (mid - a0)) * conversionFactor(m, n, mid);
		const gain = Math.min(rate * left, 1 - a0);
		conversion[i] = a0 + gain;
		temp[i] = temp[i]! + riseK * gain;
		if (rate > fastest) fastest = rate;
	}
	return fastest;
}
