import { useRef, useState } from 'react';
import { proxy } from 'comlink';
import { TRACE_MOST_PIXELS, type ImportedDrawing, type Picture, type TraceOptions } from '@kolleta/core/artwork';
import type { Result } from '@kolleta/core/units';
import { useWorkshop } from '../../storage/useWorkshop';
import { importerWorker } from '../../workers/importerClient';

/** Larger files are not even read. */
const MOST_BYTES = 20 * 1024 * 1024;
/** A picture is traced for so long at most, ms. */
const TRACE_LIMIT_MS = 60_000;

/** A picture that is being traced. */
export interface OpenPicture {
  readonly name: string;
  readonly picture: Picture;
}

/** Decodes a picture, made smaller where it is too large to trace. */
async function decode(file: File): Promise<Picture> {
  const bitmap = await createImageBitmap(file);
  const share = Math.min(1, Math.sqrt((TRACE_MOST_PIXELS * 0.95) / (bitmap.width * bitmap.height)));
  const [width, height] = [Math.max(1, Math.round(bitmap.width * share)), Math.max(1, Math.round(bitmap.height * share))];
  const canvas = document.createElement('canvas');
  [canvas.width, canvas.height] = [width, height];
  const context = canvas.getContext('2d', { willReadFrequently: true })!;
  context.drawImage(bitmap, 0, 0, width, height);
  bitmap.close();
  return { width, height, data: context.getImageData(0, 0, width, height).data };
}

/** Takes files in as artwork: SVG and DXF at once, pictures by tracing them. */
export function useArtworkFile(onDrawing: (name: string, drawing: ImportedDrawing) => void) {
  const faces = useWorkshop().shop.faces ?? [];
  const [reading, setReading] = useState<string>();
  const [share, setShare] = useState<number>();
  const [problem, setProblem] = useState<string>();
  const [picture, setPicture] = useState<OpenPicture>();
  /** Progress that comes in after the end belongs to nothing. */
  const runs = useRef(0);

  const run = async (name: string, ask: () => Promise<Result<ImportedDrawing>>, keep = true): Promise<ImportedDrawing | undefined> => {
    setProblem(undefined);
    setReading(name);
    try {
      const result = await ask();
      if (!result.ok) {
        setProblem(`${result.problem.found} ${result.problem.wayOut} Nothing was changed.`);
        return undefined;
      }
      if (keep) onDrawing(name, result.value);
      return result.value;
    } catch (error) {
      setProblem(`${error instanceof Error ? error.message : String(error)} Nothing was changed.`);
      return undefined;
    } finally {
      runs.current++;
      setReading(undefined);
      setShare(undefined);
    }
  };

  const take = async (file: File | undefined): Promise<void> => {
    if (!file) return;
    setProblem(undefined);
    if (file.size > MOST_BYTES) {
      setProblem(
        `"${file.name}" is larger than 20 MB. Save it without pictures, or simplify it, and drop it in again. Nothing was changed.`,
      );
      return;
    }
    if (/\.(png|jpe?g|webp)$/i.test(file.name) || /^image\/(png|jpeg|webp)$/.test(file.type)) {
      setReading(file.name);
      try {
        setPicture({ name: file.name, picture: await decode(file) });
      } catch {
        setProblem(
          `"${file.name}" is not a picture that the browser can read. Save it as PNG or JPEG, and drop it in again. Nothing was changed.`,
        );
      } finally {
        setReading(undefined);
      }
      return;
    }
    const text = await file.text();
    const dxf = /\.dxf$/i.test(file.name);
    await run(file.name, () =>
      importerWorker.call(async (importer): Promise<Result<ImportedDrawing>> =>
        dxf ? importer.dxf(text, file.name) : importer.svg(text, file.name, faces),
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
        importerWorker.call(
          async (importer): Promise<Result<ImportedDrawing>> =>
            importer.trace(
              picture.picture,
              options,
              picture.name,
              proxy((done: number) => {
                if (runs.current === own) setShare(done);
              }),
            ),
          TRACE_LIMIT_MS,
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
    stop: () => importerWorker.stop('Stopped.'),
  };
}
