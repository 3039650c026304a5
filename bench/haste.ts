// Longer than 300 lines: the four faults of haste share how they type, press and look at what was saved.
import { spawn } from 'node:child_process';
import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { inBrowser } from './inBrowser';
import { seeded, type Figure } from './figure';

const none = (name: string, value: number, of: number): Figure => ({ name, value, unit: '', goal: `none of ${of}`, holds: value === 0 });

const saved = (page: Page) =>
  page
    .locator('[data-kept]')
    .filter({ hasText: /^saved$/ })
    .waitFor();
const planned = (page: Page) => page.locator('[data-plan=fresh]').waitFor({ state: 'attached', timeout: 120_000 });

async function openDemo(page: Page, address: string, path: string): Promise<void> {
  // the runner names inner functions by a helper that the page does not have
  await page.addInitScript({ content: 'globalThis.__name = (f) => f;' });
  await page.goto(address);
  await page.getByRole('button', { name: 'Done' }).first().waitFor();
  await page.goto(`${address}#${path}`);
  await saved(page);
  await planned(page);
}

/**
 * Texts typed into words of two stations at five paces, on a processor slowed 1, 4 and 8 times: how many did not arrive whole, with the
 * caret in its place.
 */
async function typing(page: Page, address: string): Promise<Figure> {
  const fields: [string, string, string][] = [
    ['/job/regatta-prizes/draw', 'Line 1', 'Quillfeather & Sons 1947'],
    ['/job/regatta-prizes/draw', 'Line 3', 'Éire, første båt'],
    ['/job/regatta-prizes/measure', 'Client', 'Tern Point — juniors'],
    ['/job/regatta-prizes/measure', 'Name of the zone', 'Front, below the lip'],
    ['/quick', 'Word', 'Galley & Mess'],
  ];
  const session = await page.context().newCDPSession(page);
  let [lost, tried] = [0, 0];
  for (const [path, label, text] of fields) {
    await page.goto(`${address}#${path}`);
    const field = page.getByLabel(label, { exact: true });
    await field.waitFor();
    for (const rate of [1, 4, 8]) {
      for (const delay of [0, 10, 30, 80, 150]) {
        await session.send('Emulation.setCPUThrottlingRate', { rate });
        await field.fill('');
        await field.pressSequentially(text, { delay });
        for (let i = 0; i < 4; i++) await page.keyboard.press('ArrowLeft');
        await page.keyboard.press('Backspace');
        await page.keyboard.type('xy', { delay });
        const wanted = `${text.slice(0, -5)}xy${text.slice(-4)}`;
        const got = await field.evaluate((f: HTMLInputElement) => [f.value, f.selectionStart] as const);
        if (label === 'Client' || label.startsWith('Name')) await field.press('Enter');
        await session.send('Emulation.setCPUThrottlingRate', { rate: 1 });
        await saved(page);
        tried += 1;
        if (got[0] !== wanted || got[1] !== wanted.length - 4 || (await field.inputValue()) !== wanted) lost += 1;
      }
    }
  }
  return none('fault/typing', lost, tried);
}

/** So many pairs of words are changed without waiting. */
const PAIRS = 560;

