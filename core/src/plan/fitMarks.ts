import type { Faces, Layer } from '../artwork';
import { filmSurface } from '../blanks';
import { LIMITS, TECHNIQUES } from '../facts';
import { boxesMeet, boxOf, boxRegion, intersection, regionArea, type Box, type Region } from '../geometry';
import { filmColours, type Job, type Shop } from '../job';
import { ofMark } from './heavy';
import type { Memo } from './memo';
import { fitOne, type FittingWork, type LiesOn } from './planMark';

/** Whether a region covers most of a box. */
const coversStage = ({ box, region }: { box: Box; region: Region }): boolean =>
  regionArea(intersection(boxRegion(box), region)) > LIMITS.onFilm * regionArea(boxRegion(box));

/** How much of a mark lies on a region, as a share of its own area. */
const shareOnStage = ({ layers, region }: { layers: readonly Layer[]; region: Region }): number => {
  const own = layers.reduce((sum, layer) => sum + regionArea(layer.region), 0);
  return own > 0 ? layers.reduce((sum, layer) => sum + regionArea(intersection(layer.region, region)), 0) / own : 0;
};

/** Whether layers lie mostly within others. */
const coveredStage = ({ layers, regions }: { layers: readonly Layer[]; regions: readonly Layer[] }): boolean =>
  regions.reduce((sum, { region }) => sum + shareOnStage({ layers, region }), 0) > LIMITS.onFilm;

/** Every other mark on the same side of the piece that a mark lies on, or that lies on it when it goes on the back. */
function liesOn(work: FittingWork, below: readonly FittingWork[], shop: Shop, memo: Memo): LiesOn[] {
  const { fitted, mark } = work.plan;
  return below.flatMap(({ plan: other }) => {
    const { painted, stays } = TECHNIQUES[other.mark.technique];
    return [other.fitted.layers, ...other.copies.map((copy) => copy.layers)].flat().flatMap((layer): LiesOn[] => {
      if (layer.region.length === 0 || !boxesMeet(boxOf(layer.region), fitted.box)) return [];
      const made = painted
        ? shop.paints.find((paint) => paint.id === other.mark.paint)
        : stays === 'film'
          ? shop.films.find((film) => film.id === layer.film)
          : undefined;
      // on the back the later one is a ground for what went down before
      const backs = mark.seenThrough && memo.stage('covered', { layers: [layer], regions: fitted.layers }, coveredStage);
      const share = made && !backs ? memo.stage('share on', { layers: fitted.layers, region: layer.region }, shareOnStage) : 0;
      return made && share > LIMITS.onMark ? [{ mark: other.mark, colour: made.colour, name: made.name, share }] : [];
    });
  });
}

/** Marks seen in front of others are judged against those, or, where they lie on them in part, against those too. */
function seenAgainst(works: readonly FittingWork[], shop: Shop, memo: Memo): FittingWork[] {
  return works.map((work, i) => {
    const { mark, fitted } = work.plan;
    if (fitted.layers.length === 0) return work;
    const cover = works.filter(
      (other, j) => j !== i && TECHNIQUES[other.plan.mark.technique].stays === 'film' && (mark.seenThrough ? j > i : j < i),
    );
    for (const other of mark.seenThrough ? cover : cover.toReversed()) {
      for (const layer of other.plan.fitted.layers) {
        const film = shop.films.find((f) => f.id === layer.film);
        if (film && memo.stage('covers', { box: fitted.box, region: layer.region }, coversStage)) {
          const behind = { colour: film.colour, colours: filmColours(film), name: film.name };
          // what is seen through the piece went down before what it is seen against
          const surface = mark.seenThrough ? work.plan.surface : filmSurface(work.plan.surface, film);
          return { ...work, plan: { ...work.plan, behind, surface } };
        }
      }
    }
    // on the same side of the piece one lies on another; what is partly on it has two grounds
    const same = works.filter((other, j) => j < i && other.plan.mark.seenThrough === mark.seenThrough);
    const on = liesOn(work, same, shop, memo);
    if (on.length === 0) return work;
    const { behind } = work.plan;
    const all = on.reduce((sum, { share }) => sum + share, 0) > 1 - LIMITS.onFilm / 10 ? [] : behind.colours;
    const names = [...new Set([...(all.length > 0 ? [behind.name] : []), ...on.map(({ name }) => name)])];
    const colours = [...new Set([...all, ...on.map(({ colour }) => colour)])];
    return { ...work, plan: { ...work.plan, liesOn: on, behind: { colour: colours[0]!, colours, name: names.join(' and ') } } };
  });
}

/** The marks of a job through draw and fit. */
export function fitMarks(job: Job, shop: Shop, faces: Faces, memo: Memo, quick: boolean): FittingWork[] {
  const works = job.marks.flatMap((mark) => {
    const zone = job.zones.find((z) => z.id === mark.zone) ?? job.zones[0];
    return zone ? [ofMark(mark, () => fitOne(job, mark, zone, shop, faces, memo, quick))] : [];
  });
  return seenAgainst(works, shop, memo);
}
