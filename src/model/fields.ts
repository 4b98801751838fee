import * as z from 'zod/mini';

z.config({ jitless: true });

/** What many parts of a record are made of. */
export const id = z.string().check(z.minLength(1), z.maxLength(64));
export const at = z.iso.datetime();
export const text = z.string().check(z.maxLength(2000));
export const label = z.string().check(z.minLength(1), z.maxLength(120));
/** Who it was: a name of the workshop's list, or one that was written down. Empty where nobody was named. */
export const person = z.string().check(z.maxLength(80));

/** Something declined or accepted in writing. */
export const inWriting = z.strictObject({ by: person, on: z.iso.date(), words: text });

/** What a part of a record holds, by its shape. */
export type Held<Shape extends z.core.$ZodShape> = z.output<z.ZodMiniObject<Shape>>;
