import { useState, type DragEvent } from 'react';
import { growBox, boxAround, boxOf } from '@kolleta/core/geometry';
import { partsShown, type ImportedDrawing } from '@kolleta/core/artwork';
import { nearestFilms } from '@kolleta/core/fit';
import { applyPatch, setAt, type Artwork, type Mark, type Patch } from '@kolleta/core/job';
import type { MarkPlan } from '@kolleta/core/plan';
import { counted, formatLength } from '@kolleta/core/units';
import { MarkShapes } from '../../drawing/MarkShapes';
import { Scaled } from '../../drawing/Scaled';
import { FileButton } from '../../ui/FileButton';
import { useTell } from '../../ui/toasts';
import { DrawingHead, MarkTabs, Readings, StationLayout, type StationProps } from '../../frame/station';
import { blankMark } from './blankMark';
import { InspectLegend, InspectOverlay, useInspection } from './InspectOverlay';
import { LineFields } from './LineFields';
import { ListCard } from './ListCard';
import { MarkWords } from './MarkWords';
import { PartsCard } from './PartsCard';
import { PartsDrawing } from './PartsDrawing';
import { ShapingCard } from './ShapingCard';
import { WaysCard } from './WaysCard';
import { ShelfCard } from './ShelfCard';
import { TraceCard } from './TraceCard';
import { useArtworkFile } from './useArtworkFile';
import { OnceKnown } from '../../frame/OnceKnown';

const ACCEPT = '.svg,.svgz,.dxf,.hpgl,.plt,.png,.jpg,.jpeg,.webp,image/svg+xml,image/png,image/jpeg,image/webp';

/** The mark of one row of the list, in the place of the tightest. */
const withVariant = (plan: MarkPlan, row: string | undefined): MarkPlan => {
  const variant = plan.variants.find((v) => v.row === row);
  if (!variant) return plan;
  const { fitted, flat, inspections, artwork, turn } = variant;
  return { ...plan, fitted, flat, inspections, artwork, turn };
};

/** How many parts and counters are cut. */
function partsSaid({ inspections }: MarkPlan): string {
  const [parts, counters] = [
    inspections.reduce((n, i) => n + i.pieces.shapes.length, 0),
    inspections.reduce((n, i) => n + i.pieces.counters.length, 0),
  ];
  return `${parts} separate ${parts === 1 ? 'part' : 'parts'}, ${counters} ${counters === 1 ? 'inside' : 'insides'}`;
}

