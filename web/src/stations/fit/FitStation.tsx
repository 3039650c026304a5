import { useState } from 'react';
import { columnsIn } from '@kolleta/core/artwork';
import { bendAt, usableOf, wallBox, wallOf, paintedAround } from '@kolleta/core/blanks';
import { handySizeBelow } from '@kolleta/core/fit';
import type { Point } from '@kolleta/core/geometry';
import { filmColours, setAt, type Film, type MarkSize, type Shop } from '@kolleta/core/job';
import { inSentence, formatLength, plural } from '@kolleta/core/units';
import { FrontView, inViewOrder } from '../../drawing/FrontView';
import { Rulers } from '../../drawing/Rulers';
import { Scaled, useScale } from '../../drawing/Scaled';
import { flatBox } from '../../drawing/flatBox';
import { shapeWords } from '../../drawing/pieceLook';
import { WallDrawing } from '../../drawing/WallDrawing';
import { Choice, LengthWord, Sentence, Switch } from '../../ui/tokens';
import { DrawingHead, MarkTabs, Readings, StationLayout, type StationProps } from '../../frame/station';
import { BehindWords } from './BehindWords';
import { JigCard } from './JigCard';
import { centred, Movable } from './Movable';
import { OnPhoto } from './OnPhoto';
import { PlaceWords } from './PlaceWords';
import { SizeWords } from './SizeWords';
import { SpreadWords } from './SpreadWords';

function Places({ places, bend }: { places: readonly Point[]; bend: (point: Point) => Point }) {
  const { x, y } = useScale();
  return (
    <g aria-hidden="true" pointerEvents="none">
      {places.map(bend).map(([px, py], i) => (
        <g key={i} fill="none">
          <circle cx={x(px)} cy={y(py)} r={8} stroke="#ffffff" strokeWidth={4.5} />
          <circle cx={x(px)} cy={y(py)} r={8} stroke="#ad3f27" strokeWidth={2.2} />
        </g>
      ))}
    </g>
  );
}

/** What the drawing of Fit looks at: the zones in use with room around them, or the whole wall when it is not much larger. */
function viewOf(job: StationProps['job'], whole: boolean) {
  const wall = wallBox(job.piece.shape);
  if (whole || job.piece.shape.kind === 'flat' || job.marks.some((m) => m.spread?.kind === 'round')) return flatBox(wall, job.piece.shape);
  const reach = Math.max(...job.zones.map((z) => Math.abs(z.x) + z.width / 2)) * 1.5;
  return flatBox({ ...wall, minX: Math.max(wall.minX, -reach), maxX: Math.min(wall.maxX, reach) }, job.piece.shape);
}

/** The next handy size that also reads as another one. */
function handyBelow(width: number, system: StationProps['shop']['lengths']): number {
  const handy = handySizeBelow(width, system);
  return formatLength(handy, system) === formatLength(width, system) ? handySizeBelow(handy, system) : handy;
}

/** Whether film has a second look: it turns to another colour by warmth or light. */
const changes = (film: Film): boolean => film.kind === 'changing' && filmColours(film).length > 1;

/** The workshop with colour-changing film in its other colour. */
const changedShop = (shop: Shop): Shop => ({
  ...shop,
  films: shop.films.map((film) => (changes(film) ? { ...film, colour: filmColours(film).at(-1)! } : film)),
});

