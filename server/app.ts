import { randomBytes } from 'node:crypto';
import { readFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { constants } from 'node:zlib';
import compression from 'compression';
import express, { type Express, type Request, type Response } from 'express';
import helmet from 'helmet';
import type { Logger } from 'pino';
import { pinoHttp } from 'pino-http';
import sirv, { type Options } from 'sirv';
import { inCallersName, onlyWhatOneMay, recogniseCallers, toOnesOwnPage } from './access/gate.ts';
import type { Hosted } from './access/hosted.ts';
import { accessRoutes } from './access/routes.ts';
import type { Live } from './db/live.ts';
import type { Db } from './db/pool.ts';
import { checkedAnswers } from './http/checked-answers.ts';
import { firstFiles } from './http/first-files.ts';
import { labelReader } from './http/label-reader.ts';
import { outliveLostFiles } from './http/lost-files.ts';
import { Refusal, sendProblem, unknownRoute } from './http/problems.ts';
import { isFromNetwork, sameOriginOnly } from './http/same-origin.ts';
import type { Door } from './network/door.ts';
import type { Nightly } from './resources/backup/nightly.ts';
import { backupRoutes } from './resources/backup/routes.ts';
import { boardRoutes } from './resources/board/routes.ts';
import { calendarRoutes } from './resources/calendar/routes.ts';
import { clipRoutes } from './resources/clips/routes.ts';
import { hairFileRoutes } from './resources/hair-files/routes.ts';
import { lookRoutes } from './resources/looks/routes.ts';
import { memoRoutes } from './resources/memos/routes.ts';
import { photographRoutes } from './resources/photographs/routes.ts';
import { recipeRoutes } from './resources/recipes/routes.ts';
import { reportRoutes } from './resources/reports/routes.ts';
import { routineRoutes } from './resources/routines/routes.ts';
import { scaleRoutes } from './resources/scale/routes.ts';
import { screeningRoutes } from './resources/screening/routes.ts';
import { searchRoutes } from './resources/search/routes.ts';
import { settingsRoutes } from './resources/settings/routes.ts';
import { productPictureRoutes } from './resources/shelf/pictures.ts';
import { shelfRoutes } from './resources/shelf/routes.ts';
import { todayRoutes } from './resources/today/routes.ts';
import { trialPackageRoutes } from './resources/trial-package/routes.ts';
import { trialRoutes } from './resources/trials/routes.ts';
import { usualRoutes } from './resources/usual/routes.ts';
import { verdictRoutes } from './resources/verdicts/routes.ts';
import { checkInRoutes } from './resources/wash-days/check-in-routes.ts';
import { washDayRoutes } from './resources/wash-days/routes.ts';
import { wearerRoutes } from './resources/wearers/routes.ts';
import { weatherRoutes } from './resources/weather/routes.ts';

export interface AppOptions {
  db: Db;
  /** Hears what changes on wash days, for screens that follow one; without it they ask every few seconds. */
  live?: Live;
  log: Logger;
  /** Folder of the built web application; null serves the interface to programs alone. */
  webRoot: string | null;
  /** Where uploads wait on the disk; the system’s own place when left out. */
  scratch?: string;
  nightly?: Nightly;
  /** The door other devices come in by. */
  door?: Door;
  /** Stands behind a proxy: its requests are marked by {@link behindProxy}. */
  hosted?: Hosted;
  /** Holds every answer against the contract; for tests and development. */
  checkAnswers?: boolean;
}

const NONCE = '__SABOR_NONCE__';
/** Quick rather than small: the other end is near. */
const BROTLI = { brotli: { params: { [constants.BROTLI_PARAM_QUALITY]: 4 } } };
const isText = (_request: Request, response: Response) =>
  /json|csv/.test(String(response.getHeader('Content-Type') ?? ''));

/**
 * Whether somebody opens a page, perhaps by way of the worker that keeps pages (web/public/offline.js), and it is not asked for
 * to be kept. Source: Fetch Metadata.
 */
const opened = (request: Request) =>
  request.get('Sec-Fetch-Dest') === 'document' || request.get('Sabor-Opened') === 'yes';

/** Pictures are read in this worker, which may compile WebAssembly (decision 020); no page may, and no other worker. */
const PHOTO_WORKER = /^\/photo\.worker-[\w-]+\.js$/;
const SCRIPTS = "script-src 'self'";
const POLICY = 'Content-Security-Policy';
const ownPolicy: NonNullable<Options['setHeaders']> = (response, pathname) => {
  if (PHOTO_WORKER.test(pathname))
    response.setHeader(
      POLICY,
      String(response.getHeader(POLICY)).replace(SCRIPTS, `${SCRIPTS} 'wasm-unsafe-eval'`),
    );
};

/** Serves the built pages: hashed assets for a year, the page itself fresh, with this answer's nonce in it. */
function servePages(app: Express, webRoot: string, isHosted: boolean) {
  const page = readFileSync(path.join(webRoot, 'index.html'), 'utf8').replace(
    '__SABOR_HOSTED__',
    isHosted ? 'yes' : 'no',
  );
  const packed = { brotli: true, gzip: true, dev: false };
  app.use(outliveLostFiles);
  app.use(
    '/assets',
    sirv(path.join(webRoot, 'assets'), {
      ...packed,
      immutable: true,
      maxAge: 31_536_000,
      setHeaders: ownPolicy,
    }),
  );
  app.use('/assets', unknownRoute);
  app.use(sirv(webRoot, { ...packed, extensions: [], maxAge: 0, etag: true }));
  const first = firstFiles(path.join(webRoot, 'pages.json'));
  app.get('/{*page}', toOnesOwnPage, compression({ level: 1, ...BROTLI }), (request, response, next) => {
    if (request.path.startsWith('/api/')) return next();
    response
      .set('Cache-Control', 'no-store')
      .type('html')
      .send(
        page
          .replaceAll(NONCE, response.locals.nonce as string)
          .replace('</head>', () => `${opened(request) ? first(request.path, request.query) : ''}</head>`),
      );
  });
}

/** The whole server as an Express application, without a port. */
export function createApp({
  db,
  live,
  log,
  webRoot,
  scratch = os.tmpdir(),
  nightly,
  door,
  hosted,
  checkAnswers = false,
}: AppOptions): Express {
  const app = express();
  app.disable('x-powered-by');
  if (hosted)
    app.set(
      'trust proxy',
      hosted.proxies.split(',').map((one) => one.trim()),
    );
  // Answers are never kept: hashing each for a tag would be for nothing.
  app.set('etag', false);
  app.use(pinoHttp({ logger: log, autoLogging: { ignore: (request) => request.url === '/healthz' } }));
  app.use((_request, response, next) => {
    response.locals.nonce = randomBytes(16).toString('base64');
    next();
  });
  app.use(
    helmet({
      contentSecurityPolicy: {
        useDefaults: false,
        directives: {
          defaultSrc: ["'none'"],
          scriptSrc: ["'self'"],
          styleSrc: [
            "'self'",
            (_request, response) => `'nonce-${(response as express.Response).locals.nonce}'`,
          ],
          imgSrc: ["'self'", 'data:', 'blob:'],
          mediaSrc: ["'self'", 'blob:'],
          fontSrc: ["'self'"],
          connectSrc: ["'self'"],
          workerSrc: ["'self'"],
          manifestSrc: ["'self'"],
          baseUri: ["'none'"],
          formAction: ["'self'"],
          frameAncestors: ["'none'"],
        },
      },
      // At the door it would take away the way past a certificate that is not trusted yet. Decision 026.
      strictTransportSecurity: hosted ? { maxAge: 31_536_000, includeSubDomains: false } : false,
      referrerPolicy: { policy: 'no-referrer' },
    }),
  );
  app.use(sameOriginOnly);
  app.get('/healthz', async (request, response, next) => {
    if (isFromNetwork(request)) return next();
    try {
      await db.query('select 1');
      response.json({ program: 'Sabor', status: 'ok' });
    } catch {
      response.status(503).json({ program: 'Sabor', status: 'database unreachable' });
    }
  });
  app.use('/api', (_request, response, next) => {
    response.set('Cache-Control', 'no-store');
    next();
  });
  app.use(recogniseCallers(db));
  app.use('/api', onlyWhatOneMay);
  app.use((request, _response, next) => {
    // A name that no database text can hold is nobody’s.
    next(/%00/.test(request.url) ? new Refusal(404, 'Sabor has nothing of this name.') : undefined);
  });
  if (checkAnswers) app.use('/api', checkedAnswers);
  // Answers worth packing are; streams and files are not touched.
  app.use('/api', compression({ threshold: 4096, level: 1, filter: isText, ...BROTLI }));
  // A backup is streamed, whatever it says it is.
  app.use('/api', backupRoutes(db, scratch, nightly));
  // An afternoon without a server is some hundred taps, notes and all.
  app.use('/api/wash-days/:id/taps', express.json({ limit: '4mb' }));
  app.use('/api/day-imports/:id', express.json({ limit: '4mb' }));
  app.use('/api', express.json({ limit: '1mb' }));
  app.use('/api', inCallersName);
  for (const routes of [
    shelfRoutes,
    wearerRoutes,
    hairFileRoutes,
    routineRoutes,
    recipeRoutes,
    productPictureRoutes,
    trialRoutes,
    (own: Db) => washDayRoutes(own, live),
    lookRoutes,
    checkInRoutes,
    photographRoutes,
    clipRoutes,
    memoRoutes,
    todayRoutes,
    calendarRoutes,
    weatherRoutes,
    screeningRoutes,
    searchRoutes,
    boardRoutes,
    usualRoutes,
    verdictRoutes,
    trialPackageRoutes,
    reportRoutes,
    settingsRoutes,
  ])
    app.use('/api', routes(db));
  app.use('/api', accessRoutes(db, door));
  app.use('/api', scaleRoutes());
  app.use('/api', unknownRoute);
  app.get('/sabor-authority.crt', (_request, response) => {
    const certificate = door?.certificate();
    if (!certificate) throw new Refusal(404, 'There is no certificate yet: the door was never open.');
    response.type('application/x-x509-ca-cert').send(certificate);
  });
  app.use(labelReader());
  if (webRoot) servePages(app, webRoot, hosted !== undefined);
  app.use(unknownRoute);
  app.use(sendProblem);
  return app;
}
