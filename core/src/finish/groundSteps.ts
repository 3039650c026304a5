import { COATS, HANDS_ON, type CautionId } from '../facts';
import { dryingTimes } from './drying';
import { minutesFor, type RecipeDraft } from './recipeDraft';
import type { Lag } from './workStep';

/** Stain or paint, then sealer; what film has to wait for, if anything. */
export function groundSteps({ input, care, whole, face, id, add }: RecipeDraft): Lag | undefined {
  const { job, climate } = input;
  const { piece, count } = job;
  let ground: Lag | undefined;
  if (piece.coat) {
    const coat = COATS[piece.coat];
    const times = dryingTimes(piece.coat, climate);
    const stain = piece.coat === 'waterStain' || piece.coat === 'oilStain';
    const cautions: CautionId[] = coat.base === 'solvent' ? ['vapour', 'paint'] : ['paint'];
    if (stain) {
      add({
        id: id('coat1'),
        kind: 'stain',
        title: `Stain ${whole} and wipe off what stands`,
        short: 'stain',
        text: `${coat.name[0]!.toUpperCase()}${coat.name.slice(1)}, with the grain, edges too. Wipe after a few minutes.`,
        hands: minutesFor(HANDS_ON.stain, count, face),
        after: [],
        cautions,
      });
    } else {
      add({
        id: id('coat0'),
        kind: 'coat',
        title: `Paint ${whole}, first thin coat`,
        short: 'coat 1',
        text: `${coat.name[0]!.toUpperCase()}${coat.name.slice(1)}, thin, edges too.`,
        hands: minutesFor(HANDS_ON.coat, count, face),
        after: [],
        cautions,
      });
      add({
        id: id('coat1'),
        kind: 'coat',
        title: `Paint ${whole}, second thin coat`,
        short: 'coat 2',
        text: 'Across the first, just as thin.',
        hands: minutesFor(HANDS_ON.coat, count, face),
        after: [{ step: id('coat0'), least: times.recoat, why: `${coat.name} dries to recoat` }],
        cautions,
      });
    }
    ground = {
      step: id('coat1'),
      least: piece.sealedFirst ? times.recoat : times.beforeFilm,
      why: piece.sealedFirst ? `${coat.name} dries before the sealer` : `${coat.name} dries before film`,
    };
    if (!piece.sealedFirst)
      care.push({
        after: id('coat1'),
        minutes: times.fullCure,
        what: `${coat.name} cures`,
        then: 'water',
        packed: true,
      });
  }
  if (piece.sealedFirst) {
    const times = dryingTimes('sealer', climate);
    add({
      id: id('seal'),
      kind: 'seal',
      title: `Seal ${whole} with one thin clear coat`,
      short: 'seal',
      text: 'A soft brush, thin, no going back over it. The tape then lifts no paint and film lies flat.',
      hands: minutesFor(HANDS_ON.seal, count, face),
      after: ground ? [ground] : [],
      cautions: ['paint'],
    });
    ground = { step: id('seal'), least: times.beforeFilm, why: 'sealer dries before film' };
    care.push({ after: id('seal'), minutes: times.fullCure, what: 'sealer cures', then: 'water', packed: true });
  }
  return ground;
}
