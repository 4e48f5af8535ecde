import { STYLES_MEANT } from '../basin/style-meant.ts';
import type { BoardTrial } from '../board/read.ts';
import type { Tested } from '../board/tested.ts';
import { TECHNIQUES, TOOLS } from '../step/choices.ts';
import type { KeyOf } from '../vocabulary.ts';

/** Ways of doing a step, beside its product, that a verdict can be about. */
export const JUDGED_WAYS = {
  technique: { label: 'Technique', options: TECHNIQUES },
  tool: { label: 'Tool', options: TOOLS },
  style: { label: 'Style', options: STYLES_MEANT },
} as const;
export type JudgedWay = KeyOf<typeof JUDGED_WAYS>;

/** A way as it is kept: "technique shingling". */
export const keyOfWay = (kind: JudgedWay, value: string): string => `${kind} ${value}`;

/** What a kept way is; null for one in the tester's own words. */
export function wayOf(way: string): { kind: JudgedWay; value: string } | null {
  const [kind = '', value = '', ...more] = way.split(' ');
  if (more.length > 0 || !Object.hasOwn(JUDGED_WAYS, kind)) return null;
  return Object.hasOwn(JUDGED_WAYS[kind as JudgedWay].options, value)
    ? { kind: kind as JudgedWay, value }
    : null;
}

/** The key of what an arm sets otherwise, where that is one way a verdict can be about; null where it is more, or something else. */
export function judgedBy(ways: Tested['ways']): string | null {
  const [only, ...more] = ways ?? [];
  if (!only || more.length > 0 || typeof only[1] !== 'string') return null;
  const key = keyOfWay(only[0] as JudgedWay, only[1]);
  return wayOf(key) === null ? null : key;
}

/**
 * Trials with each way of one kind as one thing to be judged, by its key, whatever product it was tried with: an arm that
 * differs from the others in this setting alone stands for what it sets. One that differs in more stands for none.
 */
export const waysAsOne = (trials: readonly BoardTrial[], kind: JudgedWay): BoardTrial[] =>
  trials.map((trial) => ({
    ...trial,
    arms: trial.arms.map((arm) => {
      const key = arm.kind === 'way' ? judgedBy(arm.ways) : null;
      return key !== null && wayOf(key)!.kind === kind
        ? { ...arm, kind: 'product' as const, key, productId: key, dose: null }
        : arm;
    }),
  }));
