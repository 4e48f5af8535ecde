/** A comma inside a percentage, or between the ascending places of a name such as `1,2-Hexanediol`. */
function withinNumber(text: string, at: number): boolean {
  const before = /(?<!\d)\d{1,3}$/.exec(text.slice(Math.max(0, at - 4), at));
  const after = /^(\d+)(?:([,-])|\s*%)/.exec(text.slice(at + 1, at + 8));
  if (!before || !after) return false;
  return after[2] === undefined || Number(before[0]) < Number(after[1]);
}

/**
 * The items of one list, as written and in order. Commas, semicolons and bullets part them, but not inside brackets nor
 * inside names such as `1,2-Hexanediol`; new lines part them only where nothing else does, else they are line ends.
 */
export function splitItems(list: string): string[] {
  const parted = /[;•·|]|,(?!\d)|(?<!\d),/.test(list);
  const body = parted
    ? list
        .replace(/-\n\s*/g, '-')
        .replace(/\n+/g, (line, at: number) =>
          /[,;•·|]\s*$/.test(list.slice(0, at)) ? ' ' : `${line.length > 1 ? ', ' : ' '}`,
        )
    : list;
  const items: string[] = [];
  let depth = 0;
  let from = 0;
  for (let i = 0; i < body.length; i++) {
    const c = body[i]!;
    if (c === '(' || c === '[' || c === '{') depth++;
    else if (c === ')' || c === ']' || c === '}') depth = Math.max(0, depth - 1);
    else if (depth === 0 && (c === ',' || c === '\n' || c === ';' || c === '•' || c === '·' || c === '|')) {
      if (c === '\n' && parted) continue;
      if (c === ',' && withinNumber(body, i)) continue;
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
    items.push(...splitItems(`${item.slice(0, open)} ${item.slice(open + 1)}`));
  }
  const out: string[] = [];
  for (const one of items) {
    const text = /\s\s|\n/.test(one) ? one.replace(/\s+/g, ' ').trim() : one.trim();
    if (/^[A-Za-z]/.test(text) || /[\p{L}\p{N}]/u.test(text)) out.push(text);
  }
  return out;
}
