import { useEffect, useMemo, useState } from 'react';
import { useLocation, useNavigate } from 'react-router';
import { usualBreathing, usualZone } from '@kolleta/core/blanks';
import { BLANK_KINDS, BLANKS, FACES, LIMITS } from '@kolleta/core/facts';
import { setAt, applyPatch, holdsCut, stillHolds, type Remedy, type Job, type MarkSize, type Reading } from '@kolleta/core/job';
import { formatDuration, formatLength } from '@kolleta/core/units';
import { FilmDrawing } from '../../drawing/FilmDrawing';
import { FrontView } from '../../drawing/FrontView';
import { download, fileName } from '../../storage/download';
import { now } from '../../storage/clock';
import { logOverride } from '../../storage/logEvent';
import { plainly } from '../../storage/plainly';
import { addJob } from '../../storage/editJob';
import { useWorkshop } from '../../storage/useWorkshop';
import { ReadingCard } from '../../ui/ReadingCard';
import { useTell } from '../../ui/toasts';
import { Choice, LengthWord } from '../../ui/tokens';
import { plannerWorker, warmDrafts } from '../../workers/plannerClient';
import { useDraftPlan } from '../../workers/usePlan';
import { useWhen } from '../../workers/useWhen';
import { sameRemedy } from '../../frame/useJobEdits';
import { noteFirstMark } from './FirstMark';
import { bestFilm, newJob, pieceOf } from '../newJob';
import { ShapeWords } from '../../stations/measure/ShapeWords';
import { reshaping, type Reshape } from '../../stations/measure/reshaping';
import { Assumed } from './Assumed';

