import type { ClipboardEvent } from 'react';
import { FACES, isStrokeFace } from '@kolleta/core/facts';
import { removeAt, setAt, type Align, type Job, type Mark, type Scalar, type TextLine } from '@kolleta/core/job';
import { parseNumber } from '@kolleta/core/units';
import { HeldInput } from '../../ui/HeldInput';
import { Choice, Sentence, Switch, Typed } from '../../ui/tokens';
import type { StationProps } from '../../frame/station';
import { useWorkshop } from '../../storage/useWorkshop';
import { newLine } from './blankMark';
import { OwnFaces } from './OwnFaces';
import { PairSpacing } from './PairSpacing';
import { useFaceOptions } from './useFaceOptions';

/** A number typed in a sentence, within bounds. */
const numberWord = (label: string, least: number, most: number) => (text: string) =>
  parseNumber(text, label, { least, most, units: ['%', '°'] });

const ALIGNS: { value: Align; label: string }[] = [
  { value: 'left', label: 'flush left' },
  { value: 'centre', label: 'centred' },
  { value: 'right', label: 'flush right' },
  { value: 'justified', label: 'spread to one width' },
  { value: 'stacked', label: 'each made as wide as the widest' },
];

type ArcWay = 'straight' | 'up' | 'down' | 'circle';
const arcWay = (arc: number | undefined): ArcWay => (!arc ? 'straight' : Math.abs(arc) >= 350 ? 'circle' : arc > 0 ? 'up' : 'down');

/** What weights are called. */
const WEIGHTS: readonly (readonly [weight: number, name: string])[] = [
  [100, 'hair-thin'],
  [200, 'very light'],
  [300, 'light'],
  [400, 'regular'],
  [500, 'medium'],
  [600, 'half bold'],
  [700, 'bold'],
  [800, 'very bold'],
  [900, 'black'],
];

/** How heavy the letters are, of a face of one’s own that can be drawn in several weights. */
function WeightWord({ line, i, onChange }: { line: TextLine; i: number; onChange: (weight: number) => void }) {
  const weights = useWorkshop().shop.faces?.find(({ id }) => id === line.face)?.weights;
  if (!weights) return null;
  const { least, usual, most } = weights;
  const now = Math.min(most, Math.max(least, line.weight ?? usual));
  const named = WEIGHTS.filter(([weight]) => weight >= least && weight <= most);
  const all = named.some(([weight]) => weight === now) ? named : [...named, [now, `weight ${now}`] as const];
  return (
    <>
      , cut{' '}
      <Choice
        label={`Weight of line ${i + 1}`}
        value={`${now}`}
        options={all.toSorted(([a], [b]) => a - b).map(([weight, label]) => ({ value: `${weight}`, label }))}
        onChange={(weight) => onChange(Number(weight))}
      />
    </>
  );
}

/** The lines of a mark as they are saved. */
const linesIn = (saved: Job, mark: string): readonly TextLine[] => {
  const artwork = saved.marks.find((m) => m.id === mark)?.artwork;
  return artwork?.kind === 'text' ? artwork.lines : [];
};

