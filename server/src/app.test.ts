import { mkdtempSync, mkdirSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, relative } from 'node:path';
import { beforeAll, describe, expect, it } from '@jest/globals';
import type { Hono } from 'hono';
import { createApp } from './app';

let app: Hono;
beforeAll(() => {
  const root = mkdtempSync(join(tmpdir(), 'kolleta-'));
  mkdirSync(join(root, 'assets'));
  writeFileSync(join(root, 'index.html'), '<!doctype html><title>Kolleta</title>');
  writeFileSync(join(root, 'assets/a-1234.js'), 'export {}');
  writeFileSync(join(root, '..', 'outside.txt'), 'not to be served');
  app = createApp(relative(process.cwd(), root));
});
const get = (path: string) => app.request(`http://127.0.0.1${path}`);

describe('the server', () => {
  it('serves the page under a strict policy, asked for anew each time', async () => {
    const page = await get('/');
    expect(page.status).toBe(200);
    expect(await page.text()).toContain('Kolleta');
    const policy = page.headers.get('content-security-policy') ?? '';
    for (const part of ["default-src 'self'", "script-src 'self'", "connect-src 'self'", "object-src 'none'", "frame-ancestors 'none'"])
      expect(policy).toContain(part);
    // the engine that sets letters is WebAssembly; no text is ever run
    expect(policy).toContain("'wasm-unsafe-eval'");
    expect(policy).not.toContain("'unsafe-eval'");
    expect(page.headers.get('cache-control')).toBe('no-cache');
    expect(page.headers.get('x-content-type-options')).toBe('nosniff');
  });
  it('keeps what carries its hash in its name', async () => {
    const script = await get('/assets/a-1234.js');
    expect(script.headers.get('content-type')).toMatch(/javascript/);
    expect(script.headers.get('cache-control')).toContain('immutable');
  });
  it.each(['/assets/gone.js', '/job/x/fit', '/favicon.ico', '/../outside.txt', '/%2e%2e/outside.txt', '/..%2foutside.txt'])(
    '%s is 404, never the page',
    async (path) => {
      const answer = await get(path);
      expect(answer.status).toBe(404);
      expect(await answer.text()).not.toContain('Kolleta');
      // it may be there after the next build
      expect(answer.headers.get('cache-control')).toBe('no-store');
    },
  );
  it.each(['evil.example', 'evil.example:4173', '127.0.0.1.evil.example', 'localhost.evil.example', '0.0.0.0', ''])(
    'a page that makes the name “%s” point here is not answered',
    async (host) => {
      for (const path of ['/', '/assets/a-1234.js', '/api/cutter']) {
        const answer = await app.request(`http://127.0.0.1${path}`, { headers: { host } });
        expect(answer.status).toBe(421);
        expect(await answer.text()).not.toContain('<title>');
      }
    },
  );
  it.each(['127.0.0.1:4173', 'localhost', 'LOCALHOST:80', '[::1]:4173'])('it answers to its own name %s', async (host) => {
    expect((await app.request('http://127.0.0.1/', { headers: { host } })).status).toBe(200);
  });
});
