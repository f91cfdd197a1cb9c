import { type ChildProcess, spawn, spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmdirSync, writeFileSync } from 'node:fs';
import { databaseEnv, freePort, runningDatabase } from '../../../scripts/database.mjs';
import { until } from './hands.ts';

/** The house as its users start it, with all that keeps it up. */
export class Started {
  said = '';
  private constructor(
    private readonly start: ChildProcess,
    readonly url: string,
    readonly port: number,
    readonly dataDir: string,
  ) {
    for (const stream of [start.stdout, start.stderr]) stream?.on('data', (d) => (this.said += d));
  }

  /** @param before set before the start command: what it is run under */
  static async at(dataDir: string, env: NodeJS.ProcessEnv = {}): Promise<Started> {
    const port = await freePort();
    const child = spawn(process.execPath, ['scripts/start.mjs'], {
      env: { ...process.env, ...env, PORT: String(port), FULCRANT_DATA: dataDir },
      stdio: ['ignore', 'pipe', 'pipe'],
    });
    const house = new Started(child, `http://127.0.0.1:${port}`, port, dataDir);
    await until('The house', () => house.said.includes('Fulcrant is at'), 120_000).catch((error) => {
      throw new Error(`${error.message}\n${house.said}`);
    });
    return house;
  }

  /** Its server or its database, by process number. */
  pid(which: 'server' | 'database'): number {
    return which === 'server'
      ? pidOf('server/dist/main.js', `PORT=${this.port}\0`)
      : pidOf('mariadbd', this.dataDir);
  }

  async stop(): Promise<void> {
    const gone = new Promise((done) => this.start.once('exit', done));
    this.start.kill('SIGTERM');
    await gone;
  }
}

/** The process that holds a word in its command line and this folder or port in its environment. @throws where there is none */
export function pidOf(word: string, where: string): number {
  const found = spawnSync('pgrep', ['-f', word], { encoding: 'utf8' }).stdout.split('\n').filter(Boolean);
  const mine = found.find((pid) => {
    const proc = `/proc/${pid}`;
    try {
      return `${readFileSync(`${proc}/cmdline`)}${readFileSync(`${proc}/environ`)}`.includes(where);
    } catch {
      return false;
    }
  });
  if (!mine) throw new Error(`No process ${word}.`);
  return Number(mine);
}

/** Memory a process holds, MB, and files it has open. */
export function held(pid: number): { mb: number; files: number } {
  const status = readFileSync(`/proc/${pid}/status`, 'utf8');
  const files = spawnSync('ls', [`/proc/${pid}/fd`], { encoding: 'utf8' }).stdout.split('\n').length - 1;
  return { mb: Number(/VmRSS:\s+(\d+)/.exec(status)?.[1] ?? 0) / 1024, files };
}

/** Walk every chain and sheet of a plant that runs. @returns whether all holds, and what was said */
export function verified(dataDir: string): { holds: boolean; said: string } {
  const db = runningDatabase(dataDir);
  if (!db) return { holds: false, said: 'No database runs there.' };
  const walked = spawnSync(process.execPath, ['server/dist/verify.js'], {
    env: { ...process.env, ...databaseEnv(db, 'app'), FULCRANT_DATA: dataDir },
    encoding: 'utf8',
  });
  return { holds: walked.status === 0, said: `${walked.stdout}${walked.stderr}`.trim() };
}

/** Seconds of a core a process has used so far. */
export function cpuOf(pid: number): number {
  // After the name, which may hold blanks: user and system time are the 12th and 13th, in hundredths.
  const fields = readFileSync(`/proc/${pid}/stat`, 'utf8').split(') ')[1]?.split(' ') ?? [];
  return (Number(fields[11]) + Number(fields[12])) / 100;
}

const CPU_GROUPS = '/sys/fs/cgroup/cpu';

/**
 * Hold a process to a share of one core, as on a machine that has others for the rest.
 * @returns what lets it go again; null where this may not be done here
 */
export function heldTo(pid: number, share: number): (() => void) | null {
  const group = `${CPU_GROUPS}/fulcrant-${pid}`;
  try {
    if (!existsSync(CPU_GROUPS)) return null;
    mkdirSync(group);
    writeFileSync(`${group}/cpu.cfs_period_us`, '20000');
    writeFileSync(`${group}/cpu.cfs_quota_us`, String(Math.round(20_000 * share)));
    writeFileSync(`${group}/cgroup.procs`, String(pid));
  } catch {
    return null;
  }
  return () => {
    try {
      writeFileSync(`${CPU_GROUPS}/cgroup.procs`, String(pid));
      rmdirSync(group);
    } catch {
      // The process is gone, and its group with it.
    }
  };
}