/** Random pairs of words of three stations, changed without waiting for each other: how many lost one of the two. */
async function quickEdits(page: Page, address: string): Promise<Figure> {
  const random = seeded(91);
  let [lost, tried] = [0, 0];
  for (const path of ['/job/bailer-buckets/measure', '/job/crew-flasks/draw', '/job/regatta-prizes/fit']) {
    await page.goto(`${address}#${path}`);
    await page.getByRole('navigation', { name: 'Stations' }).waitFor();
    await planned(page);
    const id = path.split('/')[2]!;
    /** Changes words, by their places, in one go, and gives the job as it is saved then. */
    const change = async (places: readonly number[]): Promise<Map<string, string>> => {
      await page.evaluate((all) => {
        const fields = [
          ...document.querySelectorAll<HTMLInputElement | HTMLSelectElement>(
            'main section input:not([type=file]):not([type=range]):not([type=color]), main section select',
          ),
        ];
        const put = (field: HTMLInputElement | HTMLSelectElement, value: string, kind: string) => {
          Object.getOwnPropertyDescriptor(
            field instanceof HTMLSelectElement ? HTMLSelectElement.prototype : HTMLInputElement.prototype,
            'value',
          )!.set!.call(field, value);
          field.dispatchEvent(new Event(kind, { bubbles: true }));
        };
        for (const place of all) {
          const field = fields[place]!;
          if (field instanceof HTMLSelectElement) {
            const options = [...field.options].map((o) => o.value);
            put(field, options[(options.indexOf(field.value) + 1) % options.length]!, 'change');
          } else {
            const number = /^-?\d+(\.\d+)?/.exec(field.value)?.[0];
            put(field, number === undefined ? `${field.value} x` : `${Number(number) + 2}${field.value.slice(number.length)}`, 'input');
            field.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true }));
          }
        }
      }, places);
      await saved(page);
      return leaves();
    };
    const leaves = async (): Promise<Map<string, string>> => {
      const job = await page.evaluate(
        (key) =>
          new Promise<unknown>((resolve) => {
            const open = indexedDB.open('kolleta-demo');
            open.onsuccess = () => {
              const get = open.result.transaction('jobs').objectStore('jobs').get(key);
              get.onsuccess = () => {
                open.result.close();
                resolve(get.result);
              };
            };
          }),
        id,
      );
      const found = new Map<string, string>();
      const visit = (value: unknown, at: string) => {
        if (typeof value !== 'object' || value === null) found.set(at, JSON.stringify(value) ?? '');
        else for (const [key, item] of Object.entries(value)) if (key !== 'id') visit(item, `${at}/${key}`);
      };
      visit(job, '');
      return found;
    };
    const base = await leaves();
    // measures that were scaled back and forth are the same within a millionth
    const alike = (a: string | undefined, b: string | undefined) =>
      a === b || (a !== undefined && b !== undefined && Math.abs(Number(a) - Number(b)) <= 1e-6 * Math.abs(Number(a)));
    const same = (a: Map<string, string>) => a.size === base.size && [...a].every(([key, value]) => alike(base.get(key), value));
    const back = async () => {
      for (let i = 0; !same(await leaves()); i++) {
        if (i > 30) throw new Error(`${path}: undo does not lead back`);
        await page.keyboard.press('Control+z');
        await saved(page);
        await page.waitForTimeout(30);
      }
      await planned(page);
    };
    const count = await page.evaluate(
      () =>
        document.querySelectorAll('main section input:not([type=file]):not([type=range]):not([type=color]), main section select').length,
    );
    const labels = () =>
      page.evaluate(() =>
        [...document.querySelectorAll('main section input:not([type=file]):not([type=range]):not([type=color]), main section select')].map(
          (field) => field.getAttribute('aria-label'),
        ),
      );
    const names = await labels();
    /** Whether two changes made one after the other, with waiting, give the same job. */
    const sameInTurn = async (i: number, k: number, both: Map<string, string>): Promise<boolean> => {
      await back();
      await change([i]);
      await planned(page);
      const place = (await labels()).indexOf(names[k]!);
      if (place < 0) return true;
      const turn = await change([place]);
      return turn.size === both.size && [...turn].every(([key, value]) => alike(both.get(key), value));
    };
    const alone: Map<string, string>[] = [];
    for (let i = 0; i < count; i++) {
      alone.push(await change([i]));
      await back();
    }
    const differs = (leaf: Map<string, string>) =>
      new Set([...leaf.keys(), ...base.keys()].filter((key) => !alike(leaf.get(key), base.get(key))));
    for (let pair = 0; pair < PAIRS / 3; pair++) {
      const [i, k] = [Math.floor(random() * count), Math.floor(random() * count)];
      if (i === k) continue;
      const both = await change([i, k]);
      const [one, other] = [differs(alone[i]!), differs(alone[k]!)];
      // what only one of them changes may not be as it was before
      const gone = (own: Set<string>, others: Set<string>) =>
        [...own].some((key) => !others.has(key) && alike(both.get(key), base.get(key)));
      tried += 1;
      // one edit may take the other's word away, or round its measure off: then waiting in between gives the same
      if ((gone(one, other) || gone(other, one)) && !(await sameInTurn(i, k, both))) lost += 1;
      await back();
    }
  }
  return none('fault/quick-edits', lost, tried);
}

