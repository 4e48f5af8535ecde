import { MEMO_ABOUT, MEMO_TYPES } from '@sabor/core/basin/memo';
import * as v from 'valibot';
import { date, id, oneOf, pastMoment, whole } from './fields.ts';

const About = v.object({ kind: oneOf(MEMO_ABOUT, 'what it is about'), id });

/** A note in words, or what goes with a voice memo whose sound follows. */
export const MemoInput = v.pipe(
  v.object({
    id,
    at: pastMoment,
    words: v.pipe(v.string(), v.trim(), v.maxLength(4000, 'Keep a note under 4,000 characters.')),
    about: v.nullable(About),
    /** Length of the sound that follows, in seconds; null for words alone. */
    seconds: v.optional(v.nullable(whole('The seconds', 0, 3600)), null),
  }),
  v.forward(
    v.partialCheck(
      [['words'], ['seconds']],
      ({ words, seconds }) => words !== '' || seconds !== null,
      'Say something, in words or by voice.',
    ),
    ['words'],
  ),
);
export type MemoInput = v.InferInput<typeof MemoInput>;

export const MemoDone = v.object({ done: v.boolean() });
export type MemoDone = v.InferInput<typeof MemoDone>;

export const Memo = v.strictObject({
  id,
  at: v.string(),
  words: v.string(),
  /** What it is about, with its name, and a wash day's own date. */
  about: v.nullable(v.strictObject({ ...About.entries, name: v.string(), on: v.nullable(date) })),
  /** Null for words alone. */
  sound: v.nullable(v.strictObject({ seconds: v.number(), type: v.picklist(MEMO_TYPES) })),
  doneAt: v.nullable(v.string()),
});
export type Memo = v.InferOutput<typeof Memo>;
