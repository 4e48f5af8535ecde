/** A verdict's score for a product of some kinds. */
export interface Scored {
  productId: string;
  roles: readonly string[];
  score: number;
}

/** The tester's own place of a product among its kind, by scores alone. */
export interface Place {
  kind: string;
  /** From 1; equal scores share a place. */
  place: number;
  of: number;
  /** Others share the place. */
  shared: boolean;
}

/**
 * Where a product stands among those of its kind by the scores of their latest verdicts (the mean, where several heads have one).
 * An opinion beside the board, which knows of trials alone. Null under two scored products of a kind.
 */
export function placeAmong(scores: readonly Scored[], productId: string): Place | null {
  const own = scores.find((one) => one.productId === productId);
  if (!own) return null;
  const meanOf = (id: string) => {
    const all = scores.filter((one) => one.productId === id).map(({ score }) => score);
    return all.reduce((sum, score) => sum + score, 0) / all.length;
  };
  const found = own.roles.flatMap((kind): Place[] => {
    const ids = [...new Set(scores.filter(({ roles }) => roles.includes(kind)).map((one) => one.productId))];
    if (ids.length < 2) return [];
    const mine = meanOf(productId);
    return [
      {
        kind,
        place: 1 + ids.filter((id) => meanOf(id) > mine).length,
        of: ids.length,
        shared: ids.some((id) => id !== productId && meanOf(id) === mine),
      },
    ];
  });
  return found.toSorted((a, b) => b.of - a.of)[0] ?? null;
}
