import * as v from 'valibot';
import { date, id } from './fields.ts';

export const BACKUP_FORMAT = 'sabor backup';

/** The whole database as one file: every table's rows as they stand. */
export const Backup = v.object(
  {
    format: v.literal(BACKUP_FORMAT, 'This file is not a Sabor backup.'),
    schema: v.pipe(v.number('This backup does not say which version wrote it.'), v.integer()),
    savedAt: v.string('This backup does not say when it was saved.'),
    tables: v.record(
      v.string(),
      v.array(v.record(v.string(), v.unknown()), 'A table in this backup is broken.'),
      'This backup holds no tables.',
    ),
  },
  'This backup is not whole: a part of it is missing.',
);
export type Backup = v.InferOutput<typeof Backup>;

/** A part of everything, to be passed on: of a head, a line or a span of days, each null for any; with its pictures or without. */
export const PackagePart = v.strictObject({
  head: v.nullable(id),
  line: v.nullable(id),
  from: v.nullable(date),
  to: v.nullable(date),
  pictures: v.boolean(),
});
export type PackagePart = v.InferOutput<typeof PackagePart>;

/** Where nightly backups go; null for none. */
export const BackupFolder = v.object({
  folder: v.nullable(
    v.pipe(
      v.string('Give the folder.'),
      v.trim(),
      v.nonEmpty('Give the folder.'),
      v.maxLength(1000, 'This path is too long.'),
    ),
  ),
});

/** The nightly backups as they stand. */
export const NightlyBackup = v.strictObject({
  folder: v.nullable(v.string()),
  /** The newest that was written, read back and found the same. */
  last: v.nullable(v.strictObject({ at: v.string(), bytes: v.number() })),
  kept: v.number(),
  /** What went wrong the last time; null when it went well. */
  problem: v.nullable(v.string()),
});
export type NightlyBackup = v.InferOutput<typeof NightlyBackup>;

export const BackupState = v.strictObject({
  /** Nothing is stored yet: a backup may be read in. */
  empty: v.boolean(),
  nightly: NightlyBackup,
});
export type BackupState = v.InferOutput<typeof BackupState>;
