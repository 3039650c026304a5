import { keepTogether, partsLying, partsShown, shadesUnder, takeApart } from '@kolleta/core/artwork';
import { nearestFilms } from '@kolleta/core/fit';
import { removeAt, setAt, type Artwork, type DrawnPart, type Mark, type Patch, type Shop } from '@kolleta/core/job';
import { newId } from '../../storage/newId';
import { AmountWord, Choice, Sentence } from '../../ui/tokens';
import type { StationProps } from '../../frame/station';
import { newLine } from './blankMark';
import { filmsFor } from './MarkWords';

type Drawing = Extract<Artwork, { kind: 'drawing' }>;

interface Props {
  mark: Mark;
  artwork: Drawing;
  shop: Shop;
  edit: StationProps['edit'];
  /** Picked parts; undefined while the drawing is not taken apart. */
  chosen: ReadonlySet<string> | undefined;
  choose: (ids: ReadonlySet<string> | undefined) => void;
}

/** Whether films go by the layers of a drawing. */
const hasLayers = ({ parts }: Drawing): boolean => parts.some((part) => part.layer !== undefined);

/** Most colours listed one by one. */
const MOST_COLOURS = 24;

/** A colour for a film that no other film has in this drawing. */
function colourFor(film: string, mark: Mark, artwork: Drawing, shop: Shop): string {
  const used = new Map(Object.entries(mark.colourFilms).flatMap(([colour, id]) => (id === null ? [] : [[id, colour] as const])));
  const known = used.get(film);
  if (known) return known;
  const own = shop.films.find((f) => f.id === film)?.colour.toLowerCase() ?? '#808080';
  const taken = new Set(artwork.parts.map((part) => part.colour));
  let [r, g, b] = [1, 3, 5].map((at) => Number.parseInt(own.slice(at, at + 2), 16)) as [number, number, number];
  const hex = () => `#${[r, g, b].map((v) => v.toString(16).padStart(2, '0')).join('')}`;
  while (taken.has(hex())) [r, g, b] = [(r + 1) % 256, (g + 7) % 256, (b + 13) % 256];
  return hex();
}

/** A colour of the drawing and the film that it is cut from, side by side; nothing on its right where it is left to the ground. */
function Beside({ colour, film }: { colour: string; film: string | undefined }) {
  return (
    <span className="border-base-300 mr-2 inline-flex overflow-hidden rounded-sm border align-middle" aria-hidden>
      <span className="inline-block h-4 w-5" style={{ background: colour }} />
      <span className="inline-block h-4 w-5" style={{ background: film ?? 'transparent' }} />
    </span>
  );
}

