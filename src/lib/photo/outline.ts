import type { Mat as PrintedMat, Outline } from '$lib/core/photo';
import type { Pixels } from './findMarkers';
import { INK, onMat, PAPER, printedAt, roomOf, whiteOf } from './ground';
import { hullOfPoints, within } from './polygon';
import { litAt } from './litMat';
import type { Setting } from './setting';
import { freeing, type Mat, type Vision } from './vision';

/** A window of the picture with what each pixel is taken to be at first. */
interface Window {
	x: number;
	y: number;
	width: number;
	height: number;
	mask: Uint8Array;
	/** 1 where ink should be seen and something far too bright is. */
	hidden: Uint8Array;
}

const [GROUND, PIECE, PERHAPS_GROUND, PERHAPS_PIECE] = [0, 1, 2, 3] as const;

/** Paper in shadow is at least this bright beside paper in the open. */
const DARKEST_SHADOW = 0.45;
/** Paper, lit or not, has no more colour than this share of its brightness. */
const PALEST = 0.1;
/** Ink is at most this bright. */
const BRIGHTEST_INK = 0.38;

/** What is brighter than this is no ink, whatever shines on it. */
const NO_INK = 0.6;

/** Paper this bright by all pictures has no shadow on it. */
const IN_THE_OPEN = 0.88;
/** Paper this bright in a picture is in full light there. */
const FULL_LIGHT = 0.85;
/** What is darker than this where paper lies in the open is no paper. */
const SHADED = 0.75;

/** What a pixel is where paper should be, by its brightness there and by that of the place in all pictures (0: not known). */
function paperOr(bright: number, likePaper: boolean, lit: number): number {
	if (!likePaper) return lit > IN_THE_OPEN && bright < SHADED ? PIECE : PERHAPS_PIECE;
	if (bright > FULL_LIGHT) return GROUND;
	if (lit === 0) return PERHAPS_GROUND;
	return bright > SHADED * lit ? PERHAPS_GROUND : lit > IN_THE_OPEN ? PIECE : PERHAPS_PIECE;
}

/** What a pixel is at first: like what is printed at its place, unlike it, or not known. */
function firstLook(picture: Pixels, setting: Setting): Window {
	const { mat, camera, pose, scale } = setting;
	const room = hullOfPoints(roomOf(mat, camera, pose, scale));
	const xs = room.map((p) => p[0]);
	const ys = room.map((p) => p[1]);
	const pad = picture.width * 0.02;
	const x0 = Math.max(0, Math.floor(Math.min(...xs) - pad));
	const y0 = Math.max(0, Math.floor(Math.min(...ys) - pad));
	const width = Math.min(picture.width, Math.ceil(Math.max(...xs) + pad)) - x0;
	const height = Math.min(picture.height, Math.ceil(Math.max(...ys) + pad)) - y0;
	const mask = new Uint8Array(Math.max(0, width) * Math.max(0, height));
	const hidden = new Uint8Array(mask.length);
	const white = whiteOf(picture, mat, camera, pose, scale);
	const place = onMat(camera, pose, scale);
	const inRoom = within(room);
	const around = surroundings(picture, (x, y) => inRoom(x, y) || onPrint(place(x, y), mat));
	for (let j = 0, i = 0; j < height; j++)
		for (let k = 0; k < width; k++, i++) {
			const [x, y] = [x0 + k, y0 + j];
			if (!inRoom(x, y)) continue;
			const o = 4 * (y * picture.width + x);
			const r = picture.data[o]! / white[0];
			const g = picture.data[o + 1]! / white[1];
			const b = picture.data[o + 2]! / white[2];
			const most = Math.max(r, g, b);
			const colour = most - Math.min(r, g, b);
			const at = place(x, y);
			const printed = at ? printedAt(mat, at[0], at[1]) : 0;
			const likePaper = most > DARKEST_SHADOW && colour < PALEST * most;
			const likeInk = most < BRIGHTEST_INK && colour < 0.12;
			if (printed === INK && most > NO_INK) hidden[i] = 1;
			const lit = at && setting.lit ? litAt(setting.lit, at[0], at[1]) : 0;
			if (printed === PAPER) mask[i] = paperOr(most, likePaper, lit);
			else if (printed === INK) mask[i] = likeInk ? PERHAPS_GROUND : PERHAPS_PIECE;
			else if (onPrint(at, mat)) mask[i] = PERHAPS_GROUND;
			else mask[i] = around(o) ? PERHAPS_GROUND : PIECE;
		}
	return { x: x0, y: y0, width, height, mask: unsureAtRim(mask, width), hidden };
}

