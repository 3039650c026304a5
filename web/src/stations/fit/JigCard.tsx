import { useMemo, useRef, useState } from 'react';
import { CHECK_MM, MOST_SHEETS, scaleFromCheck, SHEETS, svgJig, tileSheets, type Jig, type Sheet, type Tiling } from '@kolleta/core/fit';
import { boxHeight, boxWidth } from '@kolleta/core/geometry';
import type { Zone } from '@kolleta/core/job';
import { jigOfZone } from '@kolleta/core/plan';
import { inSentence, formatLength } from '@kolleta/core/units';
import { download, fileName } from '../../storage/download';
import { plainly } from '../../storage/plainly';
import { useTell } from '../../ui/toasts';
import { Choice, LengthWord, Sentence } from '../../ui/tokens';
import { useSettling } from '../../workers/settled';
import type { StationProps } from '../../frame/station';

/** The sheets that a jig takes, drawn small, as they are laid over each other. */
function Sheets({ jig, tiling }: { jig: Jig; tiling: Tiling }) {
  const { box } = jig;
  const all = tiling.tiles.map((tile) => tile.box);
  const minX = Math.min(box.minX, ...all.map((b) => b.minX));
  const maxX = Math.max(box.maxX, ...all.map((b) => b.maxX));
  const minY = Math.min(box.minY, ...all.map((b) => b.minY));
  const maxY = Math.max(box.maxY, ...all.map((b) => b.maxY));
  return (
    <svg
      viewBox={`${minX - 2} ${-maxY - 2} ${maxX - minX + 4} ${maxY - minY + 4}`}
      className="max-h-36 w-full"
      role="img"
      aria-label={`${tiling.tiles.length} ${tiling.tiles.length === 1 ? 'sheet' : 'sheets'} of ${tiling.sheet.name}`}
    >
      {all.map((b) => (
        <rect
          key={`${b.minX} ${b.minY}`}
          x={b.minX}
          y={-b.maxY}
          width={boxWidth(b)}
          height={boxHeight(b)}
          fill="#ffffff"
          fillOpacity={0.7}
          stroke="#8b7d63"
          strokeWidth={0.8}
        />
      ))}
      {jig.lines.map(({ kind, points, closed }, i) => (
        <path
          key={i}
          d={`M${points.map(([x, y]) => `${x} ${-y}`).join('L')}${closed ? 'Z' : ''}`}
          fill={kind === 'mark' ? '#22302f' : 'none'}
          fillRule="evenodd"
          stroke={kind === 'stop' ? '#ad3f27' : kind === 'zone' ? '#0e5a61' : '#22302f'}
          strokeWidth={kind === 'cut' ? 1.2 : 0.6}
        />
      ))}
    </svg>
  );
}

const EVERY = 'every one';

