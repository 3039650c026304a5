import { checkBulb, checkMeasure, checkTaper, diameterAt, diameterFrom, slantOf, uprightOf } from '@kolleta/core/blanks';
import type { Shape } from '@kolleta/core/job';
import { good, type LengthSystem, type Result } from '@kolleta/core/units';
import { Choice, LengthWord } from '../../ui/tokens';

interface Props {
  shape: Shape;
  system: LengthSystem;
  reshape: (shape: Shape) => void;
}

/** A taper narrows to this share of its width to begin with. */
const TAPER = 0.75;

/** The same piece taken for another shape, as near as can be. */
function taken(shape: Shape, kind: Shape['kind']): Shape {
  const { height } = shape;
  const round = shape.kind === 'flat' ? Math.round(shape.width / 2) : Math.round(diameterAt(shape, height / 2));
  if (kind === 'flat') return { kind, width: shape.kind === 'flat' ? shape.width : round * 2, height };
  if (kind === 'cylinder') return { kind, diameter: round, height };
  if (kind === 'bulb')
    return shape.kind === 'bulb' ? shape : { kind, diameter: round, along: Math.round(Math.max(round / 2, height / 2)), height };
  return shape.kind === 'taper' ? shape : { kind, rim: round, foot: Math.round(round * TAPER), height };
}

interface AcrossProps {
  name: string;
  diameter: number;
  system: LengthSystem;
  /** What else a diameter has to agree with. */
  also?: (mm: number) => Result<unknown>;
  onChange: (mm: number) => void;
}

/** A diameter, or the wrap that tells it. */
function Across({ name, diameter, system, also = good, onChange }: AcrossProps) {
  const both = (found: Result<number>): Result<number> => {
    if (!found.ok) return found;
    const agreed = also(found.value);
    return agreed.ok ? found : agreed;
  };
  const label = (word: string) => (name ? `${word} at the ${name}` : word);
  return (
    <>
      <LengthWord
        label={label('Diameter')}
        value={diameter}
        system={system}
        check={(mm) => both(checkMeasure(mm, label('Diameter')))}
        onChange={onChange}
      />{' '}
      across (wrap{' '}
      <LengthWord
        label={label('Wrap')}
        value={Math.PI * diameter}
        system={system}
        check={(wrap) => both(diameterFrom({ wrap }))}
        onChange={onChange}
      />
      )
    </>
  );
}

/** The shape of a piece and its measures, in a sentence. */
export function ShapeWords({ shape, system, reshape }: Props) {
  const height = (
    <LengthWord
      label="Height"
      value={shape.height}
      system={system}
      check={(mm) => {
        const measured = checkMeasure(mm, 'Height');
        if (measured.ok && shape.kind === 'bulb') {
          const bulb = checkBulb({ ...shape, height: mm });
          return bulb.ok ? measured : bulb;
        }
        if (!measured.ok || shape.kind !== 'taper') return measured;
        const taper = checkTaper({ ...shape, height: mm });
        return taper.ok ? measured : taper;
      }}
      onChange={(mm) => reshape({ ...shape, height: mm })}
    />
  );
  return (
    <>
      <Choice
        label="Shape"
        value={shape.kind}
        options={[
          { value: 'flat', label: 'flat' },
          { value: 'cylinder', label: 'a straight cylinder' },
          { value: 'taper', label: 'tapered' },
          { value: 'bulb', label: 'bulbous' },
        ]}
        onChange={(kind) => reshape(taken(shape, kind))}
      />
      ,{' '}
      {shape.kind === 'flat' && (
        <>
          <LengthWord
            label="Width"
            value={shape.width}
            system={system}
            check={(mm) => checkMeasure(mm, 'Width')}
            onChange={(width) => reshape({ ...shape, width })}
          />{' '}
          wide and {height} tall,{' '}
        </>
      )}
      {shape.kind === 'cylinder' && (
        <>
          <Across name="" diameter={shape.diameter} system={system} onChange={(diameter) => reshape({ ...shape, diameter })} /> and {height}{' '}
          tall,{' '}
        </>
      )}
      {shape.kind === 'bulb' && (
        <>
          <Across
            name="belly"
            diameter={shape.diameter}
            system={system}
            also={(diameter) => checkBulb({ ...shape, diameter })}
            onChange={(diameter) => reshape({ ...shape, diameter })}
          />{' '}
          at the belly, a radius of{' '}
          <LengthWord
            label="Radius along the wall"
            value={shape.along}
            system={system}
            check={(along) => {
              const bulb = checkBulb({ ...shape, along });
              return bulb.ok ? { ok: true, value: along } : bulb;
            }}
            onChange={(along) => reshape({ ...shape, along })}
          />{' '}
          along the wall and {height} from foot to rim by tape,{' '}
        </>
      )}
      {shape.kind === 'taper' && (
        <>
          <Across
            name="rim"
            diameter={shape.rim}
            system={system}
            also={(rim) => checkTaper({ ...shape, rim })}
            onChange={(rim) => reshape({ ...shape, rim })}
          />{' '}
          at the rim,{' '}
          <Across
            name="foot"
            diameter={shape.foot}
            system={system}
            also={(foot) => checkTaper({ ...shape, foot })}
            onChange={(foot) => reshape({ ...shape, foot })}
          />{' '}
          at the foot, {height} along the wall (
          <LengthWord
            label="Upright height"
            value={uprightOf(shape)}
            system={system}
            check={(mm) => checkMeasure(mm, 'Upright height')}
            onChange={(upright) => reshape({ ...shape, height: slantOf(shape.rim, shape.foot, upright) })}
          />{' '}
          upright),{' '}
        </>
      )}
    </>
  );
}
