import { randomUUID } from 'node:crypto';
import Papa from 'papaparse';
import { QueryTypes } from 'sequelize';
import { afterAll, describe, expect, it } from 'vitest';
import { INSPECTION_DEFAULTS, INSPECTED_PARTS, vesselRecord } from '../../src/lib/core/pressurePot';
import { mouldInspection } from '../../src/lib/core/wear';
import { closeDb, db } from '../../src/lib/server/db/connection';
import { RefusedError } from '../../src/lib/server/errors';
import { everyPull, getPull, listPulls } from '../../src/lib/server/repositories/ledger';
import {
	addFindings,
	confirmCause,
	confirmedCauses,
	correctPull,
	importPulls,
	listCorrections
} from '../../src/lib/server/repositories/ledgerCorrections';
import { getMould, listMoulds } from '../../src/lib/server/repositories/moulds';
import { beginToday } from '../../src/lib/server/repositories/beginPour';
import { readSettings } from '../../src/lib/server/repositories/settings';
import { saveShot } from '../../src/lib/server/repositories/shots';
import {
	addCycle,
	addInspection,
	getVessel,
	listCycles,
	listVessels,
	saveVessel
} from '../../src/lib/server/repositories/vessels';
import { addMouldInspection, listInspections, mouldWear } from '../../src/lib/server/repositories/wear';
import { whatChanges, yieldByMonth, yieldsBy } from '../../src/lib/server/repositories/yields';
import { shotInputs } from '../../src/lib/core/shot';
import { listMaterials } from '../../src/lib/server/repositories/materials';
import { get, post } from './http';

afterAll(closeDb);

const pot = (over: object = {}) =>
	vesselRecord.parse({
		kind: 'pot',
		name: `Trial pot ${randomUUID().slice(0, 6)}`,
		volumeL: 18,
		diameterMm: 260,
		shelvesMm: [200],
		ratedGaugeKpa: 413,
		targetGaugeKpa: 275,
		freeAirLPerMin: 100,
		dues: INSPECTION_DEFAULTS,
		...over
	});

describe('what is weighed in the evening', () => {
	it('is added to a pull, once, and overwrites nothing; it is no correction', async () => {
		const [found] = await db().query<{ id: string }>(
			"SELECT id FROM pulls WHERE grade = 'good' AND JSON_EXTRACT(body, '$.inspected.castMassG') IS NULL LIMIT 1",
			{ type: QueryTypes.SELECT }
		);
		const { id } = found!;
		const entry = randomUUID();
		for (let i = 0; i < 2; i++)
			await addFindings(id, entry, { findings: { castMassG: 84.2 }, who: 'Ines' }, new Date());
		expect((await getPull(id)).body.inspected).toMatchObject({ castMassG: 84.2 });
		expect((await listCorrections(id)).filter((c) => c.field === 'added')).toHaveLength(1);
		await expect(
			addFindings(id, randomUUID(), { findings: { castMassG: 90 }, who: '' }, new Date())
		).rejects.toThrow(/stands there already/);
		await addFindings(id, randomUUID(), { findings: { reworkS: 600 }, who: '' }, new Date());
		expect((await getPull(id)).body.inspected).toMatchObject({ castMassG: 84.2, reworkS: 600 });
	});
});

