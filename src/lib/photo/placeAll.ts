import { standpoint, type Camera, type Pose } from '$lib/core/photo';
import type { Found } from './findMarkers';
import type { PictureFault } from './pictureFaults';
import { place, type Marked } from './place';
import type { Vision } from './vision';

/** Where one picture of several was taken from, or why that is not known. */
export interface PlacedPicture {
	camera?: Camera;
	pose?: Pose;
	offPx?: number;
	fault?: PictureFault;
}

/** Fewer pictures of one size than this do not tell the camera. */
const FEWEST = 2;
/** Two pictures from so near by are the same, degrees round the piece and a share of the distance. */
const SAME = { deg: 1.5, share: 0.02 };

/** An upright picture as if the camera had been turned to lie: the same camera takes both. */
const lying = ({ widthPx, heightPx, found }: Marked): Marked => ({
	widthPx: heightPx,
	heightPx: widthPx,
	found: found.map((f): Found => ({
		id: f.id,
		corners: f.corners.map(([x, y]) => [y, widthPx - 1 - x] as const)
	}))
});

/** Camera and pose of an upright picture, from those of the lying one. */
function upright(
	widthPx: number,
	camera: Camera,
	{ rotation: r, translationMm: t }: Pose
): { camera: Camera; pose: Pose } {
	return {
		camera: {
			...camera,
			widthPx: camera.heightPx,
			heightPx: camera.widthPx,
			centrePx: [widthPx - 1 - camera.centrePx[1], camera.centrePx[0]]
		},
		pose: {
			rotation: [-r[3]!, -r[4]!, -r[5]!, r[0]!, r[1]!, r[2]!, r[6]!, r[7]!, r[8]!],
			translationMm: [-t[1], t[0], t[2]]
		}
	};
}

/** Places all pictures, those of one size together; each is found by its id. */
export function placeAll(
	cv: Vision,
	pictures: readonly (Marked & { id: string })[],
	scale: number
): Map<string, PlacedPicture> {
	const result = new Map<string, PlacedPicture>();
	const sizes = new Map<string, (Marked & { id: string })[]>();
	for (const p of pictures) {
		const key = [p.widthPx, p.heightPx].sort((a, b) => a - b).join('×');
		sizes.set(key, [...(sizes.get(key) ?? []), p]);
	}
	for (const group of sizes.values()) {
		if (group.length < FEWEST) {
			for (const { id } of group) result.set(id, { fault: 'alone' });
			continue;
		}
		const isUpright = (p: Marked) => p.heightPx > p.widthPx;
		const made = tried(() =>
			place(
				cv,
				group.map((p) => (isUpright(p) ? lying(p) : p)),
				scale
			)
		);
		group.forEach((p, i) => {
			const placed = made?.placed[i];
			if (!made || !placed) return result.set(p.id, { fault: 'does-not-fit' });
			const at = isUpright(p)
				? upright(p.widthPx, made.camera, placed.pose)
				: { camera: made.camera, pose: placed.pose };
			return result.set(p.id, { ...at, offPx: placed.offPx });
		});
	}
	markTwice(result);
	return result;
}

/** The library throws a number where views tell it nothing. */
function tried<T>(work: () => T): T | undefined {
	try {
		return work();
	} catch (error) {
		if (typeof error === 'number' || error instanceof Error) return undefined;
		throw error;
	}
}

/** Of pictures from the same place all but the first by its id are marked. */
function markTwice(placed: Map<string, PlacedPicture>): void {
	const before: (readonly [number, number, number])[] = [];
	for (const [, p] of [...placed].sort(([a], [b]) => (a < b ? -1 : 1))) {
		if (!p.pose) continue;
		const at = standpoint(p.pose);
		const far = Math.hypot(...at);
		const near = before.some((b) => {
			const [d, l] = [Math.hypot(at[0] - b[0], at[1] - b[1], at[2] - b[2]), Math.hypot(...b)];
			return d < far * ((SAME.deg * Math.PI) / 180) && Math.abs(l - far) < SAME.share * far;
		});
		if (near) p.fault = 'twice';
		else before.push(at);
	}
}
