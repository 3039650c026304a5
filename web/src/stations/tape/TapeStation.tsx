import { GRIP_LIMITS, TAPINGS, TECHNIQUES, type TapingId } from '@kolleta/core/facts';
import { tapingOf } from '@kolleta/core/finish';
import { isTaped, removeAt, setAt } from '@kolleta/core/job';
import { boxCentre, growBox } from '@kolleta/core/geometry';
import { counted, formatLength, times } from '@kolleta/core/units';
import { Dimension } from '../../drawing/Dimension';
import { MarkShapes } from '../../drawing/MarkShapes';
import { Scaled } from '../../drawing/Scaled';
import { MmRect } from '../../drawing/MmRect';
import { DrawingHead, MarkTabs, Readings, StationLayout, type StationProps } from '../../frame/station';
import { Choice, Sentence } from '../../ui/tokens';
import { StepCards } from '../../frame/StepCards';
import { TapeTaught } from './TapeTaught';
import { DayTape, useDayTape } from './DayTape';
import { GripChart } from './GripChart';
import { OtherTapes } from './OtherTapes';
import { OnceKnown } from '../../frame/OnceKnown';

const USUAL = 'usual';

/** Which piece of the plan for all marks of the day lifts this layer, where there is one for others too. */
function InDayPlan({ lift }: { lift: string }) {
  const { data } = useDayTape('day');
  const numbers = (data?.pieces ?? []).flatMap(({ uses }, i) => (uses.some((use) => use.lift === lift) ? [i + 1] : []));
  const shared = (data?.pieces ?? []).some(({ uses }) => uses.some((use) => use.lift === lift) && uses.some((use) => use.lift !== lift));
  if (!shared) return null;
  return (
    <p className="text-sm">
      Together with the other marks of the day it takes {numbers.length === 1 ? 'piece' : 'pieces'} {numbers.join(', ')} of the plan below,
      which saves tape.
    </p>
  );
}

/** The tape that carries each mark over, and how much of it. */
export function TapeStation({ job, plan, shop, edit, fix, mark, chooseMark }: StationProps) {
  const layers = plan.layers.filter((l) => l.mark === mark?.id);
  const fitted = plan.marks.find((m) => m.mark.id === mark?.id);
  const system = shop.lengths;
  const byHand = mark !== undefined && TECHNIQUES[mark.technique].taped && !isTaped(mark);
  // as large as the piece of tape is cut: a mark that is bent takes a little more than its box
  const [lw, lh] = [Math.max(0, ...layers.map(({ width }) => width)), Math.max(0, ...layers.map(({ height }) => height))];
  const [cx, cy] = fitted ? boxCentre(fitted.fitted.box) : [0, 0];
  const whole = growBox({ minX: cx - lw / 2, maxX: cx + lw / 2, minY: cy - lh / 2, maxY: cy + lh / 2 }, GRIP_LIMITS.margin);
  const taped = fitted && (layers.every(({ parts }) => parts === 1) ? whole : growBox(fitted.fitted.box, GRIP_LIMITS.margin));
  const drawing =
    layers.length > 0 && fitted && taped && !byHand ? (
      <>
        <DrawingHead
          title="The grip window"
          text="Green is the grip that lifts the film off its liner and still lets go of it on the piece. Each dot is one use of a piece of tape."
        />
        <div className="px-3">
          {layers.map((layer) => (
            <div key={layer.film.id}>
              {layers.length > 1 && <h3 className="px-1 text-sm font-bold">{layer.film.name}</h3>}
              <GripChart layer={layer} shop={shop} />
            </div>
          ))}
        </div>
        <Scaled box={taped} pad={[14, 66, 30, 24]} className="min-h-44 flex-1" label="The piece of tape over the mark, to scale" most={4}>
          <MmRect box={taped} fill="var(--liner)" fillOpacity={0.9} stroke="var(--color-primary)" dash="8 4" />
          <MarkShapes plan={fitted} shop={shop} />
          <Dimension from={[taped.minX, taped.minY]} to={[taped.maxX, taped.minY]} beside={10} system={system} />
          <Dimension from={[taped.maxX, taped.minY]} to={[taped.maxX, taped.maxY]} beside={10} system={system} />
        </Scaled>
      </>
    ) : (
      <p className="m-auto p-6">
        <OnceKnown of={plan}>Nothing to lift yet.</OnceKnown>
      </p>
    );
  return (
    <StationLayout title="Tape" drawing={drawing}>
      <MarkTabs job={job} mark={mark} chooseMark={chooseMark} />
      {byHand && (
        <div className="sheet px-4 py-3">
          <p className="text-[0.97rem]">{mark.name} is put down by hand, without tape.</p>
          <button
            type="button"
            className="btn btn-xs btn-outline mt-1"
            onClick={() => void edit(removeAt(['marks', mark.id, 'placing']), 'Lift it with tape')}
          >
            Lift it with tape
          </button>
        </div>
      )}
      {layers.map(({ choice, pieces, film, offers, width, height }) =>
        choice && pieces ? (
          <div key={film.id} className="sheet px-4 py-3">
            <h2 className="text-[0.98rem] font-bold">{film.name}</h2>
            <p className="text-[1.05rem] leading-7">
              Take <strong>{choice.tape.name}</strong>: {pieces.pieces === 1 ? 'one piece' : `${pieces.pieces} pieces`} of{' '}
              <strong className="measure text-[0.94em]">
                {formatLength(Math.ceil(pieces.width), system, { unit: false })} × {formatLength(Math.ceil(pieces.height), system)}
              </strong>
              {pieces.strips > 1 ? `, laid in ${pieces.strips} strips` : ''},{' '}
              {pieces.usesEach === 1 ? 'used once' : `used up to ${times(pieces.usesEach)} each`}. {choice.why}
            </p>
            <p className="quiet text-sm">
              One piece does {counted(choice.uses.to! - choice.uses.from! + 1, 'mark')}. Cut{' '}
              {formatLength(pieces.length, system, { digits: 0 })} off the roll.
              {choice.dull > 0 ? ` Press it on clean cloth or glass ${times(choice.dull)} first.` : ''}
            </p>
            <TapeTaught film={film} tape={choice.tape.kind} job={job} />
            {mark && (
              <>
                <Sentence className="text-[0.97rem]!">
                  Put together:{' '}
                  <Choice
                    label={`How ${film.name} is taped`}
                    value={mark.taping ?? USUAL}
                    options={[
                      { value: USUAL, label: `as suits its size: ${TAPINGS[tapingOf({}, film.kind, width, height)].name}` },
                      ...(Object.keys(TAPINGS) as TapingId[]).map((value) => ({
                        value,
                        label: `${TAPINGS[value].name} (${TAPINGS[value].when})`,
                      })),
                    ]}
                    onChange={(to) =>
                      edit(
                        to === USUAL ? removeAt(['marks', mark.id, 'taping']) : setAt(['marks', mark.id, 'taping'], to),
                        'Choose how it is taped',
                      )
                    }
                  />
                  .
                </Sentence>
                <p className="quiet text-sm">{TAPINGS[tapingOf(mark, film.kind, width, height)].text}</p>
                <InDayPlan lift={`${job.id} ${mark.id} ${film.id}`} />
              </>
            )}
            {mark && offers.length > 1 && <OtherTapes mark={mark} offers={offers} taken={choice.tape.id} edit={edit} />}
          </div>
        ) : null,
      )}
      <Readings plan={plan} edit={edit} fix={fix} mark={mark} stations={['tape']} />
      <DayTape />
      <StepCards plan={plan} shop={shop} stations={['tape']} />
    </StationLayout>
  );
}
