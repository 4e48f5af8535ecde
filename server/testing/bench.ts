import { inject } from 'vitest';
import { openBenchOn, type TestBench } from './open-bench.ts';

export type { Answer, TestBench } from './open-bench.ts';

/** A Sabor of its own: a fresh database behind the real application on a free port. */
export const openBench = (webRoot: string | null = null): Promise<TestBench> =>
  openBenchOn(inject('databaseUrl'), webRoot, inject('template'));
