import type { PackagePart } from '@sabor/contract/backup';
import { escapeLiteral } from 'pg';
import type { Table } from '../../db/tables.ts';
import type { Shape } from './shapes.ts';

/** Tables that are about this Sabor and no part of it. */
const NEVER: ReadonlySet<Table> = new Set(['setting', 'put_aside']);

/** What each table keeps by itself, of a row `t`; what it refers to is held to the same. */
function ownConditions(part: PackagePart): Partial<Record<Table, string[]>> {
  const quoted = (text: string | null) => (text === null ? null : escapeLiteral(text));
  const [head, line, from, to] = [part.head, part.line, part.from, part.to].map(quoted);
  const inSpan = (day: string, wearer: string) => {
    const on = `(${day}.started_at at time zone ${wearer}.time_zone)::date`;
    return [...(from ? [`${on} >= ${from}::date`] : []), ...(to ? [`${on} <= ${to}::date`] : [])];
  };
  const ofLine = (trial: string) =>
    `(exists (select from arm a join arm_step s on s.arm_id = a.id join product p on p.id = s.product_id
        where a.trial_id = ${trial}.id and p.line_id = ${line})
      or ${trial}.logged and exists (select from wash_day d join wash_step s on s.wash_day_id = d.id
        join product p on p.id = s.product_id where d.trial_id = ${trial}.id and p.line_id = ${line}))`;
  const trial = (x: string) => [
    ...(head ? [`${x}.wearer_id = ${head}`] : []),
    ...(line ? [ofLine(x)] : []),
    ...(from || to
      ? [
          `exists (select from wash_day d join wearer w on w.id = ${x}.wearer_id
             where d.trial_id = ${x}.id and ${inSpan('d', 'w').join(' and ')})`,
        ]
      : []),
  ];
  const some = (own: string[]) => (own.length > 0 ? own.join(' and ') : 'true');
  const moments = (column: string) => [
    ...(from ? [`${column} >= ${from}::date - 1`] : []),
    ...(to ? [`${column} <= ${to}::date + 2`] : []),
  ];
  return {
    wearer: [
      ...(head ? [`t.id = ${head}`] : []),
      ...(line || from || to
        ? [`exists (select from trial x where x.wearer_id = t.id and ${some(trial('x'))})`]
        : []),
    ],
    trial: trial('t'),
    // The name of a file may name anybody.
    day_import: [`exists (select from trial x where x.day_import_id = t.id and ${some(trial('x'))})`],
    // A trial's own plan goes with it; the library goes whole.
    routine: [
      `(not t.is_plan or exists (select from trial x where x.plan_id = t.id and ${some(trial('x'))}))`,
    ],
    wash_day:
      from || to
        ? [
            `exists (select from trial x join wearer w on w.id = x.wearer_id
               where x.id = t.trial_id and ${inSpan('t', 'w').join(' and ')})`,
          ]
        : [],
    locality: head
      ? [`exists (select from stay s where s.locality_id = t.id and s.wearer_id = ${head})`]
      : [],
    weather_reading: moments('t.at'),
    verdict: line
      ? [
          `(t.line_id = ${line} or exists (select from product p where p.id = t.product_id and p.line_id = ${line}))`,
        ]
      : [],
    // A note about nobody may name anybody.
    memo: ['coalesce(t.wearer_id, t.wash_day_id, t.trial_id) is not null'],
  };
}

/**
 * The rows of each table that belong to a part, as an SQL condition over `t`: its own, and that all it refers to belongs to
 * it too. Null for a table that is no part of anything.
 */
export function rowsOf(part: PackagePart, shapes: readonly Shape[]): (table: Table) => string | null {
  const own = ownConditions(part);
  const known = new Map<Table, string | null>();
  const of = (table: Table): string | null => {
    if (NEVER.has(table)) return null;
    if (known.has(table)) return known.get(table)!;
    const shape = shapes.find((one) => one.table === table)!;
    const held = shape.refers.flatMap(({ columns, to, toColumns }) => {
      if (to === table) return [];
      const there = of(to as Table);
      if (there === null || there === 'true') return [];
      const named = (names: readonly string[]) => names.map((name) => `t."${name}"`).join(', ');
      const absent = columns.map((column) => `t."${column}" is null`).join(' or ');
      return [
        `(${absent} or (${named(columns)}) in (select ${named(toColumns)} from public.${to} t where ${there}))`,
      ];
    });
    const all = [...(own[table] ?? []), ...held];
    const condition = all.length > 0 ? all.join(' and ') : 'true';
    known.set(table, condition);
    return condition;
  };
  return of;
}
