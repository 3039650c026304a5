import { COATS, FILM_KINDS, GROUNDS, LEARNING, STEP_KINDS, TAPE_KINDS, TECHNIQUES, type StepKind } from '../facts';
import type { Id } from '../job';
import { capital, counted } from '../units';
import type { Factor } from './learning';

/** "1.3", "0.85": a factor as it is said. */
export const factorText = (value: number): string => `${Math.round(value * 100) / 100}`;

const doing = (work: StepKind): string => STEP_KINDS[work].doing;

/** How long something takes against what was computed, after its subject: "takes you 1.3 times as long as computed". */
function takes(value: number, you = ''): string {
  const said = Math.round(value * 100) / 100;
  return said === 1 ? `takes${you} as long as computed` : `takes${you} ${said} times as long as computed`;
}

/**
 * What was learnt about one thing, as a sentence without its full stop: "Weeding takes you 1.3 times as long as computed, from 9 runs".
 *
 * @param nameOf names people
 */
export function factorWords({ about, value, runs }: Factor, nameOf: (who: Id) => string = () => 'Somebody'): string {
  const from = `, from ${counted(runs, about.kind === 'drying' ? 'time' : 'run')}`;
  const said = factorText(value);
  // what a film, a technique or a ground adds comes on top of what the work takes anyway
  const besides = (of: string) =>
    said === '1' ? `${of} is no slower and no faster than the rest${from}` : `${of} takes ${said} times as long as the rest${from}`;
  switch (about.kind) {
    case 'work':
      return `${capital(doing(about.work))} ${takes(value, ' you')}${from}`;
    case 'film':
      return besides(`${capital(doing(about.work))} ${FILM_KINDS[about.film].name}`);
    case 'technique':
      return besides(`${capital(doing(about.work))}, ${TECHNIQUES[about.technique].name},`);
    case 'ground':
      return besides(`${capital(doing(about.work))} on ${GROUNDS[about.ground].name}`);
    case 'who':
      return besides(nameOf(about.who));
    case 'drying': {
      const what = about.coat ? COATS[about.coat].name : about.base === 'water' ? 'what dries by water' : 'what dries by solvent';
      return `${capital(what)} dries here in ${said === '1' ? 'the time computed' : `${said} times the time computed`}${from}`;
    }
    case 'grip': {
      const where = `${about.finish} film on ${GROUNDS[about.ground].name}`;
      return `${capital(TAPE_KINDS[about.tape].name)} holds ${where} ${said} times as firmly as computed${from}`;
    }
  }
}

/** Why a step's minutes are not as computed: each thing that was learnt and makes a difference. */
export const learntBecause = (from: readonly Factor[], nameOf?: (who: Id) => string): string[] =>
  from.filter(({ value }) => Math.abs(Math.log(value)) >= LEARNING.worthSaying).map((factor) => factorWords(factor, nameOf));
