import { memo } from 'react';
import { LABEL, TECHNIQUES } from '@kolleta/core/facts';
import { plateOutline } from '@kolleta/core/cut';
import type { Region } from '@kolleta/core/geometry';
import type { MarkPlan } from '@kolleta/core/plan';
import type { Shop } from '@kolleta/core/job';
import { regionPath } from './regionPath';
import { InMm } from './Scaled';

/** Glass that is etched. */
const ETCHED = '#f4f8f8';

/** The colour in which a layer of a mark is seen: its film, the paint of a stencil, the ground that a mask kept, or the haze of etched glass. */
export function layerColour(plan: MarkPlan, film: string, shop: Shop): string {
  const { painted, stays, penned } = TECHNIQUES[plan.mark.technique];
  if (penned && !film.endsWith(PLATE)) return LABEL.ink;
  if (stays === 'ground') return plan.surface.colour;
  if (stays === 'etching') return ETCHED;
  if (painted) return shop.paints.find((p) => p.id === plan.mark.paint)?.colour ?? '#888888';
  return shop.films.find((f) => f.id === film.replace(PLATE, ''))?.colour ?? '#888888';
}

/** What the plate of a written label is called among the layers. */
const PLATE = '~plate';

type Layers = readonly { film: string; region: Region }[];

/** The layers of a mark as they are seen: a written label with its plate under the words. */
export const seenLayers = ({ mark }: MarkPlan, layers: Layers): Layers =>
  TECHNIQUES[mark.technique].penned
    ? layers.flatMap((layer) =>
        layer.region.length > 0 ? [{ film: `${layer.film}${PLATE}`, region: plateOutline(layer.region) }, layer] : [],
      )
    : layers;

/** Whether a layer is what a pen writes: seen as a line as wide as the pen, not as a filled shape. */
const isInk = ({ mark }: MarkPlan, film: string): boolean => TECHNIQUES[mark.technique].penned === true && !film.endsWith(PLATE);

/** How a layer is filled, and lined where it is ink. */
export const seenAs = (plan: MarkPlan, film: string, shop: Shop) =>
  isInk(plan, film)
    ? ({ fill: 'none', stroke: LABEL.ink, strokeWidth: LABEL.pen, strokeLinecap: 'round', strokeLinejoin: 'round' } as const)
    : ({ fill: layerColour(plan, film, shop), fillRule: 'evenodd' } as const);

interface Props {
  plan: MarkPlan;
  shop: Shop;
  /** Shift while it is dragged, mm. */
  shift?: readonly [number, number];
  outline?: boolean;
  /** Only the mark itself, without its copies. */
  single?: boolean;
}

/** A mark as it is seen, in its films' colours, on the wall. */
export const MarkShapes = memo(function MarkShapes({ plan, shop, shift = [0, 0], outline = false, single = false }: Props) {
  return (
    <InMm at={shift}>
      {[plan.flat, ...(single ? [] : plan.copies.map((copy) => copy.flat))].flatMap((flat, c) =>
        seenLayers(plan, flat).map((layer) => (
          <path
            key={`${c}${layer.film}`}
            d={regionPath(layer.region)}
            stroke={outline ? 'var(--color-primary)' : 'color-mix(in oklab, var(--color-base-content) 45%, transparent)'}
            strokeWidth={outline ? 1.4 : 0.5}
            vectorEffect={isInk(plan, layer.film) ? undefined : 'non-scaling-stroke'}
            {...seenAs(plan, layer.film, shop)}
          />
        )),
      )}
    </InMm>
  );
});
