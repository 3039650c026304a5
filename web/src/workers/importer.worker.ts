import { expose } from 'comlink';
import {
  importDxf,
  importHpgl,
  importSvg,
  partsShown,
  setTextIn,
  tracePicture,
  type ImportedDrawing,
  type Weights,
  type Picture,
  type TraceOptions,
} from '@kolleta/core/artwork';
import { outlineFromDrawing, outlineUnder, straighten, type Homography, type StraightFrame } from '@kolleta/core/blanks';
import { FACES } from '@kolleta/core/facts';
import type { Point, Ring } from '@kolleta/core/geometry';
import type { Job, OwnFace } from '@kolleta/core/job';
import type { DaysOff } from '@kolleta/core/calendars';
import type { ReadWorkshop, Workshop, WorkshopDifference } from '@kolleta/core/jobFile';
import type { Result } from '@kolleta/core/units';

/** Ids within one drawing. */
const numbered = () => {
  let n = 0;
  return () => `part${++n}`;
};

/** A font of a file, as it is kept. */
export interface TakenFont {
  readonly name: string;
  readonly bytes: ArrayBuffer;
  readonly weights?: Weights;
  /** Common letters that cannot be drawn. */
  readonly broken: readonly string[];
}

const importer = {
  /** The fonts of a file: one, or those of a collection. */
  async fonts(bytes: ArrayBuffer, name: string): Promise<Result<readonly TakenFont[]>> {
    const { brokenLetters, loadShaper, readFace, unpackFont } = await import('@kolleta/core/artwork');
    await loadShaper();
    const unpacked = unpackFont(bytes, name);
    if (!unpacked.ok) return unpacked;
    const fonts: TakenFont[] = [];
    for (const one of unpacked.value) {
      const read = readFace(name, [one]);
      if (!read.ok) return read;
      const file = read.value.file(0)!;
      fonts.push({ name: file.name, bytes: one, ...(file.weights ? { weights: file.weights } : {}), broken: brokenLetters(read.value) });
    }
    return { ok: true, value: fonts };
  },
  /** Takes in a drawing; nothing in it is run or fetched. */
  async svg(text: string, name: string, own: readonly OwnFace[] = []): Promise<Result<ImportedDrawing>> {
    if (!/<(svg:)?text\b/.test(text)) return importSvg(text, name, numbered());
    const { faces, needFace, needWholeFaces } = await import('./faceStore');
    await needWholeFaces();
    for (const face of own) await needFace(face.id, own);
    const named = [...FACES, ...own].flatMap(({ id, name: called }) => {
      const face = faces.get(id);
      return face ? [{ name: called, face }] : [];
    });
    return importSvg(text, name, numbered(), setTextIn(named));
  },
  dxf(text: string, name: string): Result<ImportedDrawing> {
    return importDxf(text, name, numbered());
  },
  /** A cut file, to cut it again. */
  hpgl(text: string, name: string): Result<ImportedDrawing> {
    return importHpgl(text, name, numbered());
  },
  /** The outline of a piece or a zone from a drawing. */
  outline(text: string, name: string): ReturnType<typeof outlineFromDrawing> {
    const read = importSvg(text, name, numbered());
    return read.ok ? outlineFromDrawing(partsShown(read.value), name) : read;
  },
  /** A job from its file. */
  async job(text: string, name: string): Promise<Result<Job>> {
    return (await import('@kolleta/core/jobFile')).readJobFile(text, name);
  },
  /** A workshop from its file, and what it would change of another. */
  async workshop(text: string, name: string, now?: Workshop): Promise<Result<{ read: ReadWorkshop; difference?: WorkshopDifference }>> {
    const { readWorkshopFile, compareWorkshops } = await import('@kolleta/core/jobFile');
    const read = readWorkshopFile(text, name);
    return read.ok ? { ok: true, value: { read: read.value, ...(now ? { difference: compareWorkshops(now, read.value) } : {}) } } : read;
  },
  /** Days off from a calendar file. */
  async daysOff(text: string, name: string, zone: string, from: number, until: number): Promise<Result<DaysOff>> {
    return (await import('@kolleta/core/calendars')).readDaysOff(text, name, zone, from, until);
  },
  /** The edge of what lies under a place of a photo. */
  outlineUnder(picture: Picture, at: Point, alike: number): Result<Ring> {
    return outlineUnder(picture, at, alike);
  },
  /** A photo redrawn from straight above. */
  straighten(picture: Picture, map: Homography, frame: StraightFrame): Picture {
    return straighten(picture, map, frame);
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
