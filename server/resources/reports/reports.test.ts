import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import type { Problem } from '@sabor/contract/problem';
import type { PublishConsent, ReportInput } from '@sabor/contract/report';
import type { Wearer } from '@sabor/contract/wearer';
import { v7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { openDemoBench, type TestBench } from '../../testing/bench.ts';

let bench: TestBench;
const folder = mkdtempSync(path.join(os.tmpdir(), 'sabor-report-'));
beforeAll(async () => {
  bench = await openDemoBench();
});
afterAll(async () => {
  await bench.close();
  rmSync(folder, { recursive: true, force: true });
});

type Report = ReportInput['report'];
const report = (blocks: Report['blocks']): Report => ({
  title: 'Which gel keeps the curls?',
  about: 'A trial on one head',
  blocks,
  disclosure: 'To declare: Kelp Fold Gel (gift).',
});
const ask = (of: Report, paper: 'A4' | 'LETTER' = 'A4') =>
  fetch(`${bench.url}/api/reports/pdf`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ report: of, paper }),
  });
/** The pages as a second tool reads them: Debian's poppler-utils and qpdf. */
async function pages(answer: Response) {
  expect(answer.status).toBe(200);
  const file = path.join(folder, `${v7()}.pdf`);
  writeFileSync(file, Buffer.from(await answer.arrayBuffer()));
  const run = (command: string, ...args: string[]) =>
    spawnSync(command, args, { encoding: 'utf8', maxBuffer: 1e8 });
  return {
    text: run('pdftotext', '-layout', file, '-').stdout,
    fonts: run('pdffonts', file).stdout,
    info: run('pdfinfo', file).stdout,
    structure: run('pdfinfo', '-struct', file).stdout,
    images: run('pdfimages', '-list', file).stdout.trim().split('\n').length - 2,
    check: run('qpdf', '--check', file),
  };
}

