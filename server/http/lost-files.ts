import type { NextFunction, Request, Response } from 'express';

/**
 * Ends an answer whose file cannot be read to its end: a build made anew under a running server takes the files of the
 * one before away, and a stream's error that nobody hears would take the server with it.
 */
export function outliveLostFiles(_request: Request, response: Response, next: NextFunction): void {
  response.once('pipe', (source: NodeJS.ReadableStream) => source.once('error', () => response.destroy()));
  next();
}
