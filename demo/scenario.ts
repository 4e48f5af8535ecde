import { BACKUP_FORMAT, type Backup } from '@sabor/contract/backup';
import { STARTER_ROUTINE } from '@sabor/core/routine/starter';
import { calibrationRows } from './basin.ts';
import { hairFileRows } from './hair-files.ts';
import { demoId } from './ids.ts';
import { labelColumns, lineClaimRows, patchRows, priceRows, problemRows, recipeRows } from './label-facts.ts';
import { calendar, settingsRow } from './rows.ts';
import { LINES, lineId, PRODUCTS, productId } from './shelf.ts';
import { COAST_ROUTINE, type DemoTrial, TRIALS } from './trials.ts';
import { verdictRows } from './verdicts.ts';
import { trialRows } from './wash-days.ts';
import { curlId, WEARERS, wearerId, zoneId, zoneRows } from './wearers.ts';
import { weatherRows } from './weather.ts';
import { wishRows } from './wishes.ts';

/** The schema whose columns the rows below fill. */
const SCHEMA = 16;

/**
 * The made-up scenario as a backup, dated relative to `now`: the hair room of a touring theatre company choosing a
 * line for a season on a damp coast. The same moment gives the same file; `trials` where fewer of them will do.
 */
export function demoBackup(now: Date, trials: readonly DemoTrial[] = TRIALS): Backup {
  const when = calendar(now);
  const created = when.at(300, 12);
  const rows: Record<string, Record<string, unknown>[]> = {};
  rows.setting = [];
  rows.line = LINES.map(({ key, name, note }) => ({
    id: lineId(key),
    name,
    note,
    archived_at: null,
    created_at: created,
  }));
  rows.product = PRODUCTS.map((product) => ({
    id: productId(product.key),
    line_id: lineId(product.line),
    name: product.name,
    roles: product.roles,
    size_ml: product.sizeMl,
    price: product.price,
    currency: 'EUR',
    label_hold: product.hold,
    ingredients: product.ingredients,
    label_directions: product.directions,
    stake: product.stake,
    months_after_opening: product.months,
    note: '',
    ...labelColumns(product.key),
    archived_at: null,
    created_at: created,
  }));
  rows.line_claim = lineClaimRows();
  rows.recipe = recipeRows(when.at(50, 9));
  rows.product_price = priceRows(when);
  rows.head_problem = problemRows(when);
  rows.patch_test = patchRows(when);
  rows.bottle = PRODUCTS.map((product) => ({
    id: demoId(`bottle ${product.key}`),
    product_id: productId(product.key),
    opened_on: product.opened === null ? null : when.date(product.opened),
    finished_on: null,
    created_at: created,
  }));
  rows.wearer = WEARERS.map((wearer, i) => ({
    id: wearerId(wearer.key),
    name: wearer.name,
    time_zone: 'Europe/Dublin',
    under_age: wearer.underAge,
    guardian: wearer.guardian,
    consent_on: wearer.underAge ? when.date(70) : null,
    length_mm: wearer.lengthMm,
    ...wearer.traits,
    cut: wearer.cut,
    parting: wearer.parting,
    hard_water: false,
    scalp: wearer.underAge ? ['sensitive'] : [],
    note: wearer.note,
    archived_at: null,
    created_at: when.at(300 - i, 12),
  }));
  rows.zone = WEARERS.flatMap(zoneRows);
  rows.curl = WEARERS.flatMap((wearer) =>
    wearer.curls.map((curl, position) => ({
      id: curlId(wearer.key, curl.key),
      wearer_id: wearerId(wearer.key),
      zone_id: zoneId(wearer.key, curl.place, curl.side),
      name: curl.name,
      stretched_mm: curl.stretchedMm,
      resting_mm: curl.restingMm,
      position,
    })),
  );
  const library = [
    {
      key: 'coast',
      name: 'Coast wash-and-go',
      note: 'The company’s routine on tour; everything held but the hold product.',
      steps: COAST_ROUTINE,
    },
    { key: 'starter', name: STARTER_ROUTINE.name, note: STARTER_ROUTINE.note, steps: STARTER_ROUTINE.steps },
  ];
  rows.routine = library.map(({ key, name, note }, i) => ({
    id: demoId(`routine ${key}`),
    wearer_id: null,
    name,
    note,
    is_plan: false,
    archived_at: null,
    created_at: when.at(88 - i, 12),
  }));
  rows.step = library.flatMap(({ key, steps }) =>
    steps.map((step, position) => ({
      id: demoId(`routine step ${key} ${position}`),
      routine_id: demoId(`routine ${key}`),
      position,
      slot: step.slot,
      part: 'held',
      ...settingsRow(step),
      note: step.note,
      optional: false,
      tolerance: 0.2,
    })),
  );
  rows.calibration = calibrationRows(when.at(60, 8));
  Object.assign(rows, hairFileRows(when.date), weatherRows(now, when.date), wishRows(), verdictRows(when));
  for (const trial of trials)
    trialRows(rows, trial, WEARERS.find((wearer) => wearer.key === trial.wearer)!, when);
  return { format: BACKUP_FORMAT, schema: SCHEMA, savedAt: now.toISOString(), tables: rows };
}
