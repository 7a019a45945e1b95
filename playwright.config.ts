import { defineConfig } from '@playwright/test';

export default defineConfig({
	testDir: 'e2e',
	fullyParallel: false,
	workers: process.env.WORKERS ? Number(process.env.WORKERS) : 2,
	forbidOnly: true,
	retries: 0,
	timeout: 120_000,
	expect: { timeout: 20_000 },
	reporter: [['list']],
	globalSetup: './e2e/template.ts',
	use: {
		viewport: { width: 1280, height: 800 },
		trace: 'retain-on-failure',
		launchOptions: {
			executablePath: process.env.CHROMIUM || '/usr/bin/chromium',
			args: [
				'--no-sandbox',
				'--disable-gpu',
				'--disable-background-networking',
				'--disable-component-update',
				'--disable-sync',
				'--no-first-run'
			]
		}
	}
});
