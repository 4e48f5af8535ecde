import { dewPointBand } from '../climate/dew-point-bands.ts';
import { FELT_KEYS } from '../felt/felt.ts';
import { EVENT_KINDS, eventOf } from '../outcomes/events.ts';
import type { Slot } from '../step/slots.ts';
import type { Difference, DifferenceFact, DifferenceKind } from './difference.ts';
import { HAIR_STATES, type HairState, type Run } from './run.ts';

/** Nights slept without any protection are counted; what protects is `good`. */
const PROTECTS = EVENT_KINDS.filter((kind) => eventOf(kind).group === 'night' && eventOf(kind).good);
/** What was done to it or happened to it; a refresh ends the test where it was done, and is no difference beside. */
const DISTURBS = EVENT_KINDS.filter((kind) => {
  const { group, refreshes } = eventOf(kind);
  return (group === 'hap' && kind !== 'disliked') || (group === 'care' && !refreshes);
});

/** Everything outside the steps. Numbers differ from the smallest amount anybody would speak of. */
export function groundDifferences(a: Run, b: Run): Difference[] {
  const found: Difference[] = [];
  const otherArms = a.arm !== b.arm;
  const put = (
    kind: DifferenceKind,
    fact: DifferenceFact,
    size: number,
    to: Partial<Pick<Difference, 'key' | 'detail' | 'ofArm'>> = {},
  ) =>
    found.push({
      kind,
      key: to.key ?? kind,
      fact,
      a: a.side,
      b: b.side,
      size,
      slot: null,
      detail: to.detail ?? null,
      ofArm: to.ofArm ?? false,
    });
  const apart = (kind: DifferenceKind, x: number | null, y: number | null, least: number, ofArm = false) => {
    if (x !== null && y !== null && Math.abs(x - y) >= least)
      put(kind, { what: 'measure', a: x, b: y }, Math.abs(x - y), { ofArm });
  };
  if (a.wearerId !== b.wearerId) put('head', { what: 'heads' }, 1);
  const [dewA, dewB] = [a.dewPointC, b.dewPointC];
  if (dewA !== null && dewB !== null && dewPointBand(dewA) !== dewPointBand(dewB))
    apart('dew-point', dewA, dewB, 1);
  apart('wind', a.windMs, b.windMs, 3);
  apart('outdoors', a.outdoorHours, b.outdoorHours, 1, otherArms);
  apart('build-up', a.buildUp, b.buildUp, 0.25);
  apart('protein', a.protein, b.protein, 0.15);
  for (const quality of FELT_KEYS) {
    const [x, y] = [a.before[quality], b.before[quality]];
    if (x !== undefined && y !== undefined && x !== y)
      put('before', { what: 'before', quality, a: x, b: y }, Math.abs(x - y), {
        key: `before ${quality}`,
        detail: quality,
      });
  }
  if (a.cameFrom !== null && b.cameFrom !== null && a.cameFrom !== b.cameFrom)
    put('came-from', { what: 'came-from', a: a.cameFrom, b: b.cameFrom }, 1);
  if (a.enteredLater !== b.enteredLater)
    put('entered-later', { what: 'entered-later', later: a.enteredLater ? 'a' : 'b' }, 1);
  if (a.styleMeant !== null && b.styleMeant !== null && a.styleMeant !== b.styleMeant)
    put('style-meant', { what: 'style-meant', a: a.styleMeant, b: b.styleMeant }, 1, {
      ofArm: otherArms && shapingTested(a) && shapingTested(b),
    });
  for (const state of STATES) {
    const [x, y] = [a.since[state] ?? null, b.since[state] ?? null];
    if (x === y) continue;
    put(
      'state',
      { what: 'since', state, a: x, b: y },
      x === null || y === null ? Number.POSITIVE_INFINITY : Math.abs(x - y),
      { key: `state ${state}`, detail: state },
    );
  }
  for (const productId of Object.keys(a.bottleDays)) {
    const [x, y] = [a.bottleDays[productId], b.bottleDays[productId]];
    if (x !== undefined && y !== undefined && Math.abs(x - y) >= 60)
      put('bottle', { what: 'bottle', productId, a: x, b: y }, Math.abs(x - y), {
        key: `bottle ${productId}`,
      });
  }
  if (a.judgedOn !== b.judgedOn && a.judgedOn !== null && b.judgedOn !== null)
    put('judged', { what: 'measure', a: a.judgedOn, b: b.judgedOn }, 1);
  const covered = (run: Run) => PROTECTS.reduce((sum, kind) => sum + (run.events[kind] ?? 0), 0);
  const missed = (run: Run) => run.events['bonnet-missed'] ?? 0;
  const nights = (x: number, y: number, isCovered: boolean, key: string) =>
    put('sleep', { what: 'nights', covered: isCovered, a: x, b: y }, Math.abs(x - y), { key });
  if (missed(a) !== missed(b)) nights(missed(a), missed(b), false, 'sleep');
  else if (
    a.washDayId === b.washDayId ? covered(a) !== covered(b) : (covered(a) === 0) !== (covered(b) === 0)
  )
    nights(covered(a), covered(b), true, 'sleep protected');
  for (const event of DISTURBS) {
    const [x, y] = [a.events[event] ?? 0, b.events[event] ?? 0];
    if (x !== y)
      put('event', { what: 'event', event, a: x, b: y }, Math.abs(x - y), {
        key: `event ${event}`,
        detail: event,
        // What an arm's hair needed is what came of the arm.
        ofArm: otherArms && eventOf(event).group === 'care',
      });
  }
  if (a.rater !== b.rater) put('rater', { what: 'rater', a: a.rater, b: b.rater }, 1);
  if (a.blind !== b.blind) put('blind', { what: 'blind', on: a.blind ? 'a' : 'b' }, 1);
  if (otherArms && stakesKey(a) !== stakesKey(b))
    put('stake', { what: 'stakes', a: a.stakes, b: b.stakes }, 1);
  return found;
}

/** Whether the way the hair is shaped is under test, so that another style is the option itself. */
const shapingTested = ({ steps }: Run) =>
  steps.some(({ part, slot }) => part === 'tested' && SHAPES.includes(slot));
const SHAPES: readonly Slot[] = ['technique', 'set', 'dry'];

/** How the tester stands to what is under test on a side, so that two sides can be told apart. */
const stakesKey = ({ stakes }: Run) => stakes.map(({ productId, stake }) => `${productId} ${stake}`).join();
const STATES = Object.keys(HAIR_STATES) as HairState[];
