import js from '@eslint/js';
import prettier from 'eslint-config-prettier';
import svelte from 'eslint-plugin-svelte';
import globals from 'globals';
import ts from 'typescript-eslint';
import svelteConfig from './svelte.config.js';

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
		// the core is true without a clock, chance, the web or a database
		files: ['src/lib/core/**/*.ts'],
		ignores: ['**/*.test.ts'],
		rules: {
			'no-restricted-imports': [
				'error',
				{ patterns: ['svelte*', '$app/*', '$lib/server*', '$lib/ui*', 'sequelize', 'flowbite*', 'node:*'] }
			],
			'no-restricted-globals': ['error', 'window', 'document', 'localStorage', 'process'],
			'no-restricted-properties': [
				'error',
				{ object: 'Date', property: 'now', message: 'Pass the time in.' },
				{ object: 'Math', property: 'random', message: 'Pass chance in.' }
			]
		}
	}
);
