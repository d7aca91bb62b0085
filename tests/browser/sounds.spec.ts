import { expect, test, type Page } from '@playwright/test';
import { heading, press } from './bench';

/** Counts tones instead of playing them; silent until the page was touched, as browsers have it. */
async function counting(page: Page): Promise<void> {
	await page.addInitScript(() => {
		const counted = window as unknown as { tones: number };
		counted.tones = 0;
		let touched = false;
		for (const e of ['pointerdown', 'keydown'])
			window.addEventListener(e, () => (touched = true), { capture: true });
		const level = { setValueAtTime() {}, exponentialRampToValueAtTime() {} };
		class Silent {
			currentTime = 0;
			destination = {};
			get state() {
				return touched ? 'running' : 'suspended';
			}
			resume() {
				return touched ? Promise.resolve() : new Promise<void>(() => {});
			}
			createOscillator() {
				return { frequency: {}, connect: (to: unknown) => to, start: () => counted.tones++, stop() {} };
			}
			createGain() {
				return { gain: level, connect: (to: unknown) => to };
			}
		}
		Object.assign(window, { AudioContext: Silent });
	});
}
const tones = (page: Page) => page.evaluate(() => (window as unknown as { tones: number }).tones);

test('the end of the hold sounds on whatever page, at each device, once; blocked sound says so', async ({
	page,
	context,
	request,
	baseURL
}) => {
	test.setTimeout(240_000);
	await counting(page);
	await page.goto('/shots/new');
	await page.getByLabel('Piece').selectOption({ label: 'Rope fender' });
	await page.getByLabel('Resin', { exact: true }).first().selectOption({ label: 'Fender flexible' });
	await page.getByText('Cure it in the pressure pot').click();
	await expect(page.getByRole('figure')).toHaveAttribute('aria-label', /seconds of slack/);
	await page.getByRole('button', { name: 'Keep this shot' }).click();
	await page.getByRole('button', { name: 'Pour this cup' }).click();
	await expect(heading(page)).toHaveText('Look the mould over');
	await press(page, /Clean and whole/);
	const url = `${baseURL}/api/pours/${page.url().split('/').pop()}/events`;
	const post = async (events: object[]) =>
		expect((await request.post(url, { data: { events } })).status()).toBe(200);
	const done = (stepId: string, atMs: number) => ({
		id: crypto.randomUUID(),
		atMs,
		kind: 'step-done',
		stepId
	});
	const story = (atMs: number) =>
		['combine', 'timed-0', 'timed-1', 'timed-2', 'timed-3'].map((id, i) => done(id, atMs - 40 + i * 10));
	const hold = async () => {
		const { clocks } = (await (await request.get(`${baseURL}/api/clocks`)).json()) as {
			clocks: { kind: string; href: string; startedAtMs: number; endsAtMs: number }[];
		};
		return clocks.find((c) => c.kind === 'hold' && url.includes(c.href.split('/').pop()!));
	};
	try {
		// how long it is held, and then the same pour so long ago that it ends in some seconds
		const first = story(Date.now());
		await post(first);
		const { startedAtMs, endsAtMs } = (await hold())!;
		await post(
			first.map((e) => ({ id: crypto.randomUUID(), atMs: Date.now(), kind: 'undone', eventId: e.id }))
		);
		const ends = Date.now() + 9000;
		const [other, third] = [await context.newPage(), await context.newPage()];
		for (const p of [other, third]) await counting(p);
		await post(story(Math.round(ends - (endsAtMs - startedAtMs))));
		await page.goto('/shelf');
		await page.getByRole('heading', { level: 1 }).click();
		await other.goto('/ledger');
		await expect(other.getByRole('button', { name: 'Sound is blocked here: press once' })).toBeVisible();
		await other.getByRole('button', { name: 'Sound is blocked here: press once' }).click();
		await expect(other.getByRole('button', { name: 'Sound is blocked here: press once' })).toBeHidden();
		// and the bench itself, at a third device
		await third.goto(url.replace('/api/pours', '/pour').replace('/events', ''));
		await heading(third).click();
		const before = [await tones(page), await tones(other), await tones(third)];
		await expect.poll(() => Date.now() > ends + 2500, { timeout: 20_000 }).toBe(true);
		const after = [await tones(page), await tones(other), await tones(third)];
		// three short tones, no more, however many look at the clock
		expect(after.map((n, i) => n - before[i]!)).toEqual([3, 3, 3]);
	} finally {
		await post([{ id: crypto.randomUUID(), atMs: Date.now(), kind: 'abandoned', reason: 'end of the test' }]);
	}
});
