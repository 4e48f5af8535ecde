/**
 * The items of one list, as written and in order. Commas, semicolons and bullets part them, but not inside brackets nor
 * inside names such as `1,2-Hexanediol`; new lines part them only where nothing else does, else they are line ends.
 */
export function splitItems(list: string): string[] {
  const parted = /[,;•·|]/.test(list);
  const body = parted
    ? list
        .replace(/-\n\s*/g, '-')
        .replace(/\n+/g, (line, at: number) =>
          /[,;•·|]\s*$/.test(list.slice(0, at)) ? ' ' : `${line.length > 1 ? ', ' : ' '}`,
        )
    : list;
  const items: string[] = [];
  let item = '';
  let depth = 0;
  for (let i = 0; i < body.length; i++) {
    const c = body[i]!;
    if (c === '(' || c === '[' || c === '{') depth++;
    else if (c === ')' || c === ']' || c === '}') depth = Math.max(0, depth - 1);
    const number =
      c === ',' && /\d/.test(body[i - 1] ?? '') && /^\d+(?:[,-]|\s*%)/.test(body.slice(i + 1, i + 8));
    const part = c === '\n' ? !parted : /[,;•·|]/.test(c);
    if (part && !number && depth === 0) {
      items.push(item);
      item = '';
    } else item += c;
  }
  items.push(item);
  // A bracket that was never closed swallows the rest: part that rest on its own.
  if (depth > 0 && item.length > 120) {
    items.pop();
    const open = item.search(/[([{]/);
    items.push(...splitItems(`${item.slice(0, open)} ${item.slice(open + 1)}`));
  }
  return items.map((text) => text.replace(/\s+/g, ' ').trim()).filter((text) => /[\p{L}\p{N}]/u.test(text));
}
