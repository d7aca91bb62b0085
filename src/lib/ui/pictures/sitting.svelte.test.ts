import { beforeEach, describe, expect, it, vi } from 'vitest';
import { refusal } from '$lib/core/outcome';
import { PictureSitting } from './sitting.svelte';

/** What the workers answer, by name; what has no answer here is never answered until the test does it. */
let answers: Record<string, (...args: never[]) => unknown> = {};

/** A worker that answers at once what it knows, and keeps every other question open. */
class FakeWorker {
	static all: FakeWorker[] = [];
	ended = false;
	asked: string[] = [];
	#open: { name: string; answer: (value: unknown) => void }[] = [];
	api = new Proxy({} as Record<string, (...args: unknown[]) => Promise<unknown>>, {
		get:
			(_target, name: string) =>
			(...args: unknown[]) =>
				new Promise((answer) => {
					this.asked.push(name);
					if (answers[name]) answer(answers[name](...(args as never[])));
					else this.#open.push({ name, answer });
				})
	});
	constructor() {
		FakeWorker.all.push(this);
	}
	end() {
		this.ended = true;
	}
	async reply(name: string, value: unknown) {
		const i = this.#open.findIndex((o) => o.name === name);
		expect(i, `an open question ${name}`).toBeGreaterThanOrEqual(0);
		this.#open.splice(i, 1)[0]!.answer(value);
		await settled();
	}
}
const settled = async () => {
	for (let i = 0; i < 60; i++) await Promise.resolve();
};
const worker = () => FakeWorker.all.at(-1)!;

const kept = new Map<string, object>();
let keepsNothing = false;
const asDevice = <T>(work: () => T) =>
	keepsNothing ? Promise.reject(new Error('no room')) : Promise.resolve(work());
vi.mock('comlink', () => ({ proxy: (f: unknown) => f }));
vi.mock('$lib/workers/picturesWorker', () => ({
	PicturesWorker: class {
		constructor() {
			return new FakeWorker();
		}
	}
}));
vi.mock('./pictureStore', () => ({
	PictureStore: class {
		put = (p: { id: string }) => asDevice(() => void kept.set(p.id, p));
		drop = (_piece: string, id: string) => asDevice(() => void kept.delete(id));
		all = () => asDevice(() => [...kept.values()]);
		type = () => asDevice(() => undefined);
		typed = () => asDevice(() => undefined);
		clear = () => asDevice(() => kept.clear());
	}
}));

const sight = (id: string) => ({
	id,
	widthPx: 400,
	heightPx: 300,
	fault: undefined,
	mat: 'small',
	markers: 20,
	busy: false
});
const file = (name: string) => new File([name], name);
const taken = (f: File) => ({
	ok: true,
	value: { id: `of ${f.name}`, kept: new Blob([f.name]), sight: sight(`of ${f.name}`) }
});
const body = { ok: true, value: { volumeMl: 12 } };

beforeEach(() => {
	FakeWorker.all = [];
	kept.clear();
	keepsNothing = false;
	vi.stubGlobal(
		'URL',
		Object.assign(URL, { createObjectURL: () => 'blob:x', revokeObjectURL: () => undefined })
	);
	const ids = () => [...kept.keys()].map(sight);
	answers = {
		take: taken,
		takeKept: (id: string) => sight(id),
		paint: () => undefined,
		remove: () => undefined,
		place: ids,
		sights: ids,
		outline: () => undefined,
		body: () => body
	};
});

/** A sitting with these pictures. */
async function withPictures(...names: string[]) {
	const sitting = new PictureSitting('new');
	await sitting.take(names.map(file));
	return sitting;
}
const names = (s: PictureSitting) => s.pictures.map((p) => p.name);

describe('pictures are taken one after the other', () => {
	it('each is kept on this device; the same one is there once; what is no picture is said by name', async () => {
		answers['take'] = (f: File) => (f.name === 'letter.txt' ? refusal('This is no picture.') : taken(f));
		const sitting = await withPictures('a', 'letter.txt', 'b', 'a');
		expect(names(sitting)).toEqual(['a', 'b']);
		expect(sitting.refused).toEqual([
			{ name: 'letter.txt', why: 'This is no picture.' },
			{ name: 'a', why: 'This very picture is there already.' }
		]);
		expect([...kept.keys()]).toEqual(['of a', 'of b']);
		expect(sitting.busy).toBeUndefined();
		expect(sitting.trouble).toBe('');
	});

	it('where the device keeps nothing it is said, and they are there all the same', async () => {
		keepsNothing = true;
		answers['place'] = () => [];
		const sitting = await withPictures('a');
		expect(names(sitting)).toEqual(['a']);
		expect(sitting.trouble).toMatch(/keeps nothing/);
	});

	it('stopped half way, those that were looked at stay and the others are named', async () => {
		delete answers['take'];
		const sitting = new PictureSitting('new');
		void sitting.take(['a', 'b', 'c'].map(file));
		await settled();
		await worker().reply('take', taken(file('a')));
		expect(sitting.busy?.what).toBe('Looking at picture 2 of 3');
		const first = worker();
		await sitting.stop();
		expect(first.ended).toBe(true);
		expect(names(sitting)).toEqual(['a']);
		expect(sitting.refused.map((r) => r.name)).toEqual(['b', 'c']);
		expect(sitting.refused[0]!.why).toMatch(/add it again/);
		expect(sitting.busy).toBeUndefined();
		// nothing of it is named a second time
		answers['take'] = taken;
		await sitting.take([file('b')]);
		await sitting.stop();
		expect(names(sitting)).toEqual(['a', 'b']);
		expect(sitting.refused).toEqual([]);
	});
});

