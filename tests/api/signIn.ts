import { afterAll, beforeAll } from 'vitest';
import { freePort } from '../../scripts/lib/ports.mjs';
import { startWeb } from '../../scripts/lib/web.mjs';
import type { Deed } from '$lib/core/people';
import { closeDb, db } from '$lib/server/db/connection';
import { listDeeds } from '$lib/server/people/audit';
import { makeCode } from '$lib/server/people/codes';

// a workshop on a network: two processes that ask who one is, over the database of these tests
let webs: Awaited<ReturnType<typeof startWeb>>[] = [];
const start = async () =>
	startWeb({
		databaseUrl: process.env['DATABASE_URL']!,
		port: await freePort(),
		quiet: true,
		env: { SIGN_IN: '1', LOG_LEVEL: 'silent' }
	});
/** Two of them run while the checks of a file do. */
export function twoThatAsk(): void {
	beforeAll(async () => {
		await wipe();
		webs = [await start(), await start()];
	}, 120_000);
	afterAll(async () => {
		for (const web of webs) await web.stop();
		await wipe();
		await closeDb();
	});
}
/** One of them ends, and begins anew. */
export async function again(on: number): Promise<void> {
	await webs[on]!.stop();
	webs[on] = await start();
}
async function wipe(): Promise<void> {
	for (const table of ['sessions', 'access_codes', 'failed_tries', 'people'])
		await db().query(`DELETE FROM ${table}`);
}
export const forgiven = () => db().query('DELETE FROM failed_tries');

interface Answer {
	status: number;
	text: string;
	to: string;
	cookies: string[];
}
export const ask = async (
	path: string,
	init: RequestInit & { as?: string; on?: number } = {}
): Promise<Answer> => {
	const { as, on = 0, headers, ...rest } = init;
	const url = webs[on]!.url;
	const response = await fetch(url + path, {
		redirect: 'manual',
		...rest,
		headers: { ...(as ? { cookie: as } : {}), origin: url, ...(headers as Record<string, string>) }
	});
	return {
		status: response.status,
		text: await response.text(),
		to: response.headers.get('location') ?? '',
		cookies: response.headers.getSetCookie()
	};
};
export const page = (path: string, as?: string, on?: number) =>
	ask(path, { headers: { accept: 'text/html' }, ...(as ? { as } : {}), ...(on === undefined ? {} : { on }) });
export const form = (path: string, fields: Record<string, string>, more: { as?: string; on?: number } = {}) =>
	ask(path, {
		method: 'POST',
		body: new URLSearchParams(fields),
		headers: { accept: 'application/json', 'x-sveltekit-action': 'true' },
		...more
	});
export const cookieOf = ({ cookies }: Answer) =>
	cookies.find((c) => c.startsWith('session='))!.split(';')[0]!;
/** The first keeper, Jo Maar, made by the code of the first start; what a browser of theirs sends. */
export async function signedInKeeper(): Promise<string> {
	const passphrase = 'seven wet gulls on a mast';
	const typed = { code: await makeCode('first'), name: 'Jo Maar', mark: 'jm', passphrase };
	return cookieOf(await form('/sign-in/first', typed));
}
/** Who did these last, as the people's page lists it. */
export const whoDid = async (...what: Deed[]): Promise<(string | undefined)[]> => {
	const deeds = await listDeeds(60);
	return what.map((w) => deeds.find((d) => d.what === w)?.who);
};
