import { useState } from 'react';
import {
  balancePoint,
  checkShape,
  foldedPanel,
  radiusFromChord,
  setMeasure,
  wallBox,
  wallRegion,
  type SetMeasure,
} from '@kolleta/core/blanks';
import { setAt } from '@kolleta/core/job';
import { formatLength, parseLength, type Result } from '@kolleta/core/units';
import { CountWord, LengthWord, Sentence, Typed } from '../../ui/tokens';
import type { StationProps } from '../../frame/station';
import { measured, reshaping, type Reshape } from './reshaping';

type Help = 'arc' | 'set' | 'cloth' | 'centre';
const HELP: { id: Help; name: string }[] = [
  { id: 'set', name: 'Several of a set' },
  { id: 'arc', name: 'Radius of a curve' },
  { id: 'cloth', name: 'Folded cloth' },
  { id: 'centre', name: 'Middle of an odd shape' },
];

/** Measures typed in a row, in either unit. */
function lengthsIn(text: string, system: 'mm' | 'inch'): Result<number[]> {
  const all: number[] = [];
  for (const word of text.split(/[;\n]|,(?=\s)|\s{2,}|(?<=\d)\s+(?=\d+(?:[.,]\d+)?(?:\s|$|;|,))/).filter((w) => w.trim())) {
    const read = parseLength(word.replace(/,$/, ''), system, 'Several pieces', 1);
    if (!read.ok) return read;
    all.push(read.value);
  }
  return { ok: true, value: all };
}

