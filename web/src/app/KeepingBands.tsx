import { useEffect, useState } from 'react';
import { keepingNow, letGo, tryAgain, withUnkept, type Trouble } from '../storage/keeping';
import { takeOver } from '../storage/pen';
import { saveWorkshopFile } from '../storage/saveWorkshopFile';
import { useKeeping } from '../storage/useKeeping';
import type { WorkshopState } from '../storage/useWorkshop';
import { putWorkshopBack } from '../storage/workshop';
import { useTell } from '../ui/toasts';
import { useSettling } from '../workers/settled';
import { Band, BandButton } from './Band';

const WAY_OUT = {
  full: 'Save everything as a file, free space on the device or in the browser, then try again. Do not close or reload this tab before.',
  failed: 'Save everything as a file, then try again. Do not close or reload this tab before.',
  gone: 'Save everything as a file, then put it back. Do not close or reload this tab before.',
};

function TroubleBand({ trouble, state }: { trouble: Trouble; state: WorkshopState }) {
  const tell = useTell();
  const names = trouble.unkept.map((one) => `“${one.label}”`);
  const again = async () => {
    const { done, lost } = await tryAgain();
    if (lost.length > 0) tell(`Could not be done any more: ${lost.join(', ')}. What it was about is gone.`, { tone: 'error' });
    else if (done) tell('Everything is saved now.');
  };
  const back = async () => {
    const { shop, jobs, events } = withUnkept(state, keepingNow().trouble);
    if (await putWorkshopBack({ shop, jobs, events }, state.isDemo)) tell('Everything is saved here again. Undo begins anew.');
  };
  // a tab that holds what is saved nowhere else is not left without a word
  useEffect(() => {
    const ask = (event: BeforeUnloadEvent) => event.preventDefault();
    window.addEventListener('beforeunload', ask);
    return () => window.removeEventListener('beforeunload', ask);
  }, []);
  return (
    <Band tone="error" label="Not saved">
      <p className="min-w-0 flex-1 leading-snug">
        <strong>{trouble.says}</strong>{' '}
        {names.length > 0 &&
          `${names.length === 1 ? `${names[0]} is` : `${names.length > 3 ? `${names.length} changes, the last ` : ''}${names.slice(-3).join(', ')} are`} held in this tab only. `}
        {WAY_OUT[trouble.kind]}
      </p>
      <BandButton onClick={() => void saveWorkshopFile(state)}>Save everything as a file</BandButton>
      {trouble.kind === 'gone' ? (
        <BandButton onClick={() => void back()}>Put it back</BandButton>
      ) : (
        <>
          <BandButton onClick={() => void again()}>Try again</BandButton>
          <BandButton onClick={letGo}>Let it go</BandButton>
        </>
      )}
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
export function KeptWord({ state }: { state: WorkshopState }) {
  const { saving, writes, trouble, pen } = useKeeping();
  const { fresh, settled } = useSettling();
  // right after a save the screen still shows what was before it, with its plan: that is not the plan of the save
  const [seen, setSeen] = useState<{ state: WorkshopState; writes: number }>();
  useEffect(() => {
    if (saving > 0 || !fresh) return undefined;
    let over = false;
    settled().then(
      (now) => over || setSeen({ state: now.state, writes }),
      () => undefined,
    );
    return () => void (over = true);
  }, [saving, writes, fresh, state, settled]);
  const word = trouble ? 'not saved' : saving > 0 ? 'saving…' : pen === false ? 'reading' : 'saved';
  return (
    <span
      className="quiet-on-dark measure max-sm:sr-only text-[0.75rem]"
      data-kept={word}
      data-plan={saving === 0 && fresh && seen?.writes === writes && seen.state === state ? 'fresh' : 'working'}
      title="Every change is written to this browser at once."
    >
      {word}
    </span>
  );
}
