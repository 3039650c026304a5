import { spawn } from 'node:child_process';
import { chromium, type Browser } from '@playwright/test';
import { CHROMIUM_ARGS, findChromium } from '../scripts/setup.mjs';

const PORT = 4191;

/** Runs something against the built application in a real browser, and ends both afterwards. */
export async function inBrowser<T>(measure: (browser: Browser, address: string) => Promise<T>): Promise<T> {
  const server = spawn(process.execPath, ['server/dist/main.js'], { env: { ...process.env, PORT: String(PORT) }, stdio: 'ignore' });
  const browser = await chromium.launch({ executablePath: findChromium(), args: CHROMIUM_ARGS });
  try {
    const address = `http://127.0.0.1:${PORT}/`;
    const answers = () =>
      fetch(address).then(
        (r) => r.ok,
        () => false,
      );
    for (let i = 0; i < 50 && !(await answers()); i++) await new Promise((resolve) => setTimeout(resolve, 100));
    return await measure(browser, address);
  } finally {
    await browser.close();
    server.kill();
  }
}
