import type { WearEvent } from '@sabor/contract/check-in';
import type { Product } from '@sabor/contract/shelf';
import type { NewTap } from '@sabor/contract/taps';
import type { WashDay } from '@sabor/contract/wash-day';
import type { Wearer } from '@sabor/contract/wearer';
import { MEASURES, type Measure } from '@sabor/core/doses/measures';
import { DISLIKES } from '@sabor/core/hair/wishes';
import { asBefore } from '@sabor/core/outcomes/as-before';
import { wearDate } from '@sabor/core/outcomes/day-of-wear';
import {
  EVENT_CAME,
  EVENT_GROUPS,
  EVENTS,
  type EventCame,
  type EventGroup,
  type EventKind,
  eventOf,
  eventsOf,
} from '@sabor/core/outcomes/events';
import { TOOLS, type Tool } from '@sabor/core/step/choices';
import { SLOTS } from '@sabor/core/step/slots';
import { keysOf } from '@sabor/core/vocabulary';
import { PLAIN_EVENT } from '@sabor/reading/nothing-told';
import { v7 } from 'uuid';
import { useHairFile } from '../../api/queries.ts';
import { makeTap } from '../../offline/outbox.ts';
import { Button } from '../../ui/button.tsx';
import { benchChip } from '../../ui/five-words.tsx';
import { showDate } from '../../ui/show.ts';
import { useSay } from '../../ui/undo.tsx';
import { EventZones } from './event-zones.tsx';

const GROUPS: readonly EventGroup[] = ['care', 'hap', 'none'];
/** Small amounts that dry hair is touched up with. */
const TOUCHES: readonly Measure[] = ['drop', 'spray', 'pea', 'hazelnut', 'coin', 'pump'];
const TOUCH_TOOLS: readonly Tool[] = ['fingers', 'brush', 'pick', 'scarf', 'clips', 'diffuser'];
const HOW = (kind: EventKind) => Object.entries(eventOf(kind).as ?? {});

/** Products that are likely to be at hand for a touch-up: what stays in the hair on this day, and edge products. */
function likely(day: WashDay, products: readonly Product[], chosen: string | null): Product[] {
  const used = new Set(
    day.steps.flatMap(({ slot, status, productId, code }) =>
      SLOTS[slot].stays && status === 'done' && productId !== null && code === null ? [productId] : [],
    ),
  );
  return products.filter(
    ({ id, roles, archivedAt }) =>
      id === chosen ||
      used.has(id) ||
      (archivedAt === null && (roles.includes('edge') || roles.includes('spray'))),
  );
}

type Details = Partial<
  Pick<WearEvent, 'note' | 'zoneIds' | 'how' | 'productId' | 'dose' | 'tool' | 'spoiledAt' | 'came'>
>;

/**
 * What was done to hair and what happened to it on one day worn: one tap sets it, another takes it back; then where, how, and
 * with what, as far as it has any of these.
 */
export function Acts({
  day,
  wearer,
  products,
  on,
  groups = GROUPS,
}: {
  day: WashDay;
  wearer: Wearer;
  products: readonly Product[];
  on: string;
  groups?: readonly EventGroup[];
}) {
  const say = useSay();
  const here = day.events.filter((event) => event.on === on && groups.includes(eventOf(event.kind).group));
  const tap = (event: WearEvent, to: Details | 'gone'): NewTap => ({
    kind: 'event',
    eventId: event.id,
    event: event.kind,
    on,
    gone: to === 'gone',
    ...(to === 'gone' ? {} : to),
  });
  const toggle = (kind: EventKind) => {
    const there = here.find((event) => event.kind === kind);
    const event = there ?? { ...PLAIN_EVENT, id: v7(), washDayId: day.id, kind, on };
    const { zoneIds, how, productId, dose, tool, spoiledAt, came } = event;
    const whole = { zoneIds, how, productId, dose, tool, spoiledAt, came };
    void makeTap(day.id, tap(event, there ? 'gone' : {}));
    say(`${EVENTS[kind].label}${there ? ', taken back' : ''}.`, () =>
      makeTap(day.id, tap(event, there ? whole : 'gone')),
    );
  };
  const before = asBefore(day.events, on, groups);
  // What it spoiled, and what came of it, is that day's own.
  const repeat = () => {
    const again = before.map((event) => ({
      ...event,
      id: v7(),
      on,
      spoiledAt: null,
      announced: false,
      came: null,
    }));
    for (const { zoneIds, how, productId, dose, tool, note, ...event } of again)
      void makeTap(day.id, tap({ ...PLAIN_EVENT, ...event }, { zoneIds, how, productId, dose, tool, note }));
    say(`As on ${showDate(before[0]!.on)}.`, () =>
      Promise.all(again.map((event) => makeTap(day.id, tap(event, 'gone')))),
    );
  };
  /** Marked as spoiled when that day had been rated already. */
  const isLate = ({ spoiledAt }: WearEvent) =>
    spoiledAt !== null &&
    day.checkIns.some(
      ({ stage, at, ratings }) =>
        stage === 'wear' &&
        ratings.length > 0 &&
        wearDate(at, wearer.timeZone) === on &&
        Date.parse(at) < Date.parse(spoiledAt),
    );
  const change = (event: WearEvent, to: Details) => void makeTap(day.id, tap(event, to));
  return (
    <div className="space-y-3">
      {before.length > 0 && (
        <Button onClick={repeat}>
          As on {showDate(before[0]!.on)}:{' '}
          {before.map(({ kind }) => EVENTS[kind].label.toLowerCase()).join(', ')}
        </Button>
      )}
      {groups.map((group) => (
        <fieldset key={group}>
          <legend className="text-sm font-semibold">{EVENT_GROUPS[group].label}</legend>
          <div className="flex flex-wrap gap-1.5">
            {eventsOf(group).map((kind) => (
              <button
                key={kind}
                type="button"
                className={benchChip}
                aria-pressed={here.some((event) => event.kind === kind)}
                onClick={() => toggle(kind)}
              >
                {kind === 'nothing-needed' && here.some((event) => eventOf(event.kind).group === 'care')
                  ? 'Nothing else needed'
                  : EVENTS[kind].label}
              </button>
            ))}
          </div>
        </fieldset>
      ))}
      {here
        .filter(({ kind }) => eventOf(kind).group !== 'none')
        .map((event) => (
          <Detail
            key={event.id}
            event={event}
            wearer={wearer}
            late={isLate(event)}
            products={likely(day, products, event.productId)}
            change={(to) => change(event, to)}
          />
        ))}
    </div>
  );
}

