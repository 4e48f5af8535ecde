import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { HOUSE, KEPT_OUT, type Room } from './rooms.ts';

export interface Source {
  /** Path from the repository's root, with forward slashes. */
  file: string;
  text: string;
}

const IMPORT = /(?:from|import|new URL)\s*\(?\s*['"]([^'"]+)['"]/g;

type Rooms = Readonly<Record<string, Room>>;

/** The path of what a file imports, from the repository's root; null for a package. */
function targetOf(file: string, target: string): string | null {
  if (target.startsWith('.')) return path.posix.join(path.posix.dirname(file), target);
  return /^@sabor\/(.+)/.exec(target)?.[1] ?? null;
}

/** A sentence against one import, or null: it is held to the innermost room that holds both its ends. */
function wrongArrow(
  from: readonly string[],
  to: readonly string[],
  rooms: Rooms,
  hall: readonly string[] = [],
): string | null {
  const [a, b] = [from[0]!, to[0]!];
  const own = rooms[a];
  // Directly in the room: where its parts are put together.
  if (from.length === 1) return null;
  if (!own) return `${a} is no room that scripts/rooms.ts knows`;
  if (a === b) return own.rooms ? wrongArrow(from.slice(1), to.slice(1), own.rooms, own.hall) : null;
  if (to.length === 1 && hall.some((name) => name.replace(/\.ts$/, '') === b.replace(/\.tsx?$/, '')))
    return null;
  return own.to.includes(b) ? null : `${a} may not import from ${b}`;
}

/** Every import that points the wrong way, a sentence each. Tests may reach into any room. */
export function wrongArrows(sources: readonly Source[], house: Rooms = HOUSE): string[] {
  return sources.flatMap(({ file, text }) => {
    const room = file.split('/')[0]!;
    if (!house[room] || /\.(test|fixture)\.tsx?$|\/testing\//.test(file)) return [];
    return [...text.matchAll(IMPORT)].flatMap(([, target]) => {
      const to = targetOf(file, target!);
      if (to === null)
        return KEPT_OUT[room]?.test(target!) ? [`${file}: ${room} does without ${target}.`] : [];
      const wrong = wrongArrow(file.split('/'), to.split('/'), house);
      return wrong ? [`${file}: ${wrong} (${target}).`] : [];
    });
  });
}

/** Rooms in floors: each stands on those below it alone. Throws where arrows run in a circle. */
export function floors(rooms: Rooms): string[][] {
  const left = new Set(Object.keys(rooms));
  const found: string[][] = [];
  while (left.size > 0) {
    const floor = [...left].filter((name) => rooms[name]!.to.every((to) => !left.has(to) || !rooms[to]));
    if (floor.length === 0) throw new Error(`Arrows run in a circle among ${[...left].join(', ')}.`);
    for (const name of floor) left.delete(name);
    found.push(floor);
  }
  return found;
}

/** The house drawn, floor by floor, from the top; rooms inside rooms below. */
export function drawn(rooms: Rooms, name = 'The house'): string {
  const lines = floors(rooms)
    .reverse()
    .flatMap((floor) =>
      floor.map((room) => {
        const { to } = rooms[room]!;
        return `  ${room.padEnd(14)}${to.length ? `→ ${to.join(', ')}` : '·'}`;
      }),
    );
  const inner = Object.entries(rooms).flatMap(([room, { rooms: inside }]) =>
    inside ? [drawn(inside, name === 'The house' ? room : `${name}/${room}`)] : [],
  );
  return [`${name}\n${lines.join('\n')}`, ...inner].join('\n\n');
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

const PAGE = 'docs/rooms.md';
const page = () => `# The rooms of the house

Drawn by \`npm run arrows -- --write\` from \`scripts/rooms.ts\`; the check fails when this page is behind. Each room uses those
its arrow names, all of them on floors below its own: arrows never run in a circle.

\`\`\`
${drawn(HOUSE)}
\`\`\`
`;

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  const root = fileURLToPath(new URL('..', import.meta.url));
  const sources = Object.keys(HOUSE).flatMap((room) => [...sourcesBelow(root, room)]);
  const wrong = wrongArrows(sources);
  for (const sentence of wrong) console.error(sentence);
  const file = path.join(root, PAGE);
  if (process.argv.includes('--write')) writeFileSync(file, page());
  const behind = !existsSync(file) || readFileSync(file, 'utf8') !== page();
  if (behind) console.error(`${PAGE} is behind scripts/rooms.ts:  npm run arrows -- --write`);
  console.log(drawn(HOUSE));
  console.log(`\n${sources.length} files, ${wrong.length} arrows the wrong way`);
  process.exit(wrong.length || behind ? 1 : 0);
}
