import { defineConfig } from '@playwright/test';

export default defineConfig({
	testDir: '.',
	outputDir: '../../test-results',
	workers: 1,
	fullyParallel: false,
	// what goes through every page takes minutes while the machine is busy
	timeout: 300_000,
	expect: { timeout: 25_000 },
	reporter: [['list']],
	use: {
		baseURL: process.env.ANTHYPOS_URL ?? 'http://127.0.0.1:4610',
		viewport: { width: 1280, height: 800 },
		screenshot: 'only-on-failure',
		launchOptions: {
			executablePath: '/usr/bin/chromium',
			args: [
				'--no-sandbox',
				'--disable-gpu',
				'--disable-quic',
				'--no-first-run',
				'--disable-background-networking',
				'--disable-component-update',
				'--disable-sync'
			]
		}
	}
});
