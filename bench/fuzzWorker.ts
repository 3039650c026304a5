import { parentPort } from 'node:worker_threads';
import { drawMark, importSvg } from '../core/src/artwork';
import { readJobFile, readWorkshopFile } from '../core/src/jobFile';
import { textMark } from '../core/test/sampleJobs';

/** What became of one case. */
export interface Verdict {
  readonly outcome: 'taken' | 'refused' | 'wrong';
  readonly why?: string;
}

declare global {
  var ranScript: boolean | undefined;
}
let asked = false;
globalThis.fetch = () => {
  asked = true;
  return Promise.reject(new Error('no network'));
};

const sentence = (found: string, wayOut: string) => found.length > 10 && wayOut.length > 10;

function tryOne(kind: 'svg' | 'file', text: string): Verdict {
  try {
    let n = 0;
    const results =
      kind === 'svg' ? [importSvg(text, 'case.svg', () => `p${++n}`)] : [readJobFile(text, 'case'), readWorkshopFile(text, 'case')];
    let outcome: Verdict['outcome'] = 'refused';
    for (const result of results) {
      if (!result.ok) {
        if (!sentence(result.problem.found, result.problem.wayOut))
          return { outcome: 'wrong', why: `no sentence: ${result.problem.found}` };
        continue;
      }
      outcome = 'taken';
      // what is taken has to be drawn too: the polygon library must not hang on it
      if (kind === 'svg' && 'parts' in result.value) {
        const artwork = { kind: 'drawing' as const, name: 'case', parts: result.value.parts, leftOut: result.value.leftOut };
        drawMark({ ...textMark('x'), artwork }, { width: 100, height: 80 }, new Map());
      }
    }
    if (globalThis.ranScript) return { outcome: 'wrong', why: 'a script ran' };
    return asked ? { outcome: 'wrong', why: 'the network was asked' } : { outcome };
  } catch (error) {
    return { outcome: 'wrong', why: String(error) };
  }
}

parentPort?.on('message', ({ kind, text }: { kind: 'svg' | 'file'; text: string }) => parentPort!.postMessage(tryOne(kind, text)));
