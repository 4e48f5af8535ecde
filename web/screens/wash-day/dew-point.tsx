import { dewPoint } from '@sabor/core/climate/dew-point';
import { dewPointBand } from '@sabor/core/climate/dew-point-bands';
import { useSettings } from '../../api/queries.ts';
import { showTemperature } from '../../ui/show.ts';

/** The dew point of the air given, with the trade's word for it. Nothing while the air is not known. */
export function DewPoint({
  temperatureC,
  humidity,
}: {
  temperatureC: number | null;
  humidity: number | null;
}) {
  const settings = useSettings();
  if (temperatureC === null || humidity === null) return null;
  let dew: number | null;
  try {
    dew = dewPoint(temperatureC, humidity);
  } catch {
    return null;
  }
  if (dew === null || Number.isNaN(dew)) return null;
  const band = dewPointBand(dew);
  return (
    <p aria-live="polite">
      Dew point <span className="figure">{showTemperature(dew, settings)}</span>, {band.label}: {band.says}{' '}
      (common practice)
    </p>
  );
}
