import { proxy } from 'comlink';
import { FILE_UNIT_MM, MESH_LIMITS } from '$lib/core/mesh/types';
import { digits } from '$lib/core/units';
import type { Candidate, Ceiling, FileUnit, MeshReport, Sections, TrapResult, Vec3 } from '$lib/core/mesh';
import type { Opening, PicturedRecord, ShapeChoice } from '$lib/core/master';
import type { PlacedStudy } from '$lib/workers/mesh.worker';
import { MeshWorker } from '$lib/workers/meshWorker';

type V3 = [number, number, number];
/** Units that a file is drawn in, the likeliest first. */
const GUESSED: readonly FileUnit[] = ['mm', 'cm', 'in', 'm'];
/** What stands in the view; corners and faces go from worker to worker when they are drawn. */
export interface Drawn {
	load: () => Promise<{ positions: Float32Array; indices: Uint32Array }>;
	min: V3;
	max: V3;
}
interface OpenFace {
	seed: number;
	areaMm2: number;
	triangles: Uint32Array;
}

/**
 * One 3D file on the stand: what the worker knows of it and what the maker chose. Long work is called off
 * by ending the worker; the file is still here and can be read again.
 */
export class Studio {
	#worker: MeshWorker | undefined;
	#file: Blob | undefined;
	/** Of the file as it is drawn, before anything is checked; in its own unit, cubed. */
	#firstVolume = 0;
	/** Rises with every question about the position: an answer to an older one is dropped. */
	#asked = 0;
	#takingUp = false;

	fileName = $state('');
	/** Known on the server already. */
	sha256 = $state<string | undefined>();
	busy = $state<{ what: string; share: number } | undefined>();
	problem = $state('');
	parts = $state.raw<{ name: string; triangles: number }[]>([]);
	chosenParts = $state<number[]>([]);
	/** What the file says of its unit itself. */
	fileUnit = $state<FileUnit | undefined>();
	unit = $state<FileUnit>('mm');
	/** Whether the maker, or the file, has said which unit it is. */
	unitSettled = $state(false);
	scale = $state(1);
	/** How the body was come by, where it was cut from pictures. */
	pictured = $state.raw<PicturedRecord | undefined>();
	report = $state.raw<MeshReport | undefined>();
	drawn = $state.raw<Drawn | undefined>();

	up = $state.raw<V3>([0, 0, -1]);
	pull = $state.raw<V3 | undefined>();
	openings = $state<Opening[]>([]);
	openFaces = $state.raw<OpenFace[]>([]);
	sizesMm = $state.raw<V3>([0, 0, 0]);
	traps = $state.raw<TrapResult | undefined>();
	ceilings = $state.raw<Ceiling[]>([]);
	undercuts = $state.raw<PlacedStudy['undercuts'] | undefined>();
	candidates = $state.raw<Candidate[]>([]);
	/** The best position is being looked for. */
	candidatesWanted = false;
	sections = $state.raw<Sections | undefined>();
	parting = $state.raw<Float32Array | undefined>();
	skinMm2 = $state<number | undefined>();

