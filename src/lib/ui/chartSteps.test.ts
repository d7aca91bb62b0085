import { expect, it } from 'vitest';
import { FIRST_STEPS, pictureAt } from './chartSteps';

const whole = {
	height: 320,
	traces: ['core', 'face', 'cup'].map((name) => ({ x: [0, 1, 2], y: [20, 40, 30], name })),
	layout: {
		shapes: [{ type: 'line' as const, x0: 1, x1: 1 }],
		annotations: [{ text: 'gel', x: 1, y: 1 }],
		xaxis: { title: { text: 'minutes' }, range: [0, 2] },
		yaxis: { title: { text: '°C' } },
		yaxis2: { title: { text: 'cured, %' }, range: [0, 100] }
	}
};

it('a first picture comes to the whole by small steps, each of which only adds', () => {
	const steps = Array.from({ length: FIRST_STEPS + 1 }, (_, step) => pictureAt(whole, step));
	const shown = (axis: object) =>
		'showgrid' in axis ? 0 : 'showticklabels' in axis ? 1 : 'nticks' in axis ? 2 : 3;
	const counts = steps.map(({ traces, layout }) => [
		traces.length,
		shown(layout.xaxis),
		shown(layout.yaxis),
		layout.annotations?.length ?? 0,
		layout.shapes?.length ?? 0
	]);
	expect(counts).toEqual([
		[0, 0, 0, 0, 0],
		[1, 0, 0, 0, 0],
		[1, 1, 0, 0, 0],
		[1, 2, 0, 0, 0],
		[1, 3, 0, 0, 0],
		[1, 3, 1, 0, 0],
		[1, 3, 3, 0, 0],
		[2, 3, 3, 0, 0],
		[3, 3, 3, 0, 0],
		[3, 3, 3, 1, 1]
	]);
	expect(steps.at(-1)).toBe(whole);
});

it('axes have their scale from the first step on: nothing jumps when the curves come', () => {
	for (let step = 0; step < FIRST_STEPS; step++) {
		const { layout, height } = pictureAt(whole, step);
		expect(layout.xaxis.range).toEqual([0, 2]);
		expect(layout.yaxis2.range).toEqual([0, 100]);
		expect(height).toBe(320);
	}
});

it('a picture with one axis of values gets no second one, and what was given is not changed', () => {
	const { yaxis2: _second, ...layout } = whole.layout;
	expect('yaxis2' in pictureAt({ ...whole, layout }, 0).layout).toBe(false);
	const before = structuredClone(whole);
	for (let step = 0; step <= FIRST_STEPS + 5; step++) pictureAt(whole, step);
	expect(whole).toEqual(before);
});
