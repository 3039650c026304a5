import { wallOf } from '@kolleta/core/blanks';
import { setAt, type Zone } from '@kolleta/core/job';
import { newId } from '../../storage/newId';
import { LengthWord, Sentence, TextWord } from '../../ui/tokens';
import type { StationProps } from '../job/station';

/** One zone as a sentence. */
export function ZoneWords({ job, zone, shop, edit, mark }: Pick<StationProps, 'job' | 'shop' | 'edit' | 'mark'> & { zone: Zone }) {
  const system = shop.lengths;
  const setZone = (field: keyof Zone, value: unknown) => edit(setAt(['zones', zone.id, field], value), `Change the zone's ${field}`);
  const addZone = () => {
    const id = newId();
    edit(
      setAt(['zones', id], {
        ...zone,
        id,
        name: `Zone ${job.zones.length + 1}`,
        y: 0,
        height: wallOf(job.piece.shape).height / 3,
      }),
      'Add a zone',
    );
  };
  return (
    <div className="sheet px-4 py-3">
      <div className="mb-1 flex flex-wrap items-center gap-1.5">
        <h2 className="mr-auto text-[0.98rem] font-bold">
          {job.zones.length > 1 ? `Zone “${zone.name}”, where ${mark?.name ?? 'the mark'} goes` : 'The zone that takes marks'}
        </h2>
        <button type="button" className="btn btn-xs btn-ghost border-base-300" onClick={addZone}>
          Add a zone
        </button>
      </div>
      <Sentence>
        <TextWord label="Name of the zone" value={zone.name} onChange={(name) => setZone('name', name)} />:{' '}
        <LengthWord label="Zone width" value={zone.width} system={system} least={1} onChange={(mm) => setZone('width', mm)} /> by{' '}
        <LengthWord label="Zone height" value={zone.height} system={system} least={1} onChange={(mm) => setZone('height', mm)} />,{' '}
        <LengthWord label="Above the foot" value={zone.y} system={system} onChange={(mm) => setZone('y', mm)} /> above the foot, with{' '}
        <LengthWord label="Breathing room" value={zone.breathing} system={system} onChange={(mm) => setZone('breathing', mm)} /> of
        breathing room and a lip band of{' '}
        <LengthWord label="Lip band" value={zone.lipBand} system={system} onChange={(mm) => setZone('lipBand', mm)} />.
      </Sentence>
      <p className="quiet text-sm">Measure twice, on the piece itself; of a set measure several and type the smallest.</p>
    </div>
  );
}
