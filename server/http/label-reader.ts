import { createRequire } from 'node:module';
import { type Request, type Response, Router } from 'express';

const require = createRequire(import.meta.url);
const YEAR_S = 31_536_000;

/** What reading text off a picture needs, by the name it goes by here: the worker, its cores, the English data. */
const FILES: ReadonlyMap<string, string> = new Map([
  ['worker.js', 'tesseract.js/dist/worker.min.js'],
  ['eng.traineddata.gz', '@tesseract.js-data/eng/4.0.0_best_int/eng.traineddata.gz'],
  ...['lstm', 'simd-lstm', 'relaxedsimd-lstm'].map((core): [string, string] => [
    `tesseract-core-${core}.wasm.js`,
    `tesseract.js-core/tesseract-core-${core}.wasm.js`,
  ]),
]);

/**
 * Serves the label reader's own files from their packages: nothing is fetched from elsewhere. They are too large for the
 * application's build and its offline store. Only this worker may compile WebAssembly, which its own policy says.
 */
export function labelReader(): Router {
  const router = Router();
  router.get('/label-reader/:file', (request: Request, response: Response, next) => {
    const file = FILES.get(String(request.params.file));
    if (file === undefined) return next();
    response.set({
      'Cache-Control': `public, max-age=${YEAR_S}`,
      'Content-Security-Policy':
        "default-src 'none'; script-src 'self' 'wasm-unsafe-eval'; connect-src 'self' data:; sandbox allow-scripts allow-same-origin",
    });
    response.type(file.endsWith('.js') ? 'text/javascript' : 'application/octet-stream');
    response.sendFile(require.resolve(file), { dotfiles: 'allow', lastModified: false });
  });
  return router;
}
