import type { CalendarEntry, Moved } from '@sabor/contract/calendar';
import type { Problem } from '@sabor/contract/problem';
import type { Today } from '@sabor/contract/today';
import type { TrialDetail } from '@sabor/contract/trial-record';
import { plusDays } from '@sabor/core/time/dates';
import { localToday } from '@sabor/core/time/today';
import ICAL from 'ical.js';
import { v7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { openBench, type TestBench } from '../../testing/bench.ts';
import { sampleBench, zoneOfAfternoon } from '../../testing/samples.ts';
import { tap, tapFinish } from '../../testing/tapping.ts';
import { asICalendar } from './ics.ts';

let bench: TestBench;
beforeAll(async () => {
  bench = await openBench();
});
afterAll(() => bench.close());

const today = localToday(new Date());
const ago = (hours: number) => new Date(Date.now() - hours * 3_600_000).toISOString();
const read = async (from = plusDays(today, -10), to = plusDays(today, 30)) =>
  (await bench.ask<CalendarEntry[]>('GET', `/api/calendar?from=${from}&to=${to}`)).body;

/** The events of a file as a kept parser reads them. */
function eventsOf(text: string) {
  const calendar = new ICAL.Component(ICAL.parse(text));
  return calendar.getAllSubcomponents('vevent').map((part) => {
    const event = new ICAL.Event(part);
    return {
      id: event.uid,
      on: event.startDate.toString(),
      allDay: event.startDate.isDate,
      summary: event.summary,
      url: String(part.getFirstPropertyValue('url')),
      alarms: part
        .getAllSubcomponents('valarm')
        .map((alarm) => String(alarm.getFirstPropertyValue('trigger'))),
    };
  });
}

describe('the calendar', () => {
  it('holds wash days and check-ins that were, are due and were missed, and what a trial still has', async () => {
    const { trial } = await sampleBench(
      bench,
      { cadenceDays: 4, wearDays: 3 },
      { name: 'Una of the calendar', timeZone: zoneOfAfternoon() },
    );
    const id = v7();
    await bench.ask('PUT', `/api/wash-days/${id}`, { trialId: trial.id, startedAt: ago(30) });
    await tapFinish(bench, id);
    await tap(bench, id, { kind: 'day', set: { washedAt: ago(29), dryAt: ago(27), revealAt: ago(26) } });
    const mine = (await read()).filter(({ of }) => of === 'Una of the calendar');
    const looks = mine.filter(({ kind }) => kind === 'check-in');
    expect(looks.map(({ n }) => n)).toEqual([1, 2, 3]);
    expect(looks[0]!.state).toBe('missed');
    expect(looks[0]!.path).toBe(`/wash-days/${id}/look/day-1`);
    // Announced for yesterday, and nobody said what it came to: it waits, it is not done. An appointment was kept.
    await bench.db.query(
      `insert into event (id, wash_day_id, kind, happened_on, announced) values ($1, $2, 'workout', $3, true)`,
      [v7(), id, plusDays(today, -1)],
    );
    const trim = { wearerId: trial.wearerId, kind: 'trim', on: plusDays(today, -1), zoneIds: [] };
    await bench.ask('PUT', `/api/hair-events/${v7()}`, trim);
    const past = (await read()).filter(({ of, on }) => of === 'Una of the calendar' && on < today);
    expect(past.find(({ kind }) => kind === 'announced')!.state).toBe('missed');
    expect(past.find(({ kind }) => kind === 'appointment')!.state).toBe('done');
    const planned = mine.filter(({ id: one }) => one.startsWith('planned-'));
    expect(planned.map(({ n }) => n)).toEqual([2, 3, 4]);
    const start = mine.find(({ id: one }) => one === `wash-day-${id}`)!.on;
    expect(planned.map(({ on }) => on)).toEqual([4, 8, 12].map((days) => plusDays(start, days)));
  });

  it('moves a trial’s next wash day and an appointment, keeps ids, and says where it cannot', async () => {
    const { trial } = await sampleBench(
      bench,
      { cadenceDays: 4 },
      { name: 'Mo of the moves', timeZone: zoneOfAfternoon() },
    );
    const mine = async () => (await read()).filter(({ of }) => of === 'Mo of the moves');
    const move = (id: string, on: string | null) =>
      bench.ask<Moved & Problem>('PUT', `/api/calendar/${id}`, { on });
    expect(await mine()).toEqual([]);
    // Put on a day before it ever began, moved, and taken back.
    const next = `planned-${trial.id}-1`;
    expect((await move(next, plusDays(today, 3))).body).toEqual({ was: null, apart: null });
    expect((await move(next, plusDays(today, 5))).body).toEqual({ was: plusDays(today, 3), apart: null });
    expect((await mine())[0]).toMatchObject({ id: next, on: plusDays(today, 5), moves: true });
    const due = (await bench.ask<Today>('GET', '/api/today')).body.due;
    expect(due.find((one) => one.kind === 'start wash day' && one.trialId === trial.id)).toMatchObject({
      on: plusDays(today, 5),
    });
    // Begun: the day it was put on is gone, and the next one's gap is measured by the plan's.
    const id = v7();
    await bench.ask('PUT', `/api/wash-days/${id}`, { trialId: trial.id, startedAt: ago(1) });
    const second = `planned-${trial.id}-2`;
    const begun = (await mine()).find(({ kind }) => kind === 'wash-day')!.on;
    expect((await mine()).find((one) => one.id === second)!.on).toBe(plusDays(begun, 4));
    expect((await move(second, plusDays(begun, 6))).body).toEqual({
      was: null,
      apart: { days: 6, planned: 4 },
    });
    expect((await move(second, plusDays(begun, 4))).body).toEqual({ was: plusDays(begun, 6), apart: null });
    expect((await move(second, null)).body.was).toBe(plusDays(begun, 4));
    // Put on a day that went by: moved on, there is no way back to it.
    await bench.db.query('insert into next_wash (trial_id, on_date) values ($1, $2)', [
      trial.id,
      plusDays(today, -3),
    ]);
    expect((await mine()).find((one) => one.id === second)!.on).toBe(today);
    expect((await move(second, plusDays(begun, 4))).body.was).toBeNull();
    // An appointment.
    const trim = {
      wearerId: trial.wearerId,
      kind: 'show',
      on: plusDays(today, 9),
      zoneIds: [],
      note: 'stage',
    };
    const event = v7();
    await bench.ask('PUT', `/api/hair-events/${event}`, trim);
    expect((await move(`appointment-${event}`, plusDays(today, 10))).body.was).toBe(plusDays(today, 9));
    const moved = (await mine()).find(({ kind }) => kind === 'appointment')!;
    expect(moved).toMatchObject({ on: plusDays(today, 10), what: 'show', moves: true });
    // What cannot be.
    const says = async (id: string, on: string | null) => {
      const { status, body } = await move(id, on);
      return [status, body.fields?.[0]?.message ?? body.detail];
    };
    expect(await says(second, plusDays(today, -1))).toEqual([
      422,
      'That day has passed. Choose today or a later one.',
    ]);
    expect(await says(second, begun)).toEqual([
      422,
      'The last wash day was on that day. The next one comes after it.',
    ]);
    expect((await says(second, plusDays(today, 400)))[0]).toBe(422);
    expect((await says(second, 'tomorrow'))[0]).toBe(422);
    expect((await says(`appointment-${event}`, null))[0]).toBe(422);
    expect((await says(`wash-day-${id}`, plusDays(today, 2)))[0]).toBe(409);
    expect((await says(`planned-${v7()}-1`, plusDays(today, 2)))[0]).toBe(404);
  });

  it('shows a patch test on the day its skin is looked at', async () => {
    const { trial } = await sampleBench(bench, {}, { name: 'Pat of the patch' });
    const productId = (await bench.ask<TrialDetail>('GET', `/api/trials/${trial.id}`)).body.arms[0]!.steps[0]!
      .productId;
    await bench.ask('PUT', `/api/patch-tests/${v7()}`, {
      wearerId: trial.wearerId,
      productId,
      startedAt: ago(1),
      outcome: null,
      lookedAt: null,
      note: '',
    });
    const found = (await read()).filter(({ kind, of }) => kind === 'patch-test' && of === 'Pat of the patch');
    expect(found).toHaveLength(1);
    expect(found[0]!.state).toBe('ahead');
    expect([plusDays(today, 1), plusDays(today, 2)]).toContain(found[0]!.on);
  });

  it('of three years, or turned round, is refused in words', async () => {
    const ask = async (from: string, to: string) => {
      const { status, body } = await bench.ask<Problem>('GET', `/api/calendar?from=${from}&to=${to}`);
      return [status, body.fields?.map(({ message }) => message)];
    };
    expect(await ask('2026-01-01', '2029-01-01')).toEqual([
      422,
      ['A calendar shows 400 days at most. Ask for a shorter time.'],
    ]);
    expect(await ask('2026-01-02', '2026-01-01')).toEqual([422, ['The last day comes after the first.']]);
    expect((await ask('moon', '2026-01-01'))[0]).toBe(422);
    expect((await bench.ask('GET', '/api/calendar.ics?remind=25')).status).toBe(422);
  });
});

describe('the calendar as a file', () => {
  const entry = (to: Partial<CalendarEntry> = {}): CalendarEntry => ({
    id: 'planned-t-2',
    on: '2026-03-29',
    kind: 'wash-day',
    state: 'ahead',
    of: 'Una',
    what: 'Which gel keeps the curls defined; through a week, of damp\\ stage doors – and who will say so at the end?',
    n: 2,
    path: '/trials/t',
    moves: false,
    ...to,
  });

  const file = (
    entries: readonly CalendarEntry[],
    remind: number | null,
    { address = '', now = '2026-03-01T08:00:00Z' } = {},
  ) => asICalendar(entries, remind, address, new Date(now));
  const stampOf = (text: string) => /^DTSTAMP:(.*)$/m.exec(text)?.[1]?.trim();

  // Checked against RFC 5545 by a kept parser (ical.js): folding (3.1), text escaping (3.3.11), whole days (3.3.4), alarms (3.6.6).
  it('reads back as it was: whole days, names, addresses, alarms at the hour of that day', () => {
    const text = file([entry(), entry({ id: 'done', state: 'done' })], 9, { address: 'http://localhost:1' });
    const [planned, done] = eventsOf(text);
    expect(planned).toEqual({
      id: 'planned-t-2@sabor',
      on: '2026-03-29',
      allDay: true,
      summary: `Una: Wash day 2: ${entry().what}`,
      url: 'http://localhost:1/trials/t',
      alarms: ['PT9H'],
    });
    // What is done reminds of nothing.
    expect(done!.alarms).toEqual([]);
    for (const line of text.split('\r\n')) expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75);
    expect(text).toMatch(/^BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:/);
    expect(eventsOf(file([entry()], null))[0]!.alarms).toEqual([]);
  });

  it('keeps an entry’s id when its date moves, on the days clocks change too, and never looks older than before', () => {
    const [before] = eventsOf(file([entry()], null));
    const [after] = eventsOf(file([entry({ on: '2026-10-25' })], null));
    expect(after!.id).toBe(before!.id);
    expect([before!.on, after!.on]).toEqual(['2026-03-29', '2026-10-25']);
    // Moved to an earlier day, read again later: newer all the same (DTSTAMP, 3.8.7.2).
    const earlier = file([entry({ on: '2026-03-20' })], 8, { now: '2026-03-02T08:00:00Z' });
    expect([stampOf(file([entry()], 8)), stampOf(earlier)]).toEqual(['20260301T080000Z', '20260302T080000Z']);
    expect(file([entry()], 8)).toBe(file([entry()], 8));
  });

  it('is served as a calendar, each id once', async () => {
    const response = await fetch(`${bench.url}/api/calendar.ics?remind=18`);
    expect(response.headers.get('content-type')).toContain('text/calendar');
    const events = eventsOf(await response.text());
    expect(events.length).toBeGreaterThan(0);
    expect(new Set(events.map(({ id }) => id)).size).toBe(events.length);
    expect(events.some(({ alarms }) => alarms[0] === 'PT18H')).toBe(true);
  });
});
