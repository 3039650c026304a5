import { useState } from 'react';
import { CARRIER_GRADES, KNIFE, USUAL_CUTTERS, USUAL_PRESS, type CarrierGrade } from '@kolleta/core/facts';
import { removeAt, setAt, type Carrier, type Machine, type Press, type Scalar, type Shop } from '@kolleta/core/job';
import { formatLength, good, refused, type Result } from '@kolleta/core/units';
import { editShop } from '../../storage/editShop';
import { takeAway } from '../../storage/takeAway';
import { newId } from '../../storage/newId';
import { AmountWord, Choice, CountWord, LengthWord, Sentence, Switch, TextWord } from '../../ui/tokens';
import { useTell } from '../../ui/toasts';
import { machineLike } from './machineLike';

const GRADES = (Object.keys(CARRIER_GRADES) as CarrierGrade[]).map((value) => ({ value, label: CARRIER_GRADES[value].name }));
/** Nothing moves a knife faster, mm/s. */
const MOST_SPEED = 2000;
/** Machines are drawn with so many px a mm of width. */
const PX_PER_MM = 0.3;

/** A cutter from above: how wide it cuts, with the film that is wider than it. */
function MachineDrawing({ machine, widest }: { machine: Machine; widest: number }) {
  const width = machine.width * PX_PER_MM;
  const film = Math.max(machine.width, widest) * PX_PER_MM;
  return (
    <svg width={film + 24} height={64} role="img" aria-label={`${machine.name}, seen from above`} className="max-w-full">
      {widest > machine.width && (
        <rect x={12} y={2} width={film} height={60} fill="none" stroke="var(--color-error)" strokeDasharray="4 3" />
      )}
      <rect x={12} y={2} width={width} height={60} fill="var(--liner)" stroke="var(--liner-line)" />
      <rect x={4} y={22} width={width + 16} height={20} rx={4} fill="var(--color-base-300)" stroke="var(--color-base-content)" />
      <circle cx={12 + width * 0.6} cy={32} r={4} fill="var(--color-base-content)" />
    </svg>
  );
}

function Carriers({ machine, system, change }: { machine: Machine; system: Shop['lengths']; change: string }) {
  const at = ['machines', machine.id, 'carriers'];
  const set = (carrier: Carrier, field: keyof Carrier, value: Scalar) => editShop(setAt([...at, carrier.id, field], value), change);
  const add = () => {
    const fresh: Carrier = { id: newId(), grade: 'standard', width: machine.width, length: machine.width, uses: 0 };
    void editShop(() => setAt([...at, fresh.id], fresh), 'Add a carrier sheet');
  };
  return (
    <>
      {(machine.carriers ?? []).map((carrier) => (
        <Sentence key={carrier.id}>
          Carrier sheet{' '}
          <LengthWord
            label="Width of the carrier"
            value={carrier.width}
            system={system}
            least={1}
            onChange={(mm) => set(carrier, 'width', mm)}
          />{' '}
          ×{' '}
          <LengthWord
            label="Length of the carrier"
            value={carrier.length}
            system={system}
            least={1}
            onChange={(mm) => set(carrier, 'length', mm)}
          />
          , <Choice label="Hold of the carrier" value={carrier.grade} options={GRADES} onChange={(grade) => set(carrier, 'grade', grade)} />
          , used{' '}
          <CountWord
            label="Uses of the carrier"
            value={carrier.uses}
            least={0}
            most={10_000}
            onChange={(uses) => set(carrier, 'uses', uses)}
          />{' '}
          times{' '}
          <button
            type="button"
            className="btn btn-xs btn-ghost"
            onClick={() => void editShop(removeAt([...at, carrier.id]), 'Take a carrier sheet away')}
          >
            Take away
          </button>
        </Sentence>
      ))}
      <button type="button" className="btn btn-xs btn-outline" onClick={add}>
        Add a carrier sheet
      </button>
    </>
  );
}

