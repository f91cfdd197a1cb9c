import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { formatForce, parseForce } from './force.ts';
import { formatFrequency, parseFrequency } from './frequency.ts';
import type { LengthUnit } from './length.ts';
import { formatPressure, parsePressure } from './pressure.ts';
import { formatRoughness, parseRoughness } from './roughness.ts';
import { formatTemperature, parseTemperature } from './temperature.ts';
import { formatTorque, parseTorque } from './torque.ts';
import { formatVelocity, parseVelocity } from './velocity.ts';

/** What was understood as a number; NaN where nothing was. */
const READ = {
  force: (t: string, u: LengthUnit) => number(parseForce(t, u), 'n'),
  frequency: (t: string, _u: LengthUnit) => number(parseFrequency(t), 'hertz'),
  pressure: (t: string, u: LengthUnit) => number(parsePressure(t, u), 'mpa'),
  roughness: (t: string, u: LengthUnit) => number(parseRoughness(t, u), 'um'),
  temperature: (t: string, u: LengthUnit) => number(parseTemperature(t, u), 'c'),
  torque: (t: string, u: LengthUnit) => number(parseTorque(t, u), 'nm'),
  velocity: (t: string, u: LengthUnit) => number(parseVelocity(t, u), 'mmPerS'),
};
type What = keyof typeof READ;
const number = (r: { ok: boolean }, key: string): number =>
  r.ok ? ((r as unknown as Record<string, number>)[key] ?? Number.NaN) : Number.NaN;

describe('what a gauge shows, as people type it', () => {
  // Sources: the pound is 0.45359237 kg, the inch 25.4 mm, g 9.80665 m/s², exactly (NIST SP 811, appendix B.8, from memory: 1 lbf =
  // 4.448 222 N, 1 psi = 6.894 757 kPa, 1 kgf = 9.806 65 N, 1 lbf·in = 0.112 984 8 N·m, 1 µin = 0.0254 µm).
  it.each<[What, string, LengthUnit, number]>([
    ['force', '25', 'mm', 25],
    ['force', '25', 'in', 111.20554],
    ['force', '1.2 kN', 'mm', 1200],
    ['force', '2 lbf', 'mm', 8.896443],
    ['force', '2 lbs', 'mm', 8.896443],
    ['force', '2.5 kgf', 'in', 24.516625],
    ['force', '2,5 kp', 'mm', 24.516625],
    ['frequency', '62.5 Hz', 'mm', 62.5],
    ['frequency', '62,5', 'in', 62.5],
    ['pressure', '250 bar', 'mm', 25],
    ['pressure', '1 psi', 'mm', 0.006894757],
    ['pressure', '3600', 'in', 24.821126],
    ['pressure', '3.6 ksi', 'mm', 24.821126],
    ['pressure', '250 kPa', 'in', 0.25],
    ['pressure', '2 N/mm²', 'mm', 2],
    ['pressure', '2 lbf / in2', 'mm', 0.013789515],
    ['roughness', '32 µin', 'mm', 0.8128],
    ['roughness', '32 uin', 'mm', 0.8128],
    ['roughness', '32', 'in', 0.8128],
    ['roughness', '0.8 micron', 'in', 0.8],
    ['roughness', '0,8μm', 'mm', 0.8],
    ['temperature', '212 °F', 'mm', 100],
    ['temperature', '32', 'in', 0],
    ['temperature', '−40 F', 'mm', -40],
    ['temperature', '- 5 C', 'in', -5],
    ['torque', '1 lbf·in', 'mm', 0.1129848],
    ['torque', '1 in-lb', 'mm', 0.1129848],
    ['torque', '2 kgf·m', 'mm', 19.6133],
    ['velocity', '2.8', 'mm', 2.8],
    ['velocity', '2.8 mm/s', 'in', 2.8],
    // A vibration in inches is a peak: 0.16 in/s peak is 4.064 mm/s peak, over √2.
    ['velocity', '0.16', 'in', 2.873682],
    ['velocity', '0.16 ips peak', 'mm', 2.873682],
    ['velocity', '0.1 in/s rms', 'mm', 2.54],
    ['velocity', '4 mm/s pk', 'mm', 2.828427],
  ])('%s %j on a sheet in %s', (what, text, unit, value) => {
    expect(READ[what](text, unit)).toBeCloseTo(value, 5);
  });

  it.each<[What, string]>([
    ['force', '-3 N'],
    ['force', '3 stone'],
    ['frequency', '62 rpm'],
    ['pressure', '30 inches of water'],
    ['roughness', '-0.8'],
    ['roughness', 'N6'],
    ['temperature', '300 K'],
    ['temperature', 'hot'],
    ['torque', '0'],
    ['velocity', '3 g'],
  ])('%s %j is refused', (what, text) => {
    expect(READ[what](text, 'mm')).toBeNaN();
  });

  it('nothing that can be typed throws, or is taken for a number that is none', () => {
    const typed = fc.oneof(
      fc.string({ maxLength: 30 }),
      fc.string({ unit: fc.constantFrom(...'0123456789.,+-−/ °µFCNbarpsikHzmin'), maxLength: 16 }),
    );
    fc.assert(
      fc.property(
        typed,
        fc.constantFrom(...(Object.keys(READ) as What[])),
        fc.constantFrom<LengthUnit>('mm', 'in'),
        (text, what, unit) => {
          const v = READ[what](text, unit);
          expect(Number.isNaN(v) || Number.isFinite(v)).toBe(true);
        },
      ),
      { numRuns: 3000 },
    );
  });
});

