import { useState } from 'react';
import { partsShown, SIMPLE_SHAPES, simpleShape, type SimpleShapeId } from '@kolleta/core/artwork';
import { nearestFilms } from '@kolleta/core/fit';
import { boxOfPaths, type Path } from '@kolleta/core/geometry';
import {
  removeAt,
  setAt,
  type Artwork,
  type DrawnPart,
  type Mark,
  type Scalar,
  type ShelfItem,
  type Shop,
  type WorkEvent,
} from '@kolleta/core/job';
import { formatLength } from '@kolleta/core/units';
import { editShop } from '../../storage/editShop';
import { newId } from '../../storage/newId';
import { useWorkshop } from '../../storage/useWorkshop';
import { Choice, Sentence, Switch, TextWord } from '../../ui/tokens';
import type { StationProps } from '../../frame/station';

const PERMITTED = [
  { value: 'unknown', label: 'terms not known' },
  { value: 'private', label: 'for private use' },
  { value: 'sale', label: 'also for sale' },
] as const;

const d = (path: Path): string => path.map(([kind, ...points]) => kind + points.map(([x, y]) => `${x} ${y}`).join(' ')).join('');

function Small({ parts, label }: { parts: readonly DrawnPart[]; label: string }) {
  const box = boxOfPaths(parts.map(({ path }) => path));
  return (
    <svg
      viewBox={`${box.minX} ${-box.maxY} ${Math.max(1e-6, box.maxX - box.minX)} ${Math.max(1e-6, box.maxY - box.minY)}`}
      className="h-12 w-16"
      role="img"
      aria-label={label}
    >
      <g transform="scale(1 -1)">
        {parts.map((part) => (
          <path key={part.id} d={d(part.path)} fill={part.colour} fillRule={part.fill} />
        ))}
      </g>
    </svg>
  );
}

/** How often a shelved drawing was used: jobs that hold it, and those of them that were cut. */
function usesOf(item: ShelfItem, jobs: readonly { id: string; marks: readonly Mark[] }[], events: readonly WorkEvent[]): string {
  const using = jobs.filter((job) => job.marks.some((m) => m.artwork.kind === 'drawing' && m.artwork.shelf === item.id));
  const cut = using.filter((job) => events.some((e) => 'job' in e && e.job === job.id && e.kind === 'cut'));
  return using.length === 0 ? 'not used yet' : `in ${using.length} ${using.length === 1 ? 'job' : 'jobs'}, ${cut.length} cut`;
}

