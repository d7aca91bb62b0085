import { expect, test, type Page } from '@playwright/test';
import { freePort } from '../../scripts/lib/ports.mjs';
import { alive, until } from '../../scripts/lib/run.mjs';
import { startWeb } from '../../scripts/lib/web.mjs';
import { heading, press } from './bench';
import { Instruments } from './instruments';

type Web = Awaited<ReturnType<typeof startWeb>>;
const databaseUrl = process.env['DATABASE_URL'] ?? '';
let web: Web;
let port = 0;

test.skip(!databaseUrl, 'needs the database that npm test starts');

const serve = async () => {
	if (web && alive(web.pid)) return;
	port ||= await freePort();
	web = await startWeb({ databaseUrl, port, quiet: true });
};
test.afterAll(async () => web?.stop());

/** What plays the instruments of a test, ended with it. */
let instruments: Instruments | undefined;

/** Pours begun here. What a failed test leaves running would hold its mould, and fail its neighbour too. */
const begun: string[] = [];
test.afterEach(async ({ request, baseURL }) => {
	await instruments?.end();
	instruments = undefined;
	for (const id of begun.splice(0)) {
		const event = { id: crypto.randomUUID(), atMs: Date.now(), kind: 'abandoned', reason: 'end of the test' };
		await request.post(`${baseURL}/api/pours/${id}/events`, { data: { events: [event] } });
	}
});

interface Kept {
	id: string;
	kind: string;
	stepId?: string;
	by?: string;
	source?: string;
	instrument?: string;
	device?: string;
	atMs: number;
}

async function begin(page: Page): Promise<string> {
	await page.goto(`${web.url}/shots/new`);
	await page.getByLabel('Piece').selectOption({ label: 'Rope fender' });
	await page.getByLabel('Resin', { exact: true }).first().selectOption({ label: 'Fender flexible' });
	await page.getByText('Cure it in the pressure pot').click();
	await expect(page.getByRole('figure')).toHaveAttribute('aria-label', /seconds of slack/);
	await page.getByRole('button', { name: 'Keep this shot' }).click();
	await page.getByRole('button', { name: 'Pour this cup' }).click();
	await expect(heading(page)).toHaveText('Look the mould over');
	const id = page.url().split('/').pop()!;
	begun.push(id);
	return id;
}

