import { existsSync, readFileSync } from 'node:fs';
import { CODE_MINUTES, PERSON_ROLES, type PersonRole } from '@sabor/core/access/people';
import { v7 } from 'uuid';
import { invite, readAccess, removePerson, savePerson, strikeOut } from '../server/access/people.ts';
import { openPool } from '../server/db/pool.ts';
import { clusterPaths } from './postgres/cluster.ts';
import { runningIn } from './postgres/postmaster.ts';
import { Stop, tell } from './stages.mjs';
import { dataFolder } from './start/data-folder.ts';
import { hostedFromEnvironment } from './start/hosted.ts';

const USAGE = `npm run let-in -- NAME [${Object.keys(PERSON_ROLES).join('|')}] [HEAD, for a wearer]   ·   npm run let-in -- --list   ·   npm run let-in -- --strike-out ID`;

/** The database of the Sabor that runs in this user's folder, or the one that is pointed at. */
function databaseUrl(): string {
  if (process.env.DATABASE_URL) return process.env.DATABASE_URL;
  const { data, password } = clusterPaths(dataFolder());
  const running = runningIn(data);
  if (!running || !existsSync(password))
    throw new Stop('No Sabor is running in this folder.', 'Start it first:  npm start');
  return `postgresql://sabor:${readFileSync(password, 'utf8').trim()}@127.0.0.1:${running.port}/postgres`;
}

/** Lets people in where Sabor stands behind a proxy, from the machine it runs on. */
async function letIn(args: readonly string[]): Promise<string> {
  const { hosted } = hostedFromEnvironment();
  if (!hosted)
    throw new Stop(
      'This Sabor stands behind no proxy: it lets devices in by itself.',
      'Open “Let my phone in” on its Data page, or set SABOR_ORIGIN as for npm start.',
    );
  const db = openPool(databaseUrl());
  try {
    if (args[0] === '--list') {
      const { people } = await readAccess(db);
      return people
        .map(({ id, name, role, devices }) =>
          [`${name}, ${role}  (${id})`, ...devices.map((device) => `  ${device.name}  (${device.id})`)].join(
            '\n',
          ),
        )
        .join('\n');
    }
    if (args[0] === '--strike-out' && args[1]) {
      await removePerson(db, args[1]);
      await strikeOut(db, args[1]);
      return 'Struck out.';
    }
    const [name, role = 'tester', head] = args;
    if (!name || name.startsWith('-') || !Object.hasOwn(PERSON_ROLES, role))
      throw new Stop('Who is to be let in?', USAGE);
    const { people } = await readAccess(db);
    const known = people.find((one) => one.name === name && one.role === role);
    const id = known?.id ?? v7();
    if (!known) {
      const { rows } = await db.query<{ id: string }>('select id from wearer where name = $1', [head ?? '']);
      const wearerId = role === 'wearer' ? rows[0]?.id : null;
      if (wearerId === undefined)
        throw new Stop('Which head is this wearer? Sabor has none of that name.', USAGE);
      await savePerson(db, { id, name, role: role as PersonRole, wearerId });
    }
    const { code, links } = await invite(db, id, [hosted.origin]);
    return `${links[0]}\n\nor open ${hosted.origin} and type ${code}. Good for one device and ${CODE_MINUTES} minutes.`;
  } finally {
    await db.end();
  }
}

try {
  console.log(await letIn(process.argv.slice(2)));
} catch (error) {
  tell(error);
  process.exitCode = 1;
}
