import { randomUUID } from 'node:crypto';
import { QueryTypes } from 'sequelize';
import { beforeAll, describe, expect, it } from 'vitest';
import { db } from '$lib/server/db/connection';
import { listDeeds } from '$lib/server/people/audit';
import { makeCode } from '$lib/server/people/codes';
import { listCorrections } from '$lib/server/repositories/ledgerCorrections';
import { getVessel, listCycles, listVessels } from '$lib/server/repositories/vessels';
import { listInspections } from '$lib/server/repositories/wear';
import { cookieOf, form, twoThatAsk } from './signIn';

twoThatAsk();
let keeper = '';
beforeAll(async () => {
	const passphrase = 'seven wet gulls on a mast';
	const typed = { code: await makeCode('first'), name: 'Jo Maar', mark: 'jm', passphrase };
	keeper = cookieOf(await form('/sign-in/first', typed));
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
