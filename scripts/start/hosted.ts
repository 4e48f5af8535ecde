import type { Hosted } from '../../server/access/hosted.ts';
import { originProblem } from '../../server/access/hosted.ts';
import { Stop } from '../stages.mjs';

const LOOP = new Set(['127.0.0.1', '::1', 'localhost']);

/**
 * How Sabor stands behind a proxy, from the environment; null where it is this machine's own. Throws a Stop where it would
 * stand open on a network.
 */
export function hostedFromEnvironment(
  { SABOR_ORIGIN, SABOR_LISTEN = '127.0.0.1', SABOR_PROXY = 'loopback' }: NodeJS.ProcessEnv = process.env,
): { listen: string; hosted: Hosted | null } {
  if (SABOR_ORIGIN === undefined) {
    if (!LOOP.has(SABOR_LISTEN))
      throw new Stop(
        `Sabor does not listen at ${SABOR_LISTEN}: whoever reaches it there could read and change everything.`,
        'Name the address people open, and everybody signs in:  SABOR_ORIGIN=https://… npm start   (docs/hosting.md)',
      );
    return { listen: SABOR_LISTEN, hosted: null };
  }
  const problem = originProblem(SABOR_ORIGIN);
  if (problem)
    throw new Stop(
      `SABOR_ORIGIN=${SABOR_ORIGIN} is not the address people open. ${problem}`,
      'For example:  SABOR_ORIGIN=https://sabor.example npm start',
    );
  return { listen: SABOR_LISTEN, hosted: { origin: SABOR_ORIGIN, proxies: SABOR_PROXY } };
}
