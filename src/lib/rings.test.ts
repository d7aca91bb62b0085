import { ESLint } from 'eslint';
import { beforeAll, describe, expect, it, vi } from 'vitest';

// the rules read the types of the whole project with the first line: a minute and more on a busy machine
vi.setConfig({ testTimeout: 300_000, hookTimeout: 300_000 });

/** The rules themselves, tried on lines that break them: an arrow that architecture.md does not draw is refused. */
const lint = new ESLint({ cwd: process.cwd() });
async function refused(file: string, code: string): Promise<string[]> {
	const [result] = await lint.lintText(code, { filePath: file });
	return result!.messages.map((m) => m.ruleId ?? m.message);
}
const arrow = (to: string) => `import { x } from '${to}';\nconsole.log(x);\n`;

describe('arrows between the rings', () => {
	beforeAll(() => refused('src/lib/core/mix/mix.ts', ''));
	it.each([
		['src/lib/core/mix/mix.ts', '$lib/server/log'],
		['src/lib/core/mix/mix.ts', '$lib/ui/units.svelte'],
		['src/lib/core/mix/mix.ts', '$lib/workers/latest'],
		['src/lib/core/mix/mix.ts', '../../../routes/+page'],
		['src/lib/core/mix/mix.ts', 'sequelize'],
		['src/lib/core/mix/mix.ts', 'node:fs'],
		['src/lib/photo/place.ts', '$lib/ui/alarms'],
		['src/lib/photo/place.ts', '$lib/server/log'],
		['src/lib/workers/latest.ts', '$lib/ui/alarms'],
		['src/lib/workers/latest.ts', '$lib/server/log'],
		['src/lib/ui/alarms.ts', '$lib/server/log'],
		['src/lib/ui/Save.svelte', '$lib/server/log'],
		['src/lib/server/log.ts', '$lib/ui/alarms'],
		['src/lib/server/log.ts', '../../routes/+page']
	])('%s does not import %s', async (file, to) => {
		const code = file.endsWith('.svelte') ? `<script lang="ts">\n${arrow(to)}</script>\n` : arrow(to);
		expect(await refused(file, code)).toContain('no-restricted-imports');
	});
	it.each([
		['src/lib/ui/alarms.ts', '$lib/core/bench'],
		['src/lib/server/log.ts', '$lib/core/bench'],
		['src/lib/workers/latest.ts', '$lib/core/cure'],
		['src/lib/photo/place.ts', '$lib/core/photo'],
		['src/routes/+page.server.ts', '$lib/server/log']
	])('%s imports %s', async (file, to) => {
		expect(await refused(file, arrow(to))).toEqual([]);
	});
});

it('a kind that a switch forgets is refused, and a default does not stand for it', async () => {
	const code = (rest: string) =>
		`export function of(kind: 'box' | 'tube'): number {\n\tswitch (kind) {\n\t\tcase 'box':\n\t\t\treturn 1;\n\t\t${rest}\n\t}\n}\n`;
	const file = 'src/lib/core/mix/mix.ts';
	const rule = '@typescript-eslint/switch-exhaustiveness-check';
	expect(await refused(file, code('default:\n\t\t\treturn 2;'))).toContain(rule);
	expect(await refused(file, code("case 'tube':\n\t\t\treturn 2;"))).not.toContain(rule);
});

it('a promise that nobody waits for is refused', async () => {
	const code = 'async function save(): Promise<void> {}\nsave();\n';
	expect(await refused('src/lib/server/log.ts', code)).toContain('@typescript-eslint/no-floating-promises');
});
