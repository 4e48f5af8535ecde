/** Things on the shortest way from one to another by trials that held two of them; empty where there is none, or they met. */
export function wayBetween(met: readonly { a: string; b: string }[], from: string, to: string): string[] {
  const beside = (node: string) => met.flatMap(({ a, b }) => (a === node ? [b] : b === node ? [a] : []));
  const ways: string[][] = [[from]];
  const seen = new Set([from]);
  for (let way = ways.shift(); way; way = ways.shift()) {
    const last = way.at(-1)!;
    if (last === to) return way.slice(1, -1);
    for (const next of beside(last)) {
      if (seen.has(next)) continue;
      seen.add(next);
      ways.push([...way, next]);
    }
  }
  return [];
}
