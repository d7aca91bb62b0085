import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
	judgeReading,
	loadG,
	potGaugeKpa,
	SILENT_AFTER_S,
	simulatedReading,
	weighing,
	type DeviceCommand,
	type DeviceReading,
	type SimulatedShop
} from '.';

const T0 = 1.79e12;
let n = 0;
const at = (s: number, command: object) =>
	({
		id: `00000000-0000-4000-8000-${String(++n).padStart(12, '0')}`,
		atMs: T0 + s * 1000,
		...command
	}) as DeviceCommand;
const shop: SimulatedShop = {
	seed: 7,
	scaleResolutionG: 0.5,
	roomTempC: 22,
	relativeHumidity: 48,
	mouldTempC: 21,
	cupTempC: (s) => 22 + s / 10,
	cups: [{ combinedAtMs: T0 }],
	layered: false,
	timeToPressureS: 20,
	leakPerMin: 0.1,
	overshootS: 0.25
};
const reads = (
	kind: 'scale' | 'infraredThermometer' | 'gauge' | 'hygrometer',
	s: number,
	commands: DeviceCommand[] = []
) => simulatedReading(kind, shop, commands, T0 + s * 1000)!;

describe('the simulated scale', () => {
	it('what lies on it is stream times time, and what was in the air still falls (by hand)', () => {
		const commands = [
			at(0, { kind: 'stream', on: true, gPerS: 10 }),
			at(4, { kind: 'stream', on: false, gPerS: 0 })
		];
		expect(loadG(commands, T0 + 2000, 0.25)).toBeCloseTo(20, 9);
		expect(loadG(commands, T0 + 4100, 0.25)).toBeCloseTo(41, 9);
		expect(loadG(commands, T0 + 9000, 0.25)).toBeCloseTo(42.5, 9);
	});
	it('settles to what lies on it within half a step and its drift, in its own steps', () => {
		const commands = [
			at(0, { kind: 'zero' }),
			at(1, { kind: 'stream', on: true, gPerS: 8 }),
			at(6, { kind: 'stream', on: false, gPerS: 0 })
		];
		const during = reads('scale', 4, commands);
		expect(during.settled).toBe(false);
		const after = reads('scale', 12, commands);
		expect(after.settled).toBe(true);
		expect(Math.abs(after.value - 42)).toBeLessThanOrEqual(1);
		expect((after.value / 0.5) % 1).toBeCloseTo(0, 9);
	});
	it('a zero begins anew', () => {
		const commands = [
			at(0, { kind: 'stream', on: true, gPerS: 8 }),
			at(5, { kind: 'stream', on: false, gPerS: 0 }),
			at(10, { kind: 'zero' })
		];
		expect(Math.abs(reads('scale', 20, commands).value)).toBeLessThanOrEqual(1);
	});
});

describe('gun, gauge, air', () => {
	it('the gun is held at one of several cups, or at the layer that was combined last', () => {
		const several = (layered: boolean): SimulatedShop => ({
			...shop,
			layered,
			cups: [{ combinedAtMs: T0 }, { combinedAtMs: T0 + 60_000 }],
			cupTempC: (s, cup) => 20 + 30 * cup + s / 10
		});
		const gun = (layered: boolean, s: number, commands: DeviceCommand[] = []) =>
			simulatedReading('infraredThermometer', several(layered), commands, T0 + s * 1000)!.value;
		const near = (value: number, tempC: number) => expect(Math.abs(value - tempC)).toBeLessThan(0.6);
		const aim = [at(90, { kind: 'aim', cup: 1 })];
		near(gun(false, 100), 30);
		near(gun(false, 100, aim), 54);
		near(gun(false, 80, aim), 28);
		near(gun(true, 50), 25);
		near(gun(true, 100), 54);
	});
	it('the gun follows the cup with little noise, and the mould before resin is combined', () => {
		for (const s of [10, 60, 120])
			expect(Math.abs(reads('infraredThermometer', s).value - (22 + s / 10))).toBeLessThan(0.6);
		expect(Math.abs(reads('infraredThermometer', -60).value - 21)).toBeLessThan(0.6);
	});
	it('the pot fills in its time, leaks by its rate, lags on the gauge, and empties', () => {
		const commands = [
			at(0, { kind: 'pot', to: 'pump', targetGaugeKpa: 280 }),
			at(30, { kind: 'pot', to: 'hold', targetGaugeKpa: 280 }),
			at(330, { kind: 'pot', to: 'release', targetGaugeKpa: 0 })
		];
		expect(potGaugeKpa(shop, commands, T0 + 10_000)).toBeCloseTo(140, 6);
		expect(potGaugeKpa(shop, commands, T0 + 25_000)).toBeCloseTo(280, 6);
		// five minutes at a tenth a minute: e^−0.5 is left
		expect(potGaugeKpa(shop, commands, T0 + 330_000)).toBeCloseTo(280 * Math.exp(-0.5), 6);
		expect(potGaugeKpa(shop, commands, T0 + 400_000)).toBeLessThan(1);
		expect(reads('gauge', 10, commands).value).toBeLessThan(140);
	});
	it('the same shop, commands and moment always say the same', () => {
		fc.assert(
			fc.property(fc.integer({ min: -100, max: 4000 }), (s) => {
				for (const kind of ['scale', 'infraredThermometer', 'gauge', 'hygrometer'] as const)
					expect(reads(kind, s)).toEqual(reads(kind, s));
			})
		);
	});
});

