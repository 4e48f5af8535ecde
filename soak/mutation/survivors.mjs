/**
 * What no test noticed: `node soak/mutation/survivors.mjs report.json …` prints the score of each folder and every mutant
 * that survived, from the reports of `npm run mutate`.
 */
import { readFileSync } from 'node:fs';
import path from 'node:path';

const folders = new Map();
for (const report of process.argv.slice(2))
  for (const [file, { source, mutants }] of Object.entries(JSON.parse(readFileSync(report, 'utf8')).files)) {
    const folder = path.dirname(file);
    const lines = source.split('\n');
    const found = folders.get(folder) ?? { killed: 0, survived: [] };
    for (const { status, location, replacement, mutatorName } of mutants) {
      if (status === 'Killed' || status === 'Timeout') found.killed++;
      if (status !== 'Survived' && status !== 'NoCoverage') continue;
      const { start, end } = location;
      const was = lines[start.line - 1].slice(
        start.column - 1,
        end.line === start.line ? end.column - 1 : undefined,
      );
      const now = replacement ? replacement.split('\n')[0].slice(0, 60) : mutatorName;
      found.survived.push(
        `${path.basename(file)}:${start.line} \`${was.slice(0, 60)}\` → \`${now}\`${status === 'NoCoverage' ? ' (no test reaches it)' : ''}`,
      );
    }
    folders.set(folder, found);
  }

for (const [folder, { killed, survived }] of folders) {
  const all = killed + survived.length;
  console.log(`## ${folder}: ${((100 * killed) / all).toFixed(1)} % of ${all} killed\n`);
  for (const one of survived) console.log(`- ${one}`);
  console.log('');
}
