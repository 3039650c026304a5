import { usualFeature } from '@kolleta/core/blanks';
import { FEATURES, type FeatureKind } from '@kolleta/core/facts';
import { removeAt, setAt, type Feature, type Scalar } from '@kolleta/core/job';
import { newId } from '../../storage/newId';
import { Choice, LengthWord, Sentence } from '../../ui/tokens';
import type { StationProps } from '../../frame/station';

const KINDS = Object.entries(FEATURES) as [FeatureKind, (typeof FEATURES)[FeatureKind]][];

/** What marks keep off: each a sentence. */
export function FeatureWords({ job, shop, edit }: Pick<StationProps, 'job' | 'shop' | 'edit'>) {
  const { piece } = job;
  const system = shop.lengths;
  const features = piece.features ?? [];
  const round = piece.shape.kind !== 'flat';
  const add = (kind: FeatureKind | '') => {
    if (!kind) return;
    const feature = usualFeature(newId(), kind, piece.shape);
    edit(() => setAt(['piece', 'features', feature.id], feature), `Add a ${FEATURES[kind].name}`);
  };
  const label = (feature: Feature) => `Change the ${FEATURES[feature.kind].name}`;
  const set = (feature: Feature, field: keyof Feature, value: Scalar) =>
    edit(setAt(['piece', 'features', feature.id, field], value), label(feature));
  /** How far from the middle and to which side are two words for one field. */
  const setX = ({ id, ...feature }: Feature, next: (x: number) => number) =>
    edit(
      (saved) => {
        const x = saved.piece.features?.find((f) => f.id === id)?.x ?? 0;
        return setAt(['piece', 'features', id, 'x'], next(x));
      },
      label({ id, ...feature }),
    );
  return (
    <section aria-label="What marks keep off" className="sheet px-4 py-3">
      <div className="mb-1 flex flex-wrap items-center gap-1.5">
        <h2 className="mr-auto text-[0.98rem] font-bold">What marks keep off</h2>
        <Choice
          label="Add what is on the piece"
          value=""
          options={[{ value: '' as FeatureKind | '', label: 'add …' }, ...KINDS.map(([value, { name }]) => ({ value, label: name }))]}
          onChange={add}
        />
      </div>
      {features.length === 0 && (
        <p className="quiet text-sm">
          {round
            ? 'Find the mould seam and the handle, and turn the front away from them.'
            : 'Screws, holes, hinges, ribs: add what is on the face.'}{' '}
          What you add can be dragged on the drawing.
        </p>
      )}
      {features.map((feature) => {
        const { name, line } = FEATURES[feature.kind];
        return (
          <div key={feature.id} className="flex items-start gap-2">
            <Sentence className="flex-1 text-[0.97rem]!">
              A {name}{' '}
              <LengthWord
                label={`Width of the ${name}`}
                value={feature.width}
                system={system}
                onChange={(mm) => set(feature, 'width', mm)}
              />
              {!line && (
                <>
                  {' '}
                  by{' '}
                  <LengthWord
                    label={`Height of the ${name}`}
                    value={feature.height}
                    system={system}
                    onChange={(mm) => set(feature, 'height', mm)}
                  />
                  ,{' '}
                  <LengthWord
                    label={`Height of the ${name} above the foot`}
                    value={feature.y}
                    system={system}
                    onChange={(mm) => set(feature, 'y', mm)}
                  />{' '}
                  above the foot
                </>
              )}
              , middle{' '}
              <LengthWord
                label={`The ${name} from the middle`}
                value={Math.abs(feature.x)}
                system={system}
                onChange={(mm) => setX(feature, (x) => (x < 0 ? -mm : mm))}
              />{' '}
              to the{' '}
              <Choice
                label={`Side of the ${name}`}
                value={feature.x < 0 ? 'left' : 'right'}
                options={[
                  { value: 'left', label: 'left' },
                  { value: 'right', label: 'right' },
                ]}
                onChange={(side) => setX(feature, (x) => (side === 'left' ? -Math.abs(x) : Math.abs(x)))}
              />
              ; keep{' '}
              <LengthWord
                label={`Clear of the ${name}`}
                value={feature.clear}
                system={system}
                onChange={(mm) => set(feature, 'clear', mm)}
              />{' '}
              off.
            </Sentence>
            <button
              type="button"
              className="btn btn-sm btn-ghost"
              aria-label={`Take the ${name} away`}
              onClick={() => edit(removeAt(['piece', 'features', feature.id]), `Take the ${name} away`)}
            >
              ✕
            </button>
          </div>
        );
      })}
    </section>
  );
}
