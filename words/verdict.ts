import type { Comparison } from '@sabor/core/compare/comparison';
import { mainResult } from '@sabor/core/compare/main-result';
import type { Factor, Why } from '@sabor/core/compare/primary';
import { PROMISES, type TrialRecord } from '@sabor/core/compare/trial-record';
import { endedBy } from '@sabor/core/compare/worn';
import type { DaysNeeded } from '@sabor/core/inference/days-needed';
import { FEWEST_LOOKS } from '@sabor/core/inference/decide';
import type { Interval } from '@sabor/core/inference/inversion-interval';
import { sdInterval } from '@sabor/core/inference/sd-interval';
import { DESIGNS, designOf, MOST_DAYS } from '@sabor/core/trial/designs';
import { alsoMoved } from './also-moved.ts';
import { goodEnoughInWords, mainInWords, type NumberWords, numbersOf } from './main-result.ts';

export interface Reading {
  headline: string;
  because: string[];
}

/** Share of an arm's ratings at one end of the scale from which the interval may miss the true difference. Model assumption. */
const SCALE_RUNS_OUT = 0.1;

const percent = (share: number) => `${Math.round(share * 100)} %`;
const days = (n: number) => `${n} wash ${n === 1 ? 'day' : 'days'}`;
const list = (names: readonly string[]) =>
  names.length < 2 ? names.join('') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`;

/** A p or other share in words, three decimals, never "0". */
export function pLabel(p: number): string {
  return p < 0.001 ? '< .001' : `= ${p.toFixed(3).replace(/^0/, '')}`;
}
const level = (p: number) => p.toFixed(2).replace(/^0/, '');

/** An interval of how much higher something scored (or longer it lasted), in words: "1.4 to 4.6 higher", "0.4 lower to 3.0 higher". */
function rangeWords({ low, high }: Interval, { size, nothing, more, less }: NumberWords): string {
  const end = (x: number) =>
    Math.abs(x) < nothing ? size(0) : `${size(Math.abs(x))} ${x > 0 ? more : less}`;
  if (low === Number.NEGATIVE_INFINITY && high === Number.POSITIVE_INFINITY) return 'open on both sides';
  if (high === Number.POSITIVE_INFINITY) return `${end(low)} or more, open above`;
  if (low === Number.NEGATIVE_INFINITY) return `${end(high)} or less, open below`;
  if (low >= nothing) return `${size(low)} to ${size(high)} ${more}`;
  if (high <= -nothing) return `${size(-high)} to ${size(-low)} ${less}`;
  return `${end(low)} to ${end(high)}`;
}

const mirrored = ({ low, high, level: at }: Interval): Interval => ({ low: -high, high: -low, level: at });

/** One side against another: who scored higher, by how much, how sure. */
function scored(
  side: string,
  other: string,
  difference: number,
  interval: Interval | null,
  where: string,
  joint: boolean,
  say: NumberWords,
): string {
  const [higher, lower, by, range] =
    difference < 0
      ? [other, side, -difference, interval && mirrored(interval)]
      : [side, other, difference, interval];
  const sure = range
    ? ` (${joint ? 'joint ' : ''}${Math.floor(range.level * 1000 + 1e-6) / 10} % interval: ${rangeWords(range, say)})`
    : '';
  return by < say.nothing
    ? `${higher} and ${lower} ${say.did} ${say.did === 'stayed good' ? 'equally long' : 'the same'} ${where}${sure}.`
    : `${higher} ${say.did} ${say.amount(by)} ${say.more} than ${lower} ${where}${sure}.`;
}

/** What was learned of the noise, for a design that tests no product. */
function noiseSentences({ promise }: TrialRecord, { primary }: Comparison): Reading {
  const { noise } = primary;
  const { word } = mainInWords(promise.primary);
  const say = numbersOf(promise.primary);
  const sd = noise === null ? '' : `${say.size(noise.sd)}${say.unit && ` ${say.unit}`} of ${word}`;
  if (noise === null)
    return {
      headline: `Too early: ${primary.finished} of ${days(promise.plannedWashDays)} are in.`,
      because: ['Noise takes two wash days at least, and four or more to be of use.'],
    };
  const [low, high] = sdInterval(noise.sd, noise.freedom);
  return {
    headline: DESIGNS[promise.design].halves
      ? `Left and right differ by ${sd} by themselves.`
      : `Wash days differ by ${sd} by themselves.`,
    because: [
      `A standard deviation from ${days(primary.finished)} is uncertain: 95 % interval ${say.size(low)} to ${say.size(high)}.`,
      ...(noise.bias === null
        ? []
        : [
            `On average the left is ${say.did === 'scored' ? 'rated' : 'read'} ${say.signed(noise.bias)} against the right: the side’s own bias.`,
          ]),
      'Plans for this wearer take this noise over; it tests no product.',
    ],
  };
}

/** How many wash days of each arm a result rests on. */
function restsOn({ promise }: TrialRecord, comparison: Comparison): string {
  const { looks, due } = comparison.main;
  const counted = promise.arms.map((name, arm) =>
    looks[arm] === due[arm] ? `${looks[arm]} of ${name}` : `${looks[arm]} of ${due[arm]} planned of ${name}`,
  );
  const what = DESIGNS[promise.design].halves
    ? `wash days with both sides ${numbersOf(promise.primary).did === 'scored' ? 'rated' : 'read'}`
    : 'wash days';
  return `It rests on these ${what}: ${list(counted)}.`;
}

/** Every difference of the main result, in words. */
function differences(record: TrialRecord, comparison: Comparison): string[] {
  const { promise } = record;
  const say = numbersOf(promise.primary);
  const where =
    say.did === 'stayed good'
      ? `by day ${promise.wearDays}, counted by ${goodEnoughInWords(promise.primary, promise.line)}`
      : `in ${mainInWords(promise.primary).word} on day ${promise.onDay}`;
  if (designOf(promise.design).factors) {
    const [a, b, c, d] = promise.arms as [string, string, string, string];
    const sides: Record<Factor['which'], [string, string]> = {
      first: [list([c, d]), list([a, b])],
      second: [list([b, d]), list([a, c])],
      interaction: ['', ''],
    };
    return comparison.primary.factors.map(({ which, effect, interval }) =>
      which === 'interaction'
        ? `How much the one setting hangs on the other: ${say.signed(effect)}${say.unit && ` ${say.unit}`}${interval ? ` (${Math.floor(interval.level * 1000 + 1e-6) / 10} % interval ${say.signed(interval.low)} to ${say.signed(interval.high)})` : ''}; this was not tested.`
        : scored(...sides[which], effect, interval, where, true, say),
    );
  }
  return comparison.main.differences.flatMap(({ arm, from, difference, interval }) =>
    difference === null
      ? []
      : scored(
          promise.arms[arm]!,
          promise.arms[from]!,
          difference,
          interval,
          where,
          promise.arms.length > 2,
          say,
        ),
  );
}

/** How much longer one option stayed good than another, each difference described with its interval; the main result says its own. */
export function longerInWords({ promise }: TrialRecord, { goodDays }: Comparison): string[] {
  if (mainResult(promise.primary).lasting) return [];
  const say = numbersOf('lasting:definition');
  return goodDays.differences.flatMap(({ arm, from, difference, interval }) =>
    difference === null
      ? []
      : [
          scored(
            promise.arms[arm]!,
            promise.arms[from]!,
            difference,
            interval,
            `by day ${promise.wearDays}`,
            promise.arms.length > 2,
            say,
          ),
        ],
  );
}

/** Why a tested difference stands without an interval, where the joint ones are open on both sides. */
function withoutInterval({ promise, ended }: TrialRecord, { primary, main }: Comparison): string[] {
  const factorial = designOf(promise.design).factors !== null;
  if (ended !== 'as planned' || primary.test === null || (!factorial && promise.arms.length !== 3)) return [];
  const intervals = factorial
    ? primary.factors.filter(({ which }) => which !== 'interaction')
    : main.differences;
  return intervals.some(({ interval }) => interval !== null)
    ? []
    : ['No interval is given: over these wash days the joint one is open on both sides.'];
}

/** What became of the plan on the way, which a reader has to know. */
function onTheWay({ abandoned, changed, openedEarly }: TrialRecord): string[] {
  const told = abandoned.map(
    ({ position, reason, revealed }) =>
      `Wash day ${position + 1} was abandoned ${revealed ? 'after' : 'before'} the hair was finished (${reason}) and run again with the same option.`,
  );
  if (changed.length > 0)
    told.push(`Changed after the first check-in: ${list(changed.map((what) => PROMISES[what].label))}.`);
  if (openedEarly) told.push('The results were open to see before the trial was over.');
  return told;
}

/** Shares of wears cut short that differ by so much between two options are said. Model assumption. */
const CUT_APART = 0.25;

/** Wears cut short on one option more than on another, which that option may have caused. Source: methods.md 6. */
function cutUnevenly({ promise }: TrialRecord, { wear }: Comparison): string[] {
  if (!mainResult(promise.primary).lasting) return [];
  const cuts = promise.arms.map((name, arm) => ({
    name,
    cut: endedBy(wear, arm, promise.wearDays).cut,
    of: wear.filter((one) => one.arm === arm && one.seen !== null).length,
  }));
  const shares = cuts.flatMap(({ cut, of }) => (of > 0 ? cut / of : []));
  if (Math.max(...shares) - Math.min(...shares) < CUT_APART) return [];
  return [
    `Cut short while still good: ${list(cuts.map(({ name, cut, of }) => `${cut} of ${of} of ${name}`))}. Where the option itself was the reason, this says too much of how long it lasts.`,
  ];
}

/** Where ratings sat at an end of the scale, so that nothing more could be given. */
function scaleRanOut({ promise }: TrialRecord, { atEnds }: Comparison): string[] {
  return promise.arms.flatMap((name, arm) => {
    const { low, high } = atEnds[arm]!;
    const [share, end] = high >= low ? [high, 10] : [low, 0];
    return share >= SCALE_RUNS_OUT
      ? `The scale ran out for ${name}: ${percent(share)} of its ratings are at ${end}. The true difference may be larger than the interval says.`
      : [];
  });
}

/** Why a trial can only hint, in a sentence. */
export function whySentence(
  why: Why,
  { promise }: TrialRecord,
  comparison: Pick<Comparison, 'primary' | 'main'>,
): string {
  const { reach, alpha } = comparison.primary;
  const { looks, due } = comparison.main;
  const { did } = numbersOf(promise.primary);
  const one = did === 'read' ? 'reading' : 'rating';
  switch (why) {
    case 'no lot':
      return 'Before and after has no random order: season, hair and expectation changed as well, so no p is given.';
    case 'ended early':
      return 'The trial ended before its planned wash days, so no p is given.';
    case 'left out':
      return 'Wash days are left aside here; only all of them, as run, can settle anything.';
    case 'changed':
      return 'What the result hangs on was changed after the first check-in, so no p is given.';
    case 'run again':
      return 'A wash day was run again after its hair had been finished, so no p is given.';
    case 'plan':
      return reach.last.oneApartP < 1
        ? `This plan could not settle it: with one option apart and no noise at all its p is ${reach.last.oneApartP.toFixed(2).replace(/^0/, '')}, over ${level(alpha)}.`
        : `This plan could not settle it: an option has fewer than ${FEWEST_LOOKS} wash days.`;
    case 'first look':
      return `At half-way this plan cannot settle anything at ${level(alpha)}, however large the difference. The last test is at ${level(reach.last.alpha)}.`;
    case 'too few looks': {
      const short = promise.arms.filter(
        (_, arm) => looks[arm]! < FEWEST_LOOKS || looks[arm]! < 0.75 * due[arm]!,
      );
      const what =
        did === 'stayed good' ? 'whose days worn are through' : `with a ${one} on day ${promise.onDay}`;
      return `Too few wash days ${what}: ${list(short)} ${short.length === 1 ? 'has' : 'have'} under three, or under three quarters of what was planned.`;
    }
    case 'out of reach':
      return `With the wash days that are missing no difference, however large, could settle it at ${level(alpha)}.`;
    case 'cut short': {
      const short = promise.arms.filter((_, arm) => comparison.main.means[arm] === null);
      return `Over half of the wears of ${list(short)} were cut short while still good, so nothing is said of how long ${short.length === 1 ? 'it lasts' : 'they last'}.`;
    }
    case 'missing days could turn it':
      return `The missing wash days could turn it round: with the worst ${one} seen in their place for the one, and the best for the other, the order changes. So no p is given.`;
  }
}

/** How many wash days it would take, from the noise and the difference that matters. */
function neededSentence({ promise }: TrialRecord, { primary }: Comparison, needed: DaysNeeded): string {
  const many = (n: number | null) => (n === null ? `over ${MOST_DAYS}` : String(n));
  const say = numbersOf(promise.primary);
  const noise = primary.noise ? say.amount(primary.noise.sd) : '';
  const usual =
    needed.usual === null
      ? 'takes more wash days than a plan here holds'
      : `takes about ${days(needed.usual)}`;
  return `With the noise seen here (SD ${noise}), finding a difference of ${say.amount(promise.matters)} ${usual}, four times in five: ${many(needed.ifRight)} if the noise is just that, ${many(needed.ifTwice)} if it is twice as large.`;
}

/** What the interval says of the difference that matters, where two arms were tested. */
function mattersSentence({ promise, changed }: TrialRecord, interval: Interval): string {
  const { low, high } = interval;
  const [near, far] = [Math.min(Math.abs(low), Math.abs(high)), Math.max(Math.abs(low), Math.abs(high))];
  const what = `the ${numbersOf(promise.primary).amount(promise.matters)} worth switching for`;
  const said =
    near >= promise.matters
      ? `All of the interval is at least ${what}.`
      : far < promise.matters
        ? `Even so, all of the interval is under ${what}.`
        : `Whether it is ${what} stays open.`;
  return changed.includes('matters') ? `${said} That limit was changed on the way.` : said;
}

/**
 * What the comparison's main result means: a headline and what it rests on, in plain sentences. An arm is named only
 * for the tested effect of the whole trial as run. `needed` is added where the data could not tell.
 */
export function readPrimary(
  record: TrialRecord,
  comparison: Comparison,
  needed: DaysNeeded | null = null,
): Reading {
  const { promise } = record;
  const { primary } = comparison;
  const { word, gives, gave, most, least } = mainInWords(promise.primary);
  const say = numbersOf(promise.primary);
  if (primary.state === 'noise') return noiseSentences(record, comparison);
  if (primary.state === 'waiting')
    return {
      headline: `Too early: ${primary.finished} of ${days(promise.plannedWashDays)} are in.`,
      because: ['The test waits until the planned wash days are done; looking at it early would spend it.'],
    };
  const contrast = comparison.main;
  const because = [
    ...differences(record, comparison),
    ...withoutInterval(record, comparison),
    restsOn(record, comparison),
  ];
  if (primary.state === 'describes') because.unshift(whySentence(primary.why!, record, comparison));
  because.push(...onTheWay(record));
  if (contrast.differences.some(({ interval }) => interval) || primary.test)
    because.push(...scaleRanOut(record, comparison));
  because.push(...alsoMoved(mainResult(promise.primary).measured?.what));
  because.push(...cutUnevenly(record, comparison));
  if (DESIGNS[promise.design].halves && primary.noise?.bias)
    because.push(
      say.did === 'stayed good'
        ? `Left stayed good ${say.amount(Math.abs(primary.noise.bias))} ${primary.noise.bias > 0 ? say.more : say.less} than right whatever stood there; sides were balanced.`
        : `Left was ${say.did === 'read' ? 'read' : 'rated'} ${say.signed(primary.noise.bias)} against right whatever stood there; sides were balanced.`,
    );
  if (primary.test)
    because.push(
      `Of the ${primary.test.looked.toLocaleString('en')} orders that could have been drawn${primary.test.exact ? '' : ' (a seeded sample)'}, ${(primary.test.p * 100).toFixed(1)} % show a difference at least this wide: p ${pLabel(primary.test.p)}.`,
    );
  if (record.ended === 'look' || promise.looks === 2)
    because.push(
      `${record.ended === 'look' ? 'This is the first' : 'This was the last'} of two planned tests, taken at α ${level(primary.alpha)}.`,
    );
  if (primary.state === 'describes')
    return {
      headline:
        primary.why === 'left out'
          ? 'Without these wash days'
          : `These wash days can only hint at which ${gives}.`,
      because,
    };
  if (primary.state === 'cannot tell') {
    if (needed) because.push(neededSentence(record, comparison, needed));
    return { headline: `Cannot tell yet which ${gives}.`, because };
  }
  const [only] = contrast.differences;
  if (promise.arms.length === 2 && only?.interval) because.push(mattersSentence(record, only.interval));
  const { named, over } = primary.tested!;
  const [best, rest] = [
    list(named.map((arm) => promise.arms[arm]!)),
    list(over.map((arm) => promise.arms[arm]!)),
  ];
  if (promise.arms.length > 2 && !designOf(promise.design).factors) {
    const open = contrast.differences.filter(
      ({ interval, arm, from }) =>
        [arm, from].includes(named[0]!) && interval !== null && interval.low <= 0 && interval.high >= 0,
    );
    for (const { arm, from } of open)
      because.push(`Whether ${best} or ${promise.arms[arm === named[0] ? from : arm]} ${gives} stays open.`);
    return {
      headline: `The options differ in ${word}: ${best} ${most}, ${rest} ${least}.`,
      because,
    };
  }
  return { headline: `${best} ${gave} than ${rest}.`, because };
}
