import { conductionStepper } from './conduction';
import { cupGelS } from './cupModel';
import { fillerMixModel } from './fillerMixModel';
import { gradedWidths, stiffnessWeights } from './grid';
import type { CureModel } from './model';
import { react } from './reaction';
import { crossingS, firstStepS, nextStepS, strangStep } from './stepping';
import type { FillerMix } from './record';
import { aboveGlassK, noteReady, notReady, ripen, stiffShare, type Ready } from './ripening';
import { AIR_W_PER_M2K, WALLS, type WallMaterial } from './wall';

/** Layers of one resin poured one on another into the same mould. */
export interface LayeredSetup {
	/** Thickness of each, mm, the outermost first. */
	readonly layersMm: readonly number[];
	/** What is stirred into each; nothing into those that are not named. */
	readonly fillerMix?: readonly (FillerMix | undefined)[] | undefined;
	readonly mouldWallMm: number;
	readonly wall?: WallMaterial | undefined;
	readonly startTempC: number;
	readonly mouldTempC: number;
	readonly roomTempC: number;
	/** Between combining and pouring each layer: it cures in its cup meanwhile, s. */
	readonly mixS: number;
	/** Conversion of the slowest place of a layer at which the next is poured. */
	readonly nextAt: number;
	/** Conversion past which the next layer no longer bonds. */
	readonly recoatUntil: number;
	/** The next layer waits until the heat of the last has gone: cured past `recoatUntil` and this cool, °C. */
	readonly coolToC?: number;
}

/** One layer's clocks, seconds after the first was poured. */
export interface LayerRun {
	startS: number;
	/** Mean conversion and temperature of the layer over time, until it has gelled. */
	course: { timeS: number; conversion: number; tempC: number }[];
	/** First and last place of it that gels. */
	gelFirstS: number;
	gelLastS: number;
	recoatFromS: number;
	recoatUntilS: number;
}

export interface LayeredRun extends Ready {
	layers: LayerRun[];
	peakTempC: number;
	peakMouldFaceC: number;
	energy: { releasedJ: number; storedJ: number; lostJ: number; broughtJ: number };
}

const CELLS = 6;
/** The first cell of the mould behind the face, m. */
const FACE_CELL_M = 0.3e-3;
/** The left-over cup that is tried before a cast is taken out, g (common practice, no source). */
const WITNESS_CUP_G = 100;
const MOULD_CELLS = 12;
const HORIZON_S = 60 * 86_400;

/**
 * Conduction with reaction while the wall grows inwards: the mould is warmed by each layer and hurries the
 * next. A slab, open to the room's air inside; the same splitting and stepper as the part model.
 */
