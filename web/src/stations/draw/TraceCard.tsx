import { useEffect, useRef, useState } from 'react';
import { guessTrace, type ImportedDrawing, type TraceOptions } from '@kolleta/core/artwork';
import type { Path } from '@kolleta/core/geometry';
import { CountWord, Sentence, Switch } from '../../ui/tokens';
import type { OpenPicture } from './useArtworkFile';

interface Props {
  open: OpenPicture;
  /** Share done while it is traced. */
  share: number | undefined;
  trace: (options: TraceOptions, keep: boolean) => Promise<ImportedDrawing | undefined>;
  stop: () => void;
  leave: () => void;
}

const d = (path: Path): string =>
  path.map(([kind, ...points]) => kind + points.map(([x, y]) => `${x!.toFixed(2)} ${y!.toFixed(2)}`).join(' ')).join('');

/** A picture is traced anew so long after the last change, ms. */
const SETTLE_MS = 350;

/** A picture beside what its trace gives, with what can be chosen. */
export function TraceCard({ open, share, trace, stop, leave }: Props) {
  const { picture, name } = open;
  const [options, setOptions] = useState<TraceOptions>(() => guessTrace(picture));
  const [found, setFound] = useState<ImportedDrawing>();
  const canvas = useRef<HTMLCanvasElement>(null);
  const latest = useRef(trace);
  latest.current = trace;
  useEffect(() => {
    const context = canvas.current?.getContext('2d');
    context?.putImageData(new ImageData(new Uint8ClampedArray(picture.data), picture.width, picture.height), 0, 0);
  }, [picture]);
  useEffect(() => {
    let gone = false;
    const timer = setTimeout(() => {
      void latest.current(options, false).then((drawing) => {
        if (!gone && drawing) setFound(drawing);
      });
    }, SETTLE_MS);
    return () => {
      gone = true;
      clearTimeout(timer);
    };
  }, [options, picture]);
  const set = <K extends keyof TraceOptions>(key: K, value: TraceOptions[K]) => setOptions({ ...options, [key]: value });
  const slider = (label: string, key: 'level' | 'corners', low: string, high: string) => (
    <label className="flex items-center gap-2 text-sm">
      <span className="w-20 shrink-0">{label}</span>
      <span className="quiet text-xs">{low}</span>
      <input
        type="range"
        className="range range-xs flex-1"
        aria-label={label}
        min={0.05}
        max={0.95}
        step={0.05}
        value={options[key]}
        onChange={(event) => set(key, Number(event.target.value))}
      />
      <span className="quiet text-xs">{high}</span>
    </label>
  );
  const working = share !== undefined;
  return (
    <section aria-label="Trace a picture" className="flex flex-1 flex-col gap-2 px-4 pb-4">
      <h3 className="mt-2 text-[0.95rem] font-bold break-words">{name}, traced</h3>
      <div className="grid min-h-0 flex-1 grid-cols-1 gap-3 sm:grid-cols-2">
        <figure className="flex min-h-40 flex-col">
          <figcaption className="quiet text-xs">The picture</figcaption>
          <canvas
            ref={canvas}
            width={picture.width}
            height={picture.height}
            className="border-base-300 max-h-72 min-h-0 w-full rounded border bg-white object-contain"
          />
        </figure>
        <figure className="flex min-h-40 flex-col">
          <figcaption className="quiet text-xs">
            What would be cut{found ? `, ${found.parts.length} ${found.parts.length === 1 ? 'colour' : 'colours'}` : ''}
          </figcaption>
          <svg
            viewBox={`0 0 ${picture.width} ${picture.height}`}
            className="border-base-300 max-h-72 w-full rounded border bg-white"
            role="img"
            aria-label="The trace"
          >
            <g transform={`translate(0 ${picture.height}) scale(1 -1)`} opacity={working ? 0.4 : 1}>
              {found?.parts.map((part) => (
                <path key={part.id} d={d(part.path)} fill={part.colour} fillRule={part.fill} />
              ))}
            </g>
          </svg>
        </figure>
      </div>
      <Sentence>
        Trace <CountWord label="Colours to trace" value={options.colours} most={6} onChange={(n) => set('colours', n)} />{' '}
        {options.colours === 1 ? 'colour' : 'colours'}
        {options.colours > 1 && (
          <>
            ,{' '}
            <Switch
              label="Ground of the picture"
              on={options.ground === 'edge'}
              yes="the ground left out"
              no="the ground cut as well"
              onChange={(on) => set('ground', on ? 'edge' : 'none')}
            />
          </>
        )}
        {options.colours === 1 && (
          <>
            ,{' '}
            <Switch
              label="Which side is the mark"
              on={options.side === 'dark'}
              yes="what is darker"
              no="what is lighter"
              onChange={(on) => setOptions({ ...options, side: on ? 'dark' : 'light' })}
            />
          </>
        )}
        ; light that falls unevenly{' '}
        <Switch
          label="Uneven light"
          on={options.even}
          yes="is evened out"
          no="stays as it is"
          onChange={(on) => setOptions({ ...options, even: on })}
        />
        ; specks under{' '}
        <CountWord label="Specks under, pixels" value={options.despeckle} least={0} most={5000} onChange={(n) => set('despeckle', n)} />{' '}
        pixels go.
      </Sentence>
      {options.colours === 1 &&
        (options.side === 'dark' ? slider('Level', 'level', 'less', 'more') : slider('Level', 'level', 'more', 'less'))}
      {slider('Corners', 'corners', 'round', 'sharp')}
      {working && (
        <p className="flex items-center gap-3" role="status">
          <progress className="progress progress-primary flex-1" value={share} max={1} aria-label="Traced so far" />
          <button type="button" className="btn btn-sm" onClick={stop}>
            Stop
          </button>
        </p>
      )}
      <div className="flex gap-2">
        <button
          type="button"
          className="btn btn-sm btn-primary"
          disabled={working}
          onClick={() => void trace(options, true).then((drawing) => drawing && leave())}
        >
          Take this trace
        </button>
        <button type="button" className="btn btn-sm btn-ghost" onClick={leave}>
          Leave it
        </button>
      </div>
    </section>
  );
}
