import type { Machine } from '../../job';
import type { FilmLayout } from '../layout';
import { dxfCutFile } from './dxfCutFile';
import { hpglCutFile } from './hpglCutFile';
import { pdfCutFile } from './pdfCutFile';
import { svgCutFile } from './svgCutFile';

/** A kind of file that a layout can be saved as. */
export interface CutFile {
  /** What the button says. */
  readonly name: string;
  readonly extension: string;
  readonly mime: string;
  /** Written for one machine; a layout that has none cannot be saved so. */
  readonly forMachine: boolean;
  readonly write: (layout: FilmLayout, title: string, machine: Machine | undefined) => string | Promise<Uint8Array>;
}

/** Every kind of cut file. */
export const CUT_FILES = {
  svg: {
    name: 'Save the cut file (SVG, mm)',
    extension: 'svg',
    mime: 'image/svg+xml',
    forMachine: false,
    write: (layout, title) => svgCutFile(layout, title),
  },
  hpgl: {
    name: 'As HPGL',
    extension: 'hpgl',
    mime: 'application/vnd.hp-hpgl',
    forMachine: true,
    write: (layout, _title, machine) => {
      if (!machine) throw new Error('an HPGL file is for a machine: got a layout without one');
      return hpglCutFile(layout, machine);
    },
  },
  dxf: {
    name: 'As DXF',
    extension: 'dxf',
    mime: 'image/vnd.dxf',
    forMachine: false,
    write: (layout) => dxfCutFile(layout),
  },
  pdf: {
    name: 'As PDF',
    extension: 'pdf',
    mime: 'application/pdf',
    forMachine: false,
    write: (layout, title) => pdfCutFile(layout, title),
  },
} as const satisfies Record<string, CutFile>;

export type CutFileId = keyof typeof CUT_FILES;
