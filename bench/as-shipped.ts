import path from 'node:path';
import { pathToFileURL } from 'node:url';
import { build } from 'vite';
import { root } from '../scripts/install.mjs';

/**
 * A module built the way the application's own code is before it reaches a worker. The loader that runs our scripts
 * keeps the name of every closure at a call's cost, which doubled the time of the screening and measured nothing of ours.
 */
export async function asShipped<Module>(file: string): Promise<Module> {
  const outDir = path.join(root, 'bench', 'dist');
  await build({
    configFile: false,
    root,
    logLevel: 'warn',
    build: { ssr: file, outDir, emptyOutDir: true, target: 'es2022' },
  });
  return import(pathToFileURL(path.join(outDir, `${path.basename(file, '.ts')}.js`)).href) as Promise<Module>;
}
