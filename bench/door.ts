import { spawn } from 'node:child_process';
import { readdirSync, readFileSync } from 'node:fs';
import { Agent, request } from 'node:https';
import { v7 } from 'uuid';
import { bareBrowser } from './bare-browser.ts';

const PORT = 4892;
const base = `http://127.0.0.1:${PORT}`;
const middle = (values: readonly number[]) => [...values].sort((a, b) => a - b)[values.length >> 1]!;
const seconds = (n: number) => new Promise((done) => setTimeout(done, n * 1000));

/** Seconds of processor that a process and every PostgreSQL on this machine have used so far. */
function processorOf(pid: number): number {
  let ticks = 0;
  for (const one of readdirSync('/proc').filter((name) => /^\d+$/.test(name)))
    try {
      const stat = readFileSync(`/proc/${one}/stat`, 'utf8');
      const [, name = '', rest = ''] = /\((.*)\) (.*)$/.exec(stat.trim()) ?? [];
      if (Number(one) !== pid && name !== 'postgres') continue;
      const parts = rest.split(' ');
      ticks += Number(parts[11]) + Number(parts[12]);
    } catch {
      // It is gone meanwhile.
    }
  return ticks / 100;
}

/** Signs a device in by a code; what it says of itself from then on. */
const signedIn = (origin: string, code: string) =>
  new Promise<string>((resolve, reject) => {
    const going = request(
      `${origin}/api/sign-in`,
      {
        method: 'POST',
        rejectUnauthorized: false,
        agent: false,
        headers: { 'content-type': 'application/json', origin },
      },
      ({ headers, statusCode }) => {
        const said = headers['set-cookie']?.map((one) => one.split(';')[0]!).join('; ');
        if (said) resolve(said);
        else reject(new Error(`The door answered ${statusCode}.`));
      },
    );
    going.once('error', reject);
    going.end(JSON.stringify({ code, device: v7(), called: 'Bench' }));
  });