test('a whole pour with instruments over HTTP: the network is cut, the server is killed, and every event is there once', async ({
	page,
	context
}) => {
	await serve();
	const id = await begin(page);
	const released = `Mara ${Date.now() % 100_000}`;
	const played = await Instruments.setUp(page, web.url);
	instruments = played;
	await page.reload();
	await page.getByRole('button', { name: 'Instruments: off' }).click();
	await expect(page.getByText(/Thermo-hygrometer \d/)).toBeVisible();
	await press(page, /Clean and whole/);
	await press(page, /Closed and level/);
	await press(page, /All within reach/);
	await press(page, /Keep these readings/);
	await press(page, /Both are stirred/);

	// nothing on the scale: the step does not end
	await page.waitForTimeout(400);
	await page.keyboard.press('Space');
	await expect(page.getByText(/The scale shows .* pour on/)).toBeVisible();
	await played.weigh(page);
	await press(page, /B is measured/);
	await played.weigh(page);
	await press(page, /A is measured/);
	await press(page, /start the clock/);
	await expect(page.getByRole('timer')).toBeVisible();

	// the network is gone: the devices are missed, the pour goes on
	await context.setOffline(true);
	await press(page, /It is mixed/);
	await expect(page.getByText('not yet on the server')).toBeVisible();
	// and now the server dies as well
	const { pid } = web;
	process.kill(pid, 'SIGKILL');
	await until(() => !alive(pid), { withinMs: 10_000 });
	await context.setOffline(false);
	await press(page, /It is poured/);
	await expect(page.getByText(/Nothing heard for/).first()).toBeVisible();
	await serve();
	await expect(page.getByText('not yet on the server')).toBeHidden({ timeout: 30_000 });
	await expect(page.getByText(/Thermo-hygrometer \d/)).toBeVisible({ timeout: 20_000 });

	await press(page, /Lid is clamped/);
	// only a simulated pot is worked from the screen
	await expect(page.getByRole('button', { name: 'Open the air' })).toHaveCount(0);
	await expect(page.getByText(/to go$/)).toBeVisible();
	played.says.gauge = { value: 272 };
	await expect(page.getByText(/Pot gauge 2[67]\d/)).toBeVisible({ timeout: 60_000 });
	await press(page, /At pressure/);
	// another device takes the pour over, with the same devices
	const second = await context.newPage();
	await second.goto(page.url());
	await expect(second.getByText(/Pot gauge 2[67]\d/)).toBeVisible();
	await second.getByLabel('Released by').fill(released);
	await second.getByLabel('Released by').blur();
	await press(second, /Pressure released/);
	await expect(heading(page)).toHaveText(/Let it cure/);
	await press(page, /out of the mould/);
	await page.getByText('good', { exact: true }).first().click();
	await page.getByRole('button', { name: /Write it into the ledger/ }).click();
	await expect(heading(page)).toHaveText('It is in the ledger');

	// something forgotten is written down afterwards, and says so
	await page.getByRole('button', { name: 'Add what was not noted' }).click();
	await page.getByLabel('How long after combining').fill('9999 min');
	await page.getByLabel('What you saw').fill('a wisp of steam');
	await page.getByRole('button', { name: 'Add it' }).click();
	await expect(page.getByText('That is still to come.')).toBeVisible();
	await page.getByLabel('How long after combining').fill('0:03');
	await page.getByRole('button', { name: 'Add it' }).click();
	await expect(page.getByText('marked as written down afterwards')).toBeVisible();
	await expect(page.getByText('not yet on the server')).toBeHidden();

	// the vessel's log has the cycle with who let it out
	await second.goto(`${web.url}/pots`);
	await second.getByRole('link', { name: 'Pot 1', exact: true }).click();
	await expect(second.getByRole('row').filter({ hasText: released })).toHaveCount(1);

	const answer = await page.request.get(`${web.url}/api/pours/${id}/events`);
	const { events } = (await answer.json()) as { events: Kept[] };
	expect(new Set(events.map((e) => e.id)).size).toBe(events.length);
	const done = events.filter((e) => e.kind === 'step-done').map((e) => e.stepId);
	expect(new Set(done).size).toBe(done.length);
	for (const step of ['look', 'seat', 'measure-a', 'measure-b', 'combine', 'release', 'demould', 'inspect'])
		expect(done).toContain(step);
	const byDevice = (kind: string) => events.filter((e) => e.kind === kind && e.source === 'device');
	expect(byDevice('weighed').length).toBeGreaterThanOrEqual(2);
	expect(byDevice('air-read')).toHaveLength(1);
	expect(byDevice('temp-read').length).toBeGreaterThan(0);
	expect(byDevice('pressure-read').length).toBeGreaterThanOrEqual(2);
	// each says which one it was
	for (const e of events.filter((x) => x.source === 'device')) expect(e.instrument).toMatch(/^Played /);
	expect(events.filter((e) => e.source === 'simulated' || e.by)).toEqual([]);
	expect(events.some((e) => e.kind === 'device-lost')).toBe(true);
	expect(events.filter((e) => e.kind === 'finished')).toHaveLength(1);
	const remark = events.find((e) => e.kind === 'remark') as Kept & { enteredAtMs: number };
	expect(remark.enteredAtMs).toBeGreaterThan(remark.atMs);
	// the ledger shows the pull, once
	await page.goto(`${web.url}/ledger`);
	await expect(page.getByRole('row').nth(1)).toContainText('Rope fender');
});

