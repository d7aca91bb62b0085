import Ajv from 'ajv/dist/2020.js';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DEMO_CASTABLES } from '../../server/seed/castableRecords';
import * as materials from '../../server/seed/materials';
import { DEMO_PIECES } from '../../server/seed/pieces';
import { mouldOf, shotOfCube } from '../examples.testing';
import { INSPECTION_DEFAULTS } from '../pressurePot';
import { lessonPlan } from '../practice';
import { WORKSHOP_DEFAULTS } from '../workshop';
import {
	BACKUP,
	BACKUP_TABLE_NAMES,
	backupJsonSchema,
	checkBackup,
	MATERIAL_RECORDS,
	type BackupTable,
	type MaterialKind
} from '.';

const at = '2026-03-01T08:00:00.000Z';
const stamps = { createdAt: at, updatedAt: at };
const versioned = { version: 1, ...stamps };
let serial = 0;
const id = () => `00000000-0000-4000-8000-${String(++serial).padStart(12, '0')}`;
const DEMO: Record<Exclude<MaterialKind, 'recipe'>, readonly { name: string }[]> = {
	resin: materials.DEMO_RESINS,
	rubber: materials.DEMO_RUBBERS,
	filler: materials.DEMO_FILLERS,
	colour: materials.DEMO_COLOURS,
	release: materials.DEMO_RELEASES,
	thermoplastic: materials.DEMO_THERMOPLASTICS,
	cup: materials.DEMO_CUPS,
	castable: DEMO_CASTABLES
};