export function solveLayered(model: CureModel, setup: LayeredSetup, stepConversion = 0.005): LayeredRun {
	const mixes = setup.layersMm.map((_, i) => layerMix(model, setup, setup.fillerMix?.[i]));
	const wall = setup.wall ?? WALLS.silicone;
	const mould = { k: wall.conductivityWPerMK, c: wall.densityGPerMl * wall.specificHeatJPerGK * 1e6 };
	const wallM = setup.mouldWallMm / 1000;
	/** The mix in a cell, while so many layers are poured. */
	const mixAt = (cell: number, poured: number) => mixes[poured - 1 - Math.floor(cell / CELLS)]!;
	let weights = new Float64Array(0);
	const gridFor = (poured: number) => {
		const edges = [0];
		// innermost layer first: the cells run from the air inside to the air outside
		for (let i = poured - 1; i >= 0; i--) {
			const from = edges[edges.length - 1]!;
			for (let c = 1; c <= CELLS; c++) edges.push(from + (setup.layersMm[i]! / 1000 / CELLS) * c);
		}
		const resinEdges = [...edges];
		for (const w of gradedWidths(wallM, MOULD_CELLS, FACE_CELL_M)) edges.push(edges[edges.length - 1]! + w);
		const cells = Array.from({ length: poured * CELLS + MOULD_CELLS }, (_, i) =>
			i < poured * CELLS ? mixAt(i, poured) : mould
		);
		const middleM = (resinEdges[resinEdges.length - 1] ?? 0) / 2;
		weights = Float64Array.from(poured > 0 ? stiffnessWeights(resinEdges, 0, middleM) : []);
		return conductionStepper({
			edgesM: edges,
			dimension: 0,
			conductivity: cells.map((x) => x.k),
			heatCapacity: cells.map((x) => x.c),
			innerAir: AIR_W_PER_M2K,
			outerAir: AIR_W_PER_M2K,
			airTempC: setup.roomTempC
		});
	};
	const cupS = cupGelS(model, { ...setup, massG: WITNESS_CUP_G });

	let temp = new Float64Array(MOULD_CELLS).fill(setup.mouldTempC);
	let conversion = new Float64Array(0);
	let inhibitor = new Float64Array(0);
	let clockS = new Float64Array(0);
	let conduct = gridFor(0);
	const run: LayeredRun = {
		layers: [],
		...notReady(),
		peakTempC: setup.startTempC,
		peakMouldFaceC: setup.mouldTempC,
		energy: { releasedJ: 0, storedJ: -conduct.heatJ(temp), lostJ: 0, broughtJ: 0 }
	};
	const pour = (atS: number) => {
		const n = run.layers.length + 1;
		const { fresh } = mixes[n - 1]!;
		const before = conduct.heatJ(temp);
		const cured = conduct.releasedJ(conversion, (i) => mixAt(i, n - 1).heatJPerM3);
		temp = Float64Array.from([...new Float64Array(CELLS).fill(fresh.tempC), ...temp]);
		conversion = Float64Array.from([...new Float64Array(CELLS).fill(fresh.conversion), ...conversion]);
		inhibitor = Float64Array.from([...new Float64Array(CELLS).fill(fresh.inhibitor), ...inhibitor]);
		clockS = Float64Array.from([...new Float64Array(CELLS), ...clockS]);
		conduct = gridFor(n);
		run.energy.broughtJ += conduct.heatJ(temp) - before;
		// what it released in its cup is not released here
		run.energy.releasedJ -= conduct.releasedJ(conversion, (i) => mixAt(i, n).heatJPerM3) - cured;
		run.layers.push({
			startS: atS,
			course: [{ timeS: atS, conversion: fresh.conversion, tempC: fresh.tempC }],
			gelFirstS: Infinity,
			gelLastS: Infinity,
			recoatFromS: Infinity,
			recoatUntilS: Infinity
		});
	};
	pour(0);
	let t = 0;
	let dt = firstStepS(model.kinetics);
	let previous = { timeS: 0, maturedS: 0, stiffShare: 0 };
	// heat flows from one layer into the next: the richest of them sets the limit
	const mostRiseK = Math.max(...mixes.map((m) => m.riseK));
	const warmestC = Math.max(setup.startTempC, setup.mouldTempC, setup.roomTempC);
	/** Reaction in every layer for a time, each with its own heat. Returns the fastest rate met, 1/s. */
	const reactAll = (timeS: number) =>
		run.layers.reduce((fastest, _, i) => {
			const at = (run.layers.length - 1 - i) * CELLS;
			const own = (x: Float64Array) => x.subarray(at, at + CELLS);
			const { riseK } = mixes[i]!;
			return Math.max(
				fastest,
				react(model.kinetics, own(temp), own(conversion), own(inhibitor), timeS, riseK, warmestC + mostRiseK)
			);
		}, 0);
	const seen = new Map<LayerRun, { least: number; most: number; t: number }>();
	for (let steps = 0; steps < 200_000 && t < HORIZON_S; steps++) {
		const before = Float64Array.from(conversion);
		const tempBefore = Float64Array.from(temp);
		const { fastestPerS, lostJ } = strangStep(reactAll, (timeS) => conduct.step(temp, timeS), dt);
		run.energy.lostJ += lostJ;
		t += dt;
		const poured = run.layers.length;
		let slowest = Infinity;
		let hottest = -Infinity;
		for (let i = 0; i < poured * CELLS; i++) {
			if (conversion[i]! < slowest) slowest = conversion[i]!;
			if (temp[i]! > hottest) hottest = temp[i]!;
		}
		run.peakTempC = Math.max(run.peakTempC, hottest);
		run.peakMouldFaceC = Math.max(run.peakMouldFaceC, conduct.faceTempC(temp, poured * CELLS - 1));
		run.layers.forEach((layer, i) =>
			watch(layer, (poured - 1 - i) * CELLS, conversion, temp, t, model, setup, seen)
		);
		const last = run.layers[poured - 1]!;
		const middle = Math.floor((poured * CELLS) / 2);
		const now = {
			timeS: t,
			maturedS: ripen(model, clockS, tempBefore, temp, before, conversion, dt),
			stiffShare: stiffShare(model, weights, temp, conversion),
			gelled: poured === setup.layersMm.length && slowest >= model.gelConversion,
			hottestC: hottest,
			middleAboveGlassK: aboveGlassK(model, temp[middle]!, conversion[middle]!)
		};
		// the last layer comes out no sooner than its own cup would have gelled
		noteReady(run, model, previous, now, { demouldS: last.startS + cupS - setup.mixS });
		previous = now;
		if (poured < setup.layersMm.length && last.recoatFromS < Infinity) {
			pour(t);
			dt = Math.min(dt, 0.1);
			continue;
		}
		if (run.demouldS < Infinity && run.layers.every((l) => l.recoatUntilS < Infinity)) break;
		if (run.demouldS < Infinity && t > 3 * run.demouldS) break;
		dt = nextStepS(dt, fastestPerS, t, stepConversion);
	}
	run.energy.storedJ += conduct.heatJ(temp);
	const all = run.layers.length;
	run.energy.releasedJ += conduct.releasedJ(conversion, (i) => mixAt(i, all).heatJPerM3);
	return run;
}

