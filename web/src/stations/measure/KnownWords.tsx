import { KNOWN_SHEETS } from '@kolleta/core/facts';
import type { Photo } from '@kolleta/core/job';
import type { LengthSystem } from '@kolleta/core/units';
import { Choice, LengthWord, Sentence } from '../../ui/tokens';
import { lengthOn, sheetOn } from './usePhoto';

const SHEETS = Object.entries(KNOWN_SHEETS);

interface Props {
  photo: Photo;
  know: (next: (saved: Photo['known']) => Photo['known']) => void;
  system: LengthSystem;
}

/** What on a photo has a known size. */
export function KnownWords({ photo, know, system }: Props) {
  const { known } = photo;
  const sheet =
    known.kind === 'sheet' ? (SHEETS.find(([, s]) => s.width === known.width && s.height === known.height)?.[0] ?? 'own') : 'length';
  const choose = (id: string) => {
    const size = SHEETS.find(([key]) => key === id)?.[1] ?? { width: 200, height: 100 };
    if (id === 'length') know(() => lengthOn(photo, 100));
    else know((saved) => (saved.kind === 'sheet' ? { ...saved, width: size.width, height: size.height } : sheetOn(photo, size)));
  };
  return (
    <Sentence className="text-[0.97rem]!">
      It is{' '}
      <Choice
        label="What is known"
        value={sheet}
        options={[
          ...SHEETS.map(([value, { name }]) => ({ value, label: name })),
          { value: 'own', label: 'a rectangle of' },
          { value: 'length', label: 'only a length of' },
        ]}
        onChange={choose}
      />
      {known.kind === 'sheet' && sheet === 'own' && (
        <>
          {' '}
          <LengthWord
            label="Known width"
            value={known.width}
            system={system}
            least={1}
            onChange={(width) => know((saved) => (saved.kind === 'sheet' ? { ...saved, width } : saved))}
          />{' '}
          by{' '}
          <LengthWord
            label="Known height"
            value={known.height}
            system={system}
            least={1}
            onChange={(height) => know((saved) => (saved.kind === 'sheet' ? { ...saved, height } : saved))}
          />
        </>
      )}
      {known.kind === 'length' && (
        <>
          {' '}
          <LengthWord
            label="Known length"
            value={known.length}
            system={system}
            least={1}
            onChange={(length) => know((saved) => (saved.kind === 'length' ? { ...saved, length } : saved))}
          />
          , photographed straight on
        </>
      )}
      .
    </Sentence>
  );
}
