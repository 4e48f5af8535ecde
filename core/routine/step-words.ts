import { doseLabel } from '../doses/dose.ts';
import { type ExtraKey, extraWords } from './extras.ts';
import { HEATS, TECHNIQUES, TOOLS, WETNESS } from './settings.ts';
import type { StepSettings } from './step.ts';

const named = (table: Readonly<Record<string, { label: string }>>, key: string | null) =>
  key === null ? null : (table[key]?.label ?? key);

/** Everything a step sets, in a few words: "Kelp Gel, 12 g, 4 sections, wet, rake"; empty for nothing. */
export const stepWords = (step: StepSettings, productName: (id: string) => string, between = ', '): string =>
  [
    step.productId && productName(step.productId),
    step.dose && doseLabel(step.dose),
    step.sections && `${step.sections} sections`,
    named(WETNESS, step.wetness),
    named(TECHNIQUES, step.technique),
    named(TOOLS, step.tool),
    named(HEATS, step.heat),
    step.minutes && `${Math.round(step.minutes * 10) / 10} min`,
    ...Object.entries(step.extra).map(([key, value]) => extraWords(key as ExtraKey, value)),
  ]
    .filter(Boolean)
    .join(between);