function watch(
	layer: LayerRun,
	from: number,
	conversion: Float64Array,
	temp: Float64Array,
	t: number,
	model: CureModel,
	setup: LayeredSetup,
	seen: Map<LayerRun, { least: number; most: number; t: number }>
): void {
	let [least, most, mean, meanTemp, hottest] = [Infinity, 0, 0, 0, -Infinity];
	for (let i = from; i < from + CELLS; i++) {
		least = Math.min(least, conversion[i]!);
		most = Math.max(most, conversion[i]!);
		mean += conversion[i]! / CELLS;
		meanTemp += temp[i]! / CELLS;
		hottest = Math.max(hottest, temp[i]!);
	}
	const before = seen.get(layer) ?? { least, most, t: layer.startS };
	const cross = (level: number, was: number, now: number) =>
		crossingS(level, { timeS: before.t, value: was }, { timeS: t, value: now });
	if (layer.gelLastS === Infinity) layer.course.push({ timeS: t, conversion: mean, tempC: meanTemp });
	const gel = model.gelConversion;
	if (layer.gelFirstS === Infinity && most >= gel) layer.gelFirstS = cross(gel, before.most, most);
	if (layer.gelLastS === Infinity && least >= gel) layer.gelLastS = cross(gel, before.least, least);
	const { coolToC } = setup;
	if (coolToC !== undefined) {
		if (layer.recoatFromS === Infinity && least >= setup.recoatUntil && hottest <= coolToC)
			layer.recoatFromS = t;
	} else if (layer.recoatFromS === Infinity && least >= setup.nextAt)
		layer.recoatFromS = cross(setup.nextAt, before.least, least);
	if (layer.recoatUntilS === Infinity && least >= setup.recoatUntil)
		layer.recoatUntilS = cross(setup.recoatUntil, before.least, least);
	seen.set(layer, { least, most, t });
}

/** What one layer is to the heat, and how far it has come when it is poured: it keeps its own heat while it is stirred. */
function layerMix(plain: CureModel, { startTempC, mixS }: LayeredSetup, fillerMix: FillerMix | undefined) {
	const model = fillerMix ? fillerMixModel(plain, fillerMix) : plain;
	const temp = Float64Array.from([startTempC]);
	const conversion = new Float64Array(1);
	const inhibitor = new Float64Array(1).fill(Number.isFinite(model.kinetics.inductionPerS) ? 1 : 0);
	for (let left = mixS; left > 1e-9; left -= 0.5)
		react(model.kinetics, temp, conversion, inhibitor, Math.min(0.5, left));
	return {
		k: model.conductivityWPerMK,
		c: model.densityGPerMl * model.specificHeatJPerGK * 1e6,
		riseK: model.kinetics.riseK,
		heatJPerM3: model.densityGPerMl * model.heatOfCureJPerG * 1e6,
		fresh: { tempC: temp[0]!, conversion: conversion[0]!, inhibitor: inhibitor[0]! }
	};
}
