import { ringShape, SIMPLE_SHAPES, thickenedBy } from '@kolleta/core/artwork';
import { boxHeight, boxOfPoints, boxWidth } from '@kolleta/core/geometry';
import { setAt, type Mark, type Patch } from '@kolleta/core/job';
import type { MarkPlan } from '@kolleta/core/plan';
import type { LengthSystem } from '@kolleta/core/units';
import { LengthWord } from '../../ui/tokens';
import type { StationProps } from '../../frame/station';

/** A hole that is at least so much of a mark, across and up, is its inside: something may stand in it. */
const INSIDE = 0.45;

/** How wide the inside of a mark is, mm, where it has one. */
function insideOf({ fitted }: MarkPlan): number | undefined {
  const holes = fitted.layers.flatMap(({ region }) => region.flatMap((part) => part.holes.map(boxOfPoints)));
  const widest = holes.toSorted((a, b) => boxWidth(b) - boxWidth(a))[0];
  return widest && boxWidth(widest) > INSIDE * fitted.width && boxHeight(widest) > INSIDE * fitted.height ? boxWidth(widest) : undefined;
}

/** The size of what stands inside a ring, a frame, a wreath; of a ring also its line. */
export function InsideWords({
  mark,
  plan,
  system,
  edit,
}: Pick<StationProps, 'edit'> & { mark: Mark; plan: MarkPlan; system: LengthSystem }) {
  const inside = insideOf(plan);
  if (inside === undefined) return null;
  const { artwork, edits } = mark;
  const isRing = artwork.kind === 'drawing' && artwork.name === SIMPLE_SHAPES.ring && artwork.parts.length === 1 && edits.length === 0;
  const line = (plan.fitted.width - inside) / 2;
  const width = (mm: number): Patch => setAt(['marks', mark.id, 'size'], { mode: 'width', width: Math.round(mm * 1000) / 1000 });
  const ring = (inner: number, of: number): Patch => [
    ...width(inner + 2 * of),
    ...setAt(
      ['marks', mark.id, 'artwork', 'parts', artwork.kind === 'drawing' ? artwork.parts[0]!.id : '', 'path'],
      ringShape(inner / (inner + 2 * of)),
    ),
  ];
  // a thickening takes as much off the inside as it adds outside, whatever the size
  const thick = 2 * thickenedBy(edits);
  const all = (inner: number): Patch => width(plan.fitted.width + ((inner - inside) * (plan.fitted.width - thick)) / (inside + thick));
  return (
    <>
      {' '}
      (inside,{' '}
      <LengthWord
        label="What stands inside"
        value={inside}
        system={system}
        least={1}
        onChange={(inner) => edit(() => (isRing ? ring(inner, line) : all(inner)), 'Type the inner size')}
      />{' '}
      fits
      {isRing && (
        <>
          ; its line is{' '}
          <LengthWord
            label="Line of the ring"
            value={line}
            system={system}
            least={0.2}
            onChange={(of) => edit(() => ring(inside, of), 'Type the line')}
          />
        </>
      )}
      )
    </>
  );
}
