import type { Environment } from 'vitest/runtime';

/** Node without a page, with Svelte compiled as the browser has it: state classes react, and nothing is drawn. */
export default {
	name: 'svelte',
	viteEnvironment: 'client',
	setup: () => ({ teardown() {} })
} satisfies Environment;
