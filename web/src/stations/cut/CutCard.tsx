import { Link } from 'react-router';
import { beforeCutOf, CUT_FILES, type CutFileId, type FilmLayout } from '@kolleta/core/cut';
import { FILM_KINDS } from '@kolleta/core/facts';
import { readingTitle, type JobId, type Reading } from '@kolleta/core/job';
import { beforeCutWords, mirrorWords, sheetWeedWords } from '@kolleta/core/words';
import { formatLength, inSentence, type LengthSystem } from '@kolleta/core/units';
import { VerdictMark } from '../../ui/Verdict';

const CUT_FILE_IDS = Object.keys(CUT_FILES) as CutFileId[];

interface Props {
  layout: FilmLayout;
  job: JobId;
  /** The marks on the sheet, as they are spoken of. */
  sheet: Parameters<typeof mirrorWords>[0] & Parameters<typeof sheetWeedWords>[0];
  flipped: boolean;
  /** Stops that keep it from the knife. */
  held: readonly Reading[];
  system: LengthSystem;
  busy: boolean;
  /** In how many loads it goes through, and which one is looked at. */
  loads: number;
  load: number;
  onLoad: (load: number) => void;
  mayRehearse: boolean;
  /** The plan is that of everything that was changed. */
  fresh: boolean;
  /** Why the rehearsal was refused. */
  problem: string | undefined;
  onSave: (kind: CutFileId) => Promise<void>;
  onRehearse: () => Promise<void>;
}

/** What is cut, how the film lies in the machine, and the files for the knife. */
export function CutCard({
  layout,
  job,
  sheet,
  flipped,
  held,
  system,
  busy,
  loads,
  load,
  onLoad,
  mayRehearse,
  fresh,
  problem,
  onSave,
  onRehearse,
}: Props) {
  // what is shorter than the rollers are apart is cut while it hangs on the roll
  const tooShort =
    layout.parts.length > 0 && layout.sheet.from.kind === 'roll' && layout.machine?.rollFed === true && layout.taken < layout.machine.least;
  const pressed = FILM_KINDS[layout.film.kind].by === 'heat';
  return (
    <div className="sheet px-4 py-3">
      {layout.parts.length === 0 ? (
        <p className="text-[1.02rem] leading-7">Nothing can be cut from {inSentence(layout.film.name)} as it is.</p>
      ) : (
        <p className="text-[1.02rem] leading-7">
          Cut <strong>{layout.parts.length}</strong> {layout.parts.length === 1 ? 'mark' : 'marks'} on the{' '}
          <strong>{layout.machine?.name ?? 'cutter'}</strong>, film {pressed ? 'carrier side down' : 'colour side up'},{' '}
          <strong>{mirrorWords(sheet)}</strong>
          {flipped ? ', flipped as you asked' : ''}.{' '}
          {beforeCutWords(beforeCutOf(layout).before, (mm) => formatLength(mm, system, { digits: 0 }))}
          {layout.pens ? 'The pen writes first; then the knife cuts each label out, and nothing is weeded.' : sheetWeedWords(sheet)}
        </p>
      )}
      {!layout.machine && layout.parts.length > 0 && (
        <p className="mt-1 text-sm" role="note">
          No cutter is noted: this is laid out as wide as the film is, in one length, and no minutes are counted for the cut.{' '}
          <Link className="font-bold underline" to="/workshop">
            Add your cutter in Workshop
          </Link>
          , or take the file to a cutter that takes {formatLength(layout.width, system, { digits: 0 })}.
        </p>
      )}
      {held.length > 0 && (
        <div className="mt-1 flex items-start gap-2 text-sm" role="status">
          <VerdictMark verdict="stop" size={18} />
          <span>
            Not ready to cut. Fix this first, or say why you go ahead:{' '}
            {held.map((stop, i) => (
              <span key={stop.id}>
                {i > 0 && ', '}
                <Link className="font-bold underline" to={`/job/${job}/${stop.station}`}>
                  {inSentence(readingTitle(stop))}
                </Link>
              </span>
            ))}
            .
          </span>
        </div>
      )}
      {loads > 1 && (
        <div className="mt-1 flex flex-wrap items-center gap-1.5 text-[0.95rem]" role="group" aria-label="Loads">
          It goes through in {loads} loads, each with a file of its own:
          {Array.from({ length: loads }, (_, i) => (
            <button
              key={i}
              type="button"
              aria-pressed={i === load}
              className={`btn btn-sm ${i === load ? 'btn-neutral' : 'btn-ghost border-base-300'}`}
              onClick={() => onLoad(i)}
            >
              Load {i + 1}
            </button>
          ))}
        </div>
      )}
      {tooShort && (
        <p className="quiet text-sm">
          The {inSentence(layout.machine!.name)} holds no less than {formatLength(layout.machine!.least, system, { digits: 0 })} of film:
          leave it on the roll until it is cut.
        </p>
      )}
      <div className="mt-2 flex flex-wrap gap-2">
        {CUT_FILE_IDS.map((kind, i) =>
          CUT_FILES[kind].forMachine && !layout.machine ? null : (
            <button
              key={kind}
              type="button"
              className={`btn ${i === 0 ? 'btn-primary' : 'btn-ghost border-base-300'}`}
              disabled={busy || held.length > 0 || layout.parts.length === 0}
              onClick={() => void onSave(kind)}
            >
              {CUT_FILES[kind].name}
            </button>
          ),
        )}
        <button
          type="button"
          className="btn btn-ghost border-base-300"
          disabled={busy || held.length > 0 || layout.parts.length === 0 || !mayRehearse || !layout.machine}
          onClick={() => void onRehearse()}
        >
          Rehearse it: cuts nothing
        </button>
      </div>
      {!fresh && (
        <p className="arrives-late quiet mt-2 text-sm" role="status">
          Your last change is being worked out. What you save waits for it.
        </p>
      )}
      {problem && (
        <p role="alert" className="bg-error text-error-content mt-2 rounded px-3 py-2 text-sm">
          {problem}
        </p>
      )}
    </div>
  );
}