/** What was sure of the piece is not so beside ground: colours mix along a rim. */
function unsureAtRim(mask: Uint8Array, width: number): Uint8Array {
	const near = [-2, -1, 1, 2].flatMap((d) => [d, d * width]);
	return mask.map((m, i) => (m === PIECE && near.some((d) => !((mask[i + d] ?? 0) & 1)) ? PERHAPS_PIECE : m));
}

/** Whether a place of the mat lies within what is printed on it. */
const onPrint = (at: readonly [number, number] | undefined, mat: PrintedMat): boolean =>
	at !== undefined && Math.max(Math.abs(at[0]), Math.abs(at[1])) < mat.halfMm + 2;

/** Colours are told apart in so many steps each. */
const STEPS = 16;
/** A colour that so small a share of the surroundings has is none of theirs. */
const SELDOM = 5e-4;

/** Whether a pixel (by its place in the data) has a colour that is common away from the piece. */
function surroundings(
	picture: Pixels,
	leaveOut: (x: number, y: number) => boolean
): (offset: number) => boolean {
	const { data, width, height } = picture;
	const bin = (o: number) => {
		const step = (c: number) => Math.floor((data[o + c]! * STEPS) / 256);
		return (step(0) * STEPS + step(1)) * STEPS + step(2);
	};
	const count = new Float64Array(STEPS ** 3);
	let all = 0;
	for (let y = 0; y < height; y += 3)
		for (let x = 0; x < width; x += 3) {
			if (leaveOut(x, y)) continue;
			count[bin(4 * (y * width + x))]!++;
			all++;
		}
	// a colour counts for its neighbours too
	const near = new Float64Array(STEPS ** 3);
	for (let i = 0; i < count.length; i++) {
		const [r, g, b] = [Math.floor(i / STEPS ** 2), Math.floor(i / STEPS) % STEPS, i % STEPS];
		for (const [dr, dg, db] of NEIGHBOURS) {
			const [u, v, w] = [r + dr!, g + dg!, b + db!];
			if (Math.min(u, v, w) >= 0 && Math.max(u, v, w) < STEPS)
				near[i]! += count[(u * STEPS + v) * STEPS + w]!;
		}
	}
	return (o) => near[bin(o)]! > SELDOM * all;
}
const NEIGHBOURS = [-1, 0, 1].flatMap((r) => [-1, 0, 1].flatMap((g) => [-1, 0, 1].map((b) => [r, g, b])));

/** An outline, and how many pixels of ink something hides that the outline does not hold. */
export type Cut = Outline & { inkHidden: number };

/** Longest edge of the window in which the cut is first made, px. */
const COARSE_PX = 320;

/**
 * The piece's outline in a picture (grab-cut: C. Rother and others, SIGGRAPH 2004, 309), begun from what is known of
 * the mat under it: coarse first, then along the rim as finely as the picture is. `painted` is what the maker said:
 * 1 for the piece, 2 for what is none of it, by pixel of the picture.
 * @returns an outline of the whole picture; all empty where nothing stands out from the mat
 */
