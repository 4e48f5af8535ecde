import type { RequestListener } from 'node:http';
import { inject } from 'vitest';
import type { Door } from '../network/door.ts';
import { openBenchOn, type TestBench } from './open-bench.ts';

export type { Answer, TestBench } from './open-bench.ts';

/** A Sabor of its own: a fresh database behind the real application on a free port, and a door where one is made for it. */
export const openBench = (
  webRoot: string | null = null,
  doorFor?: (answer: RequestListener) => Door,
): Promise<TestBench> => openBenchOn(inject('databaseUrl'), webRoot, inject('template'), doorFor);