describe('a body is worked out', () => {
	it('the last one is settled; another picture, ruler or stroke makes it a body of before', async () => {
		const sitting = await withPictures('a', 'b', 'c', 'd');
		await sitting.workOut();
		expect([sitting.settled, sitting.body, sitting.busy]).toEqual([true, body.value, undefined]);
		await sitting.paint('of b', []);
		expect([sitting.settled, sitting.body]).toEqual([false, body.value]);
		expect(sitting.pictures.filter((p) => !p.outlined).map((p) => p.name)).toEqual(['b']);
		// only what changed is cut again
		const before = worker().asked.filter((name) => name === 'outline').length;
		await sitting.workOut();
		expect(worker().asked.filter((name) => name === 'outline')).toHaveLength(before + 1);
		sitting.again();
		expect(sitting.settled).toBe(false);
		expect(sitting.pictures.some((p) => p.outlined)).toBe(false);
	});

	it('what cannot be worked out says why, and leaves no panel standing', async () => {
		answers['body'] = () => refusal('The outlines have nothing in common.');
		const sitting = await withPictures('a', 'b');
		await sitting.workOut();
		expect(sitting.problem).toBe('The outlines have nothing in common.');
		expect([sitting.settled, sitting.busy]).toEqual([false, undefined]);
	});

	it('Stop ends the worker; its late answer is nobody’s, and all pictures and strokes are there again', async () => {
		const sitting = await withPictures('a', 'b');
		await sitting.paint('of a', [{} as never]);
		delete answers['body'];
		void sitting.workOut();
		await settled();
		expect(sitting.busy?.what).toBe('Working out the body');
		const first = worker();
		await sitting.stop();
		expect(first.ended).toBe(true);
		expect(worker()).not.toBe(first);
		expect(worker().asked.slice(0, 3)).toEqual(['takeKept', 'paint', 'takeKept']);
		await first.reply('body', body);
		expect([sitting.settled, sitting.body, sitting.busy]).toEqual([false, undefined, undefined]);
		expect(sitting.refused).toEqual([]);
	});

	it.each(['place', 'outline', 'sights', 'body'])(
		'Stop while it asks for %s is not overtaken',
		async (name) => {
			const sitting = await withPictures('a', 'b');
			const answer = answers[name]!;
			delete answers[name];
			void sitting.workOut();
			await settled();
			const first = worker();
			expect(sitting.busy).toBeDefined();
			answers[name] = answer;
			await sitting.stop();
			await first.reply(name, answer());
			expect([sitting.settled, sitting.busy]).toEqual([false, undefined]);
		}
	);

	it('a picture left out while it is worked out: no body of the old pictures is shown as the last', async () => {
		const sitting = await withPictures('a', 'b', 'c');
		delete answers['body'];
		void sitting.workOut();
		await settled();
		await sitting.drop('of b');
		expect(names(sitting)).toEqual(['a', 'c']);
		await worker().reply('body', body);
		expect([sitting.settled, sitting.body, sitting.busy]).toEqual([false, undefined, undefined]);
		expect([...kept.keys()]).toEqual(['of a', 'of c']);
		// once more, whatever is no longer there
		await sitting.drop('of b');
		expect(sitting.busy).toBeUndefined();
	});

	it('two left out at once: it is busy until the later one is done', async () => {
		const sitting = await withPictures('a', 'b', 'c');
		delete answers['remove'];
		void sitting.drop('of a');
		void sitting.drop('of b');
		await settled();
		expect(sitting.busy).toBeDefined();
		await worker().reply('remove', undefined);
		expect(sitting.busy).toBeDefined();
		await worker().reply('remove', undefined);
		expect(sitting.busy).toBeUndefined();
		expect(names(sitting)).toEqual(['c']);
	});
});

it('a closed page is taken up where it stood, with its strokes', async () => {
	const before = await withPictures('a', 'b');
	await before.paint('of b', [{} as never]);
	before.dispose();
	const sitting = new PictureSitting('new', 88);
	await sitting.resume();
	expect(names(sitting)).toEqual(['a', 'b']);
	expect(sitting.pictures.map((p) => p.strokes.length)).toEqual([0, 1]);
	expect(sitting.waterMl).toBe(88);
	expect(sitting.busy).toBeUndefined();
	await sitting.kept();
	expect(kept.size).toBe(0);
});

it('what is typed as 100 mm is gone by from 80 to 120 mm', () => {
	const sitting = new PictureSitting('new');
	const fits = [79.9, 80, 100, 120, 120.1, undefined, NaN].map((mm) => {
		sitting.rulerMm = mm;
		return sitting.rulerFits;
	});
	expect(fits).toEqual([false, true, true, true, false, false, false]);
});
