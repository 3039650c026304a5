import type { Job, Mark, TextLine } from '@kolleta/core/job';
import { newId } from '../../storage/newId';

/** A line of text with nothing in it yet. */
export const newLine = (face: string): TextLine => ({ id: newId(), text: '', face, scale: 1, spacing: 0 });

/** A mark like the others, with nothing on it yet. */
export function blankMark(job: Job, like: Mark | undefined, film: string): Mark {
  return {
    id: newId(),
    name: `mark ${job.marks.length + 1}`,
    zone: like?.zone ?? job.zones[0]!.id,
    technique: 'decal',
    artwork: { kind: 'text', lines: [newLine('montserrat')], align: 'centre', lineSpacing: 1 },
    edits: [],
    colourFilms: {},
    film: like?.film ?? film,
    flip: false,
    seenThrough: like?.seenThrough ?? false,
    size: { mode: 'largest' },
    offset: { x: 0, y: 0 },
    subtle: false,
    coats: 2,
    pullAt: 'halfDry',
  };
}
