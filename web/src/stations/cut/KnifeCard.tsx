import { useState } from 'react';
import { CUT_FILES, bladeMetres, cutSetting, nextTrial, testCutLayout, testCutsOf, type FilmLayout } from '@kolleta/core/cut';
import { CUT_OUTCOMES, FILM_KINDS, type CutOutcome } from '@kolleta/core/facts';
import type { Machine } from '@kolleta/core/job';
import { formatMoment } from '@kolleta/core/schedule';
import { inSentence } from '@kolleta/core/units';
import { download, fileName } from '../../storage/download';
import { logBlade, logTestCut, reverseEvents } from '../../storage/logEvent';
import { useWorkshop } from '../../storage/useWorkshop';
import { AmountWord } from '../../ui/tokens';
import { useTell } from '../../ui/toasts';
import { plannerWorker } from '../../workers/plannerClient';

const OUTCOMES = Object.keys(CUT_OUTCOMES) as CutOutcome[];

/** A test cut as one sees it: the square with its circle, film lifted where it comes away, the liner under it. */
function OutcomeDrawing({ outcome, colour }: { outcome: CutOutcome; colour: string }) {
  const line = { fill: 'none', stroke: 'currentColor', strokeWidth: 1.4 };
  const dash = outcome === 'notThrough' ? { strokeDasharray: '5 3' } : {};
  return (
    <svg width={46} height={46} viewBox="0 0 46 46" aria-hidden="true">
      <rect x={1} y={1} width={44} height={44} rx={3} fill={colour} stroke="currentColor" strokeOpacity={0.35} />
      {outcome === 'clean' || outcome === 'scored' || outcome === 'linerCut' ? (
        <path d="M9 9H37V37H9Z M23 16a7 7 0 1 0 .01 0Z" fill="var(--liner)" fillRule="evenodd" stroke="currentColor" strokeWidth={0.8} />
      ) : null}
      {outcome === 'torn' ? (
        <path d="M9 13l2-2-2-2 4 2 20-2 4 4-2 20 2 4-4-2-20 2-4-4 2-3z" {...line} />
      ) : (
        <path d={outcome === 'oneSide' ? 'M9 9V37H23M9 9H23' : 'M9 9H37V37H9Z'} {...line} {...dash} />
      )}
      {outcome === 'oneSide' && <path d="M23 9H37V37H23" {...line} strokeDasharray="2 4" strokeOpacity={0.6} />}
      <circle cx={23} cy={23} r={7} {...line} {...dash} />
      {outcome === 'scored' && <path d="M9 12H37M12 9V37" stroke="var(--color-error)" strokeWidth={0.9} strokeDasharray="3 2" />}
      {outcome === 'linerCut' && <path d="M6 9H40M9 6V40M37 6V40M6 37H40" stroke="var(--color-error)" strokeWidth={2} />}
    </svg>
  );
}

/** What is loaded, to tick; and the ladder of test cuts for this film on this machine, with this blade. */
export function KnifeCard({ layout, machine }: { layout: FilmLayout; machine: Machine }) {
  const { events, shop } = useWorkshop();
  const tell = useTell();
  const { film } = layout;
  const [typed, setTyped] = useState<number>();
  const [testing, setTesting] = useState(false);
  const [ticked, setTicked] = useState<ReadonlySet<string>>(new Set());
  const tests = testCutsOf(events, film.id, machine.id);
  const setting = cutSetting(events, film.id, machine.id);
  const trial = nextTrial(tests, { force: machine.force, speed: machine.speed });
  const force = typed ?? trial.force;
  const last = tests.at(-1);
  const blade = bladeMetres(events, machine.id);
  const metres = (m: number) => (m < 10 ? m.toFixed(1) : String(Math.round(m)));
  const note = async (outcome: CutOutcome) => {
    const made = { film: film.id, machine: machine.id, name: film.name, force, outcome };
    const written = await logTestCut({ ...made, ...(trial.speed === undefined ? {} : { speed: trial.speed }) });
    setTyped(undefined);
    if (outcome === 'clean') setTesting(false);
    tell(`Force ${force}: ${CUT_OUTCOMES[outcome].name}. ${CUT_OUTCOMES[outcome].text}`, {
      action: { label: 'Undo', run: () => void reverseEvents(written) },
    });
  };
  const file = async () => {
    const kind = 'hpgl';
    const { content } = await plannerWorker.call((planner) =>
      planner.cutFile(
        kind,
        testCutLayout(film, machine, { force, ...(trial.speed === undefined ? {} : { speed: trial.speed }) }),
        'Test cut',
      ),
    );
    download(`${fileName(`test cut ${film.name}`)}.${CUT_FILES[kind].extension}`, content, CUT_FILES[kind].mime);
  };
  const speed = setting?.speed ?? trial.speed;
  const checks = [
    film.name,
    `${FILM_KINDS[film.kind].by === 'heat' ? 'carrier side down' : 'colour side up'}, smooth, no curl`,
    setting ? `force ${setting.force}${speed === undefined ? '' : `, ${speed} cm/s`}` : 'a test cut that lifts clean',
    ...(layout.sheet.from.kind === 'roll' ? [] : ['on its carrier, no air under it']),
  ];
  return (
    <section aria-label="Knife" className="sheet px-4 py-3 text-[0.92rem]">
      <p className="font-bold">Loaded?</p>
      <div className="flex flex-wrap gap-x-4">
        {checks.map((check) => (
          <label key={check} className="flex min-h-9 items-center gap-2">
            <input
              type="checkbox"
              className="checkbox checkbox-sm"
              checked={ticked.has(check)}
              onChange={(event) =>
                setTicked((before) => {
                  const next = new Set(before);
                  if (event.target.checked) next.add(check);
                  else next.delete(check);
                  return next;
                })
              }
            />
            {check}
          </label>
        ))}
      </div>
      {setting && !testing ? (
        <p className="mt-1 leading-snug">
          {film.name} on {inSentence(machine.name)}: <strong className="measure">force {setting.force}</strong>, right on{' '}
          {formatMoment(setting.at, shop.hours.zone)}.
        </p>
      ) : !testing && !last ? (
        <p className="mt-1 leading-snug">No test cut of {inSentence(film.name)} with this blade yet.</p>
      ) : (
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
      )}
      <div className="mt-2 flex flex-wrap items-center gap-2">
        {(setting ?? !last) && (
          <button
            type="button"
            className={`btn btn-sm ${setting || testing ? 'btn-ghost border-base-300' : 'btn-outline btn-primary'}`}
            onClick={() => setTesting(!testing)}
          >
            {testing ? 'Leave it as it is' : setting ? 'Test again' : 'Make a test cut'}
          </button>
        )}
        <button
          type="button"
          className="btn btn-sm btn-ghost border-base-300"
          onClick={() =>
            void logBlade(machine).then((written) =>
              tell(`A new blade is in ${machine.name}. Each film wants a test cut with it.`, {
                action: { label: 'Undo', run: () => void reverseEvents(written) },
              }),
            )
          }
        >
          New blade
        </button>
        <span className="quiet">
          {blade.now > 0 ? `${metres(blade.now)} m with this blade` : ''}
          {blade.before.length > 0 ? `${blade.now > 0 ? '; ' : ''}the one before did ${metres(blade.before.at(-1)!)} m` : ''}
        </span>
      </div>
    </section>
  );
}
