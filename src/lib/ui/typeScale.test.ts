import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { expect, it } from 'vitest';

const SOURCE = join(fileURLToPath(import.meta.url), '..', '..', '..');
/** From a note to a figure that is read across the room, rem. What fills the bench's screen grows with it instead. */
const SIZES_REM = [0.85, 0.93, 1, 1.15, 1.4, 2, 3.2, 4.6];

it('words have one of eight sizes', () => {
	const files = readdirSync(SOURCE, { recursive: true, encoding: 'utf8' }).filter((f) =>
		/\.(svelte|css)$/.test(f)
	);
	expect(files.length).toBeGreaterThan(100);
	const used = new Set<number>();
	for (const file of files) {
		const text = readFileSync(join(SOURCE, file), 'utf8');
		expect(text.match(/\btext-(xs|sm|base|lg|[2-9]?xl)\b(?!-)/g) ?? [], file).toEqual([]);
		for (const [, size] of text.matchAll(/(?:text-\[|font-size: )([\d.]+)rem/g)) {
			expect(SIZES_REM, `${file}: ${size}rem`).toContain(Number(size));
			used.add(Number(size));
		}
	}
	expect(used.size).toBe(SIZES_REM.length);
});
