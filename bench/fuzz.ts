import { readFileSync } from 'node:fs';
import { Worker } from 'node:worker_threads';
import { mutated } from '../core/test/mutate';
import { demoWorkshop } from '../core/test/sampleJobs';
import { writeJobFile } from '../core/src/jobFile';
import { atMost, seeded, type Figure } from './figure';
import type { Verdict } from './fuzzWorker';

const SVG_CASES = 4000;
const FILE_CASES = 1500;
/** A case that takes longer hangs, ms. */
const LIMIT_MS = 5000;

const SVGS = [
  '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 90 60"><defs><linearGradient id="g"/><clipPath id="c"><circle r="20"/></clipPath></defs><g transform="translate(5 5) scale(1.2)"><path fill="#0e5a61" d="M0 0h40v20c-5 8-9 9-20 2z"/><circle cx="60" cy="20" r="9" style="fill:rgb(217,142,22)"/><rect x="2" y="30" width="30" height="9" rx="2" fill-rule="evenodd" clip-path="url(#c)"/><polygon points="50,30 60,50 40,50"/></g></svg>',
  '<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" width="40mm" height="30mm" viewBox="-5 -5 50 40"><style>.a{fill:#ad3f27}</style><script>globalThis.ranScript = true</script><symbol id="s"><path d="M0 0l9 3l-4 8z"/></symbol><use xlink:href="#s" x="4"/><path class="a" d="M1 1a8 5 20 1 0 9 2zM3 3q4 4 9 0t9 9" stroke="#000" stroke-width="2" stroke-dasharray="3 2"/><image href="http://example.invalid/x.png"/><text x="3" y="9">Tern</text></svg>',
];

/** One worker that is thrown away when it hangs. */
class Runner {
  #worker = this.#start();
  #start() {
    const file = JSON.stringify(new URL('./fuzzWorker.ts', import.meta.url).href);
    // Node 20 reads TypeScript in a worker only when it is told how there
    return new Worker(`import('tsx/esm/api').then(({ register }) => { register(); return import(${file}); })`, { eval: true });
  }
  run(kind: 'svg' | 'file', text: string): Promise<Verdict & { ms: number }> {
    const start = performance.now();
    return new Promise((resolve) => {
      const end = (verdict: Verdict) => {
        clearTimeout(timer);
        this.#worker.removeAllListeners('message');
        resolve({ ...verdict, ms: performance.now() - start });
      };
      // a worker takes a while to load before its first answer
      const timer = setTimeout(() => {
        void this.#worker.terminate();
        this.#worker = this.#start();
        end({ outcome: 'wrong', why: 'it hung' });
      }, LIMIT_MS);
      this.#worker.once('message', end);
      this.#worker.postMessage({ kind, text });
    });
  }
  end(): void {
    void this.#worker.terminate();
  }
}

/** Broken SVG and job files by the thousand: each is taken or refused with a sentence, in time. */
export async function fuzzFigures(): Promise<Figure[]> {
  const demo = demoWorkshop();
  const files = [...demo.jobs.map(writeJobFile), readFileSync('demo/workshop.json', 'utf8')];
  const random = seeded(20261124);
  const runner = new Runner();
  await runner.run('svg', SVGS[0]!);
  const figures: Figure[] = [];
  for (const [name, kind, cases, seeds] of [
    ['svg', 'svg', SVG_CASES, SVGS],
    ['files', 'file', FILE_CASES, files],
  ] as const) {
    let [wrong, taken, slowest] = [0, 0, 0];
    for (let i = 0; i < cases; i++) {
      const text = mutated(seeds[i % seeds.length]!, random, 1 + Math.floor(random() * 6));
      const verdict = await runner.run(kind, text);
      slowest = Math.max(slowest, verdict.ms);
      if (verdict.outcome === 'taken') taken += 1;
      if (verdict.outcome === 'wrong') {
        wrong += 1;
        if (wrong <= 3) console.log(`  ${name} case ${i}: ${verdict.why}\n  ${text.slice(0, 300)}`);
      }
    }
    figures.push(
      { name: `fuzz/${name}-cases`, value: cases, unit: '', goal: 'run', holds: true },
      { name: `fuzz/${name}-taken`, value: taken, unit: '', goal: 'some', holds: taken > cases / 50 },
      { name: `fuzz/${name}-wrong`, value: wrong, unit: '', goal: 'none', holds: wrong === 0 },
      atMost(`fuzz/${name}-slowest`, slowest, LIMIT_MS, 'ms'),
    );
  }
  runner.end();
  return figures;
}