/** The words or the drawing of each mark, its technique and its films, and what is wanted of it. */
export function DrawStation({ job, plan, shop, edit, fix, mark, chooseMark }: StationProps) {
  const tell = useTell();
  const [over, setOver] = useState(false);
  const [inspecting, setInspecting] = useState(false);
  const [row, setRow] = useState<string>();
  const [apart, setApart] = useState<{ mark: string; ids: ReadonlySet<string> }>();
  const found = plan.marks.find((m) => m.mark.id === mark?.id);
  const fitted = found && withVariant(found, row);
  const inspection = useInspection(fitted, job.piece.shape, shop, inspecting);
  const taking = ({ id, technique }: Mark, name: string, { parts, leftOut, asDrawn, dropped, otherwise, thin }: ImportedDrawing): Patch => [
    ...setAt(['marks', id, 'artwork'], {
      ...{ kind: 'drawing', name: name.slice(0, 200), parts, leftOut },
      ...(asDrawn ? { asDrawn } : {}),
      ...(dropped ? { dropped } : {}),
      ...(otherwise ? { otherwise } : {}),
      ...(thin ? { thin } : {}),
    } satisfies Artwork),
    ...setAt(['marks', id, 'colourFilms'], nearestFilms(partsShown({ parts, dropped }), shop.films, technique)),
    ...setAt(['marks', id, 'edits'], []),
  ];
  const file = useArtworkFile(
    (name, drawing) => {
      if (!mark) return;
      edit(() => taking(mark, name, drawing), 'Take a drawing in');
      const colours = Object.keys(nearestFilms(partsShown(drawing), shop.films, mark.technique)).length;
      const { asDrawn } = drawing;
      const size = asDrawn && `${formatLength(asDrawn.width, shop.lengths)} × ${formatLength(asDrawn.height, shop.lengths)}`;
      tell(
        `${name} is in: ${counted(drawing.parts.length, 'shape')}${drawing.thin ? `, its thin lines taken for ${drawing.thin === 'outlines' ? 'outlines' : 'strips of film'}` : ''}${colours > 1 ? `, each of its ${colours} colours from the nearest film` : ''}${size ? `, drawn ${size}` : ''}.`,
        asDrawn
          ? {
              action: {
                label: 'Take that size',
                run: () => edit(() => setAt(['marks', mark.id, 'size'], { mode: 'width', width: asDrawn.width }), 'Size as drawn'),
              },
            }
          : {},
      );
    },
    (drawing) => mark && { ...applyPatch(job, taking(mark, '', drawing)).document, list: undefined },
  );
  const drop = (event: DragEvent) => {
    event.preventDefault();
    setOver(false);
    void file.take(event.dataTransfer.files[0]);
  };
  const addMark = () => {
    const fresh = blankMark(job, mark, shop.films[0]?.id ?? '');
    edit((saved) => {
      const named = { ...fresh, name: `mark ${saved.marks.length + 1}` };
      return setAt(['marks', fresh.id], named);
    }, 'Add a mark');
    chooseMark(fresh.id);
  };
  const box = fitted && fitted.flat.length > 0 ? boxAround(fitted.flat.map((l) => boxOf(l.region))) : undefined;
  const ground = fitted?.behind.colour ?? job.piece.colour;
  const picking = mark && apart?.mark === mark.id && mark.artwork.kind === 'drawing' ? apart.ids : undefined;
  const limit = Math.min(...(fitted?.inspections.map((i) => i.limit) ?? [0.8]));
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
        title={picking ? 'Its parts' : 'The mark as it will be cut'}
        text={fitted && fitted.inspections.length > 0 ? partsSaid(fitted) : 'Type words, or drop a drawing or a picture here'}
      >
        <div className="flex flex-wrap gap-1.5">
          {!picking && !file.picture && (
            <button
              type="button"
              disabled={!box}
              className="btn btn-sm btn-ghost border-base-300"
              aria-pressed={inspecting}
              onClick={() => setInspecting(!inspecting)}
            >
              {inspecting ? 'Hide the inspection' : 'Inspect it'}
            </button>
          )}
          <FileButton label="Drawing or picture" accept={ACCEPT} onFile={(f) => void file.take(f)}>
            Open a drawing or picture
          </FileButton>
        </div>
      </DrawingHead>
      {inspection && !picking && <InspectLegend map={inspection} limit={limit} shop={shop} />}
      {file.problem && (
        <p role="alert" className="bg-error text-error-content mx-4 mt-2 rounded px-3 py-2">
          {file.problem}
        </p>
      )}
      {file.reading && !file.picture && (
        <p className="mx-4 mt-2 flex items-center gap-3" role="status">
          <span className="loading loading-spinner loading-sm" /> Reading {file.reading}…
          <button type="button" className="btn btn-sm" onClick={file.stop}>
            Stop
          </button>
        </p>
      )}
      {file.picture ? (
        <TraceCard open={file.picture} share={file.share} trace={file.trace} stop={file.stop} leave={file.leavePicture} />
      ) : (
        <div
          className="relative m-4 flex min-h-[16rem] flex-1 overflow-hidden rounded-lg"
          style={{ background: picking ? '#f3f1ea' : ground }}
        >
          {picking && mark?.artwork.kind === 'drawing' ? (
            <PartsDrawing
              parts={mark.artwork.parts}
              dropped={new Set(mark.artwork.dropped)}
              chosen={picking}
              choose={(ids) => setApart({ mark: mark.id, ids })}
            />
          ) : fitted && box ? (
            <Scaled
              box={growBox(box, 1)}
              pad={[28, 28, 28, 28]}
              className="h-[24rem] w-full lg:h-auto"
              label={`${mark?.name ?? 'mark'}, outlines`}
              most={14}
            >
              <MarkShapes plan={fitted} shop={shop} single />
              {inspection && <InspectOverlay map={inspection} />}
            </Scaled>
          ) : (
            <p className="bg-base-100 text-base-content m-auto max-w-sm rounded-lg p-5 text-center">
              <OnceKnown of={plan}>
                Nothing to cut yet. Type the words at the side, or drop an SVG or DXF drawing on this sheet: its filled shapes become film,
                colour by colour. A PNG or JPEG picture is traced.
              </OnceKnown>
            </p>
          )}
        </div>
      )}
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
          <MarkWords job={job} mark={mark} shop={shop} edit={edit} chooseMark={chooseMark} />
          {mark.artwork.kind === 'text' ? (
            <>
              <div className="sheet px-4 py-3">
                <LineFields mark={mark} edit={edit} />
              </div>
            </>
          ) : (
            <PartsCard
              mark={mark}
              artwork={mark.artwork}
              shop={shop}
              edit={edit}
              chosen={picking}
              choose={(ids) => setApart(ids && { mark: mark.id, ids })}
            />
          )}
          <ListCard job={job} mark={mark} plan={found} shop={shop} edit={edit} shown={row} onShow={setRow} />
          <ShapingCard mark={mark} plan={found} shop={shop} edit={edit} />
          <WaysCard job={job} shop={shop} edit={edit} />
          <ShelfCard job={job} mark={mark} shop={shop} edit={edit} width={fitted?.fitted.width} />
        </>
      )}
      <Readings plan={plan} edit={edit} fix={fix} mark={mark} stations={['draw']} preview={{ job, shop }} />
    </StationLayout>
  );
}
