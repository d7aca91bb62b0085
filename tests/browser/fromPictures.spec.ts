import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, test } from '@playwright/test';
import { PNG } from 'pngjs';

// pictures that were drawn by code of their own (scripts/demoPictures.ts), of a knob whose volume is known by formula:
// foot 15.64, neck 4.88, ball 28.73, less the 0.47 ml that neck and ball share: 48.8 ml
const FOLDER = join(import.meta.dirname, '../../src/lib/server/seed/knob');
const KNOB_ML = { low: 48.3, high: 54 };
const knob = () =>
	readdirSync(FOLDER)
		.filter((f) => f.endsWith('.jpg'))
		.sort()
		.map((f) => join(FOLDER, f));

/** A picture as a telephone makes it: with a block of notes on where it was taken (JPEG's APP1, as EXIF has it). */
const PLACE = 'GPS 53.5 N 8.1 E, taken at home';
function withPlace(file: string) {
	const jpeg = readFileSync(file);
	const notes = Buffer.concat([Buffer.from('Exif\0\0'), Buffer.from(PLACE)]);
	const head = Buffer.from([0xff, 0xe1, 0, notes.length + 2]);
	return {
		name: 'IMG_1.jpg',
		mimeType: 'image/jpeg',
		buffer: Buffer.concat([jpeg.subarray(0, 2), head, notes, jpeg.subarray(2)])
	};
}

