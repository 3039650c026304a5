import { removeAt, setAt } from '@kolleta/core/job';
import { Choice, Sentence, Switch } from '../../ui/tokens';
import type { StationProps } from '../../frame/station';

/** What is on the bare piece: wax, a label. */
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
      .
    </Sentence>
  );
}
