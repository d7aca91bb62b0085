import adapter from '@sveltejs/adapter-node';
import { vitePreprocess } from '@sveltejs/vite-plugin-svelte';

/** @type {import('@sveltejs/kit').Config} */
export default {
	preprocess: vitePreprocess(),
	compilerOptions: { runes: ({ filename }) => (filename.includes('node_modules') ? undefined : true) },
	kit: {
		adapter: adapter({ out: 'build' }),
		// hooks.server.ts compares Origin with Host instead, so that any address of this machine works
		csrf: { trustedOrigins: ['*'] },
		// only a bench page asks for it
		serviceWorker: { register: false },
		version: { pollInterval: 0 }
	}
};
