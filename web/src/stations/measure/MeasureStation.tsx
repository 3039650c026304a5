import { checkMeasure, diameterFrom, usualBreathing, wallBox, wallOf } from '@kolleta/core/blanks';
import { CONTACTS, GROUNDS, LIMITS, COATS, type CoatId, type Contact, type GroundId } from '@kolleta/core/facts';
import { growBox } from '@kolleta/core/geometry';
import { setAt, type Patch, type Zone } from '@kolleta/core/job';
import { formatLength } from '@kolleta/core/units';
import { Dimension } from '../../drawing/Dimension';
import { FrontView } from '../../drawing/FrontView';
import { Rulers } from '../../drawing/Rulers';
import { Scaled } from '../../drawing/Scaled';
import { WallDrawing } from '../../drawing/WallDrawing';
import { newId } from '../../storage/newId';
import { Choice, CountWord, LengthWord, Sentence, Switch, TextWord } from '../../ui/tokens';
import { DrawingHead, Readings, StationLayout, type StationProps } from '../job/station';

const GROUND_OPTIONS = (Object.entries(GROUNDS) as [GroundId, (typeof GROUNDS)[GroundId]][]).map(([value, g]) => ({ value, label: g.name, group: g.material }));
const CONTACT_OPTIONS = (Object.entries(CONTACTS) as [Contact, (typeof CONTACTS)[Contact]][]).map(([value, c]) => ({ value, label: c.name }));
const COAT_OPTIONS: readonly { value: CoatId | 'none'; label: string }[] = [
  { value: 'none', label: 'no coat' },
  ...(['waterStain', 'oilStain', 'acrylic', 'chalkPaint', 'chalkboard', 'sprayEnamel'] as const).map((value) => ({ value, label: COATS[value].name })),
];

/** The zone that a new measure leaves: as large a share of the piece as before. */
function zonesFor(job: StationProps['job'], shape: StationProps['job']['piece']['shape']): Patch {
  const [before, after] = [wallOf(job.piece.shape), wallOf(shape)];
  const [sx, sy] = [after.width / before.width, after.height / before.height];
  const zones = job.zones.map((z): Zone => {
    const [width, height] = [z.width * sx, z.height * sy];
    return { ...z, x: z.x * sx, y: z.y * sy, width, height, breathing: Math.min(z.breathing, usualBreathing(width, height, false)) };
  });
  return [...setAt(['piece', 'shape'], shape), ...setAt(['zones'], zones)];
}

