import { nextTrial } from '../cut';
import { CUT_OUTCOMES, DRILL_TONES, DRILLING, type CutOutcome } from '../facts';
import { oneOf, type Drill } from './round';

/** How a cut with a force comes out where so much is right: drawn from its ratio to it. */
const outcomeOf = (force: number, right: number): CutOutcome => {
  const ratio = force / right;
  const { through, scores, cuts } = DRILLING.blade;
  return ratio < through ? 'notThrough' : ratio <= scores ? 'clean' : ratio <= cuts ? 'scored' : 'linerCut';
};

/** Reading test cuts: what the last one says, and what is tried next. */
export const blade: Drill = {
  name: 'Set the blade',
  about: 'Read a test cut, and say what to try next.',
  round: (random) => {
    const { least, most, begins } = DRILLING.blade;
    const right = least + Math.floor(random() * (most - least + 1));
    const { colour } = oneOf(
      DRILL_TONES.filter(({ light }) => light),
      random,
    );
    const tests: { force: number; outcome: CutOutcome }[] = [];
    // the ladder as far as it has come, and never to its end
    const steps = 1 + Math.floor(random() * 3);
    let force = Math.max(2, Math.round(right * oneOf(begins, random)));
    for (let i = 0; i < steps; i++) {
      const outcome = i === steps - 1 && random() < 0.25 ? oneOf(['torn', 'oneSide'] as const, random) : outcomeOf(force, right);
      tests.push({ force, outcome });
      const next = nextTrial(tests);
      if (next.done || next.narrow || CUT_OUTCOMES[outcome].force === 'same') break;
      force = next.force;
    }
    const last = tests.at(-1)!;
    const says = CUT_OUTCOMES[last.outcome].force;
    return {
      topic: CUT_OUTCOMES[last.outcome].name,
      question: `The last test cut, with force ${last.force}, came out like this. What next?`,
      scene: { kind: 'ladder', tests, colour },
      ask: {
        kind: 'choose',
        answers: [
          { id: 'more', label: 'More force' },
          { id: 'less', label: 'Less force' },
          { id: 'right', label: 'Keep it: this is right' },
          { id: 'same', label: 'Leave the force; see to blade, bed or speed first' },
        ],
      },
      judge: (answer) => {
        const next = nextTrial(tests);
        const then = says === 'more' || says === 'less' ? ` Between what is known, ${next.force} is the next to try.` : '';
        return { right: answer === says, best: says, why: `${CUT_OUTCOMES[last.outcome].text}${then}` };
      },
    };
  },
};
