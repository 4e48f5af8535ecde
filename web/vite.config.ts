import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import tailwindcss from '@tailwindcss/vite';
import reactPlugin from '@vitejs/plugin-react';
import { defineConfig, type Plugin } from 'vite';

/** What the first script is made of besides itself: it asks for the first answers while the application is still on its way. */
const FIRST = /(\/web\/(pages|http\/early)\.ts|vite\/(preload-helper|modulepreload-polyfill)(\.js)?)$/;
/** The page names the application's own scripts, so that they are on their way before the first of them has run. */
const appWithPage: Plugin = {
  name: 'sabor:app-with-page',
  transformIndexHtml: {
    order: 'post',
    handler(_html, { bundle, chunk: first }) {
      const chunks = Object.values(bundle ?? {}).filter((one) => one.type === 'chunk');
      const app = chunks.find(({ moduleIds }) => moduleIds.some((id) => id.endsWith('/web/app.tsx')));
      if (!app || !first) throw new Error('The application is in no chunk.');
      if (first.imports.includes(app.fileName))
        throw new Error(`${first.fileName} waits for all of ${app.fileName} before it asks for anything.`);
      return [app.fileName, ...app.imports]
        .filter((file) => !first.imports.includes(file))
        .map((file) => ({
          tag: 'link',
          attrs: { rel: 'modulepreload', crossorigin: true, href: `/${file}` },
          injectTo: 'head' as const,
        }));
    },
  },
};

