// Refreshes docs/screenshots from a running demo: node scripts/pictures.mjs [http://127.0.0.1:4610]
import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './lib/paths.mjs';
import { main, say } from './lib/say.mjs';

const CHROMIUM_FLAGS =
	'--no-sandbox --use-angle=swiftshader --enable-unsafe-swiftshader --disable-quic --no-first-run --disable-background-networking --disable-component-update --disable-sync';

const choose = async (page, name, label) => page.locator(`select[name=${name}]`).selectOption({ label });

/** Each main view and how to bring it into the state that shows what it is for. */
const VIEWS = [
	{ name: 'bench', path: '/' },
	{
		name: 'what-to-mix',
		path: '/quick',
		async prepare(page) {
			await page.getByText('Water it spilled').click();
			await page.getByRole('textbox', { name: 'Water that it spilled' }).fill('85 g');
			await page.locator('aside .answer').first().waitFor();
			await page.waitForTimeout(400);
		}
	},
	{
		name: 'master',
		path: '/masters',
		async prepare(page) {
			await page.getByRole('link', { name: 'Ammonite paperweight', exact: true }).click();
		}
	},
	{
		name: 'mould',
		scrolled: true,
		path: '/moulds/new',
		async prepare(page) {
			await choose(page, 'masterId', 'Lamplighter figure');
			await choose(page, 'rubberId', 'Slipway red');
			await page
				.locator('form svg[role=img]')
				.first()
				.evaluate((element) => element.scrollIntoView({ block: 'center' }));
			await page.waitForTimeout(400);
		}
	},
	{
		name: 'mould-making',
		path: '/moulds',
		async prepare(page) {
			await page.getByRole('row').filter({ hasText: 'two halves' }).getByRole('link').first().click();
			await page.getByRole('link', { name: 'Go on making it' }).click();
			await page.getByRole('timer').waitFor();
		}
	},
	{
		name: 'shape',
		path: '/masters',
		async prepare(page) {
			await page.getByRole('link', { name: 'Lamplighter figure', exact: true }).click();
			await page.getByRole('link', { name: 'Its 3D file' }).click();
			await page.getByRole('button', { name: 'As drawn' }).click();
			await page.getByText('Air stays in').waitFor();
			await page.waitForTimeout(1500);
		}
	},
	{ name: 'shelf', path: '/shelf' },
	{ name: 'orders', path: '/orders' },
	{
		name: 'board',
		path: '/orders/board',
		async prepare(page) {
			const board = page.getByRole('region', { name: 'Board by hour' });
			await board.evaluate((element) => {
				const bar = element.querySelector('.cast');
				element.scrollLeft = Math.max(0, bar.offsetLeft - 40);
			});
			await page.waitForTimeout(300);
		}
	},
	{
		name: 'cure',
		path: '/cure',
		async prepare(page) {
			await choose(page, 'resin', 'Lantern white');
			await choose(page, 'other', 'Bellows gradual');
			await page.getByLabel('After combining').fill('0:50');
			await page.getByLabel('It shows').fill('27 C');
			await page.getByRole('button', { name: 'Add it' }).click();
			await page.waitForTimeout(800);
			await page.locator('main').evaluate((element) => element.scrollTo(0, 0));
		}
	},
	{
		name: 'shot',
		path: '/shots/new',
		async prepare(page) {
			await choose(page, 'masterId', 'Ice shard');
			await choose(page, 'resinId', 'Glasswater clear');
			await page.getByLabel('Copies').fill('4');
			await page.getByText('Cure it in the pressure pot').click();
			await page.locator('aside .answer').first().waitFor();
			await page.waitForTimeout(400);
		}
	},
	{
		name: 'shot-hollow',
		scrolled: true,
		path: '/shots/new',
		async prepare(page) {
			await choose(page, 'masterId', 'Lamplighter figure');
			await choose(page, 'resinId', 'Bellows gradual');
			await page.getByText('Hollow, in rolled layers', { exact: true }).click();
			const stack = page.getByRole('img', { name: /layers in time/ });
			await stack.waitFor();
			await page.waitForTimeout(600);
			await stack.evaluate((element) => element.scrollIntoView({ block: 'center' }));
		}
	},
	{
		name: 'pour',
		path: '/pour',
		async prepare(page) {
			await page.getByRole('link', { name: 'Go to it' }).first().click();
		}
	},
	{
		name: 'from-pictures',
		path: '/masters',
		async prepare(page) {
			await page.getByRole('link', { name: 'Stair knob', exact: true }).click();
			await page.getByRole('link', { name: 'Look at their outlines, or measure it again' }).click();
			await page.getByRole('button', { name: 'Take up its 16 kept pictures' }).click();
			await page.getByRole('heading', { name: '16 pictures' }).waitFor({ timeout: 60_000 });
			await page.locator('button:enabled', { hasText: 'Work out the body' }).click({ timeout: 60_000 });
			await page.getByRole('button', { name: 'Go on with this body' }).waitFor({ timeout: 120_000 });
			await page.waitForTimeout(1500);
		}
	},
	{
		name: 'load',
		path: '/pots/load',
		async prepare(page) {
			for (const name of [
				'M12 Ice shard',
				'M11 Ice shard',
				'M6 Lamplighter figure',
				'M3 Ammonite paperweight'
			])
				await page.getByText(name, { exact: true }).first().click();
		}
	},
	{
		name: 'wear',
		path: '/moulds/wear',
		async prepare(page) {
			await page.getByRole('row').filter({ hasText: 'M2 Ammonite' }).getByRole('link').first().click();
			await page.getByLabel('Pulls still wanted').waitFor();
			await page.waitForTimeout(800);
		}
	},
	{ name: 'ledger', path: '/ledger' },
	{
		name: 'pull',
		path: '/ledger?fault=foam',
		async prepare(page) {
			await page.locator('tbody tr a').first().click();
			await page.getByText('Why foam').waitFor();
		}
	},
	{
		name: 'mould-dark-820',
		path: '/moulds',
		dark: true,
		width: 820,
		height: 1100,
		async prepare(page) {
			// the strip of clocks has such a link too
			await page
				.locator('main')
				.getByRole('link', { name: /Ammonite paperweight, fourth/ })
				.click();
			await page.getByText('It cures until').waitFor();
		}
	}
];

main(async () => {
	const { chromium } = await import('@playwright/test');
	const base = process.argv[2] ?? 'http://127.0.0.1:4610';
	const folder = join(root, 'docs', 'screenshots');
	mkdirSync(folder, { recursive: true });
	const browser = await chromium.launch({
		executablePath: '/usr/bin/chromium',
		args: CHROMIUM_FLAGS.split(' ')
	});
	for (const view of VIEWS) {
		const context = await browser.newContext({
			viewport: { width: view.width ?? 1280, height: view.height ?? 800 },
			colorScheme: view.dark ? 'dark' : 'light'
		});
		const page = await context.newPage();
		await page.goto(base + view.path);
		await page.waitForTimeout(700);
		await view.prepare?.(page);
		await page.waitForTimeout(900);
		if (!view.scrolled) await page.locator('main').evaluate((element) => element.scrollTo(0, 0));
		await page.screenshot({ path: join(folder, `${view.name}.png`) });
		say(view.name);
		await context.close();
	}
	await browser.close();
});
