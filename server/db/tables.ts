/**
 * Every table, each after those it refers to, with the schema it came with. A table that came while its schema's number
 * stood may be missing from folders and backups of that number; it is expected from the next one on.
 */
export const TABLES = {
  setting: 1,
  line: 1,
  line_claim: 22,
  product: 1,
  bottle: 1,
  product_price: 18,
  product_edition: 18,
  product_picture: 22,
  recipe: 22,
  wearer: 1,
  zone: 1,
  curl: 1,
  routine: 1,
  step: 1,
  day_import: 39,
  trial: 1,
  trial_zone: 1,
  retest: 24,
  next_wash: 29,
  put_aside: 24,
  arm: 1,
  arm_step: 1,
  allocation: 1,
  wash_day: 1,
  wash_step: 1,
  check_in: 1,
  reading: 1,
  felt_reading: 17,
  event: 1,
  event_zone: 8,
  blind_guess: 8,
  wash_tap: 11,
  step_pause: 11,
  step_mark: 11,
  in_hand_reading: 11,
  idea: 11,
  weighing: 11,
  calibration: 12,
  photograph: 12,
  photograph_piece: 12,
  photograph_copy: 31,
  photograph_measured: 32,
  photograph_reading: 32,
  clip: 42,
  memo: 30,
  amendment: 8,
  overrule: 8,
  verdict: 37,
  verdict_said: 37,
  hearsay: 37,
  publish_consent: 38,
  wearer_consent: 49,
  hair_test: 2,
  head_problem: 18,
  patch_test: 27,
  hair_event: 2,
  hair_event_zone: 2,
  hair_measure: 3,
  care_cadence: 3,
  locality: 4,
  month_normal: 4,
  weather_batch: 4,
  weather_reading: 4,
  stay: 4,
  day_outdoors: 4,
  wearer_wish: 5,
  wearer_weight: 5,
  wearer_avoided: 5,
  own_ingredient: 6,
  rule_weight: 6,
} as const;

/** Tables of who is let in and what was done: they stay in their place, and go into no backup. */
export const KEPT_APART = [
  'access',
  'person',
  'device',
  'invitation',
  'session',
  'sign_in_try',
  'struck_out',
  'ended_session',
  'envelope',
  'change_log',
] as const;

/** Tables whose `bytes` are pictures or sounds, each with the folder of a backup they are files in. */
export const PICTURES: Partial<Record<Table, string>> = {
  photograph: 'photographs',
  product_picture: 'product-pictures',
  memo: 'memos',
  clip: 'clips',
};

export type Table = keyof typeof TABLES;
export const TABLE_NAMES = Object.keys(TABLES) as Table[];

/** How rows of a schema before a number become today's. */
interface Brought {
  table: Table;
  before: number;
  /** Over a row's JSON `o`. */
  as: string;
  /** Columns that were there then, with what they held, and those that came in their place. */
  gone?: Readonly<Record<string, 'string' | 'number'>>;
  came?: readonly string[];
}

const DOSES = {
  dose_kind: 'string',
  dose_low: 'number',
  dose_high: 'number',
  dose_measure: 'string',
  dose_per: 'string',
} as const;

const BROUGHT: readonly Brought[] = [
  {
    table: 'trial',
    before: 8,
    as: `case when o->>'design' = 'balanced complete' then jsonb_set(o, '{design}', '"complete"') else o end`,
  },
  // Half a photograph was kept in place; its phone sends it again.
  {
    table: 'photograph',
    before: 12,
    as: `case when length(o->>'bytes') < 2 + 2 * (o->>'size')::int then o - 'bytes' else o end`,
  },
  ...(['step', 'arm_step', 'wash_step'] as const).map((table) => ({
    table,
    before: 16,
    as: `o || jsonb_build_object('dose', dose_json(o->>'dose_kind', trim_scale((o->>'dose_low')::numeric),
      trim_scale((o->>'dose_high')::numeric), o->>'dose_measure', o->>'dose_per'))`,
    gone: DOSES,
    came: ['dose'],
  })),
  {
    table: 'amendment',
    before: 16,
    as: `o || jsonb_build_object('slot', amended_slot(o->>'field'),
      'changes', amended_facts(o->>'field', o->>'was', o->>'becomes'))`,
    gone: { field: 'string', was: 'string', becomes: 'string' },
    came: ['slot', 'changes'],
  },
];

/** How rows of an older schema are brought to today's; undefined where they need not be. */
export const broughtFrom = (table: Table, schema: number): Brought | undefined =>
  BROUGHT.find((one) => one.table === table && schema < one.before);
