import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Ajv from 'ajv/dist/2020.js';
import { strToU8, unzipSync, zipSync } from 'fflate';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { BACKUP, checkBackup, upgradeBackup } from '../../src/lib/core/openData';
import { startDatabase } from '../../scripts/lib/mariadb.mjs';
import { freePort } from '../../scripts/lib/ports.mjs';
import { startWeb } from '../../scripts/lib/web.mjs';
import { base } from './http';

/** An empty workshop of its own beside the demo's. */
const dir = mkdtempSync(join(tmpdir(), 'anthypos-book-'));
let database: Awaited<ReturnType<typeof startDatabase>>;
let web: Awaited<ReturnType<typeof startWeb>>;
let zip: Uint8Array;
let files: Record<string, Uint8Array>;

const bytesOf = async (url: string) => new Uint8Array(await (await fetch(url)).arrayBuffer());
const send = async (body: Uint8Array | string) => {
	const answer = await fetch(`${web.url}/api/workshop`, {
		method: 'POST',
		headers: { 'content-type': 'application/octet-stream' },
		body: body as BodyInit
	});
	return {
		status: answer.status,
		json: (await answer.json()) as { rows?: number; errors?: { message: string }[] }
	};
};
const tablesOf = (bytes: Uint8Array) =>
	(JSON.parse(new TextDecoder().decode(bytes)) as { tables: Record<string, unknown[]> }).tables;
const isEmpty = async () => {
	const { tables } = (await (await fetch(`${web.url}/workshop/book.json`)).json()) as {
		tables: Record<string, unknown[]>;
	};
	return tables['masters']!.length + tables['pulls']!.length + tables['materials']!.length === 0;
};

beforeAll(async () => {
	database = await startDatabase(join(dir, 'db'));
	web = await startWeb({ databaseUrl: database.url, port: await freePort(), quiet: true });
	zip = await bytesOf(`${base}/workshop/book.zip`);
	files = unzipSync(zip);
}, 120_000);
afterAll(async () => {
	await web?.stop();
	await database?.stop();
	rmSync(dir, { recursive: true, force: true });
}, 60_000);

describe('the open book', () => {
	it('is what its published schema says, by an independent validator', async () => {
		const schema = await (await fetch(`${base}/workshop/schema.json`)).json();
		const ajv = new Ajv({ strict: false, validateFormats: false });
		const valid = ajv.compile(schema);
		const book = JSON.parse(new TextDecoder().decode(files['workshop.json']));
		expect(valid(book), JSON.stringify(valid.errors?.slice(0, 3))).toBe(true);
		expect(checkBackup(book)).toEqual([]);
		expect(valid({ ...book, version: 7 })).toBe(false);
	});

	it.each([
		['no JSON', () => strToU8('{"form":"workshop-book",'), 422, /no JSON/],
		['another file', () => strToU8('{"form":"song-book","version":1,"tables":{}}'), 422, /no workshop book/],
		['a newer version', () => strToU8('{"form":"workshop-book","version":9,"tables":{}}'), 422, /version 9/],
		['a zip cut off', () => zip.slice(0, zip.length / 2), 422, /cannot be read/],
		['a zip of something else', () => zipSync({ 'a.txt': strToU8('x') }), 422, /no workshop\.json/],
		[
			'a row that is none',
			() => {
				const book = JSON.parse(new TextDecoder().decode(files['workshop.json']));
				book.tables.pulls[3].grade = 'splendid';
				return strToU8(JSON.stringify(book));
			},
			422,
			/Nothing was read/
		],
		[
			'a row that points nowhere',
			() => {
				const book = JSON.parse(new TextDecoder().decode(files['workshop.json']));
				const { mouldId } = book.tables.pulls[0];
				book.tables.moulds = book.tables.moulds.filter((m: { id: string }) => m.id !== mouldId);
				return zipSync({ ...files, 'workshop.json': strToU8(JSON.stringify(book)) });
			},
			422,
			/points to a row/
		],
		[
			'a 3D file that is damaged',
			() => {
				const name = Object.keys(files).find((n) => n.startsWith('meshes/'))!;
				return zipSync({ ...files, [name]: files[name]!.slice(1) });
			},
			409,
			/damaged/
		]
	])('%s is refused, and nothing of it is written', async (_name, body, status, words) => {
		const answer = await send(body());
		expect(answer.status).toBe(status);
		expect(JSON.stringify(answer.json)).toMatch(words);
		expect(await isEmpty()).toBe(true);
	});

	it('written with the names of version 2, it is read as it is today', () => {
		const text = new TextDecoder().decode(files['workshop.json']);
		const earlier = text
			.replaceAll('"severity":"harm"', '"level":"harm"')
			.replaceAll('"severity":"care"', '"level":"care"')
			.replaceAll('"fillerMix":{', '"filled":{')
			.replace('"mould_inspections":[', '"mould_looks":[')
			.replace('"vessel_inspections":[', '"vessel_looks":[')
			.replace(`"version":${BACKUP.version},`, '"version":2,');
		expect(earlier).not.toBe(text);
		const old = JSON.parse(earlier) as { tables: Record<string, unknown[]> };
		delete old.tables['container_photos'];
		// one weight on each tin, and nothing booked yet
		delete old.tables['stock_movements'];
		old.tables['bookings'] = [];
		const tins = old.tables['containers'] as Record<string, unknown>[];
		for (const tin of tins) tin['weighedAt'] = tin['createdAt'];
		expect(checkBackup(old).length).toBeGreaterThan(0);
		const read = upgradeBackup(old);
		expect(checkBackup(read)).toEqual([]);
		expect(read).toEqual({
			...JSON.parse(text),
			tables: {
				...tablesOf(files['workshop.json']!),
				container_photos: [],
				stock_movements: expect.any(Array)
			}
		});
		const lines = (read as typeof old).tables['stock_movements'] as { kind: string }[];
		expect(lines.filter((l) => l.kind === 'weighed')).toHaveLength(tins.length);
	});

	it('goes round without a loss: in another workshop it is the same to the letter', async () => {
		const { status, json } = await send(zip);
		expect(json.errors ?? []).toEqual([]);
		expect(status).toBe(200);
		expect(json.rows).toBeGreaterThan(500);
		const again = unzipSync(await bytesOf(`${web.url}/workshop/book.zip`));
		expect(Object.keys(again).sort()).toEqual(Object.keys(files).sort());
		for (const name of Object.keys(files))
			if (name !== 'workshop.json')
				expect(Buffer.compare(Buffer.from(again[name]!), Buffer.from(files[name]!)), name).toBe(0);
		const [before, after] = [tablesOf(files['workshop.json']!), tablesOf(again['workshop.json']!)];
		for (const table of Object.keys(before)) expect(after[table], table).toEqual(before[table]);
		// and it is alive: pages answer, clocks run
		for (const path of ['/', '/ledger', '/moulds', '/moulds/wear', '/pots'])
			expect((await fetch(web.url + path)).status, path).toBe(200);
		// a second time it would mix two workshops
		expect((await send(zip)).json.errors![0]!.message).toMatch(/already/);
	}, 120_000);
});
