import { STYLES_MEANT, type StyleMeant } from '@sabor/core/basin/style-meant';
import type { ByWay, WayKind } from '@sabor/core/board/by-way';
import { HEATS, type Heat, TECHNIQUES, type Technique, TOOLS, type Tool } from '@sabor/core/step/choices';
import { JUDGED_WAYS, wayOf } from '@sabor/core/verdict/ways';
import { capital } from './numbers.ts';

/** One way a wash day was done, by its key: "Diffuser, low", "In the air", "Two-strand twists". */
export function wayInWords(kind: WayKind, way: string): string {
  if (kind === 'technique') return capital(TECHNIQUES[way as Technique]?.label ?? way);
  if (kind === 'style') return capital(STYLES_MEANT[way as StyleMeant]?.label ?? way);
  if (kind === 'night') return capital(TOOLS[way as Tool]?.label ?? way);
  const [tool, heat] = way.split(' ') as [string, string];
  if (tool === 'air') return 'In the air';
  const warm = heat === 'none' ? '' : `, ${HEATS[heat as Heat]?.label ?? heat}`;
  return `${capital(TOOLS[tool as Tool]?.label ?? tool)}${warm}`;
}

/** In which air the wash days of a row lay, `show` putting °C as the user prefers it: "dew point 2 °C to 14 °C, 7 °C on average". */
export function airRangeInWords(air: ByWay['air'], show: (celsius: number) => string): string {
  if (air === null) return 'air not known';
  const [low, high] = [show(air.low), show(air.high)];
  return low === high ? `dew point ${low}` : `dew point ${low} to ${high}, ${show(air.mean)} on average`;
}

/** A way as it is called in a sentence: "shingling"; one in the tester's own words as it was told. */
export function plainWayInWords(way: string): string {
  const known = wayOf(way);
  if (known === null) return way;
  const options: Readonly<Record<string, { label: string }>> = JUDGED_WAYS[known.kind].options;
  return options[known.value]!.label;
}

/** A way that a verdict is about, by itself: "Shingling (technique)". */
export function judgedWayInWords(way: string): string {
  const known = wayOf(way);
  return known === null
    ? way
    : `${capital(plainWayInWords(way))} (${JUDGED_WAYS[known.kind].label.toLowerCase()})`;
}
