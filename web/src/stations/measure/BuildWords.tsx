import { removeAt, setAt, type Job } from '@kolleta/core/job';
import { Choice, LengthWord, Sentence } from '../../ui/tokens';
import type { StationProps } from '../../frame/station';

/** Slats, and how the piece is put together. */
export function BuildWords({ job, shop, edit }: Pick<StationProps, 'job' | 'shop' | 'edit'>) {
  const { piece } = job;
  const system = shop.lengths;
  const slats = piece.slats;
  return (
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
        onChange={(build) => edit(build === 'whole' ? removeAt(['piece', 'build']) : setAt(['piece', 'build'], build), 'Change the build')}
      />
      {piece.build === 'joined' && ': measure it as it will be outside, and add each join as a line to keep off'}
      {piece.build === 'apart' && ': mark and paint the parts lying flat, and put them together at the end'}.
    </Sentence>
  );
}
