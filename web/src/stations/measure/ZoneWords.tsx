import { wallOf } from '@kolleta/core/blanks';
import { copyZone, removeAt, setAt, type Scalar, type Zone } from '@kolleta/core/job';
import { newId } from '../../storage/newId';
import { Choice, LengthWord, Sentence, TextWord } from '../../ui/tokens';
import type { StationProps } from '../../frame/station';
import { OutlineWords } from './OutlineWords';

/** One zone as a sentence. */
export function ZoneWords({
  job,
  zone,
  shop,
  edit,
  chooseZone,
}: Pick<StationProps, 'job' | 'shop' | 'edit'> & { zone: Zone; chooseZone: (id: string) => void }) {
  const system = shop.lengths;
  const setZone = (field: keyof Zone, value: Scalar) => edit(setAt(['zones', zone.id, field], value), `Change the zone's ${field}`);
  /** How far from the middle and to which side are two words for one field. */
  const setX = (next: (x: number) => number) =>
    edit((saved) => setAt(['zones', zone.id, 'x'], next(saved.zones.find((z) => z.id === zone.id)?.x ?? 0)), "Change the zone's x");
  const addZone = () => {
    const id = newId();
    edit((saved) => {
      const like = saved.zones.find((z) => z.id === zone.id) ?? zone;
      const fresh = { ...like, id, name: `Zone ${saved.zones.length + 1}`, y: 0, height: wallOf(saved.piece.shape).height / 3 };
      return setAt(['zones', id], fresh);
    }, 'Add a zone');
    chooseZone(id);
  };
  const copy = (withMarks: boolean) => {
    const ids = Array.from({ length: job.marks.length + 1 }, newId);
    edit((saved) => {
      const now = saved.zones.find((z) => z.id === zone.id) ?? zone;
      let next = 0;
      return copyZone(saved, now, wallOf(saved.piece.shape).width, withMarks, () => ids[next++] ?? newId()).patch;
    }, 'Copy the zone');
    chooseZone(ids[0]!);
  };
  return (
    <div className="sheet px-4 py-3">
      <div className="mb-1 flex flex-wrap items-center gap-1.5">
        <h2 className="mr-auto text-[0.98rem] font-bold">
          {job.zones.length > 1 ? 'The zones that take marks' : 'The zone that takes marks'}
        </h2>
        {job.zones.length > 1 &&
          job.zones.map((z) => (
            <button
              key={z.id}
              type="button"
              aria-pressed={z.id === zone.id}
              className={`btn btn-xs h-auto max-w-full py-0.5 text-left whitespace-normal ${z.id === zone.id ? 'btn-neutral' : 'btn-ghost border-base-300'}`}
              onClick={() => chooseZone(z.id)}
            >
              {z.name}
            </button>
          ))}
        <button type="button" className="btn btn-xs btn-ghost border-base-300" onClick={addZone}>
          Add a zone
        </button>
        <button type="button" className="btn btn-xs btn-ghost border-base-300" onClick={() => copy(false)}>
          Copy this zone
        </button>
        {job.marks.some((mark) => mark.zone === zone.id) && (
          <button type="button" className="btn btn-xs btn-ghost border-base-300" onClick={() => copy(true)}>
            with its marks
          </button>
        )}
      </div>
      <Sentence>
        <TextWord label="Name of the zone" value={zone.name} onChange={(name) => setZone('name', name)} />:{' '}
        <LengthWord label="Zone width" value={zone.width} system={system} least={1} onChange={(mm) => setZone('width', mm)} /> by{' '}
        <LengthWord label="Zone height" value={zone.height} system={system} least={1} onChange={(mm) => setZone('height', mm)} />,{' '}
        <LengthWord label="Above the foot" value={zone.y} system={system} onChange={(mm) => setZone('y', mm)} /> above the foot, middle{' '}
        <LengthWord
          label="Zone from the middle"
          value={Math.abs(zone.x)}
          system={system}
          onChange={(mm) => setX((x) => (x < 0 ? -mm : mm))}
        />{' '}
        to the{' '}
        <Choice
          label="Side of the zone"
          value={zone.x < 0 ? 'left' : 'right'}
          options={[
            { value: 'left', label: 'left' },
            { value: 'right', label: 'right' },
          ]}
          onChange={(side) => setX((x) => (side === 'left' ? -Math.abs(x) : Math.abs(x)))}
        />
        ,{' '}
        <OutlineWords
          of="zone"
          outline={zone.outline}
          width={zone.width}
          height={zone.height}
          system={system}
          onChange={(outline, height) =>
            edit(
              () => [
                ...(outline ? setAt(['zones', zone.id, 'outline'], outline) : removeAt(['zones', zone.id, 'outline'])),
                ...(height ? setAt(['zones', zone.id, 'height'], height) : []),
              ],
              "Change the zone's outline",
            )
          }
        />
        , with <LengthWord label="Breathing room" value={zone.breathing} system={system} onChange={(mm) => setZone('breathing', mm)} /> of
        breathing room and a lip band of{' '}
        <LengthWord label="Lip band" value={zone.lipBand} system={system} onChange={(mm) => setZone('lipBand', mm)} />.
      </Sentence>
      {job.zones.length > 1 && (
        <button
          type="button"
          className="btn btn-xs btn-ghost border-base-300"
          disabled={job.marks.some((m) => m.zone === zone.id)}
          title={job.marks.some((m) => m.zone === zone.id) ? 'A mark lies in it: put the mark elsewhere first.' : undefined}
          onClick={() => {
            chooseZone(job.zones.find((z) => z.id !== zone.id)!.id);
            edit((saved) => {
              // a mark may have been put there meanwhile, and a piece has one zone at least
              const used = saved.marks.some((m) => m.zone === zone.id) || saved.zones.length < 2;
              return used ? [] : removeAt(['zones', zone.id]);
            }, 'Take the zone away');
          }}
        >
          Take this zone away
        </button>
      )}
    </div>
  );
}
