import { checkBulb, checkMeasure, checkTaper, diameterFrom, slantOf, takenFor, uprightOf } from '@kolleta/core/blanks';
import type { Shape } from '@kolleta/core/job';
import { good, type LengthSystem, type Result } from '@kolleta/core/units';
import { Choice, LengthWord } from '../../ui/tokens';
import { measured, type Reshape } from './reshaping';

interface Props {
  shape: Shape;
  system: LengthSystem;
  reshape: (next: Reshape) => void;
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
      onChange={(height) => reshape((saved) => ({ ...saved, height }))}
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
        onChange={(kind) => reshape((saved) => takenFor(saved, kind))}
      />
      ,{' '}
      {shape.kind === 'flat' && (
        <>
          <LengthWord
            label="Width"
            value={shape.width}
            system={system}
            check={(mm) => checkMeasure(mm, 'Width')}
            onChange={(width) => reshape(measured('flat', () => ({ width })))}
          />{' '}
          wide and {height} tall
        </>
      )}
      {shape.kind === 'cylinder' && (
        <>
          <Across
            name=""
            diameter={shape.diameter}
            system={system}
            onChange={(diameter) => reshape(measured('cylinder', () => ({ diameter })))}
          />{' '}
          and {height} tall
        </>
      )}
      {shape.kind === 'bulb' && (
        <>
          <Across
            name="belly"
            diameter={shape.diameter}
            system={system}
            also={(diameter) => checkBulb({ ...shape, diameter })}
            onChange={(diameter) => reshape(measured('bulb', () => ({ diameter })))}
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
            onChange={(along) => reshape(measured('bulb', () => ({ along })))}
          />{' '}
          along the wall and {height} from foot to rim by tape
        </>
      )}
      {shape.kind === 'taper' && (
        <>
          <Across
            name="rim"
            diameter={shape.rim}
            system={system}
            also={(rim) => checkTaper({ ...shape, rim })}
            onChange={(rim) => reshape(measured('taper', () => ({ rim })))}
          />{' '}
          at the rim,{' '}
          <Across
            name="foot"
            diameter={shape.foot}
            system={system}
            also={(foot) => checkTaper({ ...shape, foot })}
            onChange={(foot) => reshape(measured('taper', () => ({ foot })))}
          />{' '}
          at the foot, {height} along the wall (
          <LengthWord
            label="Upright height"
            value={uprightOf(shape)}
            system={system}
            check={(mm) => checkMeasure(mm, 'Upright height')}
            onChange={(upright) => reshape(measured('taper', ({ rim, foot }) => ({ height: slantOf(rim, foot, upright) })))}
          />{' '}
          upright)
        </>
      )}
    </>
  );
}
