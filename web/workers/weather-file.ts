import { type Remote, wrap } from 'comlink';
import type { WeatherFile } from './weather-file.worker.ts';

/** A weather file held and read off the page's thread until it is let go. */
export function openWeatherFile(): { file: Remote<WeatherFile>; close: () => void } {
  const worker = new Worker(new URL('./weather-file.worker.ts', import.meta.url), { type: 'module' });
  return { file: wrap<WeatherFile>(worker), close: () => worker.terminate() };
}
