import { expose } from 'comlink';
import { importSvg, type ImportedDrawing } from '@kolleta/core/artwork';
import type { Result } from '@kolleta/core/units';

const importer = {
  /** Takes in a drawing; nothing in it is run or fetched. */
  svg(text: string, name: string): Result<ImportedDrawing> {
    let n = 0;
    return importSvg(text, name, () => `part${++n}`);
  },
};

export type Importer = typeof importer;
expose(importer);
