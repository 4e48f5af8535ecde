import type { Product } from '@sabor/contract/shelf';
import type { TrialDetail } from '@sabor/contract/trial-record';
import type { WashDay } from '@sabor/contract/wash-day';
import type { Wearer } from '@sabor/contract/wearer';
import type { WayKind, WornDay } from '@sabor/core/board/by-way';
import { dewPoint } from '@sabor/core/climate/dew-point';
import type { Slot } from '@sabor/core/step/slots';
import { airOf } from './air-of.ts';
import { dayOf } from './board-of.ts';
import { toTrialRecord } from './trial-record.ts';

/** How a wash day, or one half of it, was done. */
function waysOf(
  { steps, styleMeant }: WashDay,
  half: 'left' | 'right' | null,
): Record<WayKind, string | null> {
  const done = steps.filter(
    (step) => step.status === 'done' && (step.half === null || half === null || step.half === half),
  );
  const at = (slot: Slot) => done.filter((step) => step.slot === slot);
  const dried = at('dry')[0];
  return {
    technique:
      [...at('technique'), ...at('hold')].find(({ technique }) => technique !== null)?.technique ?? null,
    drying: dried ? `${dried.tool ?? 'air'} ${dried.heat ?? 'none'}` : null,
    style: styleMeant,
    night: at('protect').find(({ tool }) => tool !== null)?.tool ?? null,
  };
}

/** The dew point of a wash day's own air, in °C; null where it is not known. */
function dewPointOf(day: WashDay): number | null {
  const { temperatureC, humidity } = airOf(day);
  return temperatureC === null || humidity === null ? null : dewPoint(temperatureC, humidity);
}

/**
 * The worn days of a trial, or of a wash day by itself, with how they were done; none while its key is shut or, in a trial, while
 * nobody has seen its outcomes.
 */
export function wornDays(trial: TrialDetail, shelf: readonly Product[], wearer: Wearer): WornDay[] {
  if (trial.masked || (!trial.logged && trial.outcomesShownAt === null)) return [];
  const record = toTrialRecord(trial, shelf, wearer);
  const kept = new Map(
    trial.washDayRecords.flatMap((day) => (day.status === 'abandoned' ? [] : [[day.position, day]])),
  );
  return record.washDays.map((day) => {
    const own = kept.get(day.position)!;
    const { washDayId, half, on, dewPointC, rated, worn, washedOn, over } = dayOf(
      day,
      own,
      record.promise,
      dewPointOf(own),
    );
    return {
      ...{ washDayId, half, on, dewPointC, rated, worn, washedOn, over },
      wearDays: trial.wearDays,
      ways: waysOf(own, half),
    };
  });
}
