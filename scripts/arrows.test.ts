import { describe, expect, it } from 'vitest';
import { drawn, floors, wrongArrows } from './arrows.ts';
import { HOUSE, type Room } from './rooms.ts';

const wrong = (file: string, text: string) => wrongArrows([{ file, text }]);

describe('arrows between rooms', () => {
  it('let web and server reach contract and core', () => {
    expect(
      wrong('web/a.ts', "import { x } from '@sabor/core/x';\nimport type { Y } from '@sabor/contract/y';"),
    ).toEqual([]);
    expect(wrong('server/resources/shelf/b.ts', "import { x } from '../../db/pool.ts';")).toEqual([]);
  });

  it.each([
    ['core/a/b.ts', "import { x } from '@sabor/contract/x';"],
    ['core/a/b.ts', "import { x } from '../../contract/x.ts';"],
    ['core/a.ts', "import fs from 'node:fs';"],
    ['contract/a.ts', "export { x } from '@sabor/server/x';"],
    ['web/a.ts', "const x = await import('../server/x.ts');"],
    ['demo/a.ts', "import { x } from '../server/db/pool.ts';"],
    ['server/a.ts', "import React from 'react';"],
  ])('keep %s from %s', (file, text) => {
    expect(wrong(file, text)).toHaveLength(1);
  });

  it('let tests reach where they must', () => {
    expect(wrong('server/a.test.ts', "import { x } from '../demo/x.ts';")).toEqual([]);
  });

  it('hold rooms inside rooms, their halls and their fronts', () => {
    const step = (target: string) => wrong('core/step/a.ts', `import { x } from '${target}';`);
    expect(step('../doses/dose.ts')).toEqual([]);
    expect(step('../vocabulary.ts')).toEqual([]);
    expect(step('../shelf/products.ts')).toEqual([
      'core/step/a.ts: step may not import from shelf (../shelf/products.ts).',
    ]);
    expect(step('../unheard-of/x.ts')).toHaveLength(1);
    expect(wrong('core/unheard-of/x.ts', "import { x } from '../step/mix.ts';")).toHaveLength(1);
    expect(wrong('web/screens/trials/a.tsx', "import { x } from '../screen/x.ts';")).toEqual([]);
    expect(wrong('web/screens/screen/a.tsx', "import { x } from '../trials/x.ts';")).toHaveLength(1);
    expect(wrong('web/ui/a.tsx', "import { x } from '../frame.tsx';")).toHaveLength(1);
    expect(wrong('web/app.tsx', "import { x } from './ui/x.tsx';")).toEqual([]);
  });

  it('never run in a circle, and are drawn from the top', () => {
    const leaf = (...to: string[]): Room => ({ to });
    expect(floors({ attic: leaf('cellar'), cellar: leaf() })).toEqual([['cellar'], ['attic']]);
    expect(() => floors({ a: leaf('b'), b: leaf('c'), c: leaf('a') })).toThrow(/circle among a, b, c/);
    const drawing = drawn(HOUSE);
    expect(drawing.indexOf('  web')).toBeLessThan(drawing.indexOf('  core'));
    expect(drawing).toContain('server/resources\n');
  });
});
