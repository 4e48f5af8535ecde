import type { Hearsay, HearsayInput, Verdict, VerdictInput } from '@sabor/contract/verdict';
import { type Stake, stakeOfAll } from '@sabor/core/shelf/products';
import { judgedWayInWords } from '@sabor/words/ways';
import type * as v from 'valibot';
import { type Client, type Db, transaction } from '../../db/pool.ts';
import { mustBeNewest } from '../../db/versions.ts';
import { atField, notFound, Refusal } from '../../http/problems.ts';

const VERDICTS = `
  select d.id, d.wearer_id as "wearerId", w.name as "wearerName", d.slot,
    case when d.product_id is not null then json_build_object('kind', 'product', 'productId', d.product_id)
      when d.line_id is not null then json_build_object('kind', 'line', 'lineId', d.line_id)
      else json_build_object('kind', 'way', 'way', d.way) end as subject,
    coalesce(p.name, l.name, d.way) as name, d.archived_at as "archivedAt", d.version,
    (select coalesce(json_agg(json_build_object('id', s.id, 'at', s.said_at, 'cause', s.cause, 'causeNote', s.cause_note,
        'content', s.content, 'rests', s.rests->'figures', 'stake', s.rests->>'stake',
        'edition', coalesce(s.rests->>'edition', ''), 'beside', s.beside) order by s.said_at desc, s.id desc), '[]')
      from verdict_said s where s.verdict_id = d.id) as said
  from verdict d join wearer w on w.id = d.wearer_id left join product p on p.id = d.product_id
    left join line l on l.id = d.line_id`;

/** A verdict by what it is about in words; a way is kept by its key. */
const named = (verdict: Verdict): Verdict =>
  verdict.subject.kind === 'way' ? { ...verdict, name: judgedWayInWords(verdict.subject.way) } : verdict;

/** Verdicts, those said last first: all, or of one product. */
export async function readVerdicts(db: Client, of: { productId?: string } = {}): Promise<Verdict[]> {
  const { rows } = await db.query<Verdict>(
    `${VERDICTS} where $1::uuid is null or d.product_id = $1
     order by (select max(said_at) from verdict_said s where s.verdict_id = d.id) desc, d.id`,
    [of.productId ?? null],
  );
  return rows.map(named);
}

export async function readVerdict(db: Client, id: string): Promise<Verdict> {
  const { rows } = await db.query<Verdict>(`${VERDICTS} where d.id = $1`, [id]);
  if (!rows[0]) throw notFound('verdict');
  return named(rows[0]);
}

type Input = v.InferOutput<typeof VerdictInput>;

/** How the tester stands to what is judged, and which edition of it: taken from the shelf, never from the sender. */
async function stakeIn(
  client: Client,
  { subject }: Input,
): Promise<{ stake: string | null; edition: string }> {
  if (subject.kind === 'way') return { stake: null, edition: '' };
  if (subject.kind === 'line') {
    const { rows } = await client.query<{ stakes: Stake[] }>(
      `select coalesce(array_agg(distinct p.stake::text) filter (where p.id is not null), '{}') as stakes
       from line l left join product p on p.line_id = l.id where l.id = $1 group by l.id`,
      [subject.lineId],
    );
    if (!rows[0]) throw atField('subject', 'This line is not on the shelf. Choose it again.');
    return { stake: stakeOfAll(rows[0].stakes), edition: '' };
  }
  const { rows } = await client.query<{ stake: string; edition: string }>(
    'select stake, edition from product where id = $1',
    [subject.productId],
  );
  if (!rows[0]) throw atField('subject', 'This product is not on the shelf. Choose it again.');
  return rows[0];
}

/** What the trials a verdict rests on truly were: blindness is the server's own to say. Throws a Refusal where one is not there, or of another head. */
async function trialsIn(client: Client, { rests, wearerId }: Input): Promise<Input['rests']> {
  if (rests === null) return null;
  const { rows } = await client.query<{ id: string; blind: boolean }>(
    'select id, blind from trial where id = any($1) and wearer_id = $2 and ended_at is not null',
    [rests.trials.map(({ trialId }) => trialId), wearerId],
  );
  const known = new Map(rows.map(({ id, blind }) => [id, blind]));
  if (rests.trials.length === 0 || rests.trials.some(({ trialId }) => !known.has(trialId)))
    throw new Refusal(422, 'A trial that this verdict rests on is not there, or is not over. Open it again.');
  return { ...rests, trials: rests.trials.map((one) => ({ ...one, blind: known.get(one.trialId)! })) };
}

