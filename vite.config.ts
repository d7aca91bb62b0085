import tailwindcss from '@tailwindcss/vite';
import { sveltekit } from '@sveltejs/kit/vite';
import { defineConfig } from 'vitest/config';

export default defineConfig({
	plugins: [tailwindcss(), sveltekit()],
	worker: { format: 'es' },
	build: { chunkSizeWarningLimit: 1600 },
	test: {
		projects: [
			{
				// the core needs no plugin: without them its checks run in seconds
				resolve: { alias: { $lib: new URL('./src/lib', import.meta.url).pathname } },
				test: { name: 'core', include: ['src/**/*.test.ts'], environment: 'node', isolate: false }
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
