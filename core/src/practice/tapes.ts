import { DRILL_FILMS, DRILL_GROUNDS, DRILL_TAPES, FILM_KINDS, GROUNDS, TAPE_KINDS, type GroundId, type TapeKindId } from '../facts';
import { surfaceOf } from '../blanks';
import type { Piece } from '../job';
import { gripWindow, tapeUses } from '../tape';
import { capital } from '../units';
import { oneOf, type Drill } from './round';

const NONE = 'none';
const idOf = ({ tape, use }: { tape: TapeKindId; use: number }) => `${tape}:${use}`;

/** A smooth piece of a ground, bare. */
const pieceOf = ({ ground, colour }: { ground: GroundId; colour: string }): Piece => ({
  ...{ name: 'piece', shape: { kind: 'flat', width: 100, height: 100 }, ground, contact: 'smooth', colour, behind: '#ffffff' },
  ...{ waxed: false, use: { drink: false, food: false, dryShort: false }, sealedFirst: false },
});

/** Which tape lifts a film and lets go on a ground. */
export const tapes: Drill = {
  name: 'Which tape',
  about: 'What lifts the film off its liner and still lets go on the piece.',
  round: (random) => {
    const film = oneOf(DRILL_FILMS, random);
    const on = oneOf(DRILL_GROUNDS, random);
    const surface = surfaceOf(pieceOf(on), [], 'fresh');
    const window = gripWindow({ kind: film.kind, finish: film.finish, surface, sheet: false, daysCut: 0 });
    const works = new Map(
      DRILL_TAPES.map((one) => {
        const { from, to = 0 } = tapeUses(one.tape, window, film.finish);
        return [idOf(one), from !== undefined && one.use >= from && one.use <= to] as const;
      }),
    );
    const right = [...works].filter(([, fits]) => fits).map(([id]) => id);
    const grip = (one: (typeof DRILL_TAPES)[number]) => tapeUses(one.tape, window, film.finish).grips[one.use - 1] ?? 0;
    const name = GROUNDS[on.ground].name;
    return {
      topic: `${FILM_KINDS[film.kind].name} on ${name}`,
      question: `${capital(FILM_KINDS[film.kind].name)}, ${film.finish}, on ${name}. Which tape do you take?`,
      scene: { kind: 'layers', film: `${film.finish} ${FILM_KINDS[film.kind].name}`, colour: film.colour, on: name, ground: on.colour },
      ask: {
        kind: 'choose',
        answers: [
          ...DRILL_TAPES.map((one) => ({
            id: idOf(one),
            label: `${capital(TAPE_KINDS[one.tape].name)}, ${one.use === 1 ? 'fresh' : `lifted ${one.use - 1} times before`}`,
          })),
          { id: NONE, label: 'None of these' },
        ],
      },
      judge: (answer) => {
        const chosen = DRILL_TAPES.find((one) => idOf(one) === answer);
        const best = right[0] ?? NONE;
        const fits = right.length === 0 ? answer === NONE : works.get(String(answer)) === true;
        const why = !chosen
          ? right.length === 0
            ? 'None holds the film more than its liner does and lets go before film or coating lift.'
            : 'One of them does: it holds the film more than the liner, and less than the piece holds it.'
          : fits
            ? 'It holds the film more than the liner does, and lets go before the film or what lies under it.'
            : grip(chosen) < window.low
              ? 'Too weak for this film: letters would stay on the liner.'
              : `Too strong here: ${window.limitedBy === 'coating' ? 'the coating would come off with it' : 'the film would come back with it'}.`;
        return { right: fits, best, why };
      },
    };
  },
};
