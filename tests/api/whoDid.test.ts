import { randomUUID } from 'node:crypto';
import { QueryTypes } from 'sequelize';
import { beforeAll, describe, expect, it } from 'vitest';
import { db } from '$lib/server/db/connection';
import { tables } from '$lib/server/db/models';
import type { Deed } from '$lib/core/people';
import { listDeeds } from '$lib/server/people/audit';
import { listCorrections } from '$lib/server/repositories/ledgerCorrections';
import { listMasters, saveMaster } from '$lib/server/repositories/masters';
import { listResins, saveMaterial } from '$lib/server/repositories/materials';
import { listMoulds } from '$lib/server/repositories/moulds';
import { getVessel, listCycles, listVessels } from '$lib/server/repositories/vessels';
import { listInspections } from '$lib/server/repositories/wear';
import { ask, form, signedInKeeper, twoThatAsk, whoDid } from './signIn';

twoThatAsk();
let keeper = '';
beforeAll(async () => {
	keeper = await signedInKeeper();
});

const keep = async (path: string, fields: Record<string, string>) => {
	const { text } = await form(path, fields, { as: keeper });
	expect(text).toContain('"type":"success"');
};

describe('whoever is signed in stands for what they keep, whatever was typed', () => {
	it('a correction of a pull, and the list of deeds', async () => {
		const [pull] = await db().query<{ id: string; copies: number }>(
			'SELECT id, copies FROM pulls WHERE copies > 0 ORDER BY createdAt LIMIT 1',
			{ type: QueryTypes.SELECT }
		);
		const path = `/ledger/${pull!.id}?/correct`;
		const wrongly = { field: 'copies', who: 'Somebody else', why: 'of a check' };
		await keep(path, { ...wrongly, entry: randomUUID(), to: String(pull!.copies + 1) });
		await keep(path, { ...wrongly, entry: randomUUID(), to: String(pull!.copies) });
		const corrections = (await listCorrections(pull!.id)).slice(0, 2);
		expect(corrections.map((c) => c.who)).toEqual(['Jo Maar', 'Jo Maar']);
		const deeds = (await listDeeds(20)).filter((d) => d.what === 'pull-corrected');
		expect(deeds.slice(0, 2).map((d) => d.who)).toEqual(['Jo Maar', 'Jo Maar']);
	});
	it('a move in a mould’s life, a pot, a read-out book, kept out of the plan and let in again', async () => {
		const mould = (await listMoulds()).find((m) => m.state === 'active')!;
		const move = (state: string, version: number) =>
			keep(`/moulds/${mould.id}?/state`, { state, version: String(version) });
		await move('retired', mould.version);
		await move('active', mould.version + 1);
		const { text } = await form('/pots?/take', {}, { as: keeper });
		await tables.vessels().destroy({ where: { id: /pots\/([0-9a-f-]{36})/.exec(text)![1]! } });
		await keep('/orders/board?/keepOut&out=yes', { mouldId: mould.id });
		await keep('/orders/board?/keepOut', { mouldId: mould.id });
		for (const path of ['/workshop/book.json', '/workshop/book.zip'])
			expect((await ask(path, { as: keeper })).status).toBe(200);
		expect(await whoDid('mould-kept', 'vessel-kept', 'hours-changed')).toEqual(Array(3).fill('Jo Maar'));
		const deeds = await listDeeds(40);
		expect(deeds.find((d) => d.what === 'mould-kept')!.about).toBe(`M${mould.number}, active`);
		const read = deeds.filter((d) => d.what === 'book-read').map((d) => `${d.who} ${d.about}`);
		// the last two of them: checks before this one read it, too
		expect(read.slice(0, 2)).toEqual([
			'Jo Maar with pictures and 3D files',
			'Jo Maar without pictures and 3D files'
		]);
	});
	it('whatever else is kept, both or neither: what is refused is noted by nobody', async () => {
		const actor = { id: randomUUID(), name: 'Jo Maar' };
		const [master] = await listMasters();
		const about = `${master!.record.name} of a check`;
		const record = { ...master!.record, name: about };
		const id = await saveMaster(record, null, { actor });
		// the version before: somebody else was quicker
		await saveMaster({ ...record, note: 'second' }, null, { id, version: 1, actor });
		await expect(saveMaster(record, null, { id, version: 1, actor })).rejects.toThrow();
		// sent again: it is there already
		await saveMaster(record, null, { id, actor });
		const of = async (what: Deed) =>
			(await listDeeds(40)).filter((d) => d.what === what && d.about === about);
		expect(await of('master-kept')).toHaveLength(2);
		const [resin] = await listResins();
		await saveMaterial('resin', { ...resin!.record, name: about }, { actor });
		expect(await of('material-kept')).toHaveLength(1);
	});
	it('a look at a mould', async () => {
		const [mould] = await db().query<{ id: string }>(
			'SELECT mouldId AS id FROM pulls ORDER BY createdAt LIMIT 1',
			{ type: QueryTypes.SELECT }
		);
		await keep(`/moulds/${mould!.id}/wear?/inspect`, {
			entry: randomUUID(),
			inspection: JSON.stringify({ scores: { detail: 1 }, by: 'Somebody else' })
		});
		expect((await listInspections(mould!.id)).at(-1)!.inspection.by).toBe('Jo Maar');
	});
	it('a cycle of a pot, and a look that another did, which bears both', async () => {
		const pot = (await listVessels()).find((v) => v.record.kind === 'pot')!;
		await keep(`/pots/${pot.id}?/cycle&entry=${randomUUID()}`, {
			load: 'of a check',
			targetGaugeKpa: '200',
			by: ' jm '
		});
		expect((await listCycles(pot.id, 1))[0]!.body.by).toBe('Jo Maar');
		await keep(`/pots/${pot.id}?/inspect&entry=${randomUUID()}`, {
			part: 'gasket',
			ok: 'yes',
			by: 'yearly inspector'
		});
		expect((await getVessel(pot.id)).inspections[0]!.by).toBe('yearly inspector (JM)');
	});
});
