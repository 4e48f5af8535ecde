import { describe, expect, it } from 'vitest';
import { wrongArrows } from './arrows.ts';

const wrong = (file: string, text: string) => wrongArrows([{ file, text }]);

describe('arrows between rooms', () => {
  it('let web and server reach contract and core', () => {
    expect(
      wrong('web/a.ts', "import { x } from '@sabor/core/x';\nimport type { Y } from '@sabor/contract/y';"),
    ).toEqual([]);
    expect(wrong('server/a/b.ts', "import { x } from '../db/pool.ts';")).toEqual([]);
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
});
