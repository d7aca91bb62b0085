import { conductionStepper } from './conduction';
import { makeGrid, type GridSetup } from './grid';
import type { CureModel } from './model';
import { react } from './reaction';
import { crossingS, firstStepS, nextStepS, strangStep } from './stepping';
import { aboveGlassK, noteReady, notReady, ripen, stiffShare, type NotBefore, type Ready } from './ripening';

export interface PartSetup extends GridSetup {
	readonly startTempC: number;
	readonly mouldTempC: number;
}

interface PartOptions {
	/** Conversions whose time at the slowest place is noted. */
	readonly watchConversions?: readonly number[];
	/** A time at which the ripeness is noted, s. */
	readonly watchAtS?: number;
	/** Largest change of conversion in a step; halve it to check the result. */
	readonly stepConversion?: number;
	/** Of the resin; double them to check the result. */
	readonly cells?: number;
	readonly horizonS?: number;
	/** It is called matured and ready no sooner: not before the resin’s own cup has gelled, or another place is. */
	readonly notBefore?: NotBefore;
	/** Keep the course of core and wall. */
	readonly series?: boolean;
}

/** Core and wall of a part at one moment. */
export interface PartPoint {
	timeS: number;
	coreTempC: number;
	/** Of the mould's face and so of the resin at it. */
	wallTempC: number;
	/** Conversion at the slowest place. */
	slowest: number;
}

interface PartRun extends Ready {
	/** Infinity where the horizon came first. */
	gelCoreS: number;
	gelWallS: number;
	peakTempC: number;
	peakMouldFaceC: number;
	watchedS: number[];
	/** At `watchAtS`: count of the slowest place since its gel, and by how much glass must be raised to be stiff, K. */
	atWatch: { maturedS: number; raiseK: number };
	/** Heat released, heat still stored above the start, heat given to the air: J per unit of area. */
	energy: { releasedJ: number; storedJ: number; lostJ: number };
	steps: number;
	/** Whether it came to its end, to the horizon, or ran out of steps: then it says nothing of the resin. */
	ended: 'done' | 'horizon' | 'too-many-steps';
	series: PartPoint[];
}

type RunModel = Omit<CureModel, 'warnings' | 'defaulted'>;

const CELLS = 28;
const STEP_CONVERSION = 0.01;
/** Share of maturing from which stiffness is watched. */
const NEARLY = 0.9;
const MOST_STEPS = 100_000;

/**
 * Conduction with reaction through resin and mould in one dimension.
 * Steps follow the fastest reaction in the part. What is read at the wall is read at the wall: a place without mass
 * there cures at the temperature of the face.
 */