/** The door to the network: signing in, opening the conductor over HTTPS from what the phone keeps, and twenty that follow one wash day. */
export async function benchDoor(): Promise<void> {
  const server = spawn(process.execPath, ['--import', 'tsx', 'e2e/serve.ts', String(PORT)], {
    stdio: 'ignore',
    env: { ...process.env, SABOR_UNCHECKED: '1' },
  });
  try {
    for (
      let i = 0;
      i < 240 &&
      !(await fetch(`${base}/healthz`).then(
        ({ ok }) => ok,
        () => false,
      ));
      i++
    )
      await seconds(0.5);
    const api = async (method: string, at: string, data?: object) => {
      const body = data
        ? { body: JSON.stringify(data), headers: { 'content-type': 'application/json' } }
        : {};
      const answer = await fetch(`${base}/api${at}`, { method, ...body });
      return answer.status === 204 ? null : answer.json();
    };
    await api('PUT', '/access/open', { open: true });
    const trials = (await api('GET', '/trials')) as { id: string; status: string }[];
    const id = v7();
    const startedAt = new Date(Date.now() - 3_600_000).toISOString();
    const day = await api('PUT', `/wash-days/${id}`, {
      trialId: trials.find(({ status }) => status === 'planned')!.id,
      startedAt,
    });
    const [step] = (day as { steps: { id: string }[] }).steps;
    const person = v7();
    await api('PUT', `/people/${person}`, { name: 'Bench', role: 'tester' });
    const invited = async () =>
      (await api('POST', `/people/${person}/invitations`, {})) as { links: string[] };

    const [link] = (await invited()).links as [string];
    const { origin } = new URL(link);
    const phone = await bareBrowser({ width: 390, height: 844 });
    const until = async (expression: string) => {
      for (let i = 0; i < 600; i++) {
        const value = await phone.value(expression);
        if (value) return value;
        await seconds(0.2);
      }
      throw new Error(`Did not come about: ${expression}`);
    };
    const HEADINGS = ['Detangle', 'Routines'];
    await phone.before(`
      const found = () => [...document.querySelectorAll('h1,h2')].find((one) => ${JSON.stringify(HEADINGS)}.includes(one.textContent));
      new MutationObserver((_, watch) => {
        if (!found()) return;
        window.shownAt = performance.now();
        watch.disconnect();
      }).observe(document, { subtree: true, childList: true });`);
    const began = performance.now();
    await phone.go(link);
    await until(`location.href === ${JSON.stringify(`${origin}/welcome`)}`);
    const signIn = performance.now() - began;
    console.log(
      `the door: a code is opened, and its device signed in       ${signIn.toFixed(0).padStart(5)} ms`,
    );
    await until(`document.body.innerText.includes('Opening without the laptop works')`);
    await phone.slow(4);
    /** `from`: another page of Sabor, or a page of nowhere, after which nothing of Sabor is in the browser's memory. */
    const open = async (at: string, from: string) => {
      const times = [];
      for (let i = 0; i < 7; i++) {
        await phone.go(from);
        await seconds(2);
        await phone.go(`${origin}${at}`);
        // Not asked while it opens: to answer takes time too.
        await seconds(3);
        times.push((await until('window.shownAt')) as number);
      }
      return middle(times);
    };
    const conductor = `/wash-days/${id}?step=${step!.id}`;
    for (const [how, from] of [
      ['kept', `${origin}/help`],
      ['kept, into an empty memory', 'about:blank'],
    ] as const) {
      const shown = await open(conductor, from);
      const plain = await open('/routines', from);
      console.log(
        `${`the conductor over HTTPS at a quarter of the speed, ${how}`.padEnd(76)} ${shown.toFixed(0).padStart(5)} ms   ${(shown / plain).toFixed(1)} × the list of routines`,
      );
    }
    await phone.close();
    // Those that follow are one device of their own.
    const cookie = await signedIn(origin, new URL((await invited()).links[0]!).hash.slice(1));

    /** How many changes twenty devices hear of in so many seconds, and the share of one processor that took. */
    const followed = async (asked: (since: string) => string, pause: number) => {
      const agent = new Agent({ keepAlive: true, rejectUnauthorized: false });
      let over = false;
      let heard = 0;
      const ask = (at: string) =>
        new Promise<string>((resolve, reject) => {
          const going = request(`${origin}/api${at}`, { agent, headers: { cookie } }, (answer) => {
            let text = '';
            answer.on('data', (part) => (text += part));
            answer.once('end', () => resolve(text));
          });
          going.once('error', reject);
          going.end();
        });
      const device = async () => {
        let since = '';
        while (!over) {
          const { pulse } = JSON.parse(await ask(`/wash-days/${id}/pulse${asked(since)}`).catch(() => '{}'));
          if (pulse && pulse !== since) {
            heard++;
            since = pulse;
            if (!over) await ask(`/wash-days/${id}?at=${encodeURIComponent(pulse)}`).catch(() => '');
          }
          if (pause) await seconds(pause);
        }
      };
      const before = processorOf(server.pid!);
      const from = performance.now();
      const all = Array.from({ length: 20 }, device);
      // Somebody conducts meanwhile: a tap every three seconds.
      for (let i = 0; i < 10; i++) {
        await seconds(3);
        await api('PATCH', `/wash-days/${id}`, { note: `tap ${i} ${pause}` });
      }
      over = true;
      const share = (processorOf(server.pid!) - before) / ((performance.now() - from) / 1000);
      agent.destroy();
      await Promise.race([Promise.all(all), seconds(5)]);
      return { share, heard };
    };
    const polled = await followed(() => '', 4);
    const live = await followed((since) => (since ? `?since=${encodeURIComponent(since)}` : ''), 0);
    console.log(
      `twenty devices follow one wash day, a tap every 3 s        ${(100 * live.share).toFixed(1).padStart(5)} % of a processor, ${live.heard} changes heard; asking every 4 s ${(100 * polled.share).toFixed(1)} %, ${polled.heard} heard`,
    );
  } finally {
    server.kill('SIGTERM');
    await new Promise((done) => server.once('exit', done));
  }
}

if (process.argv[1]?.endsWith('bench/door.ts')) await benchDoor();