function MachineWords({ machine, shop }: { machine: Machine; shop: Shop }) {
  const tell = useTell();
  const system = shop.lengths;
  const change = 'Change a machine';
  const set = (field: keyof Machine, value: Scalar) => editShop(setAt(['machines', machine.id, field], value), change);
  const widest = Math.max(0, ...shop.films.map(({ width }) => width));
  const wider = shop.films.filter(({ width }) => width > machine.width);
  const remove = async () => {
    const back = await takeAway('machines', machine.id, machine.name);
    tell(`${machine.name} is gone.`, { action: { label: 'Undo', run: () => void back() } });
  };
  /** What was typed, where the shortest load is then no longer than the longest. */
  const inOrder = (typed: number, least: number, most: number): Result<number> =>
    least <= most
      ? good(typed)
      : refused(
          `The shortest load would be ${formatLength(least, system)}, and the longest ${formatLength(most, system)}.`,
          'a shortest load below the longest',
          machine.name,
          'Measure again, or change the other one first.',
        );
  const origin = machine.origin ?? { x: 0, y: 0 };
  const setOrigin = (part: 'x' | 'y', mm: number) =>
    editShop((saved) => {
      const now = saved.machines.find(({ id }) => id === machine.id)?.origin ?? { x: 0, y: 0 };
      return setAt(['machines', machine.id, 'origin'], { ...now, [part]: mm });
    }, change);
  return (
    <li className="border-base-300/60 border-b py-2 last:border-0">
      <div className="flex flex-wrap items-center gap-x-4">
        <MachineDrawing machine={machine} widest={widest} />
        <div className="min-w-0 flex-1 basis-72">
          <Sentence>
            <TextWord label="Name of the machine" value={machine.name} onChange={(name) => set('name', name)} /> cuts film up to{' '}
            <LengthWord label="Cutting width" value={machine.width} system={system} least={1} onChange={(mm) => set('width', mm)} /> wide,
            in loads of{' '}
            <LengthWord
              label="Least length"
              value={machine.least}
              system={system}
              check={(mm) => inOrder(mm, mm, machine.most)}
              onChange={(mm) => set('least', mm)}
            />{' '}
            to{' '}
            <LengthWord
              label="Greatest length"
              value={machine.most}
              system={system}
              least={1}
              check={(mm) => inOrder(mm, machine.least, mm)}
              onChange={(mm) => set('most', mm)}
            />
            ,{' '}
            <Switch
              label="How film goes in"
              on={machine.rollFed}
              yes="straight from the roll"
              no="on a carrier sheet"
              onChange={(fed) => set('rollFed', fed)}
            />
            .
          </Sentence>
          {wider.length > 0 && (
            <p className="quiet text-sm">
              {wider.length === 1 ? `${wider[0]!.name} is` : `${wider.length} films are`} wider: trimmed to{' '}
              {formatLength(machine.width, system, { digits: 0 })} before it is cut here.
            </p>
          )}
          <details>
            <summary className="quiet cursor-pointer text-sm">Speeds, step, zero, pens, carrier sheets</summary>
            <Sentence>
              The knife runs at{' '}
              <AmountWord
                label="Knife speed"
                value={machine.knife}
                unit="mm/s"
                least={1}
                most={MOST_SPEED}
                onChange={(n) => set('knife', n)}
              />
              , between cuts at{' '}
              <AmountWord
                label="Travel speed"
                value={machine.travel}
                unit="mm/s"
                least={1}
                most={MOST_SPEED}
                onChange={(n) => set('travel', n)}
              />
              . Loading takes <AmountWord label="Minutes to load" value={machine.load} unit="min" onChange={(n) => set('load', n)} />. Its
              finest step is{' '}
              <AmountWord
                label="Finest step"
                value={machine.step ?? KNIFE.step}
                unit="mm"
                most={1}
                least={0.001}
                onChange={(n) => set('step', n)}
              />
              ; its zero lies <LengthWord label="Zero across" value={origin.x} system={system} onChange={(mm) => setOrigin('x', mm)} />{' '}
              across and <LengthWord label="Zero along" value={origin.y} system={system} onChange={(mm) => setOrigin('y', mm)} /> along from
              the film’s lower left corner. The tip of its knife trails{' '}
              <AmountWord
                label="How far the knife trails"
                value={machine.knifeOffset ?? 0}
                unit="mm"
                least={0}
                most={KNIFE.mostOffset}
                onChange={(n) => set('knifeOffset', n)}
              />{' '}
              behind its axis: 0 where the machine makes up for that itself. It holds{' '}
              <CountWord label="Pens" value={machine.pens ?? 0} least={0} most={20} onChange={(n) => set('pens', n)} /> pens beside the
              knife.
            </Sentence>
            <Carriers machine={machine} system={system} change={change} />
          </details>
        </div>
        <button
          type="button"
          className="btn btn-sm btn-ghost border-base-300"
          aria-label={`Remove ${machine.name}`}
          onClick={() => void remove()}
        >
          Remove
        </button>
      </div>
    </li>
  );
}

