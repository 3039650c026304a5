import { useState } from 'react';
import { outlineOf, throughHomography, type Homography } from '@kolleta/core/blanks';
import { boxHeight, boxOfPoints, boxWidth, regionOf, type Point } from '@kolleta/core/geometry';
import { setAt, type Photo } from '@kolleta/core/job';
import type { Result } from '@kolleta/core/units';
import type { StationProps } from '../../frame/station';
import { reshaping } from './reshaping';
import { useEdgeUnder } from './useEdgeUnder';

/** Takes a piece's outline from its photo: found by the colour under a press, or pressed point by point; mm in the plane of the photo. */
export function useOutlineOnPhoto(photo: Photo, map: Result<Homography>, edit: StationProps['edit']) {
  const [byColour, setByColour] = useState(true);
  const [points, setPoints] = useState<readonly Point[]>([]);
  const edge = useEdgeUnder(photo);
  const found = edge.found && map.ok ? edge.found.map((p) => throughHomography(map.value, p)) : undefined;
  const clear = () => {
    edge.clear();
    setPoints([]);
  };
  const take = (ring: readonly Point[]) => {
    const outline = outlineOf(regionOf([ring]), 'the outline on the photo');
    if (!outline.ok) {
      clear();
      edge.say(outline.problem);
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
    alike: edge.alike,
    found,
    points,
    problem: edge.problem,
    looking: edge.looking,
    size: found && { width: boxWidth(boxOfPoints(found)), height: boxHeight(boxOfPoints(found)) },
    clear,
    find: (at: Point) => {
      if (!map.ok) return;
      setPoints([]);
      edge.find(at);
    },
    add: (at: Point) => setPoints([...points, at]),
    take,
    choose: (colour: boolean) => {
      clear();
      setByColour(colour);
    },
    setAlike: edge.setAlike,
  };
}
