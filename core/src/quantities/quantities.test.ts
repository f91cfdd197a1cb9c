import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { expr } from '../message/message.ts';
import { english } from '../testing/english.ts';
import { parseAngle, sayNutAngle } from './angle.ts';
import { formatLength, leadingPoint, lengthDigits, MM_PER_INCH, parseLength } from './length.ts';
import { len, num, say, tor } from './say.ts';
import { parseTorque, parseTorqueRange } from './torque.ts';

const mmOf = (text: string, unit: 'mm' | 'in' = 'mm') => {
  const r = parseLength(text, unit);
  return r.ok ? r.mm : Number.NaN;
};

describe('lengths as people say them', () => {
  // Source: the inch is 25.4 mm exactly. `units` 2.22: units -t '2 7|16 inch' mm → 61.9125; units -t '0.003 inch' mm → 0.0762
  it.each([
    ['2 7/16', 61.9125],
    ['2-7/16 in', 61.9125],
    ['2 7/16"', 61.9125],
    ['2⅜', 60.325],
    ['7/16', 11.1125],
    ['3 thou', 0.0762],
    ['+3 thou', 0.0762],
    ['−2 thou', -0.0508],
    ['38 µm', 0.038],
    ['38μm', 0.038],
    ['38 um', 0.038],
    ['0.077', 0.077],
    ['0,077', 0.077],
    ['89.974 mm', 89.974],
    ['5 tenths', 0.0127],
    ['1.5 cm', 15],
  ])('%s is %d mm on a metric sheet', (text, mm) => {
    expect(mmOf(text)).toBeCloseTo(mm, 9);
  });

  it('a decimal comma is metric always; a leading point follows the unit in force', () => {
    expect(mmOf(',05', 'mm')).toBeCloseTo(0.05, 9);
    expect(mmOf(',05', 'in')).toBeCloseTo(0.05, 9);
    expect(mmOf('0,25', 'in')).toBeCloseTo(0.25, 9);
    expect(mmOf('.10', 'mm')).toBeCloseTo(0.1, 9);
    expect(mmOf('.10', 'in')).toBeCloseTo(2.54, 9);
  });

  it('where both units are believable a leading point is asked about; where one is, it is that one', () => {
    const blade = (mm: number) => mm >= 0.02 && mm <= 1;
    expect(leadingPoint('.0015', blade)).toEqual({ mm: expect.closeTo(0.0381, 9) });
    expect(leadingPoint('.10', blade)).toEqual({ mm: 0.1 });
    expect(leadingPoint('.03', blade)).toEqual({
      ask: {
        id: 'quantities.couldWrite',
        params: { t: '.03', formatLength: '0.030 mm', formatLength2: '0.0300 in', replace: '0.03' },
      },
    });
    expect(leadingPoint('0.03', blade)).toBeNull();
    expect(leadingPoint('.03 in', blade)).toBeNull();
  });

  it('takes a bare number in the unit in force', () => {
    expect(mmOf('0.003', 'in')).toBeCloseTo(0.0762, 9);
    expect(mmOf('2', 'in')).toBeCloseTo(50.8, 9);
    const plain = parseLength('.0015', 'in');
    expect(plain.ok && plain.assumed).toBeUndefined();
  });

  it.each(['', 'abc', '1.2.3', '1,234.5', '3 furlongs', '1/0', '--3', '2 7/', 'NaN', '1e3'])(
    'refuses %j with a sentence',
    (text) => {
      const r = parseLength(text, 'mm');
      expect(r.ok).toBe(false);
      expect(english(!r.ok && r.message)).toMatch(/[.]$/);
    },
  );

  it('reads back what it wrote, in either unit, to its last digit', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -500, max: 500, noNaN: true }),
        fc.constantFrom('mm' as const, 'in' as const),
        (mm, unit) => {
          const back = mmOf(formatLength(mm, unit));
          expect(Math.abs(back - mm)).toBeLessThanOrEqual(
            (unit === 'mm' ? 0.0005 : 0.00005 * MM_PER_INCH) + 1e-9,
          );
        },
      ),
    );
  });

  it('never throws and never yields a number that is not one, whatever is typed', () => {
    fc.assert(
      fc.property(
        fc.string({ maxLength: 40 }),
        fc.constantFrom('mm' as const, 'in' as const),
        (text, unit) => {
          const r = parseLength(text, unit);
          if (r.ok) expect(Number.isFinite(r.mm)).toBe(true);
        },
      ),
      { numRuns: 500 },
    );
  });

  it('mixed fractions are whole plus part', () => {
    fc.assert(
      fc.property(fc.nat(40), fc.integer({ min: 1, max: 63 }), (whole, part) => {
        expect(mmOf(`${whole} ${part}/64`)).toBeCloseTo((whole + part / 64) * MM_PER_INCH, 9);
      }),
    );
  });

  it('writes no negative zero', () => {
    expect(lengthDigits(-0.0001, 'mm')).toBe('0.000');
    expect(lengthDigits(0.0762, 'in')).toBe('0.0030');
  });
});