function Chips<K extends string>({
  label,
  options,
  value,
  choose,
}: {
  label: string;
  options: readonly { key: K; label: string }[];
  value: K | null;
  choose: (key: K | null) => void;
}) {
  return (
    <div role="group" aria-label={label} className="flex flex-wrap gap-1.5">
      {options.map(({ key, label: words }) => (
        <button
          key={key}
          type="button"
          className={benchChip}
          aria-pressed={value === key}
          onClick={() => choose(value === key ? null : key)}
        >
          {words}
        </button>
      ))}
    </div>
  );
}

/** Which dislike it was that happened, from the wearer's own list. */
function Disliked({
  wearerId,
  value,
  choose,
}: {
  wearerId: string;
  value: string;
  choose: (which: string) => void;
}) {
  const file = useHairFile(wearerId);
  const { dislikes = [], ownDislikes = [] } = file.data?.wishes ?? {};
  const all = [...dislikes.map((key) => DISLIKES[key].label), ...ownDislikes];
  if (all.length === 0) return null;
  return (
    <Chips
      label="Which dislike"
      options={all.map((one) => ({ key: one, label: one }))}
      value={value || null}
      choose={(one) => choose(one ?? '')}
    />
  );
}

/** Where, how and with what something was, and whether it spoiled the place for judging. */
function Detail({
  event,
  wearer,
  late,
  products,
  change,
}: {
  event: WearEvent;
  wearer: Wearer;
  late: boolean;
  products: readonly Product[];
  change: (to: Details) => void;
}) {
  const { label, uses, spoils } = eventOf(event.kind);
  const how = HOW(event.kind);
  const measure = event.dose?.kind === 'exact' && event.dose.amount === 1 ? event.dose.measure : null;
  return (
    <div className="space-y-1.5 border-l-4 border-ink/20 pl-3">
      <EventZones event={event} wearer={wearer} save={(zoneIds) => change({ zoneIds })} />
      {how.length > 0 && (
        <Chips
          label={`How: ${label}`}
          options={how.map(([key, row]) => ({ key, label: row.label }))}
          value={event.how}
          choose={(key) => change({ how: key })}
        />
      )}
      {event.kind === 'disliked' && (
        <Disliked wearerId={wearer.id} value={event.note} choose={(note) => change({ note })} />
      )}
      {uses && (
        <>
          <Chips
            label={`Product: ${label}`}
            options={products.map(({ id, name }) => ({ key: id, label: name }))}
            value={event.productId}
            choose={(productId) => change({ productId, ...(productId === null ? { dose: null } : {}) })}
          />
          {event.productId !== null && (
            <Chips
              label={`Amount: ${label}`}
              options={TOUCHES.map((key) => ({ key, label: `1 ${MEASURES[key].label}` }))}
              value={measure}
              choose={(key) =>
                change({
                  dose: key === null ? null : { kind: 'exact', amount: 1, measure: key, per: 'head' },
                })
              }
            />
          )}
          <Chips
            label={`Tool: ${label}`}
            options={TOUCH_TOOLS.map((key) => ({ key, label: TOOLS[key].label }))}
            value={event.tool}
            choose={(tool) => change({ tool })}
          />
        </>
      )}
      {spoils && (
        <button
          type="button"
          className={benchChip}
          aria-pressed={event.spoiledAt !== null}
          onClick={() => change({ spoiledAt: event.spoiledAt === null ? new Date().toISOString() : null })}
        >
          It spoiled the hair there: do not judge it from that day on
        </button>
      )}
      {late && <p className="text-mango-deep">Marked after that day was rated: the rating counts.</p>}
      {event.announced && (
        <Chips<EventCame>
          label={`What it came to: ${label}`}
          options={keysOf(EVENT_CAME).map((key) => ({ key, label: EVENT_CAME[key].label }))}
          value={event.came}
          choose={(came) => change({ came })}
        />
      )}
    </div>
  );
}
