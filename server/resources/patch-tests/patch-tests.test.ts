import type { HairFile, PatchTestInput } from '@sabor/contract/hair-file';
import type { Problem } from '@sabor/contract/problem';
import type { Today } from '@sabor/contract/today';
import type { WashDay } from '@sabor/contract/wash-day';
import { v7 } from 'uuid';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { openBench, type TestBench } from '../../testing/bench.ts';
import { sampleBench, sampleProduct } from '../../testing/samples.ts';

let bench: TestBench;
let sample: Awaited<ReturnType<typeof sampleBench>>;
beforeAll(async () => {
  bench = await openBench();
});
beforeEach(async () => {
  sample = await sampleBench(bench);
});
afterAll(() => bench.close());

const ago = (hours: number) => new Date(Date.now() - hours * 3_600_000).toISOString();
const patch = (to: Partial<PatchTestInput> = {}): PatchTestInput => ({
  id: v7(),
  wearerId: sample.wearer.id,
  productId: sample.gels[0]!.id,
  startedAt: ago(50),
  outcome: null,
  lookedAt: null,
  note: '',
  ...to,
});
const save = <T = HairFile>(test: PatchTestInput) => bench.ask<T>('PUT', `/api/patch-tests/${test.id}`, test);
const refused = async (test: PatchTestInput) => {
  const { status, body } = await save<Problem>(test);
  return [status, ...(body.fields ?? []).map(({ path, message }) => `${path}: ${message}`)];
};
const due = async () =>
  (await bench.ask<Today>('GET', '/api/today')).body.due.filter(
    (one) => one.kind === 'patch test' && one.wearerId === sample.wearer.id,
  );
const start = <T = WashDay>(at = ago(0), trialId = sample.trial.id) =>
  bench.ask<T>('PUT', `/api/wash-days/${v7()}`, { trialId, startedAt: at });

describe('patch tests', () => {
  it('wait on Today until the skin was looked at, can be said again and removed', async () => {
    const one = patch();
    expect((await save(one)).body.patchTests).toEqual([one]);
    expect(await due()).toMatchObject([{ productName: 'Gel One', wearerName: 'Una', over: true }]);
    await save(patch({ productId: sample.gels[1]!.id, startedAt: ago(47) }));
    expect((await due()).map((d) => d.kind === 'patch test' && d.over)).toEqual([true, false]);
    await save({ ...one, outcome: 'clear', lookedAt: ago(0) });
    expect(await due()).toHaveLength(1);
    await save(one);
    expect(await due()).toHaveLength(2);
    expect((await bench.ask<HairFile>('DELETE', `/api/patch-tests/${one.id}`)).body.patchTests).toHaveLength(
      1,
    );
  });

  it('are not clear early, not looked at before they began, not begun twice, and of things that are there', async () => {
    expect(await refused(patch({ startedAt: ago(47), outcome: 'clear', lookedAt: ago(0) }))).toEqual([
      422,
      'outcome: A patch test is clear after 48 hours, not before. A reaction may be said at any time.',
    ]);
    expect(await refused(patch({ outcome: 'reacted', lookedAt: ago(51) }))).toEqual([
      422,
      'lookedAt: The skin cannot be looked at before the product was on it. Check the times.',
    ]);
    expect(await refused(patch({ outcome: 'reacted' }))).toEqual([
      422,
      'lookedAt: How the skin looked, and when, are said together.',
    ]);
    expect(await refused(patch({ startedAt: ago(-24) }))).toEqual([
      422,
      'startedAt: This time is in the future. Give now or earlier.',
    ]);
    expect(await refused(patch({ startedAt: 'soon', outcome: 'clear', lookedAt: ago(0) }))).toEqual([
      422,
      'startedAt: Give a date and time.',
    ]);
    expect(await refused(patch({ productId: v7() }))).toEqual([
      422,
      'productId: This product is not on the shelf. Choose another.',
    ]);
    await save(patch());
    expect(await refused(patch({ startedAt: ago(1) }))).toEqual([
      422,
      'productId: This product is on the arm already. Say first how the skin looks.',
    ]);
  });

  it('that stayed clear quiet the word of a first time', async () => {
    const first = async () =>
      (await start()).body.steps.filter(({ usedBefore }) => !usedBefore).map(({ slot }) => slot);
    const gels = sample.gels.map(({ id }) => id);
    for (const productId of gels)
      await save(patch({ productId, startedAt: ago(90), outcome: 'clear', lookedAt: ago(30) }));
    expect(await first()).toEqual([]);
  });

  it('that reacted let no wash day begin, whichever option is drawn, until a later one stays clear', async () => {
    // The second gel may not be the one this wash day draws: the draw is not given away.
    const productId = sample.gels[1]!.id;
    const reacted = patch({ productId, startedAt: ago(120), outcome: 'reacted', lookedAt: ago(110) });
    await save(reacted);
    const no = await start<Problem>();
    expect([no.status, no.body.detail]).toEqual([
      409,
      'Gel Two made Una’s skin react in a patch test. No wash day begins with it: take it out of the plan, or end the trial. A doctor decides whether it may be tried again; a later patch test of 48 hours that stays clear lifts this.',
    ]);
    await save(patch({ productId, startedAt: ago(100), outcome: 'clear', lookedAt: ago(1) }));
    expect((await start()).status).toBe(200);
  });

  it('of a product that every option replaces stops none', async () => {
    const replaced = sampleProduct({ name: 'Replaced' });
    await bench.ask('PUT', `/api/products/${replaced.id}`, replaced);
    const { trial } = sample;
    const plan = trial.plan.map((step) =>
      step.part === 'tested' ? { ...step, productId: replaced.id } : step,
    );
    await bench.ask('PUT', `/api/trials/${trial.id}`, { ...trial, plan });
    await save(patch({ productId: replaced.id, outcome: 'reacted', lookedAt: ago(2) }));
    expect((await start()).status).toBe(200);
  });

  it('of another product, of another head, or from after the wash, stop none', async () => {
    const other = sampleProduct({ name: 'Elsewhere' });
    await bench.ask('PUT', `/api/products/${other.id}`, other);
    const away = await sampleBench(bench);
    await save(patch({ productId: other.id, outcome: 'reacted', lookedAt: ago(2) }));
    await save(patch({ wearerId: away.wearer.id, outcome: 'reacted', lookedAt: ago(2) }));
    const { status, body } = await start();
    expect([status, body.steps.some(({ usedBefore }) => !usedBefore)]).toEqual([200, true]);
    // A wash of three hours ago, entered now: it happened.
    const late = { wearerId: away.wearer.id, productId: away.gels[0]!.id, lookedAt: ago(2) };
    await save(patch({ ...late, outcome: 'reacted' }));
    expect((await start(ago(3), away.trial.id)).status).toBe(200);
  });
});
