import { diameterFrom } from '@kolleta/core/blanks';
import { LengthWord } from '../../ui/tokens';

/** Diameter and wrap measured both: they have to agree. */
export function TwoMeasures({
  diameter,
  system,
  onAgreed,
}: {
  diameter: number;
  system: 'mm' | 'inch';
  onAgreed: (diameter: number) => void;
}) {
  return (
    <p className="quiet text-sm leading-7">
      Or measure around it with string:{' '}
      <LengthWord
        label="Wrap by string"
        value={Math.PI * diameter}
        system={system}
        check={(wrap) => {
          const both = diameterFrom({ diameter, wrap });
          return both.ok ? diameterFrom({ wrap }) : both;
        }}
        onChange={onAgreed}
      />
      , and it is checked against the diameter.
    </p>
  );
}
