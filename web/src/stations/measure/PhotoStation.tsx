import { useState } from 'react';
import { inverseHomography, photoMap, throughHomography, wallOf } from '@kolleta/core/blanks';
import { boxOfPoints, type Box, type Point } from '@kolleta/core/geometry';
import type { Photo } from '@kolleta/core/job';
import { formatLength } from '@kolleta/core/units';
import { Choice, CountWord, Sentence } from '../../ui/tokens';
import type { StationProps } from '../../frame/station';
import { knownHandles } from './knownHandles';
import { KnownWords } from './KnownWords';
import { PhotoView } from './PhotoView';
import { useOutlineOnPhoto } from './useOutlineOnPhoto';
import { photoEdits } from './usePhoto';
import { usePlane } from './usePlane';
import { measured, reshaping, type Reshape } from './reshaping';

type Tool = 'known' | 'measure' | 'outline' | 'face';
const TOOLS: { id: Tool; name: string; help: string }[] = [
  { id: 'known', name: '1 What is known', help: 'Drag the handles onto something of known size that lies in the plane that you measure.' },
  { id: 'measure', name: '2 Measure', help: 'Draw a line over what you want to measure.' },
  { id: 'outline', name: '3 Outline', help: 'Press on the face of the piece, and its edge is found; or press round the edge yourself.' },
  { id: 'face', name: '4 Where the piece is', help: 'Draw from one corner of the face to the opposite one: marks are shown there in Fit.' },
];

const path = (points: readonly Point[]) => `M${points.map((p) => p.join(' ')).join('L')}`;

function Alert({ children }: { children: string }) {
  return (
    <p role="alert" className="bg-error text-error-content rounded px-3 py-2 text-sm">
      {children}
    </p>
  );
}

/** The near and the far corner of a known sheet, mm. */
const sheetCorners = (known: Photo['known']): Point[] =>
  known.kind === 'sheet'
    ? [
        [0, 0],
        [known.width, known.height],
      ]
    : [];

/** The part of a view around some places. */
function partOf(view: { width: number; height: number }, places: readonly Point[]): Box {
  const box = boxOfPoints(places);
  const by = Math.max(box.maxX - box.minX, box.maxY - box.minY) * 0.12;
  return {
    minX: Math.max(0, box.minX - by),
    maxX: Math.min(view.width, box.maxX + by),
    minY: Math.max(0, box.minY - by),
    maxY: Math.min(view.height, box.maxY + by),
  };
}

