import { strToU8, zipSync } from 'fflate';
import { loadMesh, type Mesh } from '.';

export const text = (s: string) => new TextEncoder().encode(s);
export const corners = (mesh: Mesh) =>
	Array.from({ length: mesh.vertices.length / 3 }, (_, i) => [...mesh.vertices.slice(3 * i, 3 * i + 3)]);
export const faces = (mesh: Mesh) =>
	Array.from({ length: mesh.indices.length / 3 }, (_, i) => [...mesh.indices.slice(3 * i, 3 * i + 3)]);

export const asText = (mesh: Mesh) =>
	`solid cube\n${faces(mesh)
		.map(
			(f) =>
				`facet normal 0 0 0\nouter loop\n${f.map((i) => `vertex ${corners(mesh)[i]!.join(' ')}`).join('\n')}\nendloop\nendfacet`
		)
		.join('\n')}\nendsolid cube\n`;
export const asObj = (mesh: Mesh) =>
	`# made by hand\n${corners(mesh)
		.map((v) => `v ${v.join(' ')}`)
		.join('\n')}\n${faces(mesh)
		.map((f) => `f ${f.map((i) => `${i + 1}//1`).join(' ')}`)
		.join('\n')}\n`;
export const asPly = (mesh: Mesh) =>
	`ply\nformat ascii 1.0\ncomment by hand\nelement vertex ${corners(mesh).length}\nproperty float x\nproperty float y\nproperty float z\nelement face ${faces(mesh).length}\nproperty list uchar int vertex_indices\nend_header\n${corners(
		mesh
	)
		.map((v) => v.join(' '))
		.join('\n')}\n${faces(mesh)
		.map((f) => `3 ${f.join(' ')}`)
		.join('\n')}\n`;
export const asBinaryPly = (mesh: Mesh, little: boolean) => {
	const head = text(
		`ply\nformat binary_${little ? 'little' : 'big'}_endian 1.0\nelement vertex ${corners(mesh).length}\nproperty double x\nproperty double y\nproperty double z\nproperty uchar red\nelement face ${faces(mesh).length}\nproperty list uchar uint vertex_index\nend_header\n`
	);
	const body = new DataView(new ArrayBuffer(25 * corners(mesh).length + 13 * faces(mesh).length));
	let at = 0;
	for (const v of corners(mesh)) {
		for (const x of v) {
			body.setFloat64(at, x, little);
			at += 8;
		}
		body.setUint8(at++, 200);
	}
	for (const f of faces(mesh)) {
		body.setUint8(at++, 3);
		for (const i of f) {
			body.setUint32(at, i, little);
			at += 4;
		}
	}
	return Uint8Array.from([...head, ...new Uint8Array(body.buffer)]);
};
export const model = (mesh: Mesh, over: { unit?: string; item?: string; extra?: string } = {}) =>
	`<?xml version="1.0"?><model unit="${over.unit ?? 'millimeter'}" xmlns="x"><resources><object id="1" name="cube"><mesh><vertices>${corners(
		mesh
	)
		.map(([x, y, z]) => `<vertex x="${x}" y="${y}" z="${z}"/>`)
		.join('')}</vertices><triangles>${faces(mesh)
		.map(([a, b, c]) => `<triangle v1="${a}" v2="${b}" v3="${c}"/>`)
		.join(
			''
		)}</triangles></mesh></object>${over.extra ?? ''}</resources><build>${over.item ?? '<item objectid="1"/>'}</build></model>`;
export const zip = (xml: string) =>
	zipSync({ '[Content_Types].xml': strToU8('<x/>'), '3D/3dmodel.model': strToU8(xml) });
/** One triangle, with one thing about it as the test wants it. */
export const oneTriangle = (over: {
	x?: string;
	v3?: string;
	transform?: string;
	item?: string;
	triangles?: string;
}) =>
	`<?xml version="1.0"?><model xmlns="x"><resources><object id="1"><mesh><vertices><vertex x="${over.x ?? 0}" y="0" z="0"/><vertex x="1" y="0" z="0"/><vertex x="0" y="1" z="0"/></vertices><triangles>${
		over.triangles ?? `<triangle v1="0" v2="1" v3="${over.v3 ?? 2}"/>`
	}</triangles></mesh></object></resources><build><item objectid="${over.item ?? 1}"${over.transform ? ` transform="${over.transform}"` : ''}/></build></model>`;
export const volume = (b: Uint8Array, name: string, options = {}) =>
	loadMesh(b, name, options).report.volumeMl;