/** The shelf: artwork with its source and terms, to take or to put by; simple shapes; faces of the user's own. */
export function ShelfCard({
  job,
  mark,
  shop,
  edit,
  width,
}: { mark: Mark; shop: Shop; width: number | undefined } & Pick<StationProps, 'job' | 'edit'>) {
  const { jobs, events } = useWorkshop();
  const [open, setOpen] = useState(false);
  const shelf = shop.shelf ?? [];
  const { artwork } = mark;
  const put = (next: Artwork, label: string) =>
    edit(() => {
      const films = next.kind === 'drawing' ? nearestFilms(partsShown(next), shop.films, mark.technique) : {};
      return [...setAt(['marks', mark.id, 'artwork'], next), ...setAt(['marks', mark.id, 'colourFilms'], films)];
    }, label);
  const shape = (id: SimpleShapeId | '') => {
    if (!id) return;
    put(
      {
        kind: 'drawing',
        name: SIMPLE_SHAPES[id],
        parts: [{ id: newId(), colour: '#22302f', path: simpleShape(id), fill: 'evenodd' }],
        leftOut: [],
      },
      `Take a ${SIMPLE_SHAPES[id]}`,
    );
  };
  const shelve = async () => {
    if (artwork.kind !== 'drawing') return;
    const item: ShelfItem = { id: newId(), name: artwork.name, source: '', permitted: 'unknown', parts: artwork.parts };
    await editShop(() => setAt(['shelf', item.id], item), 'Put a drawing on the shelf');
    edit(setAt(['marks', mark.id, 'artwork', 'shelf'], item.id), 'Put it on the shelf');
    setOpen(true);
  };
  const set = (kind: 'shelf' | 'faces', id: string, field: string, value: Scalar) =>
    editShop(setAt([kind, id, field], value), 'Change the shelf');
  const shelved = artwork.kind === 'drawing' && artwork.shelf !== undefined && shelf.some((item) => item.id === artwork.shelf);
  return (
    <section aria-label="Shelf of artwork" className="sheet px-4 py-3">
      <h2 className="text-[0.98rem] font-bold">Shelf of artwork</h2>
      <Sentence className="text-[0.97rem]!">
        Take{' '}
        <Choice
          label="Simple shape"
          value=""
          options={[
            { value: '' as SimpleShapeId | '', label: 'a simple shape' },
            ...(Object.entries(SIMPLE_SHAPES) as [SimpleShapeId, string][]).map(([value, label]) => ({ value, label })),
          ]}
          onChange={shape}
        />
        {'. '}This job is{' '}
        <Switch
          label="For sale"
          on={job.forSale ?? false}
          yes="for sale"
          no="not for sale"
          onChange={(on) => edit(setAt(['forSale'], on), 'Say whether it is for sale')}
        />
        .
      </Sentence>
      <div className="mt-1 flex flex-wrap gap-1.5">
        {artwork.kind === 'drawing' && !shelved && (
          <button type="button" className="btn btn-sm btn-ghost border-base-300" onClick={() => void shelve()}>
            Put {artwork.name} on the shelf
          </button>
        )}
        {(shelf.length > 0 || (shop.faces ?? []).length > 0) && (
          <button type="button" className="btn btn-sm btn-ghost border-base-300" aria-expanded={open} onClick={() => setOpen(!open)}>
            {open ? 'Close the shelf' : `Look at the shelf (${shelf.length})`}
          </button>
        )}
      </div>
      {open && (
        <ul className="mt-1">
          {shelf.map((item) => (
            <li key={item.id} className="border-base-300 flex items-start gap-3 border-t py-2">
              <Small parts={item.parts} label={item.name} />
              <div className="min-w-0 flex-1">
                <Sentence className="text-[0.95rem]!">
                  <TextWord label="Name on the shelf" value={item.name} onChange={(name) => set('shelf', item.id, 'name', name)} /> from{' '}
                  <TextWord
                    label={`Source of ${item.name}`}
                    value={item.source}
                    empty="where?"
                    onChange={(source) => set('shelf', item.id, 'source', source)}
                  />
                  ,{' '}
                  <Choice
                    label={`Terms of ${item.name}`}
                    value={item.permitted}
                    options={PERMITTED}
                    onChange={(permitted) => set('shelf', item.id, 'permitted', permitted)}
                  />
                </Sentence>
                <p className="quiet text-sm">
                  {item.leastWidth ? `weeded down to ${formatLength(item.leastWidth, shop.lengths)} wide · ` : ''}
                  {usesOf(item, jobs, events)}
                </p>
                <div className="flex flex-wrap gap-1.5">
                  <button
                    type="button"
                    className="btn btn-xs btn-primary"
                    onClick={() =>
                      put({ kind: 'drawing', name: item.name, parts: item.parts, leftOut: [], shelf: item.id }, `Take ${item.name}`)
                    }
                  >
                    Use it here
                  </button>
                  {width !== undefined && artwork.kind === 'drawing' && artwork.shelf === item.id && (
                    <button
                      type="button"
                      className="btn btn-xs btn-ghost border-base-300"
                      onClick={() => set('shelf', item.id, 'leastWidth', Math.round(width * 10) / 10)}
                    >
                      It can still be weeded at this size
                    </button>
                  )}
                  <button
                    type="button"
                    className="btn btn-xs btn-ghost"
                    onClick={() => void editShop(removeAt(['shelf', item.id]), 'Take off the shelf')}
                  >
                    Take off the shelf
                  </button>
                </div>
              </div>
            </li>
          ))}
          {(shop.faces ?? []).map((face) => (
            <li key={face.id} className="border-base-300 border-t py-1">
              <Sentence className="text-[0.95rem]!">
                The font <TextWord label="Name of the font" value={face.name} onChange={(name) => set('faces', face.id, 'name', name)} /> is{' '}
                <Choice
                  label={`Terms of ${face.name}`}
                  value={face.permitted}
                  options={PERMITTED}
                  onChange={(permitted) => set('faces', face.id, 'permitted', permitted)}
                />
              </Sentence>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
