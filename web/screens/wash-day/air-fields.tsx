import { fieldsOf } from '@sabor/contract/problem';
import { type Air, type WashDay, WashDayChange } from '@sabor/contract/wash-day';
import { temperatureScale } from '@sabor/core/units/preferences';
import { useState } from 'react';
import * as v from 'valibot';
import { useSettings } from '../../api/queries.ts';
import { Refused } from '../../http/http.ts';
import { NumberField } from '../../ui/inputs.tsx';

/** A wash day's air while it is typed: checked, then saved; true when it was saved. */
export function useAir(day: WashDay) {
  const [air, setAir] = useState<Air>({
    temperatureC: day.temperatureC,
    humidity: day.humidity,
    windMs: day.windMs,
  });
  const [problems, setProblems] = useState<{ path: string; message: string }[]>([]);
  const keep = async (save: (air: Air) => Promise<unknown>): Promise<boolean> => {
    const checked = v.safeParse(WashDayChange, air);
    setProblems(checked.success ? [] : fieldsOf(checked.issues));
    if (!checked.success) return false;
    try {
      await save(air);
      return true;
    } catch (error) {
      const fields = error instanceof Refused ? error.fields : [];
      setProblems(fields.length ? fields : [{ path: 'temperatureC', message: (error as Error).message }]);
      return false;
    }
  };
  const changed = (['temperatureC', 'humidity', 'windMs'] as const).some((key) => air[key] !== day[key]);
  return { air, setAir, problems, keep, changed };
}

/** Temperature, humidity and wind, side by side. */
export function AirFields({
  air,
  setAir,
  problems,
}: Pick<ReturnType<typeof useAir>, 'air' | 'setAir' | 'problems'>) {
  const settings = useSettings();
  const problem = (path: string) => problems.find((found) => found.path === path)?.message;
  return (
    <>
      <NumberField
        className="min-w-32 flex-1"
        label="Temperature"
        scale={temperatureScale(settings.temperature)}
        value={air.temperatureC}
        onChange={(temperatureC) => setAir({ ...air, temperatureC })}
        error={problem('temperatureC')}
      />
      <NumberField
        className="min-w-28 flex-1"
        label="Humidity"
        unit="%"
        value={air.humidity}
        onChange={(humidity) => setAir({ ...air, humidity })}
        error={problem('humidity')}
      />
      <NumberField
        className="min-w-28 flex-1"
        label="Wind"
        unit="m/s"
        value={air.windMs}
        onChange={(windMs) => setAir({ ...air, windMs })}
        error={problem('windMs')}
      />
    </>
  );
}
