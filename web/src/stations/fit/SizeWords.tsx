import { useState } from 'react';
import { usableOf } from '@kolleta/core/blanks';
import { boxWidth } from '@kolleta/core/geometry';
import { setAt, type Mark, type MarkSize, type Patch, type Piece, type Zone } from '@kolleta/core/job';
import type { MarkPlan } from '@kolleta/core/plan';
import { formatLength, good, SAME_MM, type LengthSystem } from '@kolleta/core/units';
import { Choice, LengthWord } from '../../ui/tokens';
import type { StationProps } from '../../frame/station';
import { InsideWords } from './InsideWords';

type Way = 'largest' | 'room' | 'edge' | 'width' | 'height' | 'both';
const OPTIONS: { value: Way; label: string }[] = [
  { value: 'largest', label: 'as large as fits' },
  { value: 'room', label: 'as wide as its room' },
  { value: 'edge', label: 'from edge to edge' },
  { value: 'width', label: 'with a width of' },
  { value: 'height', label: 'with a height of' },
  { value: 'both', label: 'stretched to just' },
];

/** Widths that a zone gives: inside its breathing room, and from edge to edge; shared by the copies of a row. */
function widthsOf(mark: Mark, plan: MarkPlan, zone: Zone, piece: Piece) {
  const { clear } = usableOf(zone, piece);
  const copies = mark.spread?.kind === 'row' ? mark.spread.count : 1;
  return { room: plan.usable.inner ? boxWidth(plan.usable.inner) : 0, edge: boxWidth(clear) / copies };
}

function wayOf({ size }: Mark, zone: Zone, { room, edge }: { room: number; edge: number }): Way {
  if (size.mode !== 'width') return size.mode;
  if (size.height !== undefined) return 'both';
  const is = (width: number) => Math.abs(size.width - width) < SAME_MM;
  return zone.breathing === 0 && is(edge) ? 'edge' : is(room) ? 'room' : 'width';
}

/** In a list the height is that of the capitals, so that all names have letters of one size. */
const CAPITALS = { value: 'height' as const, label: 'with capitals as high as' };

interface Props {
  mark: Mark;
  plan: MarkPlan;
  zone: Zone;
  piece: Piece;
  system: LengthSystem;
  /** Its words differ from piece to piece. */
  ofCapitals?: boolean;
  edit: StationProps['edit'];
}

/** How large a mark is to be. */
export function SizeWords({ mark, plan, zone, piece, system, ofCapitals = false, edit }: Props) {
  const at = ['marks', mark.id, 'size'];
  const sizing = (size: MarkSize, label: string) => edit(() => setAt(at, size), label);
  const widths = widthsOf(mark, plan, zone, piece);
  // a width that is typed may happen to be that of the room
  const [typing, setTyping] = useState(false);
  const way = typing && mark.size.mode === 'width' ? 'width' : wayOf(mark, zone, widths);
  const asDrawn = mark.artwork.kind === 'drawing' ? mark.artwork.asDrawn : undefined;
  const centred = setAt(['marks', mark.id, 'offset', 'x'], 0);
  const { fitted } = plan;
  // of a list the words without descenders are as high as their capitals
  const heights = ofCapitals ? plan.variants.flatMap((v) => (v.fitted.layers.length > 0 ? [v.fitted.height] : [])) : [fitted.height];
  if (heights.length === 0) heights.push(fitted.height);
  const patches: Record<Way, () => Patch> = {
    largest: () => setAt(at, { mode: 'largest' }),
    room: () => [...setAt(at, { mode: 'width', width: widths.room }), ...centred],
    edge: () => [...setAt(at, { mode: 'width', width: widths.edge }), ...setAt(['zones', zone.id, 'breathing'], 0), ...centred],
    width: () => setAt(at, { mode: 'width', width: Math.round(fitted.width * 10) / 10 }),
    both: () => setAt(at, { mode: 'width', width: Math.round(fitted.width * 10) / 10, height: Math.round(fitted.height * 10) / 10 }),
    height: () => setAt(at, { mode: 'height', height: Math.round(Math.min(...heights) * 10) / 10 }),
  };
  return (
    <>
      <Choice
        label="Size"
        value={way}
        options={(ofCapitals ? OPTIONS.map((one) => (one.value === 'height' ? CAPITALS : one)) : OPTIONS).filter(
          ({ value }) => (value !== 'room' && value !== 'edge') || value === way || widths[value] > 0,
        )}
        onChange={(next) => {
          setTyping(next === 'width');
          edit(patches[next], `Size ${OPTIONS.find(({ value }) => value === next)!.label}`);
        }}
      />{' '}
      {asDrawn && (mark.size.mode !== 'width' || Math.abs(mark.size.width - asDrawn.width) >= SAME_MM) && (
        <button
          type="button"
          className="btn btn-xs btn-outline"
          onClick={() => sizing({ mode: 'width', width: asDrawn.width }, 'Size as drawn')}
        >
          As drawn: {formatLength(asDrawn.width, system)} × {formatLength(asDrawn.height, system)}
        </button>
      )}{' '}
      {way === 'width' && mark.size.mode === 'width' && (
        <LengthWord
          label="Width of the mark"
          value={mark.size.width}
          system={system}
          least={1}
          check={good}
          onChange={(width) => sizing({ mode: 'width', width }, 'Type a width')}
        />
      )}
      {way === 'both' && mark.size.mode === 'width' && (
        <>
          <LengthWord
            label="Width of the mark"
            value={mark.size.width}
            system={system}
            least={1}
            onChange={(width) => edit(setAt([...at, 'width'], width), 'Type a width')}
          />{' '}
          by{' '}
          <LengthWord
            label="Height of the mark"
            value={mark.size.height ?? fitted.height}
            system={system}
            least={1}
            onChange={(height) => edit(setAt([...at, 'height'], height), 'Type a height')}
          />
        </>
      )}
      {mark.size.mode === 'height' && (
        <LengthWord
          label="Height of the mark"
          value={mark.size.height}
          system={system}
          least={1}
          onChange={(height) => sizing({ mode: 'height', height }, 'Type a height')}
        />
      )}
      <InsideWords mark={mark} plan={plan} system={system} edit={edit} />
    </>
  );
}
