import { execFileSync, spawnSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import type { Trial, TrialDetail } from '@sabor/contract/trial-record';
import { mainOf } from '@sabor/core/compare/comparison';
import { madeUpTrial, wornDay } from '@sabor/core/compare/made-up.fixture';
import type { TrialRecord } from '@sabor/core/compare/trial-record';
import { normals, seededRandom } from '@sabor/core/random';
import { armsOfCode, DESIGNS, type Design, isTested, schemeOf, usualDays } from '@sabor/core/trial/designs';
import { plainVoice } from '@sabor/words/voice';
// @ts-expect-error The reference implementation of the standard comes without types.
import { Package } from 'datapackage';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { openDemoBench, type TestBench } from '../../testing/bench.ts';
import { unzipped } from '../../testing/zips.ts';
import { csvOf, type PackedFile, scripts } from './package.ts';
import { tablesOf } from './tables.ts';

const folder = mkdtempSync(path.join(os.tmpdir(), 'sabor-package-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

let made = 0;
function unpacked(files: readonly PackedFile[]): string {
  const into = path.join(folder, String(made++));
  mkdirSync(path.join(into, 'data'), { recursive: true });
  for (const { path: file, bytes } of files) writeFileSync(path.join(into, file), bytes);
  return into;
}
/** What the Python script says; it fails by its exit where its p is not Sabor’s. */
const python = (into: string) => execFileSync('python3', ['recompute.py'], { cwd: into, encoding: 'utf8' });
const hasR = spawnSync('Rscript', ['--version']).status === 0;

/** A trial around a record, with nothing else told of it. */
const around = (record: TrialRecord) =>
  ({
    ...{ question: '=Which?', blind: false, seed: 7, amendments: [], washDayRecords: [] },
    arms: record.promise.arms.map((name) => ({ name })),
  }) as unknown as TrialDetail;
const packed = (record: TrialRecord): PackedFile[] => [
  ...scripts(),
  ...tablesOf(around(record), record, [], plainVoice()).map((table) => ({
    path: `data/${table.name}.csv`,
    bytes: Buffer.from(csvOf(table)),
  })),
];

/** A made-up trial of a design, the later options a little better; with some days without a number where asked. */
function madeUp(
  design: Design,
  seed: number,
  { arms = DESIGNS[design].arms[0], gaps = 0, apart = 0.6 } = {},
) {
  const normal = normals(seededRandom(seed));
  const days = usualDays(design, arms);
  const codes = schemeOf(design, arms, days).draw(seed);
  const value = (arm: number) => Math.round(20 * (5 + apart * arm + normal())) / 20;
  return madeUpTrial(
    design,
    codes,
    codes.map((code, day) => {
      const { left, right } = armsOfCode(design, code);
      const gap = day < gaps ? null : undefined;
      return DESIGNS[design].halves
        ? ([gap ?? value(left), value(right)] as const)
        : gap === null
          ? null
          : value(left);
    }),
  );
}
const tested = (Object.keys(DESIGNS) as Design[]).filter(isTested);

describe('a trial’s package computes its main result again', () => {
  for (const design of tested)
    it(`${design}: the Python script’s p is Sabor’s`, {
      tags: design === 'half' || design === 'complete' ? [] : ['soak'],
    }, () => {
      // Large sets once.
      const large = design === 'factorial' || design === 'half-three';
      for (const record of [madeUp(design, 2, { apart: 2 }), ...(large ? [] : [madeUp(design, 1)])]) {
        const { primary } = mainOf(record);
        const said = python(unpacked(packed(record)));
        expect(primary.test).not.toBeNull();
        expect(said).toContain(`p = ${primary.test!.p.toFixed(6)}`);
        expect(said).toContain('the same');
      }
    });

  it('with a wash day that has no number, with three options, and where no p is given', () => {
    const gap = madeUp('complete', 3, { gaps: 1, apart: 3 });
    expect(python(unpacked(packed(gap)))).toContain('the same');
    expect(python(unpacked(packed(madeUp('complete', 4, { arms: 3 }))))).toContain('the same');
    const early = { ...madeUp('complete', 5), ended: 'early' as const };
    expect(python(unpacked(packed(early)))).toContain(
      'No p: The trial ended before its planned wash days, so no p is given.',
    );
  });

  it('where good days are counted, by curves made anew for each order', () => {
    const codes = schemeOf('complete', 2, 8).draw(5);
    const record = madeUpTrial(
      'complete',
      codes,
      codes.map(() => 8),
      { primary: 'lasting:definition' },
    );
    // The later option stays good longer; one wear was cut short while good, one was looked at on two days alone.
    const washDays = codes.map((arm, day) => {
      const good = [3, 2, 4, 1, 3, 2, 2, 4][day]! + arm;
      const values = Array.from({ length: 5 }, (_, d) => (d < good ? 7 : 4) as number | null);
      if (day === 1) values.splice(1);
      if (day === 4) values.fill(null, 1, 4);
      return wornDay(day, arm, null, values, day === 1 ? { wearEnd: 'washed-swim' } : {});
    });
    const lasting = { ...record, washDays };
    const { primary } = mainOf(lasting);
    expect(primary.test).not.toBeNull();
    const said = python(unpacked(packed(lasting)));
    expect(said).toContain(`p = ${primary.test!.p.toFixed(6)}`);
    if (hasR)
      expect(
        execFileSync('Rscript', ['recompute.R'], { cwd: unpacked(packed(lasting)), encoding: 'utf8' }),
      ).toContain('the same');
  });

  it('fails where a number was changed by hand', () => {
    const files = packed(madeUp('complete', 2, { apart: 2 }));
    const into = unpacked(files);
    const numbers = files.find(({ path: file }) => file === 'data/numbers.csv')!.bytes.toString();
    const [head, ...rows] = numbers.split('\r\n');
    const swapped = rows.map((row, i) => (i === 0 ? row.replace(/,[^,]*,,$/, ',9.9,,') : row));
    writeFileSync(path.join(into, 'data/numbers.csv'), [head, ...swapped].join('\r\n'));
    const { status, stdout } = spawnSync('python3', ['recompute.py'], { cwd: into, encoding: 'utf8' });
    expect(status).toBe(1);
    expect(stdout).toContain('NOT the same');
  });

  // R is no part of Sabor's machine: where somebody has it, its script is held to the same.
  it.skipIf(!hasR).each(['complete', 'half'] as const)(
    '%s: the R script’s p is Sabor’s',
    (design) => {
      const into = unpacked(packed(madeUp(design, 1)));
      expect(execFileSync('Rscript', ['recompute.R'], { cwd: into, encoding: 'utf8' })).toContain('the same');
    },
    120_000,
  );
});

describe('a trial as a package, from the server', () => {
  let bench: TestBench;
  let trials: Trial[];
  beforeAll(async () => {
    bench = await openDemoBench();
    trials = (await bench.ask<Trial[]>('GET', '/api/trials')).body;
  });
  afterAll(() => bench.close());
  const packageOf = async (question: RegExp) => {
    const trial = trials.find((one) => question.test(one.question))!;
    return fetch(`${bench.url}/api/trials/${trial.id}/package.zip`);
  };

  it('is a data package whose every column is told, names nobody, and computes itself', async () => {
    const answer = await packageOf(/half of Tomasz/);
    expect(answer.status).toBe(200);
    const files = await unzipped(Buffer.from(await answer.arrayBuffer()));
    const described = JSON.parse(files.get('datapackage.json')!.toString());
    expect(described.licenses).toHaveLength(1);
    for (const { path: file, bytes, schema } of described.resources) {
      const content = files.get(file)!;
      expect(content.length).toBe(bytes);
      const [head] = content
        .toString()
        .replace(/^\uFEFF/, '')
        .split('\r\n');
      expect(head!.split(',')).toEqual(schema.fields.map(({ name }: { name: string }) => name));
      for (const field of schema.fields) expect(field.description).not.toBe('');
    }
    const all = [...files].map(([name, bytes]) => name + bytes.toString()).join('\n');
    expect(all).not.toContain('Adeyinka');
    const into = unpacked([...files].map(([file, bytes]) => ({ path: file, bytes })));
    expect(python(into)).toContain('the same');
    // Source: the reference implementation of the Frictionless standards in JavaScript (npm datapackage 1.1).
    const loaded = await Package.load(path.join(into, 'datapackage.json'));
    expect(loaded.errors).toEqual([]);
    let rows = 0;
    for (const resource of loaded.resources) rows += (await resource.read()).length;
    expect(rows).toBeGreaterThan(1000);
  });

  it('waits until the trial is over', async () => {
    const answer = await packageOf(/survives four nights/);
    expect(answer.status).toBe(409);
    expect((await answer.json()).detail).toContain('its order is sealed');
  });
});