/** Small helps with a rule, a string and a straight edge. */
export function HelpMeasuring({ job, shop, edit }: Pick<StationProps, 'job' | 'shop' | 'edit'>) {
  const [open, setOpen] = useState<Help>();
  const [chord, setChord] = useState(60);
  const [sagitta, setSagitta] = useState(6);
  const [cloth, setCloth] = useState({ width: 480, height: 640, across: 3, up: 2 });
  const { piece } = job;
  const { shape } = piece;
  const system = shop.lengths;
  const say = (mm: number) => formatLength(mm, system);
  const radius = radiusFromChord(chord, sagitta);
  const panel = foldedPanel(cloth.width, cloth.height, cloth.across, cloth.up);
  const counted = shape.kind === 'flat' ? 'width' : shape.kind === 'taper' ? 'rim' : 'diameter';
  const asMeasured = (least: number): Reshape =>
    shape.kind === 'flat'
      ? measured('flat', () => ({ width: least }))
      : shape.kind === 'taper'
        ? measured('taper', () => ({ rim: least }))
        : measured(shape.kind, () => ({ diameter: least }));
  /** Measures of a set; the smallest has to go with what else was measured. */
  const readSet = (text: string): Result<SetMeasure> => {
    const lengths = lengthsIn(text, system);
    const set = lengths.ok ? setMeasure(lengths.value) : lengths;
    const can = set.ok ? checkShape(asMeasured(set.value.least)(shape)) : set;
    return can.ok ? set : can;
  };
  const [mx, my] = balancePoint(wallRegion(shape));
  const wall = wallBox(shape);
  return (
    <section aria-label="Help with measuring" className="sheet px-4 py-3">
      <h2 className="text-[0.98rem] font-bold">Help with measuring</h2>
      <div className="my-1 flex flex-wrap gap-1.5">
        {HELP.map(({ id, name }) => (
          <button
            key={id}
            type="button"
            aria-pressed={open === id}
            className={`btn btn-xs ${open === id ? 'btn-neutral' : 'btn-ghost border-base-300'}`}
            onClick={() => setOpen(open === id ? undefined : id)}
          >
            {name}
          </button>
        ))}
      </div>
      {open === 'set' && (
        <Sentence className="text-[0.97rem]!">
          The {counted} of several measured:{' '}
          <Typed
            label={`Measures of the ${counted}`}
            shown=""
            read={readSet}
            onChange={({ least, spread }) =>
              edit(
                (saved) => [...reshaping(asMeasured(least))(saved), ...setAt(['piece', 'spread'], Math.round(spread * 100) / 100)],
                'Measure several of the set',
              )
            }
          />
          . The smallest counts
          {piece.spread !== undefined ? `; they differ by ${say(piece.spread)}.` : '; type them with commas between, as in 88, 87.6, 88.2.'}
        </Sentence>
      )}
      {open === 'arc' && (
        <>
          <Sentence className="text-[0.97rem]!">
            A straight edge of <LengthWord label="Chord" value={chord} system={system} least={1} onChange={setChord} /> laid across the
            curve; the curve stands{' '}
            <LengthWord
              label="Sagitta"
              value={sagitta}
              system={system}
              check={(mm) => {
                const r = radiusFromChord(chord, mm);
                return r.ok ? { ok: true, value: mm } : r;
              }}
              onChange={setSagitta}
            />{' '}
            off its middle: the radius is <strong className="measure">{radius.ok ? say(radius.value) : '–'}</strong>.
          </Sentence>
          <svg viewBox="-50 -6 100 34" className="max-h-24 w-full" aria-hidden="true">
            <path d="M-46 22 Q0 -18 46 22" fill="none" stroke="var(--color-primary)" strokeWidth="1.6" />
            <path d="M-40 16.5H40M0 16.5V2.4" stroke="var(--color-base-content)" strokeWidth="0.8" />
            <text x="2.5" y="11.5" fontSize="5" fill="var(--color-base-content)">
              stands off
            </text>
            <text x="-14" y="22.5" fontSize="5" fill="var(--color-base-content)">
              straight edge
            </text>
          </svg>
          {shape.kind === 'bulb' && radius.ok && (
            <button
              type="button"
              className="btn btn-sm btn-primary"
              onClick={() => edit(reshaping(measured('bulb', () => ({ along: Math.round(radius.value * 10) / 10 }))), 'Measure the curve')}
            >
              Take {say(radius.value)} for the curve along the wall
            </button>
          )}
        </>
      )}
      {open === 'cloth' && (
        <>
          <Sentence className="text-[0.97rem]!">
            Cloth of{' '}
            <LengthWord
              label="Cloth width"
              value={cloth.width}
              system={system}
              least={1}
              onChange={(width) => setCloth({ ...cloth, width })}
            />{' '}
            by{' '}
            <LengthWord
              label="Cloth height"
              value={cloth.height}
              system={system}
              least={1}
              onChange={(height) => setCloth({ ...cloth, height })}
            />
            , folded into{' '}
            <CountWord label="Panels across" value={cloth.across} most={8} onChange={(across) => setCloth({ ...cloth, across })} /> across
            and <CountWord label="Panels up" value={cloth.up} most={8} onChange={(up) => setCloth({ ...cloth, up })} /> up, shows a panel of{' '}
            <strong className="measure">
              {say(panel.width)} × {say(panel.height)}
            </strong>
            ; its middle lies {say(panel.middle[0])} from the left and {say(panel.middle[1])} from the lower edge.
          </Sentence>
          <svg viewBox={`-2 -2 ${cloth.width + 4} ${cloth.height + 4}`} className="max-h-32 w-full" aria-hidden="true">
            <rect
              width={cloth.width}
              height={cloth.height}
              fill="none"
              stroke="var(--color-base-content)"
              strokeWidth={cloth.width / 120}
            />
            <rect x={cloth.width - panel.width} width={panel.width} height={panel.height} fill="var(--color-primary)" fillOpacity={0.25} />
            {Array.from({ length: cloth.across - 1 }, (_, i) => (
              <line
                key={`a${i}`}
                x1={panel.width * (i + 1)}
                x2={panel.width * (i + 1)}
                y1={0}
                y2={cloth.height}
                stroke="var(--color-base-content)"
                strokeDasharray={cloth.width / 40}
                strokeWidth={cloth.width / 200}
              />
            ))}
            {Array.from({ length: cloth.up - 1 }, (_, i) => (
              <line
                key={`u${i}`}
                y1={panel.height * (i + 1)}
                y2={panel.height * (i + 1)}
                x1={0}
                x2={cloth.width}
                stroke="var(--color-base-content)"
                strokeDasharray={cloth.width / 40}
                strokeWidth={cloth.width / 200}
              />
            ))}
          </svg>
          {shape.kind === 'flat' && (
            <button
              type="button"
              className="btn btn-sm btn-primary"
              onClick={() =>
                edit(
                  reshaping(() => ({ kind: 'flat', width: panel.width, height: panel.height })),
                  'Take the folded panel',
                )
              }
            >
              Take this panel for the piece
            </button>
          )}
        </>
      )}
      {open === 'centre' && (
        <Sentence className="text-[0.97rem]!">
          {shape.kind === 'flat' && shape.outline
            ? `This outline balances ${say(mx - wall.minX)} from its left and ${say(my)} above its lower edge. To the eye that is its middle.`
            : 'Take the outline in as an SVG drawing or from a photo, and its balance point is found. By hand: hang the piece from two corners in turn; the plumb lines cross in its middle.'}
        </Sentence>
      )}
    </section>
  );
}
