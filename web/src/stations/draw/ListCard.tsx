import { useState } from 'react';
import { partList, partWord, readList, writeList } from '@kolleta/core/artwork';
import { removeAt, setAt, type Job, type Mark, type Patch, type PieceList } from '@kolleta/core/job';
import type { MarkPlan } from '@kolleta/core/plan';
import { newId } from '../../storage/newId';
import { FileButton } from '../../ui/FileButton';
import { textOf } from '../../workers/readFile';
import { Owned } from '../../ui/Owned';
import { Choice, LengthWord, Sentence, TextWord } from '../../ui/tokens';
import type { StationProps } from '../../frame/station';
import { ListBars } from './ListBars';

/** Larger files are no lists of pieces. */
const MOST_LIST_BYTES = 1024 * 1024;

/** A list whose rows are parted, each letter or word a piece of its own; with their backings and frames, as every row has. */
function partRows({ list }: Job, into: 'letters' | 'words'): Patch {
  const parted = partList(list!, into, newId);
  return [...setAt(['list'], parted), ...setAt(['count'], Math.max(1, parted.rows.length))];
}

/** Words that differ from piece to piece: typed, pasted, from a CSV file, or one word parted over the pieces. */
export function ListCard({
  job,
  mark,
  plan,
  shop,
  edit,
  shown,
  onShow,
}: Pick<StationProps, 'job' | 'shop' | 'edit'> & {
  mark: Mark;
  plan: MarkPlan | undefined;
  shown: string | undefined;
  onShow: (row: string) => void;
}) {
  const { list } = job;
  const [draft, setDraft] = useState<string>();
  const [problem, setProblem] = useState<string>();
  const [parting, setParting] = useState(false);
  const take = (next: PieceList) => {
    const column = next.columns[0]!;
    edit((saved) => {
      const artwork = saved.marks.find((m) => m.id === mark.id)?.artwork;
      const lines = artwork?.kind === 'text' ? artwork.lines : [];
      const placed = lines.some((line) => next.columns.some((c) => line.text.toLowerCase().includes(`{${c.toLowerCase()}}`)));
      return [
        ...setAt(['list'], next),
        ...setAt(['count'], Math.max(1, next.rows.length)),
        // the first line takes the first column, unless the words ask for one already
        ...(lines[0] && !placed ? setAt(['marks', mark.id, 'artwork', 'lines', lines[0].id, 'text'], `{${column}}`) : []),
      ];
    }, 'Take a list');
    setDraft(undefined);
    setProblem(undefined);
  };
  const read = (text: string) => {
    const found = readList(text, newId, shop.lengths);
    if (found.ok) take(found.value);
    else setProblem(`${found.problem.found} ${found.problem.wayOut}`);
  };
  const takeFile = async (file: File) => {
    if (file.size <= MOST_LIST_BYTES) read(await textOf(file));
    else setProblem(`“${file.name}” is larger than 1 MB. A list has up to 500 rows. Nothing was changed.`);
  };
  const personal = plan && plan.variants.length > 0;
  const words = mark.artwork.kind === 'text';
  const chosen = list?.rows.find((row) => row.id === shown);
  return (
    <section aria-label="A list of names" className="sheet px-4 py-3">
      <h2 className="text-[0.98rem] font-bold">
        {list
          ? `A list of ${list.rows.length}, one a piece`
          : words
            ? 'Different words on every piece'
            : 'Pieces that are unlike each other'}
      </h2>
      {!list && draft === undefined && !parting && (
        <>
          <p className="quiet text-sm">
            {words
              ? 'One layout and many names: each is filled in, fitted to its piece and checked. Columns called width and height measure unlike pieces.'
              : 'Name the pieces, with columns called width and height: the mark is fitted to each.'}
          </p>
          <div className="mt-1 flex flex-wrap gap-1.5">
            <button type="button" className="btn btn-sm btn-ghost border-base-300" onClick={() => setDraft('')}>
              Type or paste a list
            </button>
            <FileButton
              label="List file"
              accept=".csv,.txt,.tsv,text/csv,text/plain"
              className="btn btn-sm btn-ghost border-base-300"
              onFile={(file) => void takeFile(file)}
            >
              From a CSV file
            </FileButton>
            {words && (
              <button type="button" className="btn btn-sm btn-ghost border-base-300" onClick={() => setParting(true)}>
                Part one word over the pieces
              </button>
            )}
          </div>
        </>
      )}
      {parting && (
        <Sentence className="text-[0.97rem]!">
          The word{' '}
          <TextWord
            label="Word over the pieces"
            value=""
            empty="…"
            onChange={(word) => {
              setParting(false);
              const next = partWord(word, newId);
              if (next.rows.length > 0) take(next);
            }}
          />
          , a letter a piece; bars part it otherwise, as in TERN|POINT.
        </Sentence>
      )}
      {draft !== undefined && (
        <form
          onSubmit={(event) => {
            event.preventDefault();
            read(draft);
          }}
        >
          <textarea
            className="textarea mt-1 w-full"
            rows={6}
            aria-label="One name a line"
            placeholder={
              words
                ? 'One name a line.\nSeveral columns: a first row of headings, with commas between.'
                : 'piece, width, height\nsmall board, 120, 60\nlarge board, 300, 140'
            }
            value={draft}
            onChange={(event) => setDraft(event.target.value)}
            autoFocus
          />
          <div className="mt-1 flex gap-1.5">
            <button type="submit" className="btn btn-sm btn-primary">
              Take this list
            </button>
            <button
              type="button"
              className="btn btn-sm btn-ghost"
              onClick={() => {
                setDraft(undefined);
                setProblem(undefined);
              }}
            >
              Leave it
            </button>
          </div>
        </form>
      )}
      {problem && (
        <p role="alert" className="bg-error text-error-content mt-1 rounded px-2 py-1 text-sm">
          {problem}
        </p>
      )}
      {list && draft === undefined && (
        <>
          {!personal && (
            <p className="text-sm">
              {words
                ? `Put a column into the words, in braces: ${list.columns.map((c) => `{${c}}`).join(', ')}. Or press`
                : 'Say which column names the drawing of each piece, or press'}{' '}
              a piece that is unlike the others, and say how much room it has.
            </p>
          )}
          <Sentence className="text-[0.97rem]!">
            The {words ? 'words' : 'marks'} are{' '}
            <Choice
              label="Sizes of the list"
              value={mark.sizes ?? 'same'}
              options={[
                { value: 'same', label: 'all of one size, set by the tightest' },
                { value: 'each', label: 'each as large as fits' },
              ]}
              onChange={(sizes) => edit(setAt(['marks', mark.id, 'sizes'], sizes), 'Choose the sizes')}
            />
            .
          </Sentence>
          {mark.artwork.kind === 'drawing' && (
            <Sentence className="text-[0.97rem]!">
              Each piece has{' '}
              <Choice
                label="Drawing of each piece"
                value={mark.artwork.column ?? ''}
                options={[
                  { value: '', label: 'the same drawing' },
                  ...list.columns.map((column) => ({ value: column, label: `the drawing named in “${column}”` })),
                ]}
                onChange={(column) =>
                  edit(
                    column === ''
                      ? removeAt(['marks', mark.id, 'artwork', 'column'])
                      : [
                          ...setAt(['marks', mark.id, 'artwork', 'column'], column),
                          // drawings are seldom of one shape: each is as large as fits, until it is said otherwise
                          ...(mark.sizes === undefined ? setAt(['marks', mark.id, 'sizes'], 'each') : []),
                        ],
                    'Choose the drawings',
                  )
                }
              />
              {mark.artwork.column !== undefined && ', as it is called on the shelf'}.
            </Sentence>
          )}
          {plan && <ListBars plan={plan} list={list} system={shop.lengths} shown={shown} onShow={onShow} />}
          {chosen && (
            <Owned by={chosen.id}>
              <Sentence className="text-[0.95rem]!">
                On this piece{' '}
                {list.columns.map((column, i) => (
                  <span key={column}>
                    {i > 0 && ', '}
                    {column} is{' '}
                    <TextWord
                      label={`${column} of this piece`}
                      value={chosen.cells[i] ?? ''}
                      empty="nothing"
                      onChange={(text) =>
                        edit((saved) => {
                          const row = saved.list?.rows.find((r) => r.id === chosen.id);
                          if (!saved.list || !row) return [];
                          const cells = saved.list.columns.map((_, k) => (k === i ? text : (row.cells[k] ?? '')));
                          return setAt(['list', 'rows', chosen.id, 'cells'], cells);
                        }, 'Change a row')
                      }
                    />
                  </span>
                ))}
                , with room for marks of{' '}
                {(['width', 'height'] as const).map((way) => (
                  <span key={way}>
                    {way === 'height' && ' by '}
                    <LengthWord
                      label={`Zone ${way} of this piece`}
                      value={chosen[way] ?? plan?.zone[way] ?? 0}
                      system={shop.lengths}
                      least={1}
                      onChange={(mm) => edit(setAt(['list', 'rows', chosen.id, way], mm), 'Measure this piece')}
                    />
                  </span>
                ))}
                {chosen.width !== undefined || chosen.height !== undefined ? ', unlike the others' : ''}.
              </Sentence>
            </Owned>
          )}
          <div className="mt-1 flex flex-wrap gap-1.5">
            {words &&
              (['letters', 'words'] as const).map((into) => (
                <button
                  key={into}
                  type="button"
                  className="btn btn-sm btn-ghost border-base-300"
                  onClick={() => edit((saved) => (saved.list ? partRows(saved, into) : []), `Part the rows into ${into}`)}
                >
                  Each {into === 'letters' ? 'letter' : 'word'} a piece of its own
                </button>
              ))}
            <button type="button" className="btn btn-sm btn-ghost border-base-300" onClick={() => setDraft(writeList(list, shop.lengths))}>
              Change the list
            </button>
            <button
              type="button"
              className="btn btn-sm btn-ghost border-base-300"
              onClick={() => edit(removeAt(['list']), 'Take the list away')}
            >
              Take the list away
            </button>
          </div>
        </>
      )}
    </section>
  );
}
