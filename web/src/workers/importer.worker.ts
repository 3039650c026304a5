import { expose } from 'comlink';
import { importDxf, importSvg, tracePicture, type ImportedDrawing, type Picture, type TraceOptions } from '@kolleta/core/artwork';
import type { Result } from '@kolleta/core/units';

/** Ids within one drawing. */
const numbered = () => {
  let n = 0;
  return () => `part${++n}`;
};

const importer = {
  /** Takes in a drawing; nothing in it is run or fetched. */
  svg(text: string, name: string): Result<ImportedDrawing> {
    return importSvg(text, name, numbered());
  },
  dxf(text: string, name: string): Result<ImportedDrawing> {
    return importDxf(text, name, numbered());
  },
  /** Traces a picture; told at most ten times a second how far it is. */
  trace(picture: Picture, options: TraceOptions, name: string, onProgress: (share: number) => void): Result<ImportedDrawing> {
    let last = 0;
    return tracePicture(picture, options, name, numbered(), (share) => {
      const now = performance.now();
      if (now - last < 100 && share < 1) return;
      last = now;
      onProgress(share);
    });
  },
};

export type Importer = typeof importer;
expose(importer);
