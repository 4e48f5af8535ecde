import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';

/** Which rooms a room may import from, itself aside. Tests may reach into any room. */
export const ARROWS: Readonly<Record<string, readonly string[]>> = {
  core: [],
  contract: ['core'],
  server: ['contract', 'core'],
  web: ['contract', 'core'],
  demo: ['contract', 'core'],
};

/** Packages a room must do without: core computes only, and the wire knows neither side. */
const KEPT_OUT: Readonly<Record<string, RegExp>> = {
  core: /^(node:|react|express|pg$|valibot|date-fns|@tanstack)/,
  contract: /^(node:|react|express|pg$|@tanstack)/,
  web: /^(node:|express|pg$|pino)/,
  server: /^(react|@tanstack|radix-ui)/,
  demo: /^(node:|react|express|pg$)/,
};

export interface Source {
  /** Path from the repository's root, with forward slashes. */
  file: string;
  text: string;
}

const IMPORT = /(?:from|import|new URL)\s*\(?\s*['"]([^'"]+)['"]/g;

/** Every import that points the wrong way, a sentence each. */
export function wrongArrows(sources: readonly Source[]): string[] {
  return sources.flatMap(({ file, text }) => {
    const room = file.split('/')[0]!;
    const allowed = ARROWS[room];
    const testing = /\.test\.tsx?$|\/testing\//.test(file);
    if (!allowed) return [];
    return [...text.matchAll(IMPORT)].flatMap(([, target]) => {
      const to = target!.startsWith('.')
        ? path.posix.join(path.posix.dirname(file), target!).split('/')[0]!
        : (/^@sabor\/([^/]+)/.exec(target!)?.[1] ?? null);
      if (to === null)
        return !testing && KEPT_OUT[room]?.test(target!) ? [`${file}: ${room} does without ${target}.`] : [];
      if (to === room || testing) return [];
      return allowed.includes(to) ? [] : [`${file}: ${room} may not import from ${to} (${target}).`];
    });
  });
}

function* sourcesBelow(root: string, folder: string): Generator<Source> {
  for (const entry of readdirSync(path.join(root, folder), { withFileTypes: true })) {
    const file = `${folder}/${entry.name}`;
    if (entry.name === 'node_modules' || entry.name === 'dist') continue;
    if (entry.isDirectory()) yield* sourcesBelow(root, file);
    else if (/\.tsx?$/.test(entry.name) && entry.name !== 'vite.config.ts')
      yield { file, text: readFileSync(path.join(root, file), 'utf8') };
  }
}

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  const root = fileURLToPath(new URL('..', import.meta.url));
  const sources = Object.keys(ARROWS).flatMap((room) => [...sourcesBelow(root, room)]);
  const wrong = wrongArrows(sources);
  for (const sentence of wrong) console.error(sentence);
  console.log(`${sources.length} files, ${wrong.length} arrows the wrong way`);
  process.exit(wrong.length ? 1 : 0);
}
