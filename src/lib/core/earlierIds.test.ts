import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { GRADE_WORDS, GRADES, pourEvent } from './bench';
import {
	EARLIER_CAUSES,
	EARLIER_CLOSINGS,
	EARLIER_FAULTS,
	EARLIER_GRADES,
	EARLIER_MEASURING,
	EARLIER_MOULD_FAULTS,
	EARLIER_STATES
} from './earlierIds';
import { CAUSE_IDS, CAUSE_WORDS, CAUSES, FAULT_WORDS, FAULTS } from './faults';
import { readNotebook } from './ledger';
import { makingEvent, MOULD_FAULT_WORDS, MOULD_FAULTS } from './making';
import { MEASURING, MEASURING_SCHOOLS } from './mix';
import { CLOSING_WORDS, CLOSINGS, MOULD_STATES, STATE_WORDS } from './mould';
import { BACKUP, checkBackup, upgradeBackup } from './openData';
import { stockOf, type Movement } from './shelf';

const SETS = [
	['faults', FAULTS, FAULT_WORDS, EARLIER_FAULTS],
	['causes', CAUSE_IDS, CAUSE_WORDS, EARLIER_CAUSES],
	['grades', GRADES, GRADE_WORDS, EARLIER_GRADES],
	['states', MOULD_STATES, STATE_WORDS, EARLIER_STATES],
	['closings', CLOSINGS, CLOSING_WORDS, EARLIER_CLOSINGS],
	['faults of a mould', MOULD_FAULTS, MOULD_FAULT_WORDS, EARLIER_MOULD_FAULTS],
	['schools', MEASURING_SCHOOLS, MEASURING, EARLIER_MEASURING]
] as const;

describe.each(SETS)('%s', (what, ids, words, earlier) => {
	it('every id has words, every word an id, and no two the same', () => {
		expect(Object.keys(words).sort()).toEqual([...ids].sort());
		const said = Object.values(words).map((w) => (typeof w === 'string' ? w : w.words));
		expect(new Set(said).size).toBe(ids.length);
	});
	it('an id is short and one word; what was stored before is read as one that there is', () => {
		for (const id of ids) expect(id).toMatch(/^[a-z]+(-[a-z]+)?$/);
		const known: readonly string[] = what === 'closings' ? [...ids, 'usual'] : ids;
		for (const [text, id] of Object.entries(earlier)) {
			expect(known).toContain(id);
			expect(known).not.toContain(text);
		}
	});
});

it('every cause that is ranked has its id once', () => {
	expect(CAUSES.map((c) => c.id).sort()).toEqual([...CAUSE_IDS].sort());
});

const base = { id: crypto.randomUUID(), atMs: 1.7e12 };
describe('what an old device still sends is understood', () => {
	it('a grade with its faults and their places', () => {
		const sent = {
			...base,
			kind: 'graded',
			mouldId: 'm',
			grade: 'needs work',
			faults: ['soft or tacky', 'flash'],
			note: '',
			findings: { places: { 'soft or tacky': 'at the foot' } }
		};
		expect(pourEvent.parse(sent)).toMatchObject({
			grade: 'needs-work',
			faults: ['soft', 'flash'],
			findings: { places: { soft: 'at the foot' } }
		});
		expect(pourEvent.safeParse({ ...sent, faults: ['too blue'] }).success).toBe(false);
	});
	it('the first look at a mould', () => {
		const sent = { ...base, kind: 'inspected', faults: ['inhibited, tacky'], note: '' };
		expect(makingEvent.parse(sent)).toMatchObject({ faults: ['inhibited'] });
	});
});

it('a notebook is read by the words, as people write them', () => {
	const { pulls, errors } = readNotebook(
		{
			columns: { when: 0, mould: 1, grade: 2, faults: 3, resin: 4 },
			rows: [['2026-01-02', '3', 'Rework', 'Soft or tacky; thin-places', 'White']]
		},
		{ moulds: new Set([3]), nowMs: Date.UTC(2026, 5, 1), units: 'metric' }
	);
	expect(errors).toEqual([]);
	expect(pulls[0]).toMatchObject({ grade: 'needs-work', faults: ['soft', 'thin-places'] });
});