	#start(): MeshWorker {
		this.#worker ??= new MeshWorker();
		return this.#worker;
	}

	/** Ends what is going on; the page is as it was before the file, or with the file as it last stood. */
	cancel(): void {
		this.#worker?.end();
		this.#worker = undefined;
		this.#asked++;
		const stands = this.candidatesWanted || this.#takingUp;
		this.busy = undefined;
		this.candidatesWanted = false;
		// a search that is called off leaves the piece as it stood; a file that is called off was never there
		if (stands && this.#file) void this.#takeUpAgain(this.#file);
		else this.clear();
	}

	/** Gives a new worker the file as it stood; nothing on the page changes. */
	async #takeUpAgain(file: Blob): Promise<void> {
		this.#takingUp = true;
		const { api } = this.#start();
		this.busy = { what: 'Stopped; taking the piece up again', share: 0 };
		const tell = proxy((share: number) => {
			if (this.busy) this.busy.share = share;
		});
		const read = await api.read(file, this.fileName, tell);
		const made = read.ok ? await api.settle(this.#settling, tell) : read;
		this.#takingUp = false;
		this.busy = undefined;
		if (!made.ok) {
			this.clear();
			this.problem = made.errors[0].message;
		}
	}

	get #settling(): { unit: FileUnit; scale: number; parts?: number[] } {
		return {
			unit: this.unit,
			scale: this.scale,
			...(this.parts.length > 1 ? { parts: [...this.chosenParts] } : {})
		};
	}

	clear(): void {
		this.#file = undefined;
		this.fileName = '';
		this.sha256 = undefined;
		this.report = undefined;
		this.drawn = undefined;
		this.traps = undefined;
		this.candidates = [];
		this.parts = [];
		this.openings = [];
		this.openFaces = [];
		this.scale = 1;
		this.pictured = undefined;
	}

	dispose(): void {
		this.#worker?.end();
		this.#worker = undefined;
	}

	get file(): Blob | undefined {
		return this.#file;
	}

	/** What would be kept. */
	get choice(): ShapeChoice {
		return {
			sha256: this.sha256 ?? '0'.repeat(64),
			fileName: this.fileName,
			unit: this.unit,
			scale: this.scale,
			...(this.parts.length > 1 ? { parts: [...this.chosenParts] } : {}),
			up: [...this.up],
			...(this.pull ? { pull: [...this.pull] } : {}),
			openings: this.openings.map((o) => ({ kind: o.kind, at: [...o.at] })),
			openFaces: this.openFaces.map((f) => f.seed),
			...(this.pictured ? { pictured: this.pictured } : {})
		};
	}

	/** Reads a file. `kept` brings back what was chosen for it before. */
	async open(file: Blob, name: string, sha256?: string, kept?: ShapeChoice): Promise<void> {
		this.clear();
		this.problem = '';
		this.#file = file;
		this.fileName = name;
		this.sha256 = sha256;
		this.busy = { what: 'Reading', share: 0 };
		const { api } = this.#start();
		const tell = proxy((share: number) => {
			if (this.busy) this.busy.share = share;
		});
		const first = proxy((volume: number) => {
			if (this.busy) this.busy.what = `Reading, about ${digits(volume / 1000, 0)} ml if drawn in mm`;
		});
		const read = await api.read(file, name, tell, first);
		if (!read.ok) {
			this.busy = undefined;
			this.clear();
			this.problem = read.errors[0].message;
			return;
		}
		this.parts = read.value.parts;
		this.chosenParts = kept?.parts ?? read.value.parts.map((_, i) => i);
		this.#firstVolume = read.value.firstVolume;
		this.fileUnit = read.value.unit;
		this.unit = kept?.unit ?? read.value.unit ?? 'mm';
		this.unitSettled = kept !== undefined || read.value.unit !== undefined;
		this.scale = kept?.scale ?? 1;
		this.up = kept ? [...kept.up] : [0, 0, -1];
		this.pull = kept?.pull ? [...kept.pull] : undefined;
		this.pictured = kept?.pictured;
		this.openings = kept?.openings.map((o) => ({ kind: o.kind, at: [...o.at] as V3 })) ?? [];
		await this.settle();
		if (kept) for (const seed of kept.openFaces) await this.addOpenFace(seed);
	}

	/** Works the file out again after unit, scale or parts changed. */
	async settle(): Promise<void> {
		const { api } = this.#start();
		const first = (this.#firstVolume * (FILE_UNIT_MM[this.unit] * this.scale) ** 3) / 1000;
		this.busy = { what: `Measuring, about ${digits(first, 0)} ml`, share: 0 };
		const tell = proxy((share: number) => {
			if (this.busy) this.busy.share = share;
		});
		const made = await api.settle(this.#settling, tell);
		this.busy = undefined;
		if (!made.ok) {
			this.problem = made.errors[0].message;
			return;
		}
		this.problem = '';
		const { report } = made.value;
		this.report = report;
		this.candidates = [];
		this.openFaces = [];
		this.skinMm2 = report.areaMm2;
		this.drawn = {
			load: () => this.#start().api.drawing(),
			min: [...report.bounds.min],
			max: [...report.bounds.max]
		};
		await this.look();
		this.sections = await api.sections();
	}

	/** Takes a file of the maker's; a sentence in `problem` when it is too large. */
	async take(file: File): Promise<void> {
		if (file.size > MESH_LIMITS.bytes) {
			this.problem = `This file has ${(file.size / 1024 ** 2).toFixed(0)} MB: at most ${MESH_LIMITS.bytes / 1024 ** 2} MB are taken.`;
			return;
		}
		await this.open(file, file.name);
	}
	/** Takes a body that was cut from pictures: it is in millimetres, and stands the way it stood on its mat. */
	async takePictured(file: Blob, name: string, scale: number, pictured: PicturedRecord): Promise<void> {
		const choice = {
			sha256: '',
			fileName: name,
			unit: 'mm' as const,
			scale,
			up: [0, 0, 1] as V3,
			openings: [],
			openFaces: [],
			pictured
		};
		await this.open(file, name, undefined, choice);
	}
	/** Fetches a file that is kept on the server, with what was chosen for it. */
	async openKept(choice: ShapeChoice): Promise<void> {
		this.busy = { what: 'Fetching', share: 0 };
		const response = await fetch(`/api/meshes/${choice.sha256}`).catch(() => undefined);
		this.busy = undefined;
		if (!response?.ok) {
			this.problem = 'The kept file could not be fetched: try again, or take the file once more.';
			return;
		}
		await this.open(await response.blob(), choice.fileName, choice.sha256, choice);
	}

	/** How tall the piece is the longest way for each unit that the file might mean, mm. */
	get guessesMm(): { unit: FileUnit; tallMm: number }[] {
		const drawn = Math.max(...this.sizesMm) / (FILE_UNIT_MM[this.unit] * this.scale);
		return GUESSED.map((unit) => ({ unit, tallMm: drawn * FILE_UNIT_MM[unit] }));
	}
	async settleUnit(unit: FileUnit): Promise<void> {
		this.unit = unit;
		this.scale = 1;
		this.unitSettled = true;
		await this.settle();
	}
	/** Scales the piece so that it is this tall as it is poured, mm. Whether it could be. */
	async makeTall(tallMm: number | undefined): Promise<boolean> {
		if (!(tallMm !== undefined && tallMm > 0) || !(this.sizesMm[2] > 0)) return false;
		this.scale = (this.scale * tallMm) / this.sizesMm[2];
		// openings were set on the old size
		this.openings = [];
		await this.settle();
		return true;
	}
	/** Takes a part into the piece, or out of it; the last one stays. */
	async togglePart(index: number): Promise<void> {
		const next = this.chosenParts.includes(index)
			? this.chosenParts.filter((p) => p !== index)
			: [...this.chosenParts, index].sort((a, b) => a - b);
		if (next.length === 0) return;
		this.chosenParts = next;
		this.openings = [];
		await this.settle();
	}

	/** Pockets, ceilings and undercuts for the position and the openings as they stand. */
	async look(): Promise<void> {
		const mine = ++this.#asked;
		const { up, pull, openings } = this.choice;
		const found = await this.#start().api.study({ up, ...(pull ? { pull } : {}), openings });
		const line = await this.#start().api.parting(pull ?? up);
		if (mine !== this.#asked) return;
		this.sizesMm = found.sizesMm;
		this.traps = found.traps;
		this.ceilings = found.ceilings;
		this.undercuts = found.undercuts;
		this.parting = line;
	}

	/** Chooses what points up; openings stay where they are on the piece. */
	async turn(up: Vec3): Promise<void> {
		this.up = [...up];
		await this.look();
	}

	async setPull(pull: Vec3 | undefined): Promise<void> {
		this.pull = pull && [...pull];
		await this.look();
	}

	async search(): Promise<void> {
		this.busy = { what: 'Looking for the best position', share: 0 };
		this.candidatesWanted = true;
		const tell = proxy((share: number) => {
			if (this.busy) this.busy.share = share;
		});
		this.candidates = await this.#start().api.best(tell);
		this.candidatesWanted = false;
		this.busy = undefined;
	}

	pick(ray: { origin: Vec3; direction: Vec3; clip?: { normal: Vec3; offset: number } }) {
		return this.#start().api.pick(ray.origin, ray.direction, ray.clip);
	}

	async addOpening(kind: Opening['kind'], at: Vec3): Promise<void> {
		this.openings = [...this.openings, { kind, at: [...at] }];
		await this.look();
	}

	async removeOpening(index: number): Promise<void> {
		this.openings = this.openings.filter((_, i) => i !== index);
		await this.look();
	}

	async addOpenFace(seed: number): Promise<void> {
		const face = await this.#start().api.face(seed);
		// a face that is open already is closed again by a second press
		const before = this.openFaces.findIndex((f) => f.triangles.includes(seed));
		this.openFaces =
			before >= 0
				? this.openFaces.filter((_, i) => i !== before)
				: [...this.openFaces, { seed, areaMm2: face.areaMm2, triangles: face.triangles }];
		this.skinMm2 = await this.#start().api.skin(this.openFaces.map((f) => f.seed));
	}

	/** The outward direction of the face under a triangle. */
	async faceDirection(seed: number): Promise<Vec3> {
		return (await this.#start().api.face(seed)).normal;
	}
}