/** The piece: its size, ground and use; its zones. */
export function MeasureStation({ job, plan, shop, edit, mark }: StationProps) {
  const { piece } = job;
  const { shape } = piece;
  const system = shop.lengths;
  const set = (field: string, value: unknown, label: string) => edit(setAt(['piece', field], value), label);
  const reshape = (next: typeof shape) => edit(zonesFor(job, next), 'Measure the piece');
  const zone = job.zones.find((z) => z.id === mark?.zone) ?? job.zones[0]!;
  const setZone = (field: keyof Zone, value: unknown) => edit(setAt(['zones', zone.id, field], value), `Change the zone's ${field}`);
  const clear = GROUNDS[piece.ground].clear;
  const wall = wallBox(shape);
  const addZone = () => {
    const id = newId();
    edit(setAt(['zones', id], { ...zone, id, name: `Zone ${job.zones.length + 1}`, y: 0, height: wallOf(shape).height / 3 }), 'Add a zone');
  };
  const drawing = (
    <>
      <DrawingHead title={shape.kind === 'cylinder' ? 'Wall laid flat, to scale' : 'Face, to scale'} text={shape.kind === 'cylinder' ? `wrap ${formatLength(wallOf(shape).width, system)} · the dotted ends meet at the back` : undefined} />
      <div className="grid flex-1 grid-cols-1 sm:grid-cols-[minmax(0,1fr)_9.5rem]">
        <Scaled box={growBox(wall, 0)} pad={[34, 66, 44, 46]} className="h-[22rem] sm:h-auto sm:min-h-[22rem]" label="The piece with its zones" most={8}>
          <WallDrawing piece={piece} zones={job.zones} active={zone.id} system={system} />
          <Dimension from={[wall.minX, 0]} to={[wall.maxX, 0]} beside={16} system={system} />
          <Dimension from={[wall.maxX, 0]} to={[wall.maxX, wall.maxY]} beside={12} system={system} />
          <Rulers system={system} />
        </Scaled>
        <div className="hidden flex-col px-2 pb-2 sm:flex">
          <h3 className="mt-2 text-[0.86rem] font-bold">As it stands</h3>
          <FrontView piece={piece} marks={[]} shop={shop} className="h-56" />
        </div>
      </div>
    </>
  );
  return (
    <StationLayout title="Measure" drawing={drawing}>
      <div className="sheet px-4 py-3">
        <Sentence>
          <CountWord label="How many in the set" value={job.count} onChange={(n) => edit(setAt(['count'], n), 'Change the count')} /> ×{' '}
          <TextWord label="Name of the piece" value={piece.name} onChange={(name) => set('name', name, 'Name the piece')} />,{' '}
          <Choice
            label="Shape"
            value={shape.kind}
            options={[{ value: 'flat', label: 'flat' }, { value: 'cylinder', label: 'a straight cylinder' }]}
            onChange={(kind) => reshape(kind === 'flat' ? { kind, width: shape.kind === 'flat' ? shape.width : Math.round(shape.diameter * 2), height: shape.height } : { kind, diameter: shape.kind === 'flat' ? Math.round(shape.width / 2) : shape.diameter, height: shape.height })}
          />
          {shape.kind === 'flat' ? (
            <>
              , <LengthWord label="Width" value={shape.width} system={system} check={(mm) => checkMeasure(mm, 'Width')} onChange={(width) => reshape({ ...shape, width })} /> wide and{' '}
            </>
          ) : (
            <>
              , <LengthWord label="Diameter" value={shape.diameter} system={system} check={(mm) => checkMeasure(mm, 'Diameter')} onChange={(diameter) => reshape({ ...shape, diameter })} /> across (wrap{' '}
              <LengthWord label="Wrap" value={Math.PI * shape.diameter} system={system} check={(wrap) => diameterFrom({ wrap })} onChange={(diameter) => reshape({ ...shape, diameter })} />) and{' '}
            </>
          )}
          <LengthWord label="Height" value={shape.height} system={system} check={(mm) => checkMeasure(mm, 'Height')} onChange={(height) => reshape({ ...shape, height })} /> tall, of{' '}
          <Choice label="Ground" value={piece.ground} options={GROUND_OPTIONS} onChange={(ground) => set('ground', ground, 'Change the ground')} />,{' '}
          <Choice label="Finish" value={piece.contact} options={CONTACT_OPTIONS} onChange={(contact) => set('contact', contact, 'Change the finish')} />, colour{' '}
          <input type="color" className="token h-7 w-9 cursor-pointer align-middle" aria-label="Colour of the piece" value={piece.colour} onChange={(event) => set('colour', event.target.value, 'Change the colour')} />
          {clear && (
            <>
              {' '}with{' '}
              <input type="color" className="token h-7 w-9 cursor-pointer align-middle" aria-label="What stands behind it" value={piece.behind} onChange={(event) => set('behind', event.target.value, 'Change what stands behind')} /> behind it
            </>
          )}
          . In this job it gets <Choice label="Coat" value={piece.coat ?? 'none'} options={COAT_OPTIONS} onChange={(coat) => edit(coat === 'none' ? [{ op: 'remove', path: ['piece', 'coat'] }] : setAt(['piece', 'coat'], coat), 'Change the coat')} /> and{' '}
          <Switch label="Sealer" on={piece.sealedFirst} yes="a clear sealer" no="no sealer" onChange={(on) => set('sealedFirst', on, 'Change the sealer')} /> before film.
        </Sentence>
        {shape.kind === 'cylinder' && <TwoMeasures diameter={shape.diameter} system={system} onAgreed={(diameter) => reshape({ ...shape, diameter })} />}
      </div>
      <div className="sheet px-4 py-3">
        <Sentence>
          People <Switch label="Drinking" on={piece.use.drink} yes="drink at its rim" no="do not drink at its rim" onChange={(drink) => edit([...setAt(['piece', 'use', 'drink'], drink), ...job.zones.flatMap((z) => setAt(['zones', z.id, 'lipBand'], drink ? Math.max(z.lipBand, LIMITS.lipBand) : 0))], 'Change the use')} />; food{' '}
          <Switch label="Food" on={piece.use.food} yes="lies on it" no="stays off it" onChange={(food) => edit(setAt(['piece', 'use', 'food'], food), 'Change the use')} />; it is{' '}
          <Switch label="Dry and short" on={piece.use.dryShort} yes="kept dry and only for a while" no="for good" onChange={(on) => edit(setAt(['piece', 'use', 'dryShort'], on), 'Change the use')} />, and{' '}
          <Switch label="Wax" on={piece.waxed} yes="waxed or oiled" no="free of wax" onChange={(on) => set('waxed', on, 'Change the wax')} />.
        </Sentence>
      </div>
      <div className="sheet px-4 py-3">
        <div className="mb-1 flex flex-wrap items-center gap-1.5">
          <h2 className="mr-auto text-[0.98rem] font-bold">{job.zones.length > 1 ? `Zone “${zone.name}”, where ${mark?.name ?? 'the mark'} goes` : 'The zone that takes marks'}</h2>
          <button type="button" className="btn btn-xs btn-ghost border-base-300" onClick={addZone}>Add a zone</button>
        </div>
        <Sentence>
          <TextWord label="Name of the zone" value={zone.name} onChange={(name) => setZone('name', name)} />: <LengthWord label="Zone width" value={zone.width} system={system} least={1} onChange={(mm) => setZone('width', mm)} /> by{' '}
          <LengthWord label="Zone height" value={zone.height} system={system} least={1} onChange={(mm) => setZone('height', mm)} />, <LengthWord label="Above the foot" value={zone.y} system={system} onChange={(mm) => setZone('y', mm)} /> above the foot, with{' '}
          <LengthWord label="Breathing room" value={zone.breathing} system={system} onChange={(mm) => setZone('breathing', mm)} /> of breathing room and a lip band of{' '}
          <LengthWord label="Lip band" value={zone.lipBand} system={system} onChange={(mm) => setZone('lipBand', mm)} />.
        </Sentence>
        <p className="quiet text-sm">Measure twice, on the piece itself; of a set measure several and type the smallest.</p>
      </div>
      <Readings plan={plan} edit={edit} mark={mark} stations={['measure']} />
    </StationLayout>
  );
}

/** Diameter and wrap measured both: they have to agree. */
function TwoMeasures({ diameter, system, onAgreed }: { diameter: number; system: 'mm' | 'inch'; onAgreed: (diameter: number) => void }) {
  return (
    <p className="quiet text-sm leading-7">
      Measured a wrap as well? String says{' '}
      <LengthWord label="Wrap by string" value={Math.PI * diameter} system={system} check={(wrap) => { const both = diameterFrom({ diameter, wrap }); return both.ok ? diameterFrom({ wrap }) : both; }} onChange={onAgreed} />, and it is checked against the diameter.
    </p>
  );
}
