import type { OnRecord } from '@sabor/contract/access';

/** What is changed, as a sentence begins. */
const THINGS: Readonly<Record<string, string>> = {
  trial: 'The trial',
  amendment: 'An amendment',
  overrule: 'A difference said not to matter',
  retest: 'A plan to test again',
  'wash day': 'A wash day',
  'check in': 'A check-in',
  event: 'Something told of a day worn',
  reading: 'A reading',
  photograph: 'A photograph',
  clip: 'A clip',
};

/** "A reading was changed." What is told in words of its own already, such as a sign-in, stays as it is. */
export function actInWords(act: string): string {
  const [, thing = '', what] = /^(.*) (added|changed|taken away)$/.exec(act) ?? [];
  const known = Object.hasOwn(THINGS, thing) ? THINGS[thing] : undefined;
  return known && what ? `${known} was ${what}` : act[0]!.toUpperCase() + act.slice(1);
}

/** Longest a value is shown. */
const SHOWN = 120;

function valueInWords(value: unknown): string {
  if (value === null || value === undefined || value === '') return 'nothing';
  const text = typeof value === 'string' ? value : JSON.stringify(value);
  return text.length > SHOWN ? `${text.slice(0, SHOWN)}…` : text;
}

/** What differs, column by column: what it was, what it became. Ids say nothing to a reader. */
export function changesInWords({ before, after }: Pick<OnRecord, 'before' | 'after'>): string[] {
  const keys = [...new Set([...Object.keys(before ?? {}), ...Object.keys(after ?? {})])];
  return keys
    .filter((key) => !/^id$|_id$/.test(key))
    .map((key) => {
      const [was, becomes] = [before?.[key], after?.[key]].map(valueInWords);
      const name = key.replaceAll('_', ' ');
      if (before === null) return `${name}: ${becomes}`;
      if (after === null) return `${name}: ${was}`;
      return `${name}: ${was} → ${becomes}`;
    });
}

/** Who it was, and where. */
export const byInWords = ({ person, device }: Pick<OnRecord, 'person' | 'device'>): string =>
  person === null ? 'on the laptop' : device === null ? person : `${person}, ${device}`;
