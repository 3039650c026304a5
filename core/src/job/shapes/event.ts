import Type from 'typebox';
import type { Region } from '../../geometry';
import { COATS, CUT_OUTCOMES, FILM_KINDS, FINISH_GRIP, GROUNDS, STEP_KINDS, STOCK_KINDS, TAPE_KINDS, TECHNIQUES } from '../../facts';
import {
  id,
  instant,
  list,
  maybe,
  measure,
  name,
  number,
  oneBy,
  over0,
  place,
  record,
  rowOf,
  text,
  whole,
  word,
  words,
  yes,
} from './shape';

const base = { id, at: instant };
const step = text(400, 1);
const title = text(400);

/** What a step was about, as far as it makes a difference to how long it takes and how it comes out. */
export const stepOf = record(
  {
    film: maybe(rowOf(FILM_KINDS, 'filmKind')),
    finish: maybe(rowOf(FINISH_GRIP, 'finish')),
    ground: maybe(rowOf(GROUNDS, 'ground')),
    technique: maybe(rowOf(TECHNIQUES, 'technique')),
    tape: maybe(rowOf(TAPE_KINDS, 'tapeKind')),
    /** Whose hands did it, where there are several people. */
    who: maybe(id),
  },
  'stepOf',
);

/** What can be learnt from the end of a step. Entries of older files lack it. */
const learnable = {
  /** What kind of step it was. */
  work: maybe(rowOf(STEP_KINDS, 'stepKind')),
  /** The minutes that were computed for it before anything was learnt. */
  unlearned: maybe(number(0)),
  /** Whether its minutes were measured or typed; where they were not, `actual` is what was planned, and says nothing. */
  timed: maybe(yes),
  of: maybe(stepOf),
};

const ended = { ...base, job: id, step, title, planned: number(0), actual: number(0), note: maybe(words), ...learnable };

/** A small picture as it stands in a page, so that it travels in files. */
const smallPhoto = Type.Unsafe<string>({
  type: 'string',
  maxLength: 120_000,
  pattern: '^data:image/(jpeg|png|webp);base64,[A-Za-z0-9+/=]+$',
});

/** What film was cut from. */
export const cutFrom = oneBy(
  'kind',
  [record({ kind: Type.Literal('roll') }), record({ kind: Type.Literal('sheet'), id }), record({ kind: Type.Literal('offcut'), id })],
  'cutFrom',
);

const ring = list(Type.Unsafe<readonly [number, number]>({ type: 'array', minItems: 2, maxItems: 2, items: { type: 'number' } }), 2000, 3);

/** An outline of film with holes, mm from the lower left corner of its box. */
export const filmOutline = Type.Unsafe<Region>(list(record({ outer: ring, holes: list(ring, 200) }), 20, 1));

/** What is left of film after a cut, kept as an offcut, mm. */
const leftover = record({ id, width: over0(100_000), length: over0(100_000), outline: filmOutline }, 'leftover');

/** What happened. Events are only ever added; undoing one adds its reversal. */
export const event = oneBy(
  'kind',
  [
    record({ ...base, kind: Type.Literal('started'), job: id, step, title }),
    record({ ...ended, kind: Type.Literal('done') }),
    record({ ...ended, kind: Type.Literal('wrong'), what: words, again: yes, spoiled: maybe(whole(1, 1000)) }),
    record({
      ...base,
      kind: Type.Literal('cut'),
      job: id,
      step,
      film: id,
      /** mm taken from the roll. */
      length: measure,
      /** What it was cut from, and mm² taken with the waste between the parts; entries of older files say neither, and were cut from the roll. */
      from: maybe(cutFrom),
      area: maybe(number(0)),
      /** On which machine, and how far the knife went, mm. */
      machine: maybe(id),
      knife: maybe(number(0)),
      /** The carrier sheet that it went through on. */
      carrier: maybe(id),
      /** The knife went through the liner too. */
      linerCut: maybe(yes),
      /** What is left of the film and kept. */
      left: maybe(list(leftover, 20)),
      /** Whole marks that came off the cutter, where it told so. */
      marks: maybe(list(record({ mark: id, copies: whole(0) }), 200)),
    }),
    /** Stock was counted: it was thought to be so much and is so much, in its own unit. */
    record({
      ...base,
      kind: Type.Literal('counted'),
      stock: rowOf(STOCK_KINDS, 'stockKind'),
      item: id,
      name,
      /** Below 0 where more was taken than lay there. */
      was: number(-1_000_000),
      is: number(0),
      reason: words,
    }),
    /** Film that was cut and lost: so many copies of a part as it lay in the layout, or only some of its shapes. */
    record({
      ...base,
      kind: Type.Literal('lost'),
      job: id,
      film: id,
      mark: id,
      name,
      copies: whole(1, 1000),
      /** The middles of the boxes of the shapes that were lost, mm from the middle of the part; without it all of it was. */
      shapes: maybe(list(record({ x: place, y: place }), 200, 1)),
      what: words,
      note: maybe(words),
    }),
    /** A test cut: force in the machine's own units, speed in cm/s, and how it came out. */
    record({
      ...base,
      kind: Type.Literal('testCut'),
      film: id,
      machine: id,
      name,
      force: number(0, 1000),
      speed: maybe(over0(200)),
      outcome: rowOf(CUT_OUTCOMES, 'cutOutcome'),
    }),
    record({ ...base, kind: Type.Literal('bladeChanged'), machine: id, name }),
    /** A carrier sheet was washed, or given new tack: its uses are counted from there. */
    record({ ...base, kind: Type.Literal('carrierRenewed'), machine: id, carrier: id, name }),
    /** A sheet or an offcut is there no more. */
    record({ ...base, kind: Type.Literal('pieceGone'), film: id, piece: id, name }),
    /** A wait ended otherwise than was worked out: it was dry before, or still tacky after it; minutes of the wait. */
    record({
      ...base,
      kind: Type.Literal('dried'),
      job: id,
      step,
      title,
      /** What dried, where it is known, and whether it is water or solvent that leaves it. */
      coat: maybe(rowOf(COATS, 'coat')),
      base: word('water', 'solvent', 'adhesive'),
      unlearned: over0(),
      actual: over0(),
      /** It was tacky still after so long: it takes longer than that. */
      tacky: maybe(yes),
    }),
    /** An entry put right afterwards: its minutes, what was noted, a small picture. */
    record({
      ...base,
      kind: Type.Literal('amended'),
      event: id,
      minutes: maybe(over0(100_000)),
      note: maybe(words),
      photo: maybe(smallPhoto),
    }),
    /** What was learnt under a key is forgotten: runs until then teach it nothing. */
    record({ ...base, kind: Type.Literal('forgotten'), key: text(200, 1) }),
    record({ ...base, kind: Type.Literal('overridden'), job: id, reading: name, reason: words }),
    record({ ...base, kind: Type.Literal('reversed'), event: id }),
  ],
  'event',
);
