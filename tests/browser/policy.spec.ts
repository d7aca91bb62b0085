import { expect, test } from '@playwright/test';

test('what is smuggled into a page does not run', async ({ page }) => {
	const broken: string[] = [];
	await page.exposeFunction('heldUp', (what: string) => broken.push(what));
	await page.addInitScript(() =>
		document.addEventListener('securitypolicyviolation', (e) =>
			(globalThis as unknown as { heldUp: (what: string) => void }).heldUp(
				`${location.pathname}: ${e.violatedDirective} ${e.blockedURI} ${e.sample}`
			)
		)
	);
	await page.goto('/');
	await page.evaluate(() => {
		const script = document.createElement('script');
		script.textContent = 'globalThis.smuggled = 1';
		const picture = document.createElement('img');
		picture.setAttribute('onerror', 'globalThis.smuggled = 2');
		picture.src = '/nowhere.png';
		document.body.append(script, picture);
	});
	await expect.poll(() => broken.filter((what) => what.includes('script-src')).length).toBe(2);
	expect(await page.evaluate(() => 'smuggled' in globalThis)).toBe(false);
});

test('every answer says how it may be used: page, script, picture, data, refusal and error', async ({
	request
}) => {
	const script = /_app\/immutable\/[^"']+\.js/.exec(await (await request.get('/')).text())![0];
	for (const path of [
		'/',
		`/${script}`,
		'/icon.svg',
		'/api/clocks',
		'/nowhere',
		'/api/calc/nothing',
		'/%c0',
		'/ledger/export.csv'
	]) {
		const headers = (await request.get(path)).headers();
		expect
			.soft(headers['content-security-policy'], path)
			.toMatch(/default-src 'self'.*frame-ancestors 'self'/);
		expect.soft(headers['x-content-type-options'], path).toBe('nosniff');
		expect.soft(headers['referrer-policy'], path).toBe('same-origin');
	}
	const policies = await Promise.all(
		[1, 2].map(async () => (await request.get('/')).headers()['content-security-policy']!)
	);
	// a number of its own for every answer
	expect(policies[0]).toMatch(/script-src 'self' 'nonce-/);
	expect(policies[0]).not.toBe(policies[1]);
	expect(policies[0]).not.toMatch(/script-src[^;]*unsafe/);
});
