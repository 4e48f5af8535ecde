import type { PublishConsent } from '@sabor/contract/report';
import { v7 } from 'uuid';
import type { Db } from '../../db/pool.ts';
import { notFound, Refusal } from '../../http/problems.ts';
import { readCopy } from '../photographs/store.ts';
import { MAY_PUBLISH, SAID_NO } from '../wearers/consents.ts';

/** The newest answer of a guardian to pictures of an under-age wearer in what is published. */
export async function readPublishConsent(db: Db, wearerId: string): Promise<PublishConsent> {
  const known = await db.query('select from wearer where id = $1', [wearerId]);
  if (!known.rows[0]) throw notFound('head');
  const { rows } = await db.query<{ guardian: string; at: string; yes: boolean }>(
    `select guardian, said_at as at, yes from publish_consent where wearer_id = $1 order by said_at desc, id desc limit 1`,
    [wearerId],
  );
  const [last] = rows;
  return { given: last?.yes ? { guardian: last.guardian, at: last.at } : null };
}

export async function savePublishConsent(
  db: Db,
  wearerId: string,
  { guardian, yes }: { guardian: string; yes: boolean },
): Promise<PublishConsent> {
  await readPublishConsent(db, wearerId);
  await db.query('insert into publish_consent (id, wearer_id, guardian, yes) values ($1, $2, $3, $4)', [
    v7(),
    wearerId,
    guardian,
    yes,
  ]);
  return readPublishConsent(db, wearerId);
}

/**
 * The pictures of a report, upright and without what they said of place and maker. Throws a Refusal where one shows somebody who
 * said no to that, or somebody under age whose guardian has not said yes, and where the key of its blind trial is shut.
 */
export async function reportPictures(db: Db, ids: readonly string[]): Promise<Map<string, Buffer>> {
  const { rows } = await db.query<{ id: string; saidNo: boolean; allowed: boolean; masked: boolean }>(
    `select p.id, ${SAID_NO} as "saidNo", ${MAY_PUBLISH} as allowed, t.blind and t.key_opened_at is null as masked
     from photograph p join wash_day d on d.id = p.wash_day_id join trial t on t.id = d.trial_id
       join wearer w on w.id = t.wearer_id
     where p.id = any($1)`,
    [ids],
  );
  if (rows.some(({ saidNo }) => saidNo))
    throw new Refusal(403, 'A picture shows somebody who said no to pictures being shown to others.');
  if (rows.some(({ allowed }) => !allowed))
    throw new Refusal(
      403,
      'A picture shows a wearer under age. It may stand in a report once the guardian has said yes to that.',
    );
  if (rows.some(({ masked }) => masked))
    throw new Refusal(403, 'A picture belongs to a blind trial whose key is shut.');
  const found = new Map<string, Buffer>();
  for (const { id } of rows) {
    const { type, bytes } = await readCopy(db, id);
    if (type === 'image/jpeg' || type === 'image/png') found.set(id, bytes);
  }
  return found;
}
