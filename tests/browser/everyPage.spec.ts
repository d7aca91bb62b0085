import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { expect, test, type Page } from '@playwright/test';
import { everyPage } from './pages';

const axe = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');
interface Violation {
	id: string;
	nodes: { html: string }[];
}

/** Screens on which all of it has to be usable: bench, laptop with bars, tablet, telephone, 400 % and 200 % zoom. */
const SCREENS = [
	[1280, 800],
	[1366, 625],
	[820, 1180],
	[390, 844],
	[320, 640],
	[640, 400]
] as const;
const screenOf = (at: number) => {
	const [width, height] = SCREENS[at % SCREENS.length]!;
	return { width, height };
};
/** Widths at which fields are looked at. */
const FIELD_WIDTHS: readonly number[] = [1280, 820, 390];
/** The pages are gone through in parts, so that no check lasts for minutes. */
const PARTS = 4;

/** How far the page goes over the side of the window, px. */
const over = (page: Page) => page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);

/** Fields of one line that show a number. What is wider than its field is not seen whole, and what is left of it misleads. */
const fieldsOf = (page: Page) =>
	page.evaluate(() =>
		[...document.querySelectorAll('input')]
			.filter((i) => !['hidden', 'radio', 'checkbox', 'file', 'range', 'date'].includes(i.type))
			.filter((i) => i.offsetParent !== null && /\d/.test(i.value || i.placeholder))
			.map((i) => ({
				shows: `${i.name || i.id}: ${i.value || i.placeholder}`,
				by: i.scrollWidth - i.clientWidth
			}))
	);

/** What breaks the rules of accessibility, WCAG 2.2 AA. */
async function violations(page: Page): Promise<string[]> {
	const found = await page.evaluate(async () => {
		const { run } = (
			window as unknown as { axe: { run: (o: object) => Promise<{ violations: Violation[] }> } }
		).axe;
		return (await run({ runOnly: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'] })).violations;
	});
	return found.map((v) => `${v.id}: ${v.nodes[0]!.html}`);
}

for (let part = 1; part <= PARTS; part++)
	test(`every page, ${part} of ${PARTS}: no error, nothing held up, read by all, no wider than its window, no value cut`, async ({
		page
	}) => {
		const paths = (await everyPage(page)).filter((_, i) => i % PARTS === part - 1);
		expect(paths.length).toBeGreaterThan(10);
		const wrong: string[] = [];
		page.on('pageerror', (error) => wrong.push(`${page.url()} ${error.message}`));
		page.on('console', (said) => said.type() === 'error' && wrong.push(`${page.url()} ${said.text()}`));
		await page.exposeFunction('heldUp', (what: string) => wrong.push(what));
		await page.addInitScript(() =>
			document.addEventListener('securitypolicyviolation', (e) =>
				(globalThis as unknown as { heldUp: (what: string) => void }).heldUp(
					`${location.pathname}: ${e.violatedDirective} ${e.blockedURI} ${e.sample}`
				)
			)
		);
		let seen = 0;
		for (const [at, path] of paths.entries()) {
			await page.emulateMedia({ colorScheme: 'light' });
			await page.setViewportSize(screenOf(at));
			await page.goto(path);
			// as it comes from the server, asleep
			if ((await over(page)) > 0)
				wrong.push(`${screenOf(at).width} px, ${path}, asleep: it scrolls sideways`);
			await page.locator('fieldset.waking:enabled').waitFor({ state: 'attached' });
			await page.setViewportSize(screenOf(0));
			await page.evaluate(axe);
			for (const colorScheme of ['light', 'dark'] as const) {
				await page.emulateMedia({ colorScheme });
				await expect(page.locator(`html${colorScheme === 'dark' ? '.dark' : ':not(.dark)'}`)).toBeAttached();
				wrong.push(...(await violations(page)).map((v) => `${path} in ${colorScheme}: ${v}`));
			}
			await page.evaluate(() => document.querySelectorAll('details').forEach((d) => (d.open = true)));
			for (const { width, height } of SCREENS.map((_, i) => screenOf(i))) {
				await page.setViewportSize({ width, height });
				if ((await over(page)) > 0) wrong.push(`${width} px, ${path}: it scrolls sideways`);
				if (!FIELD_WIDTHS.includes(width)) continue;
				const fields = await fieldsOf(page);
				seen += fields.length;
				wrong.push(...fields.filter((f) => f.by > 0).map((f) => `${width} px, ${path} cuts ${f.shows}`));
			}
		}
		expect(wrong).toEqual([]);
		expect(seen).toBeGreaterThan(60);
	});
