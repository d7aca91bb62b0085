import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { LOW_SHARE } from '$lib/core/shelf';
import { WORKSHOP_DEFAULTS } from '$lib/core/workshop';
import { closeDb } from '$lib/server/db/connection';
import { readBench } from '$lib/server/repositories/bench';
import { dueNow, pourableToday } from '$lib/server/repositories/benchToday';
import { listContainers } from '$lib/server/repositories/containers';
import type { Pull } from '$lib/core/ledger';
import { everyPull, lastPulls, listPulls } from '$lib/server/repositories/ledger';
import { listResins } from '$lib/server/repositories/materials';
import { listMoulds } from '$lib/server/repositories/moulds';
import { listPours } from '$lib/server/repositories/pours';
import { inspectionsComing } from '$lib/server/repositories/vessels';
import { faultsByCause, whatChanges, yieldByMonth, yieldsBy } from '$lib/server/repositories/yields';

// what the front page and the yields say, against the same counted plainly from the ledger's rows
const all: Pull[] = [];
beforeAll(async () => {
	for await (const bite of everyPull({}, 37)) all.push(...bite);
});
afterAll(closeDb);
const groupBy = (of: (p: Pull) => string) => {
	const found = new Map<string, Pull[]>();
	for (const p of all) found.set(of(p), [...(found.get(of(p)) ?? []), p]);
	return found;
};

describe('the ledger counted plainly', () => {
	it('is read whole in bites, each pull once, newest first', async () => {
		expect(new Set(all.map((p) => p.id)).size).toBe(all.length);
		const { total, pulls } = await listPulls({}, { offset: 0, limit: 10 });
		expect(total).toBe(all.length);
		expect(all.slice(0, 10).map((p) => p.id)).toEqual(pulls.map((p) => p.id));
		expect((await lastPulls(3)).map((p) => p.id)).toEqual(all.slice(0, 3).map((p) => p.id));
		const times = all.map((p) => p.combinedAt.getTime());
		expect(times).toEqual([...times].sort((a, b) => b - a));
	});

	it.each([
		['mould', (p: Pull) => `M${p.mouldNumber} ${p.mouldLabel}`],
		['resin', (p: Pull) => p.resinName],
		['piece', (p: Pull) => p.masterName],
		[
			'humidity',
			({ body: { relativeHumidity: h } }: Pull) =>
				h === null ? 'not noted' : h < 40 ? 'under 40 %' : h < 50 ? '40 to 50 %' : 'from 50 %'
		],
		[
			'season',
			(p: Pull) =>
				['December to February', 'March to May', 'June to August', 'September to November'][
					Math.floor(((p.combinedAt.getUTCMonth() + 1) % 12) / 3)
				]!
		]
	] as const)('yields by %s', async (by, of) => {
		const rows = await yieldsBy(by);
		const plain = groupBy(of);
		expect(new Set(rows.map((r) => r.group))).toEqual(new Set(plain.keys()));
		for (const row of rows) {
			const pulls = plain.get(row.group)!;
			const count = (grade: Pull['grade']) => pulls.filter((p) => p.grade === grade).length;
			expect([row.all, row.good, row.mended, row.scrap], row.group).toEqual([
				pulls.length,
				count('good'),
				count('needs-work'),
				count('scrap')
			]);
			const share = row.good / row.all;
			expect(row.low).toBeLessThanOrEqual(share);
			expect(row.high).toBeGreaterThanOrEqual(share);
		}
	});

	it('yields by month', async () => {
		const plain = groupBy((p) => p.combinedAt.toISOString().slice(0, 7));
		const months = await yieldByMonth();
		expect(months.map((m) => m.month)).toEqual([...plain.keys()].sort());
		for (const { month, counts } of months) {
			const pulls = plain.get(month)!;
			for (const [grade, n] of Object.entries(counts))
				expect(n).toBe(pulls.filter((p) => p.grade === grade).length);
		}
	});

	it('faults by cause are every fault once', async () => {
		const seen = new Map<string, number>();
		for (const { fault, n } of await faultsByCause()) seen.set(fault, (seen.get(fault) ?? 0) + n);
		const plain = new Map<string, number>();
		for (const f of all.flatMap((p) => [...new Set(p.body.faults)])) plain.set(f, (plain.get(f) ?? 0) + 1);
		expect([...seen].sort()).toEqual([...plain].sort());
	});

	it('foam with and without damp air', async () => {
		const row = (await whatChanges('foam')).find((c) => c.name === 'humidity from 50 %')!;
		const known = all.filter((p) => p.body.relativeHumidity !== null);
		const damp = known.filter((p) => p.body.relativeHumidity! >= 50);
		const dry = known.filter((p) => !damp.includes(p));
		const foam = (list: Pull[]) => list.filter((p) => p.body.faults.includes('foam')).length;
		expect([row.withHits, row.withAll]).toEqual([foam(damp), damp.length]);
		expect([row.withoutHits, row.withoutAll]).toEqual([foam(dry), dry.length]);
		expect(row.unknown).toBe(all.length - known.length);
	});

	it('what a pull says nothing of counts neither with nor without: nobody wrote into a notebook whether it stood in the pot', async () => {
		const row = (await whatChanges('')).find((c) => c.name === 'cured under pressure')!;
		const known = all.filter((p) => !p.body.imported);
		expect([row.withAll, row.withoutAll, row.unknown]).toEqual([
			known.filter((p) => p.body.pot).length,
			known.filter((p) => !p.body.pot).length,
			all.length - known.length
		]);
	});

	it('each filter finds what the rows say', async () => {
		const find = async (filter: Parameters<typeof listPulls>[0]) =>
			(await listPulls(filter, { offset: 0, limit: 2000 })).pulls.map((p) => p.id).sort();
		const ids = (of: (p: Pull) => boolean) =>
			all
				.filter(of)
				.map((p) => p.id)
				.sort();
		expect(await find({ grade: 'scrap' })).toEqual(ids((p) => p.grade === 'scrap'));
		expect(await find({ fault: 'foam' })).toEqual(ids((p) => p.body.faults.includes('foam')));
		const { mouldId, resinName } = all[0]!;
		expect(await find({ mouldId, resin: resinName })).toEqual(
			ids((p) => p.mouldId === mouldId && p.resinName === resinName)
		);
		const day = all[5]!.combinedAt.toISOString().slice(0, 10);
		expect(await find({ from: day, to: day })).toEqual(
			ids((p) => p.combinedAt.toISOString().startsWith(day))
		);
		// frequent or rare, a word finds the same rows
		for (const text of [resinName, `M${all[0]!.mouldNumber}`, 'zzz nowhere'])
			for (const id of await find({ text })) expect(all.some((p) => p.id === id)).toBe(true);
		expect(await find({ text: 'zzz nowhere' })).toEqual([]);
		expect(await find({ text: resinName })).toEqual(
			expect.arrayContaining(ids((p) => p.resinName === resinName))
		);
	});
});

