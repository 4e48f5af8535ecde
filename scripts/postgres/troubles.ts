import { Stop } from '../stages.mjs';

/** What PostgreSQL says when it cannot start, what that means, and what to do. The first that fits is told. */
const TROUBLES: [RegExp, string, string][] = [
  [
    /No space left on device|could not (write|extend).*No space/i,
    'The disk is full.',
    'Make room on it, then start again: nothing that was saved is lost.',
  ],
  [
    /Read-only file system/i,
    'The data folder is on a disk that cannot be written to.',
    'Make the disk writable, or choose another folder:  SABOR_DATA=<folder> npm start',
  ],
  [
    /Permission denied|wrong ownership|invalid permissions|must be owned by/i,
    'The data folder belongs to another user, or is closed to this one.',
    'Start Sabor as the user who owns the folder, or give the folder back to this one (chown -R).',
  ],
  [
    /configuration file .* contains errors|could not load .*pg_hba|invalid value for parameter|unrecognized configuration parameter/i,
    'PostgreSQL’s settings in the data folder were changed and cannot be read.',
    'The lines above name the file and line. Put it right, then start again.',
  ],
  [
    /could not (locate|find) a valid checkpoint|invalid (primary )?checkpoint|pg_control|invalid checksum|page verification failed|could not read WAL|invalid magic number|control file/i,
    'The database’s files are damaged.',
    'Keep this folder as it is. Read your last backup into a new one:  SABOR_DATA=<new folder> npm start -- --empty',
  ],
  [
    /out of memory|could not (create|map).*shared memory|could not fork/i,
    'This machine has too little memory free for the database.',
    'Close other programs, then start again.',
  ],
  [
    /Address already in use/i,
    'The database’s port was taken by another program just now.',
    'Start again: another one is chosen.',
  ],
];

/** A Stop with a true sentence for what PostgreSQL printed, its own words below. */
export function troubleIn(said: string): Stop {
  const known = TROUBLES.find(([sign]) => sign.test(said));
  return new Stop(
    `${known?.[1] ?? 'The database did not start.'}\n${said.replaceAll(/^/gm, '      ')}`,
    known?.[2] ??
      'The lines above are PostgreSQL’s own. If they do not help, read your last backup into a new folder:  SABOR_DATA=<new folder> npm start -- --empty',
  );
}