/** Measures and outlines taken on a photo of the piece, as it was taken or redrawn from straight above. */
export function PhotoStation({ job, shop, edit, photo }: Pick<StationProps, 'job' | 'shop' | 'edit'> & { photo: Photo }) {
  const [tool, setTool] = useState<Tool>('known');
  const [wantsStraight, setWantsStraight] = useState(false);
  // in the plane that is measured, mm
  const [line, setLine] = useState<[Point, Point]>();
  const { know, face, leave } = photoEdits(edit);
  const { known } = photo;
  const system = shop.lengths;
  const map = photoMap(photo);
  // handles are dragged on the photo as it was taken
  const plane = usePlane(photo, map, wantsStraight && tool !== 'known');
  const { view, mm, px } = plane;
  const outline = useOutlineOnPhoto(photo, map, edit);
  // from straight above the piece is looked at, once it is known where it lies
  const { face: piece } = photo;
  const around = [
    ...(outline.found ?? []),
    ...outline.points,
    ...(piece
      ? ([
          [piece.x, piece.y],
          [piece.x + piece.width, piece.y + piece.height],
        ] as const)
      : []),
  ];
  const part = plane.straight && around.length > 1 ? partOf(view, [...around, ...sheetCorners(known)].map(px)) : undefined;
  const size = part ? Math.max(part.maxX - part.minX, part.maxY - part.minY) : Math.max(view.width, view.height);
  const length = line && Math.hypot(line[1][0] - line[0][0], line[1][1] - line[0][1]);
  const { shape } = job.piece;
  const handles = tool === 'known' ? knownHandles(known, know) : [];
  const press = (at: Point) => {
    if (outline.byColour) {
      outline.find(plane.straight ? plane.taken(mm(at)) : at);
      return;
    }
    const [first] = outline.points;
    const near = first && Math.hypot(at[0] - px(first)[0], at[1] - px(first)[1]) < size / 40;
    if (near && outline.points.length > 2) outline.take(outline.points);
    else outline.add(mm(at));
  };
  const draw = (from: Point, to: Point) => {
    if (!map.ok) return;
    const [a, b] = [mm(from), mm(to)];
    if (tool === 'measure') setLine([a, b]);
    if (tool === 'face')
      face({ x: Math.min(a[0], b[0]), y: Math.min(a[1], b[1]), width: Math.abs(a[0] - b[0]), height: Math.abs(a[1] - b[1]) });
  };
  const shownOn = (at: Point): Point => (plane.straight && map.ok ? px(throughHomography(map.value, at)) : at);
  const knownPath = known.kind === 'sheet' ? `${path(known.corners.map(shownOn))}Z` : path(known.ends.map(shownOn));
  const faceCorners =
    photo.face && map.ok
      ? (
          [
            [0, 0],
            [1, 0],
            [1, 1],
            [0, 1],
          ] as const
        ).map(([u, v]): Point => {
          const { x, y, width, height } = photo.face!;
          const at: Point = [x + u * width, y + v * height];
          return plane.straight ? px(at) : throughHomography(inverseHomography(map.value), at);
        })
      : undefined;
  const take = (field: 'width' | 'height') => {
    if (length === undefined) return;
    const mm = Math.round(length * 10) / 10;
    const next: Reshape =
      field === 'height'
        ? (saved) => ({ ...saved, height: mm })
        : shape.kind === 'flat'
          ? measured('flat', () => ({ width: mm }))
          : shape.kind === 'taper'
            ? measured('taper', () => ({ rim: mm }))
            : measured(shape.kind, () => ({ diameter: mm }));
    edit(reshaping(next), 'Measure on the photo');
  };
  const say = (value: number) => formatLength(Math.round(value * 10) / 10, system);
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
              outline.clear();
            }}
          >
            {name}
          </button>
        ))}
        {known.kind === 'sheet' && tool !== 'known' && map.ok && (
          <button
            type="button"
            aria-pressed={wantsStraight}
            className={`btn btn-sm ${wantsStraight ? 'btn-neutral' : 'btn-ghost border-base-300'}`}
            onClick={() => setWantsStraight(!wantsStraight)}
          >
            {wantsStraight ? 'As it was taken' : 'See it from straight above'}
          </button>
        )}
        <button type="button" className="btn btn-sm btn-ghost ml-auto" onClick={leave}>
          Leave the photo
        </button>
      </div>
      <p className="text-sm">
        {TOOLS.find((t) => t.id === tool)!.help}
        {plane.working && ' It is being redrawn …'}
      </p>
      {tool === 'known' && <KnownWords photo={photo} know={know} system={system} />}
      {!map.ok && <Alert>{`${map.problem.found} ${map.problem.wayOut}`}</Alert>}
      {outline.problem && <Alert>{outline.problem}</Alert>}
      {tool === 'measure' && (
        <Sentence className="text-[0.97rem]!">
          {length === undefined ? (
            'Nothing measured yet.'
          ) : (
            <>
              It measures <strong className="measure">{say(length)}</strong>.{' '}
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
      {tool === 'outline' && (
        <Sentence className="text-[0.97rem]!">
          The edge is{' '}
          <Choice
            label="How the outline is taken"
            value={outline.byColour ? 'colour' : 'points'}
            options={[
              { value: 'colour', label: 'found by the colour that I press' },
              { value: 'points', label: 'pressed point by point' },
            ]}
            onChange={(way) => outline.choose(way === 'colour')}
          />
          {outline.byColour && (
            <>
              , colours within{' '}
              <CountWord label="How unlike colours may be" value={outline.alike} least={2} most={120} onChange={outline.setAlike} /> of 255
              taken for one
            </>
          )}
          . {outline.looking && <span role="status">Looking for the edge …</span>}
          {outline.found && outline.size && (
            <button type="button" className="btn btn-sm btn-primary" onClick={() => outline.take(outline.found!)}>
              Take this outline, {say(outline.size.width)} by {say(outline.size.height)}
            </button>
          )}
          {outline.points.length > 2 && (
            <button type="button" className="btn btn-sm btn-primary" onClick={() => outline.take(outline.points)}>
              Close the outline ({outline.points.length} points)
            </button>
          )}
        </Sentence>
      )}
      <div className="relative min-h-[18rem] flex-1">
        <PhotoView
          photo={view}
          handles={handles}
          {...(part ? { part } : {})}
          {...(tool === 'measure' || tool === 'face' ? { onLine: draw } : {})}
          {...(tool === 'outline' && map.ok ? { onPoint: press } : {})}
        >
          <path
            d={knownPath}
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
          {line && tool === 'measure' && <path d={path(line.map(px))} stroke="#ad3f27" strokeWidth={size / 260} fill="none" />}
          {outline.found && (
            <path d={`${path(outline.found.map(px))}Z`} stroke="#ad3f27" strokeWidth={size / 300} fill="#ad3f27" fillOpacity={0.14} />
          )}
          {outline.points.length > 0 && (
            <path d={path(outline.points.map(px))} stroke="#ad3f27" strokeWidth={size / 300} fill="#ad3f27" fillOpacity={0.12} />
          )}
          {outline.points.map(px).map(([x, y], i) => (
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
