import { aboutMark, guarded, type Reading } from '../job';
import { bendReading } from './readings/bend';
import { bulbReading, snipsReading } from './readings/bulb';
import { contrastReading } from './readings/contrast';
import { droppedReading } from './readings/dropped';
import { foodReading } from './readings/food';
import { islandsReading } from './readings/islands';
import { scatterReading } from './readings/scatter';
import { seenReading, sizeReading } from './readings/size';
import { smallReading } from './readings/small';
import { coldReading, stickReading, waxReading } from './readings/stick';
import { thinReading } from './readings/thin';
import { tipsReading } from './readings/tips';
import { type FitContext, type FitReading } from './readings/context';

/** Every kind of reading, with what it is called where it cannot be worked out; the ones that decide most first. */
const KINDS: readonly (readonly [kind: string, title: string, read: FitReading])[] = [
  ['size', 'Size', sizeReading],
  ['scatter', 'Scatter', scatterReading],
  ['bend', 'Bend', bendReading],
  ['bulb', 'Curve', bulbReading],
  ['snips', 'Snips', snipsReading],
  ['seen', 'Seen at once', seenReading],
  ['thin', 'Thin parts', thinReading],
  ['tips', 'Fine tips', tipsReading],
  ['small', 'Small parts', smallReading],
  ['islands', 'Islands', islandsReading],
  ['dropped', 'Dropped parts', droppedReading],
  ['contrast', 'Contrast', contrastReading],
  ['stick', 'Hold on the piece', stickReading],
  ['wax', 'Wax', waxReading],
  ['cold', 'Cold', coldReading],
  ['food', 'Lips and food', foodReading],
];

/** Every reading about one fitted mark, the ones that decide most first; one that fails does not take the others along. */
export const fitReadings = (context: FitContext): Reading[] =>
  KINDS.flatMap(([kind, title, read]) =>
    guarded(
      'fit',
      kind,
      context.mark.id,
      title,
      () => {
        const reading = read(context);
        return reading ? [reading] : [];
      },
      aboutMark(context.mark, context.several),
    ),
  );