/** One word, one piece, one size, one film, one face: and the cut file. */
export function QuickPage() {
  const { shop } = useWorkshop();
  const navigate = useNavigate();
  const tell = useTell();
  const given = (useLocation().state as { word?: string } | null)?.word ?? '';
  const [draft, setDraft] = useState<Job>(() => newJob(shop, BLANKS[0]!, now(), given));
  const [blank, setBlank] = useState(BLANKS[0]!.id);
  const mark = draft.marks[0]!;
  const line = mark.artwork.kind === 'text' ? mark.artwork.lines[0]! : undefined;
  const words = line?.text ?? '';
  const { plan, working, error } = useDraftPlan(words.trim() ? draft : undefined);
  const when = useWhen({ draft, plan, working, error });
  useEffect(warmDrafts, []);
  const system = shop.lengths;
  const change = (path: string[], value: unknown) => setDraft((job) => applyPatch(job, setAt(path, value)).document);
  const setMark = (field: string, value: unknown) => change(['marks', mark.id, field], value);
  const setPiece = (id: string) => {
    const next = BLANKS.find((b) => b.id === id)!;
    const piece = pieceOf(next);
    const zone = { ...usualZone(draft.zones[0]!.id, piece), lipBand: piece.use.drink ? LIMITS.lipBand : 0 };
    setBlank(id);
    setDraft((job) => ({
      ...job,
      piece,
      zones: [{ ...zone, breathing: usualBreathing(zone.width, zone.height - zone.lipBand, false) }],
      // what was fixed on the other piece was for that one
      marks: [{ ...job.marks[0]!, technique: 'decal', film: bestFilm(shop, piece), edits: [] }],
      overrides: [],
    }));
  };
  /** The piece has its own measures; its zone follows them, as in Measure. */
  const reshape = (next: Reshape) => setDraft((job) => applyPatch(job, reshaping(next)(job)).document);
  const another = () => {
    const fresh = newJob(shop, BLANKS.find((b) => b.id === blank) ?? BLANKS[0]!, now());
    const { piece, zones } = draft;
    setDraft({ ...fresh, piece, zones, marks: [{ ...fresh.marks[0]!, zone: zones[0]!.id, film: mark.film, size: mark.size }] });
    document.getElementById('quick-word')?.focus();
  };
  const setWords = (text: string) => {
    change(['marks', mark.id, 'artwork', 'lines', line!.id, 'text'], text);
    change(['name'], text.trim() || 'Quick mark');
  };
  const override = (reading: string, reason: string | undefined) => {
    setDraft((job) => ({
      ...job,
      overrides: [...job.overrides.filter((o) => o.reading !== reading), ...(reason ? [{ reading, reason }] : [])],
    }));
    if (reason) void logOverride(draft.id, reading, reason);
  };
  /** Waits until the draft on the screen is the one that is planned. */
  const settled = async () => {
    const seen = await when((now) => now.error !== null || (!now.working && now.plan !== undefined));
    if (seen.error) throw seen.error;
    return { draft: seen.draft, plan: seen.plan! };
  };
  const remedy = async (reading: Reading, pressed: Remedy) => {
    try {
      const { draft: now, plan: fresh } = await settled();
      const same = sameRemedy(
        fresh.readings.find((r) => r.id === reading.id),
        pressed,
      );
      if (same && stillHolds(same, now)) setDraft(applyPatch(now, same.patch).document);
      else tell('Your last change has changed this. Nothing was fixed; look at it again.');
    } catch (error) {
      tell(plainly(error), { tone: 'error' });
    }
  };
  const speaking = useMemo(
    () => (plan?.readings ?? []).filter((r) => r.verdict !== 'fine' && r.id !== 'date' && r.station !== 'cure'),
    [plan],
  );
  const held = (plan?.readings ?? []).filter(holdsCut);
  const layout = plan?.layouts[0];
  const fitted = plan?.marks[0]?.fitted;
  const save = async () => {
    try {
      const { draft: now, plan: fresh } = await settled();
      const layout = fresh.layouts[0];
      if (!layout || fresh.readings.some(holdsCut)) {
        tell('Since your last change something has to be fixed first.', { tone: 'error' });
        return;
      }
      const { content } = await plannerWorker.call((planner) => planner.cutFile('svg', layout, now.name));
      download(`${fileName(now.name)}.svg`, content, 'image/svg+xml');
      noteFirstMark();
      tell(`The cut file is saved: ${formatLength(layout.width, system)} × ${formatLength(layout.taken, system)}, one unit is one mm.`);
    } catch (error) {
      tell(plainly(error), { tone: 'error' });
    }
  };
  const keep = async () => {
    await addJob({ ...draft, createdAt: now() });
    noteFirstMark();
    await navigate(`/job/${draft.id}/fit`);
  };
  const typed: MarkSize = mark.size;
  return (
    <div className="grid grid-cols-1 gap-4 lg:grid-cols-[minmax(0,1.5fr)_minmax(20rem,1fr)]">
      <section aria-label="Quick mark" className="sheet px-5 py-4">
        <h1 className="text-[1.65rem] font-extrabold">Quick mark</h1>
        <div className="mt-2 text-[1.22rem] leading-[2.6rem]">
          <label className="sr-only" htmlFor="quick-word">
            Word
          </label>
          <input
            id="quick-word"
            className="input input-lg w-full text-xl"
            placeholder="Type the word"
            value={words}
            maxLength={80}
            onChange={(event) => setWords(event.target.value)}
            autoFocus
            autoComplete="off"
          />
          in{' '}
          <Choice
            label="Font"
            value={line?.face ?? 'montserrat'}
            options={FACES.filter(({ family }) => family !== 'stroke').map((f) => ({ value: f.id, label: f.name, group: f.family }))}
            onChange={(face) => change(['marks', mark.id, 'artwork', 'lines', line!.id, 'face'], face)}
          />{' '}
          on a{' '}
          <Choice
            label="Piece"
            value={blank}
            options={BLANKS.map((b) => ({ value: b.id, label: b.name, group: BLANK_KINDS[b.kind] }))}
            onChange={setPiece}
          />
          , <ShapeWords shape={draft.piece.shape} system={system} reshape={reshape} />,{' '}
          <Choice
            label="Size"
            value={typed.mode}
            options={[
              { value: 'largest', label: 'as large as fits' },
              { value: 'width', label: 'with a width of' },
            ]}
            onChange={(mode) => setMark('size', mode === 'width' ? { mode, width: Math.round(fitted?.width ?? 60) } : { mode: 'largest' })}
          />
          {typed.mode === 'width' && (
            <>
              {' '}
              <LengthWord
                label="Width of the mark"
                value={typed.width}
                system={system}
                least={1}
                onChange={(width) => setMark('size', { mode: 'width', width })}
              />
            </>
          )}
          , from{' '}
          <Choice
            label="Film"
            value={mark.film}
            options={shop.films.filter((f) => f.kind !== 'stencil' || f.id === mark.film).map((f) => ({ value: f.id, label: f.name }))}
            onChange={(film) => setMark('film', film)}
          />
          .
        </div>
        <div className="mt-3 flex flex-wrap items-center gap-2">
          <button type="button" className="btn btn-primary btn-lg" disabled={!layout || held.length > 0} onClick={() => void save()}>
            Save the cut file
          </button>
          <button type="button" className="btn btn-outline btn-lg" disabled={!words.trim()} onClick={() => void keep()}>
            Save it as a job
          </button>
          <button type="button" className="btn btn-ghost border-base-300 btn-lg" disabled={!words.trim()} onClick={another}>
            Another word
          </button>
          {plan && fitted && layout && (
            <span className="quiet">
              {formatLength(fitted.width, system, { unit: false })} × {formatLength(fitted.height, system)} ·{' '}
              {formatLength(layout.taken, system, { digits: 0 })} of film · {formatDuration(plan.handsLeft)} of work
            </span>
          )}
        </div>
        <Assumed draft={draft} layout={layout} system={system} onEdits={() => setMark('edits', [])} />
        <div className="mt-3 grid grid-cols-1 gap-3 sm:grid-cols-2">
          <FrontView piece={draft.piece} marks={words.trim() ? (plan?.marks ?? []) : []} shop={shop} className="h-72" />
          {layout && words.trim() ? (
            <FilmDrawing layout={layout} system={system} className="h-72" pad={[12, 92, 34, 10]} />
          ) : (
            <p className="quiet self-center">
              {!words.trim()
                ? 'Type a word: it appears on the piece, as large as fits, and lies on the roll as the knife will cut it.'
                : working || !plan
                  ? 'Working it out…'
                  : 'It cannot be cut yet: see what to look at.'}
            </p>
          )}
        </div>
      </section>
      <section aria-label="What to look at" className="flex flex-col gap-2.5">
        {words.trim() && plan && speaking.length === 0 && (
          <p className={`sheet px-4 py-3 ${working ? 'goes-pale' : ''}`} aria-busy={working}>
            Ready to cut. Colour side up, weed the surround, then tape it over.
          </p>
        )}
        {words.trim() &&
          speaking.map((reading) => (
            <ReadingCard
              key={reading.id}
              reading={reading}
              stale={working}
              onRemedy={(pressed) => void remedy(reading, pressed)}
              onOverride={(reason) => override(reading.id, reason)}
            />
          ))}
      </section>
    </div>
  );
}
