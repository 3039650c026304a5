import { useState } from 'react';
import { inverseHomography, outlineOf, photoMap, throughHomography, wallOf } from '@kolleta/core/blanks';
import { regionOf, type Point } from '@kolleta/core/geometry';
import { KNOWN_SHEETS } from '@kolleta/core/facts';
import { setAt, type Photo } from '@kolleta/core/job';
import { formatLength } from '@kolleta/core/units';
import { Choice, LengthWord, Sentence } from '../../ui/tokens';
import type { StationProps } from '../job/station';
import { PhotoView } from './PhotoView';
import { lengthOn, photoEdits, sheetOn } from './usePhoto';
import { zonesFor } from './zonesFor';

type Tool = 'known' | 'measure' | 'outline' | 'face';
const TOOLS: { id: Tool; name: string; help: string }[] = [
  { id: 'known', name: '1 What is known', help: 'Drag the handles onto something of known size that lies in the plane that you measure.' },
  { id: 'measure', name: '2 Measure', help: 'Draw a line over what you want to measure.' },
  { id: 'outline', name: '3 Outline', help: 'Press round the edge of the piece, point by point; the first point once more closes it.' },
  { id: 'face', name: '4 Where the piece is', help: 'Draw from one corner of the face to the opposite one: marks are shown there in Fit.' },
];
const SHEETS = Object.entries(KNOWN_SHEETS);
const CORNERS = ['Upper left corner', 'Upper right corner', 'Lower right corner', 'Lower left corner'];

const path = (points: readonly Point[]) => `M${points.map((p) => p.join(' ')).join('L')}`;

