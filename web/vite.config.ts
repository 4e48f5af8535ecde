import { fileURLToPath } from 'node:url';
import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig, type Plugin } from 'vite';

/** The page names the application's own scripts, so that they are on their way before the first of them has run. */
const appWithPage: Plugin = {
  name: 'sabor:app-with-page',
  transformIndexHtml: {
    order: 'post',
    handler(_html, { bundle }) {
      const chunks = Object.values(bundle ?? {}).filter((one) => one.type === 'chunk');
      const app = chunks.find(({ facadeModuleId }) => facadeModuleId?.endsWith('/web/app.tsx'));
      return [app?.fileName, ...(app?.imports ?? [])].flatMap((file) =>
        file === undefined
          ? []
          : [
              {
                tag: 'link',
                attrs: { rel: 'modulepreload', crossorigin: true, href: `/${file}` },
                injectTo: 'head' as const,
              },
            ],
      );
    },
  },
};

/** js-aruco2 gives out what it has on `this`, as Node.js once had it; the bundler looks for `exports`. */
const arucoAsModule: Plugin = {
  name: 'sabor:aruco-as-module',
  transform: (code, id) =>
    id.includes('js-aruco2/src/') ? code.replaceAll(/\bthis\.(AR|CV)\b/g, 'exports.$1') : undefined,
};

/** {@link everywhere}, once it is known. */
let standing: ReadonlySet<string> | null = null;

/**
 * What the frame and the first screen are made of: fetched as one file, because a file costs its round trip. Three short
 * files go with it that many screens use: merged with an allergy's, they would bring the whole dictionary of ingredients along.
 */
function everywhere(info: (id: string) => { importedIds: readonly string[] } | null): ReadonlySet<string> {
  if (standing) return standing;
  const found = new Set<string>();
  const add = (id: string) => {
    if (found.has(id)) return;
    found.add(id);
    for (const next of info(id)?.importedIds ?? []) add(next);
  };
  for (const file of [
    'app.tsx',
    'screens/today/screen.tsx',
    '../core/shelf/products.ts',
    '../core/ingredients/ledger/constants.ts',
    'workers/screening.ts',
  ])
    add(fileURLToPath(new URL(file, import.meta.url)));
  standing = found;
  return found;
}

export default defineConfig({
  plugins: [arucoAsModule, react(), tailwindcss(), appWithPage],
  build: {
    target: 'es2022',
    manifest: 'built.json',
    assetsInlineLimit: 0,
    chunkSizeWarningLimit: 700,
    rolldownOptions: {
      output: {
        codeSplitting: {
          groups: [
            {
              debugName: 'everywhere',
              name: (id, graph) =>
                everywhere((one) => graph.getModuleInfo(one)).has(id) ? 'everywhere' : null,
            },
            { name: 'shared', minShareCount: 2, entriesAware: true, entriesAwareMergeThreshold: 4000 },
          ],
        },
      },
    },
  },
  worker: { format: 'es', plugins: () => [arucoAsModule] },
});
