import { randomUUID } from 'node:crypto';
import { stringify } from 'devalue';
import { QueryTypes } from 'sequelize';
import { beforeAll, describe, expect, it } from 'vitest';
import type { Deed } from '$lib/core/people';
import { quickInput } from '$lib/core/quick';
import { db } from '$lib/server/db/connection';
import { listDeeds } from '$lib/server/people/audit';
import { getContainer, listContainers, setRateFactor } from '$lib/server/repositories/containers';
import { listExperiences } from '$lib/server/repositories/experiences';
import { listViews } from '$lib/server/repositories/ledgerCorrections';
import { listResins } from '$lib/server/repositories/materials';
import { emptyMoulds, getMould, listMoulds, saveMould } from '$lib/server/repositories/moulds';
import { addFinished, listOrders } from '$lib/server/repositories/orders';
import { listPictures } from '$lib/server/repositories/pictures';
import { addEvents, getPour } from '$lib/server/repositories/pours';
import { readSettings } from '$lib/server/repositories/settings';
import { listShots, replanShot } from '$lib/server/repositories/shots';
import { listTrials } from '$lib/server/repositories/trials';
import { thingsOnShelf } from '$lib/server/things';
import { ask, form, signedInKeeper, twoThatAsk } from './signIn';

// work at the bench and small things that are kept: each bears its person, and is noted once however often it is sent
twoThatAsk();
const JO = 'Jo Maar';
let keeper = '';
beforeAll(async () => {
	keeper = await signedInKeeper();
});

const deeds = async () => {
	const [row] = await db().query<{ n: number }>('SELECT COUNT(*) AS n FROM audit', {
		type: QueryTypes.SELECT
	});
	return Number(row!.n);
};
/** What was noted while something was done: by whom, what, and of what. */
async function noted(work: () => Promise<unknown>): Promise<[string, Deed, string][]> {
	const before = await deeds();
	await work();
	const fresh = (await deeds()) - before;
	const newest = fresh > 0 ? await listDeeds(fresh) : [];
	return newest.reverse().map(({ who, what, about }) => [who, what, about]);
}
const send = (path: string, fields: Record<string, string>) => form(path, fields, { as: keeper });
const keep = async (path: string, fields: Record<string, string>) => {
	const { text } = await send(path, fields);
	expect(text, path).toMatch(/"type":"(success|redirect)"/);
	return text;
};
/** Sent twice, as by a press that was answered too late. */
const twice = async (path: string, fields: Record<string, string>) => {
	await keep(path, fields);
	await keep(path, fields);
};
const giveUp = (pourId: string) =>
	addEvents(pourId, [{ id: randomUUID(), atMs: Date.now(), kind: 'abandoned', reason: 'end of the check' }]);
const PIXEL = Buffer.from(
	'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
	'base64'
);

