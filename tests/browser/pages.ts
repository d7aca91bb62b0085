import type { Page } from '@playwright/test';

/** Every page that needs no record of its own. */
export const PAGES = [
	'/',
	'/quick',
	'/first',
	'/keys',
	'/masters',
	'/masters/new',
	'/masters/from-file',
	'/masters/from-pictures',
	'/moulds',
	'/moulds/new',
	'/moulds/choose',
	'/shelf',
	'/shelf/resins/new',
	'/shelf/rubbers/new',
	'/cure',
	'/mix',
	'/shelf/fillers/new',
	'/shelf/containers/new',
	'/shelf/colours/new',
	'/shelf/recipes/new',
	'/shelf/releases/new',
	'/shelf/thermoplastics/new',
	'/shelf/meets',
	'/shots',
	'/shots/new',
	'/orders',
	'/orders/new',
	'/orders/today',
	'/orders/board',
	'/orders/hours',
	'/pour',
	'/practice',
	'/practice/lesson',
	'/pots',
	'/pots/new',
	'/pots/load',
	'/moulds/wear',
	'/ledger',
	'/ledger/faults',
	'/ledger/yield',
	'/ledger/import',
	'/workshop',
	'/settings',
	'/settings/instruments'
];

/** Lists whose first entries of each kind are looked at, too. */
const LISTS: readonly [string, RegExp][] = [
	['/masters', /^\/masters\/[0-9a-f-]{36}$/],
	['/moulds', /^\/moulds\/[0-9a-f-]{36}$/],
	['/shelf', /^\/shelf\/[a-z]+\/[0-9a-f-]{36}$/],
	['/shots', /^\/shots\/[0-9a-f-]{36}$/],
	['/orders', /^\/orders\/[0-9a-f-]{36}$/],
	['/pots', /^\/pots\/[0-9a-f-]{36}$/],
	['/ledger', /^\/ledger\/[0-9a-f-]{36}$/]
];

/** All of them, and of every kind of record the pages of some that the demo has. */
export async function everyPage(page: Page, ofEach = 2): Promise<string[]> {
	const found = new Set(PAGES);
	for (const [list, entry] of LISTS) {
		await page.goto(list);
		const hrefs = await page
			.locator('main a')
			.evaluateAll((all) => all.map((a) => a.getAttribute('href') ?? ''));
		const kinds = new Map<string, number>();
		for (const href of new Set(hrefs.filter((h) => entry.test(h)))) {
			const kind = href.slice(0, href.lastIndexOf('/'));
			const count = kinds.get(kind) ?? 0;
			if (count < ofEach) found.add(href);
			kinds.set(kind, count + 1);
		}
	}
	return [...found];
}
