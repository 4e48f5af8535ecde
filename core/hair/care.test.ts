import { describe, expect, it } from 'vitest';
import { careStatus } from './care.ts';
import { CARE } from './care-kinds.ts';
import { HAIR_EVENTS } from './history.ts';
import { WASHED_WITH } from './wash-care.ts';

const today = '2026-03-31';
const status = (...args: Parameters<typeof careStatus>) =>
  Object.fromEntries(careStatus(...args).map((one) => [one.kind, one]));

describe('care due', () => {
  it('by hand: clarified on 1 March, every 14 days, is 16 days over on the 31st', () => {
    const { clarify } = status([{ kind: 'clarify', on: '2026-03-01' }], [], {}, today);
    expect(clarify).toMatchObject({ last: '2026-03-01', dueOn: '2026-03-15', over: 16, calledBy: null });
  });

  it('counts from the newest, and never from what is to come', () => {
    const events = [
      { kind: 'trim' as const, on: '2026-01-01' },
      { kind: 'trim' as const, on: '2025-06-01' },
      { kind: 'trim' as const, on: '2026-05-01' },
    ];
    expect(status(events, [], {}, today).trim).toMatchObject({
      last: '2026-01-01',
      dueOn: '2026-04-16',
      over: -16,
    });
  });

  it('takes intense protein for light, a big cut for a trim, and wash days for the wash', () => {
    const events = [
      { kind: 'protein-intense' as const, on: '2026-03-25' },
      { kind: 'big-cut' as const, on: '2026-03-20' },
    ];
    const found = status(events, ['2026-03-20', '2026-03-27'], {}, today);
    expect(found['protein-light']!.last).toBe('2026-03-25');
    expect(found.trim!.last).toBe('2026-03-20');
    expect(found.wash).toMatchObject({ last: '2026-03-27', dueOn: '2026-04-03', over: -3 });
  });

  it('is called for at once by braids coming out, until it is done', () => {
    const out = { kind: 'braids-out' as const, on: '2026-03-28' };
    const before = { kind: 'clarify' as const, on: '2026-03-20' };
    expect(status([before, out], [], {}, today).clarify).toMatchObject({
      dueOn: '2026-03-28',
      over: 3,
      calledBy: 'braids-out',
    });
    const after = { kind: 'clarify' as const, on: '2026-03-29' };
    expect(status([before, out, after], [], {}, today).clarify).toMatchObject({
      dueOn: '2026-04-12',
      calledBy: null,
    });
    expect(status([out], [], {}, today).clarify).toMatchObject({
      last: null,
      dueOn: '2026-03-28',
      calledBy: 'braids-out',
    });
  });

  it('does not move the date later when the cadence was over before the call', () => {
    const events = [
      { kind: 'clarify' as const, on: '2026-02-01' },
      { kind: 'braids-out' as const, on: '2026-03-28' },
    ];
    expect(status(events, [], {}, today).clarify).toMatchObject({ dueOn: '2026-02-15', calledBy: null });
  });

  it('follows the wearer’s own cadence, and leaves out what is switched off', () => {
    const events = [{ kind: 'clarify' as const, on: '2026-03-01' }];
    const found = status(events, [], { clarify: 45, 'protein-light': null }, today);
    expect(found.clarify).toMatchObject({ everyDays: 45, dueOn: '2026-04-15', over: -15 });
    expect(found['protein-light']).toBeUndefined();
  });

  it('puts the most overdue first and what was never noted last', () => {
    const events = [
      { kind: 'clarify' as const, on: '2026-01-01' },
      { kind: 'trim' as const, on: '2026-03-30' },
    ];
    const order = careStatus(events, ['2026-03-01'], {}, today).map(({ kind, over }) => [kind, over]);
    expect(order.slice(0, 3).map(([kind]) => kind)).toEqual(['clarify', 'wash', 'trim']);
    expect(order.slice(3).every(([, over]) => over === null)).toBe(true);
  });

  it('names only events that exist, and is common practice throughout', () => {
    for (const { counts, calls, everyDays } of Object.values(CARE)) {
      for (const kind of [...counts, ...calls])
        expect({ ...HAIR_EVENTS, ...WASHED_WITH }).toHaveProperty(kind);
      expect(everyDays).toBeGreaterThan(0);
    }
  });

  it('shampoo and co-wash are kept apart where a head asks for it, a clarifying wash counting as shampoo', () => {
    expect(status([], [], {}, '2026-03-20')).not.toHaveProperty('shampoo');
    const events = [
      { kind: 'clarify', on: '2026-03-10' },
      { kind: 'co-wash', on: '2026-03-16' },
    ] as const;
    const kept = status(events, [], { shampoo: 14, 'co-wash': 4 }, '2026-03-20');
    expect(kept.shampoo).toMatchObject({ last: '2026-03-10', dueOn: '2026-03-24' });
    expect(kept['co-wash']).toMatchObject({ last: '2026-03-16', over: 0 });
  });

  it('in turns, what was done last is due again only after the other', () => {
    const cadence = { shampoo: 7, 'co-wash': 7 };
    const due = (events: { kind: 'shampoo' | 'co-wash'; on: string }[]) => {
      const found = status(events, [], cadence, '2026-03-20', ['shampoo', 'co-wash']);
      return [found.shampoo?.dueOn, found['co-wash']?.dueOn];
    };
    expect(
      due([
        { kind: 'co-wash', on: '2026-03-08' },
        { kind: 'shampoo', on: '2026-03-15' },
      ]),
    ).toEqual(['2026-03-29', '2026-03-22']);
    expect(
      due([
        { kind: 'shampoo', on: '2026-03-08' },
        { kind: 'co-wash', on: '2026-03-15' },
      ]),
    ).toEqual(['2026-03-22', '2026-03-29']);
    // The other was never done: it is not due, and nothing waits for it.
    expect(due([{ kind: 'shampoo', on: '2026-03-15' }])).toEqual(['2026-03-22', '2026-03-22']);
    expect(due([])).toEqual([null, null]);
  });
});
