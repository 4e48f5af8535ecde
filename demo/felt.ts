import { FELT_RANGE, type Felt, usuallyAsked } from '@sabor/core/felt/felt';
import type { Place } from '@sabor/core/hair/zones';
import { type Random, seededRandom, standardNormal } from '@sabor/core/random';
import { DESIGNS } from '@sabor/core/trial/designs';
import { demoId } from './ids.ts';
import type { HairTruth } from './readings.ts';
import { type calendar, push, type Rows } from './rows.ts';
import { productId } from './shelf.ts';
import type { DemoTrial } from './trials.ts';
import { zoneId } from './wearers.ts';

/** A wash day as the demo's eye and hand read it. */
export interface FeltDay {
  trial: DemoTrial;
  wearer: { key: string };
  id: string;
  index: number;
  daysAgo: number;
  left: { truth: HairTruth; product: string };
  right: { truth: HairTruth; product: string };
}

const word = (value: number) => Math.min(FELT_RANGE.highest, Math.max(FELT_RANGE.lowest, Math.round(value)));

/** What an arm's hair usually reads, from how it holds and shines. Invented. */
const usual = (felt: Felt, { start }: HairTruth, day: number, random: Random): number => {
  const wobble = 0.5 * standardNormal(random);
  switch (felt) {
    case 'cast':
    case 'crunch':
      return word(start.hold / 2.6 - (day - 1) * 0.5 + wobble);
    case 'flakes':
      return random.below(7) === 0 ? 1 : 0;
    case 'moisture':
      return word(start.softness / 3.2 + wobble);
    default:
      return word(2 + wobble);
  }
};

/** Readings in five words of a wash day's looks, the state before the wash, and what it needed while worn. */
export function feltRows(
  rows: Rows,
  day: FeltDay,
  at: ReturnType<typeof calendar>,
  looks: readonly { id: string; stage: string; day: number | null }[],
  places: readonly Place[],
): void {
  const { trial, wearer } = day;
  // A stream of its own: what is told here moves nothing that was rated before.
  const random = seededRandom(trial.seed * 101 + day.index);
  const { halves } = DESIGNS[trial.design];
  const asked = usuallyAsked([trial.tested]);
  for (const look of looks) {
    if (look.stage === 'wet') continue;
    for (const quality of asked) {
      const of = (side: 'left' | 'right') =>
        usual(quality, side === 'left' ? day.left.truth : day.right.truth, look.day ?? 1, random);
      const put = (zone_id: string | null, value: number) =>
        push(rows, 'felt_reading', { check_in_id: look.id, quality, zone_id, value });
      if (!halves) put(null, of('left'));
      else
        for (const side of ['left', 'right'] as const) {
          const value = of(side);
          for (const place of places) put(zoneId(wearer.key, place, side), value);
        }
    }
  }
  const before = demoId(`check-in ${day.id} before`);
  push(rows, 'check_in', {
    id: before,
    wash_day_id: day.id,
    stage: 'before',
    day: null,
    at: at.at(day.daysAgo, 8.9),
    note: '',
    rater: '',
  });
  for (const [quality, value] of [
    ['moisture', 1 + random.below(2)],
    ['feel', 2],
    ['tangles', 1 + random.below(2)],
    ['build-up', random.below(2)],
  ] as const)
    push(rows, 'felt_reading', { check_in_id: before, quality, zone_id: null, value });
  const event = (kind: string, worn: number, to: object = {}, zones: readonly string[] = []) => {
    const id = demoId(`event ${day.id} ${kind} ${worn} felt`);
    push(rows, 'event', {
      id,
      wash_day_id: day.id,
      kind,
      happened_on: at.date(day.daysAgo - worn + 1),
      note: '',
      ...to,
    });
    for (const zone_id of zones) push(rows, 'event_zone', { event_id: id, zone_id });
  };
  // Hair that holds well needs less.
  for (let worn = 2; worn <= Math.min(trial.wearDays, 3); worn++) {
    const hold = day.left.truth.start.hold;
    if (trial.steady || random.unit() < hold / 10) event('nothing-needed', worn);
    else
      event(
        'edges',
        worn,
        {
          product_id: productId('anvil'),
          dose: { kind: 'exact', amount: 1, measure: 'pea', per: 'head' },
          tool: 'brush',
        },
        (['left', 'right'] as const).map((side) => zoneId(wearer.key, 'hairline', side)),
      );
  }
}
