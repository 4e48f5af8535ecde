import { createServer } from 'node:http';
import { pino } from 'pino';
import { webRoot } from '../scripts/start/build.ts';
import { createApp } from '../server/app.ts';
import { openPool } from '../server/db/pool.ts';

/** One server process on a database that is there already: made to be killed. */
const [, , databaseUrl, port] = process.argv;
const app = createApp({
  db: openPool(databaseUrl!),
  log: pino({ level: 'silent' }),
  webRoot,
  checkAnswers: true,
});
createServer(app).listen(Number(port), '127.0.0.1', () => console.log('listening'));
