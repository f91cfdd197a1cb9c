export type DatabaseConfig = {
  host: string;
  port: number;
  user: string;
  password: string;
  database: string;
  /** All databases of a cluster, `host` and `port` among them: each holds the same, and any may go. */
  nodes?: ReadonlyArray<{ host: string; port: number }>;
};

export type Config = {
  host: string;
  port: number;
  webDir: string;
  /** The plant's folder: photographs lie in it. */
  dataDir: string;
  version: string;
  db: DatabaseConfig;
  logLevel: string;
  /** True behind one proxy, which says who asks and whether over a secure way. Without it nobody is believed who says so. */
  proxy: boolean;
};

function need(env: NodeJS.ProcessEnv, name: string): string {
  const value = env[name];
  if (!value) throw new Error(`${name} is not set. The start script sets it; see README.`);
  return value;
}

/** `host:port, host:port`. @throws Error where one is none */
function nodesIn(text: string): Array<{ host: string; port: number }> {
  return text.split(',').map((part) => {
    const [, host, port] = /^\s*([^\s:]+):(\d{1,5})\s*$/.exec(part) ?? [];
    if (!host || !port) throw new Error(`FULCRANT_DB_NODES is host:port, host:port; not “${part.trim()}”.`);
    return { host, port: Number(port) };
  });
}

/** Database settings from the environment, as the start and test scripts set them; of a cluster, FULCRANT_DB_NODES names all. */
export function databaseConfig(env: NodeJS.ProcessEnv): DatabaseConfig {
  const nodes = env.FULCRANT_DB_NODES ? nodesIn(env.FULCRANT_DB_NODES) : null;
  return {
    host: nodes?.[0]?.host ?? '127.0.0.1',
    port: nodes?.[0]?.port ?? Number(need(env, 'FULCRANT_DB_PORT')),
    ...(nodes ? { nodes } : {}),
    user: need(env, 'FULCRANT_DB_USER'),
    password: need(env, 'FULCRANT_DB_PASSWORD'),
    database: env.FULCRANT_DB_NAME ?? 'fulcrant',
  };
}

/** Everything the server is told from outside. @throws Error naming what is missing */
export function readConfig(env: NodeJS.ProcessEnv): Config {
  return {
    host: env.HOST ?? '127.0.0.1',
    port: Number(env.PORT ?? 4170),
    webDir: env.FULCRANT_WEB ?? 'web/dist',
    dataDir: env.FULCRANT_DATA ?? '.data',
    version: env.FULCRANT_VERSION ?? '0.2.0',
    db: databaseConfig(env),
    logLevel: env.LOG_LEVEL ?? 'info',
    proxy: env.FULCRANT_PROXY === '1',
  };
}
