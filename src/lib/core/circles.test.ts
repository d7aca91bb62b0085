import { readdirSync, readFileSync, existsSync } from 'node:fs';
import { dirname, join, relative, resolve, sep } from 'node:path';
import { fileURLToPath } from 'node:url';
import { expect, it } from 'vitest';

const root = dirname(fileURLToPath(import.meta.url));
type Graph = ReadonlyMap<string, ReadonlySet<string>>;

/** Every way that leads back to where it began, as far as one is found from each place. */
function circles(graph: Graph): string[] {
	const done = new Set<string>();
	const found: string[] = [];
	const walk = (at: string, way: readonly string[]): void => {
		const from = way.indexOf(at);
		if (from >= 0) {
			found.push([...way.slice(from), at].join(' → '));
			return;
		}
		if (done.has(at)) return;
		for (const to of graph.get(at) ?? []) walk(to, [...way, at]);
		done.add(at);
	};
	for (const at of graph.keys()) walk(at, []);
	return found;
}

const files = readdirSync(root, { recursive: true, encoding: 'utf8' })
	.filter((f) => f.endsWith('.ts') && !f.endsWith('.test.ts') && !f.endsWith('.d.ts'))
	.map((f) => join(root, f));

/** Files that a file names, by value or by type. */
const named = (file: string) =>
	[...readFileSync(file, 'utf8').matchAll(/from '(\.[^']+)'/g)].flatMap(([, to]) => {
		const at = resolve(dirname(file), to!);
		return [`${at}.ts`, join(at, 'index.ts')].filter((path) => existsSync(path)).slice(0, 1);
	});
const ways = new Map(files.map((f) => [f, named(f)]));
const short = (f: string) => relative(root, f).split(sep).join('/');
const subject = (f: string) => short(f).split('/')[0]!;

it('a circle is found where there is one', () => {
	const graph = new Map([
		['a', new Set(['b'])],
		['b', new Set(['c', 'd'])],
		['c', new Set(['a'])],
		['d', new Set<string>()]
	]);
	expect(circles(graph)).toEqual(['a → b → c → a']);
	expect(circles(new Map([...graph, ['c', new Set<string>()]]))).toEqual([]);
});

it('no circle of files in the core', () => {
	expect(files.length).toBeGreaterThan(150);
	expect([...ways.values()].flat().length).toBeGreaterThan(500);
	expect(circles(new Map([...ways].map(([f, to]) => [short(f), new Set(to.map(short))])))).toEqual([]);
});

it('no circle of subjects in the core, by value or by type', () => {
	const subjects = new Map<string, Set<string>>();
	for (const [file, to] of ways) {
		const own = subjects.get(subject(file)) ?? new Set();
		for (const other of to) if (subject(other) !== subject(file)) own.add(subject(other));
		subjects.set(subject(file), own);
	}
	expect(circles(subjects)).toEqual([]);
});