describe('a book of version 1', () => {
	const tables = {
		pulls: [{ id: 'p', grade: 'needs work', body: { faults: ['bubbles on the face'], note: 'good' } }],
		pull_causes: [{ id: 'c', fault: 'soft or tacky', cause: 'ratio off' }],
		pull_corrections: [
			{ body: { field: 'grade', from: 'good', to: 'needs work' } },
			{ body: { field: 'note', from: 'needs work', to: 'two cups' } }
		],
		moulds: [{ state: 'being made', label: 'being made', inputs: { closing: 'boards and clamps' } }],
		saved_views: [{ name: 'needs work', query: 'grade=needs+work&text=one+cup' }],
		materials: [{ name: 'two cups' }]
	};
	it('has ids for its words, and what people wrote themselves stays', () => {
		const upgraded = upgradeBackup({ version: 1, tables }) as { version: number; tables: typeof tables };
		expect(upgraded.version).toBe(BACKUP.version);
		expect(upgraded.tables.pulls[0]).toMatchObject({
			grade: 'needs-work',
			body: { faults: ['face-bubbles'], note: 'good' }
		});
		expect(upgraded.tables.pull_causes[0]).toMatchObject({ fault: 'soft', cause: 'ratio-off' });
		expect(upgraded.tables.pull_corrections.map((c) => c.body)).toEqual([
			{ field: 'grade', from: 'good', to: 'needs-work' },
			{ field: 'note', from: 'needs work', to: 'two cups' }
		]);
		expect(upgraded.tables.moulds[0]).toEqual({
			state: 'being-made',
			label: 'being made',
			inputs: { closing: 'boards-clamps' }
		});
		expect(upgraded.tables.saved_views[0]).toEqual({
			name: 'needs work',
			query: 'grade=needs-work&text=one+cup'
		});
		expect(upgraded.tables.materials).toEqual(tables.materials);
	});
	it('read twice it is the same, and what is no book is left alone', () => {
		const once = upgradeBackup({ version: 1, tables });
		expect(upgradeBackup(once)).toEqual(once);
		for (const other of [null, 3, 'book', [], { version: BACKUP.version + 1, tables }, { version: 1 }])
			expect(upgradeBackup(other)).toBe(other);
	});
});

describe('a book of version 2', () => {
	const fillers = [{ massShare: 0.3, densityGPerMl: 2.7, conductivityWPerMK: 200, specificHeatJPerGK: 0.9 }];
	const cure = { potLifeS: 150, demouldS: 900, character: 'quick', gelConversion: 0.6 };
	const said = { code: 'hot-core', message: 'level: harm', action: 'Wait.' };
	const mix = { fillers, viscosityFactor: 2 };
	const tables = {
		materials: [{ name: 'filled', body: { ...cure, potConversion: 0.4, level: 'of the water' } }],
		pours: [
			{ plan: { kind: 'filled', cure: { ...cure, filled: mix }, warnings: [{ ...said, level: 'harm' }] } }
		],
		pour_events: [
			{ kind: 'device-lost', body: { kind: 'device-lost', device: 'gun', how: 'silent' } },
			{ kind: 'step-done', body: { kind: 'step-done', stepId: 'air' } }
		],
		device_commands: [{ body: { kind: 'fails', device: 'air', how: 'not' } }],
		containers: [],
		bookings: [{ pourId: 'p', containerId: 'c', massG: 12.5, at: '2026-11-01T08:00:00.000Z' }]
	};
	it('has the names of today for its keys, devices and tables, its values kept', () => {
		const upgraded = upgradeBackup({ version: 2, tables }) as { tables: Record<string, unknown[]> };
		expect(upgraded.tables).toEqual({
			materials: [{ name: 'filled', body: { ...cure, potLifeConversion: 0.4, level: 'of the water' } }],
			pours: [
				{
					plan: {
						kind: 'filled',
						cure: { ...cure, fillerMix: mix },
						warnings: [{ ...said, severity: 'harm' }]
					}
				}
			],
			pour_events: [
				{ kind: 'device-lost', body: { kind: 'device-lost', device: 'infraredThermometer', how: 'silent' } },
				tables.pour_events[1]
			],
			device_commands: [{ body: { kind: 'fails', device: 'hygrometer', how: 'not' } }],
			stock_movements: [
				{
					id: expect.any(String),
					seq: 1,
					containerId: 'c',
					kind: 'used',
					massG: 12.5,
					openings: 1,
					pourId: 'p',
					placeSeq: null,
					at: '2026-11-01T08:00:00.000Z',
					receivedAt: '2026-11-01T08:00:00.000Z',
					note: ''
				}
			],
			containers: [],
			container_photos: [],
			orders: [],
			work_hours: [],
			plans: []
		});
		expect(upgradeBackup({ ...upgraded, version: 3 })).toEqual(upgraded);
	});
});

