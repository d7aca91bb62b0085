// 3D files and books that are cut off, flipped, lying, or bombs.
import { join } from 'node:path';
import { rmSync } from 'node:fs';
import { startDatabase } from '../lib/mariadb.mjs';
import { stateDir } from '../lib/paths.mjs';
import { freePort } from '../lib/ports.mjs';
import { startWeb } from '../lib/web.mjs';
import { ask } from './signedIn.mjs';
import { chance, Tally } from './world.mjs';

/** A binary STL of a box, or of triangles with corners anywhere. */
function stl(triangles) {
	const bytes = Buffer.alloc(84 + 50 * triangles.length);
	bytes.writeUInt32LE(triangles.length, 80);
	triangles.forEach((t, i) => t.flat().forEach((v, k) => bytes.writeFloatLE(v, 84 + 50 * i + 12 + 4 * k)));
	return bytes;
}
function box(w, d, h) {
	const at = (i) => [i & 1 ? w : 0, i & 2 ? d : 0, i & 4 ? h : 0];
	const sides = [
		[0, 2, 3, 1],
		[4, 5, 7, 6],
		[0, 1, 5, 4],
		[2, 6, 7, 3],
		[0, 4, 6, 2],
		[1, 3, 7, 5]
	];
	return stl(
		sides.flatMap(([a, b, c, e]) => [
			[at(a), at(b), at(c)],
			[at(a), at(c), at(e)]
		])
	);
}
const model = (vertices, triangles, items) =>
	`<?xml version="1.0"?><model unit="millimeter" xmlns="http://schemas.microsoft.com/3dmanufacturing/core/2015/02"><resources><object id="1" type="model"><mesh><vertices>${vertices}</vertices><triangles>${triangles}</triangles></mesh></object></resources><build>${items}</build></model>`;

async function kinds(dice) {
	const { zipSync, strToU8 } = await import('fflate');
	const good = box(20, 30, 40);
	const zip = (xml) => Buffer.from(zipSync({ '3D/3dmodel.model': strToU8(xml) }));
	const corner =
		'<vertex x="0" y="0" z="0"/><vertex x="9" y="0" z="0"/><vertex x="0" y="9" z="0"/><vertex x="0" y="0" z="9"/>';
	const face =
		'<triangle v1="0" v2="2" v3="1"/><triangle v1="0" v2="1" v3="3"/><triangle v1="1" v2="2" v3="3"/><triangle v1="2" v2="0" v3="3"/>';
	const flipped = (bytes, times) => {
		const copy = Buffer.from(bytes);
		for (let i = 0; i < times; i++) copy[dice.below(copy.length)] = dice.below(256);
		return copy;
	};
	const threeMf = zip(model(corner, face, '<item objectid="1"/>'));
	return [
		['cut off', () => good.subarray(0, dice.below(good.length))],
		['flipped bytes', () => flipped(good, 1 + dice.below(12))],
		[
			'lying count',
			() => {
				const b = Buffer.from(good);
				b.writeUInt32LE(dice.below(2 ** 32), 80);
				return b;
			}
		],
		[
			'loose triangles',
			() =>
				stl(
					Array.from({ length: dice.of([50, 400, 1000, 4000]) }, () =>
						Array.from({ length: 3 }, () => [dice.next() * 100, dice.next() * 100, dice.next() * 100])
					)
				)
		],
		[
			'no numbers',
			() =>
				stl([
					[
						[NaN, 0, 0],
						[1, 0, 0],
						[0, 1, 0]
					]
				])
		],
		[
			'far away',
			() =>
				stl([
					[
						[1e30, 0, 0],
						[1e39, 0, 0],
						[0, 1e30, 0]
					]
				])
		],
		[
			'flat',
			() =>
				stl(
					Array.from({ length: 60 }, () => [
						[0, 0, 0],
						[dice.next(), 0, 0],
						[0, dice.next(), 0]
					])
				)
		],
		['random bytes', () => Buffer.from(Array.from({ length: dice.below(3000) }, () => dice.below(256)))],
		[
			'text',
			() =>
				Buffer.from(
					`solid x\nfacet normal 0 0 1\nouter loop\nvertex ${dice.of(['a b c', '1 2', '1e400 0 0'])}\n`
				)
		],
		[
			'obj to nowhere',
			() => Buffer.from(`v 0 0 0\nv 1 0 0\nv 0 1 0\nf 1 2 ${dice.of(['9', '-9', '0', 'x', '3/1/1'])}\n`)
		],
		['flipped zip', () => flipped(threeMf, 1 + dice.below(6))],
		['cut zip', () => threeMf.subarray(0, dice.below(threeMf.length))],
		[
			'crowded plate',
			() => zip(model(corner, face, '<item objectid="1"/>'.repeat(dice.of([1, 1999, 100_000]))))
		],
		[
			'part of itself',
			() =>
				zip(
					`<model><resources><object id="1"><components>${'<component objectid="1"/>'.repeat(8)}</components></object></resources><build><item objectid="1"/></build></model>`
				)
		],
		[
			'unfolds',
			() => zip(model(corner, '<triangle v1="0" v2="2" v3="1"/>'.repeat(200_000), '<item objectid="1"/>'))
		],
		['a good one', () => good]
	];
}

