/**
 * The items of a label's ingredient text in their order. Splits on commas, semicolons, bullets and new lines, but not
 * inside brackets nor within chemical names such as `1,2-Hexanediol`; a leading "Ingredients:" is dropped.
 * The text itself is stored whole elsewhere; this only splits it.
 */
export function splitIngredients(text: string): string[] {
  const body = text.replace(/^\s*(ingredients|inci|ingrédients)\s*[:：]\s*/i, '');
  const items: string[] = [];
  let item = '';
  let depth = 0;
  for (let i = 0; i < body.length; i++) {
    const c = body[i]!;
    if (c === '(' || c === '[') depth++;
    if (c === ')' || c === ']') depth = Math.max(0, depth - 1);
    const insideNumber = c === ',' && /\d/.test(body[i - 1] ?? '') && /\d/.test(body[i + 1] ?? '');
    if (depth === 0 && !insideNumber && /[,;•·\n]/.test(c)) {
      items.push(item);
      item = '';
    } else item += c;
  }
  items.push(item);
  return items
    .map((name) => name.replace(/\s+/g, ' ').replace(/^[\s*]+|[\s*.]+$/g, ''))
    .filter((name) => name !== '');
}