describe('a book of version 3', () => {
	const book = JSON.parse(
		readFileSync(new URL('../../../tests/fixtures/book-version-3.json', import.meta.url), 'utf8')
	) as { tables: Record<string, unknown[]> };
	it('as that version wrote it is read: its looks are inspections, and nothing is left out', () => {
		const { vessel_looks, mould_looks, ...others } = book.tables;
		expect(mould_looks!.length).toBeGreaterThan(0);
		expect(checkBackup(book)).not.toEqual([]);
		const read = upgradeBackup(book) as typeof book;
		expect(checkBackup(read)).toEqual([]);
		const { stock_movements: moved, containers, ...rest } = others;
		expect(read.tables).toMatchObject({
			...rest,
			vessel_inspections: vessel_looks,
			mould_inspections: mould_looks
		});
		// what stood on a tin and what pours took are lines now, and a tin holds what it held
		type Line = Movement & { containerId: string };
		const lines = read.tables['stock_movements'] as Line[];
		expect(lines.length).toBeGreaterThanOrEqual(moved!.length + containers!.length);
		for (const c of containers as {
			id: string;
			body: { weighedG: number; openings: number };
			weighedAt: string;
		}[]) {
			const took = (moved as { containerId: string; massG: number; at: string }[]).filter(
				(m) => m.containerId === c.id
			);
			const since = took.filter((m) => m.at >= c.weighedAt).reduce((sum, m) => sum + m.massG, 0);
			const stock = stockOf(lines.filter((l) => l.containerId === c.id));
			expect(stock.leftG).toBeCloseTo(Math.max(0, c.body.weighedG - since), 6);
			expect(stock.openings).toBe((c.body.openings ?? 0) + took.length);
		}
	});
});

describe('a book of version 5', () => {
	const book = JSON.parse(
		readFileSync(new URL('../../../tests/fixtures/book-version-3.json', import.meta.url), 'utf8')
	) as object;
	it('knew of no orders: it is read with none, and its pours are cast for nobody', () => {
		const today = upgradeBackup(book) as { tables: Record<string, Record<string, unknown>[]> };
		const { orders, work_hours, plans, ...before } = today.tables;
		expect([orders, work_hours, plans]).toEqual([[], [], []]);
		const pours = before['pours']!.map((p) =>
			Object.fromEntries(Object.entries(p).filter(([k]) => k !== 'orderLineId'))
		);
		expect(pours.length).toBeGreaterThan(1);
		const old = { ...today, version: 5, tables: { ...before, pours } };
		const read = upgradeBackup(old) as typeof today;
		expect(checkBackup(read)).toEqual([]);
		expect(Object.keys(read.tables).sort()).toEqual(Object.keys(today.tables).sort());
	});
});
