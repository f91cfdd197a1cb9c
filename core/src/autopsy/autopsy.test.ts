import { describe, expect, it } from 'vitest';
import { failureGuides } from '../engine/trades.ts';
import { english } from '../testing/english.ts';
import { autopsy } from './autopsy.ts';
import '../trades/registry.ts';

const first = (...args: Parameters<typeof autopsy>) => autopsy(...args)[0];

describe('what came out, and why', () => {
  // Common practice, no source: how fitters read a part.
  it.each([
    [
      'a wide track where the sheet had a run-out of 0.09',
      { track: 'wide' },
      { runoutMm: 0.09 },
      200,
      'runout',
    ],
    ['a track deep on one side, gaps uneven', { track: 'one-side' }, { glandSpreadMm: 0.12 }, 200, 'square'],
    ['fine cracks, hard rings', { heat: 'cracks', oring: 'hard' }, {}, 30, 'dry'],
    ['swollen O-rings within weeks', { oring: 'swollen', moving: 'free' }, {}, 20, 'attack'],
    ['lime under the springs', { moving: 'clogged', track: 'none' }, {}, 120, 'clogged'],
    ['a clip left in', { clips: 'left', heat: 'round' }, {}, 3, 'set-wrong'],
    ['outer edges chipped, vibrating', { chips: 'outer' }, { vibrationMmPerS: 6 }, 300, 'cavitation'],
    ['an O-ring cut, leaked on the second day', { oring: 'nibbled' }, {}, 2, 'hurt'],
    [
      'even, three years old',
      { track: 'as-face', heat: 'none', chips: 'whole' },
      { runoutMm: 0.02 },
      1100,
      'worn-out',
    ],
  ] as const)('a seal: %s', (_what, seen, results, livedDays, cause) => {
    const told = first({ kind: 'face-seal', seen, results, livedDays });
    expect(told?.id).toBe(cause);
    expect(told?.likelihood).toBe('likely');
    expect(english(told?.next ?? '').length).toBeGreaterThan(20);
  });

  it.each([
    ['glazed, hardly a drop on its sheet', { inner: 'glazed' }, { dropsPerMin: 2 }, 40, 'too-tight'],
    ['joints behind each other, rings turned', { joints: 'line', outer: 'turned' }, {}, 40, 'rings-cut'],
    ['lantern past its port, bottom rings gone', { lantern: 'past', spent: 'bottom' }, {}, 200, 'lantern'],
    ['a grooved sleeve, torn rings, weeks', { sleeve: 'grooved', inner: 'torn' }, {}, 20, 'sleeve'],
  ] as const)('packing: %s', (_what, seen, results, livedDays, cause) => {
    expect(first({ kind: 'gland-rings', seen, results, livedDays })?.id).toBe(cause);
  });

  it.each([
    [
      'hot, all round, little clearance left',
      { path: 'round', colour: 'blue' },
      { residualMm: 0.015 },
      90,
      'tight',
    ],
    [
      'fretting under the sleeve, small reduction',
      { fretting: 'under-sleeve' },
      { reductionMm: 0.02 },
      300,
      'loose',
    ],
    ['a path that crosses over', { path: 'askew', grease: 'good' }, { vibrationMmPerS: 5 }, 300, 'askew'],
    ['washboard', { surface: 'fluted' }, {}, 300, 'current'],
    ['marks at the rollers’ distance', { path: 'spots' }, {}, 30, 'still'],
    ['one edge, hot', { path: 'edge', colour: 'straw', grease: 'good' }, {}, 300, 'crossed'],
    ['milky grease, rust', { grease: 'milky', surface: 'rust' }, {}, 300, 'dirt'],
    ['hardly any grease, smeared', { grease: 'little', surface: 'smeared' }, {}, 300, 'grease'],
    [
      'spalled after eight years',
      { surface: 'spalled', path: 'load-side', fretting: 'none' },
      {},
      2900,
      'fatigue',
    ],
  ] as const)('a bearing: %s', (_what, seen, results, livedDays, cause) => {
    expect(first({ kind: 'rolling-bearing', seen, results, livedDays })?.id).toBe(cause);
  });

  it('tells what speaks against, too: the same wide track on a shaft that ran true', () => {
    const true_ = autopsy({
      kind: 'face-seal',
      seen: { track: 'wide' },
      results: { runoutMm: 0.01 },
      livedDays: null,
    });
    const swing = true_.find((c) => c.id === 'runout');
    expect(swing?.likelihood).toBe('possible');
    expect(swing?.speaksAgainst.map((s) => s.from)).toEqual(['sheet']);
    expect(swing?.speaksFor.map((s) => s.words)).toEqual([{ id: 'seal.trackWiderThanFaceAll', params: {} }]);
  });

  it('tells nothing where nothing was seen', () => {
    for (const { id } of failureGuides())
      expect(autopsy({ kind: id, seen: {}, results: {}, livedDays: null })).toEqual([]);
  });
});

describe.each(failureGuides())('the guide $id', ({ questions, causes }) => {
  it('ask of what is asked: every sign names a question and an answer there is', () => {
    for (const c of causes)
      for (const s of c.signs)
        if (s.kind === 'seen') {
          const q = questions.find((x) => x.id === s.question);
          expect(q, `${c.id}: ${s.question}`).toBeDefined();
          for (const a of s.answers)
            expect(
              q?.answers.map(([id]) => id),
              `${c.id}: ${a}`,
            ).toContain(a);
        } else expect(s.over !== undefined || s.under !== undefined, c.id).toBe(true);
  });
  it('every cause can become likely by what is seen and read, and every answer speaks to some cause', () => {
    for (const c of causes) {
      const best = new Map<string, number>();
      for (const s of c.signs) {
        const key = s.kind === 'seen' ? s.question : s.kind === 'lived' ? 'life' : s.result;
        best.set(key, Math.max(best.get(key) ?? 0, s.weight));
      }
      expect(
        [...best.values()].reduce((a, b) => a + b, 0),
        c.id,
      ).toBeGreaterThanOrEqual(3);
      expect(c.signs.every((s) => s.weight !== 0 && english(s.words).length > 5)).toBe(true);
    }
    const spoken = new Set(
      causes.flatMap((c) =>
        c.signs.flatMap((s) => (s.kind === 'seen' ? s.answers.map((a) => `${s.question}:${a}`) : [])),
      ),
    );
    const silent = questions
      .flatMap((q) => q.answers.map(([a]) => `${q.id}:${a}`))
      .filter((a) => !spoken.has(a));
    // Some answers only say that it cannot be told, or rule nothing out.
    expect(silent.length).toBeLessThanOrEqual(6);
  });
});
