import { defineConfig } from '@playwright/test';
import { CHROMIUM_ARGS, findChromium } from '../scripts/setup.mjs';

const PORT = Number(process.env['E2E_PORT'] ?? 4187);
const chromium = findChromium();

export default defineConfig({
  testDir: '.',
  // these end what hangs; they are far longer than a slowed browser needs, or a machine whose cores are lent to others for minutes
  timeout: 1_200_000,
  expect: { timeout: 240_000 },
  // two cores: one journey a core; those of one file go one after another
  workers: 2,
  forbidOnly: true,
  retries: 0,
  reporter: [['list'], ['json', { outputFile: '../.cache/e2e.json' }]],
  outputDir: '../.cache/e2e',
  use: {
    baseURL: `http://127.0.0.1:${PORT}/`,
    viewport: { width: 1280, height: 800 },
    trace: 'off',
    // the offline journeys allow it: elsewhere every start would fill a cache anew
    serviceWorkers: 'block',
    launchOptions: {
      ...(chromium ? { executablePath: chromium } : {}),
      args: CHROMIUM_ARGS,
    },
  },
  webServer: {
    command: 'node ../server/dist/main.js',
    env: { PORT: String(PORT) },
    url: `http://127.0.0.1:${PORT}/`,
    reuseExistingServer: false,
    stdout: 'ignore',
  },
});
