import { describe, expect, it } from 'vitest';
import { namesOf } from './taken.ts';

const taken = (id: string, to: object = {}) => ({
  id,
  position: 4,
  question: 'Gel or foam?',
  logged: false,
  stage: 'wear' as const,
  day: 1,
  takenAt: `2026-05-0${id}T10:00:00Z`,
  angle: 'back',
  ...to,
});
const named = (all: ReturnType<typeof taken>[]) => all.map(namesOf(all, ({ angle }) => angle).of);

describe('pictures on the light table', () => {
  it('are named by wash day, look and angle', () => {
    expect(named([taken('1'), taken('2', { position: 5 })])).toEqual([
      'Wash day 5, finished hair, day 1, back',
      'Wash day 6, finished hair, day 1, back',
    ]);
  });

  it('are counted where one look has several from one angle, in the order they were taken', () => {
    expect(named([taken('3'), taken('1'), taken('2', { angle: 'left' })])).toEqual([
      'Wash day 5, finished hair, day 1, back, 2 of 2',
      'Wash day 5, finished hair, day 1, back, 1 of 2',
      'Wash day 5, finished hair, day 1, left',
    ]);
  });

  it('say of which trial they are where there are several; a wash day by itself has its own name', () => {
    const other = taken('2', { question: 'Foam or none?', day: 3 });
    const alone = taken('3', { question: 'A swim', logged: true });
    expect(named([taken('1'), other, alone])).toEqual([
      'Wash day 5, finished hair, day 1, back · Gel or foam?',
      'Wash day 5, day 3, back · Foam or none?',
      'A swim, finished hair, day 1, back',
    ]);
    const { wear, look } = namesOf([taken('1'), other], () => null);
    expect(wear(other)).toBe('Wash day 5 · Foam or none?');
    expect(look(other)).toBe('Wash day 5, day 3 · Foam or none?');
  });
});