/** A page's path, the module of its screen and what it asks for, as web/pages.ts writes them; and how each begins. */
const PAGE = /page\(\s*'([^']*)',\s*async \(\) => \(await import\('([^']+)'\)\)\.\w+(?:,\s*\[([^\]]*)\])?/g;
const PAGE_BEGINS = /^ {2}page\(/gm;
/** What a page shows at an address of its own besides its screen: the conductor, at a step of a wash day. */
const BESIDES = [['wash-days/:id?step', './screens/wash-day/conductor.tsx']] as const;

/**
 * Says in `pages.json` of every page which scripts its screen is made of and what it asks for, so that the server can name
 * them in the page it sends: they are on their way before the first script has run.
 */
const pagesWithFiles: Plugin = {
  name: 'sabor:pages-with-files',
  generateBundle(_options, bundle) {
    const chunks = Object.values(bundle).filter((one) => one.type === 'chunk');
    const holding = (module: string) =>
      chunks.find(({ moduleIds }) => moduleIds.some((id) => id.endsWith(module)));
    const closure = (file: string, found = new Set<string>()): Set<string> => {
      if (!found.has(file)) {
        found.add(file);
        for (const next of chunks.find(({ fileName }) => fileName === file)?.imports ?? [])
          closure(next, found);
      }
      return found;
    };
    const app = closure(holding('/web/app.tsx')!.fileName);
    const filesOf = (module: string): string[] => {
      const chunk = holding(module.replace('./', '/web/'));
      if (!chunk) this.error(`No chunk holds ${module}, which web/pages.ts names.`);
      return [...closure(chunk.fileName)].filter((file) => !app.has(file));
    };
    const source = readFileSync(new URL('./pages.ts', import.meta.url), 'utf8');
    const pages = [...source.matchAll(PAGE)].map(([, path, module, asks = '']) => ({
      path: path!,
      asks: [...asks.matchAll(/'([^']+)'/g)].map(([, ask]) => ask!),
      files: filesOf(module!),
    }));
    if (pages.length !== source.match(PAGE_BEGINS)?.length)
      this.error('A page in web/pages.ts is written in a way that the build does not read.');
    const besides = BESIDES.map(([path, module]) => ({
      path: path as string,
      asks: [] as string[],
      files: filesOf(module),
    }));
    this.emitFile({ type: 'asset', fileName: 'pages.json', source: JSON.stringify([...pages, ...besides]) });
  },
};

/** The styles come after the frame's first look, which has its own in the page: it is drawn before they are there. */
const lookBeforeStyles: Plugin = {
  name: 'sabor:look-before-styles',
  transformIndexHtml: {
    order: 'post',
    handler(html) {
      const [styles] = /\n *<link rel="stylesheet"[^>]*>/.exec(html) ?? [];
      return styles === undefined
        ? html
        : html.replace(styles, '').replace(/\n *<\/body>/, (end) => `${styles}${end}`);
    },
  },
};

/** js-aruco2 gives out what it has on `this`, as Node.js once had it; the bundler looks for `exports`. */
const arucoAsModule: Plugin = {
  name: 'sabor:aruco-as-module',
  transform: (code, id) =>
    id.includes('js-aruco2/src/') ? code.replaceAll(/\bthis\.(AR|CV)\b/g, 'exports.$1') : undefined,
};

type Info = (id: string) => { importedIds: readonly string[] } | null;

/** What some files are made of, themselves and all they import, told once it is known. */
function madeOf(...files: readonly string[]): (info: Info) => ReadonlySet<string> {
  let known: ReadonlySet<string> | null = null;
  return (info) => {
    if (known) return known;
    const found = new Set<string>();
    const add = (id: string) => {
      if (found.has(id)) return;
      found.add(id);
      for (const next of info(id)?.importedIds ?? []) add(next);
    };
    for (const file of files) add(fileURLToPath(new URL(file, import.meta.url)));
    known = found;
    return found;
  };
}

/**
 * What the frame and the first screen are made of: fetched as one file, because a file costs its round trip. Three short
 * files go with it that many screens use: merged with an allergy's, they would bring the whole dictionary of ingredients along.
 */
const everywhere = madeOf(
  'app.tsx',
  'screens/today/screen.tsx',
  '../core/shelf/products.ts',
  '../core/ingredients/ledger/constants.ts',
  'workers/screening.ts',
);
/** React among it, apart: a script of half a million characters is read in one piece, and keeps a slow phone from all else. */
const react = (info: Info): ReadonlySet<string> =>
  new Set([...everywhere(info)].filter((id) => /\/node_modules\/(react|react-dom|scheduler)\//.test(id)));
/** The two other pages that are met first on a phone, in three files: what they share, and what either has besides. */
const atTheBasin = madeOf('screens/wash-day/conductor.tsx');
const comparison = madeOf('screens/compare/screen.tsx');

/**
 * What the pages that are met first are made of is nearly all used as they load: a browser that knows the hint (V8's
 * explicit compile hints; from Chromium 136, from memory) compiles it whole while it comes in, beside the page, instead of each
 * function as it is first called, in the page's way. Others read a comment.
 */
const MET_FIRST = /^(react|everywhere|basin|bench)/;
const COMPILED_AS_IT_COMES = '//# allFunctionsCalledOnLoad';

/** What all of these are made of, in one file, as far as none of higher priority has it. */
const together = (
  name: string,
  priority: number,
  ...of: readonly ((info: Info) => ReadonlySet<string>)[]
) => ({
  debugName: name,
  priority,
  name: (id: string, graph: { getModuleInfo: Info }) =>
    of.every((made) => made((one) => graph.getModuleInfo(one)).has(id)) ? name : null,
});

export default defineConfig({
  plugins: [arucoAsModule, reactPlugin(), tailwindcss(), appWithPage, pagesWithFiles, lookBeforeStyles],
  build: {
    target: 'es2022',
    manifest: 'built.json',
    assetsInlineLimit: 0,
    // A page says which scripts it is made of; to name forty of them once more from a script costs more than it saves.
    modulePreload: {
      resolveDependencies: (_file, deps, { hostType }) =>
        hostType === 'html' ? deps : deps.filter((file) => file.endsWith('.css')),
    },
    chunkSizeWarningLimit: 700,
    rolldownOptions: {
      output: {
        postBanner: ({ name }) => (MET_FIRST.test(name) ? COMPILED_AS_IT_COMES : ''),
        codeSplitting: {
          groups: [
            { name: 'first', test: FIRST, priority: 6 },
            together('react', 5, react),
            together('everywhere', 4, everywhere),
            together('basin-and-bench', 3, atTheBasin, comparison),
            together('basin', 2, atTheBasin),
            together('bench', 1, comparison),
            { name: 'shared', minShareCount: 2, entriesAware: true, entriesAwareMergeThreshold: 4000 },
          ],
        },
      },
    },
  },
  worker: { format: 'es', plugins: () => [arucoAsModule] },
});
