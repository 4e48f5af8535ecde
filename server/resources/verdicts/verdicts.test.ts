import type { Problem } from '@sabor/contract/problem';
import type { Product } from '@sabor/contract/shelf';
import type { Today } from '@sabor/contract/today';
import type { TrialDetail } from '@sabor/contract/trial-record';
import type { Hearsay, ProductUsed, Verdict, VerdictInput } from '@sabor/contract/verdict';
import type { Wearer } from '@sabor/contract/wearer';
import { v7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { openDemoBench, type TestBench } from '../../testing/bench.ts';

let bench: TestBench;
let ines: Wearer;
let trial: TrialDetail;
let product: Product;
beforeAll(async () => {
  bench = await openDemoBench();
  ines = (await bench.ask<Wearer[]>('GET', '/api/wearers')).body.find(({ name }) => name.startsWith('Ines'))!;
  const trials = (await bench.ask<TrialDetail[]>('GET', '/api/trials')).body;
  trial = trials.find(({ question }) => question.includes('stage doors'))!;
  product = (await bench.ask<{ products: Product[] }>('GET', '/api/shelf')).body.products.find(
    ({ name }) => name === 'Kelp Fold Gel',
  )!;
});
afterAll(() => bench.close());

const CONTENT: VerdictInput['content'] = {
  score: 8,
  why: 'Defined and soft.',
  forWhom: [{ trait: 'pattern', value: '3B', suits: true, how: 'tested' }],
  amount: { kind: 'exact', amount: 12, measure: 'g', per: 'head' },
  buyAgain: 'yes',
  buyWhy: '',
  claims: [{ claim: 'Soft hold', state: 'kept', because: '', proposed: 'kept' }],
  against: [],
  style: 'wash-and-go',
  effort: '',
  feel: '',
  packaging: '',
  next: '',
  open: [{ what: 'A humid month', due: '2027-07-01' }],
};
const rests = (): VerdictInput['rests'] => ({
  column: 'definition',
  trials: [
    {
      trialId: trial.id,
      question: trial.question,
      // The sender cannot make it blind.
      blind: true,
      fair: 'clean',
      washDays: 4,
      endedOn: '2026-11-01',
    },
  ],
  ...{ washDays: 4, seenTo: 7, air: null, dose: null, costPerWash: 1, costPerGoodDay: null, currency: 'EUR' },
  ...{ goodDays: null, handsOn: null, minutesToDry: null, first: null, versus: [], decided: [] },
});
const input = (to: Partial<VerdictInput> = {}): VerdictInput => ({
  id: v7(),
  wearerId: ines.id,
  slot: 'hold',
  subject: { kind: 'product', productId: product.id },
  said: v7(),
  cause: 'first',
  causeNote: '',
  content: CONTENT,
  rests: rests(),
  beside: [],
  ...to,
});
const say = <T = Verdict>(verdict: Partial<VerdictInput> & { id: string }, version?: number) =>
  bench.ask<T>(
    'PUT',
    `/api/verdicts/${verdict.id}`,
    verdict,
    version === undefined ? {} : { 'If-Match': `"${version}"` },
  );

describe('a verdict', () => {
  it('is said, said anew with its cause, and keeps what was said before', async () => {
    const first = input();
    const { status, body } = await say(first);
    expect(status).toBe(200);
    expect(body).toMatchObject({ name: 'Kelp Fold Gel', wearerName: ines.name, version: 1 });
    expect(body.said).toHaveLength(1);
    // Stake and blindness are the shelf's and the trial's own.
    expect(body.said[0]).toMatchObject({ stake: product.stake, cause: 'first', content: CONTENT });
    expect(body.said[0]!.rests!.trials[0]!.blind).toBe(false);
    // The same saying once more says nothing new.
    expect((await say(first)).body.said).toHaveLength(1);
    const anew = { ...first, said: v7(), cause: 'dose-error' as const, content: { ...CONTENT, score: 5.5 } };
    const { body: second } = await say(anew, 1);
    expect(second.said.map(({ cause, content }) => [cause, content.score])).toEqual([
      ['dose-error', 5.5],
      ['first', 8],
    ]);
    // Begun from an older state: nothing is overwritten.
    const late = await say<Problem>({ ...first, said: v7(), cause: 'other' }, 1);
    expect(late.status).toBe(412);
    // The one said last comes first.
    expect((await bench.ask<Verdict[]>('GET', '/api/verdicts')).body[0]!.id).toBe(first.id);
    const twin = await say<Problem>(input());
    expect([twin.status, twin.body.detail]).toEqual([
      409,
      'There is a verdict on this already, for this step and head. Say it anew there.',
    ]);
    expect((await say<Problem>({ ...first, said: v7(), slot: 'leave-in' })).status).toBe(409);
    expect((await bench.ask('POST', `/api/verdicts/${first.id}/archive`)).status).toBe(204);
    expect((await bench.ask<Verdict>('GET', `/api/verdicts/${first.id}`)).body.archivedAt).not.toBeNull();
  });

  it('without a trial is an impression, and says so', async () => {
    const way = { kind: 'way', way: 'Praying hands' } as const;
    const made = await say(
      input({ subject: way, slot: 'leave-in', rests: null, beside: [{ kind: 'impression' }] }),
    );
    expect(made.body).toMatchObject({ name: 'Praying hands', said: [{ rests: null, stake: null }] });
    const unsaid = await say<Problem>(input({ subject: { kind: 'way', way: 'Rake' }, rests: null }));
    expect([unsaid.status, unsaid.body.detail]).toEqual([
      422,
      'Without a trial behind it this is an impression, and says so.',
    ]);
  });

  it('is refused in words where it cannot be kept', async () => {
    const refused = async (to: Partial<Record<keyof VerdictInput, unknown>>) => {
      const { status, body } = await say<Problem>({ ...input(), slot: 'emollient', ...to } as VerdictInput);
      return [status, body.fields?.[0]?.path ?? null, body.fields?.[0]?.message ?? body.detail];
    };
    const content = (to: Partial<VerdictInput['content']>) => ({ content: { ...CONTENT, ...to } });
    expect(await refused(content({ why: 'word '.repeat(20_000) }))).toEqual([
      422,
      'content.why',
      'The reason is longer than 4,000 characters. Say it in fewer words.',
    ]);
    const claim = { state: 'kept', because: '', proposed: null } as const;
    expect(
      await refused(
        content({
          claims: [
            { claim: 'No flakes', ...claim },
            { claim: 'no Flakes', ...claim },
          ],
        }),
      ),
    ).toEqual([422, 'content.claims', 'Each claim stands once.']);
    expect((await refused(content({ score: 11 })))[2]).toBe('The score cannot be over 10.');
    expect((await refused(content({ score: 7.3 })))[2]).toBe('Scores go by half points.');
    expect(
      (
        await refused(content({ forWhom: [{ trait: 'pattern', value: '9Z', suits: true, how: 'guess' }] }))
      )[2],
    ).toBe('Choose this trait from the list.');
    expect(await refused({ subject: { kind: 'product', productId: v7() } })).toEqual([
      422,
      'subject',
      'This product is not on the shelf. Choose it again.',
    ]);
    expect((await refused({ wearerId: v7() }))[1]).toBe('wearerId');
    // Another head's trial, or none, carries nothing here.
    const [one] = rests()!.trials;
    expect((await refused({ rests: { ...rests(), trials: [] } }))[0]).toBe(422);
    expect((await refused({ rests: { ...rests(), trials: [{ ...one, trialId: v7() }] } }))[0]).toBe(422);
    expect((await bench.ask('GET', '/api/verdicts/nobody')).status).toBe(404);
    expect((await bench.ask('GET', `/api/verdicts/${v7()}`)).status).toBe(404);
  });
});

describe('where a product was used', () => {
  it('names its trials and wash days, and nothing that is behind a code', async () => {
    const { body } = await bench.ask<ProductUsed>('GET', `/api/products/${product.id}/used`);
    // On five heads against the other gel, once more on Ines against the foam, and in two trials of whole lines on Maren.
    expect(body.trials).toHaveLength(8);
    expect(new Set(body.trials.map(({ wearerName }) => wearerName)).size).toBe(5);
    // Four wash days of each trial of two options, three of one of three, and eight of one that held it under two leave-ins.
    expect(body.count).toBe(7 * 4 + 3 + 8);
    expect(body.washDays[0]).toMatchObject({ slot: 'hold', tested: true, dose: { amount: 12 } });
    const dates = body.washDays.map(({ on }) => on);
    expect(dates).toEqual(dates.toSorted().toReversed());
    const spindrift = (await bench.ask<{ products: Product[] }>('GET', '/api/shelf')).body.products.find(
      ({ name }) => name === 'Spindrift Leave-in',
    )!;
    const of = async () => (await bench.ask<ProductUsed>('GET', `/api/products/${spindrift.id}/used`)).body;
    const open = await of();
    const tested = open.trials.filter(({ status }) => status === 'finished');
    expect(tested).toHaveLength(1);
    const { rows } = await bench.db.query('select id, key_opened_at from trial where id = $1 and blind', [
      tested[0]!.trialId,
    ]);
    await bench.db.query('update trial set key_opened_at = null where id = $1', [rows[0].id]);
    const shut = await of();
    expect(shut.trials.map(({ trialId }) => trialId)).not.toContain(rows[0].id);
    expect(shut.count).toBeLessThan(open.count);
    await bench.db.query('update trial set key_opened_at = $2 where id = $1', [
      rows[0].id,
      rows[0].key_opened_at,
    ]);
    expect((await bench.ask('GET', `/api/products/${v7()}/used`)).status).toBe(404);
  });

  it('comes back on Today with what its verdict left open, until it is said anew', async () => {
    const due = async () =>
      (await bench.ask<Today>('GET', '/api/today')).body.due.filter(({ kind }) => kind === 'left open');
    expect(await due()).toEqual([
      expect.objectContaining({ name: 'Sedge Jelly', what: 'How it does in damp air.' }),
    ]);
    const jelly = (await bench.ask<Verdict[]>('GET', '/api/verdicts')).body.find(
      ({ name }) => name === 'Sedge Jelly',
    )!;
    const [last] = jelly.said;
    const { wearerId, slot, subject, id } = jelly;
    const { status } = await say({
      ...{ id, wearerId, slot, subject, said: v7(), cause: 'seen-longer', causeNote: '' },
      content: { ...last!.content, open: [] },
      rests: last!.rests,
      beside: [],
    });
    expect(status).toBe(200);
    expect(await due()).toEqual([]);
  });
});

describe('hearsay', () => {
  it('stands with who and when on its product, and is taken away again', async () => {
    const id = v7();
    const put = (to: object) => bench.ask<Hearsay[] & Problem>('PUT', `/api/hearsay/${id}`, to);
    const told = {
      productId: product.id,
      who: 'Marguerite',
      said: 'Too strong for her waves.',
      on: '2026-10-01',
    };
    expect((await put({ ...told, edition: 'spring' })).body).toEqual([{ id, ...told, edition: 'spring' }]);
    expect((await put({ ...told, said: ' ' })).status).toBe(422);
    expect((await put({ ...told, productId: v7() })).status).toBe(404);
    expect((await bench.ask<Hearsay[]>('GET', `/api/products/${product.id}/hearsay`)).body).toHaveLength(1);
    expect((await bench.ask<Hearsay[]>('DELETE', `/api/hearsay/${id}`)).body).toEqual([]);
    expect((await bench.ask('DELETE', `/api/hearsay/${id}`)).status).toBe(404);
  });
});

describe('a verdict on a whole line', () => {
  it('says what of it came as a gift, and stands once for a head', async () => {
    const { rows } = await bench.db.query<{ id: string; name: string }>('select id, name from line');
    const lineOf = (name: string) => rows.find((one) => one.name === name)!.id;
    const sayOf = (name: string) =>
      say(
        input({
          ...{ slot: 'line', subject: { kind: 'line', lineId: lineOf(name) }, rests: null },
          beside: [{ kind: 'impression' }],
        }),
      );
    const tidewrack = await sayOf('Tidewrack');
    expect(tidewrack.status).toBe(200);
    // Kelp Fold came as a gift, the rest of the line was bought.
    expect(tidewrack.body).toMatchObject({ name: 'Tidewrack', said: [{ stake: 'gift' }] });
    expect((await sayOf('Marrowby')).body.said[0]!.stake).toBe('bought');
    expect((await sayOf('Tidewrack')).status).toBe(409);
  });
});
