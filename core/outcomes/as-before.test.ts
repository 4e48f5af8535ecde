import { describe, expect, it } from 'vitest';
import { asBefore } from './as-before.ts';
import type { EventCame, EventKind } from './events.ts';

const event = (kind: EventKind, on: string, announced = false, came: EventCame | null = null) => ({
  kind,
  on,
  announced,
  came,
});
const rain = event('rain', '2026-02-28');
const edges = event('edges', '2026-02-28');

describe('as the day before', () => {
  it('takes that day’s own, of the groups asked, over the end of a month', () => {
    const events = [rain, edges, event('hat', '2026-02-27'), event('workout', '2026-02-28', true)];
    expect(asBefore(events, '2026-03-01', ['care', 'hap'])).toEqual([rain, edges]);
    expect(asBefore(events, '2026-03-01', ['hap'])).toEqual([rain]);
    expect(asBefore(events, '2026-03-01', ['night'])).toEqual([]);
    expect(asBefore(events, '2026-03-02', ['care', 'hap'])).toEqual([]);
  });

  it('takes what was announced only where it came', () => {
    const told = (came: EventCame | null) =>
      asBefore([event('workout', '2026-02-28', true, came)], '2026-03-01', ['hap']).length;
    expect([told(null), told('off'), told('held'), told('suffered')]).toEqual([0, 0, 1, 1]);
  });

  it('offers nothing once something is said of the day', () => {
    const said = [rain, event('left-alone', '2026-03-01')];
    expect(asBefore(said, '2026-03-01', ['hap', 'none'])).toEqual([]);
    expect(asBefore(said, '2026-03-01', ['hap'])).toEqual([rain]);
  });
});
