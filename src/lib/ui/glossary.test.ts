import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, it } from 'vitest';
import { GLOSSARY } from './glossary';

const src = join(import.meta.dirname, '../..');
const texts = readdirSync(src, { recursive: true, encoding: 'utf8' })
	.filter((f) => /\.(svelte|ts)$/.test(f) && !f.endsWith('glossary.ts') && !f.endsWith('.test.ts'))
	.map((f) => readFileSync(join(src, f), 'utf8'));

it('every word of the glossary stands on a page, and is explained in a sentence or two', () => {
	const words = Object.entries(GLOSSARY);
	expect(words.length).toBeGreaterThan(20);
	const nowhere = words.filter(
		([word]) => !texts.some((t) => t.includes(`'${word}'`) || t.includes(`"${word}"`))
	);
	expect(nowhere.map(([word]) => word)).toEqual([]);
	for (const [, said] of words) {
		expect(said).toMatch(/\.$/);
		expect(said.length).toBeLessThan(260);
	}
});
