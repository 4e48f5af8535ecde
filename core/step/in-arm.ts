import { type Dose, timesDose } from '../doses/dose.ts';
import { besideOf } from './beside.ts';
import {
  isCommon,
  SETTING_KEYS,
  type SettingKey,
  type StepSettings,
  settingValue,
  withSetting,
} from './settings.ts';

/** What an arm sets otherwise than the plan in a step under test; a null product or dose keeps the plan's. */
export interface ArmStep {
  stepId: string;
  productId: string | null;
  dose: Dose | null;
  /** This arm leaves the step out. */
  skipped?: boolean | undefined;
  settings?: Partial<{ [K in keyof StepSettings]: StepSettings[K] | undefined }> | undefined;
}

/** A dose for the whole head, on one half of it: half as much. Doses per section stay. */
export const halfDose = (dose: Dose | null): Dose | null =>
  dose === null || dose.kind === 'unknown' || dose.per !== 'head' ? dose : timesDose(dose, 0.5);

/**
 * What is done in a step of the plan on one arm: the plan's settings with the arm's own in them, and on one half of a head
 * half of a whole head's dose. 'left out' where the arm skips the step.
 */
export function inArm(
  plan: StepSettings,
  own: ArmStep | undefined,
  half: 'left' | 'right' | null = null,
): StepSettings | 'left out' {
  return own?.skipped ? 'left out' : settingsInArm(plan, own, half);
}

/** {@link inArm} of a step that optional: what would be done in it. */
export function settingsInArm(
  plan: StepSettings,
  own: ArmStep | undefined,
  half: 'left' | 'right' | null = null,
): StepSettings {
  const dose = own?.dose ?? plan.dose;
  const { extra: ownExtra, ...others } = own?.settings ?? {};
  const extra = { ...plan.extra, ...ownExtra };
  return {
    ...plan,
    ...Object.fromEntries(Object.entries(others).filter(([, value]) => value !== undefined)),
    productId: own?.productId ?? plan.productId,
    dose: half === null ? dose : halfDose(dose),
    extra:
      half === null || extra.beside === undefined
        ? extra
        : { ...extra, beside: besideOf(extra.beside).map((one) => ({ ...one, dose: halfDose(one.dose) })) },
  };
}

/** A step of a plan, as an arm meets it. */
export type PlannedStep = StepSettings & { id: string; part: 'held' | 'tested' | 'free' };

/** {@link inArm} for a whole arm: what the arm does in a step of the plan, which it may set only where it is tested. */
export const stepOnArm = (
  step: PlannedStep,
  arm: { steps: readonly ArmStep[] },
  half: 'left' | 'right' | null = null,
): StepSettings | 'left out' =>
  inArm(step, step.part === 'tested' ? arm.steps.find(({ stepId }) => stepId === step.id) : undefined, half);

/** The settings an arm sets, product and dose aside. */
export const settingKeysOf = (settings: NonNullable<ArmStep['settings']>): SettingKey[] =>
  [...Object.entries(settings), ...Object.entries(settings.extra ?? {})].flatMap(([key, value]) =>
    key !== 'extra' && value !== undefined ? (key as SettingKey) : [],
  );

/** The settings of `next` that are not the plan's, product and dose aside. */
export function setOtherwise(plan: StepSettings, next: StepSettings): Partial<StepSettings> {
  let own: Partial<StepSettings> = {};
  let extra: StepSettings['extra'] = {};
  for (const key of SETTING_KEYS) {
    const value = settingValue(next, key);
    if (
      key === 'productId' ||
      key === 'dose' ||
      JSON.stringify(value) === JSON.stringify(settingValue(plan, key))
    )
      continue;
    if (isCommon(key)) own = { ...own, [key]: value };
    else extra = withSetting({ ...next, extra }, key, value).extra;
  }
  return Object.keys(extra).length ? { ...own, extra } : own;
}
