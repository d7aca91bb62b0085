import { describe, expect, it, vi } from 'vitest';
import { ball, blurred, picture, printed } from '$lib/core/photo/rendered.testing';
import type { Pixels } from './findMarkers';
import { cutAll, LENS, named, sat, shoot, STANDS } from './shoots.testing';

vi.setConfig({ testTimeout: 300_000 });

describe('what a picture may be like', () => {
	const solid = ball(25);
	let made: Pixels[] | undefined;
	const good = () => (made ??= STANDS.slice(0, 6).map((s, i) => shoot(solid, s, i + 1)));
	const faultOf = async (p: Pixels) => (await sat([['x', p]])).sights()[0]!.fault;

	it('sound, by itself', async () => expect(await faultOf(good()[0]!)).toBeUndefined());
	it.each([
		[
			'without a mat',
			() => picture({ solid, print: () => 1, lens: LENS, from: STANDS[0]!, seed: 1 }),
			'no-mat'
		],
		[
			'of something else',
			() =>
				picture({
					print: (x, y) => (Math.floor(x / 9) + Math.floor(y / 9)) & 1,
					lens: LENS,
					from: STANDS[9]!,
					seed: 1
				}),
			'no-mat'
		],
		['out of focus', () => blurred(shoot(solid, STANDS[8]!, 1), 3), 'blurred'],
		[
			'in the dark',
			() => picture({ solid, print: printed('medium'), lens: LENS, from: STANDS[8]!, seed: 1, light: 0.2 }),
			'dark'
		],
		[
			'in pitch dark',
			() => picture({ solid, print: printed('medium'), lens: LENS, from: STANDS[8]!, seed: 1, light: 0.02 }),
			'dark'
		],
		[
			'with half of the mat covered',
			() =>
				picture({
					solid,
					print: (x, y) => (x + y < 20 ? undefined : printed('medium')(x, y)),
					lens: LENS,
					from: STANDS[8]!,
					seed: 1
				}),
			'few-markers'
		]
	])('%s: refused with its reason', async (_, make, fault) => {
		expect(await faultOf(make())).toBe(fault);
	});

	it('before a table full of things it is said, and measured all the same', async () => {
		const cloth = (x: number, y: number) =>
			Math.abs(x) > 105 || Math.abs(y) > 148.5
				? (Math.floor(x / 11) + Math.floor(y / 11)) & 1
				: printed('medium')(x, y);
		const busy = picture({ solid, print: cloth, lens: LENS, from: STANDS[0]!, seed: 1 });
		const sight = async (p: Pixels) => (await sat([['x', p]])).sights()[0]!;
		expect(await sight(busy)).toMatchObject({ fault: undefined, busy: true });
		for (const p of good()) expect((await sight(p)).busy).toBe(false);
	});

	it('another mat, one taken twice, and one that does not fit are left out of the rest', async () => {
		const other = shoot(solid, STANDS[12]!, 9, 'small');
		const twice = shoot(solid, STANDS[2]!, 77);
		const odd = bent(shoot(solid, STANDS[10]!, 5), 7);
		const sitting = await sat([...named(good()), ['q-other', other], ['q-twice', twice], ['q-odd', odd]]);
		const fault = Object.fromEntries(sitting.place().map((s) => [s.id, s.fault]));
		expect(fault).toMatchObject({
			p00: undefined,
			p05: undefined,
			'q-other': 'other-mat',
			'q-twice': 'twice',
			'q-odd': 'does-not-fit'
		});
	});

	it('an upright picture is of the same camera; too few of one size are said', async () => {
		const turned = rotated(shoot(solid, STANDS[7]!, 3));
		const sitting = await sat([...named(good()), ['q', turned]]);
		const [q] = sitting.place().filter((s) => s.id === 'q');
		expect([q!.fault, q!.widthPx]).toEqual([undefined, LENS.h]);
		expect(q!.direction!.roundDeg).toBeCloseTo(
			(Math.atan2(STANDS[7]!.at[1], STANDS[7]!.at[0]) * 180) / Math.PI,
			0
		);
		expect((await sat(named(good().slice(0, 1)))).place().map((s) => s.fault)).toEqual(['alone']);
	});

	it('what the maker paints is so, and only that picture is cut anew', async () => {
		const sitting = await sat(named(good()));
		sitting.place();
		const before = (await sitting.outline('p00'))!;
		const painted = new Uint8Array(LENS.w * LENS.h);
		for (let y = 80; y < 100; y++) painted.fill(1, y * LENS.w + 400, y * LENS.w + 440);
		sitting.paint('p00', painted);
		const after = (await sitting.outline('p00'))!;
		expect(before.piece[90 * LENS.w + 420]).toBe(0);
		expect(after.piece[90 * LENS.w + 420]).toBe(1);
		sitting.paint('p00', undefined);
		expect((await sitting.outline('p00'))!.piece).toEqual(before.piece);
	});

	it('the order in which pictures come changes nothing, and a printer’s scale scales all', async () => {
		const pictures = named(good());
		const [there, back] = [await sat(pictures), await sat([...pictures].reverse())];
		const [a, b] = [await cutAll(there), await cutAll(back)];
		expect(b.volumeMl).toBe(a.volumeMl);
		expect(b.ids).toEqual(a.ids);
		there.scaleBy(1.02);
		expect((await cutAll(there)).volumeMl / a.volumeMl).toBeCloseTo(1.02 ** 3, 2);
	});
});

/** Turned by a quarter, as a telephone held upright gives it. */
function rotated({ width: w, height: h, data }: Pixels): Pixels {
	const into = new Uint8ClampedArray(data.length);
	for (let y = 0; y < h; y++)
		for (let x = 0; x < w; x++)
			into.set(data.subarray(4 * (y * w + x), 4 * (y * w + x) + 4), 4 * (x * h + (h - 1 - y)));
	return { width: h, height: w, data: into };
}

/** As if its mat lay in waves, px. */
function bent({ width: w, height: h, data }: Pixels, byPx: number): Pixels {
	const into = new Uint8ClampedArray(data.length);
	for (let y = 0; y < h; y++)
		for (let x = 0; x < w; x++) {
			const from = Math.min(w - 1, Math.max(0, Math.round(x + byPx * Math.sin(y / 18))));
			into.set(data.subarray(4 * (y * w + from), 4 * (y * w + from) + 4), 4 * (y * w + x));
		}
	return { width: w, height: h, data: into };
}
