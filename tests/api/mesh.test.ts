import { createHash, randomBytes } from 'node:crypto';
import { QueryTypes } from 'sequelize';
import { afterAll, describe, expect, it } from 'vitest';
import { closeDb, db } from '$lib/server/db/connection';
import { saveMesh } from '$lib/server/repositories/meshes';
import { freePort } from '../../scripts/lib/ports.mjs';
import { startWeb } from '../../scripts/lib/web.mjs';
import { boxesStl, posts } from '../boxes';

const base = process.env.ANTHYPOS_URL!;
const send = async (path: string, body: Buffer | string, headers: Record<string, string> = {}) => {
	const response = await fetch(base + path, {
		method: 'POST',
		headers: { 'content-type': 'application/octet-stream', ...headers },
		body: typeof body === 'string' ? body : new Uint8Array(body)
	});
	return { status: response.status, json: await response.json() };
};
afterAll(closeDb);

describe('the open interface for a 3D file', () => {
	it('measures a cube of 24 ml, in whatever unit it is drawn', async () => {
		const cube = boxesStl([[0, 0, 0, 20, 30, 40]]);
		const { status, json } = await send('/api/calc/mesh?unit=mm', cube);
		expect(status).toBe(200);
		expect(json).toMatchObject({
			triangles: 12,
			watertight: true,
			openEdges: 0,
			shells: 1,
			traps: [],
			undercutShare: 0
		});
		expect(json.volumeMl).toBeCloseTo(24, 6);
		expect(json.areaMm2).toBeCloseTo(5200, 3);
		expect(json.bounds).toEqual({ min: [0, 0, 0], max: [20, 30, 40] });
		expect((await send('/api/calc/mesh?unit=in', cube)).json.volumeMl).toBeCloseTo(24 * 25.4 ** 3, 0);
	});

	it('finds the trap of the shorter post, and none upside down', async () => {
		const { json } = await send('/api/calc/mesh?up=0,0,1', posts());
		expect(json.traps).toHaveLength(1);
		expect(json.traps[0].volumeMl).toBeCloseTo(0.96, 1);
		expect(json.traps[0].depthMm).toBeCloseTo(15, 3);
		expect((await send('/api/calc/mesh?up=0,0,-1', posts())).json.traps).toEqual([]);
	});

	it.each([
		['/api/calc/mesh?unit=parsec', posts(), 'unit'],
		['/api/calc/mesh?up=0,0,0', posts(), 'up'],
		['/api/calc/mesh?up=1,2', posts(), 'up'],
		['/api/calc/mesh?pull=a,b,c', posts(), 'pull'],
		['/api/calc/mesh', Buffer.from('not a mesh at all'), 'file'],
		['/api/calc/mesh', Buffer.alloc(0), 'file'],
		['/api/calc/mesh?name=x.stl', posts().subarray(0, 500), 'file']
	])('%s with bad input is 422 at its field', async (path, body, field) => {
		const { status, json } = await send(path, body);
		expect(status).toBe(422);
		expect(json.errors[0].path).toBe(field);
		expect(json.errors[0].message.length).toBeGreaterThan(10);
	});

	it('lists itself with a wedge of a sixth of 27 ml, and says how it is asked', async () => {
		const listed = await (await fetch(`${base}/api/calc`)).json();
		const own = listed.calculations.find((c: { name: string }) => c.name === 'mesh');
		const { json } = await send(`/api/calc/mesh?${own.example.query}`, own.example.body);
		expect(json).toMatchObject({ triangles: 4, watertight: true });
		expect(json.volumeMl).toBeCloseTo(4.5, 6);
		expect((await fetch(`${base}/api/calc/mesh`)).status).toBe(405);
	});

	it('random bytes are never a 500', async () => {
		for (let i = 0; i < 25; i++) {
			const { status } = await send(
				`/api/calc/mesh?name=x.${['stl', 'obj', 'ply', '3mf'][i % 4]}`,
				randomBytes(20 + 40 * i)
			);
			expect([200, 422]).toContain(status);
		}
	});
});