describe('what is believed', () => {
	const reading = (value: number, s = 0, second?: number): DeviceReading => ({
		device: 'hygrometer',
		atMs: T0 + s * 1000,
		value,
		...(second === undefined ? {} : { second })
	});
	const judge = (
		device: 'scale' | 'infraredThermometer' | 'gauge' | 'hygrometer',
		last: DeviceReading | undefined,
		nowS: number,
		before?: DeviceReading,
		capacity?: number
	) => judgeReading(device, last, before, T0 + nowS * 1000, T0, capacity).state;
	it('silence is noticed after its time, never before', () => {
		expect(judge('hygrometer', undefined, 1)).toBe('waiting');
		expect(judge('hygrometer', undefined, SILENT_AFTER_S + 1)).toBe('silent');
		expect(judge('hygrometer', reading(21, 0, 44), SILENT_AFTER_S - 0.5)).toBe('live');
		expect(judge('hygrometer', reading(21, 0, 44), SILENT_AFTER_S + 0.5)).toBe('silent');
	});
	it('a silent and a mad device are known for what they are', () => {
		const fails = (how: string) => [at(0, { kind: 'fails', device: 'scale', how })];
		expect(simulatedReading('scale', shop, fails('silent'), T0 + 1000)).toBeUndefined();
		const mad = simulatedReading('scale', shop, fails('nonsense'), T0 + 1000);
		expect(judge('scale', mad, 1, undefined, 3000)).toBe('nonsense');
		const back = [...fails('silent'), at(5, { kind: 'fails', device: 'scale', how: 'not' })];
		expect(simulatedReading('scale', shop, back, T0 + 6000)).toBeDefined();
	});
	it.each([
		['hygrometer', 21, 140],
		['hygrometer', 90, 44],
		['infraredThermometer', NaN, undefined],
		['gauge', 1200, undefined],
		['infraredThermometer', 500, undefined]
	] as const)('%s saying %d, %s is nonsense', (device, value, second) => {
		expect(
			judge(device, reading(value, 0, second), 0.2, undefined, device === 'gauge' ? 400 : undefined)
		).toBe('nonsense');
	});
	it('a gun that jumps a hundred degrees in a blink is not believed; a climb is', () => {
		expect(judge('infraredThermometer', reading(150, 1), 1.1, reading(30, 0.8))).toBe('nonsense');
		expect(judge('infraredThermometer', reading(60, 10), 10.1, reading(30, 0))).toBe('live');
	});
});

describe('weighing', () => {
	it('a quarter of the tolerance either way is right, and never finer than the scale', () => {
		expect(weighing(200, 199.2, 0.1, 2)).toMatchObject({ bandG: 1, state: 'right' });
		expect(weighing(10, 9.2, 1, 2)).toMatchObject({ bandG: 1, state: 'right' });
		expect(weighing(200, 202, 0.1, 2).state).toBe('over');
		expect(weighing(200, 196, 0.1, 2).state).toBe('slow');
		expect(weighing(200, 60, 0.1, 2).state).toBe('pouring');
		expect(() => weighing(0, 1, 1)).toThrow(RangeError);
	});
	it('two sides that are each right keep the ratio within its tolerance', () => {
		fc.assert(
			fc.property(
				fc.double({ min: 20, max: 900, noNaN: true }),
				fc.double({ min: 0.4, max: 1, noNaN: true }),
				fc.double({ min: -1, max: 1, noNaN: true }),
				fc.double({ min: -1, max: 1, noNaN: true }),
				(aG, ratio, errA, errB) => {
					const bG = aG * ratio;
					const a = weighing(aG, aG, 0.01, 2);
					const b = weighing(bG, bG, 0.01, 2);
					const off = (aG + errA * a.bandG) / (bG + errB * b.bandG) / (aG / bG) - 1;
					expect(Math.abs(off) * 100).toBeLessThanOrEqual(2);
				}
			)
		);
	});
});