test('a knob is measured with pictures, corrected, kept with them, and goes on as a 3D file', async ({
	page
}) => {
	test.setTimeout(400_000);
	await page.goto('/masters/from-pictures');
	const files = page.getByLabel('Choose pictures');
	await expect(files).toBeEnabled();
	// what is no picture, what lies about its size, and one without a mat: each is refused in words
	const bomb = PNG.sync.write(new PNG({ width: 700, height: 700 }));
	bomb.writeUInt32BE(60_000, 16);
	bomb.writeUInt32BE(60_000, 20);
	const plain = PNG.sync.write(new PNG({ width: 700, height: 700, colorType: 2 }));
	await files.setInputFiles([
		{ name: 'letter.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('Dear museum') },
		{ name: 'bomb.png', mimeType: 'image/png', buffer: bomb },
		{ name: 'plain.png', mimeType: 'image/png', buffer: plain }
	]);
	await expect(page.getByText(/letter.jpg: This is no JPEG, PNG or WebP/)).toBeVisible({ timeout: 60_000 });
	await expect(page.getByText(/bomb.png: .*3600 million points/)).toBeVisible();
	await expect(page.getByText(/Too dark|No marker of the mat is seen/)).toBeVisible({ timeout: 60_000 });
	await page.getByRole('button', { name: 'Leave out picture 1' }).click();

	const first = withPlace(knob()[0]!);
	await files.setInputFiles(first);
	await expect(page.getByRole('heading', { name: '1 picture' })).toBeVisible({ timeout: 60_000 });
	await files.setInputFiles(knob().slice(1));
	await expect(page.getByRole('heading', { name: '16 pictures' })).toBeVisible({ timeout: 60_000 });
	const workOut = page.getByRole('button', { name: 'Work out the body' });
	await expect(workOut).toBeEnabled({ timeout: 60_000 });
	await files.setInputFiles(first);
	await expect(page.getByText('This very picture is there already.')).toBeVisible({ timeout: 60_000 });

	// a closed page loses none of them, nor what was typed
	await page.getByLabel('Its 100 mm ruler measures').fill('70 mm');
	await expect(page.getByText(/measures between 80 and 120 mm/)).toBeVisible();
	await expect(workOut).toBeDisabled();
	await page.getByLabel('Its 100 mm ruler measures').fill('100 mm');
	await page.reload();
	await expect(page.getByRole('heading', { name: '16 pictures' })).toBeVisible({ timeout: 60_000 });
	await expect(workOut).toBeEnabled({ timeout: 60_000 });
	await workOut.click();
	const goOn = page.getByRole('button', { name: 'Go on with this body' });
	await expect(goOn).toBeVisible({ timeout: 150_000 });
	const answer = page.getByRole('complementary', { name: 'Body' });
	const volumeMl = async () => Number(/Volume of one copy\s*([\d.]+)/.exec(await answer.innerText())![1]);
	const whole = await volumeMl();
	expect(whole).toBeGreaterThan(KNOB_ML.low);
	expect(whole).toBeLessThan(KNOB_ML.high);

	// what the maker paints out of one picture is gone from the body, and undone it is back
	await page.getByRole('button', { name: 'Outline of picture 1', exact: true }).click();
	const dialog = page.getByRole('dialog');
	await expect(dialog.getByText(/The rim is orange/)).toBeVisible({ timeout: 30_000 });
	await dialog.getByText('Not the piece').click();
	const picture = (await dialog.getByRole('application').boundingBox())!;
	const middle = [picture.x + picture.width / 2, picture.y + 0.45 * picture.height] as const;
	await page.mouse.move(middle[0] - 60, middle[1]);
	await page.mouse.down();
	await page.mouse.move(middle[0] + 60, middle[1], { steps: 4 });
	await page.mouse.up();
	await expect(dialog.getByText('Painted as none of it.')).toBeVisible({ timeout: 30_000 });
	await dialog.getByRole('button', { name: 'Done' }).click();
	await expect.poll(volumeMl, { timeout: 60_000 }).toBeLessThan(whole - 0.5);
	await expect(page.getByText(/Picture 1 leaves out what others show/)).toBeVisible();
	await page.getByRole('button', { name: 'Outline of picture 1', exact: true }).click();
	await dialog.getByRole('button', { name: 'Undo' }).click();
	await expect(dialog.getByText('The last stroke is undone.')).toBeVisible({ timeout: 30_000 });
	await dialog.getByRole('button', { name: 'Done' }).click();
	await expect.poll(volumeMl, { timeout: 60_000 }).toBeCloseTo(whole, 1);

	await page.getByLabel('What water says of it').fill('90 ml');
	await expect(page.getByText(/Water and pictures contradict each other/)).toBeVisible();
	await page.getByLabel('What water says of it').fill('50 ml');
	await page.getByLabel(/Scale the body to it/).check();
	await goOn.click();
	await expect(page.getByText(/between 49.ml and 51.ml, from 16 pictures/)).toBeVisible({ timeout: 60_000 });
	await page.getByLabel('Name').fill('Knob of the test');
	await page.getByRole('button', { name: 'Keep this master' }).click();
	await expect(page.getByRole('heading', { name: 'Knob of the test' })).toBeVisible({ timeout: 120_000 });
	await expect(page.getByText(/between 49.ml and 51.ml, from 16 pictures/)).toBeVisible();
	await expect(page.getByRole('heading', { name: 'Measured with 16 pictures' })).toBeVisible();
	const kept = await page
		.getByRole('region', { name: 'Pictures that it was measured with' })
		.getByRole('img')
		.evaluateAll((all) => all.map((i) => (i as HTMLImageElement).src));
	expect(kept).toHaveLength(16);
	for (const src of kept) {
		const bytes = await (await page.request.get(src)).body();
		expect([bytes.includes(PLACE), bytes.includes('Exif')]).toEqual([false, false]);
	}
	// they are kept with the master now, and no longer on the device
	await page.goto('/masters/from-pictures');
	await expect(page.getByRole('heading', { name: '2. Take pictures all round' })).toBeVisible();
});

test('a master that is there already: quick answer, stopped and begun again, its strokes come back with its pictures', async ({
	page
}) => {
	await page.goto('/masters/new');
	await page.getByLabel('Name').fill('Knob to be measured again');
	for (const [label, value] of [
		['Length', '52'],
		['Width', '52'],
		['Height', '56'],
		['Spilled water', '49']
	] as const)
		await page.getByLabel(label).fill(value);
	await page.getByRole('button', { name: 'Keep this master' }).click();
	await page.getByRole('link', { name: 'Measure with pictures' }).click();
	await expect(page.getByRole('heading', { name: /from pictures/ })).toBeVisible();
	const url = page.url();
	await page.getByLabel('Choose pictures').setInputFiles(knob().slice(0, 6));
	const quick = page.getByRole('button', { name: 'Quick answer of two' });
	await expect(quick).toBeEnabled({ timeout: 90_000 });
	await expect(page.getByRole('heading', { name: '6 pictures' })).toBeVisible({ timeout: 60_000 });
	await expect(quick).toBeEnabled({ timeout: 60_000 });
	await quick.click();
	const answer = page.getByRole('complementary', { name: 'Body' });
	await expect(answer).toContainText('Quick answer of two pictures', { timeout: 90_000 });
	const [, low, high] = /between ([\d.]+).ml and ([\d.]+).ml/.exec(await answer.innerText())!;
	expect(Number(low)).toBeLessThan(48.8);
	expect(Number(high)).toBeGreaterThan(48.8);

	// a stroke, then the work is stopped: pictures and stroke stay
	await page.getByRole('button', { name: 'Outline of picture 1', exact: true }).click();
	const dialog = page.getByRole('dialog');
	await expect(dialog.getByText(/The rim is orange/)).toBeVisible({ timeout: 60_000 });
	await dialog.getByRole('application').focus();
	await page.keyboard.press('Space');
	await expect(dialog.getByText('Painted as the piece.')).toBeVisible({ timeout: 60_000 });
	await dialog.getByRole('button', { name: 'Done' }).click();
	const workOut = page.getByRole('button', { name: 'Work out the body' });
	await page.getByRole('button', { name: 'Leave out picture 6' }).click();
	await expect(workOut).toBeEnabled({ timeout: 60_000 });
	await workOut.click();
	await page.getByRole('button', { name: 'Stop' }).click();
	await expect(workOut).toBeEnabled({ timeout: 90_000 });
	await expect(page.getByRole('button', { name: 'Outline of picture 1', exact: true })).toContainText('✎');
	await workOut.click();
	await page.getByRole('button', { name: 'Go on with this body' }).click({ timeout: 120_000 });
	await page.getByRole('button', { name: 'Keep it on the master' }).click({ timeout: 60_000 });
	await expect(page.getByText(/Kept/).first()).toBeVisible({ timeout: 60_000 });

	await page.goto(url);
	await page.getByRole('button', { name: 'Take up its 5 kept pictures' }).click();
	await expect(page.getByRole('heading', { name: '5 pictures' })).toBeVisible({ timeout: 60_000 });
	await expect(page.getByRole('button', { name: 'Outline of picture 1', exact: true })).toContainText('✎');
	await expect(workOut).toBeEnabled({ timeout: 60_000 });
});

test('the mat is a sheet of its true size, and what does not go on a paper is said', async ({ request }) => {
	const pages = async (query: string) => {
		const answer = await request.get(`/masters/mat.pdf?${query}`);
		expect(answer.headers()['content-type']).toBe('application/pdf');
		const text = (await answer.body()).toString('latin1');
		return [...text.matchAll(/\/MediaBox \[([\d. ]+)\]/g)].map((m) =>
			m[1]!.split(' ').map((v) => Math.round((Number(v) * 25.4) / 72))
		);
	};
	// ISO 216 and ANSI/ASME Y14.1, mm
	expect(await pages('size=medium&paper=A4')).toEqual([[0, 0, 210, 297]]);
	expect(await pages('size=small&paper=Letter')).toEqual([[0, 0, 216, 279]]);
	expect(await pages('size=large&paper=A3')).toEqual([[0, 0, 297, 420]]);
	expect(await pages('size=large&paper=A4')).toEqual([
		[0, 0, 297, 210],
		[0, 0, 297, 210]
	]);
	expect((await request.get('/masters/mat.pdf?size=huge')).status()).toBe(400);
});