describe('the bench today', () => {
	it('free are moulds in use that take resin and stand in no open pour; the last resin is that of the last pull', async () => {
		const [bench, moulds, open] = await Promise.all([
			readBench(100),
			listMoulds(),
			listPours({ status: 'open' })
		]);
		const taken = new Set(open.flatMap((p) => p.plan.moulds.map((m) => m.id)));
		expect(bench.free.map((m) => m.id).sort()).toEqual(
			moulds
				.filter((m) => m.state === 'active' && m.inputs.kind !== 'wet' && !taken.has(m.id))
				.map((m) => m.id)
				.sort()
		);
		for (const m of bench.free) {
			const last = all.find((p) => p.mouldId === m.id);
			expect([m.lastResin, m.lastGrade]).toEqual([last?.resinName ?? null, last?.grade ?? null]);
		}
		expect((await readBench(2)).free).toHaveLength(2);
		expect((await readBench(2)).freeCount).toBe(bench.free.length);
	});

	it('damp air stops urethane, a warmer room shortens its clock, polyester is not held by damp', async () => {
		const ids = (await readBench(100)).free.map((m) => m.id);
		const dry = { ...WORKSHOP_DEFAULTS, relativeHumidity: 35, roomTempC: 20 };
		const [cool, warm, damp] = await Promise.all([
			pourableToday(ids, dry),
			pourableToday(ids, { ...dry, roomTempC: 27 }),
			pourableToday(ids, { ...dry, relativeHumidity: 62 })
		]);
		const resins = new Map((await listResins()).map((r) => [r.record.name, r.record]));
		expect(Object.keys(cool).length).toBeGreaterThan(3);
		for (const [id, now] of Object.entries(cool)) {
			expect(now.massG).toBeGreaterThan(0);
			if (now.potLifeS !== null) expect(warm[id]!.potLifeS!).toBeLessThan(now.potLifeS);
			const urethane = /urethane/.test(resins.get(now.resinName)!.family);
			if (now.enoughFor === 0) expect(now.wait).toBe('too little of it on the shelf');
			else {
				expect(now.wait).toBeNull();
				if (urethane) expect(damp[id]!.wait).toMatch(/^62 % humidity/);
				else expect(damp[id]!.wait).toBeNull();
			}
		}
		expect(await pourableToday([], dry)).toEqual({});
	});

	it('what is due and what runs out are what the books hold', async () => {
		const now = new Date();
		const { due, out } = await dueNow(WORKSHOP_DEFAULTS, now);
		const inspections = (await inspectionsComing(now)).filter(({ due: d }) =>
			['failed', 'due', 'soon'].includes(d.state)
		);
		// one line a vessel, however many of its looks are wanted
		const vessels = (of: typeof inspections) => new Set(of.map(({ vessel }) => `/pots/${vessel.id}`));
		const shown = due.filter((d) => d.href.startsWith('/pots/'));
		expect(new Set(shown.map((d) => d.href))).toEqual(vessels(inspections));
		expect(shown).toHaveLength(vessels(inspections).size);
		expect(new Set(shown.filter((d) => d.late).map((d) => d.href))).toEqual(
			vessels(inspections.filter(({ due: d }) => d.state !== 'soon'))
		);
		const tins = (await listContainers()).filter((t) => !t.emptied);
		const low = tins.filter((t) => out.some((o) => o.late && o.href.endsWith(t.id)));
		expect(low.length).toBeGreaterThan(0);
		for (const t of low) expect(t.remainingG / t.record.sizeG).toBeLessThan(LOW_SHARE);
	});
});
