import { useState } from 'react';
import { render } from '@testing-library/react';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { MemoryRouter } from 'react-router';
import { applyPatch, type Job, type StationId } from '@kolleta/core/job';
import { readJobFile, writeJobFile, type Workshop } from '@kolleta/core/jobFile';
import { Memo, planWorkshop } from '@kolleta/core/plan';
import { shippedFaces } from '../../core/test/faces';
import { DEMO_START, demoWorkshop } from '../../core/test/sampleJobs';
import type { JobChange } from '../src/storage/editJob';
import { WorkshopContext } from '../src/storage/useWorkshop';
import type { StationProps } from '../src/frame/station';
import { SettlingContext, type SettledPlan } from '../src/workers/settled';
import { PlanContext } from '../src/workers/usePlan';

type View = (props: StationProps & { station: StationId }) => React.ReactNode;

const faces = shippedFaces();

/**
 * A station at work: every edit is made, planned again and shown, and has to be one that a job file takes.
 *
 * @param fresh whether the plan is said to be that of the last edit
 */
export function liveStation(View: View, station: StationId, id: string, begin: (job: Job) => Job = (job) => job, fresh = true) {
  const demo: Workshop = demoWorkshop();
  const memo = new Memo();
  const state: { job: Job; labels: string[]; settled?: SettledPlan } = { job: begin(demo.jobs.find((j) => j.id === id)!), labels: [] };
  function Live() {
    const [job, setJob] = useState(state.job);
    const [mark, chooseMark] = useState(job.marks[0]?.id);
    // a first look is enough for words: readings of thin parts take longest
    const plan = planWorkshop([job], demo.shop, [], DEMO_START, faces, memo, { effort: 'quick' });
    state.settled = { plan, state: { shop: demo.shop, jobs: [job], events: [], isDemo: true, saves: 0 } };
    const edit = (change: JobChange, label: string) => {
      const patch = typeof change === 'function' ? change(state.job) : change;
      const next = applyPatch(state.job, patch).document;
      const read = readJobFile(writeJobFile(next), 'job');
      if (!read.ok) throw new Error(`“${label}” made a job that no file takes: ${read.problem.found}`);
      state.job = next;
      state.labels.push(label);
      setJob(next);
    };
    return (
      <PlanContext.Provider value={plan}>
        <View
          job={job}
          plan={plan.jobs.get(id)!}
          shop={demo.shop}
          edit={edit}
          fix={(_, remedy) => edit(() => remedy.patch, remedy.label)}
          mark={job.marks.find((m) => m.id === mark) ?? job.marks[0]}
          chooseMark={chooseMark}
          station={station}
        />
      </PlanContext.Provider>
    );
  }
  render(
    <MemoryRouter>
      <QueryClientProvider client={new QueryClient()}>
        <SettlingContext.Provider value={{ fresh, settled: () => Promise.resolve(state.settled!) }}>
          <WorkshopContext.Provider value={{ shop: demo.shop, jobs: demo.jobs, events: demo.events, isDemo: true, saves: 0 }}>
            <Live />
          </WorkshopContext.Provider>
        </SettlingContext.Provider>
      </QueryClientProvider>
    </MemoryRouter>,
  );
  return state;
}
