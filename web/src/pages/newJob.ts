import { isClear, usualZone } from '@kolleta/core/blanks';
import { BEHIND, LIMITS, type Blank } from '@kolleta/core/facts';
import type { Job, Piece, Shop } from '@kolleta/core/job';
import { contrastOf } from '@kolleta/core/fit';
import { newId } from '../storage/newId';

/** A piece like a blank. */
export const pieceOf = (blank: Blank): Piece => ({
  name: blank.name,
  shape: blank.shape,
  ground: blank.ground,
  contact: blank.contact,
  colour: blank.colour,
  // nothing is assumed behind a clear piece but a plain light room
  behind: BEHIND.room.colour,
  waxed: false,
  use: { drink: blank.drink, food: false, dryShort: false },
  sealedFirst: false,
});

/** The film in stock that stands out best from a piece and is made to stay. */
export function bestFilm(shop: Shop, piece: Piece): string {
  const ground = isClear(piece) ? piece.behind : piece.colour;
  const staying = shop.films.filter((f) => f.kind === 'permanent' && f.length > 0);
  const best = staying.toSorted((a, b) => contrastOf(b.colour, ground).ratio - contrastOf(a.colour, ground).ratio)[0];
  return (best ?? shop.films[0])?.id ?? '';
}

/** A new job of one mark on one piece; everything else as usual. */
export function newJob(shop: Shop, blank: Blank, at: number, words = ''): Job {
  const piece = pieceOf(blank);
  const zone = { ...usualZone(newId(), piece), lipBand: piece.use.drink ? LIMITS.lipBand : 0 };
  return {
    id: newId(),
    name: words || blank.name[0]!.toUpperCase() + blank.name.slice(1),
    client: '',
    count: 1,
    piece,
    zones: [zone],
    marks: [
      {
        id: newId(),
        name: 'mark',
        zone: zone.id,
        technique: 'decal',
        artwork: {
          kind: 'text',
          align: 'centre',
          lineSpacing: 1,
          lines: [{ id: newId(), text: words, face: 'montserrat', scale: 1, spacing: 0 }],
        },
        edits: [],
        colourFilms: {},
        film: bestFilm(shop, piece),
        flip: false,
        seenThrough: false,
        size: { mode: 'largest' },
        offset: { x: 0, y: 0 },
        subtle: false,
        coats: 2,
        pullAt: 'halfDry',
      },
    ],
    priority: 0,
    overrides: [],
    createdAt: at,
    closed: false,
  };
}
