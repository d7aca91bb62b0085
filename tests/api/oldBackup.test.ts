import { randomUUID } from 'node:crypto';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { startDatabase } from '../../scripts/lib/mariadb.mjs';
import { freePort } from '../../scripts/lib/ports.mjs';
import { startWeb } from '../../scripts/lib/web.mjs';

/** A book as the version before wrote it: two open pours, one finished, readings by its simulated devices. */
const book = readFileSync(new URL('../fixtures/book-version-1.json', import.meta.url), 'utf8');
type Row = Record<string, unknown> & { id: string };
const old = (JSON.parse(book) as { tables: Record<string, Row[]> }).tables;

const dir = mkdtempSync(join(tmpdir(), 'anthypos-old-'));
let database: Awaited<ReturnType<typeof startDatabase>>;
let web: Awaited<ReturnType<typeof startWeb>>;

beforeAll(async () => {
	database = await startDatabase(join(dir, 'db'));
	web = await startWeb({ databaseUrl: database.url, port: await freePort(), quiet: true });
	const answer = await fetch(`${web.url}/api/workshop`, { method: 'POST', body: book });
	expect(await answer.json()).toMatchObject({ rows: expect.any(Number) });
}, 120_000);
afterAll(async () => {
	await web?.stop();
	await database?.stop();
	rmSync(dir, { recursive: true, force: true });
}, 60_000);

const now = async () =>
	((await (await fetch(`${web.url}/workshop/book.json`)).json()) as { tables: Record<string, Row[]> }).tables;
const rowOf = (rows: Row[], id: string) => rows.find((r) => r.id === id) as Row;
const text = async (path: string) => (await fetch(web.url + path)).text();

describe('a book of the version before', () => {
	it('keeps every event as it was', async () => {
		const { pour_events } = await now();
		expect(pour_events!.map((e) => e.id).sort()).toEqual(old['pour_events']!.map((e) => e.id).sort());
	});
	it('what its simulated devices noted is nobody’s reading: air, cycles, and what a tin learnt', async () => {
		const tables = await now();
		const [pull] = tables['pulls']!;
		const body = pull!['body'] as Record<string, unknown>;
		const plan = rowOf(tables['pours']!, pull!['pourId'] as string)['plan'] as Record<string, unknown>;
		const before = old['pulls']![0]!['body'] as Record<string, unknown>;
		expect(before['roomTempC']).not.toBe(plan['roomTempC']);
		expect(body).toMatchObject({
			conditionsRead: false,
			roomTempC: plan['roomTempC'],
			relativeHumidity: plan['relativeHumidity']
		});
		const cycle = tables['pot_cycles']!.find((c) => c['pourId'] === pull!['pourId'])!;
		expect(cycle['body']).toMatchObject({ simulated: true });
		expect(old['containers']!.filter((c) => c['rateFactor'] !== null)).toHaveLength(1);
		expect(tables['containers']!.filter((c) => c['rateFactor'] !== null)).toEqual([]);
		expect(await text(`/ledger/${pull!.id}`)).toMatch(/\(simulated\)/);
	});
	it('its open pours stand where they stood, and go on to the ledger', async () => {
		const open = old['pours']!.filter((p) => p['status'] === 'open');
		expect(open).toHaveLength(2);
		for (const pour of open) {
			expect(await text(`/pour/${pour.id}`)).toContain((pour['plan'] as { masterName: string }).masterName);
			const plan = pour['plan'] as { moulds: { id: string }[]; layers?: unknown[] };
			const atMs = Date.now();
			const event = (kind: string, more: object) => ({ id: randomUUID(), atMs, kind, ...more });
			const events = [
				...(plan.layers ? plan.layers.map((_, i) => event('step-done', { stepId: `pour-${i}` })) : []),
				event('step-done', { stepId: 'demould' }),
				...plan.moulds.map((m) =>
					event('graded', { mouldId: m.id, grade: 'good', faults: [], note: 'from before' })
				),
				event('finished', {})
			];
			const answer = await fetch(`${web.url}/api/pours/${pour.id}/events`, {
				method: 'POST',
				headers: { 'content-type': 'application/json' },
				body: JSON.stringify({ events })
			});
			expect(answer.status).toBe(200);
		}
		const tables = await now();
		for (const { id } of open) {
			expect(rowOf(tables['pours']!, id)['status']).toBe('finished');
			expect(tables['pulls']!.some((p) => p['pourId'] === id)).toBe(true);
		}
		// a simulated scale weighed nothing: the tin gave what was planned
		const layered = open.find((p) => (p['plan'] as { layers?: unknown }).layers)!;
		const [first] = (layered['plan'] as { layers: { a: { massG: number } }[] }).layers;
		const booked = tables['stock_movements']!.filter((b) => b['pourId'] === layered.id).map((b) =>
			Number(b['massG'])
		);
		expect(booked.some((g) => Math.abs(g - first!.a.massG) < 0.01)).toBe(true);
	});
});
