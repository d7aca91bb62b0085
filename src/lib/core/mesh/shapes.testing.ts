import Module, { type Manifold, type ManifoldToplevel } from 'manifold-3d';
import type { Mesh, Vec3 } from './types';

let loaded: ManifoldToplevel | undefined;

/** The independent geometry library of the registry; it makes and measures the shapes of the tests. */
export async function geometry(): Promise<ManifoldToplevel> {
	if (!loaded) {
		loaded = await Module();
		loaded.setup();
	}
	return loaded;
}

/** A body of that library as a mesh of ours. */
export function meshOf(body: Manifold): Mesh {
	const { vertProperties, triVerts, numProp } = body.getMesh();
	const vertices = new Float64Array((vertProperties.length / numProp) * 3);
	for (let i = 0; i < vertices.length / 3; i++)
		for (let k = 0; k < 3; k++) vertices[3 * i + k] = vertProperties[i * numProp + k]!;
	return { vertices, indices: Uint32Array.from(triVerts) };
}

/** A mesh as a binary STL. */
export function stlOf(mesh: Mesh): Uint8Array {
	const faces = mesh.indices.length / 3;
	const bytes = new Uint8Array(84 + 50 * faces);
	const view = new DataView(bytes.buffer);
	view.setUint32(80, faces, true);
	for (let f = 0; f < faces; f++)
		for (let c = 0; c < 3; c++)
			for (let k = 0; k < 3; k++)
				view.setFloat32(
					84 + 50 * f + 12 + 12 * c + 4 * k,
					mesh.vertices[3 * mesh.indices[3 * f + c]! + k]!,
					true
				);
	return bytes;
}

/** Corners and faces of registry packages that carry public-domain meshes. */
export function meshFrom(model: {
	positions: readonly (readonly number[])[];
	cells: readonly (readonly number[])[];
}): Mesh {
	return {
		vertices: Float64Array.from(model.positions.flat()),
		indices: Uint32Array.from(
			model.cells.flatMap((c) => c.slice(1, -1).flatMap((b, i) => [c[0]!, b, c[i + 2]!]))
		)
	};
}

/** Turns every corner by a rotation matrix given as three rows. */
export function rotated(mesh: Mesh, rows: readonly [Vec3, Vec3, Vec3]): Mesh {
	const vertices = new Float64Array(mesh.vertices.length);
	for (let i = 0; i < vertices.length; i += 3)
		for (let r = 0; r < 3; r++)
			vertices[i + r] = rows[r]!.reduce((sum, m, k) => sum + m * mesh.vertices[i + k]!, 0);
	return { vertices, indices: mesh.indices };
}