type Row = Record<string, unknown>;
/** A small workshop by hand: at least one row where a body is checked. */
function book() {
	const tables = Object.fromEntries(BACKUP_TABLE_NAMES.map((t) => [t, [] as Row[]])) as Record<
		BackupTable,
		Row[]
	>;
	tables.settings.push({ id: 1, body: WORKSHOP_DEFAULTS, ...versioned });
	for (const [kind, list] of Object.entries(DEMO))
		for (const body of list) tables.materials.push({ id: id(), kind, name: body.name, body, ...versioned });
	const [masterId, mouldId, shotId, pourId, pullId, vesselId] = [id(), id(), id(), id(), id(), id()];
	tables.masters.push({
		id: masterId,
		name: 'A',
		volumeMl: 80,
		body: DEMO_PIECES[0]!.master,
		photoId: null,
		...versioned
	});
	tables.experiences.push({
		id: id(),
		firstKey: 'resin:x',
		secondKey: 'rubber:y',
		body: { first: 'resin:x', second: 'rubber:y', verdict: 'fine', note: '' },
		...stamps
	});
	const inputs = {
		label: 'M',
		masterId,
		rubberId: id(),
		clearanceMm: 12,
		coverMm: 12,
		lossPercent: 4,
		roomTempC: 21
	};
	tables.moulds.push({
		id: mouldId,
		number: 1,
		label: 'M',
		masterId,
		rubberId: inputs.rubberId,
		state: 'active',
		place: '',
		inputs,
		plan: { ...mouldOf('one-piece').plan },
		pouredAt: null,
		readyAt: null,
		predecessorId: null,
		making: null,
		inspection: { faults: [], note: '' },
		...versioned
	});
	const making = { id: id(), atMs: Date.parse(at), kind: 'finished' };
	tables.making_events.push({
		id: making.id,
		seq: 1,
		mouldId,
		kind: 'finished',
		at,
		body: making,
		receivedAt: at
	});
	tables.containers.push({
		id: id(),
		materialId: id(),
		part: 'A',
		body: { materialId: id(), part: 'A', sizeG: 900, weighedG: 700, openedOn: '2026-01-05' },
		rateFactor: null,
		emptied: 0,
		...versioned
	});
	tables.shots.push({
		id: shotId,
		number: 1,
		masterId,
		resinId: id(),
		inputs: {
			masterId,
			mouldIds: [mouldId],
			resinId: id(),
			copies: 1,
			sprueVolumeMl: 2,
			sectionMm: 6,
			startTempC: 21,
			mouldTempC: 21,
			roomTempC: 21,
			relativeHumidity: 44
		},
		result: { ...shotOfCube.planned },
		...versioned
	});
	tables.pours.push({
		id: pourId,
		shotId,
		batchIndex: 0,
		status: 'finished',
		plan: lessonPlan(WORKSHOP_DEFAULTS),
		combinedAt: at,
		endedAt: at,
		...stamps
	});
	const event = { id: id(), atMs: Date.parse(at), kind: 'finished' };
	tables.pour_events.push({
		id: event.id,
		seq: 1,
		pourId,
		kind: 'finished',
		at,
		body: event,
		receivedAt: at
	});
	const command = { id: id(), atMs: Date.parse(at), kind: 'zero' };
	tables.device_commands.push({ id: command.id, pourId, at, body: command });
	tables.pulls.push({
		id: pullId,
		pourId,
		mouldId,
		masterName: 'A',
		resinName: 'R',
		copies: 1,
		grade: 'good',
		combinedAt: at,
		body: {
			batchIndex: 0,
			batchCount: 1,
			massG: 100,
			roomTempC: 21,
			relativeHumidity: 44,
			mouldTempC: null,
			conditionsRead: false,
			faults: ['foam'],
			note: '',
			planned: { potLifeS: 150, usableS: 120, pouredByS: 60, settledByS: 90, holdUntilS: 400, demouldS: 900 },
			real: {}
		},
		searchText: 'a r',
		...stamps
	});
	tables.pull_corrections.push({
		id: id(),
		pullId,
		at,
		body: { field: 'note', from: null, to: 'x', who: 'J', why: 'y' },
		...stamps
	});
	tables.vessels.push({
		id: vesselId,
		kind: 'pot',
		name: 'P',
		body: {
			kind: 'pot',
			name: 'P',
			volumeL: 9.5,
			diameterMm: 240,
			shelvesMm: [200],
			ratedGaugeKpa: 400,
			targetGaugeKpa: 275,
			freeAirLPerMin: 100,
			dues: INSPECTION_DEFAULTS
		},
		...versioned
	});
	tables.pot_cycles.push({
		id: id(),
		vesselId,
		pourId: null,
		at,
		body: { load: 'two', targetGaugeKpa: 275, by: 'J' },
		...stamps
	});
	tables.vessel_inspections.push({
		id: id(),
		vesselId,
		part: 'gasket',
		at,
		cycles: 3,
		ok: 1,
		body: { by: 'J', note: '' },
		...stamps
	});
	tables.mould_inspections.push({
		id: id(),
		mouldId,
		at,
		pulls: 4,
		body: { scores: { tear: 1 } },
		forecast: { low: 10, median: 20, high: 40 },
		photoId: null,
		...stamps
	});
	tables.trials.push({ id: id(), masterId, shotId, at, body: { addedG: 3, sat: 'upright' }, ...stamps });
	return { ...BACKUP, writtenAt: at, tables };
}
const changed = (of: (tables: Record<BackupTable, Row[]>) => void) => {
	const b = structuredClone(book());
	of(b.tables);
	return b;
};