/** A drawing's colours with their films; and its parts, picked, left out, kept together and given films. */
export function PartsCard({ mark, artwork, shop, edit, chosen, choose }: Props) {
  const films = shop.films.map((f) => ({ value: f.id, label: f.name }));
  const at = (...path: string[]) => ['marks', mark.id, 'artwork', ...path];
  const dropped = new Set(artwork.dropped ?? []);
  /** A change that follows from the drawing as it is saved. */
  const change = (next: (saved: Drawing, mark: Mark) => Patch, label: string) =>
    edit((saved) => {
      const now = saved.marks.find((m) => m.id === mark.id);
      return now?.artwork.kind === 'drawing' ? next(now.artwork, now) : [];
    }, label);
  const setParts = (next: (parts: DrawnPart[]) => readonly DrawnPart[], label: string) =>
    change((saved) => setAt(at('parts'), next(saved.parts)), label);
  const drop = (ids: ReadonlySet<string>, out: boolean) =>
    change(
      (saved) => {
        const now = saved.dropped ?? [];
        return setAt(at('dropped'), out ? [...new Set([...now, ...ids])] : now.filter((id) => !ids.has(id)));
      },
      out ? 'Leave parts out' : 'Take parts back',
    );
  const give = (film: string) => {
    if (!film || !chosen) return;
    change((saved, now) => {
      const colour = colourFor(film, now, saved, shop);
      return [
        ...saved.parts.filter((part) => chosen.has(part.id)).flatMap((part) => setAt(at('parts', part.id, 'colour'), colour)),
        ...setAt(['marks', mark.id, 'colourFilms', colour], film),
      ];
    }, 'Give parts a film');
  };
  /** Takes the drawing the other way, where it is not taken so already. */
  const takeOtherwise = (differs: (saved: Drawing) => boolean, label: string, more: Patch = []) =>
    change((saved, now) => {
      const parts = saved.otherwise;
      if (!parts || !differs(saved)) return [];
      return [
        ...setAt(at('otherwise'), saved.parts),
        ...setAt(at('parts'), parts),
        ...removeAt(at('dropped')),
        ...more,
        ...setAt(['marks', mark.id, 'colourFilms'], nearestFilms(partsShown({ parts }), shop.films, now.technique)),
      ];
    }, label);
  const some = chosen && chosen.size > 0;
  const colours = [...new Set(partsShown(artwork).map((part) => part.colour))];
  const layers = hasLayers(artwork);
  const layerOf = new Map(artwork.parts.flatMap((part) => (part.layer === undefined ? [] : [[part.colour, part.layer] as const])));
  const lying = partsLying(artwork);
  const under = shadesUnder(artwork);
  const through = lying.filter((part) => part.opacity !== undefined);
  const shades = through.filter(({ opacity = 1 }) => opacity < under).length;
  const filmOf = (colour: string) => {
    const id = colour in mark.colourFilms ? mark.colourFilms[colour] : mark.film;
    return shop.films.find((film) => film.id === id);
  };
  return (
    <section aria-label="Parts of the drawing" className="sheet px-4 py-3">
      <h2 className="text-[0.98rem] font-bold break-words">{artwork.name}</h2>
      <p className="quiet mb-1 text-sm">Each {layers ? 'layer' : 'colour'} of the drawing is cut from a film, or left to the ground.</p>
      {artwork.otherwise && !artwork.thin && (
        <Sentence>
          Films go by{' '}
          <Choice
            label="What films go by"
            value={layers ? 'layers' : 'colours'}
            options={[
              { value: 'colours', label: 'its colours' },
              { value: 'layers', label: 'its layers' },
            ]}
            onChange={(by) => takeOtherwise((saved) => hasLayers(saved) !== (by === 'layers'), 'Choose what films go by')}
          />
          .
        </Sentence>
      )}
      {artwork.otherwise && artwork.thin && (
        <Sentence>
          Its thin lines are{' '}
          <Choice
            label="What thin lines are"
            value={artwork.thin}
            options={[
              { value: 'outlines', label: 'outlines that the knife follows' },
              { value: 'strips', label: 'strips of film' },
            ]}
            onChange={(thin) => takeOtherwise((saved) => saved.thin !== thin, 'Choose what thin lines are', setAt(at('thin'), thin))}
          />
          .
        </Sentence>
      )}
      {colours.slice(0, MOST_COLOURS).map((colour) => (
        <Sentence key={colour}>
          <Beside colour={colour} film={filmOf(colour)?.colour} />
          {layerOf.has(colour) ? (
            <b className="break-words">{layerOf.get(colour)}</b>
          ) : (
            <span className="measure text-sm">{colour}</span>
          )}{' '}
          is{' '}
          <Choice
            label={`Film for ${layerOf.get(colour) ?? colour}`}
            value={colour in mark.colourFilms ? (mark.colourFilms[colour] ?? 'ground') : mark.film}
            options={[{ value: 'ground', label: 'left to the ground' }, ...filmsFor(shop, mark.colourFilms[colour] ?? mark.film)]}
            onChange={(film) =>
              edit(setAt(['marks', mark.id, 'colourFilms', colour], film === 'ground' ? null : film), 'Choose a film for a colour')
            }
          />
        </Sentence>
      ))}
      {colours.length > MOST_COLOURS && (
        <p className="quiet text-sm">and {colours.length - MOST_COLOURS} more colours: pick parts and give them films together.</p>
      )}
      {through.length > 0 && (
        <Sentence>
          Of {through.length === 1 ? 'one shape' : `${through.length} shapes`} that one sees through, those under{' '}
          <AmountWord
            label="Least opacity that is cut"
            value={Math.round(under * 100)}
            unit="%"
            most={100}
            onChange={(share) =>
              change((saved) => setAt(at('shades'), { ...saved.shades, under: share / 100 }), 'Say what of shades is cut')
            }
          />{' '}
          are left out ({shades}), the others cut{' '}
          <Choice
            label="Colour of what one sees through"
            value={artwork.shades?.mixed ? 'mixed' : 'solid'}
            options={[
              { value: 'solid', label: 'in their own colour' },
              { value: 'mixed', label: 'in their colour on white' },
            ]}
            onChange={(how) =>
              change((saved) => {
                const now = { under: shadesUnder(saved) };
                return setAt(at('shades'), how === 'mixed' ? { ...now, mixed: true } : now);
              }, 'Choose the colour of shades')
            }
          />
          .
        </Sentence>
      )}
      {lying.some((part) => part.middle !== undefined) && (
        <Sentence>
          Gradients are flat, in the colour{' '}
          <Choice
            label="Colour of gradients"
            value={artwork.gradients ?? 'main'}
            options={[
              { value: 'main', label: 'that covers most of them' },
              { value: 'middle', label: 'halfway along' },
            ]}
            onChange={(which) =>
              change(
                () => (which === 'middle' ? setAt(at('gradients'), which) : removeAt(at('gradients'))),
                'Choose the colour of gradients',
              )
            }
          />
          .
        </Sentence>
      )}
      <div className="mt-1.5 flex flex-wrap gap-1.5">
        <button
          type="button"
          aria-pressed={chosen !== undefined}
          className={`btn btn-sm ${chosen ? 'btn-neutral' : 'btn-outline btn-primary'}`}
          onClick={() => {
            if (chosen) choose(undefined);
            else {
              // looked at first, so that nothing is saved where there is nothing to part
              if (takeApart(artwork.parts, newId).length > artwork.parts.length)
                setParts((parts) => takeApart(parts, newId), 'Take the drawing apart');
              choose(new Set());
            }
          }}
        >
          {chosen ? 'Done taking apart' : 'Take it apart'}
        </button>
        {!chosen && (
          <button
            type="button"
            className="btn btn-sm btn-ghost border-base-300"
            onClick={() =>
              edit(
                () =>
                  setAt(['marks', mark.id, 'artwork'], { kind: 'text', lines: [newLine('montserrat')], align: 'centre', lineSpacing: 1 }),
                'Use words instead',
              )
            }
          >
            Use words instead
          </button>
        )}
      </div>
      {chosen && (
        <div className="bg-base-200 mt-2 rounded px-3 py-2">
          <p className="text-sm">
            {some
              ? `${chosen.size} ${chosen.size === 1 ? 'part' : 'parts'} picked.`
              : `${artwork.parts.length === 1 ? 'It is one part' : `${artwork.parts.length} parts`}. Press one in the drawing, with Shift several, or draw a frame around them.`}
          </p>
          <div className="mt-1 flex flex-wrap gap-1.5">
            <button type="button" className="btn btn-sm" disabled={!some} onClick={() => drop(chosen, true)}>
              Leave them out
            </button>
            <button
              type="button"
              className="btn btn-sm"
              disabled={!some || ![...chosen].some((id) => dropped.has(id))}
              onClick={() => drop(chosen, false)}
            >
              Take them back
            </button>
            <button
              type="button"
              className="btn btn-sm"
              disabled={chosen.size < 2}
              onClick={() => setParts((parts) => keepTogether(parts, chosen), 'Keep parts together')}
            >
              Keep them together
            </button>
            <button
              type="button"
              className="btn btn-sm"
              disabled={!some}
              onClick={() => drop(new Set(artwork.parts.filter((p) => !chosen.has(p.id)).map((p) => p.id)), true)}
            >
              Only these
            </button>
            <button type="button" className="btn btn-sm" onClick={() => choose(new Set(artwork.parts.map((p) => p.id)))}>
              Pick all
            </button>
          </div>
          {some && (
            <Sentence className="text-[0.97rem]!">
              Cut them from{' '}
              <Choice
                label="Film for the picked parts"
                value=""
                options={[{ value: '', label: 'choose a film' }, ...films]}
                onChange={give}
              />
            </Sentence>
          )}
        </div>
      )}
    </section>
  );
}
