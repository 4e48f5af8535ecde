import type { Page } from '@playwright/test';
import { v7 } from 'uuid';

interface Step {
  id: string;
  slot: string;
}

/** A fresh trial on the demo’s shelf and heads, made through the API, for a test that wants one to itself. */
export async function makeTrial(
  page: Page,
  question: string,
  products = ['Anvil Gel', 'Kelp Fold Gel'],
  washDays = 8,
  to: object = {},
  wearerName = 'Ines Falkenrath',
  routineName = 'Coast wash-and-go',
): Promise<string> {
  const get = async (path: string) => (await page.request.get(`/api${path}`)).json();
  const shelf = await get('/shelf');
  const wearer = (await get('/wearers')).find(({ name }: { name: string }) => name === wearerName);
  const routine = (await get('/routines')).find(({ name }: { name: string }) => name === routineName);
  const plan = routine.steps.map((step: Step) => ({
    ...step,
    id: v7(),
    part: step.slot === 'hold' ? 'tested' : 'held',
  }));
  const tested = plan.find(({ part }: { part: string }) => part === 'tested').id;
  const id = v7();
  const made = await page.request.put(`/api/trials/${id}`, {
    data: {
      wearerId: wearer.id,
      question,
      routineName: routine.name,
      plan,
      arms: products.map((name) => ({
        id: v7(),
        name,
        steps: [
          {
            stepId: tested,
            productId: shelf.products.find((product: { name: string }) => product.name === name).id,
            dose: null,
          },
        ],
      })),
      primary: 'definition',
      line: 6,
      matters: 1,
      washDays,
      wearDays: 2,
      ...to,
      weights: wearer.zones.slice(2, 6).map(({ id: zoneId }: { id: string }) => ({ zoneId, weight: 1 })),
    },
  });
  if (!made.ok()) throw new Error(await made.text());
  return id;
}

/** Begins a trial's next wash day, and says which it is. */
export async function beginDay(page: Page, trialId: string, hoursAgo = 0): Promise<string> {
  const id = v7();
  const made = await page.request.put(`/api/wash-days/${id}`, {
    data: { trialId, startedAt: new Date(Date.now() - hoursAgo * 3_600_000).toISOString() },
  });
  if (!made.ok()) throw new Error(await made.text());
  return id;
}

/** Starts and finishes a wash day through the API, every step done as planned but for `departures` by slot. */
export async function runByApi(
  page: Page,
  trialId: string,
  departures: Record<string, object> = {},
): Promise<string> {
  const id = v7();
  const moment = () => new Date().toISOString();
  const day = await (
    await page.request.put(`/api/wash-days/${id}`, { data: { trialId, startedAt: moment() } })
  ).json();
  const taps: object[] = day.steps.map((step: { id: string; slot: string }) => ({
    id: v7(),
    at: moment(),
    kind: 'step',
    stepId: step.id,
    set: { ...departures[step.slot], status: 'done', doneAt: moment() },
  }));
  taps.push({ id: v7(), at: moment(), kind: 'finish' });
  await page.request.post(`/api/wash-days/${id}/taps`, { data: { device: 'phone', taps } });
  return id;
}

/** Reveals a wash day that was run, rates every zone that counts, and ends its wear, through the API. */
export async function wearByApi(page: Page, washDayId: string, value: number): Promise<void> {
  const moment = () => new Date().toISOString();
  const at = moment();
  await page.request.patch(`/api/wash-days/${washDayId}`, { data: { dryAt: at, revealAt: at } });
  const day = await (await page.request.get(`/api/wash-days/${washDayId}`)).json();
  const trial = await (await page.request.get(`/api/trials/${day.trialId}`)).json();
  const rated = await page.request.put(`/api/check-ins/${v7()}`, {
    data: {
      washDayId,
      stage: 'wear',
      day: 1,
      at: moment(),
      ratings: trial.weights.map(({ zoneId }: { zoneId: string }) => ({
        outcome: trial.primary,
        zoneId,
        value,
      })),
    },
  });
  if (!rated.ok()) throw new Error(await rated.text());
  const ended = await page.request.post(`/api/wash-days/${washDayId}/end-wear`, {
    data: { kind: 'washed-schedule', at: moment() },
  });
  if (!ended.ok()) throw new Error(await ended.text());
}

/** Another head like one of the demo's, for a test that must not touch those. */
export async function copyHead(page: Page, from: string, name: string): Promise<void> {
  const wearers = await (await page.request.get('/api/wearers')).json();
  const { id: _, archivedAt: __, ...head } = wearers.find((known: { name: string }) => known.name === from);
  const zones = head.zones.map((zone: { id: string }) => ({ ...zone, id: v7() }));
  const made = await page.request.put(`/api/wearers/${v7()}`, { data: { ...head, name, zones, curls: [] } });
  if (!made.ok()) throw new Error(await made.text());
}
