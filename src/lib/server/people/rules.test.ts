import { describe, expect, it } from 'vitest';
import { mayOf, RULES, ruleOf } from './rules';

/** Every route of the application, as the build has it. */
const files = Object.keys(import.meta.glob('/src/routes/**/+{page,server,page.server}.{ts,svelte}'));
const routes = [...new Set(files.map((f) => f.replace('/src/routes', '').replace(/\/\+[^/]+$/, '') || '/'))];

describe('the table of who may', () => {
	it('knows every route of the application', () => {
		expect(routes.length).toBeGreaterThan(60);
		expect(routes.filter((r) => !ruleOf(r))).toEqual([]);
	});
	it('has no rule for what is not there any more', () => {
		expect(
			RULES.filter(({ path }) => !routes.some((r) => r === path || r.startsWith(`${path}/`))).map(
				(r) => r.path
			)
		).toEqual([]);
	});
	it('lets nobody to a route that stands in no rule', () => {
		expect(mayOf('/secret', 'GET')).toBeUndefined();
		expect(mayOf('/settingsx', 'GET')).toBeUndefined();
	});
	it('leaves nothing open but the pages that ask who one is', () => {
		const open = routes.filter((r) => mayOf(r, 'GET') === 'public' || mayOf(r, 'POST') === 'public');
		expect(open).toEqual(['/sign-in', '/sign-in/code', '/sign-in/first', '/sign-in/pair']);
	});
	it('keeps settings, people and books for keepers; the look of one’s own screen is one’s own', () => {
		expect(mayOf('/settings', 'POST', 'save')).toBe('keeper');
		expect(mayOf('/settings', 'POST', 'theme')).toBe('signed in');
		expect(mayOf('/settings', 'GET')).toBe('signed in');
		for (const route of [
			'/people',
			'/workshop',
			'/workshop/book.zip',
			'/api/workshop',
			'/settings/instruments'
		])
			for (const method of ['GET', 'POST']) expect(mayOf(route, method), `${method} ${route}`).toBe('keeper');
		expect(mayOf('/api/instruments/reading', 'POST')).toBe('instrument');
	});
});
