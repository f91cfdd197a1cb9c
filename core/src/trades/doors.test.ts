import { describe, expect, it } from 'vitest';
import type { Setup } from '../engine/setup.ts';
import { procedureFor } from '../engine/trades.ts';
import { fitUpSheet } from '../sheet/sheet.ts';
import { english } from '../testing/english.ts';
import { EVERY_KIND, upTo } from '../testing/every-kind.ts';
import { handAt } from '../testing/test-stand.ts';
import type { BearingHand } from './sleeve-bearing/hand.ts';

/** With more than the examples ask: a drive with belts. */
const withBelts = (kind: string): Setup => {
  const setup = EVERY_KIND[kind] as Setup & { condition?: { measures: string[] } };
  const measures = [...(setup.condition?.measures ?? ['shaft']), 'belts'];
  const drive = { belts: 2, beltBy: 'note', beltSpanMm: 500, beltMassKgPerM: 0.2, beltWantedN: 320 };
  return { ...setup, condition: { ...setup.condition, measures, ...drive } } as Setup;
};
/** A job of a kind worked as far as its signature. */
const worked = (kind: string): BearingHand => {
  const setup = kind.endsWith(', with belts')
    ? withBelts(kind.replace(', with belts', ''))
    : EVERY_KIND[kind];
  if (!setup) throw new Error(`There is no ${kind}.`);
  return upTo(handAt(setup), 'sign');
};
const loosen = (step: string) => (h: BearingHand) => h.do('bolts.loosened', { step, reason: 'it weeps' });
const again = (step: string) => (h: BearingHand) => h.do('measure.repeated', { step, done: 'moved' });
const withdraw = (step: string) => (h: BearingHand) => {
  const reading = h.state.readings.findLast((r) => r.step === step && !r.withdrawn);
  if (!reading) throw new Error(`Nothing is read at ${step}.`);
  h.do('reading.withdrawn', { reading: reading.id, reason: 'misread' });
};

/** What is undone at the end of a job, and every step that must be asked for again. Common practice, no source. */
const DOORS: Array<[kind: string, what: string, act: (h: BearingHand) => unknown, opens: string[]]> = [
  ['by feelers', 'cap bolts loosened', loosen('bolts'), ['bolts', 'handturn']],
  ['by feelers', 'a last gap withdrawn', withdraw('lock'), ['lock', 'bolts', 'handturn']],
  ['by nut angle', 'its zero withdrawn', withdraw('zero'), ['zero', 'driveup', 'lock', 'bolts', 'handturn']],
  [
    'float, whole',
    'the ring moved in its seat',
    again('float'),
    ['float', 'house', 'bolts', 'carriers', 'handturn', 'start', 'runin', 'safe'],
  ],
  [
    'float, whole, with belts',
    'base bolts loosened',
    loosen('base'),
    ['base', 'load', 'belts', 'handturn', 'start', 'runin', 'safe'],
  ],
  ['by feelers, with belts', 'belts tensioned anew', again('belts'), ['belts', 'handturn']],
  ['surveyed, with belts', 'a note withdrawn', withdraw('belts'), ['belts', 'verdict']],
  [
    'float, whole',
    'base bolts loosened',
    loosen('base'),
    ['base', 'load', 'handturn', 'start', 'runin', 'safe'],
  ],
  [
    'split bearing',
    'clamp screws loosened',
    loosen('seat'),
    ['seat', 'seated', 'cage', 'cartridge', 'lower', 'bolts', 'handturn'],
  ],
  ['packed', 'a ring pulled out again', withdraw('rings'), ['rings', 'follower', 'start', 'breakin', 'safe']],
  ['plunger', 'the nut turned again', again('preload'), ['preload', 'clamp', 'start', 'proof', 'safe']],
  ['regreased', 'strokes counted anew', withdraw('strokes'), ['strokes', 'watch']],
  [
    'gear pump',
    'front plate loosened',
    loosen('frontbolts'),
    [
      'frontbolts',
      'gears',
      'clearance',
      'rear',
      'rearbolts',
      'chambers',
      'turn1',
      'drive',
      'main',
      'nut',
      'nuttorque',
      'turn2',
      'finish',
    ],
  ],
  ['gear pump', 'shaft nut loosened', loosen('nuttorque'), ['nuttorque', 'turn2', 'finish']],
  [
    'vane pump',
    'second head loosened',
    loosen('headbolts2'),
    ['headbolts2', 'thrust2', 'shimson2', 'cap2', 'capbolts2', 'turn2', 'start', 'store', 'safe'],
  ],
  ['surveyed', 'a diameter withdrawn', withdraw('shaft'), ['shaft', 'verdict']],
];

describe('what is undone opens again all that stands on it', () => {
  it.each(DOORS)('%s, %s', (kind, _what, act, opens) => {
    const h = worked(kind);
    const open = () => h.state.steps.filter((s) => s.status !== 'done' && s.id !== 'sign').map((s) => s.id);
    expect(open()).toEqual([]);
    act(h);
    const order = procedureFor(h.state.setup).steps.map((s) => s.id);
    const passed = new Set(h.state.passes.map((p) => p.step));
    expect(order.filter((id) => id !== 'sign' && !passed.has(id)).sort()).toEqual([...opens].sort());
    // Nothing goes on, least of all to the signature.
    expect(() => h.do('sheet.signed', { name: 'Asta' })).toThrow();
    // What was there stays on the sheet, with why it was opened again.
    const past = h.state.past.map((p) => p.step);
    for (const id of opens.slice(1)) expect(past, id).toContain(id);
    expect(JSON.stringify(english(fitUpSheet(h.state, 'H-0001').document))).toMatch(/it weeps|moved|misread/);
  });
});
