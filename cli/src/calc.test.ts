import { spawnSync } from 'node:child_process';
import { describe, expect, it } from 'vitest';

const calc = (...args: string[]) =>
  spawnSync('npm', ['run', '-s', 'calc', '--', ...args], { encoding: 'utf8' });
/** npm itself may grumble about the machine's settings; what the program says is the rest. */
const said = (stderr: string) => stderr.split('\n').filter((l) => l !== '' && !l.startsWith('npm warn'));

describe('calc', () => {
  it('lists the calculators as JSON with their schemas', () => {
    const run = calc('--list');
    expect(run.status).toBe(0);
    const list = JSON.parse(run.stdout) as Array<{ id: string; title: string; input: { type: string } }>;
    expect(list.map((c) => c.id)).toEqual(
      expect.arrayContaining([
        'tolerance.iso286',
        'shaft.diameter-survey',
        'bearing.clearance-class',
        'bearing.drive-up-target',
        'bearing.drive-up-forecast',
        'bearing.lock-alignment',
        'bolting.torque',
        'bolting.sequence',
      ]),
    );
    for (const c of list) expect([typeof c.title, c.input.type]).toEqual(['string', 'object']);
  });

  it('prints a result as JSON, exit 0', () => {
    const run = calc('tolerance.iso286', '{"nominalMm":90,"designation":"h9"}');
    expect(run.status).toBe(0);
    expect(JSON.parse(run.stdout).values).toMatchObject({ lowerMm: 89.913, upperMm: 90 });
  });

  it.each([
    [['tolerance.iso286', '{"nominalMm":90}'], 'designation is missing.'],
    [['tolerance.iso286', '{bad'], 'The input is not valid JSON'],
    [['no.such', '{}'], 'There is no calculator'],
    [[], 'Usage'],
  ])('%j: one sentence on stderr, nothing on stdout, exit 2', (args, words) => {
    const run = calc(...args);
    expect(run.status).toBe(2);
    expect(run.stdout).toBe('');
    expect(said(run.stderr)).toHaveLength(1);
    expect(said(run.stderr)[0]).toContain(words);
  });
});
