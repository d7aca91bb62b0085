import { cornersOf, markerOf, seenAt, type Camera, type Pose } from '$lib/core/photo';
import type { Found } from './findMarkers';
import { freeing, type Vision } from './vision';

/** Markers of one picture, and its size. */
export interface Marked {
	widthPx: number;
	heightPx: number;
	found: readonly Found[];
}

/** Where a picture was taken from. */
export interface Placed {
	pose: Pose;
	/** How far markers are from where they should be seen, root of the mean square, px. */
	offPx: number;
}

/** Camera and places of pictures that were taken by one camera at one zoom; a picture that does not fit has no place. */
export interface Placing {
	camera: Camera;
	placed: (Placed | undefined)[];
	/** Of all that fit, px. */
	offPx: number;
}

/** A picture whose markers are off by more than this share of its width, and by more than three times the middle one, does not fit. */
const OFF_SHARE = 1 / 1200;
/** Of a picture that fits so large a share of the markers agree. */
const TRUSTED_SHARE = 0.6;
/** From so many pictures on the middle of the lens is sought too; with fewer it is taken to be the picture's. */
const FOR_CENTRE = 6;
/** And from so many on how the lens bends; with fewer it is taken not to. */
const FOR_BEND = 4;

/**
 * Camera and poses from views of the flat mat (Z. Zhang, IEEE PAMI 22 (2000) 1330), all of one size. Pictures that do
 * not fit with the others are left out, and the rest is worked out again.
 * @param scale millimetres of the print for a millimetre of the drawing
 * @throws Error from the library where the views tell nothing, such as all from straight above
 */
export function place(cv: Vision, pictures: readonly Marked[], scale: number): Placing {
	let use = pictures.map((_, i) => i);
	const kept = [...pictures];
	for (let round = 0; ; round++) {
		const made = calibrate(
			cv,
			use.map((i) => kept[i]!),
			scale
		);
		if (round < 2) {
			use.forEach((i, n) => (kept[i] = trusted(kept[i]!, made.camera, made.placed[n]!, scale)));
			continue;
		}
		const offs = made.placed.map((p) => p.offPx).sort((a, b) => a - b);
		const limit = Math.max(pictures[0]!.widthPx * OFF_SHARE, 3 * offs[Math.floor(offs.length / 2)]!);
		// how ill each fits: by its markers' distance, and by how few of its markers were left to be trusted
		const ill = made.placed.map(({ offPx }, n) => {
			const share = kept[use[n]!]!.found.length / pictures[use[n]!]!.found.length;
			return Math.max(offPx / limit, TRUSTED_SHARE / share);
		});
		const worst = ill.indexOf(Math.max(...ill));
		if (ill[worst]! <= 1 || use.length <= 3) {
			const placed = pictures.map((_, i) => made.placed[use.indexOf(i)]);
			return { camera: made.camera, placed, offPx: Math.sqrt(mean(made.placed.map((p) => p.offPx ** 2))) };
		}
		use = use.filter((_, i) => i !== worst);
		// what did not fit has bent the rest: all their markers are looked at again
		use.forEach((i) => (kept[i] = pictures[i]!));
		round = -1;
	}
}

/** So many of a picture's markers are kept at least, however far they are off. */
const FEWEST = 4;

/** A picture without markers that are much farther off than its middle one: half hidden by the piece, bent, or smeared. */
function trusted(picture: Marked, camera: Camera, { pose }: Placed, scale: number): Marked {
	const offs = picture.found.map((f) => offOf(camera, pose, [f], scale));
	const sorted = [...offs].sort((a, b) => a - b);
	const limit = Math.max(
		2.5 * sorted[Math.floor(sorted.length / 2)]!,
		sorted[Math.min(FEWEST, sorted.length) - 1]!
	);
	return { ...picture, found: picture.found.filter((_, i) => offs[i]! <= limit) };
}

const mean = (of: readonly number[]) => of.reduce((sum, v) => sum + v, 0) / of.length;

function calibrate(
	cv: Vision,
	pictures: readonly Marked[],
	scale: number
): { camera: Camera; placed: Placed[] } {
	const { widthPx, heightPx } = pictures[0]!;
	return freeing((keep) => {
		const [points, seen] = [keep(new cv.MatVector()), keep(new cv.MatVector())];
		for (const { found } of pictures) {
			const at = found.flatMap(({ id }) =>
				cornersOf(markerOf(id)!.marker).flatMap(([x, y]) => [x * scale, y * scale, 0])
			);
			const px = found.flatMap(({ corners }) => corners.flat());
			points.push_back(keep(cv.matFromArray(at.length / 3, 1, cv['CV_32FC3']!, at)));
			seen.push_back(keep(cv.matFromArray(px.length / 2, 1, cv['CV_32FC2']!, px)));
		}
		const long = Math.max(widthPx, heightPx);
		const guess = [long, 0, (widthPx - 1) / 2, 0, long, (heightPx - 1) / 2, 0, 0, 1];
		const k = keep(cv.matFromArray(3, 3, cv['CV_64F']!, guess));
		const bend = keep(cv.matFromArray(5, 1, cv['CV_64F']!, [0, 0, 0, 0, 0]));
		const [rotations, translations] = [keep(new cv.MatVector()), keep(new cv.MatVector())];
		const flags =
			cv['CALIB_FIX_ASPECT_RATIO']! |
			cv['CALIB_ZERO_TANGENT_DIST']! |
			cv['CALIB_FIX_K3']! |
			(pictures.length < FOR_CENTRE ? cv['CALIB_FIX_PRINCIPAL_POINT']! : 0) |
			(pictures.length < FOR_BEND ? cv['CALIB_FIX_K1']! | cv['CALIB_FIX_K2']! : 0);
		const spare = () => keep(new cv.Mat());
		cv.calibrateCameraExtended(
			points,
			seen,
			new cv.Size(widthPx, heightPx),
			k,
			bend,
			rotations,
			translations,
			spare(),
			spare(),
			spare(),
			flags
		);
		const camera: Camera = {
			widthPx,
			heightPx,
			focalPx: k.data64F[0]!,
			centrePx: [k.data64F[2]!, k.data64F[5]!],
			bend: [bend.data64F[0]!, bend.data64F[1]!]
		};
		const placed = pictures.map(({ found }, i) => {
			const turn = spare();
			cv.Rodrigues(keep(rotations.get(i)), turn);
			const t = keep(translations.get(i)).data64F;
			const pose: Pose = { rotation: [...turn.data64F], translationMm: [t[0]!, t[1]!, t[2]!] };
			return { pose, offPx: offOf(camera, pose, found, scale) };
		});
		return { camera, placed };
	});
}

/** How far a picture's markers are from where they should be seen, px. */
export function offOf(camera: Camera, pose: Pose, found: readonly Found[], scale: number): number {
	const squares = found.flatMap(({ id, corners }) =>
		cornersOf(markerOf(id)!.marker).map(([x, y], i) => {
			const s = seenAt(camera, pose, x * scale, y * scale, 0);
			return (s.xPx - corners[i]![0]) ** 2 + (s.yPx - corners[i]![1]) ** 2;
		})
	);
	return Math.sqrt(mean(squares));
}
