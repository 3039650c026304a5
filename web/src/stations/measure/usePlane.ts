import { useQuery } from '@tanstack/react-query';
import { inverseHomography, throughHomography, type Homography } from '@kolleta/core/blanks';
import type { Point } from '@kolleta/core/geometry';
import type { Photo } from '@kolleta/core/job';
import type { Result } from '@kolleta/core/units';
import { straightPhoto } from './photoPixels';

/** What is looked at, and how its pixels lie in the plane that is measured. */
export interface Plane {
  readonly view: Pick<Photo, 'name' | 'data' | 'width' | 'height'>;
  /** mm, y up, from pixels of the view; and back. */
  readonly mm: (at: Point) => Point;
  readonly px: (mm: Point) => Point;
  /** Pixels of the photo as it was taken, from mm. */
  readonly taken: (mm: Point) => Point;
  readonly straight: boolean;
  readonly working: boolean;
}

const same = (p: Point): Point => p;

/** A photo as it was taken, or redrawn from straight above. */
export function usePlane(photo: Photo, map: Result<Homography>, wanted: boolean): Plane {
  const on = wanted && map.ok && photo.known.kind === 'sheet';
  const { data: straight, isFetching } = useQuery({
    queryKey: ['straight photo', photo.data.length, photo.name, photo.known],
    queryFn: () => straightPhoto(photo, map.ok ? map.value : ([] as never)),
    enabled: on,
    staleTime: Infinity,
    gcTime: 30_000,
    retry: false,
  });
  const back = map.ok ? inverseHomography(map.value) : undefined;
  const taken = back ? (p: Point) => throughHomography(back, p) : same;
  if (!on || !straight)
    return {
      view: photo,
      mm: map.ok ? (p) => throughHomography(map.value, p) : same,
      px: taken,
      taken,
      straight: false,
      working: on && isFetching,
    };
  const { frame, data } = straight;
  return {
    view: { name: photo.name, data, width: frame.width, height: frame.height },
    mm: ([x, y]) => [frame.box.minX + x / frame.perMm, frame.box.maxY - y / frame.perMm],
    px: ([x, y]) => [(x - frame.box.minX) * frame.perMm, (frame.box.maxY - y) * frame.perMm],
    taken,
    straight: true,
    working: false,
  };
}
