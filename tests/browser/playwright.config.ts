import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { defineConfig } from '@playwright/test';
import { CHROMIUM_SWITCHES } from '../../scripts/browser.mjs';
import { chromiumPath } from '../../scripts/ensureChromium.mjs';

const PORT = 4390;

export default defineConfig({
  testDir: '.',
  testMatch: '*.spec.ts',
  outputDir: join(tmpdir(), 'tallow-browser-results'),
  workers: 2,
  fullyParallel: true,
  timeout: 60_000,
  expect: { timeout: 10_000 },
  reporter: [['list'], ['./closingLine.ts']],
  use: {
    baseURL: `http://127.0.0.1:${PORT}`,
    locale: 'en-GB',
    // Nothing is waited for that only moves, and axe catches no colour half way.
    contextOptions: { reducedMotion: 'reduce' },
    // Requests are held up and counted by tests; the one that is about it lets it in.
    serviceWorkers: 'block',
    launchOptions: {
      executablePath: chromiumPath(),
      args: CHROMIUM_SWITCHES,
    },
  },
  projects: [
    { name: 'desk', use: { viewport: { width: 1280, height: 800 } }, testIgnore: 'touch.spec.ts' },
    {
      name: 'tablet',
      use: { viewport: { width: 1024, height: 768 }, hasTouch: true },
      testMatch: 'touch.spec.ts',
    },
  ],
  webServer: {
    command: `node scripts/serve.mjs --demo --reset --port ${PORT} --data ${join(tmpdir(), 'tallow-browser-data')}`,
    cwd: join(import.meta.dirname, '../..'),
    url: `http://127.0.0.1:${PORT}/api/health`,
    reuseExistingServer: false,
    gracefulShutdown: { signal: 'SIGTERM', timeout: 8000 },
    timeout: 120_000,
  },
});
