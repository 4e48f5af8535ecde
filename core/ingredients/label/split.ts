const isDigit = (c: string | undefined) => c !== undefined && c >= '0' && c <= '9';
const isNos = (c: string | undefined) => c === 'N' || c === 'O' || c === 'S';

/** A comma between the letters of a name such as `N,N-Dimethylglycine`. */
const withinLetters = (text: string, at: number): boolean =>
  isNos(text[at - 1]) &&
  isNos(text[at + 1]) &&
  /(?<![\p{L}\d])[NOS]$/u.test(text.slice(Math.max(0, at - 2), at)) &&
  /^[NOS]'?[,-]/.test(text.slice(at + 1, at + 4));

/** A comma inside a percentage, or between the ascending places of a name such as `1,2-Hexanediol`. */
function withinNumber(text: string, at: number): boolean {
  if (!isDigit(text[at - 1]) || !isDigit(text[at + 1])) return false;
  const before = /(?<!\d)\d{1,3}$/.exec(text.slice(Math.max(0, at - 4), at));
  const after = /^(\d+)(?:([,-])|\s*%)/.exec(text.slice(at + 1, at + 8));
  if (!before || !after) return false;
  return after[2] === undefined || Number(before[0]) < Number(after[1]);
}

const SEPARATORS = /[;•·|]|,(?!\d)|(?<!\d),/;
const LINE_ENDS = /[,;•·|]\s*$/;

/** The last piece of a line and the first of the next, as far as their separators. */
const tail = (line: string) =>
  line
    .split(/[,;•·|]/)
    .at(-1)!
    .trim();
const head = (line: string) => line.split(/[,;•·|]/)[0]!.trim();

/**
 * Lines of a list that also uses other separators, joined: an empty line parts, a line end parts where both its sides are
 * known names and what they make together is not, and is otherwise where a name was wrapped.
 */
function joinLines(list: string, known: (name: string) => boolean): string {
  const lines = list.replace(/-\n\s*/g, '-').split('\n');
  let joined = lines[0] ?? '';
  for (let i = 1; i < lines.length; i++) {
    const line = lines[i]!;
    if (line.trim() === '') {
      if (!LINE_ENDS.test(joined)) joined += ',';
      continue;
    }
    const [before, after] = [tail(joined), head(line)];
    const parts =
      !LINE_ENDS.test(joined) &&
      before !== '' &&
      !known(`${before} ${after}`) &&
      (known(before) || known(after)) &&
      !/[([{][^)\]}]*$/.test(joined);
    // One known side is enough, but for a word that only ends a name ("Cetearyl" before "Alcohol").
    joined += parts && (known(before) ? true : /^\p{Lu}/u.test(after)) ? `, ${line}` : ` ${line}`;
  }
  return joined;
}

/**
 * The items of one list, as written and in order. Commas, semicolons and bullets part them, but not inside brackets nor
 * inside names such as `1,2-Hexanediol`; new lines part them where nothing else does, or where `known` names meet.
 */
export function splitItems(list: string, known: (name: string) => boolean = () => false): string[] {
  const parted = SEPARATORS.test(list);
  const body = parted && list.includes('\n') ? joinLines(list, known) : list;
  const items: string[] = [];
  let depth = 0;
  let from = 0;
  for (let i = 0; i < body.length; i++) {
    const c = body[i]!;
    if (c === '(' || c === '[' || c === '{') depth++;
    else if (c === ')' || c === ']' || c === '}') depth = Math.max(0, depth - 1);
    else if (depth === 0 && (c === ',' || c === '\n' || c === ';' || c === '•' || c === '·' || c === '|')) {
      if (c === ',' && (withinNumber(body, i) || withinLetters(body, i))) continue;
      items.push(body.slice(from, i));
      from = i + 1;
    }
  }
  const item = body.slice(from);
  items.push(item);
  // A bracket that was never closed swallows the rest: part that rest on its own.
  if (depth > 0 && item.length > 120) {
    items.pop();
    const open = item.search(/[([{]/);
    items.push(...splitItems(`${item.slice(0, open)} ${item.slice(open + 1)}`, known));
  }
  const out: string[] = [];
  for (const one of items) {
    const text = /\s\s|\n/.test(one) ? one.replace(/\s+/g, ' ').trim() : one.trim();
    if (/^[A-Za-z]/.test(text) || /[\p{L}\p{N}]/u.test(text)) out.push(text);
  }
  return out;
}
