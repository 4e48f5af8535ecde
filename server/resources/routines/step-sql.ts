import { COMMON_KEYS, type CommonKey, SETTINGS, type Setting } from '@sabor/core/step/settings';

/** SQL that a planned step, an arm's step and a wash day's step share, by the rows of the settings table. */

const columnOf = (key: CommonKey) => key.replaceAll(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`);

function typeOf(key: CommonKey): string {
  const setting: Setting = SETTINGS[key];
  switch (setting.kind) {
    case 'product':
      return 'uuid';
    case 'dose':
      return 'jsonb';
    case 'number':
      return setting.whole ? 'int' : 'numeric';
    default:
      return 'text';
  }
}

/** Every column of a step's settings, each with its field on the wire, as `jsonb_to_recordset` wants them. */
export const SETTINGS_RECORD = [...COMMON_KEYS.map((key) => `"${key}" ${typeOf(key)}`), 'extra jsonb'].join(
  ', ',
);

/** The columns of a step's settings. */
export const SETTINGS_COLUMNS = [...COMMON_KEYS.map(columnOf), 'extra'].join(', ');

/** The same of a record that `SETTINGS_RECORD` describes, in that order. */
export const settingsOfRecord = (row: string) =>
  [...COMMON_KEYS.map((key) => `${row}."${key}"`), `coalesce(${row}.extra, '{}')`].join(', ');

/** The settings of a step row as the wire carries them, as pairs for json_build_object. */
export const settingsPairs = (row: string) =>
  [...COMMON_KEYS.map((key) => `'${key}', ${row}.${columnOf(key)}`), `'extra', ${row}.extra`].join(', ');

/** Settings that a change in jsonb `b` may set in a row, each kept where `b` is silent. */
export const settingsFrom = (b: string, row: string) =>
  [...COMMON_KEYS, 'extra' as const]
    .map((key) => {
      const column = key === 'extra' ? key : columnOf(key);
      const value =
        key === 'extra' || typeOf(key) === 'jsonb'
          ? `nullif(${b}->'${key}', 'null')`
          : `(${b}->>'${key}')::${typeOf(key)}`;
      return `${column} = case when ${b} ? '${key}' then ${value} else ${row}.${column} end`;
    })
    .join(', ');

/** A planned step as the wire carries it, `part` included. */
export const stepJson = (row: string) =>
  `json_build_object('id', ${row}.id, 'slot', ${row}.slot, 'part', ${row}.part, ${settingsPairs(row)},
   'note', ${row}.note, 'optional', ${row}.optional, 'tolerance', ${row}.tolerance)`;
