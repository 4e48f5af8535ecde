import { CalendarFile, CalendarSpan, MoveInput } from '@sabor/contract/calendar';
import { plusDays } from '@sabor/core/time/dates';
import { localToday } from '@sabor/core/time/today';
import { Router } from 'express';
import type { Db } from '../../db/pool.ts';
import { parse } from '../../http/problems.ts';
import { asICalendar } from './ics.ts';
import { moveEntry } from './move.ts';
import { readCalendar } from './store.ts';

/** What a calendar that is subscribed to holds: a month back, half a year ahead. */
const BACK_DAYS = 31;
const AHEAD_DAYS = 183;

export function calendarRoutes(db: Db): Router {
  const router = Router();
  router.get('/calendar', async (request, response) => {
    response.json(await readCalendar(db, parse(CalendarSpan, request.query), new Date()));
  });
  router.put('/calendar/:entry', async (request, response) => {
    const { on } = parse(MoveInput, request.body);
    response.json(await moveEntry(db, request.params.entry, on, new Date()));
  });
  router.get('/calendar.ics', async (request, response) => {
    const { remind } = request.query;
    const { remind: hour } = parse(CalendarFile, remind === undefined ? {} : { remind: Number(remind) });
    const now = new Date();
    const today = localToday(now);
    const entries = await readCalendar(
      db,
      { from: plusDays(today, -BACK_DAYS), to: plusDays(today, AHEAD_DAYS) },
      now,
    );
    response
      .type('text/calendar; charset=utf-8')
      .attachment('sabor.ics')
      .send(asICalendar(entries, hour ?? null, `${request.protocol}://${request.get('host')}`, now));
  });
  return router;
}