describe('kept 3D files', () => {
	const many = boxesStl(Array.from({ length: 4200 }, (_, i) => [i, 0, 0, 0.5, 1, 1]));

	it('are stored once by their content and streamed back whole', async () => {
		expect(many.length).toBeGreaterThan(2 * 1024 * 1024);
		const first = await send('/api/meshes?name=fence.stl', many);
		const second = await send('/api/meshes?name=again.stl', many);
		expect(first.status).toBe(200);
		expect(first.json.sha256).toBe(createHash('sha256').update(many).digest('hex'));
		expect(second.json).toEqual(first.json);
		const back = await fetch(`${base}/api/meshes/${first.json.sha256}`);
		expect(back.headers.get('content-length')).toBe(String(many.length));
		expect(Buffer.from(await back.arrayBuffer()).equals(many)).toBe(true);
		const [row] = await db().query<{ n: number }>(
			'SELECT COUNT(DISTINCT uploadId) AS n FROM mesh_chunks c WHERE uploadId IN (SELECT uploadId FROM meshes WHERE sha256 = ?)',
			{ type: QueryTypes.SELECT, replacements: [first.json.sha256] }
		);
		expect(Number(row!.n)).toBe(1);
	});

	it('what is no mesh, empty or unknown is said', async () => {
		expect((await send('/api/meshes?name=x.txt', 'a letter')).status).toBe(422);
		expect((await send('/api/meshes?name=x.stl', Buffer.alloc(0))).status).toBe(422);
		expect((await fetch(`${base}/api/meshes/${'0'.repeat(64)}`)).status).toBe(404);
	});

	it('an upload that breaks off leaves nothing that counts', async () => {
		const count = async () =>
			Number(
				(
					await db().query<{ n: number }>('SELECT COUNT(*) AS n FROM mesh_chunks', {
						type: QueryTypes.SELECT
					})
				)[0]!.n
			);
		const before = await count();
		async function* breaking() {
			yield new Uint8Array(many.subarray(0, 1_500_000));
			throw new Error('the line went dead');
		}
		await expect(saveMesh('fence.stl', breaking())).rejects.toThrow('the line went dead');
		expect(await count()).toBe(before);
	});

	it('past the limit is refused while it streams, whatever it said of its length', async () => {
		async function* endless() {
			yield new Uint8Array(posts());
			for (;;) yield new Uint8Array(8 * 1024 * 1024);
		}
		await expect(saveMesh('flood.stl', endless())).rejects.toThrow(/At most 256 MB/);
	}, 120_000);
});

it('a body that does not say what it is, is not called empty', async () => {
	const answer = await fetch(`${base}/api/calc/mesh?unit=mm`, {
		method: 'POST',
		body: new Uint8Array(boxesStl([[0, 0, 0, 20, 30, 40]]))
	});
	expect(answer.status).toBe(415);
	expect((await answer.json()).errors[0].message).toContain('content-type');
});

describe('one file does not hold the others for ever', () => {
	it('past its time it is given up in a sentence; the next is answered', async () => {
		const web = await startWeb({
			databaseUrl: process.env.DATABASE_URL!,
			port: await freePort(),
			quiet: true,
			env: { MESH_TIME_LIMIT_MS: '1' }
		});
		try {
			const ask = async () => {
				const answer = await fetch(`${web.url}/api/calc/mesh?unit=mm`, {
					method: 'POST',
					headers: { 'content-type': 'application/octet-stream' },
					body: new Uint8Array(boxesStl([[0, 0, 0, 20, 30, 40]]))
				});
				return { status: answer.status, json: await answer.json() };
			};
			for (let i = 0; i < 2; i++) {
				const { status, json } = await ask();
				expect(status).toBe(422);
				expect(json.errors[0]).toMatchObject({
					path: 'file',
					message: expect.stringMatching(/given up so that others/)
				});
			}
		} finally {
			await web.stop();
		}
	}, 120_000);
	it('a client that goes takes its work with it', async () => {
		// many bodies that overlap: seconds of work, of which nobody wants the answer
		const large = boxesStl(
			Array.from({ length: 4000 }, (_, i) => [i % 60, Math.floor(i / 60) % 60, i % 7, 3, 3, 3] as const)
		);
		const stop = new AbortController();
		const left = fetch(`${base}/api/calc/mesh?unit=mm`, {
			method: 'POST',
			headers: { 'content-type': 'application/octet-stream' },
			body: new Uint8Array(large),
			signal: stop.signal
		});
		await new Promise((done) => setTimeout(done, 150));
		stop.abort();
		await expect(left).rejects.toThrow();
		expect((await send('/api/calc/mesh?unit=mm', boxesStl([[0, 0, 0, 20, 30, 40]]))).status).toBe(200);
	}, 60_000);
});
