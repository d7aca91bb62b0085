import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { flushSync } from 'svelte';
import type { TrapResult, Vec3 } from '$lib/core/mesh';
import { Studio } from './studio.svelte';
import { same, View } from './view.svelte';

const pocket = (depthMm: number) => ({ volumeMl: 1, depthMm, apex: [0, 0, 0], spillMm: 4, errorMl: 0.1 });
const traps = (...depths: number[]) =>
	({ traps: depths.map(pocket), topMm: 30, cellMm: 1 }) as unknown as TrapResult;
const ray = { origin: [0, 0, 9] as Vec3, direction: [0, 0, -1] as Vec3 };

let studio: Studio;
let view: View;
let stop = () => {};
beforeEach(() => {
	stop = $effect.root(() => {
		studio = new Studio();
		view = new View(studio);
	});
	studio.traps = traps(3, 2);
	studio.sizesMm = [10, 12, 20];
	vi.spyOn(studio, 'pick').mockResolvedValue({ triangle: 7, point: [1, 2, 3] } as never);
});
afterEach(() => stop());

describe('a press on the piece', () => {
	it('only turns it unless it is said to set something; beside the piece it does nothing', async () => {
		const add = vi.spyOn(studio, 'addOpening').mockResolvedValue();
		await view.pressed(ray);
		expect(studio.pick).not.toHaveBeenCalled();
		view.mode = 'vent';
		vi.mocked(studio.pick).mockResolvedValue(undefined as never);
		await view.pressed(ray);
		expect(add).not.toHaveBeenCalled();
		expect(view.said).toBe('');
	});

	it('sets a vent where it was, and says what that cured', async () => {
		const add = vi.spyOn(studio, 'addOpening').mockImplementation(async () => {
			studio.traps = traps(3);
			flushSync();
		});
		view.mode = 'vent';
		await view.pressed(ray);
		expect(add).toHaveBeenCalledWith('vent', [1, 2, 3]);
		expect(view.said).toBe('That cures one pocket.');
		add.mockResolvedValue();
		await view.pressed(ray);
		expect(view.said).toMatch(/No pocket is cured/);
		add.mockImplementation(async () => void (studio.traps = traps()));
		studio.traps = traps(1, 2, 3);
		await view.pressed(ray);
		expect(view.said).toBe('That cures 3 pockets.');
	});

	it('turns the face that was pressed up, once, or leaves it open', async () => {
		const turn = vi.spyOn(studio, 'turn').mockResolvedValue();
		const open = vi.spyOn(studio, 'addOpenFace').mockResolvedValue();
		vi.spyOn(studio, 'faceDirection').mockResolvedValue([0, 1, 0]);
		view.mode = 'pour';
		await view.pressed(ray);
		expect(turn).toHaveBeenCalledWith([0, 1, 0]);
		expect(view.mode).toBe('turn');
		view.mode = 'skin';
		await view.pressed(ray);
		expect(open).toHaveBeenCalledWith(7);
	});
});

describe('what is shown', () => {
	it('the level of the resin, from the foot of the piece to its top', () => {
		expect(view.heights).toEqual([10, 30]);
		view.fill = 0.25;
		expect(view.levelMm).toBe(15);
		studio.traps = undefined;
		expect(view.heights).toEqual([0, 1]);
	});

	it('ceilings with the air, undercuts with the parting, faces left open with both', () => {
		const faces = (n: number) => new Uint32Array([n]);
		studio.openFaces = [{ seed: 1, areaMm2: 5, triangles: faces(1) }];
		studio.ceilings = [{ areaMm2: 9, tiltDeg: 3, triangles: faces(2) }] as never;
		expect(view.highlighted.map((h) => h.colour)).toEqual(['work', 'hot']);
		view.show = 'undercuts';
		expect(view.highlighted.map((h) => h.colour)).toEqual(['work', 'hot']);
		studio.undercuts = { share: 0.1, depthMm: 2, faces: faces(3) } as never;
		expect(view.highlighted.map((h) => h.colour)).toEqual(['work', 'harm']);
	});

	it('directions that a maker would call the same', () => {
		expect(same([0, 0, 1], [0, 0.01, 0.9999])).toBe(true);
		expect(same([0, 0, 1], [0, 0, -1])).toBe(false);
	});
});

describe('a file that is asked about', () => {
	it('how tall it is in each unit that it might mean', () => {
		studio.unit = 'mm';
		expect(studio.guessesMm.map((g) => [g.unit, g.tallMm])).toEqual([
			['mm', 20],
			['cm', 200],
			['in', 508],
			['m', 20_000]
		]);
	});

	it('is scaled to a height; nonsense scales nothing, and openings of the old size go', async () => {
		const settle = vi.spyOn(studio, 'settle').mockResolvedValue();
		studio.openings = [{ kind: 'vent', at: [0, 0, 0] }] as never;
		for (const tall of [undefined, 0, -5, NaN]) expect(await studio.makeTall(tall)).toBe(false);
		expect(settle).not.toHaveBeenCalled();
		expect(await studio.makeTall(60)).toBe(true);
		expect([studio.scale, studio.openings.length]).toEqual([3, 0]);
	});

	it('keeps at least one of its parts, in their order', async () => {
		vi.spyOn(studio, 'settle').mockResolvedValue();
		studio.chosenParts = [0, 2];
		await studio.togglePart(1);
		expect(studio.chosenParts).toEqual([0, 1, 2]);
		for (const i of [0, 1, 2]) await studio.togglePart(i);
		expect(studio.chosenParts).toEqual([2]);
	});

	it('that is too large is refused with its size before a byte is read', async () => {
		const open = vi.spyOn(studio, 'open').mockResolvedValue();
		await studio.take({ size: 900 * 1024 ** 2, name: 'big.stl' } as File);
		expect(studio.problem).toMatch(/900 MB: at most \d+ MB/);
		expect(open).not.toHaveBeenCalled();
	});

	it('that cannot be fetched again is said, and another one may be taken', async () => {
		const open = vi.spyOn(studio, 'open').mockResolvedValue();
		vi.stubGlobal('fetch', async () => Promise.reject(new TypeError('no network')));
		await studio.openKept({ sha256: 'x', fileName: 'whelk.stl' } as never);
		expect(studio.problem).toMatch(/could not be fetched/);
		expect(studio.busy).toBeUndefined();
		vi.stubGlobal('fetch', async () => new Response('solid'));
		await studio.openKept({ sha256: 'x', fileName: 'whelk.stl' } as never);
		expect(open).toHaveBeenCalledOnce();
		vi.unstubAllGlobals();
	});
});
