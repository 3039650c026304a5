import { useState } from 'react';
import { CUT_FILES, nextTrial, testCutLayout, testCutsOf } from '@kolleta/core/cut';
import { CUT_OUTCOMES, type CutOutcome } from '@kolleta/core/facts';
import type { Film, Machine } from '@kolleta/core/job';
import { download, fileName } from '../storage/download';
import { logTestCut, reverseEvents } from '../storage/logEvent';
import { useWorkshop } from '../storage/useWorkshop';
import { OutcomeDrawing } from './OutcomeDrawing';
import { AmountWord } from '../ui/tokens';
import { useTell } from '../ui/toasts';
import { plannerWorker } from '../workers/plannerClient';

const OUTCOMES = Object.keys(CUT_OUTCOMES) as CutOutcome[];

/** The ladder of test cuts of a film on a machine with the blade that is in it: the next force to try, and what one sees of the last. */
export function TestCuts({ film, machine, onRight }: { film: Film; machine: Machine; onRight?: () => Promise<void> | void }) {
  const { events } = useWorkshop();
  const tell = useTell();
  const [typed, setTyped] = useState<number>();
  const tests = testCutsOf(events, film.id, machine.id);
  const trial = nextTrial(tests, { force: machine.force, speed: machine.speed });
  const force = typed ?? trial.force;
  const last = tests.at(-1);
  const speed = trial.speed === undefined ? {} : { speed: trial.speed };
  const note = async (outcome: CutOutcome) => {
    // what waited for it is told first: the test is no step any more once it is right
    if (outcome === 'clean') await onRight?.();
    const written = await logTestCut({ film: film.id, machine: machine.id, name: film.name, force, outcome, ...speed });
    setTyped(undefined);
    tell(`Force ${force}: ${CUT_OUTCOMES[outcome].name}. ${CUT_OUTCOMES[outcome].text}`, {
      action: { label: 'Undo', run: () => void reverseEvents(written) },
    });
  };
  const file = async () => {
    const kind = 'hpgl';
    const { content } = await plannerWorker.call((planner) =>
      planner.cutFile(kind, testCutLayout(film, machine, { force, ...speed }), 'Test cut'),
    );
    download(`${fileName(`test cut ${film.name}`)}.${CUT_FILES[kind].extension}`, content, CUT_FILES[kind].mime);
  };
  return (
    <div className="mt-1">
      <p className="leading-snug">
        {last ? (
          trial.narrow ? (
            'Between those forces nothing is right: it is not the force. See how far the blade stands out, and whether it is blunt; then try between them.'
          ) : (
            <>
              Last: force {last.force}, {CUT_OUTCOMES[last.outcome].name}. {CUT_OUTCOMES[last.outcome].text}
            </>
          )
        ) : (
          'Cut a square with a circle in it, lift it, and say what you see.'
        )}
      </p>
      <p className="mt-1">
        Try force <AmountWord label="Force of the test cut" value={force} unit="" least={0.5} most={1000} onChange={setTyped} />
        {trial.speed === undefined ? '' : ` at ${trial.speed} cm/s`}{' '}
        <button type="button" className="btn btn-xs btn-outline" onClick={() => void file()}>
          Save the test cut
        </button>
      </p>
      <div className="mt-1.5 grid grid-cols-3 gap-1.5" role="group" aria-label="How the test cut came out">
        {OUTCOMES.map((outcome) => (
          <button
            key={outcome}
            type="button"
            className="btn btn-ghost border-base-300 h-auto min-h-11 flex-col gap-1 px-1 py-1.5 text-[0.8rem] leading-tight font-normal"
            onClick={() => void note(outcome)}
          >
            <OutcomeDrawing outcome={outcome} colour={film.colour} />
            {CUT_OUTCOMES[outcome].name}
          </button>
        ))}
      </div>
    </div>
  );
}
