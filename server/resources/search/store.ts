import type { Found } from '@sabor/contract/search';
import type { Client } from '../../db/pool.ts';

/** Most of a kind that are given. */
const MOST = 8;

/**
 * Where to look: rows of `kind, id, title, text`. Titles are looked through first; `text` is everything else that was
 * written about it. What is sealed in a blind trial is not written there.
 */
const SOURCES = `
  select 'product' as kind, p.id, p.name as title, concat_ws(E'\\n', l.name, p.note, p.label_directions, p.ingredients) as text
    from product p left join line l on l.id = p.line_id
  union all select 'line', id, name, note from line
  union all select 'wearer', id, name, note from wearer
  union all select 'routine', r.id, r.name, concat_ws(E'\\n', r.note, (select string_agg(nullif(s.note, ''), E'\\n') from step s where s.routine_id = r.id))
    from routine r where not r.is_plan
  union all select 'trial', t.id, t.question, concat_ws(E'\\n', w.name, r.name,
      (select string_agg(a.name, E'\\n') from arm a where a.trial_id = t.id and not (t.blind and t.key_opened_at is null)))
    from trial t join wearer w on w.id = t.wearer_id join routine r on r.id = t.plan_id where not t.logged
  union all select 'wash-day', d.id, case when t.logged then 'Wash day · ' else 'Wash day ' || d.position + 1 || ' · ' end || t.question, concat_ws(E'\\n',
      to_char(d.started_at at time zone w.time_zone, 'YYYY-MM-DD'), to_char(d.started_at at time zone w.time_zone, 'FMDD Mon YYYY'),
      nullif(d.note, ''), d.abandon_reason,
      (select string_agg(nullif(s.note, ''), E'\\n') from wash_step s where s.wash_day_id = d.id),
      (select string_agg(nullif(c.note, ''), E'\\n') from check_in c where c.wash_day_id = d.id),
      (select string_agg(nullif(e.note, ''), E'\\n') from event e where e.wash_day_id = d.id))
    from wash_day d join trial t on t.id = d.trial_id join wearer w on w.id = t.wearer_id
  union all select 'place', id, name, '' from locality`;

/** The words around the first place a text holds what was looked for. */
function around(text: string, q: string): string {
  const at = text.toLowerCase().indexOf(q.toLowerCase());
  if (at < 0) return '';
  const [from, to] = [Math.max(0, at - 30), Math.min(text.length, at + q.length + 50)];
  const piece = text.slice(from, to).replaceAll(/\s+/g, ' ').trim();
  return `${from > 0 ? '… ' : ''}${piece}${to < text.length ? ' …' : ''}`;
}

/** Everything whose name or words hold what was typed; those whose name begins with it first. */
export async function search(db: Client, q: string): Promise<Found[]> {
  if (q === '') return [];
  const like = `%${q.replaceAll(/[\\%_]/g, '\\$&')}%`;
  const { rows } = await db.query<Omit<Found, 'where'> & { text: string; named: boolean }>(
    `select kind, id, title, coalesce(text, '') as text, named from (
       select *, title ilike $1 as named, row_number() over (partition by kind
         order by title ilike $1 desc, title ilike substr($1, 2) desc, lower(title), id) as n
       from (${SOURCES}) s where title ilike $1 or text ilike $1) found
     where n <= ${MOST} order by n`,
    [like],
  );
  return rows.map(({ text, named, ...found }) => ({ ...found, where: named ? '' : around(text, q) }));
}
