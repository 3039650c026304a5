import { formatLength } from '../../units';
import { LIMITS, TECHNIQUES } from '../../facts';
import { wallOf } from '../../blanks';
import { aboutMark, setAt, type Remedy, type PatchOp } from '../../job';
import { type FitReading } from './context';
import { makeAs } from '../makeAs';
import { staysWhole } from './smaller';

/** Whether film keeps clear of lips and of food. */
export const foodReading: FitReading = (context) => {
  const { piece, mark, zone, fitted, shop } = context;
  const say = (mm: number) => formatLength(mm, shop.lengths);
  const base = {
    id: `food:${mark.id}` as const,
    station: 'fit' as const,
    title: 'Food and lip',
    ...aboutMark(context.mark, context.several),
  };
  if (TECHNIQUES[mark.technique].food)
    return {
      ...base,
      verdict: 'fine',
      value: 'bare glass',
      limit: 'off food and lips',
      why: 'Nothing stays on the glass: it may be eaten and drunk from once it is washed.',
      remedies: [],
    };
  // all around a mask is painted: up to the rim, and over the face
  if (TECHNIQUES[mark.technique].stays === 'ground' && (piece.use.drink || piece.use.food)) {
    const inside = makeAs('stencil', mark, shop, context.behind.colour);
    return {
      ...base,
      verdict: 'stop',
      value: piece.use.food ? 'paint on food' : 'paint up to the rim',
      limit: 'never',
      why: 'All around the mask would be painted, where lips or food touch it.',
      remedies: [
        ...(inside && !piece.use.food ? [{ label: 'Paint the letters through a stencil instead', patch: inside }] : []),
        ...(piece.use.food ? [{ label: 'It is for display only', patch: setAt(['piece', 'use', 'food'], false) }] : []),
      ],
      advice: 'Make it another way, or keep this for a piece that nobody eats or drinks from.',
    };
  }
  if (piece.use.food && !mark.seenThrough) {
    const remedies: Remedy[] = context.surface.clear
      ? [{ label: 'Put it on the back', patch: setAt(['marks', mark.id, 'seenThrough'], true) }]
      : [];
    remedies.push({ label: 'It is for display only', patch: setAt(['piece', 'use', 'food'], false) });
    return {
      ...base,
      verdict: 'stop',
      value: 'on food',
      limit: 'never',
      why: 'Film, paint and sealer do not belong where food lies or a knife cuts, whatever is put over them.',
      remedies,
    };
  }
  if (!piece.use.drink)
    return {
      ...base,
      verdict: 'fine',
      value: 'clear',
      limit: 'off food and lips',
      why: piece.use.food ? 'On the back, away from the food.' : 'Nobody eats from it or drinks at its rim.',
      remedies: [],
    };
  const below = wallOf(piece.shape).height - fitted.box.maxY;
  const value = below < 0 ? `${say(-below)} over the rim` : `${say(below)} below the rim`;
  if (below >= LIMITS.lipBand - 0.01)
    return {
      ...base,
      verdict: 'fine',
      value,
      limit: say(LIMITS.lipBand),
      why: 'Lips stay clear of the film.',
      remedies: [],
    };
  const patch: PatchOp[] = [
    { op: 'set', path: ['zones', zone.id, 'lipBand'], value: Math.max(LIMITS.lipBand, zone.lipBand) },
    { op: 'set', path: ['marks', mark.id, 'offset'], value: { x: 0, y: 0 } },
  ];
  const left = Math.min(wallOf(piece.shape).height - LIMITS.lipBand, zone.y + zone.height) - Math.max(0, zone.y) - 2 * zone.breathing;
  if (fitted.height > left) patch.push({ op: 'set', path: ['marks', mark.id, 'size'], value: { mode: 'largest' } });
  const offered = left > 2 && staysWhole(context, fitted.width * Math.min(1, left / fitted.height));
  return {
    ...base,
    verdict: 'stop',
    value,
    limit: say(LIMITS.lipBand),
    why: 'Lips would touch the film.',
    remedies: offered ? [{ label: `Keep ${say(LIMITS.lipBand)} below the rim clear`, patch }] : [],
    advice: offered ? undefined : 'The zone is too low for this mark under the rim: choose another place, or say less.',
  };
};
