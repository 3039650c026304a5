import { useRef, useState } from 'react';
import { ALIKE_USUAL, photoMap, throughHomography } from '@kolleta/core/blanks';
import { boxHeight, boxOfPoints, boxWidth, type Point, type Ring } from '@kolleta/core/geometry';
import { cornersFrom, type Photo } from '@kolleta/core/job';
import { formatLength, type LengthSystem } from '@kolleta/core/units';
import { plainly } from '../../storage/plainly';
import { KnownWords } from '../../stations/measure/KnownWords';
import { findOutline } from '../../stations/measure/photoPixels';
import { PhotoView } from '../../stations/measure/PhotoView';
import { photoFrom } from '../../stations/measure/usePhoto';
import { FileButton } from '../../ui/FileButton';
import { CountWord, Sentence } from '../../ui/tokens';

const CORNERS = ['Upper left corner', 'Upper right corner', 'Lower right corner', 'Lower left corner'];

interface Props {
  system: LengthSystem;
  /** The corners of the film, mm. */
  onTake: (corners: Ring) => Promise<void>;
}

/** The outline of an offcut from a photo, on which a sheet of known size lies beside it; the photo is not kept. */
export function OffcutPhoto({ system, onTake }: Props) {
  const [photo, setPhoto] = useState<Photo>();
  const [alike, setAlike] = useState(ALIKE_USUAL);
  const [pressed, setPressed] = useState<Point>();
  /** As it was found, pixels of the photo. */
  const [found, setFound] = useState<Ring>();
  const [looking, setLooking] = useState(false);
  const [problem, setProblem] = useState<string>();
  const runs = useRef(0);
  const clear = () => {
    runs.current += 1;
    setFound(undefined);
    setProblem(undefined);
    setLooking(false);
  };
  const open = async (file: File) => {
    clear();
    try {
      setPhoto(await photoFrom(file));
    } catch (error) {
      setProblem(plainly(error));
    }
  };
  const find = async (at: Point, unlike: number) => {
    if (!photo) return;
    clear();
    const run = runs.current;
    setPressed(at);
    setLooking(true);
    try {
      const ring = await findOutline(photo, at, unlike);
      if (run !== runs.current) return;
      if (ring.ok) setFound(ring.value);
      else setProblem(`${ring.problem.found} ${ring.problem.wayOut}`);
    } catch (error) {
      if (run === runs.current) setProblem(plainly(error));
    }
    if (run === runs.current) setLooking(false);
  };
  const alert = problem && (
    <p role="alert" className="bg-error text-error-content rounded px-3 py-2 text-sm">
      {problem}
    </p>
  );
  if (!photo)
    return (
      <>
        <FileButton
          label="Photo of the offcut"
          accept="image/png,image/jpeg,image/webp"
          className="btn btn-xs btn-outline"
          onFile={(file) => void open(file)}
        >
          Take its outline from a photo
        </FileButton>
        {alert}
      </>
    );
  const { known } = photo;
  const map = photoMap(photo);
  const know = (next: (now: Photo['known']) => Photo['known']) => setPhoto((now) => now && { ...now, known: next(now.known) });
  const inMm = found && map.ok ? found.map((p) => throughHomography(map.value, p)) : undefined;
  const box = inMm && boxOfPoints(inMm);
  const size = Math.max(photo.width, photo.height);
  const handles =
    known.kind === 'sheet'
      ? known.corners.map((at, i) => ({
          label: CORNERS[i]!,
          at,
          onMove: (to: Point) =>
            know((now) => (now.kind === 'sheet' ? { ...now, corners: now.corners.map((c, k) => (k === i ? to : c)) } : now)),
        }))
      : known.ends.map((at, i) => ({
          label: i === 0 ? 'One end' : 'Other end',
          at,
          onMove: (to: Point) =>
            know((now) => (now.kind === 'length' ? { ...now, ends: i === 0 ? [to, now.ends[1]] : [now.ends[0], to] } : now)),
        }));
  const around = known.kind === 'sheet' ? [...known.corners, known.corners[0]!] : known.ends;
  const take = async () => {
    if (!inMm) return;
    const corners = cornersFrom(inMm);
    if (!corners.ok) {
      setProblem(`${corners.problem.found} ${corners.problem.wayOut}`);
      return;
    }
    await onTake(corners.value);
    clear();
    setPhoto(undefined);
  };
  return (
    <section aria-label="Outline from a photo" className="my-2 flex flex-col gap-1.5">
      <KnownWords photo={photo} know={know} system={system} />
      <p className="text-sm">
        Lay the offcut flat with a sheet of paper beside it. Drag the handles onto what is known, then press on the film: its edge is found.
      </p>
      <div className="relative h-72 max-w-xl">
        <PhotoView photo={photo} handles={handles} onPoint={(at) => void find(at, alike)}>
          <path
            d={`M${around.map((p) => p.join(' ')).join('L')}`}
            fill={known.kind === 'sheet' ? '#d98e16' : 'none'}
            fillOpacity={0.12}
            stroke="#d98e16"
            strokeWidth={size / 400}
          />
          {found && (
            <path
              d={`M${found.map((p) => p.join(' ')).join('L')}Z`}
              stroke="#ad3f27"
              strokeWidth={size / 300}
              fill="#ad3f27"
              fillOpacity={0.14}
            />
          )}
        </PhotoView>
      </div>
      {!map.ok && (
        <p role="alert" className="bg-error text-error-content rounded px-3 py-2 text-sm">
          {map.problem.found} {map.problem.wayOut}
        </p>
      )}
      {alert}
      <Sentence>
        Colours within{' '}
        <CountWord
          label="How unlike colours may be"
          value={alike}
          least={2}
          most={120}
          onChange={(n) => {
            setAlike(n);
            if (pressed) void find(pressed, n);
          }}
        />{' '}
        of 255 are taken for one. {looking && <span role="status">Looking for the edge …</span>}
        {box && (
          <button type="button" className="btn btn-sm btn-primary" onClick={() => void take()}>
            Take this outline, {formatLength(boxWidth(box), system)} by {formatLength(boxHeight(box), system)}
          </button>
        )}{' '}
        <button
          type="button"
          className="btn btn-sm btn-ghost"
          onClick={() => {
            clear();
            setPhoto(undefined);
          }}
        >
          Leave the photo
        </button>
      </Sentence>
    </section>
  );
}
