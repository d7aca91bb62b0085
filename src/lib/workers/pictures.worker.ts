import { expose, transfer } from 'comlink';
import {
	hollowOver,
	PictureError,
	refusedBySize,
	statedSize,
	stlBytes,
	type Pictured,
	type Quick
} from '$lib/core/photo';
import { refusal, type Outcome } from '$lib/core/outcome';
import type { Pixels } from '$lib/photo/findMarkers';
import { Sitting, type Sight } from '$lib/photo/sitting';
import { strokesOver, type Stroke } from '$lib/photo/strokes';
import { vision } from '$lib/photo/vision';

/** Pictures are measured at no more than this along the longer side, px: a rim is good to a part of a pixel anyway. */
const LONGEST_PX = 1600;
/** The head of a picture in which its size is looked for, bytes. */
const HEAD_BYTES = 512 * 1024;

/** What the page draws of a body, and its figures. */
export type Drawing = Omit<Pictured, 'mesh' | 'bridgedMm'> & {
	ids: string[];
	positions: Float32Array;
	indices: Uint32Array;
	/** Triangles over which a hollow wider than `hollowMm` would not be seen. */
	unsure: Uint32Array;
	hollowMm: number;
	stl: Blob;
};

let sitting: Sitting | undefined;
const ready = async () => (sitting ??= new Sitting((await vision()).cv));
const sizes = new Map<string, { widthPx: number; heightPx: number }>();

/** A picture's points, from what is kept of it. */
async function pixelsOf(kept: Blob): Promise<Pixels> {
	const bitmap = await createImageBitmap(kept);
	const canvas = new OffscreenCanvas(bitmap.width, bitmap.height);
	const context = canvas.getContext('2d', { willReadFrequently: true })!;
	context.drawImage(bitmap, 0, 0);
	bitmap.close();
	return context.getImageData(0, 0, canvas.width, canvas.height);
}

/** Made small and stripped of all that is not picture: where it was taken, and by what. */
async function madeSmall(source: Blob, widthPx: number): Promise<Blob> {
	const bitmap = await createImageBitmap(source, {
		imageOrientation: 'from-image',
		resizeWidth: Math.min(widthPx, LONGEST_PX),
		resizeQuality: 'high'
	});
	const share = Math.min(1, LONGEST_PX / Math.max(bitmap.width, bitmap.height));
	const canvas = new OffscreenCanvas(Math.round(bitmap.width * share), Math.round(bitmap.height * share));
	canvas.getContext('2d')!.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
	bitmap.close();
	return canvas.convertToBlob({ type: 'image/jpeg', quality: 0.92 });
}

async function idOf(source: Blob): Promise<string> {
	const hash = await crypto.subtle?.digest('SHA-256', await source.arrayBuffer());
	if (hash) return [...new Uint8Array(hash)].map((b) => b.toString(16).padStart(2, '0')).join('');
	// over plain http on a network the browser has no digest: size and a sum of all bytes tell pictures apart
	let sum = 2166136261;
	for (const b of new Uint8Array(await source.arrayBuffer())) sum = Math.imul(sum ^ b, 16777619) >>> 0;
	return `${source.size.toString(16)}-${sum.toString(16)}`;
}

/** Triangles whose corners all lie where a hollow wider than this would not be seen. */
function unsureOf({ mesh, bridgedMm }: Pictured, hollowMm: number): Uint32Array {
	const found: number[] = [];
	for (let t = 0; t < mesh.indices.length; t += 3)
		if ([0, 1, 2].every((k) => bridgedMm[mesh.indices[t + k]!]! > hollowMm)) found.push(t / 3);
	return Uint32Array.from(found);
}

/** Steps of the grid for a quick answer. */
const QUICK_STEPS = 64;

/** What the maker may cause comes back as a sentence; anything else is thrown. */
async function attempt<T>(work: () => Promise<T>): Promise<Outcome<T>> {
	try {
		return { ok: true, value: await work() };
	} catch (error) {
		if (error instanceof PictureError) return refusal(error.message);
		throw error;
	}
}

const api = {
	/** Takes a picture as it came: looked at before it is decoded, made small, judged. */
	async take(source: Blob): Promise<Outcome<{ id: string; kept: Blob; sight: Sight }>> {
		const head = new Uint8Array(await source.slice(0, HEAD_BYTES).arrayBuffer());
		const stated = statedSize(head);
		const why = refusedBySize(source.size, stated);
		if (why) return refusal(why);
		let kept: Blob;
		try {
			kept = await madeSmall(source, Math.max(stated!.widthPx, stated!.heightPx));
		} catch {
			return refusal('This picture cannot be opened: it is damaged, or only half of it came.');
		}
		const id = await idOf(source);
		return { ok: true, value: { id, kept, sight: await api.takeKept(id, kept) } };
	},

	/** Takes up a picture that was made small before. */
	async takeKept(id: string, kept: Blob): Promise<Sight> {
		const sight = await (await ready()).add(id, () => pixelsOf(kept));
		sizes.set(id, sight);
		return sight;
	},

	async remove(id: string): Promise<void> {
		(await ready()).remove(id);
	},

	/** Where each picture was taken from. @param scale what 100 mm of the ruler measure, as a share */
	async place(scale: number): Promise<Sight[]> {
		const s = await ready();
		s.scaleBy(scale);
		return s.place();
	},

	/** What the maker painted over a picture. */
	async paint(id: string, strokes: readonly Stroke[]): Promise<void> {
		const size = sizes.get(id);
		if (size) (await ready()).paint(id, strokes.length > 0 ? strokesOver(strokes, size) : undefined);
	},

	/** The outline of a picture, 1 for the piece; nothing for one that has no place. */
	async outline(id: string): Promise<{ widthPx: number; heightPx: number; piece: Uint8Array } | undefined> {
		const found = await (await ready()).outline(id);
		if (!found) return undefined;
		const piece = found.piece.slice();
		return transfer({ widthPx: found.widthPx, heightPx: found.heightPx, piece }, [piece.buffer]);
	},

	async sights(): Promise<Sight[]> {
		return (await ready()).sights();
	},

	/** The quick answer of two pictures. */
	async quick(): Promise<Outcome<Quick>> {
		return attempt(async () => (await ready()).quick(QUICK_STEPS));
	},

	/** The body by all outlines that are worked out. */
	async body(
		options: { steps: number; flatTop: boolean },
		tell?: (share: number) => void
	): Promise<Outcome<Drawing>> {
		return attempt(async () => {
			const s = await ready();
			const { mesh, bridgedMm, ...figures } = s.body({
				...options,
				...(tell ? { progress: (p) => void tell(p) } : {})
			});
			const hollowMm = hollowOver(figures);
			const positions = Float32Array.from(mesh.vertices);
			const indices = mesh.indices.slice();
			const unsure = unsureOf({ ...figures, mesh, bridgedMm }, hollowMm);
			const stl = new Blob([stlBytes(mesh)], { type: 'model/stl' });
			return { ...figures, positions, indices, unsure, hollowMm, stl };
		}).then((made) =>
			made.ok
				? transfer(made, [made.value.positions.buffer, made.value.indices.buffer, made.value.unsure.buffer])
				: made
		);
	}
};
export type PicturesApi = typeof api;

expose(api);