/** The lines of a mark: words, face, size and spacing; how they stand to each other. */
export function LineFields({ mark, edit }: { mark: Mark; edit: StationProps['edit'] }) {
  const faces = useFaceOptions();
  if (mark.artwork.kind !== 'text') return null;
  const { artwork } = mark;
  const at = (...path: string[]) => ['marks', mark.id, 'artwork', ...path];
  const set = (line: string, field: keyof TextLine, value: Scalar) =>
    edit(setAt(at('lines', line, field), value), `Change the ${field === 'text' ? 'words' : field}`);
  /** Several lines pasted become as many lines. */
  const paste = (event: ClipboardEvent<HTMLInputElement>, line: TextLine) => {
    const rows = event.clipboardData
      .getData('text')
      .split(/\r?\n/)
      .map((row) => row.trim())
      .filter(Boolean)
      .slice(0, 60);
    if (rows.length < 2) return;
    event.preventDefault();
    const more = rows.slice(1).map((text) => ({ ...newLine(line.face), text, scale: line.scale, spacing: line.spacing }));
    edit((saved) => {
      const lines = linesIn(saved, mark.id);
      const index = lines.findIndex((l) => l.id === line.id);
      if (index < 0) return [];
      const first = { ...lines[index]!, text: rows[0]! };
      return setAt(at('lines'), [...lines.slice(0, index), first, ...more, ...lines.slice(index + 1)].slice(0, 200));
    }, 'Paste lines');
  };
  const arc = artwork.arc ?? 0;
  return (
    <>
      {artwork.lines.map((line, i) => (
        <div key={line.id} className="border-base-300 border-b py-1.5 last:border-0">
          <div className="flex items-center gap-2">
            <HeldInput
              className="input input-sm min-w-0 flex-1 text-base"
              aria-label={`Line ${i + 1}`}
              dir="auto"
              placeholder={i === 0 ? 'Type the words' : 'Another line'}
              value={line.text}
              maxLength={200}
              save={(text) => set(line.id, 'text', text)}
              onPaste={(event) => paste(event, line)}
            />
            {artwork.lines.length > 1 && (
              <button
                type="button"
                className="btn btn-sm btn-ghost"
                aria-label={`Take line ${i + 1} away`}
                onClick={() =>
                  edit((saved) => (linesIn(saved, mark.id).length > 1 ? removeAt(at('lines', line.id)) : []), 'Take a line away')
                }
              >
                ✕
              </button>
            )}
          </div>
          <Sentence className="text-[0.95rem]!">
            in <Choice label={`Font of line ${i + 1}`} value={line.face} options={faces} onChange={(face) => set(line.id, 'face', face)} />
            <WeightWord line={line} i={i} onChange={(weight) => set(line.id, 'weight', weight)} />
            {artwork.lines.length > 1 && (
              <>
                ,{' '}
                <Typed
                  label={`Size of line ${i + 1}, percent`}
                  shown={`${Math.round(line.scale * 100)} %`}
                  read={numberWord('Size', 5, 1000)}
                  onChange={(n) => set(line.id, 'scale', n / 100)}
                />{' '}
                as large
              </>
            )}
            , letters{' '}
            <Typed
              label={`Letter spacing of line ${i + 1}, percent`}
              shown={`${Math.round(line.spacing * 100)} %`}
              read={numberWord('Spacing', -40, 300)}
              onChange={(n) => set(line.id, 'spacing', n / 100)}
            />{' '}
            apart,{' '}
            <Switch
              label={`Letters of line ${i + 1}`}
              on={line.joined ?? false}
              yes="closed up where they do not touch"
              no="as the font sets them"
              onChange={(on) => set(line.id, 'joined', on)}
            />
          </Sentence>
          {isStrokeFace(line.face) && (
            <p className="quiet text-sm">For a pen that writes labels: {FACES.find(({ id }) => id === line.face)?.licence}.</p>
          )}
          <PairSpacing
            line={line}
            onChange={(next) =>
              edit((saved) => {
                const now = linesIn(saved, mark.id).find((l) => l.id === line.id);
                return now ? setAt(at('lines', line.id, 'pairs'), next(now.pairs ?? {})) : [];
              }, 'Change the pairs')
            }
          />
        </div>
      ))}
      <div className="mt-1 flex flex-wrap gap-1.5">
        <button
          type="button"
          className="btn btn-sm btn-ghost border-base-300"
          onClick={() => {
            const line = newLine(artwork.lines.at(-1)?.face ?? 'montserrat');
            edit(() => setAt(at('lines', line.id), line), 'Add a line');
          }}
        >
          Another line
        </button>
        <OwnFaces />
      </div>
      <Sentence className="text-[0.95rem]!">
        {artwork.lines.length > 1 && (
          <>
            Lines stand{' '}
            <Choice
              label="Alignment"
              value={artwork.align}
              options={ALIGNS}
              onChange={(align) => edit(setAt(at('align'), align), 'Change the alignment')}
            />
            ,{' '}
            <Typed
              label="Line spacing, percent"
              shown={`${Math.round(artwork.lineSpacing * 100)} %`}
              read={numberWord('Line spacing', 30, 400)}
              onChange={(n) => edit(setAt(at('lineSpacing'), n / 100), 'Change the line spacing')}
            />{' '}
            apart.{' '}
          </>
        )}
        Set{' '}
        <Choice
          label="Way of the words"
          value={arcWay(artwork.arc)}
          options={[
            { value: 'straight', label: 'straight' },
            { value: 'up', label: 'on an arch' },
            { value: 'down', label: 'on a hanging arc' },
            { value: 'circle', label: 'round a circle' },
          ]}
          onChange={(way) =>
            edit(
              way === 'straight' ? removeAt(at('arc')) : setAt(at('arc'), way === 'up' ? 120 : way === 'down' ? -120 : 360),
              'Set the words on an arc',
            )
          }
        />
        {arc !== 0 && Math.abs(arc) < 350 && (
          <>
            {' '}
            of{' '}
            <Typed
              label="Arc, degrees"
              shown={`${Math.abs(arc)}°`}
              read={numberWord('Arc', 5, 345)}
              onChange={(n) =>
                edit((saved) => {
                  const now = saved.marks.find((m) => m.id === mark.id)?.artwork;
                  return setAt(at('arc'), now?.kind === 'text' && (now.arc ?? 0) < 0 ? -n : n);
                }, 'Change the arc')
              }
            />
          </>
        )}
        .
      </Sentence>
    </>
  );
}
