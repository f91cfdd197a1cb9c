import { describe, expect, it } from 'vitest';
import type { Setup } from '../../engine/setup.ts';
import { procedureFor, setupSchema } from '../../engine/trades.ts';
import { boxesOf, openingFor } from '../../job/opening.ts';
import { fromForm, toForm } from '../../job/setup-form.ts';
import { check } from '../../judgement/sentences.ts';
import { fitUpSheet } from '../../sheet/sheet.ts';
import { HOUSINGS } from '../../steps/bearing/fitting-parts.ts';
import { english } from '../../testing/english.ts';
import { workAll } from '../../testing/every-kind.ts';
import { handAt } from '../../testing/test-stand.ts';
import { example } from './example.ts';
import { sleeveBearingTrade } from './index.ts';
import type { SleeveSetup } from './setup.ts';

const METHODS = {
  feelers: example.setups['by feelers'],
  'nut angle': example.setups['by nut angle'],
  'hydraulic nut': {
    ...example.setups['by hydraulic nut'],
    driveUp: { school: 'hydraulic', indicator: 'away' },
  },
  'two nuts': example.setups['by hydraulic nut'],
} as Record<string, SleeveSetup>;

const FLOAT = { spanMm: 1400, shaftOverBaseK: 30 };

/** Every kind of housing by every method, fixed and float, and with the shaft ending in it. */
const cells = Object.keys(HOUSINGS).flatMap((housing) =>
  Object.keys(METHODS).flatMap((method) =>
    (['fixed', 'float'] as const).flatMap((role) =>
      [false, true].map((endCover) => ({
        housing: housing as keyof typeof HOUSINGS,
        method,
        role,
        endCover,
      })),
    ),
  ),
);

/** Answers nobody could give truly: of a cap where there is none, of another method’s tools. */
function falseFor({ housing, method, endCover }: (typeof cells)[number], asks: string): string[] {
  const wrong: RegExp[] = [];
  if (housing !== 'split') wrong.push(/\bcap\b/i, /both halves/i, /joint seal strip/i);
  if (housing !== 'take-up') wrong.push(/frame from end to end/i);
  if (!endCover) wrong.push(/end cover/i);
  if (method === 'feelers' || method === 'nut angle') wrong.push(/pump\b|hose|piston/i);
  if (method !== 'two nuts') wrong.push(/dismount nut/i);
  return wrong.flatMap((w) => asks.match(w) ?? []);
}

describe.each(cells)('$housing, $method, $role, end cover $endCover', (cell) => {
  const { housing, method, role, endCover } = cell;
  const base = METHODS[method] as SleeveSetup;
  const { boltSize: _s, boltGrade: _g, boltCount: _c, ...bare } = base;
  const setup = {
    ...(housing === 'split' ? base : bare),
    depth: 'standard',
    role,
    ...(role === 'float' ? { float: FLOAT } : {}),
    closing: {
      housing,
      order: 'room',
      seals: endCover ? 'contact' : 'labyrinth',
      rings: role === 'fixed' ? 'both' : 'none',
      endCover,
    },
    grease: { how: 'fill', school: 'by-speed' },
    baseBolts: { count: 4, friction: 'oiled', layout: 'rectangle', makerTorqueNm: 300 },
    runIn: {},
  } as unknown as Setup;

  it('opens, runs to its signature, and asks nothing that cannot be answered truly', () => {
    expect(check(setupSchema, setup)).toMatchObject({ ok: true });
    const h = workAll(handAt(setup));
    expect(h.state.signed).not.toBeNull();
    const asks = english(procedureFor(setup).steps.flatMap((s) => (s.items ?? []).map((i) => i.ask))).join(
      '\n',
    );
    expect(falseFor(cell, asks)).toEqual([]);
    // Nothing had to be skipped with a reason on the way.
    expect(h.state.answers.every((a) => a.answer === 'yes')).toBe(true);
    expect(JSON.stringify(english(fitUpSheet(h.state, 'F-1').document))).not.toMatch(/undefined|NaN/);
  });

  it('its form, filled as it is shown, opens the same job', () => {
    const start = openingFor(sleeveBearingTrade, { place: null, rules: undefined, stamp: '22220 K' }).start;
    const values = toForm(sleeveBearingTrade, { ...start, ...setup, driveUp: base.driveUp }, 'mm');
    expect(boxesOf(sleeveBearingTrade, values, {}).open.map((f) => f.name)).toEqual([]);
    const read = fromForm(sleeveBearingTrade, values, 'mm');
    expect('faults' in read ? english(read.faults) : {}).toEqual({});
  });
});
