import { useRef, useState, type DragEvent } from 'react';
import { TECHNIQUES, type TechniqueId } from '@kolleta/core/facts';
import { growBox, boxAround, boxOf } from '@kolleta/core/geometry';
import { setAt, type Artwork } from '@kolleta/core/job';
import type { ImportedDrawing } from '@kolleta/core/artwork';
import type { Result } from '@kolleta/core/units';
import { MarkShapes } from '../../drawing/MarkShapes';
import { Scaled } from '../../drawing/Scaled';
import { useTell } from '../../ui/toasts';
import { Choice, Sentence, Switch, TextWord } from '../../ui/tokens';
import { importerWorker } from '../../workers/importerClient';
import { DrawingHead, MarkTabs, Readings, StationLayout, type StationProps } from '../job/station';
import { blankMark, newLine } from './blankMark';
import { LineFields } from './LineFields';

/** Larger files are not even read. */
const MOST_BYTES = 20 * 1024 * 1024;

/** The words or the drawing of each mark, its technique and its films. */
export function DrawStation({ job, plan, shop, edit, mark, chooseMark }: StationProps) {
  const tell = useTell();
  const input = useRef<HTMLInputElement>(null);
  const [over, setOver] = useState(false);
  const [reading, setReading] = useState<string>();
  const [problem, setProblem] = useState<string>();
  const fitted = plan.marks.find((m) => m.mark.id === mark?.id);
  const filmOptions = shop.films.map((f) => ({ value: f.id, label: f.name }));

  const take = async (file: File | undefined) => {
    if (!file || !mark) return;
    setProblem(undefined);
    if (file.size > MOST_BYTES) {
      setProblem(
        `"${file.name}" is larger than 20 MB. Save it without pictures, or simplify it, and drop it in again. Nothing was changed.`,
      );
      return;
    }
    setReading(file.name);
    try {
      const text = await file.text();
      const result = await importerWorker.call(async (importer): Promise<Result<ImportedDrawing>> => importer.svg(text, file.name));
      if (!result.ok) setProblem(`${result.problem.found} ${result.problem.wayOut} Nothing was changed.`);
      else {
        const artwork: Artwork = { kind: 'drawing', name: file.name.slice(0, 200), ...result.value };
        edit(
          [
            ...setAt(['marks', mark.id, 'artwork'], artwork),
            ...setAt(['marks', mark.id, 'colourFilms'], {}),
            ...setAt(['marks', mark.id, 'edits'], []),
          ],
          'Take a drawing in',
        );
        tell(`${file.name} is in: ${result.value.parts.length} ${result.value.parts.length === 1 ? 'shape' : 'shapes'}.`);
      }
    } catch (error) {
      setProblem(`${error instanceof Error ? error.message : String(error)} Nothing was changed.`);
    } finally {
      setReading(undefined);
      if (input.current) input.current.value = '';
    }
  };
  const drop = (event: DragEvent) => {
    event.preventDefault();
    setOver(false);
    void take(event.dataTransfer.files[0]);
  };
  const addMark = () => {
    const fresh = blankMark(job, mark, shop.films[0]?.id ?? '');
    edit(setAt(['marks', fresh.id], fresh), 'Add a mark');
    chooseMark(fresh.id);
  };
  const box = fitted && fitted.fitted.layers.length > 0 ? boxAround(fitted.fitted.layers.map((l) => boxOf(l.region))) : undefined;
  const ground = fitted?.behind.colour ?? job.piece.colour;
  const drawing = (
    <div
      className={`flex flex-1 flex-col ${over ? 'outline-accent outline-4 -outline-offset-4 outline-dashed' : ''}`}
      onDragOver={(event) => {
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={drop}
    >
      <DrawingHead
        title="The mark as it will be cut"
        text={
          fitted && fitted.inspections.length > 0
            ? `${fitted.inspections.reduce((n, i) => n + i.pieces.shapes.length, 0)} separate parts, ${fitted.inspections.reduce((n, i) => n + i.pieces.counters.length, 0)} counters`
            : 'Type words, or drop an SVG drawing here'
        }
      >
        <button type="button" className="btn btn-sm btn-outline btn-primary" onClick={() => input.current?.click()}>
          Open an SVG drawing
        </button>
        <input
          ref={input}
          type="file"
          accept=".svg,image/svg+xml"
          className="hidden"
          aria-label="SVG drawing"
          onChange={(event) => void take(event.target.files?.[0])}
        />
      </DrawingHead>
      {problem && (
        <p role="alert" className="bg-error text-error-content mx-4 mt-2 rounded px-3 py-2">
          {problem}
        </p>
      )}
      {reading && (
        <p className="mx-4 mt-2 flex items-center gap-3" role="status">
          <span className="loading loading-spinner loading-sm" /> Reading {reading}…
          <button type="button" className="btn btn-sm" onClick={() => importerWorker.stop('Stopped.')}>
            Stop
          </button>
        </p>
      )}
      <div className="m-4 flex min-h-[20rem] flex-1 rounded-lg" style={{ background: ground }}>
        {fitted && box ? (
          <Scaled
            box={growBox(box, 1)}
            pad={[28, 28, 28, 28]}
            className="h-[24rem] w-full lg:h-auto"
            label={`${mark?.name ?? 'mark'}, outlines`}
            most={14}
          >
            <MarkShapes plan={fitted} shop={shop} single />
          </Scaled>
        ) : (
          <p className="bg-base-100 text-base-content m-auto max-w-sm rounded-lg p-5 text-center">
            Nothing to cut yet. Type the words at the side, or drop an SVG drawing on this sheet. Its filled shapes become film, colour by
            colour.
          </p>
        )}
      </div>
    </div>
  );
  return (
    <StationLayout title="Draw" drawing={drawing}>
      <MarkTabs job={job} mark={mark} chooseMark={chooseMark}>
        <button type="button" className="btn btn-sm btn-ghost border-base-300" onClick={addMark}>
          Add a mark
        </button>
      </MarkTabs>
      {mark && (
        <>
          <div className="sheet px-4 py-3">
            <Sentence>
              <TextWord
                label="Name of the mark"
                value={mark.name}
                onChange={(name) => edit(setAt(['marks', mark.id, 'name'], name), 'Name the mark')}
              />{' '}
              is a{' '}
              <Choice
                label="Technique"
                value={mark.technique}
                options={(Object.keys(TECHNIQUES) as TechniqueId[]).map((value) => ({
                  value,
                  label: TECHNIQUES[value].name,
                }))}
                onChange={(technique) => {
                  const film =
                    technique === 'stencil' ? shop.films.find((f) => f.kind === 'stencil') : shop.films.find((f) => f.kind === 'permanent');
                  edit(
                    [
                      ...setAt(['marks', mark.id, 'technique'], technique),
                      ...(film ? setAt(['marks', mark.id, 'film'], film.id) : []),
                      ...setAt(['marks', mark.id, 'colourFilms'], {}),
                      ...(technique === 'stencil' && !mark.paint && shop.paints[0]
                        ? setAt(['marks', mark.id, 'paint'], shop.paints[0].id)
                        : []),
                    ],
                    'Change the technique',
                  );
                }}
              />{' '}
              cut from{' '}
              <Choice
                label="Film"
                value={mark.film}
                options={filmOptions}
                onChange={(film) => edit(setAt(['marks', mark.id, 'film'], film), 'Choose the film')}
              />
              {mark.technique === 'stencil' && (
                <>
                  , painted with{' '}
                  <Choice
                    label="Paint"
                    value={mark.paint ?? ''}
                    options={[
                      ...(mark.paint ? [] : [{ value: '', label: 'no paint yet' }]),
                      ...shop.paints
                        .filter((p) => p.coat === 'acrylic' || p.coat === 'chalkPaint')
                        .map((p) => ({ value: p.id, label: p.name })),
                    ]}
                    onChange={(paint) => edit(setAt(['marks', mark.id, 'paint'], paint), 'Choose the paint')}
                  />
                </>
              )}
              ,{' '}
              <Switch
                label="Flip"
                on={mark.flip}
                yes="flipped left to right"
                no="not flipped"
                onChange={(on) => edit(setAt(['marks', mark.id, 'flip'], on), 'Flip')}
              />
              .
            </Sentence>
            {job.marks.length > 1 && (
              <button
                type="button"
                className="btn btn-xs btn-ghost border-base-300 mt-1"
                onClick={() => edit([{ op: 'remove', path: ['marks', mark.id] }], 'Take the mark away')}
              >
                Take this mark away
              </button>
            )}
          </div>
          {mark.artwork.kind === 'text' ? (
            <div className="sheet px-4 py-3">
              <LineFields mark={mark} edit={edit} />
            </div>
          ) : (
            <div className="sheet px-4 py-3">
              <h2 className="text-[0.98rem] font-bold break-words">{mark.artwork.name}</h2>
              <p className="quiet mb-1 text-sm">Each colour of the drawing is cut from a film, or left to the ground.</p>
              {[...new Set(mark.artwork.parts.map((part) => part.colour))].slice(0, 24).map((colour) => (
                <Sentence key={colour}>
                  <span
                    className="border-base-300 mr-2 inline-block size-4 rounded-sm border align-middle"
                    style={{ background: colour }}
                  />
                  <span className="measure text-sm">{colour}</span> is{' '}
                  <Choice
                    label={`Film for ${colour}`}
                    value={colour in mark.colourFilms ? (mark.colourFilms[colour] ?? 'ground') : mark.film}
                    options={[{ value: 'ground', label: 'left to the ground' }, ...filmOptions]}
                    onChange={(film) =>
                      edit(setAt(['marks', mark.id, 'colourFilms', colour], film === 'ground' ? null : film), 'Choose a film for a colour')
                    }
                  />
                </Sentence>
              ))}
              <button
                type="button"
                className="btn btn-sm btn-ghost border-base-300 mt-1"
                onClick={() =>
                  edit(
                    setAt(['marks', mark.id, 'artwork'], {
                      kind: 'text',
                      lines: [newLine('montserrat')],
                      align: 'centre',
                      lineSpacing: 1,
                    }),
                    'Use words instead',
                  )
                }
              >
                Use words instead
              </button>
            </div>
          )}
          {mark.edits.length > 0 && (
            <div className="sheet px-4 py-3">
              <h2 className="text-[0.98rem] font-bold">Changed at its real size</h2>
              {mark.edits.map((e) => (
                <div key={e.id} className="flex items-center gap-2 py-0.5">
                  <span className="flex-1">
                    {e.kind === 'thicken'
                      ? `${e.by < 0 ? 'Slimmed' : 'Thickened'} by ${Math.abs(e.by)} mm a side`
                      : `Parts under ${e.below} mm² dropped, counters under ${e.fillBelow} mm² filled`}
                  </span>
                  <button
                    type="button"
                    className="btn btn-xs btn-ghost border-base-300"
                    onClick={() => edit([{ op: 'remove', path: ['marks', mark.id, 'edits', e.id] }], 'Take a change away')}
                  >
                    Take it away
                  </button>
                </div>
              ))}
            </div>
          )}
        </>
      )}
      <Readings plan={plan} edit={edit} mark={mark} stations={['draw']} />
    </StationLayout>
  );
}
