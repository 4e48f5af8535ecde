import type { HairFile } from '@sabor/contract/hair-file';
import type { Wearer } from '@sabor/contract/wearer';
import { historyOutcome } from '@sabor/core/hair/history';
import { readStretch } from '@sabor/core/hair/measured/stretch';
import { type Porosity, resolveTraits, type Traits } from '@sabor/core/hair/traits';
import type { School } from '@sabor/core/hair/wishes';
import { wishShares } from '@sabor/core/hair/wishes';
import { zoneWithin } from '@sabor/core/hair/zones';
import type { Market } from '@sabor/core/ingredients/formula';
import type { ScreenFor } from '@sabor/core/ingredients/judge/screen';
import { localToday } from '@sabor/core/time/today';

/** Share of the wishes from which hold is what a wearer wants. Model assumption. */
const HOLD_WANTED = 0.25;

/** The whole head and the zones that differ from it, gathered by equal traits. */
function partsOf(wearer: Wearer, porosity: Porosity | null): ScreenFor['parts'] {
  const head: Traits = { ...wearer, porosity: porosity ?? wearer.porosity };
  const groups = new Map<string, { names: string[]; traits: Traits }>();
  for (const zone of wearer.zones) {
    const { own, ...traits } = resolveTraits(porosity ? { ...zone, porosity: null } : zone, head);
    if (own.length === 0) continue;
    const key = JSON.stringify(traits);
    const group = groups.get(key) ?? { names: [], traits };
    group.names.push(zoneWithin(zone));
    groups.set(key, group);
  }
  return [
    { where: null, traits: head },
    ...[...groups.values()].map(({ names, traits }) => ({ where: names.join('; '), traits })),
  ];
}

/** Whom a product is screened for, from a hair file; the roles are the product's own. */
export function screenFor(
  wearer: Wearer,
  file: HairFile,
  asked: {
    dewPointC: number | null;
    porosity?: Porosity | null;
    school?: School | null | undefined;
    market: Market;
  },
  today = localToday(),
): Omit<ScreenFor, 'roles'> {
  const lived = file.events.filter(({ on }) => on <= today);
  const outcomes = [null, ...wearer.zones.map(({ id }) => id)].map((zoneId) => historyOutcome(lived, zoneId));
  const stretch = file.measures.find(({ result }) => result.kind === 'stretch')?.result;
  const hold = wishShares(
    Object.fromEntries(file.wishes.weights.map(({ wish, weight }) => [wish, weight])),
  ).find(({ wish }) => wish === 'hold');
  return {
    parts: partsOf(wearer, asked.porosity ?? null),
    history: [...new Set(outcomes.filter((outcome) => outcome !== 'none'))],
    stretch: stretch?.kind === 'stretch' ? readStretch(stretch).call : null,
    child: wearer.underAge,
    hardWater: wearer.hardWater,
    scalp: wearer.scalp,
    wantsHold: (hold?.share ?? 0) >= HOLD_WANTED,
    dislikes: file.wishes.dislikes,
    avoided: file.wishes.avoided,
    dewPointC: asked.dewPointC,
    school: asked.school === undefined ? file.wishes.school : asked.school,
    market: asked.market,
    weights: file.ruleWeights,
  };
}
