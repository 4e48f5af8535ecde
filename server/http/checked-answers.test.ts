import type { AddressInfo } from 'node:net';
import express from 'express';
import { describe, expect, it, onTestFinished } from 'vitest';
import { checkedAnswers } from './checked-answers.ts';

describe('answers held against the contract', () => {
  const app = express();
  app.use(checkedAnswers);
  app.get('/wash-days/:id/pulse', (request, response) =>
    response.json(
      request.params.id === 'more' ? { pulse: '1', waited: false, seed: 7 } : { pulse: '1', waited: false },
    ),
  );
  app.get('/unknown', (_request, response) => response.json([]));
  app.use(((error: Error, _request, response, _next) => {
    response.status(500).send(error.message);
  }) satisfies express.ErrorRequestHandler);

  it('lets through what the contract says, and tells what it does not', async () => {
    const server = app.listen(0, '127.0.0.1');
    onTestFinished(() => void server.close());
    await new Promise((resolve) => server.once('listening', resolve));
    const read = async (path: string) => {
      const answer = await fetch(`http://127.0.0.1:${(server.address() as AddressInfo).port}${path}`);
      return [answer.status, await answer.text()];
    };
    expect(await read('/wash-days/one/pulse')).toEqual([200, '{"pulse":"1","waited":false}']);
    expect(await read('/wash-days/more/pulse')).toEqual([
      500,
      expect.stringMatching(/^GET \/wash-days\/:id\/pulse answers otherwise .*: seed: /),
    ]);
    expect(await read('/unknown')).toEqual([500, 'GET /unknown has no row in contract/answers.ts.']);
  });
});
