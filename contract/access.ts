import { codeFrom, PERSON_ROLES } from '@sabor/core/access/people';
import * as v from 'valibot';
import { asStored, id, name, oneOf } from './fields.ts';

/** Somebody who is let in from another device. */
const person = {
  id,
  name: name('A person'),
  role: oneOf(PERSON_ROLES, 'what they may do'),
  /** The head that a wearer is. */
  wearerId: v.optional(v.nullable(id), null),
};
export const PersonInput = v.pipe(
  v.strictObject(person),
  v.forward(
    v.partialCheck(
      [['role'], ['wearerId']],
      ({ role, wearerId }) => (role === 'wearer') === (wearerId !== null),
      'Choose which head the wearer is.',
    ),
    ['wearerId'],
  ),
);
export type PersonInput = v.InferOutput<typeof PersonInput>;

/** Whether other devices are let in at all. */
export const DoorInput = v.strictObject({ open: v.boolean('Say whether the door is open.') });
/** The words that guard the list of devices on the laptop; null for none. */
export const PassphraseInput = v.strictObject({
  passphrase: v.nullable(
    v.pipe(
      v.string('A passphrase is text.'),
      v.minLength(10, 'Take ten characters at least: a few words are good.'),
      v.maxLength(200, 'Keep the passphrase under 200 characters.'),
    ),
  ),
});
export type PassphraseInput = v.InferOutput<typeof PassphraseInput>;

const Device = v.strictObject({
  id,
  name: v.string(),
  letInAt: v.string(),
  seenAt: v.nullable(v.string()),
  /** Until when it need not sign in again; null while it has to. */
  signedInUntil: v.nullable(v.string()),
});

/** Who is let in, and how; for the laptop alone. */
export const Access = v.strictObject({
  open: v.boolean(),
  /** Why the door could not be opened as it was asked to be. */
  trouble: v.nullable(v.string()),
  /** Where other devices on the network reach Sabor. */
  addresses: v.array(v.string()),
  /** SHA-256 of the certificate of Sabor's own authority, as phones show it; null until the door was open once. */
  fingerprint: v.nullable(v.string()),
  /** The list is guarded by a passphrase. */
  guarded: v.boolean(),
  people: v.array(v.strictObject({ ...asStored(person), devices: v.array(Device) })),
});
export type Access = v.InferOutput<typeof Access>;

/** A code that lets one device in, once. */
export const Invitation = v.strictObject({
  code: v.string(),
  expiresAt: v.string(),
  /** Where the code leads; the part behind # never leaves the device that opens it. */
  links: v.array(v.string()),
});
export type Invitation = v.InferOutput<typeof Invitation>;

/** What a device brings to be let in. */
export const SignInInput = v.strictObject({
  code: v.pipe(
    v.string('Type the code as the laptop shows it.'),
    v.transform(codeFrom),
    v.string('Type all ten letters and digits of the code as the laptop shows it.'),
  ),
  /** The device's own name, made once and kept there. */
  device: v.pipe(v.string(), v.regex(/^[\w -]{1,60}$/, 'This device has a name Sabor does not take.')),
  /** What its person would call it. */
  called: name('A device'),
});
export type SignInInput = v.InferOutput<typeof SignInInput>;

/** What the device is called from here on: it is another one where somebody else had signed in with it. */
export const SignedIn = v.strictObject({ device: v.string() });
export type SignedIn = v.InferOutput<typeof SignedIn>;

/** Who asks. */
export const Me = v.strictObject({
  /** Null on the laptop itself. */
  person: v.nullable(v.strictObject({ name: v.string(), role: oneOf(PERSON_ROLES, 'what they may do') })),
});
export type Me = v.InferOutput<typeof Me>;

/** One change that is on record. */
export const OnRecord = v.strictObject({
  id: v.number(),
  at: v.string(),
  /** Whose sign-in it was, and on which device; null on the laptop itself. */
  person: v.nullable(v.string()),
  device: v.nullable(v.string()),
  act: v.string(),
  /** What it was and what it became, by column; of a change only what differs. */
  before: v.nullable(v.record(v.string(), v.unknown())),
  after: v.nullable(v.record(v.string(), v.unknown())),
});
export type OnRecord = v.InferOutput<typeof OnRecord>;