export function solvePart(model: RunModel, setup: PartSetup, options: PartOptions = {}): PartRun {
	const cells = options.cells ?? CELLS;
	const { grid, weights } = makeGrid(model, setup, cells);
	const n = grid.heatCapacity.length;
	const temp = new Float64Array(n);
	for (let i = 0; i < n; i++) temp[i] = i < cells ? setup.startTempC : setup.mouldTempC;
	const startTemp = Float64Array.from(temp);
	const begins = Number.isFinite(model.kinetics.inductionPerS) ? 1 : 0;
	const conversion = new Float64Array(cells);
	const inhibitor = new Float64Array(cells).fill(begins);
	// the wall and, where it is open, the air face
	const faces = grid.innerAir > 0 ? 2 : 1;
	const face = {
		temp: new Float64Array(faces).fill(setup.mouldTempC),
		conversion: new Float64Array(faces),
		inhibitor: new Float64Array(faces).fill(begins)
	};
	const clockS = new Float64Array(cells + faces);
	const same = () => new Float64Array(clockS.length);
	const [allTemp, tempBefore, allBefore, all] = [same().fill(setup.startTempC), same(), same(), same()];
	const conduct = conductionStepper(grid);
	const stepConversion = options.stepConversion ?? STEP_CONVERSION;
	const horizonS = options.horizonS ?? 60 * 86_400;
	const watch = options.watchConversions ?? [];
	const run: PartRun = {
		gelCoreS: Infinity,
		gelWallS: Infinity,
		...notReady(),
		peakTempC: setup.startTempC,
		peakMouldFaceC: setup.mouldTempC,
		watchedS: watch.map(() => Infinity),
		atWatch: { maturedS: 0, raiseK: 0 },
		energy: { releasedJ: 0, storedJ: 0, lostJ: 0 },
		steps: 0,
		ended: 'too-many-steps',
		series: []
	};
	const watchAtS = options.watchAtS ?? 0;
	const { riseK } = model.kinetics;
	const mostC = Math.max(setup.startTempC, setup.mouldTempC, setup.roomTempC) + riseK;
	let t = 0;
	let dt = firstStepS(model.kinetics);
	let previous = { timeS: 0, slowest: 0, maturedS: 0, stiffShare: 0 };

	while (run.steps < MOST_STEPS && t < horizonS) {
		if (watchAtS > t && t + dt > watchAtS) dt = watchAtS - t;
		const { fastestPerS, lostJ } = strangStep(
			(timeS) => react(model.kinetics, temp, conversion, inhibitor, timeS, riseK, mostC),
			(timeS) => conduct.step(temp, timeS),
			dt
		);
		run.energy.lostJ += lostJ;
		const wallC = conduct.faceTempC(temp, cells - 1);
		face.temp[0] = (face.temp[0]! + wallC) / 2;
		if (faces > 1) face.temp[1] = (face.temp[1]! + conduct.innerFaceTempC(temp)) / 2;
		react(model.kinetics, face.temp, face.conversion, face.inhibitor, dt, 0);
		face.temp[0] = wallC;
		if (faces > 1) face.temp[1] = conduct.innerFaceTempC(temp);
		const t0 = t;
		t += dt;
		run.steps++;

		allBefore.set(all);
		all.set(conversion);
		all.set(face.conversion, cells);
		tempBefore.set(allTemp);
		allTemp.set(temp.subarray(0, cells));
		allTemp.set(face.temp, cells);
		let slowest = Infinity;
		let hottest = -Infinity;
		for (let i = 0; i < all.length; i++) {
			if (all[i]! < slowest) slowest = all[i]!;
			if (allTemp[i]! > hottest) hottest = allTemp[i]!;
		}
		run.peakTempC = Math.max(run.peakTempC, hottest);
		run.peakMouldFaceC = Math.max(run.peakMouldFaceC, wallC);
		if (options.series) run.series.push({ timeS: t, coreTempC: temp[0]!, wallTempC: wallC, slowest });
		const cross = (level: number, before: number, now: number) =>
			crossingS(level, { timeS: t0, value: before }, { timeS: t, value: now });
		const gels = (at: number) => cross(model.gelConversion, allBefore[at]!, all[at]!);
		if (run.gelCoreS === Infinity && all[0]! >= model.gelConversion) run.gelCoreS = gels(0);
		if (run.gelWallS === Infinity && all[cells]! >= model.gelConversion) run.gelWallS = gels(cells);
		watch.forEach((level, i) => {
			if (run.watchedS[i] === Infinity && slowest >= level)
				run.watchedS[i] = cross(level, previous.slowest, slowest);
		});
		const maturedS = ripen(model, clockS, tempBefore, allTemp, allBefore, all, dt);
		const now = {
			timeS: t,
			maturedS,
			// not asked before it matters
			stiffShare: maturedS >= NEARLY * model.maturityS ? stiffShare(model, weights, temp, conversion) : 0,
			gelled: slowest >= model.gelConversion,
			hottestC: hottest,
			middleAboveGlassK: aboveGlassK(model, temp[0]!, conversion[0]!)
		};
		noteReady(run, model, previous, now, options.notBefore);
		if (t === watchAtS)
			run.atWatch = { maturedS: now.maturedS, raiseK: raiseToStiffK(model, weights, temp, conversion) };
		previous = { ...now, slowest };
		if (
			run.demouldS < Infinity &&
			run.gelCoreS < Infinity &&
			t >= watchAtS &&
			run.watchedS.every((s) => s < Infinity)
		) {
			run.ended = 'done';
			break;
		}
		dt = nextStepS(dt, fastestPerS, t, stepConversion, stepConversion / STEP_CONVERSION);
	}
	if (t >= horizonS) run.ended = 'horizon';
	run.energy.storedJ = conduct.heatJ(temp) - conduct.heatJ(startTemp);
	const heatOf = model.densityGPerMl * model.heatOfCureJPerG * 1e6;
	run.energy.releasedJ = conduct.releasedJ(conversion, () => heatOf);
	return run;
}

/** By how much the fresh end of the glass transition must be raised for half of the stiffness to lie below it, K; 0 where it does. */
function raiseToStiffK(
	model: RunModel,
	weights: Float64Array,
	temp: Float64Array,
	conversion: Float64Array
): number {
	const stiff = (raiseK: number) =>
		stiffShare({ ...model, glassShiftK: model.glassShiftK + raiseK }, weights, temp, conversion) >= 0.51;
	if (stiff(0)) return 0;
	let [lo, hi] = [0, 500];
	for (let i = 0; i < 50; i++) {
		const mid = (lo + hi) / 2;
		if (stiff(mid)) hi = mid;
		else lo = mid;
	}
	return hi;
}
