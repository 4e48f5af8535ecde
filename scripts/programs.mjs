// The programs from Debian that the tests need, one after the other: a process of its own, beside what else is made ready.
import { installChromium, installPdfTools, installPostgres, installPython } from './install.mjs';
import { stage } from './stages.mjs';

try {
  await stage('PostgreSQL', installPostgres);
  await stage('Chromium', installChromium);
  await stage('Python', installPython);
  await stage('PDF tools', installPdfTools);
} catch {
  process.exit(1);
}
