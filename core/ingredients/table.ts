import {
  type Cap,
  type Charge,
  GROUPS,
  type Group,
  type Ingredient,
  MARKS,
  type Mark,
  type ProteinSize,
  type Rank,
  type Removal,
} from './facts.ts';

const CHARGE: Record<string, Charge> = { an: 'anionic', am: 'amphoteric', non: 'nonionic' };

function cap(text: string): Cap {
  const m = /^([\d.]+|-)\/([\d.]+|-)(?:\*([\d.]+))?$/.exec(text);
  if (!m) throw new Error(`No cap: ${text}`);
  const share = (part: string) => (part === '-' ? null : Number(part));
  return { leaveOn: share(m[1]!), rinseOff: share(m[2]!), salt: m[3] ? Number(m[3]) : 1 };
}

type Facts = Omit<Ingredient, 'name' | 'synonyms' | 'group'>;

const READERS: Record<string, (text: string) => Partial<Facts>> = {
  cleans: (text) => {
    const m = /^(an|am|non)([1-4])$/.exec(text);
    if (!m) throw new Error(`No cleanser: ${text}`);
    return { cleans: { charge: CHARGE[m[1]!]!, strength: Number(m[2]) as 1 | 2 | 3 | 4 } };
  },
  off: (text) => ({ silicone: text as Removal }),
  protein: (text) => {
    const [source, size] = text.split('/') as [string, ProteinSize];
    return { protein: { source, size } };
  },
  hum: (text) => ({ humectant: Number(text) as Rank }),
  film: (text) => ({ film: Number(text) as Rank }),
  hold: (text) => ({ hold: Number(text) as Rank }),
  oil: (text) => ({ oil: { weight: Number(text[0]) as Rank, penetrates: text.endsWith('+') } }),
  alc: (text) => ({ alcohol: text as 'short' | 'fatty' }),
  cat: (text) => ({ cationic: Number(text) as Rank }),
  cap: (text) => ({ cap: cap(text) }),
};

/** Facts written as words: marks, and `what=value` pairs. Throws for a word it does not know. */
export function readFacts(words: string): Facts {
  const marks = new Set<Mark>();
  const facts: Partial<Facts> = {};
  for (const word of words.split(/\s+/).filter(Boolean)) {
    const [what, value] = word.split('=') as [string, string | undefined];
    if (value === undefined) {
      if (!(what in MARKS)) throw new Error(`No mark: ${what}`);
      marks.add(what as Mark);
    } else {
      const read = READERS[what];
      if (!read) throw new Error(`No fact: ${what}`);
      Object.assign(facts, read(value));
    }
  }
  return { ...facts, marks };
}

/**
 * A group of the dictionary from its table: one ingredient a line, "name | facts | synonyms; …". `base` are the facts of
 * a line that writes none.
 */
export function table(
  { group, base, origin }: { group: string; base: string; origin: string },
  lines: string,
): { group: Group; origin: string; ingredients: Ingredient[] } {
  if (!(group in GROUPS)) throw new Error(`No group: ${group}`);
  const ingredients = lines
    .split('\n')
    .filter((line) => line.trim() !== '')
    .map((line): Ingredient => {
      const [name = '', words = '', synonyms = ''] = line.split('|').map((part) => part.trim());
      const facts = readFacts(words || base);
      return {
        name,
        synonyms: synonyms
          .split(';')
          .map((text) => text.trim())
          .filter(Boolean),
        group: facts.marks.has('water') ? 'water' : (group as Group),
        ...facts,
      };
    });
  return { group: group as Group, origin, ingredients };
}
