import type { OutdoorsInput } from '@sabor/contract/weather';
import { type Db, transaction } from '../../db/pool.ts';
import { openWashDay } from './standing.ts';

/** Sets the hours out of doors and indoors on one day of an open wash day's wear. */
export async function saveOutdoors(
  db: Db,
  washDayId: string,
  on: string,
  hours: OutdoorsInput,
): Promise<void> {
  await transaction(db, async (client) => {
    await openWashDay(client, washDayId);
    await client.query(
      `insert into day_outdoors (wash_day_id, on_date, outdoor_hours, indoor_hours) values ($1, $2, $3, $4)
       on conflict (wash_day_id, on_date) do update set outdoor_hours = excluded.outdoor_hours,
         indoor_hours = excluded.indoor_hours`,
      [washDayId, on, hours.outdoorHours, hours.indoorHours],
    );
  });
}