describe('torques and angles', () => {
  // 1 lbf·ft = 1.3558179… N·m, by definition of pound, foot and standard gravity.
  it('reads a range as a sheet gives it, and asks where it runs the wrong way', () => {
    const range = (text: string, unit: 'mm' | 'in' = 'mm') => {
      const r = parseTorqueRange(text, unit);
      return r.ok ? [r.nm, r.mostNm].map((x) => (x === undefined ? null : Number(x.toFixed(2)))) : 'fault';
    };
    expect(range('35-40 lbf·ft')).toEqual([47.45, 54.23]);
    expect(range('35 – 40 ft-lb')).toEqual([47.45, 54.23]);
    expect(range('35 to 40', 'in')).toEqual([47.45, 54.23]);
    expect(range('50-60 lbf·in')).toEqual([5.65, 6.78]);
    expect(range('5-6 kgf·m')).toEqual([49.03, 58.84]);
    expect(range('47…54')).toEqual([47, 54]);
    expect(range('180')).toEqual([180, null]);
    expect(range('40-35 Nm')).toBe('fault');
    expect(range('35-x')).toBe('fault');
  });
  it('reads torques', () => {
    const nm = (t: string, u: 'mm' | 'in' = 'mm') => {
      const r = parseTorque(t, u);
      return r.ok ? r.nm : Number.NaN;
    };
    expect(nm('180')).toBe(180);
    expect(nm('180 N·m')).toBe(180);
    // units -t '133 lbf ft' 'N m' → 180.32379
    expect(nm('133 lbf·ft')).toBeCloseTo(180.32379, 4);
    expect(nm('133', 'in')).toBeCloseTo(180.32379, 4);
    // units -t '90 lbf in' 'N m' → 10.168635
    expect(nm('90 in-lb')).toBeCloseTo(10.168635, 5);
    expect(parseTorque('-5', 'mm').ok).toBe(false);
    expect(parseTorque('5 stone', 'mm').ok).toBe(false);
  });

  it('reads angles of the nut and says them as parts of a turn', () => {
    expect(parseAngle('11')).toEqual({ ok: true, deg: 11 });
    expect(parseAngle('11°')).toEqual({ ok: true, deg: 11 });
    expect(parseAngle('1/16 turn')).toEqual({ ok: true, deg: 22.5 });
    expect(parseAngle('3 eighths')).toEqual({ ok: true, deg: 135 });
    expect(parseAngle('a bit').ok).toBe(false);
    expect([0, 45, 90, 112.5, 33].map(sayNutAngle)).toEqual([
      { id: 'quantities.zero', params: {} },
      { id: 'quantities.n1Eighth', params: {} },
      { id: 'quantities.eighths', params: { n: 2 } },
      { id: 'quantities.sixteenths', params: { n: 5 } },
      '33°',
    ]);
  });
});

describe('sentences carry quantities', () => {
  it('says the same sentence in either unit', () => {
    const text = expr`least ${len(0.0254)} of ${num(0.127)}, torque ${tor(180)}`;
    expect(say(text, 'mm')).toBe('least 0.025 mm of 0.127, torque 180 N·m');
    expect(say(text, 'in')).toBe('least 0.0010 in of 0.0050, torque 133 lbf·ft');
    expect(say(len(-1.5e-7), 'mm')).toBe('0.000 mm');
  });
});
