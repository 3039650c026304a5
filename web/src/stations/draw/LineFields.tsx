import { FACES } from '@kolleta/core/facts';
import { setAt, type Mark, type TextLine } from '@kolleta/core/job';
import { good, refused } from '@kolleta/core/units';
import { Choice, Sentence, Typed } from '../../ui/tokens';
import type { StationProps } from '../job/station';
import { newLine } from './blankMark';

const FACE_OPTIONS = FACES.map((face) => ({ value: face.id, label: face.name, group: face.family }));

const numberWord = (label: string, least: number, most: number) => (text: string) => {
  const n = Number(text.replace(',', '.').replace('%', '').trim());
  return Number.isFinite(n) && n >= least && n <= most
    ? good(n)
    : refused(`"${text}" does not fit here.`, `${least} to ${most}`, label, `Type a number from ${least} to ${most}.`);
};

/** The lines of a mark: words, face, size and spacing. */
export function LineFields({ mark, edit }: { mark: Mark; edit: StationProps['edit'] }) {
  if (mark.artwork.kind !== 'text') return null;
  const { artwork } = mark;
  const at = (...path: string[]) => ['marks', mark.id, 'artwork', ...path];
  const set = (line: string, field: keyof TextLine, value: unknown) =>
    edit(setAt(at('lines', line, field), value), `Change the ${field === 'text' ? 'words' : field}`);
  return (
    <>
      {artwork.lines.map((line, i) => (
        <div key={line.id} className="border-base-300 border-b py-1.5 last:border-0">
          <div className="flex items-center gap-2">
            <input
              className="input input-sm min-w-0 flex-1 text-base"
              aria-label={`Line ${i + 1}`}
              placeholder={i === 0 ? 'Type the words' : 'Another line'}
              value={line.text}
              maxLength={200}
              onChange={(event) => set(line.id, 'text', event.target.value)}
            />
            {artwork.lines.length > 1 && (
              <button
                type="button"
                className="btn btn-sm btn-ghost"
                aria-label={`Take line ${i + 1} away`}
                onClick={() => edit([{ op: 'remove', path: at('lines', line.id) }], 'Take a line away')}
              >
                ✕
              </button>
            )}
          </div>
          <Sentence className="text-[0.95rem]!">
            in{' '}
            <Choice
              label={`Face of line ${i + 1}`}
              value={line.face}
              options={FACE_OPTIONS}
              onChange={(face) => set(line.id, 'face', face)}
            />
            {artwork.lines.length > 1 && (
              <>
                ,{' '}
                <Typed
                  label={`Size of line ${i + 1}, percent`}
                  shown={`${Math.round(line.scale * 100)} %`}
                  read={numberWord('Size', 5, 1000)}
                  onChange={(n) => set(line.id, 'scale', n / 100)}
                />{' '}
                as large
              </>
            )}
            , letters{' '}
            <Typed
              label={`Letter spacing of line ${i + 1}, percent`}
              shown={`${Math.round(line.spacing * 100)} %`}
              read={numberWord('Spacing', -40, 300)}
              onChange={(n) => set(line.id, 'spacing', n / 100)}
            />{' '}
            apart
          </Sentence>
        </div>
      ))}
      <button
        type="button"
        className="btn btn-sm btn-ghost border-base-300 mt-1"
        onClick={() => {
          const line = newLine(artwork.lines.at(-1)?.face ?? 'montserrat');
          edit(setAt(at('lines', line.id), line), 'Add a line');
        }}
      >
        Another line
      </button>
      {artwork.lines.length > 1 && (
        <Sentence className="text-[0.95rem]!">
          Lines stand{' '}
          <Choice
            label="Alignment"
            value={artwork.align}
            options={[
              { value: 'left', label: 'flush left' },
              { value: 'centre', label: 'centred' },
              { value: 'right', label: 'flush right' },
            ]}
            onChange={(align) => edit(setAt(at('align'), align), 'Change the alignment')}
          />
          ,{' '}
          <Typed
            label="Line spacing, percent"
            shown={`${Math.round(artwork.lineSpacing * 100)} %`}
            read={numberWord('Line spacing', 30, 400)}
            onChange={(n) => edit(setAt(at('lineSpacing'), n / 100), 'Change the line spacing')}
          />{' '}
          apart.
        </Sentence>
      )}
    </>
  );
}
