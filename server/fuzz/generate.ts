import type { Random } from '@sabor/core/random';
import type * as v from 'valibot';

type Schema = v.GenericSchema & {
  type: string;
  pipe?: Schema[];
  entries?: Record<string, Schema>;
  item?: Schema;
  items?: Schema[];
  options?: (Schema | string | number)[];
  literal?: unknown;
  wrapped?: Schema;
  key?: Schema;
  value?: Schema;
};

const pick = <T>(items: readonly T[], random: Random): T => items[random.below(items.length)]!;

/** Values that broke something once, here or elsewhere: for any field. */
export const HOSTILE: readonly unknown[] = [
  null,
  '',
  ' ',
  'a\u0000b',
  '\ud83d',
  '\u202e',
  "'; drop table wearer; --",
  '<script>alert(1)</script>',
  '{{7*7}}',
  '%00',
  '../../etc/passwd',
  'x'.repeat(5000),
  '0000-01-01',
  '0000-01-01T00:00:00Z',
  '2024-02-30',
  '2024-02-30T00:00:00Z',
  '2026-01-01T24:61:00Z',
  '2026-01-01T10:00:00+19:00',
  '2026-01-01T10:00:00+23:59',
  '-004713-01-01T00:00:00Z',
  '+275760-09-13T00:00:00Z',
  '9999-12-31T23:59:59Z',
  'T 1 Jan 2020 Z',
  '(T) 2024-01-01 Z',
  'infinity',
  '-infinity',
  'NaN',
  '00000000-0000-0000-0000-000000000000',
  '0192d5a0-0000-7000-8000-00000000000',
  -1,
  0,
  -0,
  1.5,
  1e-300,
  1e15,
  1e308,
  -1e308,
  2 ** 31,
  2 ** 53,
  2 ** 63,
  true,
  false,
  [],
  [null],
  {},
  { constructor: 1 },
  { toString: 1 },
  { __proto__: { polluted: true } },
  JSON.parse('{"__proto__":{"polluted":true}}'),
  'constructor',
  '__proto__',
  'toString',
  'hasOwnProperty',
  JSON.parse(`${'['.repeat(500)}${']'.repeat(500)}`),
  JSON.parse(`${'{"a":'.repeat(200)}1${'}'.repeat(200)}`),
];

/** A value that a schema of the contract may take, or nearly: ids come from `ids`, now and then one is hostile. */
export function generated(
  schema: v.GenericSchema,
  ids: readonly string[],
  random: Random,
  depth = 0,
): unknown {
  const one = schema as Schema;
  if (random.below(40) === 0) return pick(HOSTILE, random);
  if (depth > 12) return null;
  const go = (next: Schema) => generated(next, ids, random, depth + 1);
  if (one.pipe && one.type !== 'object' && one.pipe[0] !== one && one.pipe[0]!.type !== one.type)
    return go(one.pipe[0]!);
  switch (one.type) {
    case 'object':
      return Object.fromEntries(
        Object.entries(one.entries!).flatMap(([key, entry]) =>
          random.below(25) === 0 ? [] : [[key, go(entry)]],
        ),
      );
    case 'array':
      return Array.from({ length: random.below(4) }, () => go(one.item!));
    case 'tuple':
      return one.items!.map(go);
    case 'record':
      return { [pick(['a', 'constructor', '__proto__'], random)]: go(one.value!) };
    case 'nullable':
      return random.below(4) === 0 ? null : go(one.wrapped!);
    case 'optional':
      return random.below(4) === 0 ? undefined : go(one.wrapped!);
    case 'picklist':
      return pick(one.options as unknown[], random);
    case 'literal':
      return one.literal;
    case 'variant':
    case 'union':
      return go(pick(one.options as Schema[], random));
    case 'intersect':
      return Object.assign({}, ...(one.options as Schema[]).map(go));
    case 'number':
      return pick([0, 1, 2, 6, 12, 100, 0.5, -3, 1e6], random);
    case 'boolean':
      return random.below(2) === 0;
    case 'string': {
      const kinds = new Set((one.pipe ?? []).map((action) => action.type));
      if (kinds.has('uuid')) return pick(ids, random);
      return pick(
        [
          'Tidewrack',
          '2026-01-05',
          new Date(Date.now() - random.below(1e8)).toISOString(),
          'Europe/Dublin',
          'EUR',
          'Limonene',
          ...ids,
        ],
        random,
      );
    }
    default:
      return pick(HOSTILE, random);
  }
}

const TEXTS = [
  'a\u0000b',
  '\ud83d',
  '',
  'x'.repeat(5000),
  'constructor',
  '__proto__',
  "'; drop table wearer; --",
];
const TIMES = HOSTILE.filter((one) => typeof one === 'string' && /^[-+(TiN]|^\d{4}-/.test(one));
const NUMBERS = HOSTILE.filter((one) => typeof one === 'number');

/** A hostile value for a place that held this one: of its own kind as a rule, which comes further than any other. */
function hostileFor(was: unknown, random: Random): unknown {
  if (random.below(3) === 0) return pick(HOSTILE, random);
  if (typeof was === 'number') return pick(NUMBERS, random);
  if (typeof was !== 'string') return pick(HOSTILE, random);
  return pick(/^\d{4}-\d\d-\d\d/.test(was) ? TIMES : TEXTS, random);
}

/** Every place in a body, as the keys that lead there. */
function placesIn(value: unknown, path: (string | number)[] = []): (string | number)[][] {
  if (typeof value !== 'object' || value === null) return [path];
  return [path, ...Object.entries(value).flatMap(([key, item]) => placesIn(item, [...path, key]))];
}

/** A body that is valid but for one place: taken away, doubled, or something hostile there. */
export function mutated(body: unknown, ids: readonly string[], random: Random): unknown {
  const copy = structuredClone(body);
  const path = pick(placesIn(copy), random);
  const last = path.at(-1);
  if (last === undefined) return pick(HOSTILE, random);
  let holder = copy as Record<string | number, unknown>;
  for (const key of path.slice(0, -1)) holder = holder[key] as typeof holder;
  switch (random.below(6)) {
    case 0:
      if (Array.isArray(holder)) holder.splice(Number(last), 1);
      else delete holder[last];
      return copy;
    case 1:
      if (Array.isArray(holder)) holder.push(structuredClone(holder[Number(last)]));
      else holder[last] = [holder[last], holder[last]];
      return copy;
    case 2:
      holder[last] = pick(ids, random);
      return copy;
    default:
      Object.defineProperty(holder, last, {
        value: hostileFor(holder[last], random),
        enumerable: true,
        configurable: true,
        writable: true,
      });
      return copy;
  }
}
