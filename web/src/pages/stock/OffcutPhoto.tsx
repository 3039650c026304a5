import { useState } from 'react';
import { photoMap, throughHomography } from '@kolleta/core/blanks';
import { boxHeight, boxOfPoints, boxWidth, type Ring } from '@kolleta/core/geometry';
import { cornersFrom, type Photo } from '@kolleta/core/job';
import { formatLength, type LengthSystem } from '@kolleta/core/units';
import { plainly } from '../../storage/plainly';
import { knownHandles } from '../../stations/measure/knownHandles';
import { KnownWords } from '../../stations/measure/KnownWords';
import { PhotoView } from '../../stations/measure/PhotoView';
import { useEdgeUnder } from '../../stations/measure/useEdgeUnder';
import { photoFrom } from '../../stations/measure/usePhoto';
import { FileButton } from '../../ui/FileButton';
import { CountWord, Sentence } from '../../ui/tokens';

interface Props {
  system: LengthSystem;
  /** The corners of the film, mm. */
  onTake: (corners: Ring) => Promise<void>;
}

/** The outline of an offcut from a photo, on which a sheet of known size lies beside it; the photo is not kept. */
export function OffcutPhoto({ system, onTake }: Props) {
  const [photo, setPhoto] = useState<Photo>();
  const edge = useEdgeUnder(photo);
  const { found } = edge;
  const open = async (file: File) => {
    edge.clear();
    try {
      setPhoto(await photoFrom(file));
    } catch (error) {
      edge.setProblem(plainly(error));
    }
  };
  const alert = edge.problem && (
    <p role="alert" className="bg-error text-error-content rounded px-3 py-2 text-sm">
      {edge.problem}
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
  const around = known.kind === 'sheet' ? [...known.corners, known.corners[0]!] : known.ends;
  const take = async () => {
    if (!inMm) return;
    const corners = cornersFrom(inMm);
    if (!corners.ok) {
      edge.say(corners.problem);
      return;
    }
    await onTake(corners.value);
    edge.clear();
    setPhoto(undefined);
  };
  return (
    <section aria-label="Outline from a photo" className="my-2 flex flex-col gap-1.5">
      <KnownWords photo={photo} know={know} system={system} />
      <p className="text-sm">
        Lay the offcut flat with a sheet of paper beside it. Drag the handles onto what is known, then press on the film: its edge is found.
      </p>
      <div className="relative h-72 max-w-xl">
        <PhotoView photo={photo} handles={knownHandles(known, know)} onPoint={edge.find}>
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
        Colours within <CountWord label="How unlike colours may be" value={edge.alike} least={2} most={120} onChange={edge.setAlike} /> of
        255 are taken for one. {edge.looking && <span role="status">Looking for the edge …</span>}
        {box && (
          <button type="button" className="btn btn-sm btn-primary" onClick={() => void take()}>
            Take this outline, {formatLength(boxWidth(box), system)} by {formatLength(boxHeight(box), system)}
          </button>
        )}{' '}
        <button
          type="button"
          className="btn btn-sm btn-ghost"
          onClick={() => {
            edge.clear();
            setPhoto(undefined);
          }}
        >
          Leave the photo
        </button>
      </Sentence>
    </section>
  );
}
