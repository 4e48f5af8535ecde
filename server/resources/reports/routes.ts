import { PublishConsentInput, ReportInput } from '@sabor/contract/report';
import { Router } from 'express';
import type { Db } from '../../db/pool.ts';
import { parse } from '../../http/problems.ts';
import { pathId } from '../../http/with-id.ts';
import { asPdf } from './pdf.ts';
import { readPublishConsent, reportPictures, savePublishConsent } from './store.ts';

export function reportRoutes(db: Db): Router {
  const router = Router();
  router.get('/wearers/:id/publish-consent', async (request, response) => {
    response.json(await readPublishConsent(db, pathId(request, 'head')));
  });
  router.put('/wearers/:id/publish-consent', async (request, response) => {
    const input = parse(PublishConsentInput, request.body);
    response.json(await savePublishConsent(db, pathId(request, 'head'), input));
  });
  router.post('/reports/pdf', async (request, response) => {
    const { report, paper } = parse(ReportInput, request.body);
    const ids = report.blocks.flatMap((block) => (block.kind === 'picture' ? block.photographId : []));
    const bytes = await asPdf(report, paper, await reportPictures(db, ids));
    response.type('application/pdf').attachment('report.pdf').send(bytes);
  });
  return router;
}
