import type { Air, WashDay } from '@sabor/contract/wash-day';

/** The air that counts for a wash day: what was read by hand there, else what its place's weather had at the wash. */
export function airOf(day: Air & Pick<WashDay, 'air'>): Air {
  if (day.temperatureC !== null || day.air === null) return day;
  const { temperatureC, humidity, windMs } = day.air;
  return { temperatureC, humidity: day.humidity ?? humidity, windMs: day.windMs ?? windMs };
}
