import { spawnSync } from 'node:child_process';
import { root } from './install.mjs';

/** Type-checks each room under its own rules: core without DOM or Node, web with the DOM, server with Node. */
const rooms = ['core', 'words', 'contract', 'reading', 'server', 'web', 'e2e'];
let failed = 0;
for (const room of rooms) {
  const done = spawnSync(process.execPath, [`${root}node_modules/typescript/bin/tsc`, '-p', room], {
    cwd: root,
    encoding: 'utf8',
  });
  if (done.status !== 0) {
    failed++;
    console.error(done.stdout + done.stderr);
  }
}
console.log(`types: ${rooms.length - failed} of ${rooms.length} rooms sound`);
process.exit(failed ? 1 : 0);
