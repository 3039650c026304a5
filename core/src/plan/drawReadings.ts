import { fileWith, joiningScripts, unknownColumns, withoutColumns, type Faces } from '../artwork';
import { aboutMark, removeAt, setAt, type Job, type Reading, type Shop } from '../job';
import { colourReadings } from './colourReadings';
import type { Memo } from './memo';
import { drawingsReading, termsReading } from './artworkReadings';
import { kindReading } from './kindReading';
import type { FittingWork } from './planMark';

/** What drawing tells: missing letters, things left out of a drawing, nothing to cut, film that does not suit. */
export function drawReadings(work: FittingWork, job: Job, shop: Shop, faces: Faces, memo: Memo): Reading[] {
  const { mark, missing } = work.plan;
  const readings: Reading[] = [];
  const about = aboutMark(mark, job.marks.length > 1);
  if (missing.length > 0 && mark.artwork.kind === 'text') {
    const { lines } = mark.artwork;
    const has = (id: string, character: string) => {
      const face = faces.get(id);
      return face !== undefined && fileWith(face, character) !== undefined;
    };
    const other = [...faces.keys()].find((face) => missing.every((character) => has(face, character)));
    // letters of the rows of a list are not in the line itself, and the names of its columns stay whole
    const listed = work.rows.length > 0;
    const pieces = (text: string) => (listed ? (text.match(/\{[^}]*\}|./gsu) ?? []) : [...text]);
    const stripped = (text: string) =>
      pieces(text)
        .filter((piece) => !missing.includes(piece))
        .join('');
    const lacking = lines.filter((line) => (listed && line.text.includes('{')) || [...line.text].some((c) => missing.includes(c)));
    const left =
      missing.every((c) => lines.some((line) => pieces(line.text).includes(c))) && lines.some((line) => stripped(line.text).trim() !== '');
    const of = (line: string, field: 'face' | 'text') => ['marks', mark.id, 'artwork', 'lines', line, field];
    readings.push({
      id: `glyphs:${mark.id}`,
      station: 'draw',
      verdict: 'stop',
      title: 'Missing letters',
      ...about,
      value: missing.map((c) => `“${c}”`).join(' '),
      limit: 'every letter',
      why: 'The chosen font cannot draw them, and a gap would be cut instead.',
      remedies: [
        ...(other
          ? [
              {
                label: 'Use a font that has them',
                patch: lacking.flatMap((line) => setAt(of(line.id, 'face'), other)),
              },
            ]
          : []),
        ...(left ? [{ label: 'Leave them out', patch: lacking.flatMap((line) => setAt(of(line.id, 'text'), stripped(line.text))) }] : []),
      ],
      advice: left
        ? undefined
        : listed
          ? 'Or write those rows of the list without them.'
          : 'Type other words, or bring the mark as an SVG drawing.',
    });
  }
  if (work.drawn.layers.length === 0) {
    readings.push({
      id: `empty:${mark.id}`,
      station: 'draw',
      verdict: 'stop',
      title: 'Nothing to cut yet',
      ...about,
      value: 'empty',
      limit: 'a word or a drawing',
      why: 'The mark has no outline.',
      remedies: [],
      advice: 'Type a word, or drop an SVG drawing on the piece.',
    });
  }
  const drops = mark.edits.filter((edit) => edit.kind === 'dropSmall');
  if (work.drawn.layers.length > 0 && work.shaped.every((layer) => layer.region.length === 0)) {
    readings.push({
      id: `empty:${mark.id}`,
      station: 'draw',
      verdict: 'stop',
      title: 'Nothing is left to cut',
      ...about,
      value: 'nothing left',
      limit: 'a word or a drawing',
      why: drops.length > 0 ? 'Every part of it is so small that it is dropped.' : 'Its changes take all of it away.',
      remedies:
        drops.length > 0
          ? [{ label: 'Drop no small parts', patch: drops.flatMap((edit) => removeAt(['marks', mark.id, 'edits', edit.id])) }]
          : [],
      advice: drops.length > 0 ? undefined : 'Take a change away in Draw, or make the mark larger.',
    });
  }
  if (mark.artwork.kind === 'drawing' && mark.artwork.leftOut.length > 0) {
    const { artwork } = mark;
    readings.push({
      id: `left:${mark.id}`,
      station: 'draw',
      verdict: 'watch',
      title: `Left out of ${artwork.name}`,
      mark: mark.id,
      value: `${artwork.leftOut.length}`,
      limit: 'nothing',
      why: `${artwork.leftOut.join('; ')}.`,
      remedies: [
        {
          label: 'That is all right',
          patch: [{ op: 'set', path: ['marks', mark.id, 'artwork', 'leftOut'], value: [] }],
        },
      ],
    });
  }
  readings.push(
    ...scriptReading(work, job, about),
    ...columnReading(work, job, about),
    ...drawingsReading(work, job, shop, about),
    ...joinReading(work, about),
    ...termsReading(work, job, shop, about),
    ...colourReadings(work, shop, about, memo),
  );
  if (mark.flip && mark.artwork.kind === 'text' && missing.length === 0)
    readings.push({
      id: `flip:${mark.id}`,
      station: 'draw',
      verdict: 'watch',
      title: 'Flipped words',
      ...about,
      value: 'read backwards',
      limit: 'as they are read',
      why: 'The words are turned left to right. What is pressed on, or seen through the piece, is mirrored by itself when it is cut.',
      remedies: [{ label: 'Turn them back', patch: setAt(['marks', mark.id, 'flip'], false) }],
    });
  readings.push(...kindReading(work, job, shop, about));
  return readings;
}

