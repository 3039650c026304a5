import { usualFeature } from '@kolleta/core/blanks';
import { FEATURES, type FeatureKind } from '@kolleta/core/facts';
import { removeAt, setAt, type Feature, type Job, type Scalar } from '@kolleta/core/job';
import { newId } from '../../storage/newId';
import { Choice, LengthWord, Sentence } from '../../ui/tokens';
import type { StationProps } from '../../frame/station';

const KINDS = Object.entries(FEATURES) as [FeatureKind, (typeof FEATURES)[FeatureKind]][];

/** What marks keep off, and slats: each a sentence. */
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
  const slats = piece.slats;
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
      {features.length === 0 && !slats && (
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
      <Sentence className="text-[0.97rem]!">
        The face is{' '}
        <Choice
          label="Slats"
          value={slats ? slats.run : 'none'}
          options={[
            { value: 'none', label: 'closed' },
            { value: 'level', label: 'level slats' },
            { value: 'upright', label: 'upright slats' },
          ]}
          onChange={(run) =>
            edit(
              run === 'none'
                ? removeAt(['piece', 'slats'])
                : ({ piece: saved }: Job) => setAt(['piece', 'slats'], { slat: 60, gap: 5, first: 60, ...saved.slats, run }),
              'Change the slats',
            )
          }
        />
        {slats && (
          <>
            {' '}
            of{' '}
            <LengthWord
              label="Width of a slat"
              value={slats.slat}
              system={system}
              least={1}
              onChange={(mm) => edit(setAt(['piece', 'slats', 'slat'], mm), 'Change the slats')}
            />{' '}
            with gaps of{' '}
            <LengthWord
              label="Gap"
              value={slats.gap}
              system={system}
              onChange={(mm) => edit(setAt(['piece', 'slats', 'gap'], mm), 'Change the slats')}
            />
            , the first at{' '}
            <LengthWord
              label="First gap"
              value={slats.first}
              system={system}
              onChange={(mm) => edit(setAt(['piece', 'slats', 'first'], mm), 'Change the slats')}
            />
          </>
        )}
        . It is{' '}
        <Choice
          label="Build"
          value={piece.build ?? 'whole'}
          options={[
            { value: 'whole', label: 'of one piece' },
            { value: 'joined', label: 'put together from several' },
            { value: 'apart', label: 'taken apart for the work' },
          ]}
          onChange={(build) =>
            edit(build === 'whole' ? removeAt(['piece', 'build']) : setAt(['piece', 'build'], build), 'Change the build')
          }
        />
        {piece.build === 'joined' && ': measure it as it will be outside, and add each join as a line to keep off'}
        {piece.build === 'apart' && ': mark and paint the parts lying flat, and put them together at the end'}.
      </Sentence>
    </section>
  );
}
