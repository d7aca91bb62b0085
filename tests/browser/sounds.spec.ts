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
		// what drives the browser counts as a touch for it: here only a real one does
		Object.defineProperty(navigator, 'userActivation', {
			value: {
				get hasBeenActive() {
					return touched;
				}
			}
		});
	});
}
const tones = (page: Page) => page.evaluate(() => (window as unknown as { tones: number }).tones);

test('the end of the hold sounds on whatever page, at each device, once; blocked sound says so', async ({
	page,
	context,
	request,
	baseURL
}) => {
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
		// every device is open and may sound before the end is near: opening one takes as long as it takes
		const first = story(Date.now());
		await post(first);
		const { startedAtMs, endsAtMs } = (await hold())!;
		const [other, third] = [await context.newPage(), await context.newPage()];
		for (const p of [other, third]) await counting(p);
		await page.goto('/shelf');
		await page.getByRole('heading', { level: 1 }).click();
		await other.goto('/ledger');
		await expect(other.getByRole('button', { name: 'Sound is blocked here: press once' })).toBeVisible();
		await other.getByRole('button', { name: 'Sound is blocked here: press once' }).click();
		await expect(other.getByRole('button', { name: 'Sound is blocked here: press once' })).toBeHidden();
		// and the bench itself, at a third device
		await third.goto(url.replace('/api/pours', '/pour').replace('/events', ''));
		await expect(third.getByRole('button', { name: 'Closed and level' })).toBeEnabled();
		await heading(third).click();
		// the same pour so long ago that its hold ends in some seconds: all of them learn it from the server
		await post(
			first.map((e) => ({ id: crypto.randomUUID(), atMs: Date.now(), kind: 'undone', eventId: e.id }))
		);
		const before = [await tones(page), await tones(other), await tones(third)];
		const ends = Date.now() + 20_000;
		await post(story(Math.round(ends - (endsAtMs - startedAtMs))));
		const heard = async () => {
			const after = [await tones(page), await tones(other), await tones(third)];
			return after.map((n, i) => n - before[i]!);
		};
		await expect.poll(heard, { timeout: 60_000 }).toEqual([3, 3, 3]);
		await expect.poll(() => Date.now() > ends + 2500, { timeout: 20_000 }).toBe(true);
		// three short tones, no more, however many look at the clock
		expect(await heard()).toEqual([3, 3, 3]);
	} finally {
		await post([{ id: crypto.randomUUID(), atMs: Date.now(), kind: 'abandoned', reason: 'end of the test' }]);
	}
});
