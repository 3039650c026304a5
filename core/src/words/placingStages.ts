import { PLACINGS, type PlacingStage } from '../facts';
import type { SnipsAbout, StepAbout } from '../finish';
import type { Box } from '../geometry';
import type { Piece } from '../job';
import { counted, inSentence, listed } from '../units';

/** A measure that a stage is set out by: from an edge that can be reached to the edge of the mark that lies nearer to it. */
export interface PlacingMeasure {
  readonly from: 'lower' | 'upper';
  readonly mm: number;
}

/** One stage of placing a mark on its piece: what is done, and what is drawn of it. */
export interface PlacedStage extends PlacingStage {
  /** The wall from the front; or a round piece from above, with the tape on it. */
  readonly view: 'wall' | 'above';
  readonly measure?: PlacingMeasure;
  readonly snips?: SnipsAbout;
  /** The film is parted along the gaps between slats. */
  readonly gaps?: true;
}

type Place = Extract<StepAbout, { kind: 'place' }>;

/** What the stages of a mark are made from: its step, and where it lies. */
export interface PlacingInput {
  readonly step: Pick<Place, 'method' | 'rough' | 'slats' | 'films' | 'snips'>;
  readonly piece: Pick<Piece, 'shape'>;
  readonly seenThrough: boolean;
  /** What is placed, mm on the wall; and the height of the wall. */
  readonly box: Box;
  readonly height: number;
}

/** Where a mark is set out from: the nearer of the two edges. */
export function placingMeasure({ box, height }: Pick<PlacingInput, 'box' | 'height'>): PlacingMeasure {
  const [below, above] = [box.minY, height - box.maxY];
  return above < below ? { from: 'upper', mm: above } : { from: 'lower', mm: below };
}

/**
 * How a mark is put down on this piece, stage by stage, with its measures: turned over where it goes on the back, set out from the edge that
 * is nearer, snipped on a belly, parted over gaps, layer after layer.
 *
 * @param say a length, as the maker's workshop writes it
 */
export function placingStages(input: PlacingInput, say: (mm: number) => string): PlacedStage[] {
  const { step, piece, seenThrough } = input;
  const { method, films, snips } = step;
  const flat = piece.shape.kind === 'flat';
  const measure = placingMeasure(input);
  const edge = flat ? (measure.from === 'upper' ? 'top edge' : 'bottom edge') : measure.from === 'upper' ? 'rim' : 'foot';
  const set =
    `Its ${measure.from} edge lies ${say(Math.max(0, measure.mm))} ${measure.from === 'upper' ? 'below' : 'above'} the ${edge}` +
    (flat || measure.from === 'upper' ? '.' : ': a block of that height under it is a stop.');
  const [dry, ...rest] = PLACINGS[method].stages;
  const round = !flat && method === 'centreOut';
  const stages: PlacedStage[] = rest.map((stage) => ({ ...stage, view: round ? 'above' : 'wall' }));
  const last = stages.at(-1)!;
  const extra = (text: string, more: Partial<PlacedStage> = {}): PlacedStage => ({ text, draws: { down: 'all' }, view: 'wall', ...more });
  return [
    ...(seenThrough
      ? [extra('Turn the piece over: this mark goes on its back, and is read through it.', { draws: { down: 'none' } })]
      : []),
    { ...dry!, text: `${dry!.text} ${set}`, view: 'wall', measure },
    ...stages.slice(0, -1),
    ...(snips
      ? [
          extra(`Let each flap between the ${counted(snips.count, 'snip')}, ${say(snips.length)} deep, follow the belly by itself.`, {
            draws: { down: 'centre', moves: 'out' },
            snips,
          }),
        ]
      : []),
    step.rough ? { ...last, text: `${last.text} Where film follows the tape, lay it back and rub again while you peel.` } : last,
    ...(step.slats ? [extra('Once it holds, part the film along each gap with a sharp blade, away from the hand.', { gaps: true })] : []),
    ...(films.length > 1
      ? [extra(`The same again for each film, in this order: ${listed(films.map(inSentence))}, each set out on the one before.`)]
      : []),
  ];
}
