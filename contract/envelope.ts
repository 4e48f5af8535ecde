import * as v from 'valibot';
import { id } from './fields.ts';

/** Asks for the next wash day of a trial, to be begun without the network; `id` will be its own. */
export const EnvelopeInput = v.strictObject({ id });
export type EnvelopeInput = v.InferOutput<typeof EnvelopeInput>;

/** The next wash day in a sealed envelope. */
export const Envelope = v.strictObject({
  washDayId: id,
  trialId: id,
  /** From 0. */
  position: v.number(),
  /** The last wash day is still worn: how that ends is asked when this is opened. */
  worn: v.boolean(),
  madeAt: v.string(),
  /** The wearer's, by which its day is called. */
  timeZone: v.string(),
  /** The wash day as it would begin, AES-GCM over its JSON; key, nonce and text in base64. */
  key: v.string(),
  nonce: v.string(),
  sealed: v.string(),
});
export type Envelope = v.InferOutput<typeof Envelope>;

/** Where a trial's envelope is, while one is out. */
export const EnvelopeOut = v.strictObject({
  out: v.nullable(
    v.strictObject({
      washDayId: id,
      position: v.number(),
      madeAt: v.string(),
      person: v.nullable(v.string()),
      device: v.nullable(v.string()),
    }),
  ),
});
export type EnvelopeOut = v.InferOutput<typeof EnvelopeOut>;