/** Measures and outlines taken on a photo of the piece. */
export function PhotoStation({ job, shop, edit, photo }: Pick<StationProps, 'job' | 'shop' | 'edit'> & { photo: Photo }) {
  const [tool, setTool] = useState<Tool>('known');
  const [line, setLine] = useState<[Point, Point]>();
  const [points, setPoints] = useState<Point[]>([]);
  const [problem, setProblem] = useState<string>();
  const { know, face, leave } = photoEdits(edit);
  const { known } = photo;
  const system = shop.lengths;
  const map = photoMap(photo);
  const size = Math.max(photo.width, photo.height);
  const mm = (p: Point): Point => (map.ok ? throughHomography(map.value, p) : p);
  const length = line && map.ok ? Math.hypot(mm(line[1])[0] - mm(line[0])[0], mm(line[1])[1] - mm(line[0])[1]) : undefined;
  const { shape } = job.piece;
  const handles =
    tool !== 'known'
      ? []
      : known.kind === 'sheet'
        ? known.corners.map((at, i) => ({
            label: CORNERS[i]!,
            at,
            onMove: (to: Point) => know({ ...known, corners: known.corners.map((c, k) => (k === i ? to : c)) }),
          }))
        : known.ends.map((at, i) => ({
            label: i === 0 ? 'One end' : 'Other end',
            at,
            onMove: (to: Point) => know({ ...known, ends: i === 0 ? [to, known.ends[1]] : [known.ends[0], to] }),
          }));
  const close = (all: readonly Point[]) => {
    const found = outlineOf(regionOf([all.map(mm)]), 'the outline on the photo');
    if (!found.ok) {
      setProblem(`${found.problem.found} ${found.problem.wayOut}`);
      setPoints([]);
      return;
    }
    const { outline, width, height } = found.value;
    const xs = all.map((p) => mm(p)[0]);
    const ys = all.map((p) => mm(p)[1]);
    edit(
      (j) => [
        ...zonesFor(j, { kind: 'flat', width, height, outline }),
        ...setAt(['photo', 'face'], { x: Math.min(...xs), y: Math.min(...ys), width, height }),
      ],
      'Take the outline from the photo',
    );
    setProblem(undefined);
    setPoints([]);
  };
  const press = (at: Point) => {
    const [first] = points;
    if (first && points.length > 2 && Math.hypot(at[0] - first[0], at[1] - first[1]) < size / 40) close(points);
    else setPoints([...points, at]);
  };
  const draw = (from: Point, to: Point) => {
    if (tool === 'measure') setLine([from, to]);
    if (tool === 'face' && map.ok) {
      const [a, b] = [mm(from), mm(to)];
      face({ x: Math.min(a[0], b[0]), y: Math.min(a[1], b[1]), width: Math.abs(a[0] - b[0]), height: Math.abs(a[1] - b[1]) });
    }
  };
  const faceCorners =
    photo.face && map.ok
      ? ([[0, 0], [1, 0], [1, 1], [0, 1]] as const).map(([u, v]) => throughHomography(inverseHomography(map.value), [photo.face!.x + u * photo.face!.width, photo.face!.y + v * photo.face!.height])) // prettier-ignore
      : undefined;
  const sheet =
    known.kind === 'sheet' ? (SHEETS.find(([, s]) => s.width === known.width && s.height === known.height)?.[0] ?? 'own') : 'length';
  const take = (field: 'width' | 'height') => {
    if (length === undefined) return;
    const measured = Math.round(length * 10) / 10;
    if (shape.kind === 'flat') edit((j) => zonesFor(j, { ...shape, [field]: measured }), 'Measure on the photo');
    else if (field === 'height') edit((j) => zonesFor(j, { ...shape, height: measured }), 'Measure on the photo');
    else if (shape.kind !== 'taper') edit((j) => zonesFor(j, { ...shape, diameter: measured }), 'Measure on the photo');
    else edit((j) => zonesFor(j, { ...shape, rim: measured }), 'Measure on the photo');
  };
  return (
    <div className="flex flex-1 flex-col gap-2 px-4 pb-4">
      <div className="flex flex-wrap gap-1.5" role="group" aria-label="On the photo">
        {TOOLS.map(({ id, name }) => (
          <button
            key={id}
            type="button"
            aria-pressed={tool === id}
            className={`btn btn-sm ${tool === id ? 'btn-neutral' : 'btn-ghost border-base-300'}`}
            onClick={() => {
              setTool(id);
              setPoints([]);
            }}
          >
            {name}
          </button>
        ))}
        <button type="button" className="btn btn-sm btn-ghost ml-auto" onClick={leave}>
          Leave the photo
        </button>
      </div>
      <p className="text-sm">{TOOLS.find((t) => t.id === tool)!.help}</p>
      {tool === 'known' && (
        <Sentence className="text-[0.97rem]!">
          It is{' '}
          <Choice
            label="What is known"
            value={sheet}
            options={[
              ...SHEETS.map(([value, { name }]) => ({ value, label: name })),
              { value: 'own', label: 'a rectangle of' },
              { value: 'length', label: 'only a length of' },
            ]}
            onChange={(id) => {
              const size = SHEETS.find(([key]) => key === id)?.[1] ?? { width: 200, height: 100 };
              if (id === 'length') know(lengthOn(photo, 100));
              else if (known.kind === 'sheet') know({ ...known, width: size.width, height: size.height });
              else know(sheetOn(photo, size));
            }}
          />
          {known.kind === 'sheet' && sheet === 'own' && (
            <>
              {' '}
              <LengthWord
                label="Known width"
                value={known.width}
                system={system}
                least={1}
                onChange={(width) => know({ ...known, width })}
              />{' '}
              by{' '}
              <LengthWord
                label="Known height"
                value={known.height}
                system={system}
                least={1}
                onChange={(height) => know({ ...known, height })}
              />
            </>
          )}
          {known.kind === 'length' && (
            <>
              {' '}
              <LengthWord
                label="Known length"
                value={known.length}
                system={system}
                least={1}
                onChange={(mmLength) => know({ ...known, length: mmLength })}
              />
              , photographed straight on
            </>
          )}
          .
        </Sentence>
      )}
      {!map.ok && (
        <p role="alert" className="bg-error text-error-content rounded px-3 py-2 text-sm">
          {map.problem.found} {map.problem.wayOut}
        </p>
      )}
      {problem && (
        <p role="alert" className="bg-error text-error-content rounded px-3 py-2 text-sm">
          {problem}
        </p>
      )}
      {tool === 'measure' && (
        <Sentence className="text-[0.97rem]!">
          {length === undefined ? (
            'Nothing measured yet.'
          ) : (
            <>
              It measures <strong className="measure">{formatLength(Math.round(length * 10) / 10, system)}</strong>.{' '}
              <button type="button" className="btn btn-xs btn-primary" onClick={() => take('width')}>
                Take it for the {shape.kind === 'flat' ? 'width' : shape.kind === 'taper' ? 'rim' : 'diameter'}
              </button>{' '}
              <button type="button" className="btn btn-xs btn-primary" onClick={() => take('height')}>
                Take it for the height
              </button>
            </>
          )}
        </Sentence>
      )}
      {tool === 'outline' && points.length > 2 && (
        <button type="button" className="btn btn-sm btn-primary self-start" onClick={() => close(points)}>
          Close the outline ({points.length} points)
        </button>
      )}
      <div className="relative min-h-[18rem] flex-1">
        <PhotoView
          photo={photo}
          handles={handles}
          {...(tool === 'measure' || tool === 'face' ? { onLine: draw } : {})}
          {...(tool === 'outline' ? { onPoint: press } : {})}
        >
          <path
            d={known.kind === 'sheet' ? `${path(known.corners)}Z` : path(known.ends)}
            fill={known.kind === 'sheet' ? '#d98e16' : 'none'}
            fillOpacity={0.12}
            stroke="#d98e16"
            strokeWidth={size / 400}
          />
          {faceCorners && (
            <path
              d={`${path(faceCorners)}Z`}
              fill="none"
              stroke="#0e5a61"
              strokeWidth={size / 300}
              strokeDasharray={`${size / 80} ${size / 160}`}
            />
          )}
          {line && tool === 'measure' && <path d={path(line)} stroke="#ad3f27" strokeWidth={size / 260} fill="none" />}
          {points.length > 0 && <path d={path(points)} stroke="#ad3f27" strokeWidth={size / 300} fill="#ad3f27" fillOpacity={0.12} />}
          {points.map(([x, y], i) => (
            <circle key={i} cx={x} cy={y} r={size / 120} fill={i === 0 ? '#d98e16' : '#ad3f27'} />
          ))}
        </PhotoView>
      </div>
      <p className="quiet text-xs">
        The photo stays in this browser and in files that you export. The wall is {formatLength(wallOf(shape).width, system)} wide. Lay the
        sheet in the plane of what you measure: what lies nearer looks larger.
      </p>
    </div>
  );
}
