/** The pages at which work goes on without the server: a pour, and the making of a mould. */
const BENCH_PAGE = /^\/(pour\/[^/]+|moulds\/[^/]+\/make)$/;
/** Files of the built application, whose names change with their content. */
const ASSET = /^\/_app\/immutable\//;
/** A server that has not answered a page by then is taken for gone, ms. */
export const PAGE_WAIT_MS = 6000;
/** Bench pages that are kept; the oldest goes first. */
export const PAGES_KEPT = 12;

export const isBenchPage = (path: string) => BENCH_PAGE.test(path);
export const isAsset = (path: string) => ASSET.test(path);

/** What a cache of this browser does for us; the browser's own, or a test's. */
export interface BenchCache {
	match(url: string): Promise<Response | undefined>;
	put(url: string, response: Response): Promise<void>;
	/** Addresses that are kept, oldest first. */
	keys(): Promise<string[]>;
	delete(url: string): Promise<unknown>;
}
type Fetch = (url: string) => Promise<Response>;

/** The answer if it comes in time. */
function within(ms: number, answer: Promise<Response>): Promise<Response> {
	return new Promise((take, fail) => {
		const timer = setTimeout(() => fail(new Error('no answer in time')), ms);
		answer.then(take, fail).finally(() => clearTimeout(timer));
	});
}

/** A full disk keeps nothing, and stops nothing. */
const kindly = (keeping: Promise<unknown>) => keeping.catch(() => undefined);

/** A file of the application: the kept one, since its name says its content; otherwise fetched and kept. */
export async function asset(url: string, cache: BenchCache, get: Fetch): Promise<Response> {
	const kept = await cache.match(url);
	if (kept) return kept;
	const fresh = await get(url);
	if (fresh.ok) await kindly(cache.put(url, fresh.clone()));
	return fresh;
}

/**
 * A bench page: the server's own while it answers, the kept one while it does not. What was noted since the page
 * was kept is in the device's own database, and the page takes it up from there.
 */
export async function benchPage(url: string, cache: BenchCache, get: Fetch): Promise<Response> {
	const kept = await cache.match(url);
	try {
		const fresh = await (kept ? within(PAGE_WAIT_MS, get(url)) : get(url));
		if (fresh.ok && !fresh.redirected) await kindly(keepPage(url, fresh.clone(), cache));
		// a server without its database says so, which helps nobody beside a cup
		return fresh.status >= 500 && kept ? kept : fresh;
	} catch (error) {
		if (kept) return kept;
		throw error;
	}
}

async function keepPage(url: string, page: Response, cache: BenchCache): Promise<void> {
	await cache.delete(url);
	await cache.put(url, page);
	const pages = (await cache.keys()).filter((key) => isBenchPage(new URL(key).pathname));
	for (const old of pages.slice(0, Math.max(0, pages.length - PAGES_KEPT))) await cache.delete(old);
}

/** Keeps a page that is open already, and the files that it has loaded; what cannot be had now is left out. */
export async function keepOpen(urls: readonly string[], cache: BenchCache, get: Fetch): Promise<void> {
	for (const url of urls) {
		const { pathname } = new URL(url);
		try {
			if (isAsset(pathname)) await asset(url, cache, get);
			else if (isBenchPage(pathname)) await benchPage(url, cache, get);
		} catch {
			// the next page that is opened keeps it
		}
	}
}

const plain = (text: string) => text.replace(/[&<>"]/g, (c) => `&#${c.charCodeAt(0)};`);

/** Any other page while the server is away: what it means, and the work that can go on. */
export async function awayPage(cache: BenchCache): Promise<Response> {
	const pages = (await cache.keys()).map((key) => new URL(key).pathname).filter(isBenchPage);
	const links = pages
		.reverse()
		.map(
			(path, i) =>
				`<li><a href="${plain(path)}">${path.startsWith('/pour/') ? 'Pour' : 'Mould being made'}${i === 0 ? ', the last one opened here' : ''}</a></li>`
		)
		.join('');
	const html = `<!doctype html><html lang="en"><meta charset="utf-8"><meta name="viewport" content="width=device-width">
<title>The server does not answer · Anthypos</title>
<style>:root{color-scheme:light dark}body{font:1.25rem/1.5 system-ui,sans-serif;max-width:40rem;margin:12vh auto;padding:0 1.5rem}a{display:inline-block;padding:.5rem 0}</style>
<h1>The server does not answer</h1><p>Nothing that was noted here is lost: it is kept in this browser and sent as soon as the server is back.</p>
${links ? `<p>Work at the bench goes on without it:</p><ul>${links}</ul>` : ''}<p><a href="">Try again</a></p></html>`;
	return new Response(html, { status: 503, headers: { 'content-type': 'text/html; charset=utf-8' } });
}
