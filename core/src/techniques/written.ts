import { FACES, LABEL } from '../facts';
import { aboutMark, setAt, writesStrokes, type Making, type Reading, type Remedy } from '../job';
import { formatLength } from '../units';
import { stuckOn } from './stuckOn';
import type { JobMark, TechniqueFile, TechniqueShop } from './technique';

type Written = Extract<Making, { technique: 'written' }>;

/** Whether a pen can write letters so small. */
function penReading({ job, mark, layers }: JobMark<Written>, { lengths }: TechniqueShop): Reading[] {
  const [first] = layers;
  if (!first || mark.artwork.kind !== 'text') return [];
  const lines = mark.artwork.lines.filter(({ text }) => text.trim() !== '');
  const parts = lines.reduce((sum, { scale }) => sum + scale, 0) + Math.max(0, lines.length - 1) * (mark.artwork.lineSpacing - 1);
  const least = (first.height / Math.max(0.01, parts)) * Math.min(...lines.map(({ scale }) => scale));
  const single = writesStrokes(mark);
  const limit = single ? LABEL.leastStroke : LABEL.leastOutlined;
  const small = least < limit;
  const strokes = FACES.find(({ family }) => family === 'stroke');
  const inStrokes: Remedy[] =
    small && !single && strokes && least >= LABEL.leastStroke
      ? [
          {
            label: 'Write it in single strokes',
            patch: mark.artwork.lines.flatMap(({ id }) => setAt(['marks', mark.id, 'artwork', 'lines', id, 'face'], strokes.id)),
          },
        ]
      : [];
  const say = (mm: number) => formatLength(mm, lengths);
  return [
    {
      id: `pen:${mark.id}`,
      station: 'cut',
      verdict: small ? 'watch' : 'fine',
      title: 'Letters for the pen',
      ...aboutMark(mark, job.marks.length > 1),
      value: `about ${say(least)} high`,
      limit: `${say(limit)} high`,
      why: small
        ? `A pen of ${say(LABEL.pen)} fills in letters as small as these.`
        : single
          ? `A pen of ${say(LABEL.pen)} writes each letter in single strokes, and clearly.`
          : `A pen of ${say(LABEL.pen)} draws the outline of each letter clearly.`,
      remedies: [
        ...inStrokes,
        ...(small && mark.size.mode !== 'largest'
          ? [{ label: 'As large as fits', patch: setAt(['marks', mark.id, 'size'], { mode: 'largest' }) }]
          : []),
      ],
      ...(small ? { advice: 'Say less, or take a finer pen and a plain, wide font.' } : {}),
    },
  ];
}

/** A label that a pen writes and the knife cuts out: no weeding, no tape, put down by hand. */
export const written: TechniqueFile<Written> = { make: stuckOn, readings: penReading };
