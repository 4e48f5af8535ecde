// First stage of `npm start`: plain JavaScript, since nothing is installed yet.
import { pathToFileURL } from 'node:url';
import { installDependencies } from './install.mjs';
import { Stop, stage, tell } from './stages.mjs';

const [major, minor] = process.versions.node.split('.').map(Number);
try {
  if (major < 20 || (major === 20 && minor < 19))
    throw new Stop(
      `Sabor needs Node.js 20.19 or newer; this is ${process.versions.node}.`,
      'Install a newer Node.js.',
    );
  await stage('Dependencies', installDependencies);
  const { bundled } = await import('./bundle.mjs');
  process.setSourceMapsEnabled(true);
  const { run } = await import(pathToFileURL(await bundled('scripts/start/run.ts')).href);
  await run(process.argv.slice(2));
} catch (error) {
  tell(error);
  process.exit(1);
}
