import { createHash, randomBytes } from 'node:crypto';
import { QueryTypes } from 'sequelize';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { closeDb, db } from '$lib/server/db/connection';
import { migrate } from '$lib/server/db/migrate';
import { readMesh, saveMesh } from '$lib/server/repositories/meshes';
import { readPhoto, savePhoto } from '$lib/server/repositories/photos';

// a file that breaks off at its last write is kept whole the next time: nothing that names it outlives its bytes

beforeAll(migrate);
afterAll(closeDb);

/** Nobody's name is so long that the table cannot hold it: noting who did it fails after all else is written. */
const UNNOTED = { id: null, name: 'x'.repeat(200) } as never;

/** A binary STL of one facet, unlike any other: 80 bytes of heading, a count, 50 bytes (the published layout of the format). */
function facet(): Uint8Array {
	const bytes = Buffer.alloc(84 + 50);
	randomBytes(16)
		.toString('hex')
		.split('')
		.forEach((c, i) => bytes.write(c, i));
	bytes.writeUInt32LE(1, 80);
	[0, 0, 1, 0, 0, 0, 1, 0, 0, 0, 1, 0].forEach((v, i) => bytes.writeFloatLE(v, 84 + 4 * i));
	return bytes;
}
async function* inPieces(bytes: Uint8Array, size = 50) {
	for (let at = 0; at < bytes.length; at += size) yield bytes.subarray(at, at + size);
}
const piecesOfNothing = async () => {
	const [row] = await db().query<{ n: number }>(
		'SELECT COUNT(*) AS n FROM mesh_chunks WHERE uploadId NOT IN (SELECT uploadId FROM meshes)',
		{ type: QueryTypes.SELECT }
	);
	return Number(row!.n);
};

it('a 3D file whose last write failed is not there, and is there whole when it is sent again', async () => {
	const bytes = facet();
	const sha256 = createHash('sha256').update(bytes).digest('hex');
	const before = await piecesOfNothing();
	await expect(saveMesh('shell.stl', inPieces(bytes), UNNOTED)).rejects.toThrow();
	await expect(readMesh(sha256)).rejects.toThrow('3D file');
	expect(await piecesOfNothing()).toBe(before);
	expect((await saveMesh('shell.stl', inPieces(bytes))).sha256).toBe(sha256);
	expect(Buffer.from((await readMesh(sha256)).bytes).equals(bytes)).toBe(true);
});

it('two that send one 3D file at once have one, with all of its pieces', async () => {
	const bytes = facet();
	const before = await piecesOfNothing();
	const sent = await Promise.all([1, 2, 3].map((i) => saveMesh(`shell ${i}.stl`, inPieces(bytes, 40 + i))));
	expect(new Set(sent.map((s) => s.fileName)).size).toBe(1);
	expect(Buffer.from((await readMesh(sent[0]!.sha256)).bytes).equals(bytes)).toBe(true);
	expect(await piecesOfNothing()).toBe(before);
});

it('a photo whose last write failed is kept, and noted, when it is sent again', async () => {
	// begins as a PNG does (ISO/IEC 15948, 5.2)
	const bytes = Buffer.concat([
		Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]),
		randomBytes(40)
	]);
	const sha256 = createHash('sha256').update(bytes).digest('hex');
	const kept = async () => {
		const rows = await db().query<{ id: string }>('SELECT id FROM photos WHERE sha256 = ?', {
			type: QueryTypes.SELECT,
			replacements: [sha256]
		});
		return rows.map((r) => r.id);
	};
	await expect(savePhoto(bytes, undefined, UNNOTED)).rejects.toThrow();
	expect(await kept()).toEqual([]);
	const id = await savePhoto(bytes);
	expect(await kept()).toEqual([id]);
	expect((await readPhoto(id))?.bytes.equals(bytes)).toBe(true);
	expect(await savePhoto(bytes)).toBe(id);
});
