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
