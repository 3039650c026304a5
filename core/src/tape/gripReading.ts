import { capital, inSentence } from '../units';
import { surfaceOf, type Surface } from '../blanks';
import { FILM_KINDS, TAPE_KINDS, TECHNIQUES } from '../facts';
import { setAt, type Remedy, type Film, type Job, type Mark, type Reading, type Shop } from '../job';
import { chooseTape, tapeOffers, type TapeChoice } from './chooseTape';
import { gripWindow, type GripWindow, type Transfer } from './grip';

/** How the film of a mark meets its tape on a surface. */
export const transferOf = (mark: Pick<Mark, 'technique'>, film: Film, surface: Surface, daysCut = 0): Transfer => ({
  kind: film.kind,
  finish: film.finish,
  surface,
  sheet: TECHNIQUES[mark.technique].kept === 'surround',
  daysCut,
});

const newton = (n: number) => `${n.toFixed(1)} N`;

/**
 * Whether any tape in the shop carries the film over; nothing is lifted that should stay.
 *
 * @param daysCut days since the film was cut: its liner holds harder
 */
export function gripReading(
  job: Job,
  mark: Mark,
  film: Film,
  surface: Surface,
  { tapes, films, paints }: Pick<Shop, 'tapes' | 'films' | 'paints'>,
  daysCut = 0,
): Reading {
  const transfer = transferOf(mark, film, surface, daysCut);
  const window = gripWindow(transfer);
  const choice = chooseTape(tapes, window, film.finish, mark.tape);
  const base = {
    id: `grip:${mark.id}:${film.id}` as const,
    station: 'tape' as const,
    title: `Tape for ${film.name}`,
    mark: mark.id,
    limit: 'lifts the film, and lets go on the piece',
  };
  const wanted = tapes.find(({ id }) => id === mark.tape);
  /** Whether a tape works with room to spare, and is the one that was chosen, if one was. */
  const isFine = ({ careful }: GripWindow, taken: TapeChoice | undefined) =>
    taken !== undefined &&
    taken.dull === 0 &&
    taken.uses.grips[taken.uses.from! - 1]! <= careful &&
    (wanted === undefined || wanted.id === taken.tape.id);
  const windowSaid = `The tape has to grip with ${newton(window.low)} to ${newton(window.high)} on 25 mm.`;
  const figuresOf = (grip: number) => `${windowSaid} This one grips with ${newton(grip)} at its first use.`;
  const remedies = (): Remedy[] => {
    const found: Remedy[] = [];
    const works = (candidate: Transfer, finish: Film['finish']) => {
      const its = gripWindow(candidate);
      return isFine(its, chooseTape(tapes, its, finish, mark.tape));
    };
    const sealed = surfaceOf({ ...job.piece, sealedFirst: true }, paints);
    if (surface.sealable && !job.piece.sealedFirst && works({ ...transfer, surface: sealed }, film.finish))
      found.push({ label: 'Seal it first', patch: setAt(['piece', 'sealedFirst'], true) });
    const other = films.find(
      (f) =>
        f.id !== film.id &&
        FILM_KINDS[f.kind].stays === FILM_KINDS[film.kind].stays &&
        works({ ...transfer, kind: f.kind, finish: f.finish }, f.finish),
    );
    // small film that holds on its piece is put down by hand
    if (TECHNIQUES[mark.technique].filmStays && choice === undefined && (window.open || window.limitedBy === 'coating'))
      found.push({ label: 'Put it down by hand, without tape', patch: setAt(['marks', mark.id, 'placing'], 'hand') });
    if (other && mark.film === film.id && !Object.values(mark.colourFilms).includes(film.id))
      found.push({ label: `Cut it from ${other.name}`, patch: setAt(['marks', mark.id, 'film'], other.id) });
    return found;
  };
  if (!choice) {
    const why = !window.open
      ? window.limitedBy === 'coating'
        ? `The ${surface.weakest ?? 'coating'} would come off with the tape before the film leaves its liner.`
        : `On ${surface.name} the film lets go before it leaves its liner.`
      : tapes.length === 0
        ? 'There is no tape in this workshop yet.'
        : 'No tape in stock falls into the window.';
    const found = remedies();
    return {
      ...base,
      verdict: 'stop',
      value: 'no tape',
      figures: windowSaid,
      why,
      remedies: found,
      advice: window.open
        ? `${tapes.length === 0 ? 'Add your tapes in Stock, or buy one' : 'Buy a tape'} whose grip lies in the window.`
        : window.limitedBy === 'coating'
          ? `Try on a hidden spot whether the ${surface.weakest ?? 'coating'} holds, let it cure for some days, or place the mark by hand without tape.`
          : 'Choose another film or another way to make the mark, or place it by hand without tape.',
    };
  }
  if (wanted && wanted.id !== choice.tape.id) {
    const offer = tapeOffers(tapes, window, film.finish).find((one) => !one.works && one.tape.id === wanted.id);
    return {
      ...base,
      verdict: 'watch',
      value: choice.tape.name,
      figures: figuresOf(choice.uses.grips[choice.uses.from! - 1]!),
      why: `${capital(wanted.name)} was chosen, and does not work here. ${offer?.says ?? ''} ${capital(choice.tape.name)} is taken instead.`,
      remedies: [{ label: `Take ${choice.tape.name}`, patch: setAt(['marks', mark.id, 'tape'], choice.tape.id) }],
    };
  }
  const name = TAPE_KINDS[choice.tape.kind].name;
  const first = choice.uses.grips[choice.uses.from! - 1]!;
  const value = choice.tape.name;
  const figures = figuresOf(first);
  if (choice.dull === 0 && first > window.careful)
    return {
      ...base,
      verdict: 'watch',
      value,
      figures,
      why: `${capital(name)} ${inSentence(choice.why)}`,
      remedies: remedies(),
    };
  if (choice.dull > 0) {
    return {
      ...base,
      verdict: 'watch',
      value,
      figures,
      why: `Only a worn piece of ${name} is gentle enough: press it on clean cloth ${choice.dull === 1 ? 'once' : `${choice.dull} times`} before its first use.`,
      remedies: remedies(),
    };
  }
  return {
    ...base,
    verdict: 'fine',
    value,
    figures,
    why: `${capital(name)} ${inSentence(choice.why)} One piece does ${choice.uses.to! - choice.uses.from! + 1} ${choice.uses.to === choice.uses.from ? 'mark' : 'marks'}.`,
    remedies: [],
  };
}
