import { COATS, DRILL_PAINTS, DRILL_ROOMS } from '../facts';
import { dryingTimes, pullWindow } from '../finish';
import type { PullAt } from '../job';
import { PULL_WORDS } from '../words';
import { formatDuration, formatTemperature } from '../units';
import { oneOf, type Drill } from './round';

const SCHOOLS: readonly PullAt[] = ['halfDry', 'nearlyDry', 'dry'];

/** When to pull a stencil, by the paint, the room and the school. */
export const pulls: Drill = {
  name: 'When to pull',
  about: 'How long after the last coat the stencil comes off.',
  round: (random, { temperatures }) => {
    const coat = oneOf(DRILL_PAINTS, random);
    const room = oneOf(DRILL_ROOMS, random);
    const school = oneOf(SCHOOLS, random);
    const said = PULL_WORDS[school];
    const times = dryingTimes(coat, room);
    const { least, most = Infinity } = pullWindow(school, times);
    const end = Math.min(most, least * 2);
    const best = Math.round((least + Math.min(most, least * 1.5)) / 2);
    const until = most === Infinity ? '' : ` and not after ${formatDuration(Math.round(most))}`;
    return {
      topic: `${COATS[coat].name}, ${said}`,
      question: `Two coats of ${COATS[coat].name} at ${formatTemperature(room.celsius, temperatures)} and ${Math.round(room.humidity * 100)} %. You pull when it is ${said}: how long after the last coat?`,
      scene: { kind: 'clock', ...room, touchDry: times.touchDry, recoat: times.recoat },
      ask: { kind: 'slide', least: 0, most: Math.max(60, Math.ceil((end * 1.6) / 30) * 30), start: 0, step: 1, unit: 'min' },
      judge: (answer) => {
        const minutes = Number(answer);
        const right = minutes >= least - 0.5 && minutes <= most + 0.5;
        const why =
          minutes < least - 0.5
            ? 'The paint is wet still: it runs under the edge or smears when the film moves.'
            : minutes > most + 0.5
              ? 'The paint has set across the edge: it tears or chips as the film comes off.'
              : 'The edge stays clean.';
        return {
          right,
          best,
          why: `${why} In this room it is ${said} from ${formatDuration(Math.round(least))}${until}: touch dry after ${formatDuration(Math.round(times.touchDry))}.`,
        };
      },
    };
  },
};