describe('at the bench', () => {
	it('a pour that is begun, of a shot, pressed twice', async () => {
		const free = new Set((await emptyMoulds()).map((m) => m.id));
		const pourable = (await listShots(60)).filter(
			(s) =>
				s.planned.shot.batches.length === 1 &&
				s.inputs.mouldIds.length > 0 &&
				s.inputs.mouldIds.every((m) => free.has(m))
		);
		const begun: string[] = [];
		const found = await noted(async () => {
			for (const { id } of pourable) {
				for (let i = 0; i < 2; i++) {
					const { text } = await send(`/shots/${id}?/pour`, { batch: '0', plan: 'today' });
					const pour = /\/pour\/([0-9a-f-]{36})/.exec(text)?.[1];
					if (pour) begun.push(pour);
				}
				if (begun.length > 0) return;
			}
		});
		expect(begun).toHaveLength(2);
		expect(begun[0]).toBe(begun[1]);
		const { plan } = await getPour(begun[0]!);
		await giveUp(begun[0]!);
		const pours = found.filter(([, what]) => what === 'pour-begun');
		expect(pours).toEqual([
			[JO, 'pour-begun', [plan.masterName, ...plan.moulds.map((m) => `M${m.number}`)].join(' ')]
		]);
		// sized anew for it or not, nobody else is named
		expect(new Set(found.map(([who]) => who))).toEqual(new Set([JO]));
	});

	it('a pour of a quick question, sent twice', async () => {
		const id = randomUUID();
		const asked = JSON.stringify(quickInput.parse({ volumeMl: 85, roomTempC: 21 }));
		const found = await noted(() => twice('/quick', { id, do: 'pour', asked }));
		await giveUp(id);
		expect(found.map(([who, what]) => [who, what])).toEqual([[JO, 'pour-begun']]);
	});

	it('a mould whose making is begun, pressed twice; a picture of it, taken off again', async () => {
		const like = (await listMoulds()).find((m) => m.state === 'active' && m.plan.kind === 'one-piece')!;
		const { inputs } = await getMould(like.id);
		const id = await saveMould({ ...inputs, label: 'of a check of who did what' });
		const { number, masterName, version } = await getMould(id);
		expect(await noted(() => twice(`/moulds/${id}?/make`, {}))).toEqual([
			[JO, 'making-begun', `M${number}, ${masterName}`]
		]);
		const photo = async () => {
			const body = new FormData();
			body.set('photo', new File([PIXEL], 'seam.png', { type: 'image/png' }));
			body.set('caption', ' the seam ');
			const headers = { accept: 'application/json', 'x-sveltekit-action': 'true' };
			const { text } = await ask(`/moulds/${id}?/photo`, { method: 'POST', body, headers, as: keeper });
			expect(text).toContain('"type":"success"');
		};
		expect(await noted(photo)).toEqual([[JO, 'picture-kept', 'mould, the seam']]);
		const [picture] = await listPictures('mould', id);
		expect(await noted(() => keep(`/moulds/${id}?/unphoto`, { id: picture!.id }))).toEqual([
			[JO, 'picture-removed', `mould, ${id}`]
		]);
		await keep(`/moulds/${id}?/state`, {
			state: 'retired',
			version: String((await getMould(id)).version ?? version)
		});
	});

	it('copies that are finished, never more of them than there are good ones', async () => {
		const order = (await listOrders()).find((o) => o.record.lines.length > 0)!;
		const [line] = order.record.lines;
		const actor = { id: randomUUID(), name: JO };
		expect(await noted(() => addFinished(order.id, line!.id, 1, actor))).toEqual([
			[JO, 'copies-finished', `1 of ${order.record.name}`]
		]);
		await expect(addFinished(randomUUID(), line!.id, 1, actor)).rejects.toThrow(/order/);
		// as it was: other checks plan this order
		await db().query('UPDATE orders SET body = :body WHERE id = :id', {
			replacements: { body: JSON.stringify(order.record), id: order.id }
		});
	});

	it('a shot that is sized anew by the records of today', async () => {
		const [shot] = await listShots(1);
		const { settings } = await readSettings();
		const found = await noted(() => replanShot(shot!.id, settings, { id: randomUUID(), name: JO }));
		expect(found).toEqual([[JO, 'shot-kept', expect.stringMatching(/, by today’s records$/)]]);
		// nobody signs in: it is noted, and bears no name
		expect(await noted(() => replanShot(shot!.id, settings, null))).toMatchObject([
			['', 'shot-kept', expect.any(String)]
		]);
		// demo data is nobody's deed
		expect(await noted(() => replanShot(shot!.id, settings))).toEqual([]);
	});
});

