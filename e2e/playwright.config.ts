import { defineConfig } from '@playwright/test';
import { CHROMIUM_ARGS, findChromium } from '../scripts/setup.mjs';

const chromium = findChromium();
/** What hangs is ended after so long, ms: far longer than a slowed browser needs, or a machine whose cores are lent to others for minutes. */
const PATIENCE_MS = Number(process.env['E2E_PATIENCE'] ?? 240) * 1000;

export default defineConfig({
  testDir: '.',
  timeout: 1_200_000,
  expect: { timeout: PATIENCE_MS },
  // two cores: one journey a core, and one more for while the others wait; each with a server of its own
  workers: 3,
  fullyParallel: true,
  forbidOnly: true,
  retries: 0,
  reporter: [['list'], ['json', { outputFile: '../.cache/e2e.json' }]],
  outputDir: '../.cache/e2e',
  use: {
    contextOptions: { reducedMotion: 'reduce' },
    viewport: { width: 1280, height: 800 },
    trace: 'off',
    actionTimeout: PATIENCE_MS,
    // the offline journeys allow it: elsewhere every start would fill a cache anew
    serviceWorkers: 'block',
    launchOptions: {
      ...(chromium ? { executablePath: chromium } : {}),
      // a page lives for seconds: what its scripts are compiled to at last would cost more than it saves
      args: [...CHROMIUM_ARGS, '--js-flags=--no-turbofan'],
    },
  },
});
