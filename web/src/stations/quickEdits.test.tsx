import { beforeAll, describe, expect, it } from '@jest/globals';
import { act, cleanup, fireEvent, render } from '@testing-library/react';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { useState } from 'react';
import { MemoryRouter } from 'react-router';
import { numbersFrom } from '@kolleta/core/geometry';
import { applyPatch, type Job, type StationId } from '@kolleta/core/job';
import type { Workshop } from '@kolleta/core/jobFile';
import { planWorkshop, type Plan } from '@kolleta/core/plan';
import { shippedFaces } from '../../../core/test/faces';
import { cases } from '../../../core/test/depth';
import { DEMO_START, demoWorkshop } from '../../../core/test/sampleJobs';
import type { JobChange } from '../storage/editJob';
import { WorkshopContext } from '../storage/useWorkshop';
import { SavedSoFar } from '../ui/held';
import { PlanContext } from '../workers/usePlan';
import { DrawStation } from './draw/DrawStation';
import { FitStation } from './fit/FitStation';
import type { StationProps } from '../frame/station';
import { MeasureStation } from './measure/MeasureStation';
import { StepsStation } from './steps/StepsStation';

type View = (props: StationProps & { station: StationId }) => React.ReactNode;

let demo: Workshop;
let plan: Plan;
beforeAll(() => {
  demo = demoWorkshop();
  plan = planWorkshop(demo.jobs, demo.shop, demo.events, DEMO_START, shippedFaces(), undefined, { effort: 'quick' });
});

/** A station over storage that answers when it is let: the screen shows the old job until then. */
function lateStation(View: View, station: StationId, begin: Job) {
  const state = { saved: begin, saves: 0 };
  const waiting: (() => void)[] = [];
  let show: (job: Job, saves: number) => void = () => undefined;
  function Late() {
    const [{ job, saves }, set] = useState({ job: begin, saves: 0 });
    show = (next, n) => set({ job: next, saves: n });
    const edit = (change: JobChange) =>
      new Promise<number>((resolve) => {
        waiting.push(() => {
          const patch = typeof change === 'function' ? change(state.saved) : change;
          state.saved = applyPatch(state.saved, patch).document;
          resolve(++state.saves);
        });
      });
    return (
      <SavedSoFar.Provider value={saves}>
        <View
          job={job}
          plan={plan.jobs.get(begin.id)!}
          shop={demo.shop}
          edit={edit}
          fix={() => undefined}
          mark={job.marks[0]}
          chooseMark={() => undefined}
          station={station}
        />
      </SavedSoFar.Provider>
    );
  }
  const { container } = render(
    <MemoryRouter>
      <QueryClientProvider client={new QueryClient()}>
        <WorkshopContext.Provider value={{ shop: demo.shop, jobs: demo.jobs, events: demo.events, isDemo: true, saves: 0 }}>
          <PlanContext.Provider value={plan}>
            <Late />
          </PlanContext.Provider>
        </WorkshopContext.Provider>
      </QueryClientProvider>
    </MemoryRouter>,
  );
  return {
    state,
    words: () => wordsOf(container),
    /** Lets the storage answer and the screen follow, until nothing is under way. */
    settle: () =>
      act(async () => {
        for (let quiet = 0; quiet < 3; quiet++) {
          const next = waiting.shift();
          if (next) {
            next();
            quiet = -1;
          }
          await new Promise((done) => setTimeout(done, 0));
          show(state.saved, state.saves);
        }
      }),
  };
}

interface Word {
  readonly label: string;
  /** Changes it as hands do, without waiting. */
  readonly change: () => void;
}

/** What is typed into a word: another number with its unit, or other words. */
function otherText(text: string): string {
  const number = /^−?-?\d+(?:[.,]\d+)?/.exec(text)?.[0];
  if (number === undefined) return `${text} x`.trim();
  const unit = text.slice(number.length);
  return `${Number(number.replace(',', '.').replace('−', '-')) + (/%|°|mm/.test(unit) ? 2 : 1)}${unit}`;
}

