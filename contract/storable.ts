/** Deeper than any form of ours goes. */
const DEEPEST = 40;

/** A sentence for what no database text can hold. */
class NotStorable extends Error {}

function cleaned(value: unknown, depth: number): unknown {
  if (typeof value === 'string') {
    if (value.includes('\0'))
      throw new NotStorable('A text holds a character that cannot be stored. Type it again.');
    return value.isWellFormed() ? value : value.toWellFormed();
  }
  if (typeof value !== 'object' || value === null) return value;
  if (depth > DEEPEST) throw new NotStorable('This is nested deeper than anything Sabor knows.');
  if (Array.isArray(value)) return value.map((item) => cleaned(item, depth + 1));
  return Object.fromEntries(
    Object.entries(value).map(([key, item]) => [cleaned(key, depth + 1), cleaned(item, depth + 1)]),
  );
}

/**
 * JSON as a database can hold it: half a character left alone (a cut emoji) becomes �. A `problem` instead where that
 * cannot be: U+0000 in a text, or nesting without end.
 */
export function storable(value: unknown): { value: unknown; problem: null } | { problem: string } {
  try {
    return { value: cleaned(value, 0), problem: null };
  } catch (error) {
    if (error instanceof NotStorable) return { problem: error.message };
    throw error;
  }
}
