import { type TemperatureUnit, temperatureScale } from '@sabor/core/units/preferences';

/** A number in a sentence, without trailing noughts. */
export const rounded = (x: number, digits = 1): string => String(Number(x.toFixed(digits))).replace('-', '−');

/** A number with so many places, trailing noughts kept: "−0.30"; what rounds to nothing has no sign. */
export function fixed(x: number, places: number): string {
  const figure = x.toFixed(places);
  return figure.replace('-', Number(figure) === 0 ? '' : '−');
}

/** "1 wash day", "3 wash days". */
export const counted = (n: number, one: string, more = `${one}s`): string =>
  `${rounded(n)} ${n === 1 ? one : more}`;

/** "15.4 °C", or in Fahrenheit where that is preferred. */
export function temperature(celsius: number, unit: TemperatureUnit): string {
  const { show, sign } = temperatureScale(unit);
  return `${rounded(show(celsius))} ${sign}`;
}

/** The first letter as a capital. */
export const capital = (text: string): string =>
  text === '' ? text : text[0]!.toUpperCase() + text.slice(1);

/** A figure with a comma between its thousands: "12,345.6". */
export const withThousands = (figure: string): string =>
  figure.replace(/^[−-]?\d+/, (whole) => whole.replace(/\B(?=(\d{3})+$)/g, ','));
