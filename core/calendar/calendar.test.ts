import { describe, expect, it } from 'vitest';
import { type DayFacts, entriesAhead, entriesOfCare, entriesOfDay, movingOf } from './calendar.ts';

const TODAY = '2026-03-10';
const day = (to: Partial<DayFacts> = {}): DayFacts => ({
  id: 'd',
  wearerName: 'Una',
  name: 'Which gel?',
  on: '2026-03-08',
  status: 'worn',
  revealOn: '2026-03-08',
  endedOn: null,
  wearDays: 4,
  seen: [1],
  ...to,
});
const told = (entries: ReturnType<typeof entriesOfDay>) =>
  entries.map(({ kind, on, state, n }) => `${kind}${n ?? ''} ${on.slice(5)} ${state}`);

describe('a wash day on the calendar', () => {
  it('brings the check-ins of its wear: done, missed, due and ahead', () => {
    expect(told(entriesOfDay(day(), TODAY))).toEqual([
      'wash-day 03-08 done',
      'check-in1 03-08 done',
      'check-in2 03-09 missed',
      'check-in3 03-10 due',
      'check-in4 03-11 ahead',
    ]);
  });

  it('asks for nothing once the wear is over, and keeps what was done', () => {
    expect(told(entriesOfDay(day({ status: 'finished', endedOn: '2026-03-09', seen: [1] }), TODAY))).toEqual([
      'wash-day 03-08 done',
      'check-in1 03-08 done',
    ]);
    expect(entriesOfDay(day({ status: 'abandoned' }), TODAY)).toEqual([]);
    expect(told(entriesOfDay(day({ status: 'under way', revealOn: null, seen: [] }), TODAY))).toEqual([
      'wash-day 03-08 due',
    ]);
  });
});

describe('the wash days a trial still has', () => {
  const trial = {
    id: 't',
    wearerName: 'Una',
    question: 'Which gel?',
    washDays: 4,
    washDaysDone: 1,
    every: 5,
    lastOn: '2026-03-08',
    nextOn: null,
  };

  it('follow its last one by its days from wash to wash, never before today, under ids that stay', () => {
    expect(entriesAhead(trial, TODAY).map(({ id, on, state }) => [id, on, state])).toEqual([
      ['planned-t-2', '2026-03-13', 'ahead'],
      ['planned-t-3', '2026-03-18', 'ahead'],
      ['planned-t-4', '2026-03-23', 'ahead'],
    ]);
    // Late by two weeks: the next is today, the others after it.
    expect(entriesAhead({ ...trial, lastOn: '2026-02-20' }, TODAY).map(({ id, on }) => [id, on])).toEqual([
      ['planned-t-2', '2026-03-10'],
      ['planned-t-3', '2026-03-15'],
      ['planned-t-4', '2026-03-20'],
    ]);
  });

  it('follow the day the next one was moved to, before the first one too; only the next one moves', () => {
    const moved = entriesAhead({ ...trial, nextOn: '2026-03-15' }, TODAY);
    expect(moved.map(({ id, on, moves }) => [id, on, moves])).toEqual([
      ['planned-t-2', '2026-03-15', true],
      ['planned-t-3', '2026-03-20', false],
      ['planned-t-4', '2026-03-25', false],
    ]);
    const first = { ...trial, lastOn: null, washDaysDone: 0, nextOn: '2026-03-12' };
    expect(entriesAhead(first, TODAY).map(({ on }) => on)).toEqual([
      '2026-03-12',
      '2026-03-17',
      '2026-03-22',
      '2026-03-27',
    ]);
    // The day came and went.
    expect(entriesAhead({ ...trial, nextOn: '2026-03-01' }, TODAY)[0]!.on).toBe(TODAY);
  });

  it('are known by their ids where they move, and by nothing else', () => {
    const id = '0192d5a0-0000-7000-8000-000000000000';
    expect(movingOf(`planned-${id}-12`)).toEqual({ kind: 'wash-day', trialId: id });
    expect(movingOf(`appointment-${id}`)).toEqual({ kind: 'appointment', eventId: id });
    for (const other of [`wash-day-${id}`, `check-in-${id}-1`, `planned-${id}`, 'planned-x-1', ''])
      expect(movingOf(other)).toBeNull();
  });

  it('are none before the first and after the last', () => {
    expect(entriesAhead({ ...trial, lastOn: null }, TODAY)).toEqual([]);
    expect(entriesAhead({ ...trial, washDaysDone: 4 }, TODAY)).toEqual([]);
  });
});

describe('care on the calendar', () => {
  const status = (dueOn: string | null) =>
    [{ kind: 'clarify', everyDays: 14, last: '2026-02-20', dueOn, over: 0, calledBy: null }] as const;
  it('stands on its day; overdue it stands on today under the same id', () => {
    const una = { id: 'w', name: 'Una' };
    const [ahead] = entriesOfCare(una, status('2026-03-20'), TODAY);
    const [late] = entriesOfCare(una, status('2026-03-06'), TODAY);
    expect([ahead!.on, ahead!.state, late!.on, late!.state]).toEqual([
      '2026-03-20',
      'ahead',
      TODAY,
      'missed',
    ]);
    expect(late!.id).toBe(ahead!.id);
    expect(entriesOfCare(una, status(null), TODAY)).toEqual([]);
  });
});
