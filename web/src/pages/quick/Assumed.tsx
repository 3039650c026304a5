import { CONTACTS, GROUNDS, TECHNIQUES } from '@kolleta/core/facts';
import { beforeCutOf, type FilmLayout } from '@kolleta/core/cut';
import { isClear } from '@kolleta/core/blanks';
import type { Edit, Job } from '@kolleta/core/job';
import { beforeCutWords } from '@kolleta/core/words';
import { aOrAn, formatLength, listed, type LengthSystem } from '@kolleta/core/units';

const FIXED: Partial<Record<Edit['kind'], string>> = {
  thicken: 'made stouter',
  dropSmall: 'its smallest parts dropped',
  backing: 'backed with another film',
  silhouette: 'its insides filled',
  oneOutline: 'made one outline',
};

/** What a quick mark takes for granted, and what was fixed in it: all of it is in what is cut. */
export function Assumed({
  draft: { piece, zones, marks },
  layout,
  system,
  onEdits,
}: {
  draft: Job;
  layout: FilmLayout | undefined;
  system: LengthSystem;
  onEdits: () => void;
}) {
  const mark = marks[0]!;
  const [zone] = zones;
  const fixed = mark.edits.flatMap((edit) => FIXED[edit.kind] ?? []);
  const say = (mm: number) => formatLength(mm, system, { digits: 0 });
  const taken = [
    `one piece of ${GROUNDS[piece.ground].name}, ${CONTACTS[piece.contact].name}`,
    piece.use.drink && zone && zone.lipBand > 0
      ? `somebody drinks from it, so ${say(zone.lipBand)} below the rim stay clear`
      : 'nobody drinks from it and no food lies on it',
    ...(isClear(piece) ? ['a plain light room behind it'] : []),
    `${say(zone?.breathing ?? 0)} of room all round`,
  ];
  return (
    <p className="quiet mt-2 text-[0.92rem] leading-snug">
      Taken for granted: {taken.join('; ')}. It is {aOrAn(TECHNIQUES[mark.technique].name)}
      {layout?.machine ? `, cut on the ${layout.machine.name}` : ', for whatever cutter you have'}.{' '}
      {layout && beforeCutWords(beforeCutOf(layout).before, say)}
      {fixed.length > 0 && (
        <>
          It was {listed(fixed)}.{' '}
          <button type="button" className="min-h-6 underline" onClick={onEdits}>
            Take that back
          </button>
        </>
      )}
    </p>
  );
}
