/** Every public function of a subject shows itself in use, and what it shows is true. */
import { readdirSync } from 'node:fs';
import { join, relative, sep } from 'node:path';
import ts from 'typescript';
import { beforeAll, describe, expect, it } from 'vitest';
import { z } from 'zod';

const core = import.meta.dirname;
const modules: Record<string, Record<string, unknown>> = import.meta.glob(['./**/*.ts', '!./**/*.test.ts'], {
	eager: true
});
const subjects = readdirSync(core, { withFileTypes: true })
	.filter((d) => d.isDirectory())
	.map((d) => d.name)
	.filter((d) => modules[`./${d}/index.ts`]);

interface Shown {
	subject: string;
	name: string;
	file: string;
	example: string | undefined;
	throws: boolean;
	saysThrows: boolean;
}

/** A function whose own lines throw, or parse what they are given. */
const THROWS = /\bthrow new\b|\.parse\(|\bparseInput\(/;

/** The functions behind each front door, with the first example of their docstrings, and others that have one. */
function functionsShown(): { doors: Shown[]; others: Shown[] } {
	const files = subjects.map((s) => join(core, s, 'index.ts'));
	const program = ts.createProgram(files, {
		allowImportingTsExtensions: true,
		module: ts.ModuleKind.ESNext,
		moduleResolution: ts.ModuleResolutionKind.Bundler,
		noEmit: true,
		skipLibCheck: true,
		strict: true,
		target: ts.ScriptTarget.ES2022
	});
	const checker = program.getTypeChecker();
	const exportsOf = (file: string) => {
		const module = checker.getSymbolAtLocation(program.getSourceFile(file)!);
		return (module ? checker.getExportsOfModule(module) : []).flatMap((exported): Shown[] => {
			const aliased = exported.flags & ts.SymbolFlags.Alias;
			const symbol = aliased ? checker.getAliasedSymbol(exported) : exported;
			const declared = symbol.valueDeclaration;
			if (!declared || ts.isClassDeclaration(declared)) return [];
			if (checker.getTypeOfSymbolAtLocation(symbol, declared).getCallSignatures().length === 0) return [];
			const tags = symbol.getJsDocTags(checker);
			const text = tags.find((t) => t.name === 'example')?.text;
			return [
				{
					subject: relative(core, file).split(sep)[0]!,
					name: exported.name,
					file: relative(core, declared.getSourceFile().fileName),
					example: text && ts.displayPartsToString(text),
					throws: THROWS.test(declared.getText()),
					saysThrows: tags.some((t) => t.name === 'throws')
				}
			];
		});
	};
	const doors = files.flatMap(exportsOf);
	const known = new Set(doors.map((d) => d.file + d.name));
	const others = program
		.getSourceFiles()
		.map((f) => f.fileName)
		.filter((f) => f.startsWith(core) && !files.includes(f))
		.flatMap(exportsOf)
		.filter((s) => s.example && !known.has(s.file + s.name));
	return { doors, others };
}

/** Numbers to four digits, the named fields of an object, all places of a list. */
function holds(got: unknown, wanted: unknown): boolean {
	if (typeof wanted === 'number' && typeof got === 'number')
		return Object.is(got, wanted) || Math.abs(got - wanted) <= 1e-4 * Math.abs(wanted) + 1e-12;
	if (Array.isArray(wanted))
		return (
			Array.isArray(got) &&
			got.length === wanted.length &&
			wanted.every((w, i) => holds(got[i], w as unknown))
		);
	if (wanted && typeof wanted === 'object')
		return (
			typeof got === 'object' &&
			got !== null &&
			Object.entries(wanted).every(([k, w]) => holds((got as Record<string, unknown>)[k], w))
		);
	return Object.is(got, wanted);
}

/** What an example's statements gave that is not what stands behind them. */
function run({ subject, file, example }: Shown): string[] {
	const scope: Record<string, unknown> = Object.assign(
		{ z },
		...subjects.map((s) => modules[`./${s}/index.ts`]),
		...Object.keys(modules)
			.filter((m) => m.endsWith('.testing.ts'))
			.map((m) => modules[m]),
		modules[`./${subject}/index.ts`],
		modules[`./${file}`]
	);
	const source = ts.createSourceFile('example.ts', example!, ts.ScriptTarget.ES2022, true);
	let shown = 0;
	const code = source.statements
		.map((s) => {
			const after = ts.getTrailingCommentRanges(example!, s.end)?.[0];
			if (!ts.isExpressionStatement(s) || !after) return s.getText();
			shown++;
			const wanted = example!.slice(after.pos + 2, after.end).trim();
			return `__see(() => (${s.expression.getText()}), ${JSON.stringify(wanted)});`;
		})
		.join('\n');
	if (!shown) return ['shows no value: write it behind the call, as in `twice(2); // 4`'];
	const wrong: string[] = [];
	const see = (work: () => unknown, wantedText: string) => {
		if (wantedText.startsWith('throws ')) {
			let said = 'nothing';
			try {
				work();
			} catch (error) {
				said = String(error);
			}
			if (!said.includes(wantedText.slice(7))) wrong.push(`${wantedText}: it said ${said}`);
			return;
		}
		// eslint-disable-next-line @typescript-eslint/no-implied-eval -- the examples are our own comments
		const wanted: unknown = new Function(`return (${wantedText})`)();
		const got = work();
		if (!holds(got, wanted)) wrong.push(`${wantedText} is said, ${JSON.stringify(got)} came`);
	};
	const names = Object.keys(scope).filter((n) => n !== 'default');
	const js = ts.transpile(code, { target: ts.ScriptTarget.ES2022 });
	// eslint-disable-next-line @typescript-eslint/no-implied-eval -- the examples are our own comments
	new Function('__see', ...names, js)(see, ...names.map((n) => scope[n]));
	return wrong;
}

describe('the front doors', () => {
	let shown: Shown[] = [];
	let others: Shown[] = [];
	beforeAll(() => {
		({ doors: shown, others } = functionsShown());
	}, 120_000);

	it('hold functions of every subject', () => {
		expect(shown.length).toBeGreaterThan(250);
		expect(new Set(shown.map((s) => s.subject)).size).toBeGreaterThan(20);
	});

	it('show each function in use, and what is shown comes out', () => {
		expect(others.length).toBeGreaterThan(5);
		const wrong = [...shown, ...others].flatMap((s) => {
			const where = `${s.file} ${s.name}`;
			if (!s.example) return [`${where}: has no @example`];
			try {
				return run(s).map((w) => `${where}: ${w}`);
			} catch (error) {
				return [`${where}: ${String(error)}`];
			}
		});
		expect(wrong).toEqual([]);
	}, 120_000);

	it('say what they throw', () => {
		expect(shown.filter((s) => s.throws && !s.saysThrows).map((s) => `${s.file} ${s.name}`)).toEqual([]);
	});

	it('an example that is wrong would be found', () => {
		const of = (example: string) =>
			run({
				subject: 'units',
				name: '',
				file: 'units/formatQuantity.ts',
				example,
				throws: false,
				saysThrows: false
			});
		expect(of("digits(2); // '2'")).toEqual([]);
		expect(of("digits(2); // '3'")).toHaveLength(1);
		expect(of('digits(2);')).toHaveLength(1);
	});
});