/** Words changed and cut files saved at once: how many held other outlines than those of the words. */
async function staleCuts(page: Page, address: string): Promise<Figure> {
  const random = seeded(5);
  const words = ['Avocet', 'Skua', 'Dunlin', 'Heron', 'Petrel', 'Knot', 'Gannet'];
  let [stale, tried] = [0, 0];
  await page.goto(`${address}#/job/regatta-prizes/draw`);
  const save = async () => {
    const download = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Save the cut file' }).click();
    return readFileSync(await (await download).path(), 'utf8');
  };
  for (let i = 0; i < 40; i++) {
    await page.getByRole('link', { name: /^Draw/ }).click();
    await page.getByLabel('Line 1', { exact: true }).fill(`${words[i % words.length]} ${i}`);
    await page.getByRole('link', { name: /^Cut/ }).click();
    await page.waitForTimeout(random() * 300);
    const quick = await save();
    await saved(page);
    await planned(page);
    tried += 1;
    if ((await save()) !== quick) stale += 1;
  }
  return none('fault/stale-cuts', stale, tried);
}

const path = (segments: unknown) => ({
  kind: 'drawing',
  name: 'odd',
  leftOut: [],
  parts: [{ id: 'p', colour: '#000000', fill: 'nonzero', path: segments }],
});
/** Jobs that have taken the plan from all others, as changes of a good one. */
function hostileJobs(): Record<string, (job: Record<string, unknown> & { marks: Record<string, unknown>[] }) => void> {
  const random = seeded(3);
  const place = () => [Math.round(random() * 1000), Math.round(random() * 1000)];
  return {
    scribble: (job) => (job.marks[0]!['artwork'] = path(Array.from({ length: 5000 }, (_, i) => [i === 0 ? 'M' : 'L', place()]))),
    curves: (job) =>
      (job.marks[0]!['artwork'] = path(Array.from({ length: 60_000 }, (_, i) => (i === 0 ? ['M', place()] : ['Q', place(), place()])))),
    copies: (job) => (job.marks[0]!['edits'] = [{ id: 'e', kind: 'repeat', across: 60, up: 60, gap: 1 }]),
    points: (job) =>
      (job.marks[0]!['artwork'] = path([
        ['M', [0, 0]],
        ['C', [1, 1]],
      ])),
    cone: (job) => ((job['piece'] as Record<string, unknown>)['shape'] = { kind: 'taper', rim: 80, foot: 0, height: 90 }),
    name: (job) => ((job.marks[0]!['artwork'] as { lines: { face: string }[] }).lines[0]!.face = 'constructor'),
    date: (job) => (job['deadline'] = Number.NaN),
    drop: (job) => {
      job['list'] = { columns: ['name'], rows: ['Bartholomew', 'l'].map((name, i) => ({ id: `r${i}`, cells: [name] })) };
      (job.marks[0]!['artwork'] as { lines: { text: string }[] }).lines[0]!.text = '{name}';
      job.marks[0]!['edits'] = [{ id: 'dropSmall', kind: 'dropSmall', below: 900, fillBelow: 1 }];
    },
  };
}

