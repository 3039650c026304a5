import type { BeforeCut } from '../cut';

/** What is done to film before it goes into the machine, in sentences that end with a space; nothing where there is nothing to do. */
export const beforeCutWords = (before: BeforeCut | undefined, say: (mm: number) => string): string =>
  [
    ...(before?.trim ? [`Trim the film to ${say(before.trim.to)} first: it is wider than the ${before.trim.machine} takes. `] : []),
    ...(before?.cutOff
      ? [
          before.cutOff.carrier
            ? `Cut it off the roll, ${say(before.cutOff.most)} at a time at most, and press it flat on a carrier sheet from one side to the other. `
            : `Cut it off the roll, ${say(before.cutOff.most)} at a time at most: this cutter takes none straight from a roll. `,
        ]
      : []),
    ...(before?.onCarrier ? ['Press it flat on a carrier sheet, from one side to the other. '] : []),
    ...(before?.covered ? ['Pull the clear cover sheet off before you cut. '] : []),
  ].join('');