describe('vessels', () => {
	it('a look and a cycle sent twice are there once; a failed look refuses the pour with its reason', async () => {
		const id = await saveVessel(pot());
		const inspection = randomUUID();
		for (let i = 0; i < 2; i++)
			await addInspection(id, inspection, { part: 'gasket', ok: false, by: 'J', note: 'cut' }, new Date());
		const cycle = randomUUID();
		for (let i = 0; i < 2; i++)
			await addCycle(id, cycle, { load: 'M1', targetGaugeKpa: 275, by: 'J' }, new Date());
		const vessel = await getVessel(id);
		expect(vessel.inspections).toHaveLength(1);
		expect(await listCycles(id)).toHaveLength(1);
		expect(vessel.refused).toMatch(/gasket failed its last look/);

		const mould = (await listMoulds()).find((m) => m.state === 'active' && m.label.startsWith('Rope'))!;
		const { settings } = await readSettings();
		const resin = (await listMaterials('resin')).find((r) => r.record.name === 'Fender flexible')!;
		const shot = (potId: string) =>
			saveShot(
				shotInputs.parse({
					masterId: mould.masterId,
					mouldIds: [mould.id],
					resinId: resin.id,
					copies: 1,
					sprueVolumeMl: 0,
					sectionMm: 8,
					usePot: true,
					potId,
					startTempC: 21,
					mouldTempC: 21,
					roomTempC: 21,
					relativeHumidity: 44
				}),
				settings
			);
		await expect(beginToday(await shot(id), 0, settings)).rejects.toThrow(/gasket failed its last look/);
		// mended and looked at again, everything: it may be used
		for (const part of INSPECTED_PARTS)
			await addInspection(
				id,
				randomUUID(),
				{ part, ok: true, by: 'J', note: '' },
				new Date(Date.now() + 1000)
			);
		expect((await getVessel(id, new Date(Date.now() + 2000))).refused).toBeNull();
		await saveVessel(pot({ name: 'Away', outOfUse: true }), { id, version: 1 });
		expect((await getVessel(id)).refused).toMatch(/out of use/);
	});

	it('two people change one vessel: the second is told', async () => {
		const id = await saveVessel(pot({ outOfUse: true }));
		await saveVessel(pot({ outOfUse: true, note: 'first' }), { id, version: 1 });
		await expect(saveVessel(pot({ outOfUse: true, note: 'second' }), { id, version: 1 })).rejects.toThrow();
		expect((await getVessel(id)).record.note).toBe('first');
	});

	it('the demo’s pours wrote their cycles', async () => {
		const one = (await listVessels()).find((v) => v.record.name === 'Pot 1')!;
		const cycles = await listCycles(one.id);
		expect(cycles.some((c) => c.pourId !== null && c.body.leakKpaPerMin !== undefined)).toBe(true);
		expect(one.cycles).toBeGreaterThan(200);
	});
});

describe('wear', () => {
	it('a look sent twice is one, keeps what it foretold, and moves the forecast', async () => {
		const worn = await Promise.all(
			(await listMoulds()).filter((m) => m.pulls > 10 && m.state === 'active').map((m) => mouldWear(m))
		);
		const before = worn.find((w) => w.forecast.wear < 3)!;
		const { mould } = before;
		const id = randomUUID();
		const inspection = mouldInspection.parse({
			scores: { tear: 4, detail: 3 },
			spots: [{ x: 10, y: 20, what: 'rim' }]
		});
		for (let i = 0; i < 2; i++) await addMouldInspection(mould.id, id, inspection, new Date());
		const kept = (await listInspections(mould.id)).filter((l) => l.id === id);
		expect(kept).toHaveLength(1);
		expect(kept[0]!.forecast!.low).toBeLessThanOrEqual(kept[0]!.forecast!.median);
		const after = await mouldWear(await getMould(mould.id));
		expect(after.forecast.pullsLeftMedian).toBeLessThan(before.forecast.pullsLeftMedian);
		await db().query('DELETE FROM mould_inspections WHERE id = ?', { replacements: [id] });
	});

	it('is asked for by scripts too, and bad input is said', async () => {
		const asked = { prior: { family: 'tin' }, pulls: [{}, {}, { scores: { detail: 1 } }], copiesWanted: 20 };
		const { status, json } = await post('/api/calc/wear', asked);
		expect(status).toBe(200);
		expect(json.pullsLeftLow).toBeLessThan(json.pullsLeftHigh);
		expect(json.chanceToFinish).toBeGreaterThan(0);
		expect((await post('/api/calc/wear', { prior: { family: 'cheese' }, pulls: [] })).status).toBe(422);
		expect(
			(await post('/api/calc/wear', { prior: { family: 'tin' }, pulls: [{ scores: { detail: 9 } }] })).status
		).toBe(422);
	});
});

