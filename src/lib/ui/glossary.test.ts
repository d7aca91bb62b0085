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
	// a word is explained where it is the label of a field, an answer or a head
	const labels = new Set(
		texts.flatMap((t) => [
			...[...t.matchAll(/\b(?:word|label)="([^"]+)"/g)].map((m) => m[1]),
			...[...t.matchAll(/\b(?:word|label)(?:: |=\{)([^}\n]*)/g)].flatMap((m) =>
				[...m[1]!.matchAll(/'([^']+)'/g)].map((q) => q[1])
			),
			// fields that stand in a table: their name, and then their label
			...[...t.matchAll(/\b(?:quantity|choice|count)\(\s*'\w+',\s*'([^']+)'/g)].map((m) => m[1])
		])
	);
	expect(labels.size).toBeGreaterThan(100);
	const nowhere = words.filter(([word]) => !labels.has(word));
	expect(nowhere.map(([word]) => word)).toEqual([]);
	for (const [, said] of words) {
		expect(said).toMatch(/\.$/);
		expect(said.length).toBeLessThan(260);
	}
});
