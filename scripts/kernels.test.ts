import { expect, it } from 'vitest';
import { KERNELS } from '../core/photo/kernels/bytes.ts';
import { assembled } from './kernels.ts';

it('the kernels that are run are those that are written', async () => {
  expect(Buffer.from(await assembled()).toString('hex')).toBe(KERNELS);
});
