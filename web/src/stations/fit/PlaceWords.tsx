import { removeAt, setAt, type Mark, type Scalar } from '@kolleta/core/job';
import { formatLength, good, parseLength, parseNumber, type LengthSystem, type Result } from '@kolleta/core/units';
import { Choice, Switch, Typed } from '../../ui/tokens';
import type { Saving } from '../../ui/held';
import { centred } from './Movable';
import type { StationProps } from '../../frame/station';

const readDegrees = (text: string) => parseNumber(text, 'Turn', { least: -360, most: 360, units: ['°'] });

/** How far a mark was moved one way: typed, with "left", "down" or a minus for the other way. */
function OffsetWord({
  label,
  mm,
  ways: [back, on],
  system,
  onChange,
}: {
  label: string;
  mm: number;
  ways: readonly [back: string, on: string];
  system: LengthSystem;
  onChange: (mm: number) => Saving;
}) {
  const read = (text: string): Result<number> => {
    const other = /^[-−–]/.test(text.trim()) || text.toLowerCase().includes(back);
    const length = parseLength(text.replace(/^\s*[-−–+]/, '').replace(new RegExp(`${back}|${on}`, 'i'), ''), system, label);
    return length.ok ? good(other ? -length.value : length.value) : length;
  };
  return <Typed label={label} shown={`${formatLength(Math.abs(mm), system)} ${mm < 0 ? back : on}`} read={read} onChange={onChange} />;
}

/** Where a mark is held in its zone, and how it is turned. */
export function PlaceWords({ mark, edit, system }: { mark: Mark; edit: StationProps['edit']; system: LengthSystem }) {
  const set = (field: keyof Mark, value: Scalar | undefined, label: string) =>
    edit(value === undefined ? removeAt(['marks', mark.id, field]) : setAt(['marks', mark.id, field], value), label);
  const { hold, offset, turn } = mark;
  const move = (way: 'x' | 'y', mm: number) => edit(setAt(['marks', mark.id, 'offset', way], mm), 'Move the mark');
  const place = mark.optical ? 'optical' : hold ? `${hold.x ?? ''} ${hold.y ?? ''}` : 'centre';
  const holds: { value: string; label: string }[] = [
    { value: 'centre', label: 'in the middle' },
    { value: 'optical', label: 'in the middle by weight' },
    { value: 'left ', label: 'at the left' },
    { value: 'right ', label: 'at the right' },
    { value: ' foot', label: 'at the lower edge' },
    { value: ' top', label: 'at the upper edge' },
    { value: 'left foot', label: 'in the lower left corner' },
    { value: 'right foot', label: 'in the lower right corner' },
    { value: 'left top', label: 'in the upper left corner' },
    { value: 'right top', label: 'in the upper right corner' },
  ];
  const choose = (value: string) => {
    const [x, y] = value.split(' ');
    const next = value === 'centre' || value === 'optical' ? undefined : { ...(x ? { x } : {}), ...(y ? { y } : {}) };
    edit(
      () => [
        ...(next ? setAt(['marks', mark.id, 'hold'], next) : removeAt(['marks', mark.id, 'hold'])),
        ...setAt(['marks', mark.id, 'optical'], value === 'optical'),
        ...centred(mark.id),
      ],
      'Hold the mark',
    );
  };
  return (
    <>
      <Choice label="Place" value={place} options={holds} onChange={choose} />, moved{' '}
      <OffsetWord label="Moved to the right" mm={offset.x} ways={['left', 'right']} system={system} onChange={(mm) => move('x', mm)} /> and{' '}
      <OffsetWord label="Moved up" mm={offset.y} ways={['down', 'up']} system={system} onChange={(mm) => move('y', mm)} />,{' '}
      <Choice
        label="Turn of the mark"
        value={turn === 'best' ? 'best' : turn ? 'by' : 'upright'}
        options={[
          { value: 'upright', label: 'upright' },
          { value: 'by', label: 'turned by' },
          { value: 'best', label: 'turned as it becomes largest' },
        ]}
        onChange={(value) => set('turn', value === 'upright' ? undefined : value === 'best' ? 'best' : 90, 'Turn the mark')}
      />
      {typeof turn === 'number' && turn !== 0 && (
        <>
          {' '}
          <Typed
            label="Degrees"
            shown={`${turn}°`}
            read={readDegrees}
            onChange={(n) => set('turn', n === 0 ? undefined : n, 'Turn the mark')}
          />
        </>
      )}
      ,{' '}
      <Switch
        label="Edge"
        on={mark.overEdge ?? false}
        yes="trimmed where it runs over the edge"
        no="kept inside the edge"
        onChange={(on) => set('overEdge', on, 'Choose the edge')}
      />
    </>
  );
}
