import { flushSync } from 'svelte';
import { describe, expect, it, vi } from 'vitest';
import { begin, bench, desk, noted, press, run, stop, upTo } from './deskTesting.svelte';

describe('the scale', () => {
	it('too much B at once becomes more A', () => {
		begin();
		upTo('measure-b');
		bench.says({ device: 'scale', value: 99 }); // a tenth too much
		press();
		expect(run.current!.id).toBe('measure-a');
		expect(desk.scale.targetG).toBeCloseTo(110, 9);
		expect(desk.scale.factor).toBeCloseTo(1.1, 9);
	});

	it('off the ratio the step does not end before it is mended', () => {
		begin({ measuring: 'one-cup' });
		upTo('measure-b');
		bench.says({ device: 'scale', value: 90 });
		press();
		press(); // combined: A runs into the same cup
		bench.says({ device: 'scale', value: 0 }); // the zero has come through
		bench.says({ device: 'scale', value: 110 }); // a tenth too much A
		press();
		// 110 g of A want 99 g of B: 9 g more
		expect(desk.scale.mend).toMatchObject({ part: 'B' });
		expect(desk.scale.mend!.addG).toBeCloseTo(9, 6);
		expect(desk.weighs).toBe(true);
		const at = run.state.current;
		bench.says({ device: 'scale', value: 2 });
		press();
		expect(desk.scale.said).toMatch(/pour on/);
		expect(run.state.current).toBe(at);
		bench.says({ device: 'scale', value: 9 });
		press();
		expect(desk.scale.mend).toBeUndefined();
		expect(run.state.weighedG).toMatchObject({ 'measure-b': 99, 'measure-a': 110 });
	});

	it('one addition follows another, and each is weighed from nothing', () => {
		begin({ measuring: 'one-cup' });
		upTo('measure-b');
		bench.says({ device: 'scale', value: 90 });
		press();
		press();
		bench.says({ device: 'scale', value: 0 });
		bench.says({ device: 'scale', value: 110 });
		press();
		const zeros = () => bench.told.filter((c) => c.kind === 'zero').length;
		const before = zeros();
		// 9 g of B are missing, 20 g run in: now A is missing, and what stands on the scale is not A
		bench.says({ device: 'scale', value: 0 });
		bench.says({ device: 'scale', value: 20 });
		press();
		expect(desk.scale.mend).toMatchObject({ part: 'A' });
		expect(zeros()).toBe(before + 1);
		bench.says({ device: 'scale', value: 20 });
		expect(desk.scale.netG).toBe(0);
		press();
		expect(run.state.weighedG).toMatchObject({ 'measure-b': 110, 'measure-a': 110 });
		bench.says({ device: 'scale', value: 0 });
		bench.says({ device: 'scale', value: desk.scale.targetG });
		press();
		expect(desk.scale.mend).toBeUndefined();
	});

	it('gone back to, a cup still holds what was weighed: more can be added, or it stays as it is', () => {
		begin();
		upTo('measure-b');
		bench.says({ device: 'scale', value: 0 });
		bench.says({ device: 'scale', value: 99 });
		press();
		bench.says({ device: 'scale', value: 0 });
		const zeros = bench.told.filter((c) => c.kind === 'zero').length;
		desk.back();
		flushSync();
		expect(run.current!.id).toBe('measure-b');
		expect(bench.told.filter((c) => c.kind === 'zero')).toHaveLength(zeros);
		expect(desk.scale.netG).toBe(99);
		bench.says({ device: 'scale', value: 4 });
		expect(desk.scale.netG).toBe(103);
		// emptied and begun anew
		desk.scale.zero();
		bench.says({ device: 'scale', value: 0 });
		expect(desk.scale.netG).toBe(0);
		stop();
		// by hand the field says what was typed
		begin({}, false);
		upTo('measure-b');
		desk.scale.typedG = 99;
		press();
		desk.back();
		flushSync();
		expect(desk.scale.typedG).toBe(99);
		desk.scale.typedG = 90;
		press();
		expect(run.state.weighedG['measure-b']).toBe(90);
		expect(desk.scale.typedG).toBeUndefined();
	});

	it('a step that another device ended is not zeroed here: that would wipe what is in the cup already', () => {
		begin();
		upTo('measure-b');
		bench.says({ device: 'scale', value: 90 });
		const zeros = () => bench.told.filter((c) => c.kind === 'zero').length;
		const before = zeros();
		run.record({ kind: 'temp-read', tempC: 22, source: 'typed' });
		flushSync();
		const { steps, state } = run;
		(run as unknown as { events: readonly unknown[] }).events = [
			...(run as unknown as { events: readonly unknown[] }).events,
			{ id: crypto.randomUUID(), atMs: Date.now(), kind: 'step-done', stepId: steps[state.current]!.id }
		];
		flushSync();
		expect(run.current!.id).toBe('measure-a');
		expect(zeros()).toBe(before);
	});

	it('by marks the cup has a mark, which moves with what the part before came out at', () => {
		begin({ measuring: 'marks', cupDiameterMm: 50 }, false);
		upTo('measure-b');
		const planned = 91_000 / (Math.PI * 25 ** 2);
		expect(desk.scale.markMm).toBeCloseTo(planned, 9);
		// B came out a tenth over: typed, since there is no scale
		desk.scale.typedG = 99;
		press();
		expect(run.current?.id).toBe('measure-a');
		expect(desk.scale.markMm).toBeCloseTo(planned * 1.1, 9);
		expect(desk.scale.targetG).toBeCloseTo(110, 9);
	});

	it('by scale there is no mark to look for', () => {
		begin({ measuring: 'two-cups' }, false);
		upTo('measure-b');
		expect(desk.scale.markMm).toBeUndefined();
		expect(desk.scale.targetG).toBeCloseTo(90, 9);
	});

	it('while the ratio is mended only what is missing counts, and no mark', () => {
		begin({ measuring: 'marks', cupDiameterMm: 50 }, false);
		upTo('measure-b');
		desk.scale.typedG = 90;
		press();
		desk.scale.typedG = 120;
		press();
		expect(run.current?.id).toBe('combine');
		expect(desk.scale.mend?.part).toBe('B');
		expect(desk.scale.markMm).toBeUndefined();
		expect(desk.scale.targetG).toBeCloseTo(desk.scale.mend!.addG, 9);
	});

	it('a cup is weighed from nothing, also while the scale still shows the last one', () => {
		begin();
		upTo('measure-b');
		bench.says({ device: 'scale', value: 90 });
		press();
		expect(bench.told.some((c) => c.kind === 'zero')).toBe(true);
		bench.says({ device: 'scale', value: 90 });
		expect(desk.scale.netG).toBe(0);
		// a slow network: nothing can be poured into a cup that still shows the last one
		vi.advanceTimersByTime(4000);
		bench.says({ device: 'scale', value: 90 });
		expect([desk.scale.zeroing, desk.scale.netG, desk.scale.now!.state]).toEqual([true, 0, 'empty']);
		desk.scale.stream(true);
		expect(bench.told.some((c) => c.kind === 'stream')).toBe(false);
		// it came through: what is poured from here counts, also when it is as much as before
		bench.says({ device: 'scale', value: 0 });
		expect([desk.scale.zeroing, desk.scale.netG]).toEqual([false, 0]);
		bench.says({ device: 'scale', value: 90 });
		expect([desk.scale.zeroing, desk.scale.netG]).toEqual([false, 90]);
	});

	it('a zero that never comes through is not waited for without end, and none is for a scale that shows nothing', () => {
		begin();
		upTo('measure-b');
		bench.says({ device: 'scale', value: 90 });
		desk.scale.zero();
		vi.advanceTimersByTime(10_000);
		bench.says({ device: 'scale', value: 90 });
		expect([desk.scale.zeroing, desk.scale.netG]).toEqual([false, 90]);
		bench.says({ device: 'scale', value: 1 });
		desk.scale.zero();
		bench.says({ device: 'scale', value: 12 });
		expect([desk.scale.zeroing, desk.scale.netG]).toEqual([false, 12]);
	});

	it('a stream runs while it is held, a trickle an eighth of it, and none without a scale', () => {
		begin();
		desk.scale.stream(true);
		expect(bench.told).toEqual([]);
		upTo('measure-b');
		bench.says({ device: 'scale', value: 0 });
		for (const [on, slow] of [
			[true, false],
			[true, false],
			[false, false],
			[true, true],
			[false, true]
		] as const)
			desk.scale.stream(on, slow);
		const flows = bench.told.filter((c) => c.kind === 'stream').map((c) => c.gPerS);
		expect(flows).toEqual([90 / 8, 0, 90 / 64, 0]);
	});

	it('a scale that is lost ends no step by itself: the amount is typed, or stood for by a second press', () => {
		const lose = () => {
			bench.says({ device: 'scale', value: 0, settled: true });
			vi.advanceTimersByTime(10_000);
			flushSync();
		};
		begin();
		upTo('measure-b');
		lose();
		press();
		expect(run.current!.id).toBe('measure-b');
		expect(desk.scale.said).toMatch(/90\sg/);
		desk.scale.typedG = 93;
		press();
		expect(noted('weighed')[0]).toMatchObject({ stepId: 'measure-b', massG: 93 });
		expect(noted('weighed')[0]).not.toHaveProperty('by');
		// the next cup is asked about again
		upTo('measure-a');
		lose();
		press();
		expect(run.current!.id).toBe('measure-a');
		press();
		expect(run.current!.id).not.toBe('measure-a');
		expect(noted('weighed')).toHaveLength(1);
		stop();
		// a cup with a mark needs no scale
		begin({ measuring: 'marks', markBMm: 40 });
		upTo('measure-b');
		lose();
		press();
		expect(run.current!.id).not.toBe('measure-b');
	});

	it('by hand: nothing typed ends the step as planned, nonsense does not', () => {
		begin({}, false);
		upTo('measure-b');
		desk.scale.typedG = -4;
		press();
		expect(desk.scale.said).toBe('A cup cannot hold less than nothing.');
		desk.scale.typedG = 90.4;
		press();
		expect(run.state.weighedG['measure-b']).toBe(90.4);
		press();
		expect(run.state.weighedG['measure-a']).toBeUndefined();
		expect(run.state.doneAtMs['measure-a']).toBeDefined();
	});
});