describe('what is kept beside it', () => {
	it('a trial afloat, sent twice: one trial, one deed', async () => {
		const [shot] = await listShots(1);
		const before = await listTrials(shot!.masterId);
		const typed = { addedG: 12, where: 'in the keel', massG: 96, sat: 'upright', note: 'of a check' };
		const path = `/shots/${shot!.id}?/trial&trial=${randomUUID()}`;
		const found = await noted(() => twice(path, { __superform_json: stringify(typed) }));
		expect(found).toEqual([[JO, 'trial-kept', expect.any(String)]]);
		const after = await listTrials(shot!.masterId);
		expect(after).toHaveLength(before.length + 1);
		expect(after[0]!.record).toMatchObject(typed);
		await db().query('DELETE FROM trials WHERE id = ?', { replacements: [after[0]!.id] });
	});

	it('what two things did to each other, taken back by whoever takes it back', async () => {
		const [first, second] = await thingsOnShelf();
		const madeId = randomUUID();
		const met = `${first!.key} and ${second!.key}`;
		const fields = { madeId, first: first!.key, second: second!.key, verdict: 'never again', note: '' };
		expect(await noted(() => twice('/shelf/meets?/keep', fields))).toEqual([[JO, 'experience-kept', met]]);
		expect((await listExperiences()).some((e) => e.id === madeId)).toBe(true);
		expect(await noted(() => twice('/shelf/meets?/remove', { id: madeId }))).toEqual([
			[JO, 'experience-removed', met]
		]);
		expect((await listExperiences()).some((e) => e.id === madeId)).toBe(false);
	});

	it('a view of the ledger, under its name', async () => {
		const name = `view ${randomUUID().slice(0, 8)}`;
		expect(await noted(() => keep('/ledger?/keepView&grade=good', { name }))).toEqual([
			[JO, 'view-kept', name]
		]);
		const { id } = (await listViews()).find((v) => v.name === name)!;
		expect(await noted(() => twice('/ledger?/forgetView', { id }))).toEqual([[JO, 'view-forgotten', name]]);
		expect((await listViews()).some((v) => v.id === id)).toBe(false);
	});

	it('the speed of a tin and what demoulding taught of a resin, both forgotten', async () => {
		const tin = (await listContainers())[0]!;
		await setRateFactor(tin.id, 1.25);
		expect(await noted(() => keep(`/shelf/containers/${tin.id}?/forget`, {}))).toEqual([
			[JO, 'speed-kept', `${tin.record.lot || tin.id}, as its sheet says`]
		]);
		expect((await getContainer(tin.id)).rateFactor).toBeNull();
		const resin = (await listResins()).at(-1)!;
		const forgotten = () => form(`/shelf/resins/${resin.id}/forget`, {}, { as: keeper });
		expect(await noted(forgotten)).toEqual([[JO, 'demould-forgotten', resin.record.name]]);
		await db().query('UPDATE materials SET demouldForgottenAt = NULL WHERE id = ?', {
			replacements: [resin.id]
		});
		await setRateFactor(tin.id, tin.rateFactor);
	});

	it('a 3D file and a picture, each once by its content', async () => {
		const triangle = `solid of a check\nfacet normal 0 0 1\nouter loop\nvertex 0 0 ${Date.now()}\nvertex 1 0 0\nvertex 0 1 0\nendloop\nendfacet\nendsolid`;
		const headers = { 'content-type': 'application/octet-stream' };
		const file = (name: string) =>
			ask(`/api/meshes?name=${name}`, { method: 'POST', body: triangle, headers, as: keeper });
		const both = async () => {
			expect((await file('first.stl')).status).toBe(200);
			expect((await file('second.stl')).status).toBe(200);
		};
		expect(await noted(both)).toEqual([[JO, 'file-kept', 'first.stl']]);
		// what stands after a picture's end changes its content, not the picture
		const body = Buffer.concat([PIXEL, Buffer.from(randomUUID())]);
		const picture = async () => {
			for (let i = 0; i < 2; i++)
				expect((await ask('/api/photos', { method: 'POST', body, headers, as: keeper })).status).toBe(200);
		};
		expect(await noted(picture)).toEqual([[JO, 'file-kept', 'image/png']]);
		expect(
			await noted(() => ask('/api/photos', { method: 'POST', body: 'text', headers, as: keeper }))
		).toEqual([]);
	});

	it('a notebook, read in whole, and once', async () => {
		const mould = (await listMoulds()).find((m) => m.state === 'active')!;
		const notebook = JSON.stringify({
			entry: randomUUID(),
			rows: [['2025-03-01 14:20', `M${mould.number}`, 'good', 'Lantern white']],
			columns: { when: 0, mould: 1, grade: 2, resin: 3 }
		});
		const found = await noted(() => twice('/ledger/import', { notebook }));
		expect(found).toEqual([[JO, 'notebook-read', '1 pull']]);
	});
});
