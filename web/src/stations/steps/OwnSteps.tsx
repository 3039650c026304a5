import { closestCenter, DndContext, KeyboardSensor, PointerSensor, useSensor, useSensors, type DragEndEvent } from '@dnd-kit/core';
import { SortableContext, sortableKeyboardCoordinates, useSortable, verticalListSortingStrategy } from '@dnd-kit/sortable';
import { GROUNDS, OTHER_STEP, OWN_WAITS, USUAL_STEPS } from '@kolleta/core/facts';
import { removeAt, setAt, type OwnStep } from '@kolleta/core/job';
import { formatDuration } from '@kolleta/core/units';
import { editShop } from '../../storage/editShop';
import { newId } from '../../storage/newId';
import type { StationProps } from '../../frame/station';
import { useTell } from '../../ui/toasts';
import { Choice, CountWord, Sentence, TextWord } from '../../ui/tokens';

const WHEN: readonly { value: OwnStep['when']; label: string }[] = [
  { value: 'first', label: 'first of all' },
  { value: 'beforeCoat', label: 'before it is painted' },
  { value: 'beforeFilm', label: 'before film goes on' },
  { value: 'beforePacking', label: 'before it is packed' },
];

/** One step, with a handle to drag it by. */
function Row({ step, edit }: { step: OwnStep; edit: StationProps['edit'] }) {
  const { attributes, listeners, setNodeRef, transform, isDragging } = useSortable({ id: step.id });
  const set = (field: keyof OwnStep, value: string | number) => edit(setAt(['steps', step.id, field], value), 'Change a step of your own');
  return (
    <li
      ref={setNodeRef}
      className={`flex items-start gap-2 py-1 ${isDragging ? 'opacity-70' : ''}`}
      style={transform ? { transform: `translate(0, ${transform.y}px)` } : undefined}
    >
      <button
        type="button"
        className="btn btn-sm btn-ghost cursor-grab touch-none"
        aria-label={`Move ${step.name}`}
        {...attributes}
        {...listeners}
      >
        ⠿
      </button>
      <Sentence className="min-w-0 flex-1 text-[0.97rem]!">
        <TextWord label="What to do" value={step.name} onChange={(name) => set('name', name)} />,{' '}
        <Choice label={`When, ${step.name}`} value={step.when} options={WHEN} onChange={(when) => set('when', when)} />;{' '}
        <CountWord label={`Minutes, ${step.name}`} value={step.minutes} most={600} onChange={(minutes) => set('minutes', minutes)} /> min a
        piece, then{' '}
        <Choice
          label={`Wait, ${step.name}`}
          value={`${step.wait ?? 0}`}
          options={[...new Set([...OWN_WAITS, step.wait ?? 0])].map((wait) => ({
            value: `${wait}`,
            label: wait === 0 ? 'no wait' : `${formatDuration(wait)} of waiting`,
          }))}
          onChange={(wait) => set('wait', Number(wait))}
        />
        .{' '}
        <button
          type="button"
          className="btn btn-xs btn-ghost"
          onClick={() => void edit(removeAt(['steps', step.id]), 'Take a step of your own away')}
        >
          Take away
        </button>
      </Sentence>
    </li>
  );
}