/** Every word of a station that can be changed. */
function wordsOf(container: HTMLElement): Word[] {
  const fields = [...container.querySelectorAll<HTMLInputElement | HTMLSelectElement>('input:not([type=file]):not([type=range]), select')];
  return fields.flatMap((field): Word[] => {
    const label = field.getAttribute('aria-label') ?? '';
    if (field instanceof HTMLSelectElement) {
      const options = [...field.options].map((option) => option.value);
      const next = options[(options.indexOf(field.value) + 1) % options.length]!;
      // a drawing is asked for, and no file is chosen here
      return next === field.value || next === 'drawn'
        ? []
        : [{ label, change: () => fireEvent.change(field, { target: { value: next } }) }];
    }
    if (field.type === 'color') return [{ label, change: () => fireEvent.change(field, { target: { value: '#123456' } }) }];
    const text = otherText(field.value);
    return [
      {
        label,
        change: () => {
          fireEvent.focus(field);
          fireEvent.change(field, { target: { value: text } });
          fireEvent.keyDown(field, { key: 'Enter' });
        },
      },
    ];
  });
}

/** What a job holds, leaf by leaf. Ids that were made up on the way are not looked at. */
function leavesOf(value: unknown, path = '', leaves = new Map<string, string>()): Map<string, string> {
  if (typeof value !== 'object' || value === null) leaves.set(path, JSON.stringify(value) ?? 'undefined');
  else if (Array.isArray(value)) value.forEach((item, i) => leavesOf(item, `${path}/${i}`, leaves));
  else for (const [key, item] of Object.entries(value)) if (key !== 'id') leavesOf(item, `${path}/${key}`, leaves);
  return leaves;
}

const VIEWS: [StationId, View, string][] = [
  ['measure', MeasureStation, 'bailer-buckets'],
  ['measure', MeasureStation, 'honour-board'],
  ['draw', DrawStation, 'crew-flasks'],
  ['draw', DrawStation, 'tankards'],
  ['fit', FitStation, 'regatta-prizes'],
  ['paint', StepsStation, 'honour-board'],
];
/** Pairs tried of each station. */
const PAIRS = cases(3, 40);

/** Whether two leaves are the same; measures that were scaled back and forth are so within a millionth. */
const same = (a: string | undefined, b: string | undefined): boolean =>
  a === b || (a !== undefined && b !== undefined && Math.abs(Number(a) - Number(b)) <= 1e-6 * Math.abs(Number(a)));

describe.each(VIEWS)('at %s', (station, View, id) => {
  const after = async (run: (words: () => Word[], settle: () => Promise<void>) => Promise<void> | void): Promise<Map<string, string>> => {
    const { state, words, settle } = lateStation(
      View,
      station,
      demo.jobs.find((j) => j.id === id)!,
    );
    await run(words, settle);
    await settle();
    cleanup();
    return leavesOf(state.saved);
  };
  it(`any two words of ${id} that are changed without waiting both stand`, async () => {
    const base = leavesOf(demo.jobs.find((j) => j.id === id));
    const names: string[] = [];
    await after((words) => void names.push(...words().map(({ label }) => label)));
    expect(names.length).toBeGreaterThan(1);
    const alone = new Map<number, Map<string, string>>();
    const changed = async (i: number) => {
      if (!alone.has(i)) alone.set(i, await after((words) => words()[i]!.change()));
      return alone.get(i)!;
    };
    const random = numbersFrom(7);
    for (let pair = 0; pair < PAIRS; pair++) {
      const [i, k] = [Math.floor(random() * names.length), Math.floor(random() * names.length)];
      const [one, other] = [await changed(i), await changed(k)];
      let there = true;
      const waited = await after(async (words, settle) => {
        words()[i]!.change();
        await settle();
        const second = words().find(({ label }) => label === names[k]);
        there = second !== undefined;
        second?.change();
      });
      // the first may have taken the second word off the screen
      if (!there || i === k || names[i] === names[k]) continue;
      const quick = await after((words) => {
        const all = words();
        all[i]!.change();
        all[k]!.change();
      });
      for (const path of new Set([...one.keys(), ...other.keys(), ...waited.keys(), ...quick.keys()])) {
        const were = base.get(path);
        const may = [waited, one, other].map((leaves) => leaves.get(path)).filter((leaf) => leaf !== were || waited.get(path) === were);
        expect([
          names[i],
          names[k],
          path,
          may.some((leaf) => same(leaf, quick.get(path))) ? 'stands' : `${quick.get(path)} for ${may.join(' or ')}`,
        ]).toEqual([names[i], names[k], path, 'stands']);
      }
    }
  });
});
