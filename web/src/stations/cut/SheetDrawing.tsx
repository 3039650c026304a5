import type { ReactNode } from 'react';
import { marginOf, onCarrierOnly, type FilmLayout } from '@kolleta/core/cut';
import type { JobId } from '@kolleta/core/job';
import { formatDuration, formatLength, formatWay, type LengthSystem } from '@kolleta/core/units';
import { FilmDrawing } from '../../drawing/FilmDrawing';
import { DrawingHead } from '../../frame/station';

interface Props {
  layout: FilmLayout;
  job: JobId;
  /** The job has been cut from this film. */
  done: boolean;
  /** It is what was lost, cut again. */
  again: boolean;
  /** Other jobs come along. */
  shared: boolean;
  system: LengthSystem;
  /** The film with its parts, where hands can lay them; without it they only lie there. */
  children?: ReactNode;
}

/** A layout as it lies on the roll, a sheet or an offcut, with what it takes of film, of the knife and of time. */
export function SheetDrawing({ layout, job, done, again, shared, system, children }: Props) {
  const { kind } = layout.sheet.from;
  const say = (mm: number) => formatLength(mm, system);
  const held =
    kind === 'roll' && !onCarrierOnly(layout.machine)
      ? `shaded is held down, ${say(marginOf(layout))} each side`
      : `kept free at the edges, ${say(marginOf(layout))}`;
  const text = [
    'red is the knife',
    ...(layout.spares ? ['blue are spares'] : []),
    ...(layout.register ? ['ticks join the loads'] : []),
    ...(layout.relief ? ['dashed parts the waste'] : []),
    held,
    ...(shared ? ['grey belongs to other jobs'] : []),
  ].join(' · ');
  const figures = [
    kind === 'roll' ? ['film taken', say(layout.taken)] : ['of the roll', 'nothing'],
    ['knife down', formatWay(layout.knife, system)],
    ['knife up', formatWay(layout.travel, system)],
    ['with loading', layout.machine ? formatDuration(layout.minutes) : 'not known'],
  ];
  return (
    <>
      <DrawingHead
        title={`${layout.film.name}, as it lies on the ${kind}${again && !done ? ': what was lost' : ''}`}
        text={done ? 'This job has been cut from it.' : text}
      />
      {children ?? <FilmDrawing layout={layout} job={job} system={system} className="min-h-[20rem] flex-1 lg:min-h-0" />}
      <dl className="border-base-300 measure grid grid-cols-[repeat(auto-fit,minmax(6rem,1fr))] gap-x-4 border-t px-4 py-2.5 text-[0.86rem]">
        {figures.map(([name, value]) => (
          <div key={name}>
            <dt className="quiet font-sans">{name}</dt>
            <dd className="text-base font-semibold">{value}</dd>
          </div>
        ))}
      </dl>
    </>
  );
}