/** Hostile 3D files: each is measured or refused in a sentence. */
export async function hostileFiles(world, count, seed) {
	const tally = new Tally('3D files');
	const dice = chance(seed);
	const all = await kinds(dice);
	for (let i = 0; i < count; i++) {
		const [name, make] = all[i % all.length];
		const url = world.urls[i % 2];
		const keep = dice.next() < 0.3;
		const { status, text } = await tally.send(
			`${name} ${i}`,
			keep ? `${url}/api/meshes?name=x.stl` : `${url}/api/calc/mesh?unit=mm`,
			{
				method: 'POST',
				headers: { 'content-type': 'application/octet-stream' },
				body: make()
			}
		);
		if (status === 200 && /null|NaN/.test(text.slice(0, 200)))
			tally.wrong.push(`${name} ${i}: answered with no number`);
	}
	return tally;
}

/** Books with something wrong in them, offered to an empty workshop: refused, and it stays empty. */
export async function hostileBooks(world, count, seed) {
	const tally = new Tally('books');
	const dice = chance(seed);
	const { unzipSync, zipSync, strToU8 } = await import('fflate');
	const zip = new Uint8Array(await (await ask(`${world.urls[0]}/workshop/book.zip`)).arrayBuffer());
	const files = unzipSync(zip);
	const text = new TextDecoder().decode(files['workshop.json']);
	const dir = join(stateDir, 'campaign-books');
	rmSync(dir, { recursive: true, force: true });
	const database = await startDatabase(dir);
	let web;
	try {
		web = await startWeb({ databaseUrl: database.url, port: await freePort(), quiet: true });
		const changed = (change) => {
			const book = JSON.parse(text);
			change(book.tables, book);
			return Buffer.from(JSON.stringify(book));
		};
		const anyRow = (tables) => dice.of(dice.of(Object.values(tables).filter((rows) => rows.length > 0)));
		const wrongs = [
			[
				'a field of another kind',
				() =>
					changed((t) => {
						const row = anyRow(t);
						row[dice.of(Object.keys(row))] = dice.of([{}, [], 'flying', 1e308, true]);
					})
			],
			[
				'a field that is not known',
				() =>
					changed((t) => {
						anyRow(t)['constructor '] = 1;
					})
			],
			[
				'a row twice',
				() =>
					changed((t) => {
						t.masters.push(t.masters[0]);
					})
			],
			[
				'a table less',
				() =>
					changed((t) => {
						delete t[dice.of(Object.keys(t))];
					})
			],
			[
				'a pointer to nowhere',
				() =>
					changed((t) => {
						t.moulds[0].masterId = '00000000-0000-4000-8000-000000000000';
					})
			],
			[
				'a version to come',
				() =>
					changed((_, book) => {
						book.version = 99;
					})
			],
			['cut off', () => Buffer.from(text.slice(0, dice.below(text.length)))],
			['a zip cut off', () => Buffer.from(zip.subarray(0, dice.below(zip.length)))],
			[
				'a picture that is none',
				() =>
					Buffer.from(
						zipSync(
							{
								...files,
								...Object.fromEntries(
									Object.keys(files)
										.filter((n) => n.startsWith('photos/'))
										.slice(0, 1)
										.map((n) => [n, strToU8('<html>')])
								)
							},
							{ level: 0 }
						)
					)
			],
			['nothing', () => Buffer.alloc(0)]
		];
		for (let i = 0; i < count; i++) {
			const [name, make] = wrongs[i % wrongs.length];
			const { status } = await tally.send(`book: ${name} ${i}`, `${web.url}/api/workshop`, {
				method: 'POST',
				headers: { 'content-type': 'application/octet-stream' },
				body: make()
			});
			// a field may be replaced by one that is just as good: what is taken is whole, and the workshop is made anew
			if (status === 200) tally.remark = 'one of them was no wrong book, and was taken whole';
			const { tables } = await (await ask(`${web.url}/workshop/book.json`)).json();
			const rows = tables.masters.length + tables.pulls.length + tables.materials.length;
			if (status !== 200 && rows > 0)
				tally.wrong.push(`book: ${name} ${i}: refused, and ${rows} rows were written`);
			if (rows > 0) break;
		}
		return tally;
	} finally {
		await web?.stop();
		await database.stop();
		rmSync(dir, { recursive: true, force: true });
	}
}
