import Type from 'typebox';
import { id, instant, list, maybe, name, price, record, text } from './shape';

const minutes = { type: 'number', minimum: 0, maximum: 1440 };
/** Working times a weekday, Sunday first; minutes after midnight. */
const week = Type.Unsafe<[start: number, end: number][][]>({
  type: 'array',
  minItems: 7,
  maxItems: 7,
  items: { type: 'array', maxItems: 6, items: { type: 'array', minItems: 2, maxItems: 2, items: minutes } },
});

/** Somebody who works here. */
export const person = record(
  {
    id,
    name,
    /** When they work, where that is not when the workshop does. */
    week: maybe(week),
    /** Price of an hour of their hands, where it is not that of the workshop. */
    rate: maybe(price),
  },
  'person',
);

export const hours = record(
  {
    /** IANA zone. */
    zone: text(60, 1),
    week,
    /** Spans that are worked beside the week, as when somebody says that they are at it now. */
    extra: maybe(list(record({ id, start: instant, end: instant }), 200)),
    /** Days and hours off, of one person or of all. */
    off: maybe(list(record({ id, start: instant, end: instant, name: maybe(name), who: maybe(id) }), 1000)),
  },
  'hours',
);
