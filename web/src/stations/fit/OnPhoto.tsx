import { useMemo } from 'react';
import { diameterAt, inverseHomography, photoMap, standsHigh, throughHomography, uprightAt, wallOf } from '@kolleta/core/blanks';
import { boxHeight, boxOfPoints, boxWidth, growBox, ringsOf, type Box, type Point } from '@kolleta/core/geometry';
import type { Job, Photo, Shop } from '@kolleta/core/job';
import type { MarkPlan } from '@kolleta/core/plan';
import { inViewOrder } from '../../drawing/FrontView';
import { layerColour } from '../../drawing/MarkShapes';

/** Where a place of the wall is seen on the face of a photo, as shares of the face. */
function seenAt(job: Job, [x, along]: Point, at: number): Point {
  const { shape } = job.piece;
  if (shape.kind === 'flat') return [x / shape.width + 0.5, along / shape.height];
  const widest = Math.max(...[0, 0.5, 1].map((share) => diameterAt(shape, share * shape.height)));
  const own = diameterAt(shape, shape.kind === 'bulb' ? shape.height / 2 : at) / 2;
  const angle = Math.max(-Math.PI / 2, Math.min(Math.PI / 2, x / own));
  return [((diameterAt(shape, along) / 2) * Math.sin(angle)) / widest + 0.5, uprightAt(shape, along) / standsHigh(shape)];
}

/** So much of the piece's size is shown around it. */
const AROUND = 0.3;
const within = (box: Box, { width, height }: Photo): Box => ({
  minX: Math.max(0, Math.min(box.minX, width - 1)),
  minY: Math.max(0, Math.min(box.minY, height - 1)),
  maxX: Math.min(width, Math.max(box.maxX, 1)),
  maxY: Math.min(height, Math.max(box.maxY, 1)),
});

/** The marks on the photo of the piece, in their colours; nothing until the photo says where the piece is. */
export function OnPhoto({ job, photo, marks, shop }: { job: Job; photo: Photo; marks: readonly MarkPlan[]; shop: Shop }) {
  const shapes = useMemo(() => {
    const map = photoMap(photo);
    const { face } = photo;
    if (!map.ok || !face) return undefined;
    const back = inverseHomography(map.value);
    const corners = (
      [
        [0, 0],
        [1, 0],
        [1, 1],
        [0, 1],
      ] as const
    ).map(([u, v]) => throughHomography(back, [face.x + u * face.width, face.y + v * face.height]));
    const near = boxOfPoints(corners);
    const by = AROUND * Math.max(boxWidth(near), boxHeight(near));
    const box = within(growBox(near, by), photo);
    const layers = inViewOrder(marks).flatMap((plan) =>
      [plan.fitted.layers, ...plan.copies.map((copy) => copy.layers)].flatMap((layers, c) =>
        layers.map((layer) => ({
          key: `${plan.mark.id} ${c} ${layer.film}`,
          colour: layerColour(plan, layer.film, shop),
          d: ringsOf(layer.region)
            .map(
              (ring) =>
                `M${ring
                  .map((p) => {
                    const [u, v] = seenAt(job, p, plan.fitted.at[1]);
                    return throughHomography(back, [face.x + u * face.width, face.y + v * face.height])
                      .map((n) => n.toFixed(1))
                      .join(' ');
                  })
                  .join('L')}Z`,
            )
            .join(''),
        })),
      ),
    );
    return { layers, box };
  }, [job, photo, marks, shop]);
  if (!shapes)
    return <p className="quiet text-[0.8rem]">Say on the photo in Measure where the piece is, and its marks are shown on it here.</p>;
  return (
    <svg
      viewBox={`${shapes.box.minX} ${shapes.box.minY} ${boxWidth(shapes.box)} ${boxHeight(shapes.box)}`}
      className="w-full rounded"
      role="img"
      aria-label={`The marks on ${photo.name}; the wall is ${Math.round(wallOf(job.piece.shape).width)} mm wide`}
    >
      <image href={photo.data} width={photo.width} height={photo.height} />
      {shapes.layers.map(({ key, d, colour }) => (
        <path key={key} d={d} fill={colour} fillRule="evenodd" fillOpacity={0.94} />
      ))}
    </svg>
  );
}
