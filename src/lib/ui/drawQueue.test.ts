import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { drawSoon, dropDrawing } from './drawQueue';

let frames: (() => void)[] = [];
/** Lets one frame pass. */
const frame = () => frames.shift()?.();
beforeEach(() => {
	frames = [];
	vi.stubGlobal('requestAnimationFrame', (f: () => void) => frames.push(f));
});
afterEach(() => {
	// whatever a test left waiting is drawn before the next one begins
	while (frames.length > 0) frame();
	vi.unstubAllGlobals();
});

it('draws one thing a frame, in the order in which they were asked', () => {
	const drawn: string[] = [];
	drawSoon({ a: 1 }, () => drawn.push('first'));
	drawSoon({ b: 1 }, () => drawn.push('second'));
	expect(drawn).toEqual([]);
	frame();
	expect(drawn).toEqual(['first']);
	frame();
	expect(drawn).toEqual(['first', 'second']);
});

it('only the newest drawing of an owner counts', () => {
	const owner = {};
	const drawn: number[] = [];
	for (const n of [1, 2, 3]) drawSoon(owner, () => drawn.push(n));
	frame();
	frame();
	expect(drawn).toEqual([3]);
	expect(frames).toEqual([]);
});

it('an owner that is gone is not drawn, and the queue begins anew', () => {
	const owner = {};
	const drawn: string[] = [];
	drawSoon(owner, () => drawn.push('gone'));
	dropDrawing(owner);
	frame();
	expect(drawn).toEqual([]);
	drawSoon({}, () => drawn.push('next'));
	frame();
	expect(drawn).toEqual(['next']);
});
