/** A point or direction in space. */
export type Vec3 = readonly [number, number, number];

/** Triangles as a file gives them: nine coordinates for each, in the file's own unit. */
export interface TriangleSoup {
	/** `9 × triangles` coordinates. */
	positions: Float32Array;
	triangles: number;
}

/** A part of a file. */
export interface MeshPart extends TriangleSoup {
	name: string;
}

/** Triangles over shared corners. Lengths in mm once a unit is settled. */
export interface Mesh {
	/** `3 × corners` coordinates. */
	vertices: Float64Array;
	/** `3 × triangles` corner numbers, counter-clockwise seen from outside. */
	indices: Uint32Array;
}

/** Length units that files are drawn in, mm for one (NIST SP 811). */
export const FILE_UNIT_MM = { mm: 1, cm: 10, m: 1000, in: 25.4, ft: 304.8, µm: 0.001 } as const;
export type FileUnit = keyof typeof FILE_UNIT_MM;

/** How far a long piece of work has come, 0 … 1. Throw from it to stop. */
export type Progress = (share: number) => void;

/** A file that cannot be used, with a sentence that says why and what to do. */
export class MeshError extends Error {
	constructor(message: string) {
		super(message);
		this.name = 'MeshError';
	}
}

/** Bounds that keep memory in hand, whatever a file says of itself. */
export const MESH_LIMITS = {
	/** Largest file, bytes. */
	bytes: 256 * 1024 * 1024,
	/** Most triangles of all parts together: what the largest binary STL holds. */
	triangles: 5_400_000,
	/** Most that a zipped file may unfold to, bytes. */
	unzippedBytes: 512 * 1024 * 1024
} as const;

/** Grows as triangles come; refuses past the limit, so that a lying file cannot fill the memory. */
export class SoupBuilder {
	#data: Float32Array;
	#length = 0;
	constructor(expected = 1024) {
		this.#data = new Float32Array(9 * Math.min(Math.max(expected, 16), MESH_LIMITS.triangles));
	}
	get triangles(): number {
		return this.#length / 9;
	}
	/** Adds a triangle. @throws MeshError past the limit or for a coordinate that is not a number. */
	add(
		ax: number,
		ay: number,
		az: number,
		bx: number,
		by: number,
		bz: number,
		cx: number,
		cy: number,
		cz: number
	): void {
		if (!Number.isFinite(ax + ay + az + bx + by + bz + cx + cy + cz)) {
			throw new MeshError(
				`Triangle ${this.triangles + 1} has a corner that is not a number: export the file again.`
			);
		}
		if (this.#length + 9 > this.#data.length) this.#grow();
		this.#data.set([ax, ay, az, bx, by, bz, cx, cy, cz], this.#length);
		this.#length += 9;
	}
	#grow(): void {
		if (this.triangles >= MESH_LIMITS.triangles) throw tooManyTriangles(this.triangles + 1);
		const larger = new Float32Array(Math.min(this.#data.length * 2, 9 * MESH_LIMITS.triangles));
		larger.set(this.#data);
		this.#data = larger;
	}
	build(): TriangleSoup {
		return { positions: this.#data.slice(0, this.#length), triangles: this.triangles };
	}
}

export function tooManyTriangles(count: number): MeshError {
	return new MeshError(
		`More than ${(MESH_LIMITS.triangles / 1e6).toFixed(1)} million triangles (${count.toLocaleString('en-GB')}): reduce the mesh first, a tenth of it is plenty for a casting.`
	);
}

/** @param why what is seen of it */
export function tooTangled(why: string): MeshError {
	return new MeshError(
		`This surface is too tangled to tell inside from outside: ${why}. Let the drawing program merge its corners and unite its bodies, and export it again.`
	);
}
