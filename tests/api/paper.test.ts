import { afterAll, beforeAll, expect, it } from 'vitest';
import { PAPERS } from '$lib/core/workshop';
import { closeDb } from '$lib/server/db/connection';
import { listMoulds } from '$lib/server/repositories/moulds';
import { readSettings, saveSettings } from '$lib/server/repositories/settings';
import { listShots } from '$lib/server/repositories/shots';
import { base } from './http';

let before: Awaited<ReturnType<typeof readSettings>>['settings'];
const set = async (over: Partial<typeof before>) =>
	saveSettings({ ...before, ...over }, (await readSettings()).version);
beforeAll(async () => {
	before = (await readSettings()).settings;
});
afterAll(async () => {
	await set({});
	await closeDb();
});

/** Points: ISO 216 (210 × 297 mm) and ANSI/ASME Y14.1 size A (8½ × 11 in). */
const SIZES = { A4: [595.28, 841.89], Letter: [612, 792] } as const;

it.each(PAPERS)(
	'pour card, base board and labels come on %s when the workshop prints on it',
	async (paper) => {
		await set({ paper });
		const [[shot], moulds] = await Promise.all([listShots(1), listMoulds()]);
		const mould = moulds.find((m) => m.inputs.kind === 'one-piece')!;
		for (const path of [`shots/${shot!.id}/card.pdf`, `moulds/${mould.id}/board.pdf`, 'moulds/labels.pdf']) {
			const bytes = Buffer.from(await (await fetch(`${base}/${path}`)).arrayBuffer()).toString('latin1');
			const boxes = [...bytes.matchAll(/\/MediaBox \[0 0 ([\d.]+) ([\d.]+)\]/g)];
			expect(boxes.length).toBeGreaterThan(0);
			for (const [, width, height] of boxes)
				expect([Number(width), Number(height)]).toEqual([...SIZES[paper]]);
		}
	}
);

it('the sheets are set in the typeface of the screens, and a name in other letters has letters', async () => {
	const [shot] = await listShots(1);
	const bytes = Buffer.from(await (await fetch(`${base}/shots/${shot!.id}/card.pdf`)).arrayBuffer()).toString(
		'latin1'
	);
	const fonts = [...bytes.matchAll(/\/FontName \/[A-Z]+\+([\w-]+)/g)].map((m) => m[1]!);
	expect(fonts.some((f) => /Atkinson/.test(f))).toBe(true);
	expect(fonts.filter((f) => !/Atkinson|Roboto/.test(f))).toEqual([]);
});
