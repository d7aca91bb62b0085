import { cupAt, type CupClock } from '../plan/cupClock';
import type { DeviceCommand } from './reading';
import type { DeviceKind, DeviceReading } from './kinds';

/** The shop that the simulated devices stand in. All of it invented; no product's figures. */
export interface SimulatedShop {
	/** Makes the noise repeatable. */
	seed: number;
	scaleResolutionG: number;
	roomTempC: number;
	relativeHumidity: number;
	mouldTempC: number;
	/** Temperature of a cup, °C, so many seconds after it was combined; of several cups or layers counted from 0. */
	cupTempC: (elapsedS: number, cup: number) => number;
	/** The cups that were combined so far. */
	cups: readonly CupClock[];
	/** Layers, one after another, each with its own cup. */
	layered: boolean;
	/** From nothing to the target, s. */
	timeToPressureS: number;
	/** Share of its gauge pressure that the pot loses in a minute. */
	leakPerMin: number;
	/** What is in the air when the stream is stopped falls for so long, s. */
	overshootS: number;
}

/** Usual behaviour of the simulated devices (defaults of ours). */
export const SIMULATED = { leakPerMin: 0.004, overshootS: 0.25, settlesS: 0.35, gaugeLagS: 1.2 } as const;

/**
 * A number in −1…1 that depends on nothing but its arguments: chance that any process repeats.
 * @example
 * noise(7, 1) === noise(7, 1); // true
 */
export function noise(seed: number, n: number): number {
	let h = Math.imul(seed ^ 0x9e3779b9, 0x85ebca6b) ^ Math.imul(n | 0, 0xc2b2ae35);
	h = Math.imul(h ^ (h >>> 15), 0x2c1b3c6d);
	h = Math.imul(h ^ (h >>> 12), 0x297a2d39);
	return ((h ^ (h >>> 15)) >>> 0) / 2 ** 31 - 1;
}

const ordered = (commands: readonly DeviceCommand[]) =>
	[...commands].sort((a, b) => a.atMs - b.atMs || (a.id < b.id ? -1 : 1));

/**
 * What lies on the scale at a moment: every stream so far, with what fell after it was stopped, g.
 * @example
 * loadG([], 0, 0); // 0
 */
export function loadG(commands: readonly DeviceCommand[], atMs: number, overshootS: number): number {
	let massG = 0;
	let open: { fromMs: number; gPerS: number } | undefined;
	const run = (fromMs: number, toMs: number, gPerS: number) => {
		// the first drop needs as long to arrive as the last one falls
		const s = Math.max(0, Math.min(atMs, toMs + overshootS * 1000) - fromMs) / 1000;
		massG += s * gPerS;
	};
	for (const c of ordered(commands)) {
		if (c.kind !== 'stream' || c.atMs > atMs) continue;
		if (open) run(open.fromMs, c.atMs, open.gPerS);
		open = c.on ? { fromMs: c.atMs, gPerS: c.gPerS } : undefined;
	}
	if (open) run(open.fromMs, Infinity, open.gPerS);
	return massG;
}

/** First-order lag of what lies on the plate, by its kernel over the last five time constants. */
function lagged(of: (atMs: number) => number, atMs: number, tauS: number): number {
	const N = 24;
	let [sum, weight] = [0, 0];
	for (let i = 0; i < N; i++) {
		const backS = ((i + 0.5) / N) * 5 * tauS;
		const w = Math.exp(-backS / tauS);
		sum += w * of(atMs - backS * 1000);
		weight += w;
	}
	return sum / weight;
}

function scaleReading(shop: SimulatedShop, commands: readonly DeviceCommand[], atMs: number): DeviceReading {
	const load = (ms: number) => loadG(commands, ms, shop.overshootS);
	const zeros = ordered(commands).filter((c) => c.kind === 'zero' && c.atMs <= atMs);
	const zeroMs = zeros.at(-1)?.atMs;
	const shown = (ms: number) => {
		// creeps by up to half a step over a minute, and trembles by a fifth of one
		const driftG = 0.5 * shop.scaleResolutionG * Math.sin(ms / 60_000 + shop.seed);
		const trembleG = 0.2 * shop.scaleResolutionG * noise(shop.seed, Math.floor(ms / 200));
		return lagged(load, ms, SIMULATED.settlesS) + driftG + trembleG;
	};
	const netG = shown(atMs) - (zeroMs === undefined ? 0 : shown(zeroMs));
	const value = Math.round(netG / shop.scaleResolutionG) * shop.scaleResolutionG;
	const moving = Math.abs(load(atMs) - lagged(load, atMs, SIMULATED.settlesS));
	return {
		device: 'scale',
		atMs,
		value: Math.round(value * 1e6) / 1e6,
		settled: moving < shop.scaleResolutionG / 2
	};
}

