import { beforeEach, describe, expect, it, vi } from 'vitest';
import { refusal } from '$lib/core/outcome';
import { Studio } from './studio.svelte';

/** Every worker that was made, the newest last. */
const made = vi.hoisted(() => ({ all: [] as unknown[], make: undefined as undefined | (() => object) }));

/** A worker whose answers the test gives when it wants; ending it leaves its questions unanswered. */
class FakeWorker {
	ended = false;
	calls: { name: string; args: unknown[]; answer: (value: unknown) => void }[] = [];
	api = new Proxy({} as Record<string, (...args: unknown[]) => Promise<unknown>>, {
		get:
			(_target, name: string) =>
			(...args: unknown[]) =>
				new Promise((answer) => {
					const instant = INSTANT[name];
					if (instant) answer(instant(...args));
					else this.calls.push({ name, args, answer });
				})
	});
	end() {
		this.ended = true;
	}
	/** Answers the oldest open question of this name. */
	async reply(name: string, value: unknown) {
		const i = this.calls.findIndex((c) => c.name === name);
		expect(i, `a question ${name}`).toBeGreaterThanOrEqual(0);
		this.calls.splice(i, 1)[0]!.answer(value);
		await settled();
	}
}
const settled = async () => {
	for (let i = 0; i < 20; i++) await Promise.resolve();
};
const report = { areaMm2: 5000, volumeMl: 12, bounds: { min: [0, 0, 0], max: [20, 20, 30] } };
let studies = 0;
let INSTANT: Record<string, (...args: unknown[]) => unknown> = {};

vi.mock('$lib/workers/meshWorker', () => ({
	MeshWorker: class {
		constructor() {
			const worker = made.make!();
			made.all.push(worker);
			return worker;
		}
	}
}));
vi.mock('comlink', () => ({ proxy: (f: unknown) => f }));

const placed = () => ({
	traps: { traps: [], topMm: 30, cellMm: 1, n: ++studies },
	ceilings: [],
	undercuts: { share: 0, depthMm: 0, areaMm2: 0, faces: new Uint32Array(0) },
	sizesMm: [20, 20, 30]
});
const read = { ok: true, value: { parts: [{ name: 'one', triangles: 12 }], firstVolume: 12_000 } };
made.make = () => new FakeWorker();
const worker = () => made.all[made.all.length - 1] as FakeWorker;
const file = new Blob(['solid']);

beforeEach(() => {
	made.all = [];
	studies = 0;
	INSTANT = {
		read: () => read,
		settle: () => ({ ok: true, value: { report, sizesMm: [20, 20, 30] } }),
		study: placed,
		parting: () => new Float32Array(0),
		sections: () => ({ thickestMm: 10, thinnestMm: 2 }),
		skin: () => 4000,
		face: (seed: unknown) => ({
			triangles: Uint32Array.from([seed as number]),
			areaMm2: 100,
			normal: [0, 0, 1]
		})
	};
});

describe('one 3D file on the stand', () => {
	it('is read, measured and looked at; the unit is asked when the file does not say it', async () => {
		const studio = new Studio();
		await studio.open(file, 'post.stl');
		expect(studio.report).toBe(report);
		expect(studio.unitSettled).toBe(false);
		expect(studio.skinMm2).toBe(5000);
		expect(studio.busy).toBeUndefined();
		expect(studio.choice).toMatchObject({ fileName: 'post.stl', unit: 'mm', scale: 1 });
		expect(studio.choice.parts).toBeUndefined();
	});

	it('what is no file of ours is said, and nothing of it stays', async () => {
		INSTANT['read'] = () => refusal('This file is empty.');
		const studio = new Studio();
		await studio.open(file, 'empty.stl');
		expect(studio.problem).toBe('This file is empty.');
		expect(studio.drawn).toBeUndefined();
		expect(studio.fileName).toBe('');
		expect(studio.busy).toBeUndefined();
	});

	it('a reading that is called off was never there', async () => {
		delete INSTANT['settle'];
		const studio = new Studio();
		void studio.open(file, 'large.stl');
		await settled();
		expect(studio.busy?.what).toMatch(/Measuring, about 12/);
		const first = worker();
		studio.cancel();
		expect(first.ended).toBe(true);
		expect(studio.busy).toBeUndefined();
		expect(studio.fileName).toBe('');
	});

	it('a search that is called off leaves the piece as it stood, with a new worker behind it', async () => {
		const studio = new Studio();
		await studio.open(file, 'post.stl');
		await studio.addOpening('vent', [1, 2, 3]);
		const drawn = studio.drawn;
		void studio.search();
		await settled();
		expect(studio.busy?.what).toBe('Looking for the best position');
		const first = worker();
		studio.cancel();
		await settled();
		expect(first.ended).toBe(true);
		expect(made.all).toHaveLength(2);
		expect(studio.busy).toBeUndefined();
		expect(studio.drawn).toBe(drawn);
		expect(studio.openings).toHaveLength(1);
		expect(studio.report).toBe(report);
	});

	it('called off again while it is taken up, the piece still stands', async () => {
		const studio = new Studio();
		await studio.open(file, 'post.stl');
		void studio.search();
		await settled();
		delete INSTANT['settle'];
		studio.cancel();
		await settled();
		expect(studio.busy?.what).toMatch(/taking the piece up again/);
		studio.cancel();
		await settled();
		await worker().reply('settle', { ok: true, value: { report, sizesMm: [20, 20, 30] } });
		expect(studio.busy).toBeUndefined();
		expect(studio.fileName).toBe('post.stl');
	});

	it('an answer to an older position is dropped', async () => {
		const studio = new Studio();
		await studio.open(file, 'post.stl');
		delete INSTANT['study'];
		void studio.turn([1, 0, 0]);
		void studio.turn([0, 1, 0]);
		await settled();
		const [older, newer] = [placed(), placed()];
		await worker().reply('study', older);
		await worker().reply('study', newer);
		expect(studio.traps).toBe(newer.traps);
		expect(studio.up).toEqual([0, 1, 0]);
	});

	it('an open face is closed again by a second press; the skin follows', async () => {
		const studio = new Studio();
		await studio.open(file, 'post.stl');
		await studio.addOpenFace(7);
		expect(studio.choice.openFaces).toEqual([7]);
		expect(studio.skinMm2).toBe(4000);
		await studio.addOpenFace(7);
		expect(studio.openFaces).toHaveLength(0);
	});

	it('what was kept comes back: unit, position, openings, open faces', async () => {
		const studio = new Studio();
		await studio.open(file, 'post.stl', 'a'.repeat(64), {
			sha256: 'a'.repeat(64),
			fileName: 'post.stl',
			unit: 'in',
			scale: 2,
			up: [0, 0, 1],
			openings: [{ kind: 'sprue', at: [1, 1, 1] }],
			openFaces: [3]
		});
		expect(studio.unitSettled).toBe(true);
		expect(studio.choice).toMatchObject({ unit: 'in', scale: 2, up: [0, 0, 1], openFaces: [3] });
		expect(studio.openings).toHaveLength(1);
	});
});
