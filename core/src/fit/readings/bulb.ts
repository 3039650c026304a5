import { bulbExcess, bulbReach, bulbSnips, type Bulb } from '../../blanks';
import { BULB, GRIP_LIMITS, TECHNIQUES } from '../../facts';
import { aboutMark, type Remedy } from '../../job';
import { formatLength } from '../../units';
import { addedAround, reshapes } from '../../artwork';
import { boxAround, boxHeight, boxOf, boxWidth, largestInscribed } from '../../geometry';
import { keptFilm } from '../inspectMark';
import { makeAs } from '../makeAs';
import { hullShapes } from '../shapeMark';
import { type FitContext, type FitReading } from './context';
import { madeWide } from './madeWide';
import { staysWhole } from './smaller';

const percent = (share: number) => `${(share * 100).toFixed(1)} %`;

/** The mark made so many times as large: so small that it follows the belly. */
function smaller(context: FitContext, share: number): Remedy[] {
  const { mark, fitted, shop } = context;
  if (!(share > 0) || share >= 1) return [];
  const width = Math.floor(fitted.width * share * 0.995 * 10) / 10;
  if (width <= 5 || !staysWhole(context, width)) return [];
  const label = `Make it ${formatLength(width, shop.lengths)} wide`;
  return [{ label, patch: madeWide(mark, fitted.width, width) }];
}

/** How much smaller a mark has to be so that its corners lie within a radius, mm; frames and backings keep their widths, which is tried out. */
function shareWithin({ mark, drawn, fitted }: FitContext, reach: number): number {
  const own = Math.hypot(fitted.width, fitted.height) / 2;
  if (!reshapes(mark.edits) && addedAround(mark.edits) === 0) return reach / own;
  const shapeAt = hullShapes(drawn, mark);
  const halfAt = (scale: number) => {
    const box = boxAround(
      shapeAt(scale)
        .filter((l) => l.region.length > 0)
        .map((l) => boxOf(l.region)),
    );
    return { half: Math.hypot(boxWidth(box), boxHeight(box)) / 2, width: boxWidth(box) };
  };
  let [low, high] = [0, fitted.scale];
  for (let i = 0; i < 14; i++) {
    const scale = (low + high) / 2;
    if (halfAt(scale).half <= reach) low = scale;
    else high = scale;
  }
  return low > 0 ? halfAt(low).width / fitted.width : 0;
}

/** The radius of the largest circle within the film of one connected part, mm: what thin strokes and rings do not have, bends. */
const stoutest = ({ shaped, mark }: FitContext): number =>
  shaped.reduce(
    (most, { region }) =>
      Math.max(most, largestInscribed(TECHNIQUES[mark.technique].kept === 'shapes' ? region : keptFilm(region, mark))?.radius ?? 0),
    0,
  );

/** A stencil, whose film only has to lie tight while it is painted. */
const asStencil = ({ mark, shop, behind }: FitContext): Remedy[] => {
  const patch = makeAs('stencil', mark, shop, behind.colour);
  return patch ? [{ label: `Make it a ${TECHNIQUES.stencil.name}`, patch }] : [];
};

const bellyOf = ({ piece, drawn }: FitContext): Bulb | undefined =>
  piece.shape.kind === 'bulb' && drawn.layers.length > 0 ? piece.shape : undefined;

/** On a belly: whether flat film can follow it. A stencil only has to lie tight at its openings, and may wrinkle as much as the softest film. */
export const bulbReading: FitReading = (context) => {
  const { mark } = context;
  const bulb = bellyOf(context);
  if (!bulb) return undefined;
  const radius = stoutest(context);
  const excess = bulbExcess(bulb, radius);
  const { follows, filmStays, words } = TECHNIQUES[mark.technique];
  const limit = BULB[follows];
  const base = {
    id: `bulb:${mark.id}` as const,
    station: 'fit' as const,
    title: 'On the belly',
    ...aboutMark(context.mark, context.several),
    value: `${percent(excess)} at its stoutest part`,
    limit: `${percent(limit)}, the film's`,
  };
  if (excess <= limit)
    return { ...base, verdict: 'fine', why: 'No part of it is too stout for the curve: press each down from its middle.', remedies: [] };
  return {
    ...base,
    verdict: filmStays ? 'stop' : 'watch',
    why: words.folds,
    remedies: [
      ...smaller(context, bulbReach(bulb, limit) / radius),
      ...(follows === 'cast' || excess > BULB.cast ? [] : asStencil(context)),
    ],
    advice: 'Or part it into several smaller marks, each with a middle of its own.',
  };
};

/** On a belly: whether the tape follows, or where it has to be snipped. */
export const snipsReading: FitReading = (context) => {
  const { fitted, mark, shop } = context;
  const bulb = bellyOf(context);
  if (!bulb) return undefined;
  const say = (mm: number) => formatLength(mm, shop.lengths);
  const r = Math.hypot(fitted.width, fitted.height) / 2 + GRIP_LIMITS.margin;
  const base = {
    id: `snips:${mark.id}` as const,
    station: 'fit' as const,
    title: 'Tape on the belly',
    ...aboutMark(context.mark, context.several),
    limit: `${percent(BULB.paperTape)}, paper tape's`,
  };
  const snips = bulbSnips(bulb, r);
  if (!snips) return { ...base, verdict: 'fine', value: 'no snips', why: 'The tape follows by itself.', remedies: [] };
  return {
    ...base,
    verdict: 'watch',
    value: `${snips.count} snips, ${say(snips.length)} long`,
    why: `Snip the tape, never the film, from its edge toward the middle, between letters; each snip ends ${say(snips.from)} from the middle. Beyond that the tape would wrinkle.`,
    remedies: smaller(context, shareWithin(context, bulbReach(bulb, BULB.paperTape) - GRIP_LIMITS.margin)),
  };
};
