import { mkdtempSync, rmSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import type { TestProject } from 'vitest/node';
import { ensurePostgres } from '../../scripts/postgres/binaries.ts';
import { startCluster } from '../../scripts/postgres/cluster.ts';
import { makeTemplate } from './open-bench.ts';

declare module 'vitest' {
  export interface ProvidedContext {
    databaseUrl: string;
    /** A database with the newest schema, for the others to be copied from. */
    template: string;
  }
}

/** One PostgreSQL for all server tests of a run, gone afterwards. */
export default async function setup(project: TestProject): Promise<() => Promise<void>> {
  ensurePostgres();
  const folder = mkdtempSync(path.join(os.tmpdir(), 'sabor-test-'));
  const cluster = await startCluster(folder, true);
  project.provide('databaseUrl', cluster.url);
  project.provide('template', await makeTemplate(cluster.url));
  return async () => {
    await cluster.stop();
    rmSync(folder, { recursive: true, force: true });
  };
}