/**
 * Gauge pressure in the pot, kPa: linear up to where the regulator closes, leaking when the line is shut.
 * @example
 * potGaugeKpa(simulatedShop(planOf(), { seed: 7, scaleResolutionG: 0.1 }), [], 0); // 0
 */
export function potGaugeKpa(shop: SimulatedShop, commands: readonly DeviceCommand[], atMs: number): number {
	let kpa = 0;
	let mode: { to: 'pump' | 'hold' | 'release'; targetKpa: number; fromMs: number } | undefined;
	const advance = (toMs: number) => {
		if (!mode) return;
		const s = Math.max(0, toMs - mode.fromMs) / 1000;
		if (mode.to === 'pump')
			kpa = Math.min(
				Math.max(mode.targetKpa, kpa),
				kpa + (s * mode.targetKpa) / Math.max(1, shop.timeToPressureS)
			);
		else if (mode.to === 'hold') kpa *= Math.exp((-shop.leakPerMin * s) / 60);
		else kpa *= Math.exp(-s / 4);
	};
	for (const c of ordered(commands)) {
		if (c.kind !== 'pot' || c.atMs > atMs) continue;
		advance(c.atMs);
		mode = { to: c.to, targetKpa: c.targetGaugeKpa || (mode?.targetKpa ?? 0), fromMs: c.atMs };
	}
	advance(atMs);
	return kpa;
}

function honest(
	device: DeviceKind,
	shop: SimulatedShop,
	commands: readonly DeviceCommand[],
	atMs: number
): DeviceReading {
	const grain = (n: number) => noise(shop.seed + n, Math.floor(atMs / 500));
	const tenth = (x: number) => Math.round(x * 10) / 10;
	switch (device) {
		case 'scale':
			return scaleReading(shop, commands, atMs);
		case 'infraredThermometer': {
			const aimed = ordered(commands).findLast((c) => c.kind === 'aim' && c.atMs <= atMs);
			const cup = cupAt(shop.cups, shop.layered, atMs, aimed?.kind === 'aim' ? aimed.cup : 0);
			const tempC =
				cup === undefined
					? shop.mouldTempC
					: shop.cupTempC((atMs - shop.cups[cup]!.combinedAtMs!) / 1000, cup);
			return { device, atMs, value: tenth(tempC + 0.4 * grain(1)) };
		}
		case 'gauge': {
			const kpa = lagged((ms) => potGaugeKpa(shop, commands, ms), atMs, SIMULATED.gaugeLagS);
			return { device, atMs, value: Math.max(0, Math.round(kpa + 0.6 * grain(2))) };
		}
		case 'hygrometer': {
			const slow = Math.sin(atMs / 400_000 + shop.seed);
			return {
				device,
				atMs,
				value: tenth(shop.roomTempC + 0.3 * slow + 0.1 * grain(3)),
				second: Math.round(shop.relativeHumidity + 1.5 * slow + 0.4 * grain(4))
			};
		}
	}
}

/**
 * What a simulated device says at a moment: nothing when it is silent. The same shop, commands and moment
 * always say the same, so that any number of processes may answer for it.
 * @example
 * simulatedReading(
 *   'hygrometer',
 *   simulatedShop(planOf(), { seed: 7, scaleResolutionG: 0.1 }),
 *   [],
 *   Date.UTC(2026, 0, 1)
 * )?.device; // 'hygrometer'
 */
export function simulatedReading(
	device: DeviceKind,
	shop: SimulatedShop,
	commands: readonly DeviceCommand[],
	atMs: number
): DeviceReading | undefined {
	const fails = ordered(commands).filter(
		(c) => c.kind === 'fails' && c.device === device && c.atMs <= atMs
	) as Extract<DeviceCommand, { kind: 'fails' }>[];
	const how = fails.at(-1)?.how ?? 'not';
	if (how === 'silent') return undefined;
	const reading = honest(device, shop, commands, atMs);
	if (how === 'nonsense') return { ...reading, value: -9999 };
	return reading;
}
