import { useEffect, useState } from 'react';
import { applyPatch, type Job } from '@kolleta/core/job';
import { download, fileName } from '../storage/download';
import { letGo, tryAgain, type Trouble } from '../storage/keeping';
import { takeOver } from '../storage/pen';
import { useKeeping } from '../storage/useKeeping';
import type { WorkshopState } from '../storage/useWorkshop';
import { useTell } from '../ui/toasts';
import { Band, BandButton } from './Band';

/** The jobs with the changes in them that the storage did not take. */
export function withUnkept(jobs: readonly Job[], trouble: Trouble): Job[] {
  return trouble.unkept.reduce<Job[]>(
    (all, { edit }) =>
      edit
        ? all.map((job) =>
            job.id === edit.job ? applyPatch(job, typeof edit.change === 'function' ? edit.change(job) : edit.change).document : job,
          )
        : all,
    [...jobs],
  );
}

/** Saves the whole workshop as a file. */
export async function saveWorkshopFile(state: WorkshopState, jobs: readonly Job[] = state.jobs): Promise<void> {
  const { writeWorkshopFile } = await import('@kolleta/core/jobFile');
  const { shop, events } = state;
  download(`${fileName(shop.name)}.kolleta-workshop.json`, writeWorkshopFile({ shop, jobs: [...jobs], events }), 'application/json');
}

function TroubleBand({ trouble, state }: { trouble: Trouble; state: WorkshopState }) {
  const tell = useTell();
  const names = trouble.unkept.map((one) => `“${one.label}”`);
  const again = async () => {
    if (await tryAgain()) tell('Everything is kept now.');
  };
  return (
    <Band tone="error" label="Not kept">
      <p className="min-w-0 flex-1 leading-snug">
        <strong>{trouble.says}</strong> {names.length === 1 ? `${names[0]} is` : `${names.slice(-3).join(', ')} are`} held in this tab only.{' '}
        {trouble.kind === 'full'
          ? 'Save everything as a file, free space on the device or in the browser, then try again. Do not close the tab before.'
          : 'Save everything as a file, then try again or reload.'}
      </p>
      <BandButton onClick={() => void saveWorkshopFile(state, withUnkept(state.jobs, trouble))}>Save everything as a file</BandButton>
      <BandButton onClick={() => void again()}>Try again</BandButton>
      <BandButton onClick={letGo}>Let it go</BandButton>
    </Band>
  );
}

/** Above this share of its room the browser is asked to be told about. */
const NEARLY_FULL = 0.9;

/** Tells that the room is nearly full before it is. */
function useNearlyFull(changed: unknown): { used: number; room: number } | undefined {
  const [full, setFull] = useState<{ used: number; room: number }>();
  useEffect(() => {
    void navigator.storage?.estimate?.().then(({ usage = 0, quota = 0 }) => {
      setFull(quota > 0 && usage > NEARLY_FULL * quota ? { used: usage, room: quota } : undefined);
    });
  }, [changed]);
  return full;
}

const megabytes = (bytes: number) => `${(bytes / 1e6).toFixed(bytes < 1e7 ? 1 : 0)} MB`;

/** What the storage has to say: not kept, nearly full, another tab writes. */
export function KeepingBands({ state }: { state: WorkshopState }) {
  const { pen, trouble, refusals } = useKeeping();
  const nearly = useNearlyFull(state);
  const tell = useTell();
  useEffect(() => {
    if (refusals > 0) tell('Nothing was changed: another tab is writing here. Take over in the band at the top.', { tone: 'error' });
  }, [refusals, tell]);
  return (
    <>
      {trouble && <TroubleBand trouble={trouble} state={state} />}
      {!trouble && nearly && (
        <Band tone="watch" label="Nearly full">
          <p className="min-w-0 flex-1">
            <strong>The browser’s room for Kolleta is nearly full</strong>: {megabytes(nearly.used)} of {megabytes(nearly.room)}. Save the
            workshop as a file and free some space before it is.
          </p>
          <BandButton onClick={() => void saveWorkshopFile(state)}>Save everything as a file</BandButton>
        </Band>
      )}
      {pen === false && (
        <Band tone="watch" label="Another tab writes">
          <p className="min-w-0 flex-1">
            <strong>Kolleta is open in another tab, and that one writes.</strong> Here you read, and see every change as it is made.
          </p>
          <BandButton onClick={takeOver}>Take over</BandButton>
        </Band>
      )}
    </>
  );
}

/** One quiet word: whether everything that the screen shows is on the disk. */
export function KeptWord() {
  const { saving, trouble, pen } = useKeeping();
  const word = trouble ? 'not kept' : saving > 0 ? 'keeping…' : pen === false ? 'reading' : 'kept';
  return (
    <span className="quiet-on-dark measure text-[0.75rem]" data-kept={word} title="Every change is written to this browser at once.">
      {word}
    </span>
  );
}
