import type { Kept } from '../cut';
import { RELIEF } from '../facts';
import { counted } from '../units';
import { weedWords } from './weedWords';

/** What weeding one layer of a mark is like. */
export interface WeedingOf {
  readonly kept: Kept;
  /** It is words, not a drawing. */
  readonly letters: boolean;
  /** So much of it is small that it is held flat while it is weeded. */
  readonly onCarrier: boolean;
  /** It went through the machine on a cutting mat, and lies on that. */
  readonly mat: boolean;
  /** The film is dark: its cuts are hard to see. */
  readonly dark: boolean;
  /** Film that is pressed on lies on its own carrier, and is not peeled from it. */
  readonly hot: boolean;
  /** Relief cuts part the waste. */
  readonly relief: boolean;
  /** mm across. */
  readonly width: number;
  /** Numbered places: small pieces that come out, and small parts that stay. */
  readonly smallOut: number;
  readonly smallStays: number;
}

/** What holds film flat that came straight off the roll. */
export const HELD_FLAT = 'Tape the corners of its liner to the table: so the small parts stay flat.';

/** How a layer is weeded, one thing after the other. */
export function weedStages({ kept, letters, onCarrier, mat, dark, hot, relief, width, smallOut, smallStays }: WeedingOf): string[] {
  const mask = kept === 'surround' || kept === 'maskShapes';
  const strips = Math.ceil(width / RELIEF.strip);
  const things = letters ? 'letters' : 'parts';
  return [
    mask
      ? 'Cut the stencil free, with all of its frame.'
      : 'Cut away the film around the mark first, and keep it: there is less to pull, and it is an offcut.',
    ...(hot
      ? ['Leave it on its carrier, which is pressed on with it.']
      : mat
        ? [
            onCarrier
              ? 'Leave it on the cutting mat: it holds the small parts flat.'
              : 'Take it off the cutting mat: bend the mat away over a curve and keep the film flat, or it curls.',
          ]
        : onCarrier
          ? [HELD_FLAT]
          : []),
    ...(dark ? ['Light from below shows the cuts in dark film.'] : []),
    weedWords(kept, letters),
    ...(mask
      ? []
      : relief
        ? [`Relief cuts part the waste: pull strip by strip, low and slowly, the ${things} beside it pressed down with a finger.`]
        : strips > 1
          ? [
              `In ${strips} strips rather than one sheet: cut the waste between the ${things} and pull each strip back low and slowly, the ${things} beside ` +
                'it pressed down with a finger.',
            ]
          : [`Pull low and slowly, the ${things} beside the pull pressed down with a finger.`]),
    ...(smallStays > 0
      ? [
          `Hold down the ${counted(smallStays, 'small part')} ringed in amber while the film around ${smallStays === 1 ? 'it' : 'them'} goes.`,
        ]
      : []),
    ...(smallOut > 0
      ? [
          `With hook or tweezers lift out the ${counted(smallOut, 'small piece')} ringed in red, by number, and count ${smallOut === 1 ? 'it' : 'them'}.`,
        ]
      : []),
    'Lay waste on a scrap at once, sticky side down: it must touch neither itself nor the mark. Keep what comes off by mistake.',
  ];
}
