import { lengthScale, temperatureScale } from '@sabor/core/units/preferences';
import { DEFAULT_SETTINGS } from '@sabor/reading/default-settings';
import { describe, expect, it } from 'vitest';
import { readNumber, readScaled } from './inputs.tsx';
import { matching } from './search-choice.tsx';
import {
  fromLocalInput,
  showLength,
  showMoney,
  showTemperature,
  showVolume,
  signed,
  toLocalInput,
} from './show.ts';

describe('a number with a unit of its own behind it', () => {
  it.each([
    ['300', 300],
    ['300 mm', 300],
    ['30 cm', 300],
    ['12 in', 304.8],
    ['12"', 304.8],
    ['1,5″', 38.1],
  ])('%j is so many mm where mm are preferred', (text, mm) => {
    expect(readScaled(text, lengthScale('mm'))).toBeCloseTo(mm, 9);
  });

  it('is what it says in whatever unit is preferred', () => {
    expect(readScaled('12', lengthScale('in'))).toBeCloseTo(304.8, 9);
    expect(readScaled('300 mm', lengthScale('in'))).toBe(300);
    expect(readScaled('50 °F', temperatureScale('c'))).toBeCloseTo(10, 9);
    expect(readScaled('10c', temperatureScale('f'))).toBe(10);
  });

  it('is none with a unit that does not belong', () => {
    expect(readScaled('12 ml', lengthScale('mm'))).toBeNaN();
    expect(readScaled('in', lengthScale('mm'))).toBeNaN();
    expect(readScaled('', lengthScale('mm'))).toBeNull();
  });
});

describe('a typed number', () => {
  it.each([
    ['12', 12],
    [' 12,5 ', 12.5],
    ['0.30', 0.3],
    ['.5', 0.5],
    ['-3', -3],
    ['−3', -3],
    ['', null],
    ['  ', null],
  ])('%j is %s', (text, number) => {
    expect(readNumber(text)).toBe(number);
  });

  it.each(['abc', '1,2,3', '12 ml', '1e5', '--2', '.'])('%j is none', (text) => {
    expect(readNumber(text)).toBeNaN();
  });
});

describe('what is shown', () => {
  const american = { ...DEFAULT_SETTINGS, volume: 'floz', length: 'in', temperature: 'f' } as const;

  it('is in the units the user prefers', () => {
    expect(showVolume(250, DEFAULT_SETTINGS)).toBe('250 ml');
    expect(showVolume(236.588, american)).toBe('8 fl oz');
    expect(showLength(254, american)).toBe('10 in');
    expect(showTemperature(-40, american)).toBe('−40.0 °F');
    expect(showTemperature(12.34, DEFAULT_SETTINGS)).toBe('12.3 °C');
  });

  it('carries signs and currencies', () => {
    expect(signed(1.25)).toBe('+1.3');
    expect(signed(-0.5)).toBe('−0.5');
    expect(signed(0)).toBe('0.0');
    expect(signed(-0.04)).toBe('0.0');
    expect(showMoney(7.2, 'EUR').replace('\u00a0', ' ')).toBe('EUR 7.20');
    expect(showMoney(7.2, 'not a currency')).toBe('not a currency 7.20');
  });

  it('passes a moment through a date field and back', () => {
    expect(fromLocalInput(toLocalInput('2026-07-01T10:20:00.000Z'))).toBe('2026-07-01T10:20:00.000Z');
    expect(toLocalInput(null)).toBe('');
    expect(fromLocalInput('')).toBeNull();
  });
});

describe('a long list, searched', () => {
  const rows = ['Europe/Lisbon', 'America/New York', 'Atlantic/Azores', 'Lisbon Lane'].map((label) => ({
    key: label,
    label,
  }));

  it.each([
    ['', 4, 'Europe/Lisbon'],
    ['lisb', 2, 'Lisbon Lane'],
    ['new america', 1, 'America/New York'],
    ['mars', 0, undefined],
  ])('%j finds %i, first %s', (text, many, first) => {
    const found = matching(rows, text);
    expect(found).toHaveLength(many);
    expect(found[0]?.label).toBe(first);
  });
});
