import type { Settings } from '@sabor/contract/settings';
import { lengthScale, temperatureScale, volumeScale } from '@sabor/core/units/preferences';

const fixed = (x: number, digits: number) => String(Number(x.toFixed(digits)));

export const showVolume = (ml: number, { volume }: Settings) => {
  const scale = volumeScale(volume);
  return `${fixed(scale.show(ml), scale.digits)} ${scale.sign}`;
};
export const showLength = (mm: number, { length }: Settings) => {
  const scale = lengthScale(length);
  return `${fixed(scale.show(mm), scale.digits)} ${scale.sign}`;
};
export const showTemperature = (celsius: number, { temperature }: Settings) => {
  const scale = temperatureScale(temperature);
  return `${scale.show(celsius).toFixed(1).replace('-', '−')} ${scale.sign}`;
};
export const showMoney = (amount: number, currency: string) => {
  try {
    return new Intl.NumberFormat('en', { style: 'currency', currency, currencyDisplay: 'code' }).format(
      amount,
    );
  } catch {
    return `${currency} ${amount.toFixed(2)}`;
  }
};
export const showDate = (date: string) =>
  new Intl.DateTimeFormat('en-GB', { weekday: 'short', day: 'numeric', month: 'short' }).format(
    new Date(date.length > 10 ? date : `${date}T12:00:00`),
  );
export const showTime = (moment: string) =>
  new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit' }).format(new Date(moment));
export { showPercent as showShare } from '@sabor/core/units/percent';
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
export const fromLocalInput = (text: string) => (text ? new Date(text).toISOString() : null);
