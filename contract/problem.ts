import * as v from 'valibot';

/** RFC 9457 problem details, with the fields at fault. `path` is dotted: "arms.0.name". */
export const Problem = v.object({
  type: v.string(),
  title: v.string(),
  status: v.number(),
  detail: v.string(),
  fields: v.optional(v.array(v.object({ path: v.string(), message: v.string() }))),
  /** The record as it is now, where it was changed while it was edited (412). */
  current: v.optional(v.unknown()),
});
export type Problem = v.InferOutput<typeof Problem>;

// Where a schema has no sentence of its own.
v.setGlobalMessage(() => 'This is missing, or not of the kind Sabor expects.');

/** The fields at fault of a failed parse. */
export function fieldsOf(issues: readonly v.BaseIssue<unknown>[]): { path: string; message: string }[] {
  return issues.map((issue) => ({ path: v.getDotPath(issue) ?? '', message: issue.message }));
}
