import type { TrialDetail } from '@sabor/contract/trial-record';
import { mainOf } from '@sabor/core/compare/comparison';
import { codesOf } from '@sabor/core/compare/contrast';
import { lastingReference } from '@sabor/core/compare/lasting-main';
import { mainResult } from '@sabor/core/compare/main-result';
import { referenceOfRecord } from '@sabor/core/compare/primary';
import type { TrialRecord } from '@sabor/core/compare/trial-record';
import { endOf, wearsOf } from '@sabor/core/compare/wear';
import type { SlipItem } from '@sabor/core/fairness/slip';
import { layOut, type Sides } from '@sabor/core/inference/effects';
import { guarded } from '@sabor/core/table/formula-guard';
import { DESIGNS, designOf } from '@sabor/core/trial/designs';
import { amendmentInWords } from '@sabor/words/amendment';
import { differenceInWords } from '@sabor/words/fairness';
import { mainInWords, numbersOf } from '@sabor/words/main-result';
import { whySentence } from '@sabor/words/verdict';
import type { Voice } from '@sabor/words/voice';

/** A column of a table: what it is called, of which type, and in words what it holds. */
export interface Field {
  name: string;
  type: 'string' | 'number' | 'integer' | 'boolean' | 'date' | 'datetime';
  says: string;
}
export interface Table {
  name: string;
  says: string;
  fields: readonly Field[];
  rows: readonly (readonly (string | number | null)[])[];
}

const text = (name: string, says: string): Field => ({ name, type: 'string', says });
const whole = (name: string, says: string): Field => ({ name, type: 'integer', says });
const real = (name: string, says: string): Field => ({ name, type: 'number', says });
const WHAT = [text('what', 'what it is'), text('value', 'its value')];
const yes = (is: boolean) => (is ? 'yes' : 'no');

/** Options go by letters, in the order of the trial's own list. */
const letter = (arm: number) => String.fromCharCode(65 + arm);

/** What lies on each day of an order: the option of the head, or "A|B" for its left and right half. */
function daysOf({ days, plus, minus }: Sides, s: number, halves: boolean): string[] {
  return Array.from({ length: days }, (_, day) => {
    const at = s * days + day;
    return halves ? `${letter(plus[at]!)}|${letter(minus[at]!)}` : letter(plus[at]!);
  });
}

/** The wash days' numbers as the main result reads them, and for good days when each wear stopped being good. */
function numbersTable(record: TrialRecord, main: ReturnType<typeof mainOf>['main']): Table {
  const { primary, wearDays } = record.promise;
  const { lasting } = mainResult(primary);
  const wears = lasting ? wearsOf(record) : [];
  return {
    name: 'numbers',
    says: 'One number a wash day, or half of it, as the main result reads it.',
    fields: [
      whole('wash_day', 'the wash day, from 1'),
      text('half', 'left or right; empty for a whole head'),
      text('arm', 'the option, by its letter'),
      real(
        'number',
        lasting
          ? 'what the wash day adds to the mean good days (jackknife pseudo-value); empty where it has none'
          : 'the main result on the judged day, weighted over the zones; empty where it has none',
      ),
      real('good_to', 'good days only: the last day it was surely good'),
      real('not_good_by', 'good days only: the day by which it was not; empty where that was never seen'),
    ],
    rows: record.washDays.map(({ position, half, arm, wearEnd, spoiled }, i) => {
      const value = main.byWashDay[i]!.value;
      const end =
        lasting && value !== null
          ? endOf(wears[i]!.seen, wearEnd !== null || spoiled !== null, wearDays)
          : null;
      return [
        position + 1,
        half ?? '',
        letter(arm),
        value,
        end?.low ?? null,
        end && Number.isFinite(end.high) ? end.high : null,
      ];
    }),
  };
}

