import { spawnSync } from 'node:child_process';
import { copyFileSync, mkdtempSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { createConfig, lintFromString } from '@redocly/openapi-core';
import openapiTS, { astToString } from 'openapi-typescript';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { ROUTES } from '../../../server/src/http/app.ts';
import { openApi } from '../../../server/src/http/openapi.ts';

const TSC = join(dirname(createRequire(import.meta.url).resolve('typescript/package.json')), 'bin/tsc');
const described = openApi(ROUTES, '0.0.0-test');
let at: string;

beforeAll(async () => {
  at = mkdtempSync(join(tmpdir(), 'fulcrant-client-'));
  // What a client imports is found from here.
  symlinkSync(join(import.meta.dirname, '../../../node_modules'), join(at, 'node_modules'));
  writeFileSync(join(at, 'api.ts'), astToString(await openapiTS(described as never)));
  copyFileSync(join(import.meta.dirname, 'example.ts'), join(at, 'example.ts'));
});
afterAll(() => rmSync(at, { recursive: true, force: true }));

/** What the compiler says of a file beside the types made. */
const compiled = (file: string): string =>
  spawnSync(
    process.execPath,
    [
      TSC,
      ...['--noEmit', '--strict', '--skipLibCheck', '--allowImportingTsExtensions'],
      ...['--module', 'esnext', '--moduleResolution', 'bundler', '--target', 'es2022', '--lib', 'es2022,dom'],
      join(at, file),
    ],
    { cwd: at, encoding: 'utf8' },
  ).stdout;

describe('the description of the API', () => {
  it('has no error by the usual rules of a linter, and every operation a summary', async () => {
    const config = await createConfig({ extends: ['recommended'] });
    const problems = await lintFromString({ source: JSON.stringify(described), config });
    expect(problems.filter((p) => p.severity === 'error').map((p) => `${p.ruleId}: ${p.message}`)).toEqual(
      [],
    );
  });

  it('would be found wrong where a summary is missing: the linter looks', async () => {
    const config = await createConfig({ extends: ['recommended'] });
    const source = JSON.stringify(described).replace(/"summary":"[^"]*",/, '');
    const problems = await lintFromString({ source, config });
    expect(problems.filter((p) => p.severity === 'error').map((p) => p.ruleId)).toContain(
      'operation-summary',
    );
  });

  it('gives types a small client compiles against', () => {
    expect(compiled('example.ts')).toBe('');
  });

  it('gives types a wrong client does not compile against: a field, a state and a path there is not', () => {
    const wrong = readFileSync(join(at, 'example.ts'), 'utf8')
      .replace('j.machine', 'j.engine')
      .replace("state: 'open'", "state: 'lost'")
      .replace("'/api/instruments'", "'/api/tools'");
    writeFileSync(join(at, 'wrong.ts'), wrong);
    const says = compiled('wrong.ts');
    for (const part of ["'engine'", '"lost"', '"/api/tools"']) expect(says).toContain(part);
  });
});