export function outlineOf(cv: Vision, picture: Pixels, setting: Setting, painted?: Uint8Array): Cut {
	const first = firstLook(picture, setting);
	const empty: Cut = {
		widthPx: picture.width,
		heightPx: picture.height,
		piece: new Uint8Array(picture.width * picture.height),
		inkHidden: 0
	};
	if (first.mask.length === 0) return empty;
	obey(first, picture, painted);
	if (!first.mask.some((m) => m === PIECE || m === PERHAPS_PIECE)) return empty;
	// the library begins its groups of colours by chance: the same picture has to give the same outline
	cv.setRNGSeed(1);
	const cut = freeing((keep) => {
		const rgb = new Uint8Array(3 * first.width * first.height);
		for (let j = 0, o = 0; j < first.height; j++)
			for (let k = 0; k < first.width; k++, o += 3) {
				const from = 4 * ((first.y + j) * picture.width + first.x + k);
				rgb[o] = picture.data[from]!;
				rgb[o + 1] = picture.data[from + 1]!;
				rgb[o + 2] = picture.data[from + 2]!;
			}
		const image = keep(cv.matFromArray(first.height, first.width, cv['CV_8UC3']!, rgb));
		const mask = keep(cv.matFromArray(first.height, first.width, cv['CV_8UC1']!, first.mask));
		const models = [keep(new cv.Mat()), keep(new cv.Mat())] as const;
		const share = Math.min(1, COARSE_PX / Math.max(first.width, first.height));
		const size = new cv.Size(Math.round(first.width * share), Math.round(first.height * share));
		const [small, smallMask] = [keep(new cv.Mat()), keep(new cv.Mat())];
		cv.resize(image, small, size, 0, 0, cv['INTER_AREA']!);
		cv.resize(mask, smallMask, size, 0, 0, cv['INTER_NEAREST']!);
		const nowhere = new cv.Rect(0, 0, 1, 1);
		if (!holdsBoth(smallMask)) return first.mask.map((m) => m & 1);
		cv.grabCut(small, smallMask, nowhere, ...models, 3, cv['GC_INIT_WITH_MASK']!);
		cv.resize(smallMask, mask, new cv.Size(first.width, first.height), 0, 0, cv['INTER_NEAREST']!);
		settle(cv, mask, Math.ceil(2 / share) + 1);
		const again = { ...first, mask: mask.data };
		obey(again, picture, painted);
		if (holdsBoth(mask)) cv.grabCut(image, mask, nowhere, ...models, 1, cv['GC_EVAL']!);
		return Uint8Array.from(mask.data, (m) => m & 1);
	});
	for (let i = 0; i < cut.length; i++) if (!cut[i]) empty.inkHidden += first.hidden[i]!;
	for (let j = 0; j < first.height; j++)
		empty.piece.set(
			cut.subarray(j * first.width, (j + 1) * first.width),
			(first.y + j) * picture.width + first.x
		);
	return empty;
}

const holdsBoth = (mask: Mat): boolean => {
	let [ground, piece] = [false, false];
	for (const m of mask.data) {
		if (m & 1) piece = true;
		else ground = true;
		if (ground && piece) return true;
	}
	return false;
};

/** What the maker painted is so, whatever the picture says. */
function obey(window: Window, picture: Pixels, painted: Uint8Array | undefined): void {
	if (!painted) return;
	for (let j = 0, i = 0; j < window.height; j++)
		for (let k = 0; k < window.width; k++, i++) {
			const said = painted[(window.y + j) * picture.width + window.x + k];
			if (said === 1) window.mask[i] = PIECE;
			else if (said === 2) window.mask[i] = GROUND;
		}
}

/** What lies farther than so many pixels from the rim of the first cut is settled by it. */
function settle(cv: Vision, mask: Mat, bandPx: number): void {
	freeing((keep) => {
		const was = Uint8Array.from(mask.data, (m) => m & 1);
		const cut = keep(cv.matFromArray(mask.rows, mask.cols, cv['CV_8UC1']!, was));
		const reach = 2 * bandPx + 1;
		const square = keep(cv.matFromArray(reach, reach, cv['CV_8UC1']!, new Uint8Array(reach * reach).fill(1)));
		const [least, most] = [keep(new cv.Mat()), keep(new cv.Mat())];
		cv.erode(cut, least, square);
		cv.dilate(cut, most, square);
		for (let i = 0; i < was.length; i++) {
			const sure = least.data[i] === most.data[i];
			mask.data[i] = was[i] ? (sure ? PIECE : PERHAPS_PIECE) : sure ? GROUND : PERHAPS_GROUND;
		}
	});
}
