import { spawnSync } from 'node:child_process';
import { root } from './install.mjs';

/** Type-checks the rooms under their rules: those that only compute without DOM or Node, web with the DOM, server with Node. */
const rooms = ['tsconfig.pure.json', 'server', 'web', 'e2e'];
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
console.log(`types: ${rooms.length - failed} of ${rooms.length} programs sound`);
process.exit(failed ? 1 : 0);