/** Size and place of the marks in their zones. */
export function FitStation({ job, plan, shop, edit, fix, mark, chooseMark }: StationProps) {
  const [shown, setShown] = useState<string>();
  const [whole, setWhole] = useState(false);
  const [changed, setChanged] = useState(false);
  const [turn, setTurn] = useState(0);
  const [behind, setBehind] = useState<string>();
  const system = shop.lengths;
  const chosen = plan.marks.find((m) => m.mark.id === mark?.id);
  const reading = plan.readings.find((r) => r.id === shown);
  const handy = chosen ? handyBelow(chosen.fitted.width, system) : 0;
  const sizing = (size: MarkSize, label: string) => mark && edit(() => setAt(['marks', mark.id, 'size'], size), label);
  const zone = job.zones.find((z) => z.id === mark?.zone) ?? job.zones[0]!;
  const { shape } = job.piece;
  const round = shape.kind !== 'flat';
  const drawing = (
    <>
      <DrawingHead
        title={round ? 'Wall laid flat, to scale' : 'Face, to scale'}
        text={`${job.piece.name} · ${shapeWords(shape, system)}${formatLength(job.piece.shape.height, system)} tall`}
      >
        {round && (
          <button type="button" className="btn btn-xs btn-ghost border-base-300" aria-pressed={whole} onClick={() => setWhole(!whole)}>
            {whole ? 'Only the front' : 'The whole wrap'}
          </button>
        )}
      </DrawingHead>
      <div className="grid flex-1 grid-cols-1 sm:grid-cols-[minmax(0,1fr)_11rem]">
        <Scaled
          box={viewOf(job, whole)}
          pad={[32, 60, 26, 46]}
          className="h-[22rem] sm:h-auto sm:min-h-[22rem]"
          label="The marks in their zones, to scale"
          most={9}
        >
          <WallDrawing
            piece={paintedAround(job.piece, job.marks, shop.paints)}
            paints={shop.paints}
            zones={job.zones}
            active={zone.id}
            system={system}
          />
          {inViewOrder(plan.marks).map((m) => (
            <Movable
              key={m.mark.id}
              plan={m}
              shape={job.piece.shape}
              edit={edit}
              shop={shop}
              chosen={m.mark.id === mark?.id}
              chooseMark={chooseMark}
            />
          ))}
          {reading?.places && <Places places={reading.places} bend={bendAt(job.piece.shape, chosen?.fitted.at[1] ?? 0)} />}
          <Rulers system={system} />
        </Scaled>
        <div className="flex flex-col gap-2 px-3 pb-3">
          <h3 className="text-[0.86rem] font-bold">As it is seen</h3>
          <FrontView
            piece={behind ? { ...job.piece, behind } : job.piece}
            zones={job.zones}
            marks={plan.marks}
            shop={changed ? changedShop(shop) : shop}
            className={round ? 'h-56' : 'h-36'}
            turn={turn}
          />
          {plan.marks.some(({ inspections }) => inspections.some(({ film }) => changes(film))) && (
            <button type="button" className="btn btn-xs btn-outline" aria-pressed={changed} onClick={() => setChanged(!changed)}>
              {changed ? 'As it is at rest' : 'With its colour changed'}
            </button>
          )}
          <BehindWords job={job} marks={plan.marks} shop={shop} behind={behind} look={setBehind} />
          {job.photo && <OnPhoto job={job} photo={job.photo} marks={plan.marks} shop={shop} />}
          {round && (
            <label className="quiet flex items-center gap-2 text-[0.8rem] whitespace-nowrap">
              Turn it
              <input
                type="range"
                className="range range-xs min-w-0 flex-1"
                aria-label="Turn the piece"
                min={-180}
                max={180}
                step={5}
                value={Math.round((turn * 180) / Math.PI)}
                onChange={(event) => setTurn((Number(event.target.value) * Math.PI) / 180)}
              />
            </label>
          )}
          {chosen && round && (
            <p className="quiet text-[0.8rem] leading-snug">
              {formatLength(chosen.fitted.box.minY, system)} from the bottom edge
              {job.count > 1 ? `, the same on all ${job.count}` : ''}. The wrap is {formatLength(wallOf(job.piece.shape).width, system)}.
            </p>
          )}
          {chosen && chosen.fitted.layers.length > 0 && (
            <>
              <button
                type="button"
                className="btn btn-sm btn-outline btn-primary"
                onClick={() => sizing({ mode: 'width', width: handy }, 'Next size down')}
              >
                Round down to {formatLength(handy, system)}
              </button>
              <button
                type="button"
                className="btn btn-sm btn-outline btn-primary"
                onClick={() => mark && edit(centred(mark.id), 'Centre the mark')}
              >
                Centre it
              </button>
            </>
          )}
        </div>
      </div>
    </>
  );
  const inner = usableOf(zone, job.piece).inner;
  return (
    <StationLayout title="Fit" drawing={drawing}>
      <MarkTabs job={job} mark={mark} chooseMark={chooseMark} />
      {mark && chosen && (
        <div className="sheet px-4 py-3">
          <Sentence>
            Put <strong>{mark.name}</strong> on {job.count === 1 ? 'the' : `each of ${job.count}`}{' '}
            {job.count === 1 ? job.piece.name : plural(job.piece.name)},{' '}
            <SizeWords
              mark={mark}
              plan={chosen}
              zone={zone}
              piece={job.piece}
              system={system}
              ofCapitals={columnsIn(mark.artwork, job.list).length > 0}
              edit={edit}
            />{' '}
            in{' '}
            <Choice
              label="Zone"
              value={zone.id}
              options={job.zones.map((z) => ({ value: z.id, label: inSentence(z.name) }))}
              onChange={(id) => edit(setAt(['marks', mark.id, 'zone'], id), 'Choose the zone')}
            />{' '}
            with{' '}
            <LengthWord
              label="Breathing room"
              value={zone.breathing}
              system={system}
              onChange={(mm) => edit(setAt(['zones', zone.id, 'breathing'], mm), 'Change the breathing room')}
            />{' '}
            of breathing room, <PlaceWords mark={mark} edit={edit} system={system} />
            {shape.kind === 'taper' && (
              <>
                ,{' '}
                <Switch
                  label="Bend"
                  on={!mark.straight}
                  yes="bent so that lines read level"
                  no="left straight"
                  onChange={(on) => edit(setAt(['marks', mark.id, 'straight'], !on), 'Bend the mark')}
                />
              </>
            )}
            , put on{' '}
            <Switch
              label="Side"
              on={mark.seenThrough}
              yes="the back, seen through"
              no="the front"
              onChange={(on) => edit(setAt(['marks', mark.id, 'seenThrough'], on), 'Change the side')}
            />
            .
          </Sentence>
          <SpreadWords job={job} mark={mark} edit={edit} />
          {!inner && <p className="text-error text-sm">The zone is smaller than its breathing room: see Measure.</p>}
        </div>
      )}
      <Readings
        plan={plan}
        edit={edit}
        fix={fix}
        mark={mark}
        stations={['fit', 'draw']}
        preview={{ job, shop }}
        shown={shown}
        onShow={(r) => setShown(shown === r.id ? undefined : r.id)}
      />
      <JigCard job={job} plan={plan} shop={shop} zone={zone} />
    </StationLayout>
  );
}
