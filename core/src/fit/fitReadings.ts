import type { Reading } from '../job';
import { bendReading } from './readings/bend';
import { bulbReading, snipsReading } from './readings/bulb';
import { contrastReading } from './readings/contrast';
import { droppedReading } from './readings/dropped';
import { foodReading } from './readings/food';
import { scatterReading } from './readings/scatter';
import { seenReading, sizeReading } from './readings/size';
import { smallReading } from './readings/small';
import { coldReading, stickReading, waxReading } from './readings/stick';
import { thinReading } from './readings/thin';
import type { FitContext } from './readings/context';

/** Every reading about one fitted mark, the ones that decide most first. */
export const fitReadings = (context: FitContext): Reading[] =>
  [
    sizeReading,
    scatterReading,
    bendReading,
    bulbReading,
    snipsReading,
    seenReading,
    thinReading,
    smallReading,
    droppedReading,
    contrastReading,
    stickReading,
    waxReading,
    coldReading,
    foodReading,
  ].flatMap((read) => read(context) ?? []);
