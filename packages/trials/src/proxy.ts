import { spawn, spawnSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { request } from 'node:https';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { freePort } from '../../../scripts/database.mjs';
import type { Outcome } from './durability.ts';
import { until } from './hands.ts';
import { Started } from './house.ts';

type Answer = { status: number; headers: Record<string, string | string[] | undefined>; text: string };

/** The house behind nginx with TLS, by the configuration the documents show: only names, ports and paths are put in. */
export async function behindNginx(): Promise<Outcome> {
  const apart = mkdtempSync(join(tmpdir(), 'fulcrant-e2e-'));
  const house = await Started.at(join(apart, 'data'), { FULCRANT_PROXY: '1', FULCRANT_PROCESSES: '2' });
  const [plain, secure] = [await freePort(), await freePort()];
  for (const part of ['logs', 'tmp']) mkdirSync(join(apart, part));
  const made = spawnSync(
    'openssl',
    // biome-ignore format: one option beside its value
    ['req', '-x509', '-newkey', 'rsa:2048', '-nodes', '-days', '2', '-subj', '/CN=fulcrant.example',
      '-keyout', join(apart, 'tls.key'), '-out', join(apart, 'tls.crt')],
    { encoding: 'utf8' },
  );
  if (made.status !== 0) throw new Error(made.stderr);
  const site = readFileSync('docs/running/nginx.conf', 'utf8')
    .replaceAll('127.0.0.1:4170', `127.0.0.1:${house.port}`)
    .replaceAll('127.0.0.1:4172', `127.0.0.1:${house.port + 2}`)
    .replace('listen 80;', `listen 127.0.0.1:${plain};`)
    .replace('listen 443 ssl;', `listen 127.0.0.1:${secure} ssl;`)
    .replaceAll('/etc/fulcrant/', `${apart}/`);
  const conf = join(apart, 'nginx.conf');
  writeFileSync(
    conf,
    `${process.getuid?.() === 0 ? 'user root;\n' : ''}daemon off;
pid ${apart}/nginx.pid;
error_log ${apart}/logs/error.log;
events {}
http {
  access_log off;
  ${['client_body', 'proxy', 'fastcgi', 'uwsgi', 'scgi'].map((t) => `${t}_temp_path ${apart}/tmp/${t};`).join('\n  ')}
  ${site}
}
`,
  );
  const nginx = spawn('nginx', ['-c', conf, '-p', apart], { stdio: ['ignore', 'inherit', 'inherit'] });
  const ask = (
    path: string,
    { method = 'GET', body, cookie }: { method?: string; body?: unknown; cookie?: string } = {},
  ): Promise<Answer> =>
    new Promise((done, fail) => {
      const sent = request(
        {
          host: '127.0.0.1',
          port: secure,
          path,
          method,
          rejectUnauthorized: false,
          servername: 'fulcrant.example',
          headers: {
            // What a browser says of where it comes from must not be believed.
            'x-forwarded-for': '10.66.66.66',
            ...(cookie ? { cookie } : {}),
            ...(body === undefined ? {} : { 'content-type': 'application/json' }),
          },
        },
        (response) => {
          let text = '';
          response.on('data', (d) => (text += d));
          response.on('end', () =>
            done({ status: response.statusCode ?? 0, headers: response.headers, text }),
          );
        },
      );
      sent.on('error', fail);
      sent.end(body === undefined ? undefined : JSON.stringify(body));
    });
  const wrong: string[] = [];
  const hold = (what: string, holds: boolean) => {
    if (!holds) wrong.push(what);
  };
  try {
    await until('The proxy', () =>
      ask('/api/health').then(
        (a) => a.status === 200,
        () => false,
      ),
    );
    const entered = await ask('/api/session', {
      method: 'POST',
      body: { name: 'Asta', password: 'beet-campaign' },
    });
    const set = (entered.headers['set-cookie'] ?? []) as string[];
    hold('Sign-in over TLS.', entered.status === 200);
    hold(
      'Cookies for this host and the secure way alone.',
      set.every((c) => /^__Host-/.test(c) && /; secure/i.test(c)),
    );
    hold('HSTS.', /^max-age=\d+/.test(String(entered.headers['strict-transport-security'])));
    const cookie = set.map((c) => c.split(';')[0]).join('; ');
    hold(
      'A session at both processes.',
      (await Promise.all([1, 2, 3, 4].map(() => ask('/api/session', { cookie })))).every(
        (a) => a.status === 200,
      ),
    );
    const to = await fetch(`http://127.0.0.1:${plain}/register`, { redirect: 'manual' });
    hold(
      'The plain way leads to the secure one.',
      to.status === 301 && (to.headers.get('location') ?? '').startsWith('https://'),
    );
    // Gauges of eight devices: what the hand moves is what the feed shows, whichever process it lies at.
    let pinned = 0;
    for (let i = 0; i < 8; i++) {
      const device = `trial-device-${i}-of-many`;
      const heard = await new Promise<boolean>((done) => {
        const listening = request(
          {
            host: '127.0.0.1',
            port: secure,
            path: `/api/feed/${device}?ports=angle`,
            rejectUnauthorized: false,
            headers: { cookie },
          },
          (response) => {
            let moves = Number.POSITIVE_INFINITY;
            const late = setTimeout(() => finish(false), 5000);
            const finish = (went: boolean) => {
              clearTimeout(late);
              listening.destroy();
              done(went);
            };
            response.on('error', () => undefined);
            response.on('data', (d) => {
              const seen = [...String(d).matchAll(/^id: (\d+)$/gm)].map((m) => Number(m[1]));
              if (seen.some((n) => n >= moves)) finish(true);
            });
            void ask(`/api/feed/${device}/hand`, { method: 'POST', body: { angleDeg: 45 }, cookie }).then(
              (a) => {
                moves = (JSON.parse(a.text) as { moves: number }).moves;
              },
            );
          },
        );
        listening.on('error', () => undefined);
        listening.end();
      });
      if (heard) pinned++;
    }
    hold('Feeds of gauges are pinned and flow.', pinned === 8);
    // Wrong passwords are counted by where they come from truly: all at one address.
    const guesses = [];
    for (let i = 0; i < 12; i++)
      guesses.push(
        (await ask('/api/session', { method: 'POST', body: { name: 'Bram', password: `guess ${i}` } }))
          .status,
      );
    hold(
      'Limits hold behind the proxy.',
      guesses.slice(0, 10).every((s) => s === 401) && guesses.slice(10).every((s) => s === 429),
    );
    return {
      figures: [
        ['behind nginx with TLS, two processes', `${wrong.length === 0 ? 'all' : `not: ${wrong.join(' ')}`}`],
        ['feeds that came from the process the hand moved', `${pinned} of 8`],
      ],
      wrong,
    };
  } finally {
    const gone = new Promise((done) => nginx.once('exit', done));
    nginx.kill('SIGTERM');
    await gone;
    await house.stop();
    rmSync(apart, { recursive: true, force: true });
  }
}
