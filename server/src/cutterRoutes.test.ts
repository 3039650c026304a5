import { describe, expect, it } from '@jest/globals';
import { cutterHost, type HostOrder } from '@kolleta/core/cut';
import { cutterRoutes } from './cutterRoutes';

let clock = 0;
const start = () => cutterRoutes(cutterHost(() => clock, 1));
const give = (app: ReturnType<typeof start>, order: HostOrder | object | string, headers: Record<string, string> = {}) =>
  app.request('http://127.0.0.1:4173/', {
    method: 'POST',
    headers: { 'content-type': 'application/json', host: '127.0.0.1:4173', ...headers },
    body: typeof order === 'string' ? order : JSON.stringify(order),
  });
const square = 'IN;PU0,0;PD400,0,400,400,0,400,0,0;PU0,0;';

describe('the cutter over HTTP', () => {
  it('takes film and a job, and tells how far it is as time passes', async () => {
    const app = start();
    await give(app, { kind: 'load', film: { width: 100, length: 200 } });
    expect(await (await give(app, { kind: 'send', run: 'r', hpgl: square })).json()).toMatchObject({
      phase: 'cutting',
      run: 'r',
      strokes: 0,
    });
    clock += 60_000;
    const report = await app.request('http://127.0.0.1:4173/');
    expect(report.headers.get('cache-control')).toBe('no-store');
    expect(await report.json()).toMatchObject({ phase: 'done', strokes: 1 });
  });
  it('works at the pace that it is given', async () => {
    const app = start();
    await give(app, { kind: 'load', film: { width: 100, length: 200 } });
    await give(app, { kind: 'pace', times: 0.001 });
    await give(app, { kind: 'send', run: 'r', hpgl: square });
    clock += 1000;
    expect(await (await app.request('http://127.0.0.1:4173/')).json()).toMatchObject({ phase: 'cutting', strokes: 0 });
    await give(app, { kind: 'pace', times: 1000 });
    clock += 1000;
    expect(await (await app.request('http://127.0.0.1:4173/')).json()).toMatchObject({ phase: 'done', strokes: 1 });
  });
  it('does not answer while its cable is pulled, and cuts on meanwhile', async () => {
    const app = start();
    await give(app, { kind: 'load', film: { width: 100, length: 200 } });
    await give(app, { kind: 'send', run: 'r', hpgl: square });
    expect((await give(app, { kind: 'unplug' })).status).toBe(204);
    clock += 60_000;
    expect((await app.request('http://127.0.0.1:4173/')).status).toBe(204);
    expect((await give(app, { kind: 'stop' })).status).toBe(204);
    expect(await (await give(app, { kind: 'plug' })).json()).toMatchObject({ phase: 'done', strokes: 1 });
  });
  it.each([
    ['{', 400],
    [{ kind: 'explode' }, 400],
    [{ kind: 'load', film: { width: 'wide', length: 1 } }, 400],
    [{ kind: 'send', run: 'r' }, 400],
    [{ kind: 'pace', times: 0 }, 400],
    [{ kind: 'pace', times: 1e9 }, 400],
    [{ kind: 'set', machine: { rollFed: true, step: 0, knife: 1, travel: 1, origin: { x: 0, y: 0 } } }, 400],
    ['null', 400],
  ])('%j is no order', async (order, status) => {
    const app = start();
    expect((await give(app, order)).status).toBe(status);
    expect(await (await app.request('http://127.0.0.1:4173/')).json()).toMatchObject({ phase: 'idle' });
  });
  it('takes no order from a page of another place, nor one that is not JSON', async () => {
    const app = start();
    expect((await give(app, { kind: 'stop' }, { origin: 'http://example.invalid' })).status).toBe(403);
    expect((await give(app, { kind: 'stop' }, { 'content-type': 'text/plain' })).status).toBe(400);
    expect((await give(app, { kind: 'stop' }, { origin: 'http://127.0.0.1:4173' })).status).toBe(200);
  });
  it.each(['null', '', 'nonsense', 'http://', 'https://127.0.0.1:4173', 'http://127.0.0.1:80', 'http://evil.example:4173'])(
    'refuses the origin “%s”',
    async (origin) => expect((await give(start(), { kind: 'stop' }, { origin })).status).toBe(403),
  );
  it('refuses a page that came by another name for this machine, whatever origin it says', async () => {
    const host = 'evil.example:4173';
    expect((await give(start(), { kind: 'stop' }, { host, origin: `http://${host}` })).status).toBe(403);
  });
  it('refuses an order over 2 MB before it is read', async () => {
    let read = 0;
    const body = new ReadableStream({
      pull(controller) {
        read += 1;
        controller.enqueue(new Uint8Array(65_536));
        if (read > 1000) controller.close();
      },
    });
    const sent = (headers: Record<string, string>) =>
      start().request(
        new Request('http://127.0.0.1:4173/', {
          method: 'POST',
          headers: { 'content-type': 'application/json', host: '127.0.0.1:4173', ...headers },
          body,
          duplex: 'half',
        } as RequestInit),
      );
    const answer = await sent({ 'content-length': '60000000' });
    expect(answer.status).toBe(413);
    expect(await answer.text()).toMatch(/2 MB/);
    expect(read).toBeLessThan(5);
  });
});
