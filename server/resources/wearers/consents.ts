import type { ConsentInput, Consents } from '@sabor/contract/consent';
import { v7 } from 'uuid';
import type { Client } from '../../db/pool.ts';
import { notFound, Refusal } from '../../http/problems.ts';

/** The latest that was said of a head’s pictures: rows of about, yes, by and at. `w` is the head’s row. */
const latest = (about: string) =>
  `(select c.yes from wearer_consent c where c.wearer_id = w.id and c.about = '${about}' order by c.said_at desc, c.id desc limit 1)`;

/** SQL: whether the wearer whose row is `w` said no to pictures being shown to others. */
export const SAID_NO = `not coalesce(${latest('publishing')}, true)`;

/**
 * SQL: whether pictures of the head whose row is `w` may stand in what is published: not where its wearer said no; of one
 * under age only once the guardian has said yes to that.
 */
export const MAY_PUBLISH = `(coalesce(${latest('publishing')}, true)
  and (not w.under_age or coalesce((select c.yes from publish_consent c where c.wearer_id = w.id
    order by c.said_at desc, c.id desc limit 1), false)))`;

/** What was said of a head’s pictures. Throws a Refusal where there is no such head. */
export async function readConsents(db: Client, wearerId: string): Promise<Consents> {
  const { rows } = await db.query<Consents>(
    `select ${(['pictures', 'publishing'] as const)
      .map(
        (
          about,
        ) => `(select json_build_object('yes', c.yes, 'by', c.said_by, 'at', c.said_at) from wearer_consent c
           where c.wearer_id = w.id and c.about = '${about}' order by c.said_at desc, c.id desc limit 1) as ${about}`,
      )
      .join(', ')} from wearer w where w.id = $1`,
    [wearerId],
  );
  if (!rows[0]) throw notFound('head');
  return rows[0];
}

/** Keeps one more answer. */
export async function saveConsent(
  db: Client,
  wearerId: string,
  { about, yes, by }: ConsentInput,
): Promise<Consents> {
  await readConsents(db, wearerId);
  await db.query(
    'insert into wearer_consent (id, wearer_id, about, yes, said_by) values ($1, $2, $3, $4, $5)',
    [v7(), wearerId, about, yes, by],
  );
  return readConsents(db, wearerId);
}

/** Refuses pictures and films of a head whose wearer said no to them. */
export async function mustTakePictures(db: Client, wearerId: string): Promise<void> {
  const { pictures } = await readConsents(db, wearerId);
  if (pictures?.yes === false)
    throw new Refusal(
      409,
      `${pictures.by} said on ${pictures.at.slice(0, 10)} that no more pictures are taken of this head. Ask, and note a new answer under Heads.`,
    );
}