/** A paper template at 1:1 for the zone in hand: on sheets as PDF, or whole as SVG; with a list, of one row or of every one. */
export function JigCard({ job, plan, shop, zone }: Pick<StationProps, 'job' | 'plan' | 'shop'> & { zone: Zone }) {
  const [sheet, setSheet] = useState<Sheet['name']>('A4');
  const [measured, setMeasured] = useState(CHECK_MM);
  const [whose, setWhose] = useState('');
  const tell = useTell();
  const system = shop.lengths;
  const inZone = plan.marks.filter((m) => m.zone.id === zone.id && m.flat.length > 0);
  const rows = inZone.find((m) => m.variants.length > 0)?.variants.slice(0, job.count) ?? [];
  const row = rows.find((v) => v.row === whose);
  const every = whose === EVERY && rows.length > 0;
  const jigOf = (id: string | undefined) => jigOfZone(job, plan, zone, id, (mm) => formatLength(mm, system));
  const jig = useMemo(() => jigOfZone(job, plan, zone, row?.row, (mm) => formatLength(mm, system)), [job, plan, zone, row, system]);
  const scale = scaleFromCheck(measured, CHECK_MM);
  const factor = scale.ok ? scale.value : 1;
  const tiling = tileSheets(jig.box, SHEETS[sheet], factor);
  const sheets = tiling.ok ? tiling.value.tiles.length * (every ? rows.length : 1) : 0;
  const tooMany = sheets > MOST_SHEETS;
  const map = inZone.some((m) => m.places.length > 0);
  const name = map ? 'placing map' : 'jig';
  const title = `${job.name}, ${name} ${inSentence(zone.name)}`;
  const own = row ? `${title}, ${row.words}` : title;
  const savePdf = async () => {
    if (!tiling.ok) return;
    const { pdfJigs } = await import('./pdfJig');
    const jigs = every
      ? rows.flatMap((v) => {
          const one = jigOf(v.row);
          const tiled = tileSheets(one.box, SHEETS[sheet], factor);
          return tiled.ok ? [{ jig: one, tiling: tiled.value, title: `${title}, ${v.words}` }] : [];
        })
      : [{ jig, tiling: tiling.value, title: own }];
    download(`${fileName(own)}.pdf`, await pdfJigs(jigs, own, factor), 'application/pdf');
    tell(`The ${name} is saved. Print it at 100 %, measure the line of 100 mm, then cut along the outer line.`);
  };
  const saveSvg = () => download(`${fileName(own)}.svg`, svgJig(jig, own), 'image/svg+xml');
  // what is saved is drawn after the last change has been worked out, by what this card shows then
  const { settled } = useSettling();
  const latest = useRef({ savePdf, saveSvg });
  latest.current = { savePdf, saveSvg };
  const save = async (what: 'savePdf' | 'saveSvg') => {
    try {
      await settled();
      await latest.current[what]();
    } catch (error) {
      tell(plainly(error), { tone: 'error' });
    }
  };
  return (
    <section aria-label="Jig" className="sheet px-4 py-3">
      <h2 className="text-[0.98rem] font-bold">A paper {name}, 1:1</h2>
      {tiling.ok && <Sheets jig={jig} tiling={tiling.value} />}
      <Sentence>
        On{' '}
        <Choice
          label="Paper"
          value={sheet}
          options={[
            { value: 'A4', label: 'A4' },
            { value: 'Letter', label: 'Letter' },
          ]}
          onChange={setSheet}
        />
        {rows.length > 0 && (
          <>
            {' '}
            for{' '}
            <Choice
              label="Whose jig"
              value={every ? EVERY : (row?.row ?? '')}
              options={[
                { value: '', label: 'the tightest of the list' },
                { value: EVERY, label: `each of the ${rows.length}` },
                ...rows.map((v) => ({ value: v.row, label: v.words || '(nothing)' })),
              ]}
              onChange={setWhose}
            />
          </>
        )}
        , where the line of 100 mm measures{' '}
        <LengthWord
          label="Measured check line"
          value={measured}
          system={system}
          check={(mm) => {
            const read = scaleFromCheck(mm, CHECK_MM);
            return read.ok ? { ok: true, value: mm } : read;
          }}
          onChange={setMeasured}
        />
        .
      </Sentence>
      <p className="quiet text-sm">
        {tiling.ok
          ? `${sheets} ${sheets === 1 ? 'sheet' : 'sheets'}. ${map ? 'Copies are numbered: put on in that order, they lie evenly however many you take. ' : ''}${job.piece.shape.kind === 'flat' ? 'Cut along the outer line and lay it on the zone.' : 'Cut along the outer line: it wraps round the piece and meets itself, with a tab to tape.'}`
          : `${tiling.problem.found} ${tiling.problem.wayOut}`}
      </p>
      {tooMany && (
        <p role="alert" className="bg-error text-error-content rounded px-2 py-1 text-sm">
          {sheets} sheets are more than the {MOST_SHEETS} that are printed at once. Choose single rows, or one jig of the tightest for all.
        </p>
      )}
      <div className="mt-1.5 flex flex-wrap gap-1.5">
        <button type="button" className="btn btn-sm btn-primary" disabled={!tiling.ok || tooMany} onClick={() => void save('savePdf')}>
          {every ? 'Save the jigs (PDF)' : `Save the ${name} (PDF)`}
        </button>
        <button type="button" className="btn btn-sm btn-outline" disabled={every} onClick={() => void save('saveSvg')}>
          As SVG, in one piece
        </button>
      </div>
    </section>
  );
}