function PressWords({ press, system }: { press: Press; system: Shop['lengths'] }) {
  const set = (field: keyof Press, value: Scalar) => editShop(setAt(['presses', press.id, field], value), 'Change a press');
  return (
    <li className="flex flex-wrap items-center gap-2">
      <Sentence className="flex-1">
        <TextWord label="Name of the press" value={press.name} onChange={(name) => set('name', name)} />, its plate{' '}
        <LengthWord label="Width of the plate" value={press.width} system={system} least={1} onChange={(mm) => set('width', mm)} /> ×{' '}
        <LengthWord label="Depth of the plate" value={press.height} system={system} least={1} onChange={(mm) => set('height', mm)} />.
      </Sentence>
      <button
        type="button"
        className="btn btn-sm btn-ghost border-base-300"
        aria-label={`Remove ${press.name}`}
        onClick={() => void editShop(removeAt(['presses', press.id]), 'Remove a press')}
      >
        Remove
      </button>
    </li>
  );
}

/** The cutters and the heat presses of the workshop. */
export function MachinesCard({ shop }: { shop: Shop }) {
  const [adding, setAdding] = useState(false);
  const add = (i: number) => {
    const machine = machineLike(USUAL_CUTTERS[i]!, shop.lengths, newId);
    setAdding(false);
    void editShop(() => setAt(['machines', machine.id], machine), `Add ${machine.name}`);
  };
  const addPress = () => {
    const press: Press = { id: newId(), ...USUAL_PRESS };
    void editShop(() => setAt(['presses', press.id], press), 'Add a press');
  };
  return (
    <section id="machines" aria-label="Machines" className="sheet px-4 py-3">
      <div className="flex flex-wrap items-center gap-2">
        <h2 className="mr-auto text-lg font-bold">Cutters and presses</h2>
        <button type="button" className="btn btn-sm btn-outline btn-primary" aria-expanded={adding} onClick={() => setAdding(!adding)}>
          Add a cutter
        </button>
        <button type="button" className="btn btn-sm btn-outline btn-primary" onClick={addPress}>
          Add a press
        </button>
      </div>
      {adding && (
        <ul className="my-2 flex flex-wrap gap-2">
          {USUAL_CUTTERS.map((cutter, i) => (
            <li key={cutter.name}>
              <button type="button" className="btn btn-sm btn-outline" onClick={() => add(i)}>
                {cutter.name}, {formatLength(cutter.width, shop.lengths, { digits: 0 })}
              </button>
            </li>
          ))}
        </ul>
      )}
      {shop.machines.length === 0 && (
        <p className="quiet py-2">No cutter yet. Add one: how wide it cuts decides what lies beside what, and how long it takes.</p>
      )}
      <ul>
        {shop.machines.map((machine) => (
          <MachineWords key={machine.id} machine={machine} shop={shop} />
        ))}
      </ul>
      <ul>
        {(shop.presses ?? []).map((press) => (
          <PressWords key={press.id} press={press} system={shop.lengths} />
        ))}
      </ul>
    </section>
  );
}
