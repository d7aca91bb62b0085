import {
	picture,
	printed,
	sixteen,
	type Lens,
	type Solid,
	type Stand
} from '$lib/core/photo/rendered.testing';
import type { MatSize } from '$lib/core/photo';
import type { Pixels } from './findMarkers';
import { Sitting } from './sitting';
import { visionHere } from './vision.testing';

/** The camera of these checks. */
export const LENS: Lens = { w: 840, h: 630, f: 800, cx: 423, cy: 312, k1: -0.06, k2: 0.02 };
/** Where it stands. */
export const STANDS = sixteen(420, 25);
/** A picture of a piece on its mat. */
export const shoot = (solid: Solid, from: Stand, seed: number, size: MatSize = 'medium') =>
	picture({ solid, print: printed(size), lens: LENS, from, seed });

/** A sitting of pictures by their names. */
export async function sat(pictures: readonly (readonly [string, Pixels])[]): Promise<Sitting> {
	const sitting = new Sitting((await visionHere()).cv);
	for (const [id, p] of pictures) await sitting.add(id, () => Promise.resolve(p));
	return sitting;
}
/** Pictures with names in their order. */
export const named = (pictures: readonly Pixels[]) =>
	pictures.map((p, i) => [`p${String(i).padStart(2, '0')}`, p] as const);
/** Places and cuts all pictures, and makes the body. */
export const cutAll = async (sitting: Sitting) => {
	for (const { id } of sitting.place()) await sitting.outline(id);
	return sitting.body({ steps: 80, flatTop: false });
};
