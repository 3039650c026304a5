import { useRef, useState } from 'react';
import { ALIKE_USUAL, outlineOf, throughHomography, type Homography } from '@kolleta/core/blanks';
import { boxHeight, boxOfPoints, boxWidth, regionOf, type Point, type Ring } from '@kolleta/core/geometry';
import { setAt, type Photo } from '@kolleta/core/job';
import type { Result } from '@kolleta/core/units';
import { plainly } from '../../storage/plainly';
import type { StationProps } from '../../frame/station';
import { findOutline } from './photoPixels';
import { reshaping } from './reshaping';

/** Takes a piece's outline from its photo: found by the colour under a press, or pressed point by point; mm in the plane of the photo. */
export function useOutlineOnPhoto(photo: Photo, map: Result<Homography>, edit: StationProps['edit']) {
  const [byColour, setByColour] = useState(true);
  const [alike, setAlike] = useState(ALIKE_USUAL);
  const [pressed, setPressed] = useState<Point>();
  const [found, setFound] = useState<Ring>();
  const [points, setPoints] = useState<readonly Point[]>([]);
  const [problem, setProblem] = useState<string>();
  const [looking, setLooking] = useState(false);
  const runs = useRef(0);
  const say = (p: { found: string; wayOut: string }) => setProblem(`${p.found} ${p.wayOut}`);
  const clear = () => {
    runs.current += 1;
    setFound(undefined);
    setPoints([]);
    setProblem(undefined);
    setLooking(false);
  };
  /** @param at pixels of the photo as it was taken */
  const find = async (at: Point, unlike: number) => {
    if (!map.ok) return;
    clear();
    const run = runs.current;
    setPressed(at);
    setLooking(true);
    try {
      const ring = await findOutline(photo, at, unlike);
      if (run !== runs.current) return;
      if (ring.ok) setFound(ring.value.map((p) => throughHomography(map.value, p)));
      else say(ring.problem);
    } catch (error) {
      if (run === runs.current) setProblem(plainly(error));
    }
    if (run === runs.current) setLooking(false);
  };
  const take = (ring: readonly Point[]) => {
    const outline = outlineOf(regionOf([ring]), 'the outline on the photo');
    if (!outline.ok) {
      clear();
      say(outline.problem);
      return;
    }
    const { width, height } = outline.value;
    const box = boxOfPoints(ring);
    edit(
      (saved) => [
        ...reshaping(() => ({ kind: 'flat', width, height, outline: outline.value.outline }))(saved),
        ...(saved.photo ? setAt(['photo', 'face'], { x: box.minX, y: box.minY, width, height }) : []),
      ],
      'Take the outline from the photo',
    );
    clear();
  };
  return {
    byColour,
    alike,
    found,
    points,
    problem,
    looking,
    size: found && { width: boxWidth(boxOfPoints(found)), height: boxHeight(boxOfPoints(found)) },
    clear,
    find: (at: Point) => void find(at, alike),
    add: (at: Point) => setPoints([...points, at]),
    take,
    choose: (colour: boolean) => {
      clear();
      setByColour(colour);
    },
    setAlike: (n: number) => {
      setAlike(n);
      if (pressed) void find(pressed, n);
    },
  };
}
