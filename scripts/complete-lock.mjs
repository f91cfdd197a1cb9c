import { readFileSync, writeFileSync } from 'node:fs';

/**
 * Run after changing dependencies. Where the registry at hand does not carry a package's builds for other platforms,
 * npm leaves them out of the lock file and `npm ci` then refuses the file. This writes them in by name and exact
 * version, so that `npm ci` passes them over here and fetches them where they belong.
 */
const lock = JSON.parse(readFileSync('package-lock.json', 'utf8'));
const OS = {
  android: 'android',
  darwin: 'darwin',
  linux: 'linux',
  win32: 'win32',
  freebsd: 'freebsd',
  openbsd: 'openbsd',
  openharmony: 'openharmony',
  netbsd: 'netbsd',
  sunos: 'sunos',
  aix: 'aix',
};
const CPU = ['arm64', 'x64', 'ia32', 'arm', 'loong64', 'ppc64', 'riscv64', 's390x', 'mips64el', 'wasm32'];
let added = 0;
for (const [path, entry] of Object.entries(lock.packages)) {
  for (const [name, version] of Object.entries(entry.optionalDependencies ?? {})) {
    const nested = `${path}/node_modules/${name}`;
    const top = `node_modules/${name}`;
    if (lock.packages[nested] || lock.packages[top] || !/^\d/.test(version)) continue;
    const words = name.split(/[/-]/);
    const os = Object.keys(OS).find((o) => words.includes(o));
    const cpu = CPU.find((c) => words.includes(c)) ?? (words.includes('arm') ? 'arm' : undefined);
    // A WebAssembly build is for any system and so has none to be passed over by: named as one that never matches.
    lock.packages[top] = {
      version,
      ...(entry.dev ? { dev: true } : {}),
      optional: true,
      os: [os ?? 'wasi'],
      ...(cpu ? { cpu: [cpu] } : {}),
      ...(words.includes('musl') || words.includes('musleabihf') ? { libc: ['musl'] } : {}),
    };
    added++;
  }
}
lock.packages = Object.fromEntries(
  Object.entries(lock.packages).sort(([a], [b]) => (a < b ? -1 : a > b ? 1 : 0)),
);
writeFileSync('package-lock.json', `${JSON.stringify(lock, null, 2)}\n`);
console.log(`${added} platform packages written into package-lock.json`);
