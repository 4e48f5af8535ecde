import { ANSWERS } from '@sabor/contract/answers';
import type { NextFunction, Request, Response } from 'express';
import * as v from 'valibot';

/** In tests and development: an answer that is not what the contract says is a fault of ours, told at once. */
export function checkedAnswers(request: Request, response: Response, next: NextFunction): void {
  const send = response.json.bind(response);
  response.json = (body: unknown) => {
    if (response.statusCode < 400) {
      const route = `${request.method} ${String(request.route?.path)}`;
      const schema = Object.hasOwn(ANSWERS, route) ? ANSWERS[route] : undefined;
      if (!schema) throw new Error(`${route} has no row in contract/answers.ts.`);
      // As it crosses the wire: dates as text, nothing undefined.
      const { issues } = v.safeParse(schema, JSON.parse(JSON.stringify(body)));
      if (issues)
        throw new Error(
          `${route} answers otherwise than contract/answers.ts says: ${issues
            .map((issue) => `${v.getDotPath(issue)}: ${issue.expected} expected, ${issue.received} found`)
            .join('; ')}`,
        );
    }
    return send(body);
  };
  next();
}
