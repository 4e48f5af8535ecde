import type { RoutineInput } from '@sabor/contract/routine';
import type { ProductInput } from '@sabor/contract/shelf';
import type { TrialInput } from '@sabor/contract/trial';
import type { WashDay } from '@sabor/contract/wash-day';
import type { WearerInput } from '@sabor/contract/wearer';
import { NO_TRAITS } from '@sabor/core/hair/traits';
import { STANDARD_ZONES } from '@sabor/core/hair/zones';
import { EMPTY_SETTINGS } from '@sabor/core/step/step';
import { v7 } from 'uuid';
import type { TestBench } from './bench.ts';

export function sampleProduct(to: Partial<ProductInput> = {}): ProductInput {
  return {
    id: v7(),
    lineId: null,
    name: 'Plain Gel',
    roles: ['gel'],
    sizeMl: 250,
    price: 18,
    currency: 'EUR',
    labelHold: 'strong',
    ingredients: 'Aqua, PVP, Panthenol',
    labelDirections: null,
    stake: 'bought',
    openedOn: '2026-01-15',
    monthsAfterOpening: 12,
    note: '',
    ...to,
  };
}

export function sampleWearer(to: Partial<WearerInput> = {}): WearerInput {
  const traits = NO_TRAITS;
  const zones = STANDARD_ZONES.map((zone) => ({ ...zone, ...traits, id: v7(), note: '' }));
  return {
    id: v7(),
    name: 'Una',
    timeZone: 'UTC',
    underAge: false,
    guardian: null,
    consentOn: null,
    lengthMm: 300,
    cut: null,
    parting: null,
    bornYear: null,
    styledBy: '',
    hardWater: false,
    scalp: [],
    ...traits,
    porosity: 'low',
    note: '',
    zones,
    curls: [{ id: v7(), zoneId: zones[4]!.id, name: 'Crown curl', stretchedMm: 300, restingMm: 180 }],
    ...to,
  };
}

export function sampleRoutine(productId: string | null): RoutineInput {
  const dose = { kind: 'exact', amount: 2, measure: 'pump', per: 'head' } as const;
  return {
    id: v7(),
    wearerId: null,
    name: 'Short routine',
    note: '',
    steps: [
      { ...EMPTY_SETTINGS, id: v7(), slot: 'cleanse', productId, dose, minutes: 3, note: '' },
      {
        ...EMPTY_SETTINGS,
        id: v7(),
        slot: 'hold',
        dose: { ...dose, measure: 'ml', amount: 10 },
        wetness: 'wet',
        note: '',
      },
      { ...EMPTY_SETTINGS, id: v7(), slot: 'dry', tool: 'diffuser', minutes: 20, heat: 'low', note: '' },
      { ...EMPTY_SETTINGS, id: v7(), slot: 'break-cast', note: '' },
    ],
  };
}

export function sampleTrial(
  wearer: WearerInput,
  routine: RoutineInput,
  products: readonly string[],
  to: Partial<TrialInput> = {},
): TrialInput {
  const plan = routine.steps.map((step) => ({
    ...step,
    id: v7(),
    part: step.slot === 'hold' ? ('tested' as const) : ('held' as const),
  }));
  const tested = plan.find((step) => step.part === 'tested')!;
  return {
    id: v7(),
    wearerId: wearer.id,
    question: 'Which gel holds?',
    routineName: routine.name,
    plan,
    arms: products.map((productId, i) => ({
      id: v7(),
      name: `Gel ${i + 1}`,
      steps: [{ stepId: tested.id, productId, dose: null }],
    })),
    primary: 'definition',
    line: 6,
    matters: 1,
    washDays: 4,
    wearDays: 2,
    weights: wearer.zones.slice(0, 4).map((zone) => ({ zoneId: zone.id, weight: 1 })),
    ...to,
  };
}

/** Two gels, a head, a routine and a trial, all stored. */
export async function sampleBench(
  bench: TestBench,
  to: Partial<TrialInput> = {},
  of: Partial<WearerInput> = {},
) {
  const gels = [sampleProduct({ name: 'Gel One' }), sampleProduct({ name: 'Gel Two', price: 12 })];
  for (const gel of gels) await bench.ask('PUT', `/api/products/${gel.id}`, gel);
  const wearer = sampleWearer(of);
  await bench.ask('PUT', `/api/wearers/${wearer.id}`, wearer);
  const routine = sampleRoutine(gels[0]!.id);
  await bench.ask('PUT', `/api/routines/${routine.id}`, routine);
  const trial = sampleTrial(
    wearer,
    routine,
    gels.map(({ id }) => id),
    to,
  );
  const saved = await bench.ask('PUT', `/api/trials/${trial.id}`, trial);
  if (saved.status !== 200) throw new Error(JSON.stringify(saved.body));
  return { gels, wearer, routine, trial };
}

/** A wash day that has just begun, of a trial and a head of its own. */
export async function sampleWashDay(bench: TestBench): Promise<{ day: WashDay; wearerId: string }> {
  const { trial, wearer } = await sampleBench(bench);
  const startedAt = new Date().toISOString();
  const { body } = await bench.ask<WashDay>('PUT', `/api/wash-days/${v7()}`, {
    trialId: trial.id,
    startedAt,
  });
  return { day: body, wearerId: wearer.id };
}

/** A time zone where it is afternoon now, so that "five hours ago" is always today. */
export function zoneOfAfternoon(): string {
  const east = Math.min(14, 18 - new Date().getUTCHours());
  return `Etc/GMT${east > 0 ? '-' : '+'}${Math.abs(east)}`;
}
