import type { Settings } from '@sabor/contract/settings';
import { localToday } from '@sabor/core/time/today';
import { lengthScale, temperatureScale, volumeScale } from '@sabor/core/units/preferences';
import { dateInWords } from '@sabor/words/dates';
import { fixed, rounded } from '@sabor/words/numbers';

export const showVolume = (ml: number, { volume }: Settings) => {
  const scale = volumeScale(volume);
  return `${rounded(scale.show(ml), scale.digits)} ${scale.sign}`;
};
export const showLength = (mm: number, { length }: Settings) => {
  const scale = lengthScale(length);
  return `${rounded(scale.show(mm), scale.digits)} ${scale.sign}`;
};
export const showTemperature = (celsius: number, { temperature }: Settings) => {
  const scale = temperatureScale(temperature);
  return `${fixed(scale.show(celsius), 1)} ${scale.sign}`;
};
/** A date (yyyy-mm-dd), or that of a moment on this machine's clock, in words. */
export const showDate = (date: string) =>
  dateInWords(date.length > 10 ? localToday(new Date(date)) : date, localToday());
export const showTime = (moment: string) => {
  const at = new Date(moment);
  return `${String(at.getHours()).padStart(2, '0')}:${String(at.getMinutes()).padStart(2, '0')}`;
};
/** "Fri 27 Nov, 10:12" on this machine's clock. */
export const showMoment = (moment: string) => `${showDate(moment)}, ${showTime(moment)}`;
export { showPercent as showShare } from '@sabor/core/units/percent';
export { moneyInWords as showMoney } from '@sabor/words/money';
/** A difference with its sign; what rounds to nothing has none. */
export function signed(x: number, digits = 1): string {
  const size = Math.abs(x).toFixed(digits);
  return Number(size) === 0 ? size : `${x > 0 ? '+' : '−'}${size}`;
}

/** A moment as a date-and-time field wants it, on this machine's clock, and back. */
export const toLocalInput = (moment: string | null) => {
  if (!moment) return '';
  const at = new Date(moment);
  return new Date(at.getTime() - at.getTimezoneOffset() * 60_000).toISOString().slice(0, 16);
};
export const fromLocalInput = (text: string) => {
  const at = new Date(text);
  return text === '' || Number.isNaN(at.getTime()) ? null : at.toISOString();
};
