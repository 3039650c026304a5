import { pointInRing, type Part, type Region } from '../geometry';

/** No mark is laid out in more parts than this: nobody would place them one by one. */
const MOST_APART = 60;

/** The connected parts of a region, each with what lies within its counters. */
export function connectedStage({ region }: { region: Region }): readonly Region[] {
  const within = (part: Part, other: Part) => other.holes.some((hole) => pointInRing(part.outer[0]!, hole));
  const outer = region.filter((part) => !region.some((other) => other !== part && within(part, other)));
  return outer.length > MOST_APART ? [region] : outer.map((part) => region.filter((p) => p === part || within(p, part)));
}
