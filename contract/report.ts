import * as v from 'valibot';
import { id } from './fields.ts';

const text = v.pipe(
  v.string(),
  v.maxLength(8000, 'A paragraph of the report is longer than 8,000 characters.'),
);
const short = v.pipe(v.string(), v.maxLength(400));
const finite = v.pipe(v.number(), v.finite());
const arm = v.pipe(v.number(), v.integer(), v.minValue(0), v.maxValue(20));
const drawn = {
  arms: v.pipe(v.array(short), v.maxLength(12)),
  ends: v.nullable(v.tuple([finite, finite])),
  places: v.pipe(v.number(), v.integer(), v.minValue(0), v.maxValue(4)),
};

/** One part of a report, as it is laid out. */
const Block = v.variant('kind', [
  v.object({ kind: v.literal('heading'), level: v.picklist([2, 3]), text: short }),
  v.object({ kind: v.literal('text'), text }),
  v.object({ kind: v.literal('list'), items: v.pipe(v.array(text), v.maxLength(400)) }),
  v.object({
    kind: v.literal('table'),
    caption: short,
    head: v.pipe(v.array(short), v.maxLength(12)),
    rows: v.pipe(v.array(v.pipe(v.array(short), v.maxLength(12))), v.maxLength(400)),
  }),
  v.object({
    kind: v.literal('drawing'),
    drawing: v.variant('what', [
      v.object({
        what: v.literal('strip'),
        ...drawn,
        values: v.pipe(v.array(v.object({ arm, value: finite })), v.maxLength(2000)),
        means: v.pipe(v.array(v.nullable(finite)), v.maxLength(12)),
      }),
      v.object({
        what: v.literal('curve'),
        ...drawn,
        curves: v.pipe(
          v.array(
            v.object({
              arm,
              mean: v.pipe(
                v.array(
                  v.object({
                    day: v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(60)),
                    value: finite,
                  }),
                ),
                v.maxLength(60),
              ),
            }),
          ),
          v.maxLength(12),
        ),
      }),
    ]),
    says: text,
  }),
  v.object({ kind: v.literal('picture'), photographId: id, caption: short }),
]);

export const PAPER = { A4: { label: 'A4' }, LETTER: { label: 'Letter' } } as const;

/** A report to be laid out as pages. */
export const ReportInput = v.object({
  paper: v.picklist(['A4', 'LETTER'], 'Choose A4 or Letter.'),
  report: v.object({
    title: v.pipe(short, v.nonEmpty('A report has a title.')),
    about: short,
    blocks: v.pipe(
      v.array(Block),
      v.maxLength(1000, 'A report of over a thousand parts is too long. Leave some out.'),
    ),
    disclosure: v.pipe(text, v.nonEmpty('The disclosure stands on every report.')),
  }),
});
export type ReportInput = v.InferInput<typeof ReportInput>;

/** The guardian's second yes, to pictures of an under-age wearer in what is published. */
export const PublishConsentInput = v.object({
  guardian: v.pipe(v.string(), v.trim(), v.nonEmpty('Name the guardian who said yes.'), v.maxLength(120)),
  yes: v.boolean(),
});
export type PublishConsentInput = v.InferInput<typeof PublishConsentInput>;
export const PublishConsent = v.strictObject({
  /** Null where nobody said yes, or it was taken back. */
  given: v.nullable(v.strictObject({ guardian: v.string(), at: v.string() })),
});
export type PublishConsent = v.InferOutput<typeof PublishConsent>;
