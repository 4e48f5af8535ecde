import { describe, expect, it } from 'vitest';
import { settingInWords } from '../../words/step.ts';
import { plainVoice } from '../../words/voice.ts';
import { unitScale } from '../units/preferences.ts';
import { extraProblem, sameExtra } from './extra.ts';
import { ownPlace } from './places.ts';
import {
  COMMON_KEYS,
  EXTRA_KEYS,
  SETTING_KEYS,
  SETTINGS,
  type Setting,
  type SettingKey,
  type SettingValue,
  settingsFor,
  settingValue,
  withSetting,
} from './settings.ts';
import { SLOTS } from './slots.ts';
import { EMPTY_SETTINGS, settingsOf } from './step.ts';

describe('the settings of a step', () => {
  const keys = EXTRA_KEYS;

  it('belong to slots there are, and every slot of a wash day has its own', () => {
    for (const key of keys)
      for (const slot of (SETTINGS[key] as Setting).slots ?? []) expect(SLOTS).toHaveProperty(slot);
    expect(settingsFor('cleanse')).toContain('rounds');
    expect(settingsFor('dry')).toContain('stopAt');
    expect(settingsFor('refresh')).toContain('tier');
    expect(settingsFor('blot')).not.toContain('stopAt');
  });

  it('refuse what they cannot be, with a sentence', () => {
    for (const key of keys) {
      expect(extraProblem(key, { odd: true }), key).toMatch(/\.$/);
      const setting: Setting = SETTINGS[key];
      if (setting.kind === 'number') {
        expect(extraProblem(key, setting.least)).toBeNull();
        expect(extraProblem(key, setting.most + 1)).toContain(String(setting.most));
      }
    }
    expect(extraProblem('places', [])).toContain('one at least');
    expect(extraProblem('places', ['nape', ownPlace('Cowlick')])).toBeNull();
    expect(extraProblem('places', [ownPlace(' ')])).toContain('one at least');
    expect(extraProblem('places', ['Cowlick'])).toContain('one at least');
    expect(extraProblem('why', 'it dries slowest here')).toBeNull();
    expect(extraProblem('why', ' ')).toContain('300');
    expect(extraProblem('cap', false)).toContain('left out');
  });

  it('are the same within the tolerance; how far hair is dried within five points', () => {
    expect(sameExtra('water', 100, 119, 0.2)).toBe(true);
    expect(sameExtra('water', 100, 130, 0.2)).toBe(false);
    expect(sameExtra('stopAt', 90, 94, 0.2)).toBe(true);
    expect(sameExtra('stopAt', 100, 90, 0.2)).toBe(false);
    expect(sameExtra('places', ['crown', 'nape'], ['nape', 'crown'], 0.2)).toBe(true);
    expect(sameExtra('cap', true, undefined, 0.2)).toBe(false);
    expect(sameExtra('why', 'it dries slowest', 'a habit', 0.2)).toBe(true);
  });

  it('say themselves in words', () => {
    const voice = plainVoice((id) => `product ${id}`);
    const words = (key: SettingKey, value: SettingValue) => settingInWords(key, value, voice);
    expect(words('stopAt', 90)).toBe('stop when dry to 90 %');
    expect(words('places', ['nape', ownPlace('Cowlick, left')])).toBe('only at nape, Cowlick, left');
    expect(words('why', 'It dries slowest')).toBe('why so: It dries slowest');
    expect(words('beside', [{ productId: 'b', dose: null, places: ['roots', 'scalp'] }])).toBe(
      'beside it product b, at roots and scalp',
    );
    expect(words('cap', true)).toBe('under a cap');
    expect(words('posture', 'forward')).toBe('head forward');
    expect(words('sections', 1)).toBe('1 section');
    expect(words('rounds', 2)).toBe('rounds 2 times');
    expect(words('celsius', 180)).toBe('temperature 180 °C');
    const american = { ...voice, units: { volume: 'floz', length: 'in', temperature: 'f' } } as const;
    expect(settingInWords('celsius', 176.666_666_7, american)).toBe('temperature 350 °F');
    expect(settingInWords('rodMm', 9, american)).toBe('rod width 0.354 in');
    expect(extraProblem('celsius', 350)).toBe('Temperature runs from 20 to 230 °C (68 to 446 °F).');
  });

  it('take what they name as their limits, in either unit', () => {
    const american = { volume: 'floz', length: 'in', temperature: 'f' } as const;
    for (const key of ['celsius', 'rodMm', 'water'] as const) {
      const { scale } = SETTINGS[key];
      const [least, most] = /\(([\d.]+) to ([\d.]+) /.exec(extraProblem(key, -1)!)!.slice(1).map(Number);
      const { store } = unitScale(scale, american);
      expect([extraProblem(key, store(least!)), extraProblem(key, store(most!))], key).toEqual([null, null]);
      expect(store(most!) / SETTINGS[key].most, key).toBeGreaterThan(0.99);
    }
  });

  it('have words without a value too', () => {
    for (const key of SETTING_KEYS)
      expect(settingInWords(key, undefined, plainVoice()), key).not.toMatch(/undefined|null|NaN/);
  });

  it('are each read, changed and taken back wherever they are kept', () => {
    for (const key of SETTING_KEYS) {
      const set = withSetting(EMPTY_SETTINGS, key, 'x');
      expect(settingValue(set, key)).toBe('x');
      expect(withSetting(set, key, null)).toEqual(EMPTY_SETTINGS);
      expect(settingsOf(set)).toEqual(set);
    }
    expect(EMPTY_SETTINGS).toEqual({
      ...Object.fromEntries(COMMON_KEYS.map((key) => [key, null])),
      extra: {},
    });
  });
});
