import { describe, expect, it } from 'vitest';
import { reportAt } from '../../engine/trades.ts';
import { formatVelocity, parseVelocity } from '../../quantities/velocity.ts';
import { fitUpSheet } from '../../sheet/sheet.ts';
import { english } from '../../testing/english.ts';
import { EVERY_KIND, upTo } from '../../testing/every-kind.ts';
import { handAt } from '../../testing/test-stand.ts';
import type { SleeveSetup } from '../../trades/sleeve-bearing/setup.ts';
import { runInLog } from './run-in-log.ts';

/** A bearing at its first hours, with the class of its machine given or not. */
function atRunIn(vibration?: 'medium-rigid' | 'large-flexible') {
  const setup = EVERY_KIND['float, whole'] as SleeveSetup;
  return upTo(handAt({ ...setup, runIn: { ...setup.runIn, vibration } }), 'runin');
}
const codes = (h: ReturnType<typeof atRunIn>) =>
  Object.fromEntries((reportAt(h.state, 'runin')?.findings ?? []).map((f) => [f.code, f.verdict]));

describe('vibration in the first hours', () => {
  it('is offered once the machine runs, not before, and read once', () => {
    const h = atRunIn();
    h.read('runin', 'ambient', 20, 'thermometer');
    expect(reportAt(h.state, 'runin')?.choices?.map((c) => c.key)).not.toContain('vibration');
    expect(() => h.read('runin', 'vibration', 1, 'vibration')).toThrow(/while the machine runs/);
    h.read('runin', 't/1', 24, 'thermometer');
    expect(reportAt(h.state, 'runin')?.choices?.map((c) => c.key)).toContain('vibration');
    h.read('runin', 'vibration', 1.2, 'vibration');
    expect(runInLog.valuesOf(reportAt(h.state, 'runin'))?.vibration).toEqual({ mmPerS: 1.2, zone: 'A' });
    expect(() => h.read('runin', 'vibration', 1.3, 'vibration')).toThrow(/Withdraw it/);
  });

  it('5 mm/s stops a medium machine on a stiff base, which is taken where nobody said, not a large soft one (ISO 20816-3, from memory)', () => {
    for (const [machine, verdict] of [
      [undefined, 'reject'],
      ['medium-rigid', 'reject'],
      ['large-flexible', 'accept'],
    ] as const) {
      const h = atRunIn(machine);
      h.read('runin', 'ambient', 20, 'thermometer').read('runin', 't/1', 24, 'thermometer');
      h.read('runin', 'vibration', 5, 'vibration');
      expect(codes(h).vibration, machine).toBe(verdict);
    }
  });

  it('stands on the sheet in its unit', () => {
    const h = atRunIn('medium-rigid');
    h.read('runin', 'ambient', 20, 'thermometer').read('runin', 't/1', 24, 'thermometer');
    h.read('runin', 'vibration', 2, 'vibration');
    expect(JSON.stringify(english(fitUpSheet(h.state, 'F-1')))).toContain('2 mm/s: zone B');
  });
});

describe('a vibration as it is typed', () => {
  it.each([
    ['2.8', 'mm', 2.8],
    ['2,8 mm/s', 'in', 2.8],
    // 0.16 in/s peak: 0.16 × 25.4 / √2 = 2.874 mm/s rms.
    ['0.16', 'in', 2.8737],
    ['0.16 in/s', 'mm', 2.8737],
    ['0.16 ips', 'mm', 2.8737],
    ['4 mm/s peak', 'mm', 2.8284],
    ['0.1 in/s rms', 'mm', 2.54],
  ] as const)('%s on a sheet in %s is %d mm/s rms', (text, unit, mmPerS) => {
    const v = parseVelocity(text, unit);
    expect(v.ok && v.mmPerS).toBeCloseTo(mmPerS, 3);
  });

  it('what is none gets a sentence; and it is said back', () => {
    for (const text of ['', 'much', '-2', '2 g', '1..2'])
      expect(parseVelocity(text, 'mm')).toMatchObject({ ok: false });
    expect(formatVelocity(2.8, 'mm')).toBe('2.8 mm/s');
    expect(formatVelocity(2.8737, 'in')).toBe('0.160 in/s peak');
  });
});
