import { jigFor, type Jig } from '../fit';
import type { Id, Job, Zone } from '../job';
import type { JobPlan } from './planWorkshop';

/**
 * The paper jig of a zone with the marks that go there.
 *
 * @param row where words differ from piece to piece, whose jig it is: its words, and its zone where the piece is unlike the others; without
 *   it the tightest
 * @param say a length for a person
 */
export function jigOfZone(job: Job, plan: JobPlan, zone: Zone, row: Id | undefined, say: (mm: number) => string): Jig {
  const inZone = plan.marks.filter((m) => m.zone.id === zone.id);
  const chosen = inZone.map((m) => m.variants.find((v) => v.row === row));
  const marks = inZone.flatMap((m, i) => {
    const { fitted, flat, copies } = chosen[i] ?? m;
    if (flat.length === 0) return [];
    return [
      {
        name: chosen[i]?.words ?? m.mark.name,
        flat: [...flat, ...copies.flatMap((copy) => [...copy.flat])],
        foot: fitted.box.minY,
        at: fitted.at[1],
        ...(chosen[i] ? {} : { places: m.places }),
      },
    ];
  });
  return jigFor(job.piece, chosen.find((variant) => variant)?.zone ?? zone, marks, say);
}
