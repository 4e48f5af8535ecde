import { spawnSync } from 'node:child_process';
import { root } from './install.mjs';

/**
 * Type-checks the rooms under their rules: those that only compute without DOM or Node, web with the DOM, server with Node.
 * Each is read once: whoever stands on it reads what it declares (`node_modules/.types`), and what has not changed since is not
 * read again. One checker: TypeScript's four take twice the work, each learning the same types.
 */
const done = spawnSync(
  process.execPath,
  [`${root}node_modules/typescript/bin/tsc`, '-b', 'tsconfig.rooms.json', '--checkers', '1'],
  { cwd: root, stdio: 'inherit' },
);
console.log(`types: ${done.status === 0 ? 'sound' : 'not sound'}`);
process.exit(done.status === 0 ? 0 : 1);
