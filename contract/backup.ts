import * as v from 'valibot';

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
export interface NightlyBackup {
  folder: string | null;
  /** The newest that was written, read back and found the same. */
  last: { at: string; bytes: number } | null;
  kept: number;
  /** What went wrong the last time; null when it went well. */
  problem: string | null;
}

export interface BackupState {
  /** Nothing is stored yet: a backup may be read in. */
  empty: boolean;
  nightly: NightlyBackup;
}
