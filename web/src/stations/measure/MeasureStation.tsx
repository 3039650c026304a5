import { useState } from 'react';
import { coatPaint, isClear, surfaceOf, wallBox, wallOf } from '@kolleta/core/blanks';
import { coatsOf } from '@kolleta/core/finish';
import { CONTACTS, GROUNDS, MATERIALS, COATS, type CoatId, type Contact, type GroundId } from '@kolleta/core/facts';
import { growBox } from '@kolleta/core/geometry';
import { removeAt, setAt, type Scalar } from '@kolleta/core/job';
import { formatLength } from '@kolleta/core/units';
import { Dimension } from '../../drawing/Dimension';
import { flatBox } from '../../drawing/flatBox';
import { FrontView } from '../../drawing/FrontView';
import { Rulers } from '../../drawing/Rulers';
import { Scaled } from '../../drawing/Scaled';
import { WallDrawing } from '../../drawing/WallDrawing';
import { FileButton } from '../../ui/FileButton';
import { plainly } from '../../storage/plainly';
import { useTell } from '../../ui/toasts';
import { Owned } from '../../ui/Owned';
import { Choice, CountWord, Sentence, Switch, TextWord } from '../../ui/tokens';
import { DrawingHead, Readings, StationLayout, type StationProps } from '../../frame/station';
import { AnythingElse } from './AnythingElse';
import { FeatureWords } from './FeatureWords';
import { HelpMeasuring } from './HelpMeasuring';
import { MovableFeature } from './MovableFeature';
import { OutlineWords } from './OutlineWords';
import { OwnBlank } from './OwnBlank';
import { PhotoStation } from './PhotoStation';
import { photoFrom } from './usePhoto';
import { ShapeWords } from './ShapeWords';
import { TwoMeasures } from './TwoMeasures';
import { UseWords } from './UseWords';
import { WhereToMeasure } from './WhereToMeasure';
import { ZoneWords } from './ZoneWords';
import { measured, reshaping, type Reshape } from './reshaping';

const GROUND_OPTIONS = (Object.entries(GROUNDS) as [GroundId, (typeof GROUNDS)[GroundId]][]).map(([value, g]) => ({
  value,
  label: g.name,
  group: g.material,
}));
const CONTACT_OPTIONS = (Object.entries(CONTACTS) as [Contact, (typeof CONTACTS)[Contact]][]).map(([value, c]) => ({
  value,
  label: c.name,
}));
const COAT_OPTIONS: readonly { value: CoatId | 'none'; label: string }[] = [
  { value: 'none', label: 'no coat' },
  ...(['waterStain', 'oilStain', 'acrylic', 'chalkPaint', 'chalkboard', 'sprayEnamel'] as const).map((value) => ({
    value,
    label: COATS[value].name,
  })),
];

