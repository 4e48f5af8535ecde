import { CONSENTS } from '@sabor/core/access/consents';
import * as v from 'valibot';
import { name, oneOf } from './fields.ts';

/** What a wearer says to pictures of their head; each answer stays, the latest counts. */
export const OwnConsentInput = v.strictObject({
  about: oneOf(CONSENTS, 'what it is about'),
  yes: v.boolean('Say yes or no.'),
});
export type OwnConsentInput = v.InferOutput<typeof OwnConsentInput>;

/** The same, written down by the tester: `by` is who said it. */
export const ConsentInput = v.strictObject({ ...OwnConsentInput.entries, by: name('Who said it') });
export type ConsentInput = v.InferOutput<typeof ConsentInput>;

const Said = v.nullable(v.strictObject({ yes: v.boolean(), by: v.string(), at: v.string() }));
/** The latest answer to each; null where nothing was said. */
export const Consents = v.strictObject({ pictures: Said, publishing: Said });
export type Consents = v.InferOutput<typeof Consents>;