test('the server is dead and the browser was closed: the bench opens again where it stood, and goes on', async ({
	page,
	context
}) => {
	await serve();
	const id = await begin(page);
	await press(page, /Clean and whole/);
	await expect(page.getByText('not yet on the server')).toBeHidden();
	const kept = () =>
		page.evaluate(async () => {
			const ready = await navigator.serviceWorker.getRegistration();
			const files = await Promise.all(
				performance
					.getEntriesByType('resource')
					.filter((e) => e.name.includes('/_app/immutable/'))
					.map((e) => caches.match(e.name))
			);
			return !!ready?.active && !!(await caches.match(location.href)) && files.every(Boolean);
		});
	await expect.poll(kept, { timeout: 40_000 }).toBe(true);
	await press(page, /Closed and level/);
	await expect(page.getByText('not yet on the server')).toBeHidden();
	const { pid } = web;
	process.kill(pid, 'SIGKILL');
	await until(() => !alive(pid), { withinMs: 10_000 });
	await press(page, /All within reach/);
	const stood = (await heading(page).textContent())!;
	await page.close();

	const again = await context.newPage();
	// any other page says what is the matter, and where work goes on
	await again.goto(`${web.url}/ledger`);
	await expect(heading(again)).toHaveText('The server does not answer');
	await again.getByRole('link', { name: /the last one opened here/ }).click();
	await expect(heading(again)).toHaveText(stood);
	await expect(again.getByText('not yet on the server')).toBeVisible();
	await press(again, /Not read: go on/);
	await expect(heading(again)).toHaveText(/Stir or shake/);
	await again.close();

	// the server is back: from whatever page is opened, what was noted reaches it, each once
	await serve();
	const front = await context.newPage();
	await front.goto(web.url);
	const events = async () => {
		const answer = await front.request.get(`${web.url}/api/pours/${id}/events`);
		return ((await answer.json()) as { events: Kept[] }).events;
	};
	await expect.poll(async () => (await events()).length).toBe(4);
	expect((await events()).map((e) => e.stepId ?? e.kind)).toEqual(['look', 'seat', 'spares', 'air']);
	await expect(front.getByText('not yet on the server')).toBeHidden();
});

test('a device that says nonsense is noticed, and can be typed instead', async ({ page }) => {
	await serve();
	const id = await begin(page);
	// without an instrument none is offered, and nothing is simulated
	await expect(page.getByRole('button', { name: /Instruments/ })).toHaveCount(0);
	instruments = await Instruments.setUp(page, web.url);
	await page.reload();
	await page.getByRole('button', { name: 'Instruments: off' }).click();
	await expect(page.getByText(/Scale \d/)).toBeVisible();
	instruments.says.scale = { value: 150_000 };
	await expect(page.getByText(/which cannot be/)).toBeVisible();
	for (const action of [/Clean/, /Closed/, /All within/, /Keep these/, /Both are/]) await press(page, action);
	// its words are not believed: the amount is typed
	await page.getByLabel(/What is in the cup/).fill('-3 g');
	await page.getByLabel(/What is in the cup/).blur();
	await expect(page.getByText('A cup cannot hold less than nothing.').first()).toBeVisible();
	await page.getByLabel(/What is in the cup/).fill('80 g');
	await page.waitForTimeout(400);
	await page.getByRole('button', { name: /B is measured/ }).click();
	await expect(page.getByText(/Corrected × /)).toBeVisible();
	instruments.says.scale = { value: 80, settled: true };
	await expect(page.getByText(/which cannot be/)).toBeHidden();
	const bad = await page.request.post(`${web.url}/api/pours/${id}/devices`, {
		data: { commands: [{ kind: 'stream' }] }
	});
	expect(bad.status()).toBe(422);
	await page.getByRole('button', { name: 'Give up' }).click();
	await page.getByRole('button', { name: 'Give this pour up' }).click();
	await expect(page.getByText('Nothing was combined, so no pull is counted.')).toBeVisible();
});