/** Steps of the maker's own: added, worded, put in order by dragging or by keys, and kept for the next such piece. */
export function OwnSteps({ job, shop, edit }: Pick<StationProps, 'job' | 'shop' | 'edit'>) {
  const tell = useTell();
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const steps = job.steps ?? [];
  const habit = shop.habits?.find(({ ground }) => ground === job.piece.ground);
  const add = (step: Omit<OwnStep, 'id'>) => {
    const id = newId();
    return edit(() => setAt(['steps', id], { id, ...step }), 'Add a step of your own');
  };
  const nameOf = (id: unknown) => steps.find((step) => step.id === id)?.name ?? 'the step';
  const announcements = {
    onDragStart: ({ active }: { active: { id: unknown } }) => `Lifted: ${nameOf(active.id)}.`,
    onDragOver: ({ active, over }: { active: { id: unknown }; over: { id: unknown } | null }) =>
      over && over.id !== active.id ? `In the place of: ${nameOf(over.id)}.` : 'In its own place.',
    onDragEnd: ({ active }: { active: { id: unknown } }) => `Put down: ${nameOf(active.id)}.`,
    onDragCancel: ({ active }: { active: { id: unknown } }) => `Left where it was: ${nameOf(active.id)}.`,
  };
  const dropped = ({ active, over }: DragEndEvent) => {
    if (!over || active.id === over.id) return;
    void edit((saved) => {
      const now = saved.steps ?? [];
      const [from, to] = [active.id, over.id].map((id) => now.findIndex((step) => step.id === id)) as [number, number];
      const moved = now[from];
      if (!moved || to < 0) return [];
      return setAt(['steps'], now.toSpliced(from, 1).toSpliced(to, 0, moved));
    }, 'Move a step of your own');
  };
  const keep = async () => {
    await editShop((saved) => {
      const known = saved.habits?.find(({ ground }) => ground === job.piece.ground);
      const id = known?.id ?? newId();
      const { ground, name, leftOut, coats, primed } = job.piece;
      const usual = { ...(leftOut ? { leftOut } : {}), ...(coats ? { coats } : {}), ...(primed ? { primed } : {}) };
      return setAt(['habits', id], { id, name, ground, steps: job.steps ?? [], ...usual });
    }, 'Keep how it is made ready for the next such piece');
    tell(`Kept for the next piece of ${GROUNDS[job.piece.ground].name}.`);
  };
  const free = USUAL_STEPS.filter(({ name }) => steps.every((step) => step.name !== name));
  return (
    <section aria-label="Steps of your own" className="sheet px-4 py-3">
      <h2 className="text-[0.98rem] font-bold">Steps of your own</h2>
      <DndContext
        sensors={sensors}
        collisionDetection={closestCenter}
        accessibility={{
          announcements,
          screenReaderInstructions: { draggable: 'Press space to lift it, the arrow keys to move it, and space to put it down.' },
        }}
        onDragEnd={dropped}
      >
        <SortableContext items={steps.map(({ id }) => id)} strategy={verticalListSortingStrategy}>
          <ol>
            {steps.map((step) => (
              <Row key={step.id} step={step} edit={edit} />
            ))}
          </ol>
        </SortableContext>
      </DndContext>
      <div className="mt-1 flex flex-wrap items-center gap-2">
        <Choice
          label="Add a step"
          value=""
          options={[
            { value: '', label: 'Add a step' },
            ...free.map(({ name }) => ({ value: name, label: name })),
            { value: 'other', label: 'Something else' },
          ]}
          onChange={(name) => {
            if (name === '') return undefined;
            return add(USUAL_STEPS.find((one) => one.name === name) ?? OTHER_STEP);
          }}
        />
        {(steps.length > 0 || job.piece.leftOut?.length || job.piece.coats || job.piece.primed) && (
          <button type="button" className="btn btn-xs btn-outline" onClick={() => void keep()}>
            Keep for the next such piece
          </button>
        )}
        {steps.length === 0 && habit && (
          <button
            type="button"
            className="btn btn-xs btn-outline"
            onClick={() =>
              void edit(
                (saved) =>
                  saved.steps?.length
                    ? []
                    : [
                        ...setAt(
                          ['steps'],
                          habit.steps.map((step) => ({ ...step, id: newId() })),
                        ),
                        ...(habit.leftOut ? setAt(['piece', 'leftOut'], habit.leftOut) : []),
                        ...(habit.coats ? setAt(['piece', 'coats'], habit.coats) : []),
                        ...(habit.primed ? setAt(['piece', 'primed'], true) : []),
                      ],
                'Take the kept steps',
              )
            }
          >
            As for {habit.name}
          </button>
        )}
      </div>
    </section>
  );
}
