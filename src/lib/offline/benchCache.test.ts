import { describe, expect, it, vi } from 'vitest';
import {
	asset,
	awayPage,
	benchPage,
	isAsset,
	isBenchPage,
	keepOpen,
	PAGE_WAIT_MS,
	PAGES_KEPT,
	type BenchCache
} from './benchCache';

const HOST = 'http://bench.test';
const page = (path: string) => `${HOST}${path}`;

function memory(): BenchCache & { kept: Map<string, string> } {
	const kept = new Map<string, string>();
	return {
		kept,
		match: async (url) => (kept.has(url) ? new Response(kept.get(url)) : undefined),
		put: async (url, response) => void kept.set(url, await response.text()),
		keys: async () => [...kept.keys()],
		delete: async (url) => kept.delete(url)
	};
}
const says = (text: string, status = 200) => vi.fn(async (_url: string) => new Response(text, { status }));
const away = vi.fn(async (_url: string): Promise<Response> => {
	throw new TypeError('no network');
});
const textOf = async (answer: Promise<Response>) => (await answer).text();

describe('the bench without its server', () => {
	it('knows its pages and files, and nothing else', () => {
		for (const path of ['/pour/abc', '/moulds/abc/make']) expect(isBenchPage(path), path).toBe(true);
		for (const path of [
			'/',
			'/pour',
			'/moulds/abc',
			'/practice/lesson',
			'/api/pours/abc/events',
			'/pour/a/b'
		])
			expect(isBenchPage(path), path).toBe(false);
		expect(isAsset('/_app/immutable/entry/start.js')).toBe(true);
		expect(isAsset('/_app/version.json')).toBe(false);
	});

	it('a page is the server’s own while it answers, and the kept one while it does not', async () => {
		const cache = memory();
		const url = page('/pour/1');
		expect(await textOf(benchPage(url, cache, says('step one')))).toBe('step one');
		expect(await textOf(benchPage(url, cache, says('step two')))).toBe('step two');
		expect(await textOf(benchPage(url, cache, away))).toBe('step two');
	});

	it('a server without its database helps nobody: the kept page; a page that is gone is said to be gone', async () => {
		const cache = memory();
		const url = page('/pour/1');
		await benchPage(url, cache, says('step one'));
		expect(await textOf(benchPage(url, cache, says('no database', 500)))).toBe('step one');
		expect(await textOf(benchPage(url, cache, says('no such pour', 404)))).toBe('no such pour');
		// an error is never kept
		expect(cache.kept.get(url)).toBe('step one');
	});

	it('a server that hangs is taken for gone after a while, where there is a kept page; otherwise it is waited for', async () => {
		vi.useFakeTimers();
		const cache = memory();
		const url = page('/pour/1');
		await benchPage(url, cache, says('step one'));
		const hangs = () => new Promise<Response>(() => {});
		const answer = textOf(benchPage(url, cache, hangs));
		await vi.advanceTimersByTimeAsync(PAGE_WAIT_MS + 10);
		expect(await answer).toBe('step one');
		let settled = false;
		void benchPage(page('/pour/2'), cache, hangs).finally(() => (settled = true));
		await vi.advanceTimersByTimeAsync(60_000);
		expect(settled).toBe(false);
		expect(vi.getTimerCount()).toBe(0);
		vi.useRealTimers();
	});

	it('a disk that is full keeps nothing, and stops nothing', async () => {
		const full = { ...memory(), put: async () => Promise.reject(new Error('no room left')) };
		expect(await textOf(asset(page('/_app/immutable/a.js'), full, says('code')))).toBe('code');
		expect(await textOf(benchPage(page('/pour/1'), full, says('step one')))).toBe('step one');
		await keepOpen([page('/pour/1')], full, says('step one'));
	});

	it('a page that leads elsewhere is followed by the browser, and not kept', async () => {
		const cache = memory();
		const led = { ok: false, status: 0, type: 'opaqueredirect' } as Response;
		expect(await benchPage(page('/pour/1'), cache, async () => led)).toBe(led);
		expect(cache.kept.size).toBe(0);
	});

	it('what was never kept cannot be shown: the failure is passed on', async () => {
		await expect(benchPage(page('/pour/9'), memory(), away)).rejects.toThrow('no network');
		expect((await benchPage(page('/pour/9'), memory(), says('down', 503))).status).toBe(503);
	});

	it('files are asked for once; a failed one is not kept', async () => {
		const cache = memory();
		const url = page('/_app/immutable/a.js');
		const get = says('code');
		expect(await textOf(asset(url, cache, get))).toBe('code');
		expect(await textOf(asset(url, cache, get))).toBe('code');
		expect(get).toHaveBeenCalledTimes(1);
		const other = page('/_app/immutable/b.js');
		expect((await asset(other, cache, says('gone', 404))).status).toBe(404);
		expect(cache.kept.has(other)).toBe(false);
	});

	it('an open page is kept with its files; one that cannot be had does not stop the others', async () => {
		const cache = memory();
		const get = vi.fn(async (url: string) => {
			if (url.endsWith('b.js')) throw new TypeError('no network');
			return new Response(url);
		});
		const files = ['/_app/immutable/a.js', '/_app/immutable/b.js', '/_app/immutable/c.woff2'].map(page);
		await keepOpen([page('/pour/1'), ...files, page('/api/clocks'), page('/')], cache, get);
		expect([...cache.kept.keys()]).toEqual([page('/pour/1'), files[0], files[2]]);
	});

	it('only the last pages are kept, and their files stay', async () => {
		const cache = memory();
		await asset(page('/_app/immutable/a.js'), cache, says('code'));
		for (let i = 0; i < PAGES_KEPT + 5; i++) await benchPage(page(`/pour/${i}`), cache, says(`${i}`));
		// opened again, it is the newest
		await benchPage(page('/pour/5'), cache, says('again'));
		await benchPage(page('/pour/last'), cache, says('last'));
		const paths = [...cache.kept.keys()].map((url) => new URL(url).pathname);
		expect(paths.filter(isBenchPage)).toHaveLength(PAGES_KEPT);
		expect(paths).toContain('/pour/5');
		expect(paths).not.toContain('/pour/6');
		expect(paths).toContain('/_app/immutable/a.js');
	});

	it('any other page says what that means, and where work goes on; nothing of an address becomes markup', async () => {
		const cache = memory();
		expect(await textOf(awayPage(cache))).not.toContain('<li>');
		await benchPage(page('/pour/1'), cache, says('x'));
		await benchPage(page('/moulds/7/make'), cache, says('x'));
		cache.kept.set(page('/pour/%22%3Cscript%3E'), 'x');
		const answer = await awayPage(cache);
		expect(answer.status).toBe(503);
		const html = await answer.text();
		expect(html).toContain('href="/moulds/7/make"');
		expect(html).toContain('href="/pour/1"');
		expect(html).not.toContain('<script');
		expect(html).toMatch(/Nothing that was noted here is lost/);
	});
});
