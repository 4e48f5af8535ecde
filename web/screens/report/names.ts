import { asText } from '@sabor/words/report/as-text';
import type { Report } from '@sabor/words/report/blocks';

/** What the wearer may go by in a report. */
export const NAMES = [
  ['first', 'first name'],
  ['initials', 'initials'],
  ['full', 'full name'],
  ['none', 'no name'],
] as const;
export type Names = (typeof NAMES)[number][0];

/** What the wearer is called: the surname is left out unless it is asked for. */
export function called(name: string, names: Names): string {
  if (names === 'none') return 'one wearer';
  if (names === 'full') return name;
  const parts = name.split(/[\s-]+/).filter(Boolean);
  return names === 'first' ? (parts[0] ?? name) : `${parts.map((part) => part[0]).join('. ')}.`;
}

/** Parts of a name that should be left out and still stand in a report: in its question, a reason, a verdict. */
export function leftIn(report: Report, name: string, names: Names): string[] {
  const parts = name.split(/[\s-]+/).filter((part) => part.length > 2);
  const hidden = names === 'full' ? [] : names === 'first' ? parts.slice(1) : parts;
  const text = asText(report);
  return hidden.filter((part) => text.includes(part));
}
