import { memo } from 'react';
import { TECHNIQUES } from '@kolleta/core/facts';
import type { MarkPlan } from '@kolleta/core/plan';
import type { Shop } from '@kolleta/core/job';
import { regionPath } from './regionPath';
import { InMm } from './Scaled';

/** The colour in which a layer of a mark is seen: its film, or the paint of a stencil. */
export function layerColour(plan: MarkPlan, film: string, shop: Shop): string {
  if (TECHNIQUES[plan.mark.technique].painted) return shop.paints.find((p) => p.id === plan.mark.paint)?.colour ?? '#888888';
  return shop.films.find((f) => f.id === film)?.colour ?? '#888888';
}

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
        flat.map((layer) => (
          <path
            key={`${c}${layer.film}`}
            d={regionPath(layer.region)}
            fill={layerColour(plan, layer.film, shop)}
            fillRule="evenodd"
            stroke={outline ? 'var(--color-primary)' : 'color-mix(in oklab, var(--color-base-content) 45%, transparent)'}
            strokeWidth={outline ? 1.4 : 0.5}
            vectorEffect="non-scaling-stroke"
          />
        )),
      )}
    </InMm>
  );
});
