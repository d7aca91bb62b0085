import {
	bodyOf,
	directionOf,
	MATS,
	PictureError,
	rimOf,
	standpoint,
	quickOf,
	type BodyOptions,
	type Camera,
	type Direction,
	type MatSize,
	type Outline,
	type Pictured,
	type Pose,
	type Quick,
	type View
} from '$lib/core/photo';
import { ROOM } from './ground';
import { findMarkers, type Pixels } from './findMarkers';
import { judge, type Judged } from './judge';
import { litMatOf } from './litMat';
import type { PictureFault } from './pictureFaults';
import { outlineOf, type Cut } from './outline';
import { rimLost } from './rimContrast';
import type { LitMat, Setting } from './setting';
import { placeAll, type PlacedPicture } from './placeAll';
import type { Vision } from './vision';

/** What is known of one picture. */
export interface Sight {
	id: string;
	widthPx: number;
	heightPx: number;
	fault: PictureFault | undefined;
	mat: MatSize | undefined;
	markers: number;
	/** What lies beyond the mat is full of edges: the outline may need the maker's hand. */
	busy: boolean;
	direction?: Direction;
	/** How far its markers are from where they should be, px. */
	offPx?: number;
}

interface Held {
	id: string;
	pixels: () => Promise<Pixels>;
	widthPx: number;
	heightPx: number;
	judged: Judged;
	painted?: Uint8Array;
	outline?: Cut;
	/** What share of the outline's rim has the same colour on both sides. */
	rimLost?: number;
}

/**
 * The pictures of one piece and all that is made of them. It holds no pixels: they are asked for when they are needed,
 * one picture at a time. What comes out does not depend on the order in which pictures came.
 */
export class Sitting {
	readonly #cv: Vision;
	#held: Held[] = [];
	#placed = new Map<string, PlacedPicture>();
	#lit: LitMat | undefined;
	#scale = 1;

	constructor(cv: Vision) {
		this.#cv = cv;
	}

