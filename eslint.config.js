import js from '@eslint/js';
import prettier from 'eslint-config-prettier';
import svelte from 'eslint-plugin-svelte';
import globals from 'globals';
import ts from 'typescript-eslint';
import svelteConfig from './svelte.config.js';

const ROUTES = ['**/routes/**', '$routes/*'];
const WEB = ['svelte', 'svelte/*', '$app/*', 'flowbite*', '$lib/ui*'];
const OUTSIDE = ['$lib/server*', 'sequelize', 'node:*', ...ROUTES];

/** Each ring with what it must not import: arrows go inward only (docs/architecture.md). */
const ringsOf = (rings) =>
	Object.entries(rings).map(([ring, patterns]) => ({
		files: [`${ring}/*.ts`, `${ring}/*.svelte`],
		ignores: ['**/*.test.ts', '**/*.testing.ts'],
		rules: {
			'no-restricted-imports': [
				'error',
				{ patterns: [{ group: patterns, message: 'This arrow goes outward: see docs/architecture.md.' }] }
			]
		}
	}));

export default ts.config(
	{ ignores: ['build/', '.svelte-kit/', '.anthypos/', 'node_modules/', 'test-results/'] },
	js.configs.recommended,
	...ts.configs.recommended,
	...svelte.configs.recommended,
	prettier,
	...svelte.configs.prettier,
	{
		languageOptions: { globals: { ...globals.browser, ...globals.node } },
		rules: {
			'no-undef': 'off',
			'svelte/no-navigation-without-resolve': 'off',
			'svelte/require-each-key': 'error',
			'@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }]
		}
	},
	{
		files: ['**/*.svelte', '**/*.svelte.ts'],
		languageOptions: {
			parserOptions: {
				projectService: false,
				extraFileExtensions: ['.svelte'],
				parser: ts.parser,
				svelteConfig
			}
		}
	},
	{
		// a kind that is forgotten, and a promise that nobody waits for, do not pass
		files: ['src/**/*.ts', 'tests/**/*.ts'],
		// the service worker has a project of its own, where the generated types leave it out
		ignores: ['**/*.svelte.ts', '**/*.svelte.test.ts', 'src/service-worker.ts'],
		languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
		rules: {
			'@typescript-eslint/no-floating-promises': 'error',
			'@typescript-eslint/switch-exhaustiveness-check': [
				'error',
				{ considerDefaultExhaustiveForUnions: false, requireDefaultForNonUnion: false }
			]
		}
	},
	...ringsOf({
		'src/lib/core/**': ['$lib/workers*', '$lib/offline*', ...WEB, ...OUTSIDE],
		'src/lib/photo/**': ['$lib/workers*', ...WEB, ...OUTSIDE],
		'src/lib/workers/**': [...WEB, ...OUTSIDE],
		'src/lib/ui/**': ['$lib/server*', 'sequelize', ...ROUTES],
		'src/lib/server/**': ['$lib/ui*', 'svelte', 'svelte/*', 'flowbite*', ...ROUTES]
	}),
	{
		// the environment is read in one place, where it is checked
		files: ['src/**/*.ts', 'src/**/*.svelte'],
		ignores: ['src/lib/server/environment.ts', '**/*.test.ts'],
		rules: {
			'no-restricted-properties': [
				'error',
				{ object: 'process', property: 'env', message: 'Ask $lib/server/environment.' }
			]
		}
	},
	{
		files: ['src/**', 'tests/**', 'scripts/**'],
		rules: { 'max-lines': ['error', 400] }
	},
	{
		// what a failure is answered with is decided in one place: server/errors.ts
		files: ['src/routes/**/*.ts'],
		rules: {
			'no-restricted-syntax': [
				'error',
				{
					selector:
						'BinaryExpression[operator="instanceof"][right.name=/^(Refused|NotFound|Conflict|Input|Zod)Error$/]',
					message: 'Use orFail, orPage, orNothing or orJson of $lib/server/forms.'
				}
			]
		}
	},
	{
		// the core is true without a clock, chance, the web or a database
		files: ['src/lib/core/**/*.ts'],
		ignores: ['**/*.test.ts'],
		rules: {
			'no-restricted-globals': ['error', 'window', 'document', 'localStorage', 'process'],
			'no-restricted-properties': [
				'error',
				{ object: 'process', property: 'env', message: 'Pass it in.' },
				{ object: 'Date', property: 'now', message: 'Pass the time in.' },
				{ object: 'Math', property: 'random', message: 'Pass chance in.' }
			]
		}
	}
);
