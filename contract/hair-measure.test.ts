import { v7 } from 'uuid';
import * as v from 'valibot';
import { describe, expect, it } from 'vitest';
import { HairMeasureInput } from './hair-measure.ts';
import { fieldsOf } from './problem.ts';

const faults = (result: object, to: object = {}) => {
  const checked = v.safeParse(HairMeasureInput, {
    id: v7(),
    wearerId: v7(),
    zoneId: null,
    on: '2026-01-01',
    result,
    ...to,
  });
  return checked.success ? [] : fieldsOf(checked.issues);
};

describe('a measurement', () => {
  it.each([
    { kind: 'strand', micrometres: 70 },
    { kind: 'ponytail', circumferenceMm: 82 },
    { kind: 'stretch', wetMm: 100, stretchedMm: 130, releasedMm: 104 },
    { kind: 'shed', from: 100, to: 200, days: 3, worn: 'loose' },
  ])('%j is sound', (result) => {
    expect(faults(result)).toEqual([]);
  });

  it.each([
    [
      { kind: 'strand', micrometres: 700 },
      'result.micrometres',
      'A hair is between 10 and 200 micrometres across. Check the reading.',
    ],
    [{ kind: 'strand', micrometres: Number.NaN }, 'result.micrometres', 'The thickness must be a number.'],
    [
      { kind: 'ponytail', circumferenceMm: 600 },
      'result.circumferenceMm',
      'A ponytail measures up to 400 mm around. Check the reading.',
    ],
    [
      { kind: 'stretch', wetMm: 100, stretchedMm: 90, releasedMm: 90 },
      'result.stretchedMm',
      'A stretched strand cannot be shorter than it was at rest.',
    ],
    [
      { kind: 'shed', from: 50, to: 20, days: 1, worn: 'loose' },
      'result.to',
      'Count from 0 up; an estimate runs from less to more.',
    ],
    [
      { kind: 'shed', from: 5, to: 20, days: 0, worn: 'loose' },
      'result.days',
      'The days since the last detangle must be more than 0.',
    ],
    [
      { kind: 'shed', from: 5, to: 20, days: 1, worn: 'hat' },
      'result.worn',
      'Choose how the hair was worn from the list.',
    ],
    [{ kind: 'mood' }, 'result.kind', 'Choose what was measured.'],
  ])('%j is refused at its field', (result, path, message) => {
    expect(faults(result)).toContainEqual({ path, message });
  });

  it('lies in the past', () => {
    expect(faults({ kind: 'strand', micrometres: 70 }, { on: '2999-01-01' })[0]?.path).toBe('on');
  });
});
