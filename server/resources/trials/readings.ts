import type { TrialDetail } from '@sabor/contract/trial-record';
import type { Wearer } from '@sabor/contract/wearer';
import { dewPoint } from '@sabor/core/climate/dew-point';
import { zoneLabel } from '@sabor/core/hair/zones';
import { OUTCOMES } from '@sabor/core/outcomes/outcomes';
import { stageLabel } from '@sabor/core/outcomes/stages';
import { BOM, guarded } from '@sabor/core/table/formula-guard';
import { airOf } from '@sabor/reading/air-of';
import { sidesOf } from '@sabor/reading/side-of';
import Papa from 'papaparse';

/** A trial's readings as CSV, one reading a row, with the wash day's arm and air beside each. */
export function readingsCsv(trial: TrialDetail, wearer: Wearer): string {
  const arms = new Map(trial.arms.map((arm) => [arm.id, arm.name]));
  const zones = new Map(wearer.zones.map((zone) => [zone.id, zoneLabel(zone)]));
  const curls = new Map(wearer.curls.map((curl) => [curl.id, curl.name]));
  const sideOf = sidesOf(wearer);
  const rows = trial.washDayRecords.flatMap((day) => {
    const { temperatureC: t, humidity } = airOf(day);
    const dew = t === null || humidity === null ? null : dewPoint(t, humidity);
    const base = {
      wash_day: day.position + 1,
      abandoned: day.abandonReason === null ? 'no' : 'yes',
      date: day.localDate,
      temperature_c: t,
      humidity_percent: humidity,
      wind_m_s: day.windMs,
      dew_point_c: dew === null ? null : Math.round(dew * 10) / 10,
    };
    const armAt = (where: string | null) => {
      const name = (id: string) => arms.get(id) ?? '';
      const side = where === null ? 'both' : sideOf(where);
      if (day.rightArmId === null || day.rightArmId === day.armId || side === 'left')
        return guarded(name(day.armId));
      return guarded(
        side === 'right' ? name(day.rightArmId) : `${name(day.armId)} | ${name(day.rightArmId)}`,
      );
    };
    return day.checkIns.flatMap((checkIn) => {
      const look = {
        ...base,
        stage: stageLabel(checkIn.stage, checkIn.day),
        day_of_wear: checkIn.day,
        at: checkIn.at,
      };
      return [
        ...checkIn.ratings.map((rating) => ({
          ...look,
          arm: armAt(rating.zoneId),
          outcome: OUTCOMES[rating.outcome].label,
          zone: guarded(rating.zoneId === null ? 'Whole head' : (zones.get(rating.zoneId) ?? '')),
          curl: '',
          value: rating.value,
          unit: '0-10',
        })),
        ...checkIn.curls.flatMap((curl) =>
          (['restingMm', 'stretchedMm'] as const).map((length) => ({
            ...look,
            arm: armAt(curl.curlId),
            outcome: length === 'restingMm' ? 'Resting length' : 'Stretched length',
            zone: '',
            curl: guarded(curls.get(curl.curlId) ?? ''),
            value: curl[length],
            unit: 'mm',
          })),
        ),
      ];
    });
  });
  const columns = [
    'wash_day',
    'abandoned',
    'date',
    'arm',
    'temperature_c',
    'humidity_percent',
    'wind_m_s',
    'dew_point_c',
    'stage',
    'day_of_wear',
    'at',
    'outcome',
    'zone',
    'curl',
    'value',
    'unit',
  ];
  return (
    BOM +
    Papa.unparse({
      fields: columns,
      data: rows.map((row) => columns.map((c) => row[c as keyof typeof row])),
    })
  );
}