describe('the ledger', () => {
	it('finds by words, fault, days and resin, and sorts', async () => {
		const all = await listPulls({}, { offset: 0, limit: 500 });
		const text = await listPulls({ text: 'ammonite' }, { offset: 0, limit: 500 });
		expect(text.pulls.length).toBe(all.pulls.filter((p) => /ammonite/i.test(p.masterName)).length);
		const foam = await listPulls({ fault: 'foam' }, { offset: 0, limit: 500 });
		expect(foam.pulls.length).toBe(all.pulls.filter((p) => p.body.faults.includes('foam')).length);
		expect(foam.total).toBe(foam.pulls.length);
		const heavy = await listPulls({}, { offset: 0, limit: 20 }, { by: 'shot', down: true });
		const masses = heavy.pulls.map((p) => p.body.massG ?? 0);
		expect(masses).toEqual([...masses].sort((a, b) => b - a));
		const day = all.pulls[5]!.combinedAt.toISOString().slice(0, 10);
		const that = await listPulls({ from: day, to: day }, { offset: 0, limit: 100 });
		expect(that.pulls.every((p) => p.combinedAt.toISOString().startsWith(day))).toBe(true);
		expect(that.pulls.length).toBeGreaterThan(0);
		// the number of a pull is that of its place among its mould's
		const mine = all.pulls.filter((p) => p.mouldId === all.pulls[0]!.mouldId);
		expect(mine.map((p) => p.pullNumber)).toEqual(mine.map((_, i) => mine.length - i));
		expect((await listPulls({ text: '%_\\' }, { offset: 0, limit: 5 })).total).toBe(0);
	});

	it('a correction keeps the old value, once however often it is sent', async () => {
		const { pulls } = await listPulls({ grade: 'good' }, { offset: 0, limit: 50 });
		const pull = pulls.find((p) => p.body.faults.length === 0);
		const id = randomUUID();
		// other tests may have corrected this pull before
		const before = (await listCorrections(pull!.id)).map((c) => c.id);
		const ours = async () => (await listCorrections(pull!.id)).filter((c) => !before.includes(c.id));
		const said = { field: 'faults', to: ['flash'], who: 'J', why: 'seen in daylight' } as const;
		for (let i = 0; i < 2; i++) await correctPull(pull!.id, id, { ...said, to: ['flash'] }, new Date());
		expect((await getPull(pull!.id)).body.faults).toEqual(['flash']);
		expect(await ours()).toMatchObject([{ field: 'faults', from: [], to: ['flash'], who: 'J' }]);
		expect((await listPulls({ fault: 'flash' }, { offset: 0, limit: 500 })).pulls.map((p) => p.id)).toContain(
			pull!.id
		);
		await expect(correctPull(pull!.id, randomUUID(), { ...said, to: ['flash'] }, new Date())).rejects.toThrow(
			RefusedError
		);
		await correctPull(pull!.id, randomUUID(), { ...said, to: [], why: 'it was another' }, new Date());
		expect(await ours()).toHaveLength(2);
	});

	it('a confirmed cause counts from then on', async () => {
		const [pull] = (await listPulls({ fault: 'foam' }, { offset: 0, limit: 1 })).pulls;
		const unsaid = () => db().query('DELETE FROM pull_causes WHERE pullId = ?', { replacements: [pull!.id] });
		await unsaid();
		const before = (await confirmedCauses(pull!.id)).all['foam']?.['old-stock'] ?? 0;
		for (let i = 0; i < 2; i++) await confirmCause(pull!.id, 'foam', 'old-stock', new Date());
		const after = await confirmedCauses(pull!.id);
		expect(after.here['foam']).toBe('old-stock');
		expect(after.all['foam']!['old-stock']).toBe(before + 1);
		await unsaid();
	});

	it('an old notebook goes in whole, once; a mould that is not there stops all of it', async () => {
		const mould = (await listMoulds()).find((m) => m.pulls > 0)!;
		const resin = `Notebook ${randomUUID().slice(0, 8)}`;
		const word = `zanzibar${randomUUID().slice(0, 8)}`;
		const row = (k: number, mouldNumber = mould.number) => ({
			atMs: Date.UTC(2024, 3, 1 + k),
			mouldNumber,
			grade: 'scrap' as const,
			resin,
			copies: 1,
			massG: 120,
			faults: ['foam' as const],
			note: word
		});
		const count = async () => (await listPulls({ resin }, { offset: 0, limit: 99 })).total;
		await expect(importPulls(randomUUID(), [row(0), row(1, 99_999)])).rejects.toThrow(/no mould M99999/);
		expect(await count()).toBe(0);
		const entry = randomUUID();
		expect(await importPulls(entry, [row(0), row(1), row(2)])).toBe(3);
		expect(await importPulls(entry, [row(0), row(1), row(2)])).toBe(0);
		expect(await count()).toBe(3);
		expect((await getMould(mould.id)).pulls).toBe(mould.pulls + 3);
		expect((await listPulls({ text: word }, { offset: 0, limit: 9 })).total).toBe(3);
		const page = await get(
			`/ledger/${(await listPulls({ text: word }, { offset: 0, limit: 1 })).pulls[0]!.id}`
		);
		expect(page.status).toBe(200);
		expect(page.text).toContain('Out of an old notebook');
	});

	it('a notebook’s resin that stands on the shelf is known for what it is', async () => {
		const mould = (await listMoulds()).find((m) => m.pulls > 0)!;
		const causes = async (resin: string) => {
			const word = `foamed${randomUUID().slice(0, 8)}`;
			await importPulls(randomUUID(), [
				{
					atMs: Date.UTC(2024, 4, 2),
					mouldNumber: mould.number,
					grade: 'scrap',
					resin,
					copies: 1,
					massG: 80,
					faults: ['foam'],
					note: word
				}
			]);
			const { pulls } = await listPulls({ text: word }, { offset: 0, limit: 1 });
			return (await get(`/ledger/${pulls[0]!.id}`)).text;
		};
		expect(await causes(' amber CLEAR ')).toContain('polyester does not foam with water');
		expect(await causes('Lantern white')).not.toContain('does not foam with water');
		// a name that nobody knows is taken for nothing in particular
		expect(await causes('Something from a jar')).not.toContain('does not foam with water');
	});

	it('its CSV holds every pull of the view, and nothing that a spreadsheet would run', async () => {
		const mould = (await listMoulds()).find((m) => m.pulls > 0)!;
		await importPulls(randomUUID(), [
			{
				atMs: Date.UTC(2024, 5, 1),
				mouldNumber: mould.number,
				grade: 'good',
				resin: '=SUM(A1)',
				copies: 1,
				massG: 5,
				faults: [],
				note: 'a "quoted", line\nbreak'
			}
		]);
		const { text } = await get('/ledger/export.csv');
		const { data, errors } = Papa.parse<Record<string, string>>(text.trim(), { header: true });
		expect(errors).toEqual([]);
		let all = 0;
		for await (const bite of everyPull({}, 50)) all += bite.length;
		expect(data).toHaveLength(all);
		const row = data.find((r) => r['note']?.includes('"quoted"'))!;
		expect(row['resin']).toBe(`'=SUM(A1)`);
		expect(row['note']).toBe('a "quoted", line\nbreak');
		const scrap = Papa.parse<Record<string, string>>(
			(await get('/ledger/export.csv?grade=scrap')).text.trim(),
			{ header: true }
		);
		expect(scrap.data.every((r) => r['grade'] === 'scrap')).toBe(true);
	});

	it('yields and comparisons add up to the ledger', async () => {
		let all = 0;
		for await (const bite of everyPull({})) all += bite.length;
		const months = await yieldByMonth();
		const sum = months.reduce((s, m) => s + m.counts.good + m.counts['needs-work'] + m.counts.scrap, 0);
		expect(sum).toBe(all);
		for (const by of ['resin', 'season', 'humidity', 'piece', 'lot', 'mould'] as const)
			expect((await yieldsBy(by)).reduce((s, y) => s + y.all, 0)).toBe(all);
		const damp = (await whatChanges('foam')).find((c) => c.name === 'humidity from 50 %')!;
		expect(damp.withAll + damp.withoutAll + damp.unknown).toBe(all);
		expect(damp.withShare).toBeGreaterThanOrEqual(0);
	});

	it('the calendar and the pages of it answer', async () => {
		const { text, status } = await get('/workshop/calendar.ics');
		expect(status).toBe(200);
		expect(text).toMatch(/^BEGIN:VCALENDAR/);
		expect(text).toContain('Look at relief valve');
		// to the second
		const { json } = await get('/api/clocks');
		const cures = (json.clocks as { id: string; kind: string; endsAtMs: number }[]).filter(
			(c) => c.kind === 'cure' || c.kind === 'hold'
		);
		expect(cures.length).toBeGreaterThan(0);
		for (const c of cures) {
			const start = `DTSTART:${new Date(c.endsAtMs).toISOString().replace(/[-:]|\.\d+/g, '')}`;
			expect(text.split(`UID:${c.id}@`)[1]!.split('END:VEVENT')[0], c.id).toContain(start);
		}
		expect(text.match(/BEGIN:VEVENT/g)!.length).toBe(text.match(/END:VEVENT/g)!.length);
		for (const path of [
			'/ledger?sort=nonsense&way=up&page=-3&from=x',
			'/ledger/faults?fault=moths',
			'/ledger/yield?by=nobody',
			'/moulds/wear',
			'/pots/load'
		])
			expect((await get(path)).status, path).toBe(200);
	});
});
