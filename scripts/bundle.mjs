// One file of many modules: what `npm start` runs.
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, renameSync, rmSync, statSync } from 'node:fs';
import path from 'node:path';
import { pathToFileURL } from 'node:url';
import { root } from './install.mjs';

const SOURCES = ['core', 'words', 'contract', 'reading', 'demo', 'server', 'scripts', 'e2e'];
const folder = path.join(root, 'server', 'dist');

/** What a bundle is made from, by name, size and time of every source, and where it lies. */
function fingerprint() {
  const hash = createHash('sha256')
    .update(root)
    .update(readFileSync(path.join(root, 'package-lock.json')));
  const walk = (at) => {
    for (const entry of readdirSync(at, { withFileTypes: true }).sort((a, b) => (a.name < b.name ? -1 : 1))) {
      const full = path.join(at, entry.name);
      if (entry.isDirectory()) {
        if (!['node_modules', 'dist', 'results', 'photographs'].includes(entry.name)) walk(full);
      } else if (/\.(ts|mjs|json)$/.test(entry.name) && !entry.name.includes('.test.')) {
        const { size, mtimeMs } = statSync(full);
        hash.update(`${full} ${size} ${mtimeMs}\n`);
      }
    }
  };
  for (const source of SOURCES) walk(path.join(root, source));
  return hash.digest('hex').slice(0, 16);
}

/** Modules keep the places they have in the sources: files that lie beside them are found there. */
const inPlace = {
  name: 'sabor:in-place',
  setup(build) {
    // Installed packages, and what is shared with whoever loads the bundle, stay outside.
    build.onResolve({ filter: /^[^./]/ }, ({ path: name }) =>
      name.startsWith('@sabor/') ? undefined : { path: name, external: true },
    );
    build.onResolve({ filter: /^\..*\.mjs$/ }, ({ path: name, resolveDir }) => ({
      path: pathToFileURL(path.resolve(resolveDir, name)).href,
      external: true,
    }));
    build.onLoad({ filter: /\.ts$/ }, ({ path: file }) => ({
      contents: readFileSync(file, 'utf8').replaceAll(
        'import.meta.url',
        JSON.stringify(pathToFileURL(file).href),
      ),
      loader: 'ts',
    }));
  },
};

/**
 * The path of a TypeScript entry (from the root) as one file of JavaScript, made anew where a source changed: hundreds of
 * modules take Node.js three seconds one by one, and a third of that together.
 */
export async function bundled(entry) {
  const name = path.basename(entry, '.ts');
  const file = path.join(folder, `${name}-${fingerprint()}.mjs`);
  if (existsSync(file)) return file;
  const { build } = await import('esbuild');
  mkdirSync(folder, { recursive: true });
  const made = `${file}.${process.pid}`;
  await build({
    entryPoints: [path.join(root, entry)],
    outfile: made,
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    sourcemap: 'inline',
    logLevel: 'error',
    plugins: [inPlace],
  });
  for (const old of readdirSync(folder))
    if (old.startsWith(`${name}-`) && old.endsWith('.mjs')) rmSync(path.join(folder, old), { force: true });
  renameSync(made, file);
  return file;
}
