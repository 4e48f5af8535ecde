const ENTITIES: Record<string, string> = {
  amp: '&',
  lt: '<',
  gt: '>',
  quot: '"',
  apos: "'",
  nbsp: ' ',
  bull: '•',
  middot: '·',
};

/** Longest text that is read as a label; a longer one is told so. */
export const LABEL_LIMIT = 60_000;

/** A pasted text without what is not text: tags, entities, marks that steer direction, odd spaces and bullets. */
export function tidy(text: string): string {
  return text
    .replace(/<(?:br|\/p|\/li|\/div|\/tr)\s*\/?>/gi, '\n')
    .replace(/<(script|style)\b[\s\S]*?<\/\1>/gi, ' ')
    .replace(/<\/?[a-z][^<>]*>/gi, ' ')
    .replace(/&(#\d+|#x[\da-f]+|[a-z]+);/gi, (whole, name: string) => {
      if (name[0] !== '#') return ENTITIES[name.toLowerCase()] ?? whole;
      const code =
        name[1]?.toLowerCase() === 'x' ? Number.parseInt(name.slice(2), 16) : Number(name.slice(1));
      return code > 31 && code < 0x10ffff ? String.fromCodePoint(code) : ' ';
    })
    .replace(/[\u200b-\u200f\u202a-\u202e\u2060-\u2069\ufeff\u00ad]/g, '')
    .replace(/[\u00a0\u2000-\u200a\u202f\u3000\t]/g, ' ')
    .replace(/[‐‑‒]/g, '-')
    .replace(/，|、/g, ',')
    .replace(/；/g, ';')
    .replace(/：/g, ':')
    .replace(/（/g, '(')
    .replace(/）/g, ')')
    .replace(/\r\n?/g, '\n');
}