describe('a report as PDF', () => {
  it('is text with its fonts inside, tagged headings, numbered pages and the disclosure on each', async () => {
    const long = Array.from({ length: 40 }, (_, i) => ({
      kind: 'text' as const,
      text: `Paragraph ${i + 1}. ${'The hair was washed and looked at again. '.repeat(4)}`,
    }));
    const read = await pages(
      await ask(
        report([
          { kind: 'heading', level: 2, text: 'Kelp Fold Gel gave more definition' },
          ...long,
          { kind: 'list', items: ['One thing', 'Seen −2.1 against it, “as is”'] },
          {
            kind: 'table',
            caption: 'Means on day 1',
            head: ['Outcome', 'Anvil Gel', 'Kelp Fold Gel'],
            rows: [['Definition, more is wanted', '6.1', '8.3']],
          },
          {
            kind: 'drawing',
            drawing: {
              what: 'strip',
              arms: ['Anvil Gel', 'Kelp Fold Gel'],
              ends: [0, 10],
              places: 1,
              values: [
                { arm: 0, value: 6 },
                { arm: 1, value: 8 },
              ],
              means: [6, 8],
            },
            says: 'Definition, wash day by wash day.',
          },
        ]),
      ),
    );
    expect(read.check.stdout).toContain('No syntax or stream encoding errors found');
    expect(read.text).toContain('Which gel keeps the curls?');
    expect(read.text).toContain('Seen −2.1 against it, “as is”');
    expect(read.text).toMatch(/Definition, more is wanted\s+6\.1\s+8\.3/);
    const count = Number(/Pages:\s+(\d+)/.exec(read.info)![1]);
    expect(count).toBeGreaterThan(1);
    for (let page = 1; page <= count; page++) expect(read.text).toContain(`${page} of ${count}`);
    // On each page's foot, and once at the end.
    expect(read.text.split('To declare: Kelp Fold Gel (gift).')).toHaveLength(count + 2);
    expect(read.info).toMatch(/Tagged:\s+yes/);
    expect(read.info).toMatch(/Title:\s+Which gel keeps the curls\?/);
    for (const tag of ['H1', 'H2', 'Table', 'TH', 'Figure', 'LI']) expect(read.structure).toContain(tag);
    // Every font inside it; the drawing is no picture.
    const fonts = read.fonts.trim().split('\n').slice(2);
    expect(fonts.length).toBeGreaterThan(0);
    for (const font of fonts) expect(font).toMatch(/\syes\s+yes\s+yes\s/);
    expect(read.images).toBe(0);
  });

  it('writes names of other scripts and signs, on either paper, and a drawing of nothing', async () => {
    const read = await pages(
      await ask(
        report([
          { kind: 'text', text: 'Żaneta Дарья ≥ 3 дней' },
          { kind: 'heading', level: 3, text: 'Ελένη' },
          {
            kind: 'drawing',
            drawing: { what: 'curve', arms: ['A <b>', 'B'], ends: null, places: 1, curves: [] },
            says: 'Nothing was read.',
          },
          { kind: 'text', text: '=cmd|calc <script>alert(1)</script>' },
        ]),
        'LETTER',
      ),
    );
    expect(read.text).toContain('Żaneta Дарья ≥ 3 дней');
    expect(read.text).toContain('Ελένη');
    expect(read.text).toContain('<script>alert(1)</script>');
    expect(read.info).toMatch(/Page size:\s+612 x 792/);
  });

  it('holds pictures that were put there, and of a wearer under age after the guardian’s second yes alone', async () => {
    const { rows } = await bench.db.query<{ id: string; wearer_id: string }>(
      `select p.id, t.wearer_id from photograph p join wash_day d on d.id = p.wash_day_id
         join trial t on t.id = d.trial_id limit 2`,
    );
    const [one, other] = rows as [(typeof rows)[0], (typeof rows)[0]];
    const with_ = report([
      { kind: 'picture', photographId: one.id, caption: 'Wash day 1' },
      { kind: 'picture', photographId: other.id, caption: 'Wash day 2' },
      { kind: 'picture', photographId: v7(), caption: 'Lost' },
    ]);
    const read = await pages(await ask(with_));
    expect(read.images).toBeGreaterThanOrEqual(2);
    expect(read.text).toContain('[A picture that could not be put in: Lost]');
    await bench.db.query(
      'update wearer set under_age = true, guardian = $2, consent_on = now() where id = $1',
      [one.wearer_id, 'Dede Okoro'],
    );
    const refused = await ask(with_);
    expect(refused.status).toBe(403);
    expect(((await refused.json()) as Problem).detail).toContain('once the guardian has said yes');
    const consent = (yes: boolean, guardian = 'Dede Okoro') =>
      bench.ask<PublishConsent & Problem>('PUT', `/api/wearers/${one.wearer_id}/publish-consent`, {
        guardian,
        yes,
      });
    expect((await consent(true, ' ')).status).toBe(422);
    expect((await consent(true)).body.given).toMatchObject({ guardian: 'Dede Okoro' });
    expect((await ask(with_)).status).toBe(200);
    // Taken back, it is refused again; both answers stay on record.
    expect((await consent(false)).body.given).toBeNull();
    expect((await ask(with_)).status).toBe(403);
    const kept = await bench.db.query('select yes from publish_consent order by said_at');
    expect(kept.rows.map(({ yes }) => yes)).toEqual([true, false]);
  });

  it('is refused in words where it is no report', async () => {
    const says = async (of: object) => {
      const answer = await ask({ ...report([]), ...of } as Report);
      return [answer.status, ((await answer.json()) as Problem).fields?.[0]?.message];
    };
    expect(await says({ title: '' })).toEqual([422, 'A report has a title.']);
    expect(await says({ disclosure: '' })).toEqual([422, 'The disclosure stands on every report.']);
    expect((await says({ blocks: [{ kind: 'nonsense' }] }))[0]).toBe(422);
    expect((await says({ blocks: Array(1001).fill({ kind: 'text', text: '' }) }))[0]).toBe(422);
    const nobody = await bench.ask<Wearer>('GET', `/api/wearers/${v7()}/publish-consent`);
    expect(nobody.status).toBe(404);
  });
});