/** The tables of a finished trial, its readings aside: what was promised, drawn and found, so that all of it can be computed again. */
export function tablesOf(
  trial: TrialDetail,
  record: TrialRecord,
  items: readonly SlipItem[],
  voice: Voice,
): Table[] {
  const { promise } = record;
  const design = designOf(promise.design);
  const { lasting, better } = mainResult(promise.primary);
  const { main, primary } = mainOf(record);
  const reference = lasting
    ? referenceOfRecord(record) && lastingReference(record)
    : referenceOfRecord(record);
  const own = layOut(promise.design, [codesOf(record)]);
  const positions = new Map(trial.washDayRecords.map(({ id, position }) => [id, position + 1]));
  const orders = reference
    ? Array.from({ length: reference.count }, (_, s) => [s + 1, ...daysOf(reference, s, design.halves)])
    : [];
  return [
    {
      name: 'promise',
      says: 'What was promised before the first wash day.',
      fields: WHAT,
      rows: [
        ['question', guarded(trial.question)],
        ['design', DESIGNS[promise.design].label],
        ['halves', yes(design.halves)],
        ['factors', yes(design.factors !== null)],
        ['wash_days', promise.plannedWashDays],
        ['wear_days', promise.wearDays],
        ['main_result', mainInWords(promise.primary).word],
        ['better', better],
        ['unit', numbersOf(promise.primary).unit],
        ['counts_days', yes(lasting !== null)],
        ['judged_on_day', lasting ? '' : promise.onDay],
        ['good_enough', promise.line],
        ['difference_that_matters', promise.matters],
        ['alpha', promise.alpha],
        ['looks', promise.looks],
        ['blind', yes(trial.blind)],
        ['seed', trial.seed ?? ''],
      ],
    },
    {
      name: 'arms',
      says: 'The options.',
      fields: [text('arm', 'its letter'), text('name', 'what it is called')],
      rows: trial.arms.map(({ name }, arm) => [letter(arm), guarded(name)]),
    },
    {
      name: 'allocation',
      says: 'The order as it was drawn.',
      fields: [
        whole('wash_day', 'the wash day, from 1'),
        text('arms', 'the option; in half-heads those of the left and right half, with | between'),
      ],
      rows: daysOf(own, 0, design.halves).map((arms, day) => [day + 1, arms]),
    },
    numbersTable(record, main),
    {
      name: 'orders',
      says:
        reference === null
          ? 'Empty: this design has no random order.'
          : reference.exact
            ? 'Every order that the lot could have drawn, each equally likely.'
            : `${reference.count} orders drawn anew by the same lot, of the ${reference.size} it could have drawn.`,
      fields: [
        whole('order', 'its number'),
        ...Array.from({ length: promise.plannedWashDays }, (_, day) =>
          text(`day_${day + 1}`, 'the option of this wash day, as in the allocation'),
        ),
      ],
      rows: orders,
    },
    {
      name: 'result',
      says: 'What Sabor says of the main result.',
      fields: WHAT,
      rows: [
        ['state', primary.state],
        ['why', primary.why ? whySentence(primary.why, record, { primary, main }).replace(/\.$/, '') : ''],
        ['p', primary.test?.p ?? ''],
        ['all_orders', yes(primary.test?.exact ?? reference?.exact ?? false)],
        ['alpha', primary.alpha],
        ['largest_difference', primary.tested?.apart ?? ''],
        ['favours', primary.tested?.named.map(letter).join(' ') ?? ''],
        ['wash_days_with_a_number', primary.finished],
        ...main.differences.flatMap(({ arm, from, difference, interval }) => {
          const pair = `${letter(arm)} over ${letter(from)}`;
          return [
            [`difference ${pair}`, difference ?? ''],
            [`interval ${pair}, low`, interval?.low ?? ''],
            [`interval ${pair}, high`, interval?.high ?? ''],
          ];
        }),
      ],
    },
    {
      name: 'amendments',
      says: 'What was changed about the promise, and when.',
      fields: [
        { name: 'at', type: 'datetime', says: 'when it was changed' },
        whole('wash_days_done', 'wash days that were done by then'),
        text('change', 'what became what'),
        text('reason', 'the reason that was given'),
      ],
      rows: trial.amendments.map((one) => [
        one.at,
        one.washDaysDone,
        guarded(amendmentInWords(one, voice)),
        guarded(one.reason),
      ]),
    },
    {
      name: 'slip',
      says: 'The fairness check: what differed between wash days and options beside what was tested.',
      fields: [
        whole('wash_day', 'the wash day, from 1; empty for the options as a whole'),
        text('difference', 'what differed'),
        text('gravity', 'what it does to the main result: breaks, weakens, notes'),
        text('because', 'why'),
        text('overruled', 'what the rules said, and why the tester judged otherwise'),
      ],
      rows: items.map(({ washDayId, difference, gravity, because, overruled }) => [
        washDayId === null ? null : (positions.get(washDayId) ?? null),
        guarded(differenceInWords(difference, voice)),
        gravity,
        guarded(because),
        overruled ? guarded(`${overruled.was}: ${overruled.reason}`) : '',
      ]),
    },
  ];
}
