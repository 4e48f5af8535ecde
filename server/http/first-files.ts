import { existsSync, readFileSync } from 'node:fs';

/** A page of the built application: its path, what it asks the server for, and the scripts of its screen. */
interface BuiltPage {
  path: string;
  asks: readonly string[];
  files: readonly string[];
}

const parts = (path: string) => path.split('/').filter(Boolean);

/** What may stand in an address that goes into a page. */
const PLAIN = /^[\w-]+$/;

/** The names a path gives to an address, each with what stands there; null where it is another page's. */
function namesIn(path: string, here: readonly string[]): Map<string, string> | null {
  const wanted = parts(path);
  if (wanted.length !== here.length) return null;
  const fits = wanted.every((part, i) => part.startsWith(':') || part === here[i]);
  return fits ? new Map(wanted.map((part, i) => [part, here[i]!])) : null;
}

/**
 * Links for the head of a page: the scripts of its screen, and what it will ask for. They are on their way while the
 * application itself still is. Nothing for an address that is no page's, or that holds more than letters, figures and dashes.
 */
export function firstFiles(file: string): (path: string, query: Readonly<Record<string, unknown>>) => string {
  if (!existsSync(file)) return () => '';
  const pages = JSON.parse(readFileSync(file, 'utf8')) as BuiltPage[];
  const besides = new Map(
    pages.flatMap((page) => (page.path.includes('?') ? [[page.path, page] as const] : [])),
  );
  // What names a page in full goes before what leaves a part of it open.
  const plain = pages
    .filter(({ path }) => !path.includes('?'))
    .toSorted((a, b) => a.path.split(':').length - b.path.split(':').length);
  return (path, query) => {
    const here = parts(path);
    if (!here.every((part) => PLAIN.test(part))) return '';
    for (const page of plain) {
      const names = namesIn(page.path, here);
      if (names === null) continue;
      const more = Object.keys(query).flatMap((key) => besides.get(`${page.path}?${key}`)?.files ?? []);
      const scripts = [...new Set([...page.files, ...more])];
      const asks = page.asks.map(
        (ask) =>
          `/api/${parts(ask)
            .map((part) => names.get(part) ?? part)
            .join('/')}`,
      );
      return [
        ...scripts.map((script) => `<link rel="modulepreload" crossorigin href="/${script}">`),
        ...asks.map((ask) => `<link rel="preload" as="fetch" crossorigin href="${ask}">`),
      ].join('');
    }
    return '';
  };
}
