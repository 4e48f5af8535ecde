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

export default defineConfig({
  plugins: [react(), tailwindcss(), appWithPage],
  build: { target: 'es2022', manifest: 'built.json', assetsInlineLimit: 0, chunkSizeWarningLimit: 700 },
  worker: { format: 'es' },
});