describe('the open book', () => {
	const schema = new Ajv({ strict: false, validateFormats: false }).compile(backupJsonSchema());

	it('a small workshop by hand passes, by our check and by an independent validator', () => {
		const b = book();
		expect(checkBackup(b)).toEqual([]);
		expect(schema(b), JSON.stringify(schema.errors?.slice(0, 3))).toBe(true);
	});

	it.each([
		'settings',
		'materials',
		'experiences',
		'masters',
		'moulds',
		'making_events',
		'containers',
		'shots',
		'pours',
		'pour_events',
		'device_commands',
		'pulls',
		'pull_corrections',
		'vessels',
		'pot_cycles',
		'vessel_inspections',
		'mould_inspections',
		'trials'
	] as const)('a row of %s whose content is not what the pages read is refused, with its place', (table) => {
		const column = { moulds: 'inputs', shots: 'inputs', pours: 'plan' }[table as string] ?? 'body';
		for (const junk of [{}, 'text', 7, null, ['x']]) {
			const b = changed((t) => (t[table][0]![column] = junk));
			// settings are all defaults
			if (table === 'settings' && JSON.stringify(junk) === '{}') continue;
			const problems = checkBackup(b);
			expect(problems.length, JSON.stringify(junk)).toBeGreaterThan(0);
			expect(problems[0]!.where).toMatch(new RegExp(`^${table}, row 1, ${column}`));
			expect(schema(b)).toBe(false);
		}
	});

	it.each([
		[
			'a mould plan without its fields',
			'moulds',
			(r: Row): unknown => (r['plan'] = { kind: 'one-piece' }),
			'plan'
		],
		['a mould that flies', 'moulds', (r: Row): unknown => (r['state'] = 'flying'), 'state'],
		[
			'a shot without a cup',
			'shots',
			(r: Row): unknown => (r['result'] = { shot: { batches: [] } }),
			'result'
		],
		['a picture that is a page', 'photos', (r: Row): unknown => (r['mime'] = 'text/html'), 'mime'],
		['a picture that draws and runs', 'photos', (r: Row): unknown => (r['mime'] = 'image/svg+xml'), 'mime']
	] as const)('%s is refused, with its place', (_, table, spoil, where) => {
		const b = changed((t) => {
			if (table === 'photos')
				t.photos.push({ id: id(), sha256: 'ab', mime: 'image/png', sizeBytes: 4, ...stamps });
			spoil(t[table].at(-1)!);
		});
		expect(checkBackup(b)[0]!.where).toMatch(new RegExp(`^${table}, row \\d+, ${where}`));
	});

	it('a material is read by the record of its own kind, and the field is named', () => {
		const kinds = Object.keys(MATERIAL_RECORDS);
		expect(kinds).toHaveLength(9);
		const b = changed((t) => {
			const row = t.materials.find((m) => m['kind'] === 'resin')!;
			row['body'] = { ...(row['body'] as Row), potLifeS: -4 };
		});
		expect(checkBackup(b)[0]!.where).toMatch(/^materials, row \d+, body\.potLifeS$/);
		// a filler is no resin, though each is a material
		const swapped = changed((t) => {
			const filler = t.materials.find((m) => m['kind'] === 'filler')!;
			filler['kind'] = 'resin';
		});
		expect(checkBackup(swapped)[0]!.where).toMatch(/^materials, row \d+, body/);
	});

	it('tables that are missing, too many, or no lists', () => {
		const where = (of: (tables: Record<string, unknown>) => void) =>
			checkBackup(changed(of as never)).map((p) => `${p.where}: ${p.message}`);
		expect(where((t) => delete t['pulls'])).toEqual(['pulls: This table is missing.']);
		expect(where((t) => (t['pulls'] = {}))).toEqual(['pulls: This table is missing.']);
		expect(where((t) => (t['songs'] = []))).toEqual(['songs: There is no such table.']);
		expect(where((t) => ((t['pulls'] as Row[])[0]!['extra'] = 1))[0]).toMatch(/pulls, row 1/);
	});

	it('stops at so many problems', () => {
		const b = changed((t) => {
			t.pulls = Array.from({ length: 200 }, () => ({ id: 'x' }));
		});
		expect(checkBackup(b)).toHaveLength(50);
		expect(checkBackup(b, 3)).toHaveLength(3);
	});

	it('whatever the JSON is, it is answered', () => {
		fc.assert(
			fc.property(fc.jsonValue(), (raw) => {
				expect(checkBackup(raw).length).toBeGreaterThan(0);
				expect(checkBackup({ ...BACKUP, tables: raw }).length).toBeGreaterThan(0);
			})
		);
	});
});
