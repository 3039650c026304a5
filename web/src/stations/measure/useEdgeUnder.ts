import { useRef, useState } from 'react';
import { ALIKE_USUAL } from '@kolleta/core/blanks';
import type { Point, Ring } from '@kolleta/core/geometry';
import type { Photo } from '@kolleta/core/job';
import { plainly } from '../../storage/plainly';
import { findOutline } from './photoPixels';

/** The edge of what lies under a press on a photo, by its colour; pixels of the photo as it was taken. The last press counts. */
export function useEdgeUnder(photo: Photo | undefined) {
  const [alike, setAlike] = useState(ALIKE_USUAL);
  const [pressed, setPressed] = useState<Point>();
  const [found, setFound] = useState<Ring>();
  const [problem, setProblem] = useState<string>();
  const [looking, setLooking] = useState(false);
  const runs = useRef(0);
  const say = (p: { found: string; wayOut: string }) => setProblem(`${p.found} ${p.wayOut}`);
  const clear = () => {
    runs.current += 1;
    setFound(undefined);
    setProblem(undefined);
    setLooking(false);
  };
  const find = async (at: Point, unlike: number = alike) => {
    if (!photo) return;
    clear();
    const run = runs.current;
    setPressed(at);
    setLooking(true);
    try {
      const ring = await findOutline(photo, at, unlike);
      if (run !== runs.current) return;
      if (ring.ok) setFound(ring.value);
      else say(ring.problem);
    } catch (error) {
      if (run === runs.current) setProblem(plainly(error));
    }
    if (run === runs.current) setLooking(false);
  };
  return {
    ...{ alike, found, problem, looking, clear, say, setProblem },
    find: (at: Point) => void find(at),
    /** How unlike colours may be that are taken for one; looks again where was pressed. */
    setAlike: (unlike: number) => {
      setAlike(unlike);
      if (pressed) void find(pressed, unlike);
    },
  };
}