/**
 * Says a verdict, or says it anew: what was said before stays, with date and cause. A repeated save of one saying changes nothing.
 * Refused (409) where another verdict is of the same thing, step and head.
 */
export async function sayVerdict(db: Db, input: Input, from: number | null): Promise<Verdict> {
  return transaction(db, async (client) => {
    const again = await client.query('select from verdict_said where id = $1 and verdict_id = $2', [
      input.said,
      input.id,
    ]);
    if (again.rows[0]) return readVerdict(client, input.id);
    await mustBeNewest(client, 'verdict', input.id, from, () => readVerdict(client, input.id));
    const wearer = await client.query('select from wearer where id = $1', [input.wearerId]);
    if (!wearer.rows[0]) throw atField('wearerId', 'Sabor has no such head. Choose it again.');
    const { stake, edition } = await stakeIn(client, input);
    const figures = await trialsIn(client, input);
    const { subject } = input;
    const [product, line, way] = [
      subject.kind === 'product' ? subject.productId : null,
      subject.kind === 'line' ? subject.lineId : null,
      subject.kind === 'way' ? subject.way : null,
    ];
    const same = await client.query<{ id: string }>(
      `select id from verdict where wearer_id = $1 and slot = $2 and product_id is not distinct from $3
         and line_id is not distinct from $4 and lower(way) is not distinct from lower($5) and id <> $6`,
      [input.wearerId, input.slot, product, line, way, input.id],
    );
    if (same.rows[0])
      throw new Refusal(
        409,
        'There is a verdict on this already, for this step and head. Say it anew there.',
      );
    const known = await client.query<{ wearerId: string; slot: string }>(
      'select wearer_id as "wearerId", slot from verdict where id = $1',
      [input.id],
    );
    if (known.rows[0]) {
      if (known.rows[0].wearerId !== input.wearerId || known.rows[0].slot !== input.slot)
        throw new Refusal(409, 'A verdict stays with its head and step. Say another there.');
      // Its version moves on, so that an edit begun before is told.
      await client.query('update verdict set archived_at = null where id = $1', [input.id]);
    } else
      await client.query(
        'insert into verdict (id, wearer_id, slot, product_id, line_id, way) values ($1, $2, $3, $4, $5, $6)',
        [input.id, input.wearerId, input.slot, product, line, way],
      );
    await client.query(
      `insert into verdict_said (id, verdict_id, cause, cause_note, content, rests, beside) values ($1, $2, $3, $4, $5, $6, $7)`,
      [
        input.said,
        input.id,
        known.rows[0] ? input.cause : 'first',
        input.causeNote,
        JSON.stringify(input.content),
        JSON.stringify({ figures, stake, edition }),
        JSON.stringify(input.beside),
      ],
    );
    return readVerdict(client, input.id);
  });
}

const HEARSAY =
  'select id, product_id as "productId", who, said, heard_on::text as "on", edition from hearsay';

export async function readHearsay(db: Client, productId: string): Promise<Hearsay[]> {
  return (await db.query<Hearsay>(`${HEARSAY} where product_id = $1 order by heard_on desc, id`, [productId]))
    .rows;
}

export async function saveHearsay(db: Db, input: v.InferOutput<typeof HearsayInput>): Promise<Hearsay[]> {
  const { rows } = await db.query('select from product where id = $1', [input.productId]);
  if (!rows[0]) throw notFound('product');
  await db.query(
    `insert into hearsay (id, product_id, who, said, heard_on, edition) values ($1, $2, $3, $4, $5, $6)
     on conflict (id) do update set who = excluded.who, said = excluded.said, heard_on = excluded.heard_on,
       edition = excluded.edition`,
    [input.id, input.productId, input.who, input.said, input.on, input.edition],
  );
  return readHearsay(db, input.productId);
}

export async function removeHearsay(db: Db, id: string): Promise<Hearsay[]> {
  const { rows } = await db.query<{ productId: string }>(
    'delete from hearsay where id = $1 returning product_id as "productId"',
    [id],
  );
  if (!rows[0]) throw notFound('remark');
  return readHearsay(db, rows[0].productId);
}