/** Spacing between letters of a script that joins them is laid between words only. */
function scriptReading({ plan: { mark } }: FittingWork, job: Job, about: Pick<Reading, 'mark' | 'of'>): Reading[] {
  const { artwork } = mark;
  if (artwork.kind !== 'text') return [];
  const cells = job.list?.rows.flatMap((row) => row.cells) ?? [];
  const spaced = artwork.lines.filter(({ spacing }) => spacing !== 0);
  const scripts = [...new Set(spaced.flatMap(({ text }) => (text.includes('{') ? [text, ...cells] : [text])).flatMap(joiningScripts))];
  if (scripts.length === 0) return [];
  return [
    {
      id: `script:${mark.id}`,
      station: 'draw',
      verdict: 'watch',
      title: 'Space between joined letters',
      ...about,
      value: scripts.join(', '),
      limit: 'between words only',
      why: 'Letters of this script join: space between them would tear the word apart, so that it is laid between words.',
      remedies: [
        {
          label: 'No space between letters',
          patch: spaced.flatMap((line) => setAt(['marks', mark.id, 'artwork', 'lines', line.id, 'spacing'], 0)),
        },
      ],
    },
  ];
}

/** Words in braces that no column of the list answers to: they would be cut as they stand. */
function columnReading({ plan: { mark } }: FittingWork, job: Job, about: Pick<Reading, 'mark' | 'of'>): Reading[] {
  if (mark.artwork.kind !== 'text') return [];
  const unknown = unknownColumns(mark.artwork, job.list);
  if (unknown.length === 0) return [];
  return [
    {
      id: `column:${mark.id}`,
      station: 'draw',
      verdict: 'watch',
      title: 'Words from a list',
      ...about,
      value: unknown.map((name) => `{${name}}`).join(' '),
      limit: job.list ? job.list.columns.map((name) => `{${name}}`).join(' ') : 'no list yet',
      why: `${job.list ? 'The list has no such column' : 'There is no list to take it from'}: the braces would be cut as they stand.`,
      remedies: [
        {
          label: 'Leave the braces out',
          patch: mark.artwork.lines.flatMap((line) =>
            setAt(['marks', mark.id, 'artwork', 'lines', line.id, 'text'], withoutColumns(line.text, unknown)),
          ),
        },
      ],
      advice: job.list ? 'Or name a column of the list.' : 'Or take a list in, below the words.',
    },
  ];
}

/** Where joined letters had to be moved together, and where they could not be. */
function joinReading(work: FittingWork, about: Pick<Reading, 'mark' | 'of'>): Reading[] {
  const { closedUp } = work.drawn;
  const { mark } = work.plan;
  if (mark.artwork.kind !== 'text' || !mark.artwork.lines.some((line) => line.joined)) return [];
  const apart = closedUp.filter((c) => c.by === undefined);
  const closed = closedUp.filter((c) => c.by !== undefined);
  const named = (list: typeof closedUp) => [...new Set(list.map((c) => `“${c.pair}”`))].slice(0, 12).join(', ');
  return [
    {
      id: `joined:${mark.id}`,
      station: 'draw',
      verdict: apart.length > 0 ? 'watch' : 'fine',
      title: 'Letters joined',
      ...about,
      value: closed.length === 0 ? 'all touch by themselves' : `${closed.length} moved`,
      limit: 'every letter touches the next',
      why:
        apart.length > 0
          ? `${named(apart)} cannot be moved together: the word falls into parts there.`
          : closed.length > 0
            ? `Closed up until they touch at ${named(closed)}; the rest touched already. Dots and accents stand by themselves.`
            : 'Every letter reaches the next. Dots and accents stand by themselves.',
      remedies:
        apart.length > 0
          ? [
              {
                label: 'Let the letters stand as they are',
                patch: mark.artwork.lines
                  .filter((l) => l.joined)
                  .map((l) => ({ op: 'set' as const, path: ['marks', mark.id, 'artwork', 'lines', l.id, 'joined'], value: false })),
              },
            ]
          : [],
      advice: apart.length > 0 ? 'Or choose a script whose letters reach each other.' : undefined,
    },
  ];
}
