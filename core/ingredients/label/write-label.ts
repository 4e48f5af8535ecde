import type { LabelItem } from './parse-label.ts';
import { SECTIONS, type Section } from './sections.ts';

/** One item as a label writes it, and the part of the label it stands in. */
export type WrittenItem = Pick<LabelItem, 'text' | 'section'>;

const HEADINGS: Record<Section, string> = {
  active: 'Active ingredients',
  main: 'Ingredients',
  'may contain': 'May contain',
};

/** The items of a parsed label as it writes them: what stands in another's brackets belongs to that other. */
export const writtenItems = (items: readonly LabelItem[]): WrittenItem[] =>
  items.filter(({ inside }) => inside === null).map(({ text, section }) => ({ text, section }));

const PARTS = ['active', 'main', 'may contain'] as const satisfies readonly Section[];

/** Items in the order of a label's parts, those without a name left out: as they stand once written. */
export const asWritten = (items: readonly WrittenItem[]): WrittenItem[] =>
  PARTS.flatMap((section) => items.filter((item) => item.section === section && item.text.trim() !== ''));

/** Items as one text that reads back as the same items, in the order of a label's parts. */
export function writeLabel(items: readonly WrittenItem[]): string {
  const ordered = asWritten(items);
  const parts = PARTS.flatMap((section) => {
    const names = ordered.filter((item) => item.section === section);
    return names.length ? [{ section, list: names.map(({ text }) => text.trim()).join(', ') }] : [];
  });
  const active = parts.some(({ section }) => section === 'active');
  return parts
    .map(({ section, list }) =>
      section === 'main' && active
        ? `Inactive ${SECTIONS.main.label}: ${list}`
        : parts.length === 1 && section === 'main'
          ? list
          : `${HEADINGS[section]}: ${list}`,
    )
    .join('\n');
}
