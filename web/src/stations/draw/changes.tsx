// Longer than 300 lines: it is one table, a row a change.
import type { ReactNode } from 'react';
import { MOST_COPIES } from '@kolleta/core/artwork';
import { BRIDGES } from '@kolleta/core/facts';
import { boxHeight, boxWidth, numbersFrom, type Box } from '@kolleta/core/geometry';
import type { Change, Film, Mark, Plate, Scalar, ShelfItem } from '@kolleta/core/job';
import { formatLength, good, parseLength, parseNumber, refused, type LengthSystem } from '@kolleta/core/units';
import { Choice, CountWord, LengthWord, Switch, Typed } from '../../ui/tokens';
import { BroughtShape, simple, type Brought } from './BroughtShape';

export type ChangeKind = Change['kind'];
type Of<K extends ChangeKind> = Extract<Change, { kind: K }>;

/** What a change begins with on a mark of its size. */
interface Around {
  /** About an eighth of its smaller side, mm. */
  some: number;
  /** Another film of the stock. */
  other: Film | undefined;
  zone: Box | undefined;
  mark: Mark;
}

/** What the sentence of a change is made with. */
interface Said<C> {
  change: C;
  films: readonly { value: string; label: string }[];
  system: LengthSystem;
  set: (field: string, value: Scalar) => void;
  /** Changes several fields at once, to a shape that is brought along. */
  bring: (shape: Brought) => void;
  /** Drawings that can be brought along. */
  shelf: readonly ShelfItem[];
  /** A field that may be empty again. */
  clear: (field: string) => void;
  /** A length that can be changed. */
  length: (label: string, field: string, value: number, least?: number) => ReactNode;
}

interface Row<K extends ChangeKind> {
  /** What is wanted, in the maker's words. */
  label: string;
  begin: (around: Around) => Omit<Of<K>, 'kind'>;
  words: (said: Said<Of<K>>) => ReactNode;
}

const PLATES: { value: Plate; label: string }[] = [
  { value: 'box', label: 'a plain plate' },
  { value: 'rounded', label: 'a plate with rounded corners' },
  { value: 'ellipse', label: 'an oval' },
];

const SIDES: { value: Of<'beside'>['side']; label: string }[] = [
  { value: 'leftRight', label: 'on both sides' },
  { value: 'left', label: 'on the left' },
  { value: 'right', label: 'on the right' },
  { value: 'above', label: 'above' },
  { value: 'below', label: 'below' },
  { value: 'aboveBelow', label: 'above and below' },
];

const percent = (label: string, least: number, most: number) => (text: string) => {
  const n = parseNumber(text, label, { least, most, units: ['%'] });
  return n.ok ? good(n.value / 100) : n;
};
const areaWord = (label: string) => (text: string) => parseNumber(text, label, { least: 0, most: 10_000, units: ['mm²'] });

/** So many copies one way, where there are so many the other way. */
const mostBy = (other: number) => Math.max(1, Math.min(60, Math.floor(MOST_COPIES / other)));

