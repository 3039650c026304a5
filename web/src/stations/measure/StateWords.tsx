import { Fragment } from 'react';
import { removeAt, setAt } from '@kolleta/core/job';
import { GROUNDS } from '@kolleta/core/facts';
import { Choice, Sentence, Switch } from '../../ui/tokens';
import type { StationProps } from '../../frame/station';

/** What the bare piece may have to be freed of, or made good, first. */
const STATES = [
  { id: 'greasy', yes: 'greasy', no: 'free of grease' },
  { id: 'dusty', yes: 'dusty', no: 'free of dust' },
  { id: 'grooved', yes: 'with grooves to fill', no: 'without grooves' },
  { id: 'printed', yes: 'with an old print to take off', no: 'without an old print' },
] as const;

/** What is on the bare piece: wax, a label, grease, dust, grooves, an old print. */
export function StateWords({ job, edit }: Pick<StationProps, 'job' | 'edit'>) {
  const { piece } = job;
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
