import { expose, transfer } from 'comlink';
import { bestPositions, type Candidate } from '$lib/core/mesh/position';
import { flatFace } from '$lib/core/mesh/faces';
import { pick } from '$lib/core/mesh/pick';
import { quickMeasure, quickMeasureBytes } from '$lib/core/mesh/quick';
import { sections, type Sections } from '$lib/core/mesh/section';
import { partingLine } from '$lib/core/mesh/undercuts';
import {
	assemble,
	readMeshFile,
	MeshError,
	type FileUnit,
	type Mesh,
	type MeshFile,
	type MeshReport,
	type Vec3
} from '$lib/core/mesh';
import { skinAreaMm2, standingSizes, study, type Study } from '$lib/core/master/study';
import type { Opening } from '$lib/core/master';
import { refusal, type Outcome } from '$lib/core/outcome';

type Tell = (share: number) => void;
/** A study with what the page draws of it. */
export interface PlacedStudy {
	traps: Study['traps'];
	ceilings: Study['ceilings'];
	undercuts: { share: number; depthMm: number; areaMm2: number; faces: Uint32Array };
	sizesMm: [number, number, number];
}

let file: MeshFile | undefined;
let mesh: Mesh | undefined;

/** What the maker may cause comes back as a sentence; anything else is thrown. */
function attempt<T>(work: () => T): Outcome<T> {
	try {
		return { ok: true, value: work() };
	} catch (error) {
		if (error instanceof MeshError) return refusal(error.message);
		if (error instanceof RangeError && /allocation|array length/i.test(error.message))
			return refusal('This file needs more memory than the browser gives: reduce the mesh first.');
		throw error;
	}
}

/** Tells at most twenty times a second: every message costs the page a little. */
function seldom(tell: Tell | undefined): Tell | undefined {
	let last = 0;
	return (
		tell &&
		((share) => {
			const now = performance.now();
			if (now - last < 50) return;
			last = now;
			void tell(share);
		})
	);
}

/** One 3D file, held here off the main thread; the page gets figures and what it draws. */
const api = {
	/**
	 * Reads a file, which comes by reference and is copied on this side only.
	 * @param first told the volume in the file's own unit, cubed, before anything is checked, where that is quick
	 */
	async read(
		source: Blob,
		name: string,
		tell?: Tell,
		first?: (volume: number) => void
	): Promise<
		Outcome<{ parts: { name: string; triangles: number }[]; unit?: FileUnit; firstVolume: number }>
	> {
		let bytes: Uint8Array;
		try {
			bytes = new Uint8Array(await source.arrayBuffer());
		} catch {
			return refusal('The browser could not read this file: was it moved, or is it on a drive that is gone?');
		}
		return attempt(() => {
			mesh = undefined;
			const quick = quickMeasureBytes(bytes)?.volume;
			if (quick !== undefined) void first?.(quick);
			file = readMeshFile(bytes, name, seldom(tell));
			return {
				parts: file.parts.map(({ name, triangles }) => ({ name, triangles })),
				// in the file's own unit, cubed: shown while holes and shells are still being looked for
				firstVolume: quick ?? file.parts.reduce((sum, part) => sum + quickMeasure(part).volume, 0),
				...(file.unit ? { unit: file.unit } : {})
			};
		});
	},

	/** Settles unit, scale and parts. */
	settle(
		options: { unit?: FileUnit; scale?: number; parts?: number[] },
		tell?: Tell
	): Outcome<{ report: MeshReport; sizesMm: [number, number, number] }> {
		return attempt(() => {
			if (!file) throw new MeshError('Choose a file first.');
			const made = assemble(file, options, seldom(tell));
			mesh = made.mesh;
			return { report: made.report, sizesMm: standingSizes(mesh, [0, 0, 1]) };
		});
	},

	/** Corners and faces to draw. */
	drawing(): { positions: Float32Array; indices: Uint32Array } {
		const positions = Float32Array.from(mesh!.vertices);
		const indices = mesh!.indices.slice();
		return transfer({ positions, indices }, [positions.buffer, indices.buffer]);
	},

	/** Pockets, ceilings and undercuts of a position, with faces by their number, ready to be drawn. */
	study(choice: { up: Vec3; pull?: Vec3; openings: Opening[] }): PlacedStudy {
		const { traps, ceilings, undercuts } = study(mesh!, choice as never);
		const faces = new Uint32Array(undercuts.undercut.reduce((sum, u) => sum + u, 0));
		let n = 0;
		for (let i = 0; i < undercuts.undercut.length; i++) if (undercuts.undercut[i]) faces[n++] = i;
		return {
			traps,
			ceilings: ceilings.map((c) => ({ ...c, triangles: c.triangles.map((t) => t / 3) })),
			undercuts: { share: undercuts.share, depthMm: undercuts.depthMm, areaMm2: undercuts.areaMm2, faces },
			sizesMm: standingSizes(mesh!, choice.up)
		};
	},

	best(tell?: Tell): Candidate[] {
		return bestPositions(mesh!, seldom(tell));
	},

	parting(pull: Vec3): Float32Array {
		const line = partingLine(mesh!, pull);
		return transfer(line, [line.buffer]);
	},

	sections(): Sections {
		return sections(mesh!);
	},

	pick(origin: Vec3, direction: Vec3, clip?: { normal: Vec3; offset: number }) {
		return pick(mesh!, origin, direction, clip);
	},

	face(triangle: number): { triangles: Uint32Array; areaMm2: number; normal: Vec3 } {
		return flatFace(mesh!, triangle);
	},

	skin(openFaces: number[]): number {
		return skinAreaMm2(mesh!, openFaces);
	}
};
export type MeshApi = typeof api;

expose(api);