/** Each hostile job in the workshop, over a reload: how often another job was not planned. */
async function badJobs(page: Page, address: string): Promise<Figure> {
  let [harmed, tried] = [0, 0];
  for (const [name, spoil] of Object.entries(hostileJobs())) {
    const job = await page.evaluate(
      () =>
        new Promise<Record<string, unknown> & { marks: Record<string, unknown>[] }>((resolve) => {
          const open = indexedDB.open('kolleta-demo');
          open.onsuccess = () => {
            const get = open.result.transaction('jobs').objectStore('jobs').get('boat-numbers');
            get.onsuccess = () => (open.result.close(), resolve(get.result as never));
          };
        }),
    );
    const bad = structuredClone({ ...job, id: 'toString', name: `Hostile ${name}` });
    spoil(bad);
    await page.evaluate(
      ({ put, date }: { put: Record<string, unknown>; date: boolean }) =>
        new Promise<void>((resolve) => {
          const open = indexedDB.open('kolleta-demo');
          open.onsuccess = () => {
            const all = open.result.transaction('jobs', 'readwrite').objectStore('jobs');
            all.put(date ? { ...put, deadline: Number.NaN } : put).onsuccess = () => (open.result.close(), resolve());
          };
        }),
      {
        put: { ...(bad as object), ...(name === 'date' ? { deadline: undefined } : {}) } as Record<string, unknown>,
        date: name === 'date',
      },
    );
    await page.goto('about:blank');
    await page.goto(`${address}#/jobs`);
    await planned(page);
    const cards = page.getByRole('listitem').filter({ hasText: 'packed' });
    const others = await cards.filter({ hasNotText: 'Hostile' }).count();
    tried += 1;
    if (others < 6) harmed += 1;
  }
  return none('fault/bad-jobs', harmed, tried);
}

/** So many processes do nothing but work, and so many edits are made beside them. */
const BUSY = 6;
const BUSY_EDITS = 30;

/** The jobs as they are shown, once the plan is there. */
async function shownJobs(page: Page, address: string): Promise<string> {
  await page.goto(`${address}#/jobs`);
  await saved(page);
  await planned(page);
  return page.getByRole('main').innerText();
}

/** Edits beside processes that take all cores: how many are not there afterwards, jobs that are set aside, and what is shown otherwise than at rest. */
async function busyMachine(page: Page, address: string): Promise<Figure> {
  const busy = Array.from({ length: BUSY }, () => spawn(process.execPath, ['-e', 'for (;;);'], { stdio: 'ignore' }));
  let wrong = 0;
  const stations = ['regatta-prizes/measure', 'honour-board/measure', 'crew-flasks/measure', 'tankards/measure', 'door-hours/measure'];
  let shown: string;
  try {
    for (let i = 0; i < BUSY_EDITS; i++) {
      await page.goto(`${address}#/job/${stations[i % stations.length]!}`);
      const client = page.getByLabel('Client', { exact: true });
      await client.fill(`Client ${i}`);
      await client.press('Enter');
    }
    shown = await shownJobs(page, address);
  } finally {
    for (const one of busy) one.kill('SIGKILL');
  }
  for (let i = BUSY_EDITS - stations.length; i < BUSY_EDITS; i++) if (!shown.includes(`Client ${i}`)) wrong += 1;
  if (/set aside/i.test(shown)) wrong += 1;
  await page.reload();
  if ((await shownJobs(page, address)) !== shown) wrong += 1;
  return none('fault/busy-machine', wrong, BUSY_EDITS);
}

/** Measures in a browser of its own, with the demo workshop open. */
const inDemo = (measure: (page: Page, address: string) => Promise<Figure>) => (): Promise<Figure[]> =>
  inBrowser(async (browser, address) => {
    const context = await browser.newContext({ viewport: { width: 1280, height: 900 }, acceptDownloads: true });
    const page = await context.newPage();
    // what hangs is ended by this; a busy machine is not
    page.setDefaultTimeout(180_000);
    await openDemo(page, address, '/job/regatta-prizes/draw');
    const figure = await measure(page, address);
    await context.close();
    return [figure];
  });

/** What haste and bad jobs do: nothing lost, nothing stale, nobody else harmed. */
export const HASTE: [string, () => Promise<Figure[]>][] = [
  ['fault/typing', inDemo(typing)],
  ['fault/quick-edits', inDemo(quickEdits)],
  ['fault/stale-cuts', inDemo(staleCuts)],
  ['fault/bad-jobs', inDemo(badJobs)],
  ['fault/busy-machine', inDemo(busyMachine)],
];
