/** Clocks differ by less than this without being wrong, ms. */
const SLACK = 120_000;

/** Fields that hold moments of the device's clock. */
const MOMENTS = new Set([
  'at',
  'startedAt',
  'doneAt',
  'washedAt',
  'dry80At',
  'dry90At',
  'dryAt',
  'revealAt',
  'from',
  'to',
  'lookedAt',
]);

/** What a device told, as a right clock would have had it. */
export const setRight = (value: unknown, aheadMs: number): unknown => {
  if (Array.isArray(value) || typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.entries(value).map(([key, item]) => {
      if (!MOMENTS.has(key) || typeof item !== 'string') return [key, setRight(item, aheadMs)];
      const ms = Date.parse(item);
      return [key, Number.isNaN(ms) ? item : new Date(ms - aheadMs).toISOString()];
    }),
  );
};

/** By how much a device's clock is ahead of this one, ms; 0 where that is no more than clocks differ, or is not told. */
export function aheadOf(now: string | undefined): number {
  const ahead = now === undefined ? 0 : Date.parse(now) - Date.now();
  return Math.abs(ahead) < SLACK || Number.isNaN(ahead) ? 0 : Math.round(ahead);
}
