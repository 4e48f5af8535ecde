import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { CspEvaluator } from 'csp_evaluator/dist/evaluator.js';
import { Severity } from 'csp_evaluator/dist/finding.js';
import { CspParser } from 'csp_evaluator/dist/parser.js';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { openBench, type TestBench } from './testing/bench.ts';

let bench: TestBench;
let webRoot: string;
beforeAll(async () => {
  webRoot = mkdtempSync(path.join(os.tmpdir(), 'sabor-web-'));
  mkdirSync(path.join(webRoot, 'assets'));
  writeFileSync(path.join(webRoot, 'index.html'), '<meta nonce="__SABOR_NONCE__">');
  bench = await openBench(webRoot);
});
afterAll(async () => {
  await bench.close();
  rmSync(webRoot, { recursive: true, force: true });
});

const policy = async (at: string) =>
  (await bench.ask('GET', at)).headers.get('content-security-policy') ?? '';
/** What an evaluator of policies by others finds wrong, its hints of what else could be done left out. */
const found = (csp: string) =>
  new CspEvaluator(new CspParser(csp).csp)
    .evaluate()
    .filter(({ severity }) => severity <= Severity.MEDIUM || severity === Severity.SYNTAX)
    .map(({ directive, value, description }) => `${directive} ${value ?? ''}: ${description}`);

/** Second tool: csp_evaluator, the evaluator behind Chromium's own audits. */
describe('the content security policy', () => {
  it('has nothing an evaluator of others would call weak, on pages, answers and refusals', async () => {
    for (const at of ['/', '/sign-in', '/api/settings', '/api/nothing', '/assets/none.js'])
      expect([at, found(await policy(at))]).toEqual([at, []]);
  });

  it('would be found weak where it were', () => {
    expect(found("script-src 'self' 'unsafe-inline'")).not.toEqual([]);
    expect(found("default-src 'none'; script-src *")).not.toEqual([]);
  });

  it('takes another nonce for every answer', async () => {
    const nonce = async () => /'nonce-([^']+)'/.exec(await policy('/'))?.[1];
    expect(await nonce()).not.toBe(await nonce());
  });
});
