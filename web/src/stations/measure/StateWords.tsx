import { Fragment } from 'react';
import { removeAt, setAt } from '@kolleta/core/job';
import { COAT_SURFACES, COATS, GROUNDS, type CoatId } from '@kolleta/core/facts';
import { now } from '../../storage/clock';
import { Choice, Sentence, Switch } from '../../ui/tokens';
import type { StationProps } from '../../frame/station';

/** What the bare piece may have to be freed of, or made good, first. */
const STATES = [
  { id: 'greasy', yes: 'greasy', no: 'free of grease' },
  { id: 'dusty', yes: 'dusty', no: 'free of dust' },
  { id: 'grooved', yes: 'with grooves to fill', no: 'without grooves' },
  { id: 'printed', yes: 'with an old print', no: 'without an old print' },
] as const;

const OLD_COATS: readonly { value: CoatId | 'none'; label: string }[] = [
  { value: 'none', label: 'not painted yet' },
  ...(Object.keys(COAT_SURFACES) as CoatId[]).map((value) => ({ value, label: `with ${COATS[value].name} on it` })),
];

const DAY_MS = 24 * 60 * 60_000;
const DAYS_AGO = { today: 0, yesterday: 1, days: 3, weeks: 14 } as const;
type Age = keyof typeof DAYS_AGO | 'long';
const AGES: readonly { value: Age; label: string }[] = [
  { value: 'today', label: 'just now' },
  { value: 'yesterday', label: 'yesterday' },
  { value: 'days', label: 'some days ago' },
  { value: 'weeks', label: 'two weeks ago' },
  { value: 'long', label: 'long ago' },
];

/** How long ago a coat was put on, in the words that it is chosen by. */
function ageOf(put: number | undefined, at: number): Age {
  if (put === undefined) return 'long';
  const days = (at - put) / DAY_MS;
  return days < 0.5 ? 'today' : days < 2 ? 'yesterday' : days < 7 ? 'days' : 'weeks';
}

/** What is on the bare piece: wax, a label, grease, dust, grooves, an old print. */
export function StateWords({ job, edit }: Pick<StationProps, 'job' | 'edit'>) {
  const { piece } = job;
  const at = now();
  return (
    <Sentence className="text-[0.97rem]!">
      It is{' '}
      <Switch
        label="Wax"
        on={piece.waxed}
        yes="waxed or oiled"
        no="free of wax"
        onChange={(on) => edit(setAt(['piece', 'waxed'], on), 'Change the wax')}
      />
      , with{' '}
      <Choice
        label="Label"
        value={piece.labelled ?? 'none'}
        options={[
          { value: 'none', label: 'no label on it' },
          { value: 'paper', label: 'a paper label to take off' },
          { value: 'plastic', label: 'a plastic label to take off' },
        ]}
        onChange={(of) => edit(of === 'none' ? removeAt(['piece', 'labelled']) : setAt(['piece', 'labelled'], of), 'Change the label')}
      />
      {STATES.map(({ id, yes, no }) => (
        <Fragment key={id}>
          ,{' '}
          <Switch
            label={yes}
            on={piece.state?.includes(id) ?? false}
            yes={yes}
            no={no}
            onChange={(on) =>
              edit((saved) => {
                const others = (saved.piece.state ?? []).filter((one) => one !== id);
                return setAt(['piece', 'state'], on ? [...others, id] : others);
              }, 'Change the state of the piece')
            }
          />
        </Fragment>
      ))}
      {piece.state?.includes('printed') && (
        <>
          {' '}
          that is{' '}
          <Choice
            label="Old print"
            value={piece.printGoes ?? 'off'}
            options={[
              { value: 'off', label: 'taken off' },
              { value: 'covered', label: 'painted over' },
              { value: 'turned', label: 'turned to the back' },
            ]}
            onChange={(to) =>
              edit(to === 'off' ? removeAt(['piece', 'printGoes']) : setAt(['piece', 'printGoes'], to), 'Change what becomes of the print')
            }
          />
        </>
      )}
      ,{' '}
      <Choice
        label="Coat that is on it"
        value={piece.painted?.coat ?? 'none'}
        options={OLD_COATS}
        onChange={(coat) =>
          edit((saved) => {
            if (coat === 'none') return removeAt(['piece', 'painted']);
            // another coat was put on when the one before was
            return saved.piece.painted ? setAt(['piece', 'painted', 'coat'], coat) : setAt(['piece', 'painted'], { coat });
          }, 'Change what is on it')
        }
      />
      {piece.painted && (
        <>
          {' '}
          put on{' '}
          <Choice
            label="When it was painted"
            value={ageOf(piece.painted.at, at)}
            options={AGES}
            onChange={(age) =>
              edit(
                age === 'long' ? removeAt(['piece', 'painted', 'at']) : setAt(['piece', 'painted', 'at'], now() - DAYS_AGO[age] * DAY_MS),
                'Change when it was painted',
              )
            }
          />
        </>
      )}
      {GROUNDS[piece.ground].porous && (
        <>
          ,{' '}
          <Switch
            label="Sealed before its coat"
            on={piece.primed ?? false}
            yes="sealed before it is painted, for it is thirsty"
            no="not sealed before it is painted"
            onChange={(on) => edit(on ? setAt(['piece', 'primed'], true) : removeAt(['piece', 'primed']), 'Change the first sealer')}
          />
        </>
      )}
      {GROUNDS[piece.ground].material === 'cloth' && (
        <>
          ; the cloth{' '}
          <Switch
            label="Stretches"
            on={piece.stretches ?? false}
            yes="stretches"
            no="does not stretch"
            onChange={(on) => edit(setAt(['piece', 'stretches'], on), 'Change the cloth')}
          />
        </>
      )}
      .
    </Sentence>
  );
}
