import type { VerdictContent, VerdictRests } from '@sabor/contract/verdict';
import type { Objection } from '@sabor/core/verdict/held';
import { demoId } from './ids.ts';
import type { calendar, Rows } from './rows.ts';
import { productId } from './shelf.ts';
import { TRIALS } from './trials.ts';
import { wearerId } from './wearers.ts';

type When = ReturnType<typeof calendar>;

const NOTHING: VerdictContent = {
  score: null,
  why: '',
  forWhom: [],
  amount: null,
  buyAgain: null,
  buyWhy: '',
  claims: [],
  against: [],
  style: null,
  effort: '',
  feel: '',
  packaging: '',
  next: '',
  open: [],
};

const twelveGrams = { kind: 'exact', amount: 12, measure: 'g', per: 'head' } as const;

/** What the trial of cream and jelly alone carried when the jelly was judged. */
function afterCreamAndJelly(when: When): VerdictRests {
  const { question } = TRIALS.find(({ key }) => key === 'cream-jelly')!;
  return {
    column: 'wish',
    trials: [
      {
        trialId: demoId('trial cream-jelly'),
        question,
        blind: false,
        fair: 'clean',
        washDays: 4,
        endedOn: when.date(97),
      },
    ],
    ...{ washDays: 4, seenTo: 3, air: null, dose: twelveGrams, currency: 'EUR' },
    ...{ costPerWash: 1.06, costPerGoodDay: null, goodDays: null, handsOn: null, minutesToDry: null },
    ...{ first: null, versus: [], decided: [] },
  };
}

/** Two verdicts, one of them said anew and one an impression, and a remark of somebody else. */
export function verdictRows(when: When): Rows {
  const jelly = demoId('verdict jelly');
  const mist = demoId('verdict mist');
  const said = (
    verdict: string,
    key: string,
    daysAgo: number,
    cause: string,
    content: Partial<VerdictContent>,
    rests: VerdictRests | null,
    stake: string,
    beside: readonly Objection[] = [],
  ) => ({
    id: demoId(`said ${verdict} ${key}`),
    verdict_id: verdict,
    said_at: when.at(daysAgo, 20),
    cause,
    cause_note: cause === 'dose-error' ? 'Twice the first amount; it had been spread too thin.' : '',
    content: { ...NOTHING, ...content },
    rests: { figures: rests, stake, edition: '' },
    beside,
  });
  const verdict = (id: string, wearer: string, slot: string, product: string, daysAgo: number) => ({
    id,
    wearer_id: wearerId(wearer),
    slot,
    product_id: productId(product),
    line_id: null,
    way: null,
    created_at: when.at(daysAgo, 20),
    archived_at: null,
    version: 1,
  });
  return {
    verdict: [
      verdict(jelly, 'ines', 'hold', 'sedge-jelly', 132),
      verdict(mist, 'pip', 'leave-in', 'heron-mist', 20),
    ],
    verdict_said: [
      said(
        jelly,
        'first',
        132,
        'first',
        { score: 4.5, why: 'Gone by the interval.', buyAgain: 'no' },
        null,
        'bought',
        [{ kind: 'impression' }],
      ),
      said(
        jelly,
        'again',
        95,
        'dose-error',
        {
          score: 6.5,
          why: 'Soft, no crunch, easy to wet again. Defined on the first evening and loose after it.',
          forWhom: [
            { trait: 'pattern', value: '3B', suits: true, how: 'tested' },
            { trait: 'porosity', value: 'medium', suits: true, how: 'tested' },
            { trait: 'strand', value: 'coarse', suits: false, how: 'guess' },
          ],
          amount: twelveGrams,
          buyAgain: 'offer',
          buyWhy: 'For days off.',
          style: 'wash-and-go',
          feel: 'No scent. A little slimy in the hand.',
          packaging: 'Bottle.',
          next: 'Under the foam.',
          open: [{ what: 'How it does in damp air.', due: when.date(2) }],
        },
        afterCreamAndJelly(when),
        'bought',
      ),
      said(
        mist,
        'first',
        20,
        'first',
        { score: 7, why: 'Light, and gone from the hands at once.', buyAgain: 'open' },
        null,
        'code',
        [{ kind: 'impression' }],
      ),
    ],
    hearsay: [
      {
        id: demoId('hearsay anvil'),
        product_id: productId('anvil'),
        who: 'Odalys, wig room',
        said: 'Flakes on her from the second day, whatever the amount.',
        heard_on: when.date(44),
        edition: 'spring 2026',
      },
    ],
  };
}