/** The piece: its size, ground and use; its zones. */
export function MeasureStation({ job, plan, shop, edit, fix, mark }: StationProps) {
  const { piece } = job;
  const { shape } = piece;
  const system = shop.lengths;
  const set = (field: string, value: Scalar, label: string) => edit(setAt(['piece', field], value), label);
  const reshape = (next: Reshape) => edit(reshaping(next), 'Measure the piece');
  const [onPhoto, setOnPhoto] = useState(false);
  const [chosen, chooseZone] = useState<string>();
  const zone = job.zones.find((z) => z.id === (chosen ?? mark?.zone)) ?? job.zones.find((z) => z.id === mark?.zone) ?? job.zones[0]!;
  const clear = surfaceOf(piece, shop.paints).clear;
  const maybeClear = MATERIALS[GROUNDS[piece.ground].material].maybeClear;
  const coatPaints = shop.paints.filter((paint) => paint.coat === piece.coat);
  const wall = wallBox(shape);
  const tell = useTell();
  const takePhoto = async (file: File) => {
    try {
      const taken = await photoFrom(file);
      edit(() => setAt(['photo'], taken), 'Take a photo of the piece');
      setOnPhoto(true);
    } catch (error) {
      tell(plainly(error), { tone: 'error' });
    }
  };
  const photo = onPhoto ? job.photo : undefined;
  const drawing = photo ? (
    <>
      <DrawingHead title="On the photo">
        <button type="button" className="btn btn-xs btn-ghost border-base-300" onClick={() => setOnPhoto(false)}>
          Back to the drawing
        </button>
      </DrawingHead>
      <PhotoStation job={job} shop={shop} edit={edit} photo={photo} />
    </>
  ) : (
    <>
      <DrawingHead
        title={shape.kind === 'flat' ? 'Face, to scale' : 'Wall laid flat, to scale'}
        text={
          shape.kind === 'cylinder'
            ? `wrap ${formatLength(wallOf(shape).width, system)} · the dotted ends meet at the back`
            : shape.kind === 'taper'
              ? 'a part of a ring: its straight ends meet at the back'
              : undefined
        }
      >
        {job.photo ? (
          <button type="button" className="btn btn-sm btn-outline btn-primary" onClick={() => setOnPhoto(true)}>
            On its photo
          </button>
        ) : (
          <FileButton label="Photo of the piece" accept=".jpg,.jpeg,.png,.webp,image/*" onFile={(file) => void takePhoto(file)}>
            Measure on a photo
          </FileButton>
        )}
      </DrawingHead>
      <div className="grid flex-1 grid-cols-1 sm:grid-cols-[minmax(0,1fr)_9.5rem]">
        <Scaled
          box={growBox(flatBox(wall, shape), 0)}
          pad={[34, 66, 44, 46]}
          className="h-[22rem] sm:h-auto sm:min-h-[22rem]"
          label="The piece with its zones"
          most={8}
        >
          <WallDrawing piece={piece} paints={shop.paints} zones={job.zones} active={zone.id} system={system} />
          {(piece.features ?? []).map((feature) => (
            <MovableFeature key={feature.id} piece={piece} feature={feature} edit={edit} />
          ))}
          {shape.kind !== 'taper' && (
            <>
              <Dimension from={[wall.minX, 0]} to={[wall.maxX, 0]} beside={16} system={system} />
              <Dimension from={[wall.maxX, 0]} to={[wall.maxX, wall.maxY]} beside={12} system={system} />
            </>
          )}
          <Rulers system={system} />
        </Scaled>
        <div className="hidden flex-col px-2 pb-2 sm:flex">
          <h3 className="mt-2 text-[0.86rem] font-bold">As it stands</h3>
          <FrontView piece={piece} zones={job.zones} marks={[]} shop={shop} className="h-56" />
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
          <ShapeWords shape={shape} system={system} reshape={reshape} />
          {shape.kind === 'flat' && (
            <>
              <OutlineWords
                of="piece"
                outline={shape.outline}
                width={shape.width}
                height={shape.height}
                system={system}
                onChange={(outline, height) => {
                  reshape((saved) =>
                    saved.kind === 'flat'
                      ? { kind: 'flat', width: saved.width, height: height ?? saved.height, ...(outline ? { outline } : {}) }
                      : saved,
                  );
                }}
              />
            </>
          )}
          . The sizes were taken{' '}
          <Switch
            label="By eye"
            on={piece.byEye ?? false}
            yes="by eye"
            no="with a rule, twice"
            onChange={(on) => edit(setAt(['piece', 'byEye'], on), 'Say how it was measured')}
          />
          .
        </Sentence>
        <WhereToMeasure shape={shape} />
        {shape.kind === 'cylinder' && (
          <TwoMeasures
            diameter={shape.diameter}
            system={system}
            onAgreed={(diameter) => reshape(measured('cylinder', () => ({ diameter })))}
          />
        )}
      </div>
      <div className="sheet px-4 py-3">
        <Sentence>
          It is{' '}
          <Choice
            label="Ground"
            value={piece.ground}
            options={GROUND_OPTIONS}
            onChange={(ground) => set('ground', ground, 'Change the ground')}
          />
          ,{' '}
          <Choice
            label="Finish"
            value={piece.contact}
            options={CONTACT_OPTIONS}
            onChange={(contact) => set('contact', contact, 'Change the finish')}
          />
          , colour{' '}
          <input
            type="color"
            className="token h-7 w-9 cursor-pointer align-middle"
            aria-label="Colour of the piece"
            value={piece.colour}
            onChange={(event) => set('colour', event.target.value, 'Change the colour')}
          />
          {maybeClear && (
            <>
              ,{' '}
              <Switch
                label="See-through"
                on={isClear(piece)}
                yes="see-through"
                no="not see-through"
                onChange={(on) => set('seeThrough', on, 'Say whether it is see-through')}
              />
            </>
          )}
          {clear && (
            <>
              {' '}
              with{' '}
              <input
                type="color"
                className="token h-7 w-9 cursor-pointer align-middle"
                aria-label="What stands behind it"
                value={piece.behind}
                onChange={(event) => set('behind', event.target.value, 'Change what stands behind')}
              />{' '}
              behind it
            </>
          )}
          . In this job it gets{' '}
          <Choice
            label="Coat"
            value={piece.coat ?? 'none'}
            options={COAT_OPTIONS}
            onChange={(coat) => edit(coat === 'none' ? removeAt(['piece', 'coat']) : setAt(['piece', 'coat'], coat), 'Change the coat')}
          />
          {piece.coat !== undefined && (
            <>
              {' '}
              in{' '}
              <CountWord
                label="Coats of the piece"
                value={coatsOf(piece)}
                most={5}
                onChange={(coats) => set('coats', coats, 'Change the coats')}
              />{' '}
              {coatsOf(piece) === 1 ? 'coat' : 'coats'}
            </>
          )}
          {coatPaints.length > 0 && (
            <>
              {' '}
              of{' '}
              <Choice
                label="Paint of the coat"
                value={coatPaint(piece, shop.paints)?.id ?? ''}
                options={coatPaints.map(({ id, name }) => ({ value: id, label: name }))}
                onChange={(id) => set('coatPaint', id, 'Change the paint')}
              />
            </>
          )}{' '}
          and{' '}
          <Switch
            label="Sealer"
            on={piece.sealedFirst}
            yes="a clear sealer"
            no="no sealer"
            onChange={(on) => set('sealedFirst', on, 'Change the sealer')}
          />{' '}
          before film.
        </Sentence>
        <UseWords job={job} edit={edit} />
      </div>
      <Owned by={zone.id}>
        <ZoneWords job={job} zone={zone} shop={shop} edit={edit} chooseZone={chooseZone} />
      </Owned>
      <FeatureWords job={job} shop={shop} edit={edit} />
      <AnythingElse key={zone.id} job={job} shop={shop} edit={edit} zone={zone} />
      <HelpMeasuring job={job} shop={shop} edit={edit} />
      <OwnBlank job={job} shop={shop} />
      <Readings plan={plan} edit={edit} fix={fix} mark={mark} stations={['measure']} />
    </StationLayout>
  );
}
