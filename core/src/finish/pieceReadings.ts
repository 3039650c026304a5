import { COAT_SURFACES, COATS, GROUNDS, LEAVABLE } from '../facts';
import { isClear } from '../blanks';
import { removeAt, setAt, type Job, type Piece, type Reading, type Remedy, type Shop } from '../job';
import { rowFor, stateRow } from './prepare';

/** What becomes of an old print: it goes, is covered, or is turned to the back, and whether it may still be seen. */
function printReading({ piece }: Job, { paints }: Pick<Shop, 'paints'>): Reading[] {
  if (!piece.state?.includes('printed')) return [];
  const hides = piece.coat !== undefined && COAT_SURFACES[piece.coat]?.hides === true;
  const name = GROUNDS[piece.ground].name;
  const covering = paints.find(({ coat }) => COAT_SURFACES[coat]?.hides);
  const cover: Remedy[] =
    covering && piece.printGoes !== 'turned' && !hides
      ? [
          {
            label: `Paint over it with ${covering.name}`,
            patch: [
              ...setAt(['piece', 'printGoes'], 'covered'),
              ...setAt(['piece', 'coat'], covering.coat),
              ...setAt(['piece', 'coatPaint'], covering.id),
            ],
          },
        ]
      : [];
  const turn: Remedy[] =
    piece.printGoes === 'turned' || isClear(piece)
      ? []
      : [{ label: 'Turn it to the back', patch: setAt(['piece', 'printGoes'], 'turned') }];
  const reading = (verdict: Reading['verdict'], value: string, why: string, remedies: Remedy[] = [], advice?: string): Reading[] => [
    {
      ...{ id: 'print', station: 'prepare', verdict, title: 'Old print', value, limit: 'not seen in the end', why },
      remedies: verdict === 'fine' ? [] : remedies,
      ...(verdict !== 'fine' && remedies.length === 0 ? { advice: advice ?? 'Choose another piece, or a mark that covers it.' } : {}),
    },
  ];
  if (piece.printGoes === 'turned')
    return isClear(piece)
      ? reading('watch', 'shines through', `It lies on the back, and light passes through ${name}.`, [
          { label: 'Take it off', patch: removeAt(['piece', 'printGoes']) },
        ])
      : reading('fine', 'on the back', 'It is turned away from whoever looks at the piece.');
  if (piece.printGoes === 'covered')
    return hides
      ? reading(
          'fine',
          'covered',
          `${COATS[piece.coat!].name.replace(/^./, (c) => c.toUpperCase())} covers it; dark print may want one coat more.`,
        )
      : reading('watch', 'shows through', 'Nothing that hides goes over it, and a thin film lets it show through.', [...cover, ...turn]);
  if (stateRow('printed', piece)) return reading('fine', 'comes off', 'It is taken off before anything else goes on.');
  return hides
    ? reading('fine', 'covered', `It does not come off ${name}, and the coat covers it.`)
    : reading('watch', 'stays', `It does not come off ${name}, and a thin film lets it show through.`, [...turn, ...cover]);
}

const LEFT_WHY: Record<(typeof LEAVABLE)[number], string> = {
  sand: 'Paint holds on what was not sanded by half as much: the tape may lift it.',
  degrease: 'Paint crawls back from grease, and comes off there with the tape.',
  brush: 'Paint lies on the dust, and comes off with it.',
};
const LEFT_WORDS: Record<(typeof LEAVABLE)[number], string> = { sand: 'sanding', degrease: 'degreasing', brush: 'brushing it down' };

/** Usual steps of this piece's preparation that can be left out, in their order. */
export const leavableOf = (piece: Piece): readonly (typeof LEAVABLE)[number][] => {
  const steps = rowFor('bare', piece)?.steps ?? [];
  return LEAVABLE.filter((key) => steps.some((step) => step.key === key));
};

/** What the maker leaves out of the usual preparation. */
function leftOutReading({ piece }: Job): Reading[] {
  const out = leavableOf(piece).filter((key) => piece.leftOut?.includes(key));
  if (out.length === 0) return [];
  return [
    {
      ...{ id: 'leftout', station: 'prepare', verdict: 'watch', title: 'Left out' },
      value: out.map((key) => LEFT_WORDS[key]).join(' and '),
      limit: 'the usual preparation',
      why: out.map((key) => LEFT_WHY[key]).join(' '),
      remedies: [{ label: 'Do it after all', patch: removeAt(['piece', 'leftOut']) }],
    },
  ];
}

/** What the state of a piece tells: an old print on it, and what of its usual preparation is left out. */
export const pieceReadings = (job: Job, shop: Pick<Shop, 'paints'>): Reading[] => [...printReading(job, shop), ...leftOutReading(job)];
