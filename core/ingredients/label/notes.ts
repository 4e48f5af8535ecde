/** Beginnings of what stands on labels beside ingredients: claims, warnings, directions, makers. Common practice, no source. */
const BEGINS = String.raw`free (?:from|of)\b|formulated without\b|without (?:any |added )?(?:sul(?:f|ph)ates?|parabens?|silicones?|alcohol|perfume|fragrance)|no (?:added |any )?(?:sul(?:f|ph)ates?|parabens?|silicones?|alcohol|perfume|fragrance|nasties|animal)|0\s*% (?:sul(?:f|ph)ates?|parabens?|silicones?|alcohol)|keep (?:out|away|cool|from|in)\b|store (?:in|cool|away|below|at)\b|do not\b|for external\b|external use\b|avoid contact|extremely flammable|highly flammable|flammable\b|pressuri[sz]ed\b|caution\b|warnings?\b|danger\b|directions?\b|how to use|usage\b|made (?:in|with|by)\b|shake (?:well|before)|dermatologically|vegan\b|cruelty[- ]free|not tested on|certified\b|(?:from |of |derived from )?(?:controlled |certified )?organic (?:farming|agriculture|origin|cultivation|ingredients?)|certified organic|of natural origin|natural origin|naturally derived|\d+\s*%\s*(?:of (?:the )?(?:total|ingredients)|natural|organic|vegan)|distributed by|manufactured|best before|use within|rinse (?:thoroughly|well|eyes)|in case of|if (?:swallowed|irritation)|may (?:vary|change)|please (?:refer|note|recycle)|discontinue\b|patch test`;
const NOTE = new RegExp(String.raw`^[\s*†‡§°^#¹²³.-]*(?:${BEGINS})`, 'iu');
/** A new sentence, line or footnote that such a note could begin. */
const SENTENCE = /(?:[.!;]\s+|\n\s*|\s(?=[*†‡§]))/g;

/** Whether a piece of a label reads like a claim, a warning or directions. */
export const isNote = (text: string): boolean => NOTE.test(text);

/**
 * The list without the notes that follow it, and those notes. A note ends with its paragraph, or where a line begins
 * with a name that is `known`: nothing that names an ingredient may be taken for a note.
 */
export function cutNotes(text: string, known: (name: string) => boolean): { text: string; notes: string[] } {
  const notes: string[] = [];
  let rest = text;
  for (let from = 0; from < rest.length; ) {
    SENTENCE.lastIndex = from;
    const begins = from === 0 && isNote(rest) ? { index: 0, 0: '' } : SENTENCE.exec(rest);
    if (!begins) break;
    const start = begins.index + begins[0].length;
    from = Math.max(start, from + 1);
    if (!isNote(rest.slice(start, start + 60))) continue;
    let end = rest.length;
    for (const line of rest.slice(start).matchAll(/\n(\s*\n)?\s*([^,;•\n]*)/g)) {
      const first = line[2]!.trim();
      if (line[1] !== undefined || known(first)) {
        end = start + line.index;
        break;
      }
    }
    notes.push(rest.slice(start, end).replace(/\s+/g, ' ').trim());
    rest = `${rest.slice(0, begins.index)}\n${rest.slice(end)}`;
    from = begins.index + 1;
  }
  return { text: rest, notes };
}
