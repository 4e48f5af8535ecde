import type { HairFile } from '@sabor/contract/hair-file';
import { saturationPressure, vapourPressure } from '@sabor/core/climate/saturation';
import type { Heat, Technique, Tool } from '@sabor/core/step/choices';
import type { Client } from '../../db/pool.ts';

interface Row {
  washDayId: string;
  on: string;
  eighty: number | null;
  ninety: number | null;
  dry: number | null;
  techniques: Technique[];
  tool: Tool | null;
  heat: Heat | null;
  temperatureC: number | null;
  humidity: number | null;
}

/** Every wash day whose drying was timed, with how the hair was worked and dried and what water the air could take. */
export async function readDrying(db: Client, wearerId: string): Promise<HairFile['drying']> {
  const { rows } = await db.query<Row>(
    `select d.id as "washDayId", (d.washed_at at time zone w.time_zone)::date as "on",
       extract(epoch from d.dry80_at - d.washed_at) / 60 as eighty,
       extract(epoch from d.dry90_at - d.washed_at) / 60 as ninety,
       extract(epoch from d.dry_at - d.washed_at) / 60 as dry,
       (select coalesce(json_agg(s.technique order by s.position), '[]') from wash_step s
         where s.wash_day_id = d.id and s.status = 'done' and s.technique is not null
           and s.slot in ('hold', 'technique', 'set')) as techniques,
       m.tool, m.heat,
       coalesce(d.temperature_c, r.temperature_c) as "temperatureC", coalesce(d.humidity, r.humidity) as humidity
     from wash_day d join trial t on t.id = d.trial_id join wearer w on w.id = t.wearer_id
     left join lateral (select tool, heat from wash_step s
       where s.wash_day_id = d.id and s.slot = 'dry' and s.status = 'done' order by s.position desc limit 1) m on true
     left join lateral (select s.locality_id from stay s join locality p on p.id = s.locality_id
       where s.wearer_id = w.id and s.from_on <= (d.washed_at at time zone p.time_zone)::date
       order by s.from_on desc limit 1) l on true
     left join lateral (select temperature_c, humidity from weather_reading x
       where x.locality_id = l.locality_id
         and x.at between d.washed_at - interval '90 minutes' and d.washed_at + interval '90 minutes'
       order by abs(extract(epoch from x.at - d.washed_at)) limit 1) r on true
     where t.wearer_id = $1 and d.abandoned_at is null and d.washed_at is not null
       and coalesce(d.dry80_at, d.dry90_at, d.dry_at) is not null
     order by d.washed_at desc`,
    [wearerId],
  );
  return rows.map(
    ({ washDayId, on, eighty, ninety, dry, techniques, tool, heat, temperatureC: t, humidity }) => ({
      washDayId,
      on,
      techniques: [...new Set(techniques)],
      tool: tool === 'fingers' ? null : tool,
      heat: heat === 'none' ? null : heat,
      minutes: { eighty, ninety, dry },
      deficitHpa:
        t === null || humidity === null ? null : saturationPressure(t) - vapourPressure(t, humidity),
    }),
  );
}
