import adapter from '@sveltejs/adapter-node';
import { vitePreprocess } from '@sveltejs/vite-plugin-svelte';

import { drawnIcons } from './scripts/lib/drawnIcons.mjs';
import { POLICY } from './scripts/lib/headers.mjs';

/** @type {import('@sveltejs/kit').Config} */
export default {
	preprocess: [drawnIcons, vitePreprocess()],
	compilerOptions: { runes: ({ filename }) => (filename.includes('node_modules') ? undefined : true) },
	kit: {
		adapter: adapter({ out: 'build' }),
		// hooks.server.ts compares Origin with Host instead, so that any address of this machine works
		csrf: { trustedOrigins: ['*'] },
		// scripts: our own files, and those of a page that bear its number; everything else comes with every answer, see scripts/lib/headers.mjs
		csp: {
			mode: 'nonce',
			directives: { ...POLICY, 'script-src': ['self'] }
		},
		// only a bench page asks for it
		serviceWorker: { register: false },
		version: { pollInterval: 0 }
	}
};
