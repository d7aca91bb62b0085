import tailwindcss from '@tailwindcss/vite';
import { sveltekit } from '@sveltejs/kit/vite';
import { build, type Plugin } from 'vite';
import { defineConfig } from 'vitest/config';
import { BaseSequencer, type TestSpecification } from 'vitest/node';

/** `virtual:thread-NAME`: src/lib/server/NAME/thread.ts with all that it imports, as text for a node thread. */
const threadSource: Plugin = {
	name: 'thread-source',
	resolveId: (id) => (id.startsWith('virtual:thread-') ? `\0${id}` : undefined),
	async load(id) {
		const name = /^\0virtual:thread-(\w+)$/.exec(id)?.[1];
		if (!name) return undefined;
		const made = await build({
			configFile: false,
			logLevel: 'warn',
			ssr: { noExternal: true },
			build: {
				write: false,
				ssr: `src/lib/server/${name}/thread.ts`,
				rollupOptions: { output: { format: 'es', codeSplitting: false } }
			}
		});
		const [chunk] = [made].flat().flatMap((m) => ('output' in m ? m.output : []));
		if (chunk?.type !== 'chunk') throw new Error(`No code came of the thread ${name}.`);
		return `export default ${JSON.stringify(chunk.code)};`;
	}
};

/** The component library looks for its surroundings by catching what is thrown where there are none; it is taught to ask. */
const asksFirst: Plugin = {
	name: 'asks-first',
	transform(code, id) {
		if (!id.includes('/flowbite-svelte/dist/context.js')) return undefined;
		const taught = code
			.replace('const [getRaw, set] = createContext();', 'const [getRaw, set, has] = createContext();')
			.replace('try {', 'if (!has()) return undefined;\n        try {');
		if (!taught.includes('has()') || !taught.includes('set, has]'))
			throw new Error('The component library looks for its surroundings in another way now.');
		return { code: taught, map: null };
	}
};

/** Larger files are libraries of which a page calls a part; the chart library, one function that holds all others, is not. */
const AHEAD_BYTES = 200_000;
/** Smaller ones are compiled in no time: the hint would weigh more than it brings. */
const WORTH_BYTES = 2000;
const isCharts = ({ moduleIds }: { moduleIds: string[] }) =>
	moduleIds.some((id) => id.includes('/plotly.js-'));
/**
 * Asks the browser to compile a page's scripts whole while they arrive, off the main thread: a page that wakes calls nearly
 * all of them, and one by one that held it up for a third of its time. Browsers that do not know the hint pass over it.
 */
const compiledAhead: Plugin = {
	name: 'compiled-ahead',
	enforce: 'post',
	generateBundle(_options, bundle) {
		for (const [file, made] of Object.entries(bundle))
			if (
				made.type === 'chunk' &&
				file.startsWith('_app/immutable/') &&
				made.code.length > WORTH_BYTES &&
				(made.code.length < AHEAD_BYTES || isCharts(made))
			)
				made.code = `//# allFunctionsCalledOnLoad\n${made.code}`;
	}
};

/** Checks with drawn bodies take minutes: they begin first, so that nothing waits for them alone at the end. */
const isLong = ({ moduleId }: TestSpecification) => /\/photo\//.test(moduleId);

/** Files by name: without it the order follows what earlier runs left behind, and differs on a fresh machine. */
class ByName extends BaseSequencer {
	override async sort(files: TestSpecification[]) {
		return [...files].sort(
			(a, b) => Number(isLong(b)) - Number(isLong(a)) || (a.moduleId < b.moduleId ? -1 : 1)
		);
	}
}

/** A project of checks that need no plugin: without them they run in seconds. */
const sums = (name: string, include: string[], exclude: string[] = []) => ({
	resolve: { alias: { $lib: new URL('./src/lib', import.meta.url).pathname } },
	test: {
		name,
		include,
		exclude,
		environment: 'node' as const,
		// a busy machine takes longer for the same sum
		testTimeout: 60_000,
		hookTimeout: 60_000,
		isolate: false,
		// sums alone: both of two cores work on them
		maxWorkers: 2
	}
});

export default defineConfig({
	plugins: [asksFirst, tailwindcss(), sveltekit(), threadSource, compiledAhead],
	// the library's components name their own classes, and ours come after them in the style sheet: nothing to be merged
	resolve: { alias: { 'tailwind-variants': 'tailwind-variants/lite' } },
	worker: { format: 'es' },
	// the demo's body, packed
	assetsInclude: ['**/*.stl.gz'],
	build: {
		// scripts of a page that is asked for are found by their imports; naming each ahead costs more than it saves
		modulePreload: {
			polyfill: false,
			resolveDependencies: (_file, deps) => deps.filter((dep) => dep.endsWith('.css'))
		},
		chunkSizeWarningLimit: 1600,
		rollupOptions: {
			// what a page does not use of the library's components and of the core is not sent: loading them does nothing
			treeshake: {
				moduleSideEffects: (id) => !/node_modules\/flowbite-svelte\/dist\/|\/src\/lib\/core\//.test(id)
			}
		}
	},
	test: {
		sequence: { sequencer: ByName },
		coverage: {
			provider: 'v8',
			include: ['src/lib/core/**/*.ts'],
			exclude: ['**/*.test.ts', '**/*.testing.ts'],
			reporter: ['text-summary'],
			// a floor under the core; it is raised when more is held
			thresholds: { statements: 95, branches: 87, functions: 93, lines: 96 }
		},
		projects: [
			sums('core', ['src/**/*.test.ts'], ['src/**/*.svelte.test.ts', 'src/lib/photo/**']),
			// no coverage is asked of it, and counting what runs would double the time of its pictures
			sums('photo', ['src/lib/photo/**/*.test.ts']),
			{
				// state classes of the page, compiled as the page has them
				extends: true,
				resolve: { conditions: ['browser'] },
				test: {
					name: 'ui',
					include: ['src/**/*.svelte.test.ts'],
					environment: './tests/svelteEnvironment.ts'
				}
			},
			{
				extends: true,
				test: {
					name: 'api',
					include: ['tests/api/**/*.test.ts'],
					environment: 'node',
					testTimeout: 60_000,
					hookTimeout: 60_000,
					fileParallelism: false
				}
			}
		]
	}
});
