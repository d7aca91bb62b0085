import { proxy } from 'comlink';
import { coverage, type Direction } from '$lib/core/photo/directions';
import type { Quick } from '$lib/core/photo';
import { PICTURE_FAULTS } from '$lib/photo/pictureFaults';
import type { Sight } from '$lib/photo/sitting';
import type { Stroke } from '$lib/photo/strokes';
import type { Drawing } from '$lib/workers/pictures.worker';
import { PicturesWorker } from '$lib/workers/picturesWorker';
import { PictureStore } from './pictureStore';

/** One picture on the page. */
export interface Picture {
	id: string;
	name: string;
	takenAtMs: number;
	/** To be shown; made from what is kept. */
	url: string;
	kept: Blob;
	sight: Sight;
	strokes: Stroke[];
	/** Its outline was worked out as it stands. */
	outlined: boolean;
}
/** One that was not taken at all, and why. */
export interface Refused {
	name: string;
	why: string;
}

/** How a master was measured before, where its pictures are kept. */
export interface Before {
	photos: readonly { id: string; strokes: Stroke[] }[];
	rulerMm: number;
	flatTop: boolean;
}

/** More pictures than this make nothing tighter, and fill the device's memory. */
const MOST = 40;
/** Steps of the grid: while pictures are still being cut, and at last. */
const STEPS = { preview: 44, last: 112 } as const;
const FINDING = { what: 'Finding from where each was taken', share: 0.5 } as const;
/** From so many outlines on a first body is shown, and again after so many more. */
const PREVIEW_EVERY = 4;

/** The pictures of one piece on the page: taken, judged, cut, made into a body. Long work is ended with its worker. */
export class PictureSitting {
	#worker: PicturesWorker | undefined;
	readonly #store = new PictureStore();
	readonly #piece: string;
	/** Rises with all that makes a body stale: what comes of an older question is dropped. */
	#asked = 0;
	/** Names of those that are still to be looked at. */
	#waiting: readonly string[] = [];

	pictures = $state.raw<readonly Picture[]>([]);
	refused = $state.raw<readonly Refused[]>([]);
	busy = $state<{ what: string; share: number } | undefined>();
	problem = $state('');
	/** Why nothing is kept on this device; empty while all is well. */
	trouble = $state('');
	body = $state.raw<Drawing | undefined>();
	/** What two pictures say, until there is a body. */
	quick = $state.raw<Quick | undefined>();
	/** The body is the last word on these pictures, not a first look. */
	settled = $state(false);
	/** What 100 mm of the mat's ruler measure, mm. */
	rulerMm = $state<number | undefined>(100);
	flatTop = $state(false);
	/** What water says of the volume, ml. */
	waterMl = $state<number | undefined>();

	/** @param waterMl what water said of it before, ml */
	constructor(piece: string, waterMl?: number) {
		this.#piece = piece;
		this.waterMl = waterMl;
	}

	readonly sound = $derived(this.pictures.filter((p) => !p.sight.fault));
	readonly directions = $derived(
		this.sound.flatMap((p): Direction[] => (p.sight.direction ? [p.sight.direction] : []))
	);
	readonly coverage = $derived(coverage(this.directions));
	/** Whether a ruler as typed can be gone by. */
	readonly rulerFits = $derived(this.rulerMm !== undefined && this.rulerMm >= 80 && this.rulerMm <= 120);

	#start(): PicturesWorker {
		return (this.#worker ??= new PicturesWorker());
	}