describe('what is said is read again', () => {
  // How far a number may be from the one that was said: half the last digit shown, in the unit of the sheet.
  it.each<[What, (v: number, u: LengthUnit) => string, number, number]>([
    ['force', formatForce, 0.1, 90_000],
    ['pressure', formatPressure, 0.001, 70],
    ['roughness', formatRoughness, 0.05, 12],
    ['temperature', formatTemperature, -40, 250],
    ['torque', formatTorque, 0.5, 3000],
    ['velocity', formatVelocity, 0.05, 40],
    ['frequency', (v) => formatFrequency(v), 1, 500],
  ])('%s, to its last digit, in either unit', (what, say, least, most) => {
    fc.assert(
      fc.property(
        fc.double({ min: least, max: most, noNaN: true }),
        fc.constantFrom<LengthUnit>('mm', 'in'),
        fc.constantFrom<LengthUnit>('mm', 'in'),
        (value, unit, sheet) => {
          const said = say(value, unit);
          // Its unit is said with it: on whichever sheet it is typed again, it is the same.
          const back = READ[what](said, sheet);
          const digits = /\.(\d+)/.exec(said)?.[1]?.length ?? 0;
          const one = READ[what](said.replace(/-?[\d.]+/, '1'), sheet);
          const none = what === 'temperature' ? READ[what](said.replace(/-?[\d.]+/, '0'), sheet) : 0;
          expect(Math.abs(back - value)).toBeLessThanOrEqual(0.5000001 * 10 ** -digits * (one - none));
        },
      ),
    );
  });

  it('is said with as many digits as such a gauge gives', () => {
    expect(formatForce(22.44, 'mm')).toBe('22.4 N');
    expect(formatForce(1240, 'mm')).toBe('1.2 kN');
    expect(formatForce(22.4, 'in')).toBe('5.0 lbf');
    expect(formatPressure(0.0415, 'mm')).toBe('0.042 MPa');
    expect(formatPressure(25, 'in')).toBe('3626 psi');
    expect(formatRoughness(0.8, 'in')).toBe('32 µin');
    expect(formatTemperature(99.6, 'mm')).toBe('100 °C');
    expect(formatVelocity(2.8, 'in')).toBe('0.156 in/s peak');
    expect(formatFrequency(62.04)).toBe('62 Hz');
  });
});
