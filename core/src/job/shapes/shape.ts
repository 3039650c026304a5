import Type, { type Static, type TProperties, type TSchema } from 'typebox';

/*
 * Shapes say once what jobs, shops and events hold: their types are taken from them, and the schema of the files is written from them when
 * Kolleta is built. Only
 * types of this folder reach the browser.
 */

/** An object with these fields and no others. A name makes it a definition of its own in the schema. */
export const record = <P extends TProperties>(fields: P, name?: string) =>
  Type.Object(fields, { additionalProperties: false, ...(name ? { title: name } : {}) });

/** One of several records that a field tells apart. */
export const oneBy = <V extends TSchema[]>(field: string, variants: [...V], name?: string) =>
  Type.Unsafe<Static<V[number]>>({
    ...(name ? { title: name } : {}),
    type: 'object',
    required: [field],
    discriminator: { propertyName: field },
    oneOf: variants,
  });

/** One of these words. */
export const word = <const W extends readonly string[]>(...words: W) => Type.Unsafe<W[number]>({ enum: [...words] });

/** The id of a row in a table of facts: a row that is added can be saved and read at once. */
export const rowOf = <K extends string>(table: Readonly<Record<K, unknown>>, name: string) =>
  Type.Unsafe<K>({ title: name, enum: Object.keys(table) });

/** A list with bounds. */
export const list = <S extends TSchema>(items: S, most: number, least = 0) =>
  Type.Unsafe<Static<S>[]>({ type: 'array', ...(least > 0 ? { minItems: least } : {}), maxItems: most, items });

/** A whole or broken number within bounds. */
export const number = (minimum: number, maximum?: number) => Type.Number({ minimum, ...(maximum === undefined ? {} : { maximum }) });
export const whole = (minimum: number, maximum?: number) => Type.Integer({ minimum, ...(maximum === undefined ? {} : { maximum }) });
export const over0 = (maximum?: number) => Type.Number({ exclusiveMinimum: 0, ...(maximum === undefined ? {} : { maximum }) });
export const text = (maxLength: number, minLength = 0) => Type.String({ maxLength, ...(minLength > 0 ? { minLength } : {}) });
export const yes = Type.Boolean();
export const maybe = Type.Optional;

/** A random id; never a name that means something to the language. */
export const id = Type.String({ title: 'id', minLength: 1, maxLength: 100, pattern: '^(?!(__proto__|constructor|prototype)$)' });
export const name = Type.String({ title: 'name', maxLength: 200 });
export const words = Type.String({ title: 'words', maxLength: 2000 });
/** #rrggbb. */
export const colour = Type.String({ title: 'colour', pattern: '^#[0-9a-f]{6}$' });
/** UTC ms in Kolleta; text, as by ISO 8601, in files. */
export const instant = Type.Unsafe<number>({ title: 'instant', type: 'string', format: 'date-time' });
/** mm. */
export const measure = Type.Number({ title: 'measure', minimum: 0, maximum: 100_000 });
export const place = Type.Number({ title: 'place', minimum: -100_000, maximum: 100_000 });
/** Minor units. */
export const price = Type.Integer({ title: 'price', minimum: 0 });
