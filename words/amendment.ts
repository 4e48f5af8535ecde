import { AMENDABLE, type Amendable, type Amendment, type Change } from '@sabor/contract/promise';
import type { MainResult } from '@sabor/core/compare/main-result';
import { SETTINGS, type SettingKey, type SettingValue } from '@sabor/core/step/settings';
import { SLOTS } from '@sabor/core/step/slots';
import { mainInWords } from './main-result.ts';
import { capital, rounded } from './numbers.ts';
import { settingInWords, settingName } from './step.ts';
import type { Voice } from './voice.ts';

function fieldValue(field: Amendable, value: SettingValue): string {
  if (value === null || value === undefined) return 'none';
  if (field === 'primary') return mainInWords(value as MainResult).word;
  return typeof value === 'number' ? rounded(value, 2) : `“${String(value)}”`;
}

const isSetting = (key: string): key is SettingKey => Object.hasOwn(SETTINGS, key);

function changeInWords(change: Change, voice: Voice): string {
  if (change.setting === 'told') return `${change.was} became ${change.becomes}`;
  const { setting, was, becomes } = change;
  if (isSetting(setting))
    return `${settingName(setting)} was ${settingInWords(setting, was, voice)}, became ${settingInWords(setting, becomes, voice)}`;
  return `${AMENDABLE[setting].label} was ${fieldValue(setting, was)}, became ${fieldValue(setting, becomes)}`;
}

/** What was changed about a promise: "Hold: amount was 12 g, became 15 g." */
export function amendmentInWords(
  { slot, changes }: Pick<Amendment, 'slot' | 'changes'>,
  voice: Voice,
): string {
  const what = changes.map((change) => changeInWords(change, voice)).join('; ');
  return `${slot === null ? capital(what) : `${SLOTS[slot].label}: ${what}`}.`;
}
