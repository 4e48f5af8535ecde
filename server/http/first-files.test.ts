import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import { firstFiles } from './first-files.ts';

const folder = mkdtempSync(path.join(os.tmpdir(), 'sabor-pages-'));
afterAll(() => rmSync(folder, { recursive: true }));
const built = path.join(folder, 'pages.json');
writeFileSync(
  built,
  JSON.stringify([
    { path: '', asks: ['/today'], files: [] },
    { path: 'trials/:id', asks: ['/trials/:id', '/shelf'], files: ['assets/trial.js'] },
    { path: 'trials/new', asks: [], files: ['assets/plan.js'] },
    { path: 'wash-days/:id', asks: ['/wash-days/:id'], files: ['assets/day.js'] },
    { path: 'wash-days/:id?step', asks: [], files: ['assets/day.js', 'assets/conductor.js'] },
  ]),
);
const first = firstFiles(built);
const named = (address: string, query: Record<string, unknown> = {}) =>
  [...first(address, query).matchAll(/href="([^"]+)"/g)].map(([, href]) => href);

describe('what a page is made of', () => {
  it('is named in the page: its scripts, and what it asks for, with the names of its address in it', () => {
    expect(named('/')).toEqual(['/api/today']);
    expect(named('/trials/9f-1')).toEqual(['/assets/trial.js', '/api/trials/9f-1', '/api/shelf']);
    expect(first('/trials/9f-1', {})).toContain(
      '<link rel="modulepreload" crossorigin href="/assets/trial.js">',
    );
    // A page that is named in full goes before one that leaves a part open.
    expect(named('/trials/new/')).toEqual(['/assets/plan.js']);
  });

  it('knows what a query brings along, each file once', () => {
    expect(named('/wash-days/a')).toEqual(['/assets/day.js', '/api/wash-days/a']);
    expect(named('/wash-days/a', { step: '1', other: '' })).toEqual([
      '/assets/day.js',
      '/assets/conductor.js',
      '/api/wash-days/a',
    ]);
  });

  it.each(['/nowhere/at/all', '/trials/%22%3E', '/trials/a"b', '/trials/<b>', '/trials/../etc'])(
    'is nothing at %j: nothing of an address gets into the page but letters, figures and dashes',
    (address) => {
      expect(first(address, {})).toBe('');
    },
  );

  it('is nothing where the application was built without it', () => {
    expect(firstFiles(path.join(folder, 'none.json'))('/', {})).toBe('');
  });
});
