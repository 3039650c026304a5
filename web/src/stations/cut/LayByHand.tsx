import { useMemo, useRef, useState } from 'react';
import { lyingOf, placesOf, type FilmLayout, type HandMove, type LaidPart, type Lying } from '@kolleta/core/cut';
import { FILM_KINDS } from '@kolleta/core/facts';
import type { KeptLayout } from '@kolleta/core/job';
import { FilmDrawing } from '../../drawing/FilmDrawing';
import { plainly } from '../../storage/plainly';
import { useTell } from '../../ui/toasts';
import type { LengthSystem } from '@kolleta/core/units';
import { HandParts, partKey } from './HandParts';
import { keepLayout, layable, lockPart } from './keepLayout';
import { nestWorkers } from './nestWorkers';

/** A layout as it would be cut with all that is saved, and the layouts that are kept. */
export interface FreshLayout {
  readonly layout: FilmLayout;
  readonly kept: readonly KeptLayout[];
  /** What was to be cut. */
  readonly asked: readonly FilmLayout[];
}

interface Props {
  layout: FilmLayout;
  job: string;
  kept: readonly KeptLayout[];
  asked: readonly FilmLayout[];
  system: LengthSystem;
  nameOf: (part: LaidPart) => string;
  /** The layout once everything that was changed is in it. */
  fresh: () => Promise<FreshLayout | undefined>;
}

const REFUSED = {
  locked: 'There is a part in the way that is to stay. Let it go first, or lay this one elsewhere.',
  tooWide: 'So turned it is wider than the film.',
  fixed: 'This film has a direction: its parts are not turned.',
  offFilm: 'There it would lie over the edge of the film, or over a hole in it.',
} as const;

/** A layout whose parts can be laid by hand: what is dragged stays, and others make way. */
export function LayByHand({ layout, job, kept, asked, system, nameOf: partName, fresh }: Props) {
  const tell = useTell();
  const nameOf = (part: LaidPart) => {
    const alike = layout.parts.filter(({ outline }) => outline === part.outline).length;
    return `${partName(part)}${alike > 1 ? `, ${part.copy + 1} of ${alike}` : ''}`;
  };
  const [chosen, setChosen] = useState<string>();
  const locked = useMemo(() => layable(layout, kept, asked).locked, [layout, kept, asked]);
  const turns = !FILM_KINDS[layout.film.kind].directed;
  const part = layout.parts.find((one) => partKey(one) === chosen);
  const stays = chosen !== undefined && locked.includes(chosen);
  const queue = useRef<Promise<unknown>>(Promise.resolve());
  /** Lays a part otherwise than it lies in the layout as it is saved then. */
  const layNow = async (key: string, by: (now: Lying) => Lying): Promise<boolean> => {
    try {
      const now = await fresh();
      const own = now?.layout.parts.find((one) => partKey(one) === key);
      if (!now || !own) return false;
      const move: HandMove = { part: own.outline, copy: own.copy, ...by(lyingOf(own.place, now.layout.outlines[own.outline]!)) };
      const laid = layable(now.layout, now.kept, now.asked);
      const { parts, sheet, options, now: places, locked: stay } = laid;
      const { found } = await nestWorkers[0]!.call((nester) => nester.byHand({ parts, sheet, options, now: places, locked: stay }, move));
      if (!found.ok) {
        tell(REFUSED[found.why], { tone: 'error' });
        return false;
      }
      if (found.off > 0)
        tell(
          found.off === 1
            ? 'One part finds no room any more. It stays for the roll.'
            : `${found.off} parts find no room any more. They stay for the roll.`,
        );
      const kept = placesOf(found.nesting, parts, new Set([...stay, partKey({ outline: move.part, copy: move.copy })]));
      return (await keepLayout(laid, kept, 'Lay a part by hand')) !== undefined;
    } catch (error) {
      tell(plainly(error), { tone: 'error' });
      return false;
    }
  };
  /** One thing after the other: what is pressed twice is done twice. */
  const inTurn = <T,>(run: () => Promise<T>): Promise<T> => {
    const next = queue.current.then(run);
    queue.current = next.catch(() => undefined);
    return next;
  };
  const lay = ({ part: outline, copy, turn, x, y }: HandMove) => inTurn(() => layNow(partKey({ outline, copy }), () => ({ turn, x, y })));
  const lock = (key: string) =>
    inTurn(async () => {
      const now = await fresh();
      if (now) await lockPart(layable(now.layout, now.kept, now.asked), key);
    });
  const turn = (by: number) => {
    if (part) void inTurn(() => layNow(partKey(part), (now) => ({ ...now, turn: (now.turn + by) % 4 })));
  };
  return (
    <>
      <FilmDrawing layout={layout} job={job} system={system} className="min-h-[20rem] flex-1 lg:min-h-0">
        <HandParts
          layout={layout}
          locked={new Set(locked)}
          turns={turns}
          chosen={chosen}
          nameOf={nameOf}
          onChoose={setChosen}
          onLay={lay}
          onLock={(key) => void lock(key)}
        />
      </FilmDrawing>
      {part && (
        <div
          role="toolbar"
          aria-label="The part"
          className="border-base-300 flex flex-wrap items-center gap-1.5 border-t px-4 py-2 text-sm"
        >
          <strong className="mr-auto">{nameOf(part)}</strong>
          {turns && (
            <>
              <button type="button" className="btn btn-sm btn-ghost border-base-300" onClick={() => turn(1)}>
                Turn by a quarter
              </button>
              <button type="button" className="btn btn-sm btn-ghost border-base-300" onClick={() => turn(1 / 6)}>
                By 15°
              </button>
            </>
          )}
          <button
            type="button"
            aria-pressed={stays}
            className="btn btn-sm btn-ghost border-base-300"
            onClick={() => void lock(partKey(part))}
          >
            {stays ? 'Let it go' : 'Keep it here'}
          </button>
        </div>
      )}
    </>
  );
}
