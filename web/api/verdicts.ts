import type { Consents } from '@sabor/contract/consent';
import type { PublishConsent } from '@sabor/contract/report';
import type { Hearsay, ProductUsed, Verdict } from '@sabor/contract/verdict';
import { type BoardAsk, plainAsk } from '@sabor/core/board/read';
import { type Decided, decidedBy, type Evidence } from '@sabor/core/verdict/evidence';
import { type JudgedWay, wayOf, waysAsOne } from '@sabor/core/verdict/ways';
import { linesAsOne } from '@sabor/core/verdict/whole-lines';
import type { VerdictStep } from '@sabor/core/verdict/words-of-verdict';
import { toTrialRecord } from '@sabor/reading/trial-record';
import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { evidenceInWorker } from '../workers/board.ts';
import { compareInWorker } from '../workers/comparison.ts';
import { useBoardTrials } from './board.ts';
import { brokenOf, resource, useHairFile, useShelf, useTrialsWhole, useWearer } from './queries.ts';
import { useWorked } from './worked.ts';

/** All verdicts, those said last first. */
export const useVerdicts = () => useQuery(resource<Verdict[]>('/verdicts'));

/** What others say of a product. */
export const useHearsay = (productId: string) =>
  useQuery(resource<Hearsay[]>(`/products/${productId}/hearsay`));

/** Where a product was used. */
export const useUsed = (productId: string) => useQuery(resource<ProductUsed>(`/products/${productId}/used`));

/** What was said to pictures of a head. */
export const useConsents = (wearerId: string) =>
  useQuery(resource<Consents>(`/wearers/${wearerId}/consents`));

/** Whether a guardian said yes to pictures in what is published; asked for wearers under age alone. */
export const usePublishConsent = (wearerId: string, asked: boolean) =>
  useQuery({ ...resource<PublishConsent>(`/wearers/${wearerId}/publish-consent`), enabled: asked });

/** How a head's board is asked for by what it wishes, on its first day; for a way, with ways of its kind as things. */
export function useHeadAsk(
  wearerId: string,
  role: VerdictStep,
  kind: JudgedWay | null = null,
): { ask: BoardAsk | null; error: Error | null } {
  const own = useBoardTrials(wearerId);
  const file = useHairFile(wearerId);
  const wishes = file.data?.wishes;
  const products = useShelf().data?.products;
  // A whole line is judged as one thing, and so is a way, whatever it was tried with.
  const trials = useMemo(() => {
    if (!own.data) return undefined;
    if (kind !== null) return waysAsOne(own.data.trials, kind);
    if (role !== 'line') return own.data.trials;
    return (
      products && linesAsOne(own.data.trials, (id) => products.find((one) => one.id === id)?.lineId ?? null)
    );
  }, [own.data, role, products, kind]);
  const ask = useMemo(
    (): BoardAsk | null =>
      trials && wishes
        ? plainAsk(trials, role, {
            line: wishes.line ?? 6,
            weights: Object.fromEntries(wishes.weights.map(({ wish, weight }) => [wish, weight])),
          })
        : null,
    [trials, wishes, role],
  );
  return { ask, error: brokenOf(own) ?? brokenOf(file) };
}

/** What a product's own trials decided by their promised main results; undefined until they were reckoned. */
function useDecided(
  wearerId: string,
  ask: BoardAsk | null,
  productId: string,
): { data: Decided[] | undefined; error: Error | null } {
  const wearer = useWearer(wearerId || 'new');
  const shelf = useShelf();
  const held = useMemo(
    () =>
      (ask?.trials ?? []).filter(({ arms }) =>
        arms.some((arm) => arm.kind === 'product' && arm.role === ask!.role && arm.productId === productId),
      ),
    [ask, productId],
  );
  const whole = useTrialsWhole(held.map(({ id }) => id));
  const records = useMemo(
    () =>
      wearer.data && shelf.data && whole.data && whole.data.length === held.length
        ? whole.data.map((trial) => toTrialRecord(trial, shelf.data!.products, wearer.data!))
        : null,
    [wearer.data, shelf.data, whole.data, held.length],
  );
  const found = useWorked('decided', ask && records ? [records, productId] : null, async () => {
    const comparisons = await Promise.all(records!.map((record) => compareInWorker(record)));
    return held.flatMap((trial, i) =>
      decidedBy(trial, records![i]!.promise, comparisons[i]!.primary, productId),
    );
  });
  return { data: found.data, error: whole.error ?? found.error };
}

/** What a head's trials say of a product (by its id), or of a way (by its key), in a step; null data where none held it. */
export function useEvidence(
  wearerId: string,
  role: VerdictStep,
  productId: string,
): { data: Evidence | null | undefined; error: Error | null } {
  const { ask, error } = useHeadAsk(wearerId, role, wayOf(productId)?.kind ?? null);
  const found = useWorked('evidence', ask && productId ? [ask, productId] : null, () =>
    evidenceInWorker(ask!, productId),
  );
  const decided = useDecided(wearerId, ask, productId);
  const data = useMemo(() => {
    if (found.data === null) return null;
    return found.data && decided.data ? { ...found.data, decided: decided.data } : undefined;
  }, [found.data, decided.data]);
  return { data, error: error ?? found.error ?? decided.error };
}
