import type { PersonRole } from '@sabor/core/access/people';

/** What is done on the laptop alone: who may come in, and all data at once in or out. */
const LAPTOP_ALONE = [
  'GET /access',
  'GET /access/record',
  'PUT /access/open',
  'PUT /access/passphrase',
  'PUT /people/:id',
  'DELETE /people/:id',
  'POST /people/:id/invitations',
  'DELETE /devices/:id',
  'DELETE /devices/:id/session',
  'GET /backup.zip',
  'GET /part.zip',
  'POST /import',
  'GET /backups',
  'PUT /backups',
  'POST /backups/now',
] as const;

/** What somebody needs who conducts wash days and rates, and prepares blind bottles. */
const HELPER = [
  'GET /me',
  'POST /sign-out',
  'GET /today',
  'GET /trials',
  'GET /trials/:id',
  'GET /trials/:id/key',
  'GET /trials/:id/envelope',
  'POST /trials/:id/envelope',
  'DELETE /trials/:id/envelope',
  'GET /wearers',
  'GET /wearers/:id',
  'GET /wearers/:id/file',
  'GET /wearers/:id/ghosts',
  'GET /wearers/:id/ledger',
  'GET /wearers/:id/photographs',
  'GET /wearers/:id/clips',
  'GET /wearers/:id/usual',
  'GET /wearers/:id/usual-day',
  'GET /wearers/:id/doses',
  'GET /wearers/:id/worn',
  'GET /settings',
  'GET /shelf',
  'GET /products/:id',
  'GET /product-pictures/:id/image',
  'GET /recipes',
  'GET /routines',
  'GET /routines/:id',
  'GET /own-ingredients',
  'GET /weather',
  'GET /places/:id/weather',
  'GET /calendar',
  'GET /search',
  'GET /memos',
  'PUT /memos/:id',
  'PUT /memos/:id/sound',
  'GET /memos/:id/sound',
  'PUT /memos/:id/done',
  'GET /wash-days',
  'GET /wash-days/:id',
  'GET /wash-days/:id/pulse',
  'PUT /wash-days/:id',
  'PATCH /wash-days/:id',
  'PUT /wash-days/:id/outdoors/:on',
  'POST /wash-days/:id/taps',
  'PUT /wash-days/:id/guess',
  'POST /wash-days/:id/end-wear',
  'POST /wash-days/:id/reopen-wear',
  'PUT /check-ins/:id',
  'PUT /events/:id',
  'DELETE /events/:id',
  'GET /photographs/:id',
  'PUT /photographs/:id',
  'PUT /photographs/:id/bytes',
  'GET /photographs/:id/image',
  'GET /photographs/:id/original',
  'PUT /photographs/:id/measured',
  'DELETE /photographs/:id',
  'PUT /clips/:id',
  'GET /clips/:id/film',
  'DELETE /clips/:id',
  'PUT /products/:id/calibrations/:measure',
  'GET /scale/stream',
  'POST /scale/tare',
  'POST /scale/put',
  'POST /scale/fault',
] as const;

/** What somebody needs who looks at hair and rates it, and is told nothing else. */
const RATER = ['GET /me', 'POST /sign-out', 'GET /looks', 'PUT /looks/:id'] as const;

/** What a wearer needs for their own head; the routes hold each id against it. */
const WEARER = [
  ...RATER,
  'GET /own',
  'PUT /own/consents',
  'DELETE /own/pictures',
  'DELETE /own/photographs/:id',
  'DELETE /own/clips/:id',
  'PUT /photographs/:id',
  'PUT /photographs/:id/bytes',
  'GET /photographs/:id/image',
  'GET /clips/:id/film',
] as const;

/** What a tester's own phone is not told: the key of a blind trial is shown where bottles are prepared, by somebody else. */
const NOT_THE_TESTERS = ['GET /trials/:id/key'] as const;

/** Segments of a route; a named one stands for any. */
const patternOf = (route: string): RegExp =>
  new RegExp(`^${route.replace(/\/:\w+/g, '/[^/]+').replace(' ', ' (?:/api)?')}/?$`, 'i');

const laptop = LAPTOP_ALONE.map(patternOf);
const notTheTesters = NOT_THE_TESTERS.map(patternOf);
const allowed = {
  helper: HELPER.map(patternOf),
  rater: RATER.map(patternOf),
  wearer: WEARER.map(patternOf),
} satisfies Record<Exclude<PersonRole, 'tester'>, RegExp[]>;

/** The routes that the table names, for the tests and docs/security.md. */
export const RIGHTS = { LAPTOP_ALONE, HELPER, RATER, WEARER, NOT_THE_TESTERS } as const;

/** Whether somebody with this role may ask this from another device. `path` without its query. */
export function mayAsk(role: PersonRole, method: string, path: string): boolean {
  // HEAD tells what GET tells, without its body.
  const asked = `${method === 'HEAD' ? 'GET' : method} ${path}`;
  if (laptop.some((pattern) => pattern.test(asked))) return false;
  const held = (patterns: readonly RegExp[]) => patterns.some((pattern) => pattern.test(asked));
  return role === 'tester' ? !held(notTheTesters) : held(allowed[role]);
}
