import { type ChildProcess, spawn, spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { freePort } from '../../../scripts/database.mjs';
import { type Cluster, startCluster } from '../cluster.mjs';
import type { Outcome } from './durability.ts';
import { Acknowledged, ask, openJob, signedIn, until, writing } from './hands.ts';

/** How long writes may stand still where a database of the cluster is lost. */
const STILL_MS = 5000;

/** A server that may use any database of the cluster, beginning with one of its own. */
function serverOf(cluster: Cluster, first: number, port: number, dataDir: string): ChildProcess {
  const { nodes } = cluster;
  const turned = nodes.map((_, i) => nodes[(first + i) % nodes.length]?.port);
  return spawn(process.execPath, ['server/dist/main.js'], {
    env: {
      ...process.env,
      ...envOf(cluster, turned, 'app'),
      PORT: String(port),
      FULCRANT_WEB: 'web/dist',
      FULCRANT_DATA: dataDir,
      LOG_LEVEL: 'fatal',
    },
    stdio: ['ignore', 'inherit', 'inherit'],
  });
}

const envOf = (cluster: Cluster, ports: ReadonlyArray<number | undefined>, who: 'owner' | 'app') => ({
  FULCRANT_DB_NODES: ports.map((p) => `127.0.0.1:${p}`).join(','),
  FULCRANT_DB_USER: cluster[who].user,
  FULCRANT_DB_PASSWORD: cluster[who].password,
});

/**
 * Three databases that hold the same, two servers over them: databases and servers are killed in turn under load, and brought back.
 * Nothing acknowledged may be lost or doubled, writes go on within seconds, and numbers of jobs go one by one.
 */
export async function clustered(rounds: number): Promise<Outcome> {
  const dataDir = mkdtempSync(join(tmpdir(), 'fulcrant-e2e-'));
  spawnSync('chmod', ['711', dataDir]);
  const cluster = await startCluster({ dataDir });
  const ports = [await freePort(), await freePort()];
  let servers: ChildProcess[] = [];
  try {
    const prepared = spawnSync(process.execPath, ['server/dist/prepare.js'], {
      env: {
        ...process.env,
        ...envOf(
          cluster,
          cluster.nodes.map((n) => n.port),
          'owner',
        ),
        FULCRANT_SERVING_USER: cluster.app.user,
        FULCRANT_DEMO: '1',
      },
      encoding: 'utf8',
    });
    if (prepared.status !== 0) throw new Error(prepared.stderr);
    servers = ports.map((port, i) => serverOf(cluster, i, port, dataDir));
    const all = ports.map((p) => `http://127.0.0.1:${p}`);
    for (const url of all)
      await until('A server', async () => (await ask(url, '/api/health'))?.status === 200);
    const [at] = all as [string];
    const asta = await signedIn(at, 'Asta');
    const bram = await signedIn(all[1] ?? at, 'Bram');
    const acknowledged = new Acknowledged();
    const numbers: number[] = [];
    const jobs: string[] = [];
    const opening = async (round: number) => {
      // Now by the one server, now by the other.
      const turned = round % 2 === 0 ? all : [...all].reverse();
      const { jobId, number, opened } = await openJob(() => turned, asta);
      acknowledged.add(jobId, [opened]);
      numbers.push(Number(number.replace(/\D/g, '')));
      return jobId;
    };
    for (let i = 0; i < 3; i++) jobs.push(await opening(i));
    // Each hand begins at its own server, and goes to the other where that one does not answer.
    let turn = 0;
    const urls = () => (turn++ % 2 === 0 ? all : [...all].reverse());
    const load = writing(urls, [asta, bram, asta, bram], jobs, acknowledged);
    const still: number[] = [];
    const wrong: string[] = [];
    for (let round = 0; round < rounds; round++) {
      const before = acknowledged.count;
      await until('Load', () => acknowledged.count > before + 20);
      acknowledged.silence();
      const node = round % 4 === 3 ? null : cluster.nodes[round % 4];
      const server = round % 2;
      if (node) await node.kill();
      else servers[server]?.kill('SIGKILL');
      const after = acknowledged.count;
      await until('Writes after a loss', () => acknowledged.count > after + 10, 30_000);
      const silent = acknowledged.silence();
      still.push(silent);
      if (silent > STILL_MS) wrong.push(`Writes stood still for ${silent} ms.`);
      if (node) await node.start();
      else servers[server] = serverOf(cluster, server, ports[server] ?? 0, dataDir);
      await opening(round);
    }
    await load.stop();
    // Every database tells the same.
    let [lost, doubled] = [0, 0];
    for (const url of all) {
      await until('A server', async () => (await ask(url, '/api/health'))?.status === 200);
      const told = await acknowledged.compared(url, asta.cookie);
      lost += told.lost;
      doubled += told.doubled;
    }
    const gaps = numbers.slice(1).map((n, i) => n - (numbers[i] ?? 0));
    if (lost + doubled > 0) wrong.push(`${lost} lost, ${doubled} doubled.`);
    if (gaps.some((g) => g < 1 || g > 2)) wrong.push(`Numbers of jobs jump: ${numbers.join(', ')}.`);
    return {
      figures: [
        ['cluster of three, two servers; kill −9 of a database or a server', `${rounds} times`],
        ['acknowledged / lost / doubled', `${acknowledged.count} / ${lost} / ${doubled}`],
        ['writes stood still, longest (aim under 5 s)', `${(Math.max(0, ...still) / 1000).toFixed(1)} s`],
        [
          'numbers of jobs, one after the other',
          `${numbers[0]} to ${numbers.at(-1)}, steps ${[...new Set(gaps)].join(', ')}`,
        ],
      ],
      wrong,
    };
  } finally {
    for (const s of servers) s.kill('SIGKILL');
    await cluster.stop();
    rmSync(dataDir, { recursive: true, force: true });
  }
}
