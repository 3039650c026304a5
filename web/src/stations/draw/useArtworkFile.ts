import { useRef, useState } from 'react';
import { proxy } from 'comlink';
import { TRACE_MOST_PIXELS, type ImportedDrawing, type Picture, type TraceOptions } from '@kolleta/core/artwork';
import type { Job } from '@kolleta/core/job';
import { good, type Result } from '@kolleta/core/units';
import { openPicture } from '../../storage/openPicture';
import { plainly } from '../../storage/plainly';
import { useWorkshop } from '../../storage/useWorkshop';
import { importerWorker } from '../../workers/importerClient';
import { plansInTime } from '../../workers/trial';
import { drawingText, MOST_BYTES } from './drawingText';

/** A picture that is being traced. */
export interface OpenPicture {
  readonly name: string;
  readonly picture: Picture;
}

/** A picture with a side outside these has nothing to trace, or more than a page can draw, pixels. */
const SIDES = { least: 8, most: 12_000 };

/** Decodes a picture, made smaller where it is too large to trace; nothing where a side is too short or too long for one. */
async function decode(file: File): Promise<Picture | undefined> {
  const bitmap = await openPicture(file);
  if (Math.min(bitmap.width, bitmap.height) < SIDES.least || Math.max(bitmap.width, bitmap.height) > SIDES.most) {
    bitmap.close();
    return undefined;
  }
  const share = Math.min(1, Math.sqrt((TRACE_MOST_PIXELS * 0.95) / (bitmap.width * bitmap.height)));
  const [width, height] = [Math.max(1, Math.round(bitmap.width * share)), Math.max(1, Math.round(bitmap.height * share))];
  const canvas = document.createElement('canvas');
  [canvas.width, canvas.height] = [width, height];
  const context = canvas.getContext('2d', { willReadFrequently: true })!;
  context.drawImage(bitmap, 0, 0, width, height);
  bitmap.close();
  return { width, height, data: context.getImageData(0, 0, width, height).data };
}

/** Takes files in as artwork: SVG, DXF and cut files at once, pictures by tracing them. */
export function useArtworkFile(
  onDrawing: (name: string, drawing: ImportedDrawing) => void,
  jobWith: (drawing: ImportedDrawing) => Job | undefined,
) {
  const { shop } = useWorkshop();
  const faces = shop.faces ?? [];
  const stopTrial = useRef<() => void>(undefined);
  const [reading, setReading] = useState<string>();
  const [share, setShare] = useState<number>();
  const [problem, setProblem] = useState<string>();
  const [picture, setPicture] = useState<OpenPicture>();
  /** Progress that comes in after the end belongs to nothing. */
  const runs = useRef(0);
  /** Files and traces that were begun: the newest counts. */
  const taken = useRef(0);

  const run = async (name: string, ask: () => Promise<Result<ImportedDrawing>>, keep = true): Promise<ImportedDrawing | undefined> => {
    const own = ++taken.current;
    setProblem(undefined);
    setReading(name);
    try {
      const result = await ask();
      // another file was taken meanwhile
      if (own !== taken.current) return undefined;
      if (!result.ok) {
        setProblem(`${result.problem.found} ${result.problem.wayOut} Nothing was changed.`);
        return undefined;
      }
      if (!keep) return result.value;
      const job = jobWith(result.value);
      const tried = job ? await plansInTime(job, shop, name, (stop) => (stopTrial.current = stop)) : good(true);
      if (own !== taken.current) return undefined;
      if (!tried.ok) {
        setProblem(`${tried.problem.found} ${tried.problem.wayOut} Nothing was changed.`);
        return undefined;
      }
      onDrawing(name, result.value);
      return result.value;
    } catch (error) {
      if (own !== taken.current) return undefined;
      setProblem(`${plainly(error).replace(/ Nothing was changed\.$/, '')} Nothing was changed.`);
      return undefined;
    } finally {
      runs.current++;
      if (own === taken.current) {
        setReading(undefined);
        setShare(undefined);
      }
    }
  };

  const take = async (file: File | undefined): Promise<void> => {
    if (!file) return;
    taken.current += 1;
    stopTrial.current?.();
    setProblem(undefined);
    setReading(undefined);
    if (file.size > MOST_BYTES) {
      setProblem(
        `"${file.name}" is larger than 20 MB. Save it without pictures, or simplify it, and drop it in again. Nothing was changed.`,
      );
      return;
    }
    if (/\.(png|jpe?g|webp)$/i.test(file.name) || /^image\/(png|jpeg|webp)$/.test(file.type)) {
      setReading(file.name);
      try {
        const picture = await decode(file);
        if (picture) setPicture({ name: file.name, picture });
        else
          setProblem(
            `"${file.name}" is no picture to trace: its sides have to be between ${SIDES.least} and ${SIDES.most.toLocaleString('en')} pixels. Cut it to what is to be traced, and drop it in again. Nothing was changed.`,
          );
      } catch (error) {
        setProblem(plainly(error));
      } finally {
        setReading(undefined);
      }
      return;
    }
    const read = await drawingText(file);
    if (!read.ok) {
      setProblem(`${read.why} Nothing was changed.`);
      return;
    }
    const { text } = read;
    const kind = /\.dxf$/i.test(file.name) ? 'dxf' : /\.(hpgl|hpg|plt)$/i.test(file.name) ? 'hpgl' : 'svg';
    await run(file.name, () =>
      importerWorker.call(async (importer): Promise<Result<ImportedDrawing>> =>
        kind === 'svg' ? importer.svg(text, file.name, faces) : importer[kind](text, file.name),
      ),
    );
  };

  /** Traces the open picture; taken as artwork when `keep`, else only looked at. */
  const trace = (options: TraceOptions, keep: boolean): Promise<ImportedDrawing | undefined> => {
    if (!picture) return Promise.resolve(undefined);
    const own = ++runs.current;
    setShare(0);
    return run(
      picture.name,
      () =>
        importerWorker.call(async (importer, alive): Promise<Result<ImportedDrawing>> =>
          importer.trace(
            picture.picture,
            options,
            picture.name,
            proxy((done: number) => {
              alive();
              if (runs.current === own) setShare(done);
            }),
          ),
        ),
      keep,
    );
  };

  return {
    take,
    trace,
    reading,
    share,
    problem,
    picture,
    leavePicture: () => setPicture(undefined),
    stop: () => {
      stopTrial.current?.();
      importerWorker.stop('Stopped.');
    },
  };
}
