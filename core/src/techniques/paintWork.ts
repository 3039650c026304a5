import { COATS, HANDS_ON, PAINT, PAINT_TOOLS, WAITS, type PaintToolId } from '../facts';
import { isMarkPaint } from '../fit';
import { setAt, type Painted, type Reading, type StepId } from '../job';
import { dryingTimes, minutesFor, paintNeeded, pullWindow, type DryingTimes, type Lag, type RecipeDraft } from '../finish';
import type { JobMark, LaidMark, TechniqueShop } from './technique';

type PaintedMark = LaidMark & { readonly making: LaidMark['making'] & Painted };

/** The tool that paint is put on with: the maker's, else the usual one for so much area, m². */
export const toolFor = (making: Painted, squareMetres: number): PaintToolId =>
  making.tool ?? (Object.keys(PAINT_TOOLS) as PaintToolId[]).find((id) => squareMetres <= (PAINT_TOOLS[id].upTo ?? -1)) ?? 'roller';

/** What the coats of a stencil, or around a mask, leave to wait for. */
export interface PaintedOn {
  readonly last: StepId;
  readonly times: DryingTimes;
  readonly window: { readonly least: number; readonly most?: number };
  readonly coat: NonNullable<Lag['coat']>;
  readonly dries: NonNullable<Lag['dries']>;
}

/** mm² of a face that is painted all over, edges too. */
export const coveredArea = ({ face }: Pick<RecipeDraft, 'face'>, marked: number): number => Math.max(0, face * 1e6 * PAINT.edges - marked);

/** Seals the edges of the laid film, and puts on its coats. */
export function paintOn(draft: RecipeDraft, laid: PaintedMark, place: StepId, around: boolean): PaintedOn {
  const { input, id, add, pieces } = draft;
  const { job, climate, paints } = input;
  const { mark, making, area } = laid;
  const { count } = job;
  const open = around ? coveredArea(draft, area) : area;
  const tool = toolFor(making, open / 1e6);
  const paint = paints.find((p) => p.id === making.paint);
  const coat = paint?.coat ?? 'acrylic';
  const times = dryingTimes(coat, climate);
  const hands = minutesFor(around ? HANDS_ON.cover : HANDS_ON.dab, count, open / 1e6);
  const millilitres = Math.ceil(paintNeeded(open, making.coats, count, around ? PAINT.spreadBrushed : PAINT.spreadDabbed));
  let previous: Lag = { step: place, least: 0, most: WAITS.edgeAfterStencil, why: 'stencilLaid' };
  if (making.edge !== 'none') {
    const ground = making.edge === 'ground';
    const under = paints.find(
      (one) => one.coat === job.piece.coat && (job.piece.coatPaint === undefined || one.id === job.piece.coatPaint),
    );
    const seals = ground ? (under?.coat ?? 'acrylic') : 'sealer';
    add({
      id: id(`edge:${mark.id}`),
      about: { kind: 'edge', mark: mark.name, seal: making.edge, ...(ground && under ? { paint: under.name } : {}) },
      hands: minutesFor(HANDS_ON.dab, count, area / 1e6),
      after: [previous],
      cautions: ['paint'],
    });
    previous = {
      step: id(`edge:${mark.id}`),
      least: dryingTimes(seals, climate).touchDry,
      most: WAITS.paintAfterEdge,
      why: 'edgeSealer',
      dries: COATS[seals].base,
    };
  }
  for (let n = 1; n <= making.coats; n++) {
    const own = id(`paint:${mark.id}:${n}`);
    const about = { mark: mark.name, nth: [n, making.coats] as const, tool, millilitres, ...(paint ? { paint: paint.name } : {}) };
    add({
      id: own,
      about: around ? { kind: 'cover', pieces, ...about } : { kind: 'dab', ...about },
      hands,
      ...(paint ? { setup: { key: `paint ${paint.id} ${tool}`, minutes: (around ? HANDS_ON.cover : HANDS_ON.dab).start } } : {}),
      after: [previous],
      cautions: tool === 'spray' || COATS[coat].base === 'solvent' ? ['vapour', 'paint'] : ['paint'],
    });
    previous = { step: own, least: times.recoat, most: WAITS.nextCoat + times.recoat, why: 'recoat', coat, dries: COATS[coat].base };
  }
  return { last: previous.step, times, window: pullWindow(making.pullAt, times), coat, dries: COATS[coat].base };
}

/** Whether there is paint, and enough of it. */
export function paintReading(
  { mark, making, count }: JobMark & { readonly making: Painted },
  area: number,
  spread: number,
  { paints }: TechniqueShop,
): Reading {
  const paint = paints.find((p) => p.id === making.paint);
  const needs = paintNeeded(area, making.coats, count, spread);
  const base = {
    id: `paint:${mark.id}` as const,
    station: 'paint' as const,
    title: `Paint for ${mark.name}`,
    mark: mark.id,
    limit: `${Math.ceil(needs)} ml for ${making.coats === 1 ? 'one coat' : `${making.coats} coats`}`,
  };
  const remedies = paints
    .filter((p) => p.id !== making.paint && p.volume >= needs && isMarkPaint(p))
    .slice(0, 2)
    .map((p) => ({ label: `${p.name} — ${Math.floor(p.volume)} ml left`, patch: setAt(['marks', mark.id, 'paint'], p.id) }));
  if (!paint)
    return {
      ...base,
      verdict: 'stop',
      value: 'none chosen',
      why: 'Nothing can be painted without a paint.',
      remedies,
      ...(remedies.length === 0 ? { advice: 'Put a paint into Stock, then choose it here.' } : {}),
    };
  const value = `${Math.floor(paint.volume)} ml left`;
  if (paint.volume < needs)
    return { ...base, verdict: 'watch', value, why: `${paint.name} runs short.`, remedies, advice: `Buy ${paint.name}.` };
  return { ...base, verdict: 'fine', value, why: `${COATS[paint.coat].name} is there.`, remedies: [] };
}