	async #keeping(work: Promise<unknown>): Promise<void> {
		try {
			await work;
			this.trouble = '';
		} catch {
			this.trouble = 'This device keeps nothing: pictures are lost when the page is closed.';
		}
	}

	/** Takes up what was left unfinished on this device. */
	async resume(): Promise<void> {
		const typed = await this.#store.typed(this.#piece).catch(() => undefined);
		if (typed) {
			[this.rulerMm, this.flatTop] = [typed.rulerMm, typed.flatTop];
			this.waterMl = typed.waterMl ?? this.waterMl;
		}
		const kept = await this.#store.all(this.#piece).catch(() => []);
		for (const [i, { id, name, takenAtMs, kept: blob, strokes }] of kept.entries()) {
			this.busy = { what: `Taking up picture ${i + 1} of ${kept.length}`, share: i / kept.length };
			const sight = await this.#start().api.takeKept(id, blob);
			if (strokes.length > 0) await this.#start().api.paint(id, strokes);
			this.#show({
				id,
				name,
				takenAtMs,
				url: URL.createObjectURL(blob),
				kept: blob,
				sight,
				strokes,
				outlined: false
			});
		}
		this.busy = undefined;
		if (kept.length > 0) await this.place();
	}

	#show(picture: Picture): void {
		this.pictures = [...this.pictures.filter((p) => p.id !== picture.id), picture].sort(
			(a, b) => a.takenAtMs - b.takenAtMs
		);
	}

	/** What was typed is kept at once. */
	typed(): void {
		const { rulerMm, flatTop, waterMl } = this;
		void this.#keeping(this.#store.type({ piece: this.#piece, rulerMm, flatTop, waterMl }));
	}

	/**
	 * Takes pictures as they come from camera or files; one after the other, so that memory stays small.
	 * @param painted what was painted over each before
	 */
	async take(files: readonly File[], painted: readonly Stroke[][] = []): Promise<void> {
		this.problem = '';
		this.refused = [];
		this.#stale();
		for (const [i, file] of files.entries()) {
			this.#waiting = files.slice(i).map((f) => f.name);
			this.busy = { what: `Looking at picture ${i + 1} of ${files.length}`, share: i / files.length };
			if (this.pictures.length >= MOST) {
				this.refused = [
					...this.refused,
					{ name: file.name, why: `There are ${MOST} pictures: leave some out first.` }
				];
				continue;
			}
			const taken = await this.#start()
				.api.take(file)
				.catch(() => undefined);
			if (!taken?.ok) {
				const why = taken?.errors[0].message ?? 'The browser could not read this file: was it moved?';
				this.refused = [...this.refused, { name: file.name, why }];
				continue;
			}
			const { id, kept, sight } = taken.value;
			if (this.pictures.some((p) => p.id === id)) {
				this.refused = [...this.refused, { name: file.name, why: 'This very picture is there already.' }];
				continue;
			}
			const row = { id, name: file.name, takenAtMs: Date.now() + i, kept, strokes: painted[i] ?? [] };
			if (row.strokes.length > 0) await this.#start().api.paint(id, row.strokes);
			this.#show({ ...row, url: URL.createObjectURL(kept), sight, outlined: false });
			await this.#keeping(this.#store.put({ ...row, piece: this.#piece }));
		}
		this.#waiting = [];
		this.busy = { what: 'Finding from where each was taken', share: 1 };
		await this.place();
		this.busy = undefined;
	}

	async drop(id: string): Promise<void> {
		const gone = this.pictures.find((p) => p.id === id);
		if (!gone) return;
		URL.revokeObjectURL(gone.url);
		this.pictures = this.pictures.filter((p) => p.id !== id);
		this.#stale();
		const mine = this.#asked;
		// until all is placed anew nothing is worked out of it
		this.busy = { ...FINDING };
		await this.#keeping(this.#store.drop(this.#piece, id));
		await this.#start().api.remove(id);
		await this.place();
		if (mine === this.#asked) this.busy = undefined;
	}

	/** The body is no longer that of these pictures; it stays in sight, faded. */
	#stale(): void {
		this.#asked++;
		this.settled = false;
		this.quick = undefined;
		// what was going on is overtaken and ends by itself
		this.busy = undefined;
	}

	/** Outlines and the body have to be made anew: another ruler, another picture. */
	again(): void {
		this.#stale();
		this.pictures = this.pictures.map((p) => ({ ...p, outlined: false }));
	}

	get #scale(): number {
		return this.rulerFits ? this.rulerMm! / 100 : 1;
	}

	/** Works out from where each picture was taken. */
	async place(): Promise<void> {
		if (this.pictures.length === 0) return;
		const alone = !this.busy;
		this.busy ??= { ...FINDING };
		this.#see(await this.#start().api.place(this.#scale));
		this.pictures = this.pictures.map((p) => ({ ...p, outlined: false }));
		if (alone) this.busy = undefined;
	}

	#see(sights: readonly Sight[]): void {
		this.pictures = this.pictures.map((p) => ({ ...p, sight: sights.find((s) => s.id === p.id) ?? p.sight }));
	}

	/**
	 * Cuts all pictures that are not cut yet.
	 * @param share of the whole work that this is
	 * @param each after every picture but a single one, with how many are done
	 * @returns whether it came to its end: nothing overtook it
	 */
	async #cutAll(mine: number, share: number, each?: (done: number) => Promise<void>): Promise<boolean> {
		const { api } = this.#start();
		if (!this.pictures.some((p) => p.outlined)) {
			// said without a break: a button that is made anew under the finger is not pressed
			this.busy = { ...FINDING, share: 0 };
			await this.place();
			if (mine !== this.#asked) return false;
		}
		const todo = this.sound.filter((p) => !p.outlined);
		for (const [i, { id }] of todo.entries()) {
			this.busy = {
				what: `Cutting out picture ${i + 1} of ${todo.length}`,
				share: (share * i) / todo.length
			};
			await api.outline(id);
			if (mine !== this.#asked) return false;
			this.pictures = this.pictures.map((p) => (p.id === id ? { ...p, outlined: true } : p));
			if (todo.length > 1) await each?.(i + 1);
			if (mine !== this.#asked) return false;
		}
		this.#see(await api.sights());
		return mine === this.#asked;
	}

	/** Cuts what is not cut yet, shows a first body early and the last one at the end. */
	async workOut(): Promise<void> {
		this.problem = '';
		const mine = ++this.#asked;
		const cut = await this.#cutAll(mine, 0.85, async (done) => {
			if (done % PREVIEW_EVERY !== 0) return;
			const first = await this.#start().api.body({ steps: STEPS.preview, flatTop: this.flatTop });
			if (first.ok && mine === this.#asked) this.body = first.value;
		});
		if (cut) await this.make(mine);
	}

	/** The quick answer of a front and a side picture. */
	async quickly(): Promise<void> {
		this.problem = '';
		const mine = ++this.#asked;
		if (!(await this.#cutAll(mine, 1))) return;
		const made = await this.#start().api.quick();
		if (mine !== this.#asked) return;
		this.busy = undefined;
		if (made.ok) this.quick = made.value;
		else this.problem = made.errors[0].message;
	}

	/** Makes the body of the outlines as they stand. */
	async make(mine = ++this.#asked): Promise<void> {
		this.busy = { what: 'Working out the body', share: 0.85 };
		const tell = proxy((share: number) => {
			if (this.busy) this.busy.share = 0.85 + 0.15 * share;
		});
		const made = await this.#start().api.body({ steps: STEPS.last, flatTop: this.flatTop }, tell);
		if (mine !== this.#asked) return;
		this.busy = undefined;
		if (!made.ok) {
			this.problem = made.errors[0].message;
			return;
		}
		this.body = made.value;
		this.settled = true;
	}

	/** Ends what is going on; pictures and what was painted stay. What was not looked at yet is named. */
	async stop(): Promise<void> {
		this.#asked++;
		const unseen = this.#waiting.map((name) => ({
			name,
			why: 'Stopped before it was looked at: add it again.'
		}));
		this.#waiting = [];
		this.refused = [...this.refused, ...unseen];
		this.#worker?.end();
		this.#worker = undefined;
		this.busy = { what: 'Stopped; taking the pictures up again', share: 0 };
		for (const p of this.pictures) {
			await this.#start().api.takeKept(p.id, p.kept);
			if (p.strokes.length > 0) await this.#start().api.paint(p.id, p.strokes);
		}
		this.busy = undefined;
		await this.place();
	}

	/** The outline of one picture as it stands. */
	outline(id: string) {
		return this.#start().api.outline(id);
	}

	/** Takes the maker's strokes over one picture; its outline is cut anew at once. */
	async paint(id: string, strokes: Stroke[]): Promise<void> {
		this.#stale();
		const picture = this.pictures.find((p) => p.id === id)!;
		this.#show({ ...picture, strokes, outlined: false });
		const { name, kept, takenAtMs } = picture;
		void this.#keeping(this.#store.put({ id, piece: this.#piece, name, takenAtMs, kept, strokes }));
		await this.#start().api.paint(id, strokes);
	}

	/** All is kept elsewhere now. */
	async kept(): Promise<void> {
		await this.#keeping(this.#store.clear(this.#piece));
	}

	dispose(): void {
		this.#worker?.end();
		this.#worker = undefined;
		for (const p of this.pictures) URL.revokeObjectURL(p.url);
	}
}

/** What is wrong with a picture, in a sentence. */
export const faultWords = (sight: Sight): string => (sight.fault ? PICTURE_FAULTS[sight.fault] : '');