/** Every change that a mark can be asked for: its name, what it begins with, and its sentence. */
export const CHANGES: { [K in ChangeKind]: Row<K> } = {
  oneOutline: {
    label: 'make one outline',
    begin: () => ({ gap: 0.5 }),
    words: ({ change, length }) => <>One outline, gaps under {length('Gaps under', 'gap', change.gap)} closed</>,
  },
  showGround: {
    label: 'let the ground show through',
    begin: ({ some }) => ({ plate: 'rounded', margin: some }),
    words: ({ change, set, length }) => (
      <>
        Taken out of <Choice label="Plate" value={change.plate} options={PLATES} onChange={(v) => set('plate', v)} />{' '}
        {length('Margin of the plate', 'margin', change.margin)} larger, so that the ground shows through
      </>
    ),
  },
  outOf: {
    label: 'take it out of a shape or a drawing',
    begin: () => ({ ...simple('heart'), by: 1.8, right: 0, up: 0 }),
    words: ({ change, set, bring, shelf }) => (
      <>
        Taken out of <BroughtShape label="Shape around it" value={change.name} shelf={shelf} onChange={bring} />,{' '}
        <Typed
          label="Shape larger, percent"
          shown={`${Math.round(change.by * 100)} %`}
          read={percent('Shape', 10, 2000)}
          onChange={(v) => set('by', v)}
        />{' '}
        as large as would just hold it; the mark sits{' '}
        <Typed
          label="Right of the middle, percent"
          shown={`${Math.round(change.right * 100)} %`}
          read={percent('Right', -500, 500)}
          onChange={(v) => set('right', v)}
        />{' '}
        of its width to the right and{' '}
        <Typed
          label="Above the middle, percent"
          shown={`${Math.round(change.up * 100)} %`}
          read={percent('Up', -500, 500)}
          onChange={(v) => set('up', v)}
        />{' '}
        of its height above the middle
      </>
    ),
  },
  beside: {
    label: 'put a shape beside it',
    begin: ({ some }) => ({ ...simple('star'), side: 'leftRight', share: 0.7, gap: some }),
    words: ({ change, set, length, bring, shelf, films, clear }) => (
      <>
        A <BroughtShape label="Shape beside it" value={change.name} shelf={shelf} onChange={bring} />{' '}
        <Choice label="Side of the shape" value={change.side} options={SIDES} onChange={(v) => set('side', v)} />,{' '}
        <Typed
          label="Size of the shape, percent"
          shown={`${Math.round(change.share * 100)} %`}
          read={percent('Size', 2, 2000)}
          onChange={(v) => set('share', v)}
        />{' '}
        of the mark’s {change.side === 'above' || change.side === 'below' || change.side === 'aboveBelow' ? 'width' : 'height'},{' '}
        {length('Off the mark', 'gap', change.gap)} off, from{' '}
        <Choice
          label="Film of the shape"
          value={change.film ?? ''}
          options={[{ value: '', label: 'the same film' }, ...films]}
          onChange={(v) => (v === '' ? clear('film') : set('film', v))}
        />
      </>
    ),
  },
  backing: {
    label: 'back it with another film',
    begin: ({ some, other, mark }) => ({ film: other?.id ?? mark.film, by: Math.max(1, Math.round(some / 2)) }),
    words: ({ change, set, length, films }) => (
      <>
        Backed with <Choice label="Film of the backing" value={change.film} options={films} onChange={(v) => set('film', v)} />,{' '}
        {length('Backing larger by', 'by', change.by)} larger all round
      </>
    ),
  },
  silhouette: {
    label: 'only the silhouette',
    begin: () => ({}),
    words: () => <>Only the silhouette: insides filled</>,
  },
  bridges: {
    label: 'hold its insides by bridges',
    begin: () => ({ width: BRIDGES.width }),
    words: ({ change, length }) => <>Bridges of {length('Width of the bridges', 'width', change.width, 0.2)} hold its insides</>,
  },
  part: {
    label: 'part it for a line',
    begin: ({ some }) => ({ at: 0.5, gap: some }),
    words: ({ change, set, length }) => (
      <>
        Parted by {length('Gap', 'gap', change.gap)} at{' '}
        <Typed
          label="Parted at"
          shown={`${Math.round(change.at * 100)} %`}
          read={percent('Height', 1, 99)}
          onChange={(v) => set('at', v)}
        />{' '}
        of its height
      </>
    ),
  },
  frame: {
    label: 'put a frame around it',
    begin: ({ some }) => ({ plate: 'rounded', margin: some, width: Math.max(1.5, Math.round(some / 3)) }),
    words: ({ change, set, length }) => (
      <>
        Framed by <Choice label="Frame" value={change.plate} options={PLATES} onChange={(v) => set('plate', v)} />{' '}
        {length('Frame off the mark', 'margin', change.margin)} off, a line of {length('Width of the frame', 'width', change.width, 0.1)}
      </>
    ),
  },
  stretch: {
    label: 'stretch it a little',
    begin: () => ({ across: 1.1, up: 1 }),
    words: ({ change, set }) => (
      <>
        Stretched to{' '}
        <Typed
          label="Across, percent"
          shown={`${Math.round(change.across * 100)} %`}
          read={percent('Across', 20, 500)}
          onChange={(v) => set('across', v)}
        />{' '}
        across and{' '}
        <Typed
          label="Up, percent"
          shown={`${Math.round(change.up * 100)} %`}
          read={percent('Up', 20, 500)}
          onChange={(v) => set('up', v)}
        />{' '}
        up
      </>
    ),
  },
  repeat: {
    label: 'repeat it evenly',
    begin: ({ some }) => ({ across: 3, up: 1, gap: some }),
    words: ({ change, set, length }) => (
      <>
        Repeated <CountWord label="Across" value={change.across} most={mostBy(change.up)} onChange={(v) => set('across', v)} /> across by{' '}
        <CountWord label="Up" value={change.up} most={mostBy(change.across)} onChange={(v) => set('up', v)} /> up,{' '}
        {length('Apart', 'gap', change.gap)} apart
      </>
    ),
  },
  scatter: {
    label: 'scatter it',
    begin: ({ zone }) => ({
      count: 12,
      width: Math.round(zone ? boxWidth(zone) : 200),
      height: Math.round(zone ? boxHeight(zone) : 100),
      least: 5,
      turn: true,
      over: false,
      seed: 1,
    }),
    words: ({ change, set, length, system, clear }) => (
      <>
        <CountWord label="Count" value={change.count} most={300} onChange={(v) => set('count', v)} /> scattered over{' '}
        {length('Width of the field', 'width', change.width, 1)} by {length('Height of the field', 'height', change.height, 1)}, at least{' '}
        {length('Least distance', 'least', change.least)} apart,{' '}
        <Switch label="Turned" on={change.turn} yes="turned anyhow" no="upright" onChange={(v) => set('turn', v)} />, each{' '}
        <Choice
          label="Size of the copies"
          value={change.copy === undefined ? 'largest' : 'typed'}
          options={[
            { value: 'largest', label: 'as large as finds room' },
            { value: 'typed', label: 'of a size of' },
          ]}
          onChange={(v) => (v === 'typed' ? set('copy', 15) : clear('copy'))}
        />
        {change.copy !== undefined && (
          <>
            {' '}
            <LengthWord label="Size of a copy" value={change.copy} system={system} least={1} onChange={(mm) => set('copy', mm)} />
          </>
        )}
        , <Switch label="Over the edge" on={change.over} yes="also over the edge" no="inside the edge" onChange={(v) => set('over', v)} />
        {'; '}
        <button
          type="button"
          className="btn btn-xs btn-ghost border-base-300"
          onClick={() => set('seed', Math.floor(numbersFrom(change.seed + 7)() * 1e9))}
        >
          Scatter again
        </button>
      </>
    ),
  },
  thicken: {
    label: 'thicken it',
    begin: () => ({ by: 0.2 }),
    words: ({ change, set, system }) => (
      <>
        {change.by < 0 ? 'Slimmed' : 'Thickened'} by{' '}
        <Typed
          label="Thicken by"
          shown={formatLength(change.by, system, { digits: 2 })}
          read={(text) => {
            const by = parseLength(text, system, 'Thicken', -5);
            return !by.ok || by.value <= 5
              ? by
              : refused(`"${text}" does not fit here.`, '−5 to 5 mm', 'Thicken', 'Type mm a side, as in 0.2; below 0 it is slimmed.');
          }}
          onChange={(by) => set('by', by)}
        />{' '}
        a side
      </>
    ),
  },
  dropSmall: {
    label: 'drop small parts',
    begin: () => ({ below: 3, fillBelow: 1 }),
    words: ({ change, set }) => (
      <>
        Parts under{' '}
        <Typed label="Drop parts under" shown={`${change.below} mm²`} read={areaWord('Parts')} onChange={(v) => set('below', v)} /> dropped,
        insides under{' '}
        <Typed
          label="Fill insides under"
          shown={`${change.fillBelow} mm²`}
          read={areaWord('Counters')}
          onChange={(v) => set('fillBelow', v)}
        />{' '}
        filled
      </>
    ),
  },
};

export const CHANGE_KINDS = Object.keys(CHANGES) as ChangeKind[];