	/** Takes a picture and judges it by itself. @param id by its content, so that one that comes twice is one */
	async add(id: string, pixels: () => Promise<Pixels>): Promise<Sight> {
		const picture = await pixels();
		const judged = judge(picture, findMarkers(this.#cv, picture));
		const held: Held = { id, pixels, widthPx: picture.width, heightPx: picture.height, judged };
		this.#held = [...this.#held.filter((h) => h.id !== id), held].sort((a, b) => (a.id < b.id ? -1 : 1));
		this.#forget();
		return this.#sight(held);
	}

	remove(id: string): void {
		this.#held = this.#held.filter((h) => h.id !== id);
		this.#forget();
	}

	/** What 100 mm of the ruler really measure, as a share of it. */
	scaleBy(share: number): void {
		if (share === this.#scale) return;
		this.#scale = share;
		this.#forget();
	}

	/** Poses belong together: with another picture, or another scale, all of them are worked out anew. */
	#forget(): void {
		this.#placed.clear();
		this.#lit = undefined;
		for (const held of this.#held) delete held.outline;
	}

	/** The mat that most pictures show. */
	get mat(): MatSize | undefined {
		const count = new Map<MatSize, number>();
		for (const { judged } of this.#held)
			if (judged.mat && !judged.fault) count.set(judged.mat, (count.get(judged.mat) ?? 0) + 1);
		return [...count].sort((a, b) => b[1] - a[1])[0]?.[0];
	}

	/** Works out the camera and where each picture was taken from. */
	place(): Sight[] {
		const mat = this.mat;
		const fit = this.#held.filter(({ judged }) => !judged.fault && judged.mat === mat);
		this.#placed = placeAll(
			this.#cv,
			fit.map(({ id, widthPx, heightPx, judged }) => ({ id, widthPx, heightPx, found: judged.found })),
			this.#scale
		);
		return this.#held.map((held) => this.#sight(held));
	}

	#sight(held: Held): Sight {
		const { id, widthPx, heightPx, judged } = held;
		const placed = this.#placed.get(id);
		const other = this.mat && judged.mat && judged.mat !== this.mat;
		const fault = judged.fault ?? (other ? 'other-mat' : placed?.fault);
		return {
			id,
			widthPx,
			heightPx,
			mat: judged.mat,
			markers: judged.found.length,
			busy: judged.busy,
			fault: fault ?? outlineFault(held),
			...(placed?.pose ? { direction: directionOf(standpoint(placed.pose)), offPx: placed.offPx } : {})
		};
	}

	/** Camera and pose of a picture that has a place. */
	placeOf(id: string): { camera: Camera; pose: Pose } | undefined {
		const placed = this.#placed.get(id);
		return placed?.camera && placed.pose && { camera: placed.camera, pose: placed.pose };
	}

	#settingOf(id: string): Setting | undefined {
		const placed = this.placeOf(id);
		const mat = this.mat;
		if (!placed || this.#placed.get(id)!.fault || !mat) return undefined;
		return { mat: MATS[mat], ...placed, scale: this.#scale, ...(this.#lit ? { lit: this.#lit } : {}) };
	}

	/** Gathers how bright the mat is; one picture's pixels are held at a time. */
	async #light(): Promise<void> {
		if (this.#lit || !this.mat) return;
		const pictures = [];
		for (const { id, pixels } of this.#held) {
			const setting = this.#settingOf(id);
			if (setting) pictures.push({ picture: pixels, setting });
		}
		this.#lit = await litMatOf(pictures, MATS[this.mat]);
	}

	/** What the maker painted over a picture: 1 for the piece, 2 for none of it, 0 for nothing said, by pixel. */
	paint(id: string, painted: Uint8Array | undefined): void {
		const held = this.#held.find((h) => h.id === id);
		if (!held) return;
		if (painted) held.painted = painted;
		else delete held.painted;
		delete held.outline;
	}

	/** The outline of one picture; nothing for one that has no place. @throws PictureError for a picture that is gone */
	async outline(id: string): Promise<Outline | undefined> {
		const held = this.#held.find((h) => h.id === id);
		if (!held) throw new PictureError('This picture is no longer there.');
		if (held.outline) return held.outline;
		await this.#light();
		const setting = this.#settingOf(id);
		if (!setting) return undefined;
		const picture = await held.pixels();
		held.outline = outlineOf(this.#cv, picture, setting, held.painted);
		held.rimLost = rimLost(picture, held.outline);
		return held.outline;
	}

	/** Pictures as they stand now, those that were placed with their direction. */
	sights(): Sight[] {
		return this.#held.map((held) => this.#sight(held));
	}

	/** Views of all outlines that are worked out and sound, with the room that the mat gives. */
	#cut(): {
		ids: string[];
		views: View[];
		room: Pick<BodyOptions, 'reachMm' | 'wallMm' | 'tallMm' | 'offPx'>;
	} {
		const ids: string[] = [];
		const views: View[] = [];
		let offSquare = 0;
		for (const held of this.#held) {
			const { id, outline } = held;
			const setting = this.#settingOf(id);
			const rim = outline && !outlineFault(held) && rimOf(outline);
			if (!setting || !rim) continue;
			ids.push(id);
			views.push({ camera: setting.camera, pose: setting.pose, rim });
			offSquare += this.#placed.get(id)!.offPx! ** 2;
		}
		const middleMm = (this.mat ? MATS[this.mat].middleMm : 0) * this.#scale;
		const offPx = Math.sqrt(offSquare / Math.max(1, views.length));
		return {
			ids,
			views,
			room: { reachMm: 1.5 * middleMm, wallMm: ROOM.wide * middleMm, tallMm: ROOM.tall * middleMm, offPx }
		};
	}

	/**
	 * The body by all outlines.
	 * @param options grid and whether the piece is flat on top
	 * @throws PictureError where they do not make one
	 */
	body(options: {
		steps: number;
		flatTop: boolean;
		progress?: (share: number) => void;
	}): Pictured & { ids: string[] } {
		const { ids, views, room } = this.#cut();
		if (views.length < FEWEST_VIEWS)
			throw new PictureError(
				`${views.length === 0 ? 'No picture' : `Only ${views.length} of the pictures`} can be measured: at least ${FEWEST_VIEWS} sound ones are needed, better 15.`
			);
		return { ...bodyOf(views, { ...room, ...options }), ids };
	}

	/** The quick answer of a front and a side picture. @throws PictureError where there are no two such */
	quick(steps: number): Quick {
		const { views, room } = this.#cut();
		return quickOf(views, { ...room, steps });
	}
}

/** Fewer pictures than this give no body worth the name. */
const FEWEST_VIEWS = 4;

/** Where more than this share of a rim has one colour on both sides the outline is a guess: sound ones measured up to 0.03. */
const MOST_LOST = 0.08;

/** Ink that something hides outside of the outline, beside the outline: a pale piece that reaches farther. Sound ones measured 0. */
const MOST_HIDDEN = 0.01;

/** What is wrong with an outline; nothing while there is none. What the maker painted is taken as said. */
function outlineFault({ outline, rimLost: lost = 0, painted }: Held): PictureFault | undefined {
	if (!outline) return undefined;
	const { widthPx, heightPx, piece, inkHidden } = outline;
	let count = 0;
	for (const p of piece) count += p;
	if (count < 0.0005 * piece.length) return 'no-outline';
	for (let x = 0; x < widthPx; x++) if (piece[x] || piece[(heightPx - 1) * widthPx + x]) return 'cut-off';
	for (let y = 0; y < heightPx; y++) if (piece[y * widthPx] || piece[(y + 1) * widthPx - 1]) return 'cut-off';
	return !painted && (lost > MOST_LOST || inkHidden > MOST_HIDDEN * count) ? 'pale' : undefined;
}
