import { removeAt, setAt, type Zone } from '@kolleta/core/job';
import { Sentence, Switch } from '../../ui/tokens';
import type { StationProps } from '../../frame/station';

/** The colours of a place on a patterned piece; marks are judged against the worst of them. */
export function ZoneColours({ zone, piece, edit }: { zone: Zone; piece: string; edit: StationProps['edit'] }) {
  const colours = zone.colours ?? [];
  /** Colours have no names of their own: the list is made from the saved one. */
  const put = (next: (saved: readonly string[]) => readonly string[]) =>
    edit((saved) => {
      const list = next(saved.zones.find((z) => z.id === zone.id)?.colours ?? []).slice(0, 8);
      return list.length > 0 ? setAt(['zones', zone.id, 'colours'], list) : removeAt(['zones', zone.id, 'colours']);
    }, "Change the zone's colours");
  return (
    <Sentence className="text-[0.97rem]!">
      Here the piece is{' '}
      <Switch
        label="Pattern"
        on={colours.length > 0}
        yes="patterned or of another colour:"
        no="of its one colour"
        onChange={(on) => put((saved) => (!on ? [] : saved.length > 0 ? saved : [piece]))}
      />
      {colours.map((colour, i) => (
        <span key={i} className="mx-1 inline-flex items-center">
          <input
            type="color"
            className="token h-7 w-9 cursor-pointer align-middle"
            aria-label={`Colour ${i + 1} of the zone`}
            value={colour}
            onChange={(event) => {
              const { value } = event.target;
              put((saved) => saved.map((c, k) => (k === i ? value : c)));
            }}
          />
          {colours.length > 1 && (
            <button
              type="button"
              className="btn btn-xs btn-ghost px-1"
              aria-label={`Take colour ${i + 1} away`}
              onClick={() => put((saved) => saved.filter((_, k) => k !== i))}
            >
              ✕
            </button>
          )}
        </span>
      ))}
      {colours.length > 0 && colours.length < 8 && (
        <button type="button" className="btn btn-xs btn-ghost border-base-300" onClick={() => put((saved) => [...saved, '#808080'])}>
          And another
        </button>
      )}
      .
    </Sentence>
  );
}
