import { describe, expect, it } from 'vitest';
import { check } from '../judgement/sentences.ts';
import { english } from '../testing/english.ts';
import { EVERY_KIND, workAll } from '../testing/every-kind.ts';
import { handAt, step } from '../testing/test-stand.ts';
import { packing } from '../trades/packing/example.ts';
import { clampSplit } from '../trades/seal/example.ts';
import type { SealSetup } from '../trades/seal/setup.ts';
import { wornSeal } from '../trades/seal-wear/example.ts';
import { floatWhole } from '../trades/sleeve-bearing/example.ts';
import type { SleeveSetup } from '../trades/sleeve-bearing/setup.ts';
import { split } from '../trades/split-bearing/example.ts';
import type { SplitSetup } from '../trades/split-bearing/setup.ts';
import { lackingHere } from './here.ts';
import type { Setup } from './setup.ts';
import { procedureFor, setupSchema } from './trades.ts';
import { unworkable } from './workable.ts';

/** What each kind of input did when it was first met: a job was opened that could not be worked, or torn open again. */
const faults = (setup: object): string => {
  const checked = check(setupSchema, setup);
  return checked.ok ? '' : checked.faults.map((f) => `${f.path}: ${english(f.message)}`).join(' ');
};
const works = (setup: Setup) => {
  expect(faults(setup)).toBe('');
  expect(unworkable(setup)).toBeNull();
  expect(workAll(handAt(setup)).state.signed).not.toBeNull();
};

describe('what a schema lets through can be worked', () => {
  it.each([
    [0, 0],
    [0, 1],
    [1, 0],
    [3, 0],
  ])('a clamp ring with %i dog and %i cup points: counts of none make the step fall away', (dogs, cups) => {
    const setup = { ...clampSplit, dogs, cups } as SealSetup;
    works(setup);
    expect(procedureFor(setup).steps.some((s) => s.id === 'screws')).toBe(dogs + cups > 0);
  });

  it('a clamp ring driven by pins alone has no drive screws to have a torque', () => {
    const { screwNm: _, ...pinned } = { ...clampSplit, dogs: 0, cups: 0 };
    expect(faults(pinned)).toBe('');
    // Where there are any, the step that draws them asks for it.
    const driven = { ...pinned, cups: 2 } as SealSetup;
    const step = procedureFor(driven).steps.find((s) => s.id === 'screws');
    expect(step && lackingHere(driven, step).map((f) => f.name)).toEqual(['screwNm']);
  });

  it.each([3, 5, 6])('%i base bolts or cap bolts nobody told the layout of', (count) => {
    const { layout: _, ...bolts } = { ...floatWhole.baseBolts, count };
    works({ ...floatWhole, baseBolts: bolts } as SleeveSetup);
    const { layout: __, ...caps } = { ...split.capBolts, count };
    works({ ...split, capBolts: caps } as SplitSetup);
  });

  it('what cannot be is refused at its field', () => {
    expect(faults({ ...packing, boxDepthMm: 10 })).toMatch(/^boxDepthMm: .*not deep enough/);
    expect(faults({ ...packing, boxDepthMm: 90, lanternMm: 80 })).toMatch(/^lanternMm: /);
    expect(faults({ ...split, clampScrews: { ...split.clampScrews, count: 5, layout: 'circle' } })).toMatch(
      /^clampScrews.count: /,
    );
    // A ring of 180 × 46 round a bore of 100 weighs 6.4 kg were it all steel (7.85 kg/dm³).
    expect(faults({ ...floatWhole, grease: { ...floatWhole.grease, massKg: 6.3 } })).toBe('');
    expect(faults({ ...floatWhole, grease: { ...floatWhole.grease, massKg: 60 } })).toMatch(
      /^grease.massKg: /,
    );
  });

  it('names every object has are no kinds of job', () => {
    for (const procedure of ['constructor', 'toString', '__proto__', 'hasOwnProperty'])
      expect(faults({ ...EVERY_KIND.packed, procedure }), procedure).not.toBe('');
  });

  it('a wear that is only the last digit of an inch is no wear, and tears nothing', () => {
    // 1.2 typed as 0.047244 in comes to 1.1999976.
    const h = handAt(wornSeal).safe().read('wear', 'wear/1', 1.1999976, 'caliper');
    expect(step(h, 'wear').report?.failed).toBeUndefined();
    expect(step(h, 'wear').report?.values).toMatchObject({ dueOn: null });
  });
});
