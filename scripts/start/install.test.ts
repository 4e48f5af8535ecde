import { readFileSync } from 'node:fs';
import { expect, it } from 'vitest';
import { withArchives } from '../install.mjs';

it('a lock that names no registry is told where archives lie, and loses nothing', () => {
  const text = readFileSync(new URL('../../package-lock.json', import.meta.url), 'utf8');
  const { packages } = JSON.parse(withArchives(text, 'https://packages.example/npm/'));
  const at = (place: string) => packages[place].resolved;
  const { version } = packages['node_modules/@playwright/test'];
  expect(at('node_modules/@playwright/test')).toBe(
    `https://packages.example/npm/@playwright/test/-/test-${version}.tgz`,
  );
  expect(at('node_modules/pg')).toMatch(/^https:\/\/packages\.example\/npm\/pg\/-\/pg-8[\d.]+\.tgz$/);
  // A room of ours is a folder, and stays one.
  expect(at('node_modules/@sabor/core')).toBe('core');
  const bare = (lock: { packages: Record<string, object> }) =>
    Object.fromEntries(
      Object.entries(lock.packages).map(([place, one]) => [place, { ...one, resolved: undefined }]),
    );
  expect(bare({ packages })).toEqual(bare(JSON.parse(text)));
});
