import { describe, expect, it } from 'vitest';
import { EVERY_KIND, upTo } from '../testing/every-kind.ts';
import { handAt } from '../testing/test-stand.ts';
import type { BearingHand } from '../trades/sleeve-bearing/hand.ts';
import type { Setup } from './setup.ts';
import { actsOn, procedureFor } from './trades.ts';

/**
 * What each act that undoes something opens again, on a job worked up to its signature: bolts loosened, a measure taken again
 * after something was done about it, an act of the trade. Common practice, no source: what the loosened part held is looked at
 * again, and after a start the machine is isolated first. Where bolts held a dimension that was set, the clips or spacers that
 * keep it are back in first.
 */
const TABLE: Readonly<Record<string, Readonly<Record<string, string>>>> = {
  'by feelers': {
    'redone shaft': 'inboard bench target fit driveup lock bolts handturn',
    'loosened bolts': 'handturn',
  },
  'by nut angle': {
    'redone shaft': 'inboard bench fit zero driveup lock bolts handturn',
    'loosened bolts': 'handturn',
  },
  'by hydraulic nut': {
    'redone shaft': 'inboard fit driveup release lock bolts handturn',
    'loosened bolts': 'handturn',
  },
  'float, whole': {
    'redone shaft':
      'safe inboard bench target fit driveup lock grease float house bolts carriers handturn start runin',
    'redone float': 'safe house bolts carriers handturn start runin',
    'loosened bolts': 'safe carriers handturn start runin',
    'loosened base': 'safe load handturn start runin',
  },
  'split bearing': {
    'redone shaft': 'race clamps axial seat seated cage cartridge lower bolts handturn',
    'loosened outer': 'grease1 cartridge lower bolts handturn',
    'redone race': 'clamps axial seat seated cage cartridge lower bolts handturn',
    'redone clamps': 'axial seat seated cage cartridge lower bolts handturn',
    'redone axial': 'seat seated cage cartridge lower bolts handturn',
    'loosened seat': 'seated cage cartridge lower bolts handturn',
    'redone seated': 'cage cartridge lower bolts handturn',
    'loosened cartridge': 'lower bolts handturn',
    'loosened bolts': 'handturn',
  },
  'split bearing, float': {
    'redone shaft': 'race clamps axial seat seated cage cartridge lower bolts handturn',
    'loosened outer': 'grease1 cartridge lower bolts handturn',
    'redone race': 'clamps axial seat seated cage cartridge lower bolts handturn',
    'redone clamps': 'axial seat seated cage cartridge lower bolts handturn',
    'redone axial': 'seat seated cage cartridge lower bolts handturn',
    'loosened seat': 'seated cage cartridge lower bolts handturn',
    'redone seated': 'cage cartridge lower bolts handturn',
    'loosened cartridge': 'lower bolts handturn',
    'loosened bolts': 'handturn',
  },
  'cartridge seal': {
    'redone shaft':
      'safe slide ports otherports impeller reach glandbolts gland-gaps screws clips reached handturn pipes ready proof',
    'redone ports':
      'safe impeller reach glandbolts gland-gaps screws clips reached handturn pipes ready proof',
    'redone reach': 'safe reached handturn pipes ready proof',
    'loosened glandbolts': 'safe impeller reach gland-gaps screws clips reached handturn pipes ready proof',
    'redone gland-gaps': 'safe screws clips reached handturn pipes ready proof',
    'loosened screws': 'safe impeller reach glandbolts gland-gaps clips reached handturn pipes ready proof',
    'redone reached': 'safe screws clips handturn pipes ready proof',
    'act move-impeller':
      'safe impeller reach glandbolts gland-gaps screws clips reached handturn pipes ready proof',
    'act centre-again':
      'safe impeller reach glandbolts gland-gaps screws clips reached handturn pipes ready proof',
    'act take-off':
      'safe parts slide ports otherports impeller reach glandbolts gland-gaps screws clips reached handturn pipes ready proof',
  },
  'cartridge seal, clips first': {
    'redone shaft':
      'safe slide otherports impeller reach glandbolts gland-gaps snug clips screws reached handturn pipes ready proof',
    'redone impeller':
      'safe reach glandbolts gland-gaps snug clips screws reached handturn pipes ready proof',
    'redone reach': 'safe reached handturn pipes ready proof',
    'loosened glandbolts':
      'safe impeller reach gland-gaps snug clips screws reached handturn pipes ready proof',
    'redone gland-gaps': 'safe clips screws reached handturn pipes ready proof',
    'loosened screws':
      'safe impeller reach glandbolts gland-gaps snug clips reached handturn pipes ready proof',
    'redone reached': 'safe clips screws handturn pipes ready proof',
    'act move-impeller':
      'safe impeller reach glandbolts gland-gaps snug clips screws reached handturn pipes ready proof',
    'act centre-again':
      'safe impeller reach glandbolts gland-gaps snug clips screws reached handturn pipes ready proof',
    'act take-off':
      'safe parts slide otherports impeller reach glandbolts gland-gaps snug clips screws reached handturn pipes ready proof',
  },
  cassette: {
    'redone shaft':
      'safe change otherports impeller reach glandbolts gland-gaps screws clips reached handturn pipes ready proof',
    'redone reach': 'safe reached handturn pipes ready proof',
    'loosened glandbolts': 'safe impeller reach gland-gaps screws clips reached handturn pipes ready proof',
    'redone gland-gaps': 'safe screws clips reached handturn pipes ready proof',
    'loosened screws': 'safe impeller reach glandbolts gland-gaps clips reached handturn pipes ready proof',
    'redone reached': 'safe screws clips handturn pipes ready proof',
    'act move-impeller':
      'safe impeller reach glandbolts gland-gaps screws clips reached handturn pipes ready proof',
    'act centre-again':
      'safe impeller reach glandbolts gland-gaps screws clips reached handturn pipes ready proof',
    'act take-off':
      'safe parts change otherports impeller reach glandbolts gland-gaps screws clips reached handturn pipes ready proof',
  },
  'component seal': {
    'redone shaft':
      'safe scribe stationary setting rotary screws collar close glandbolts gland-gaps impeller handturn pipes ready proof',
    'redone setting': 'safe screws collar close glandbolts gland-gaps impeller handturn pipes ready proof',
    'loosened screws': 'safe collar close glandbolts gland-gaps impeller handturn pipes ready proof',
    'redone collar': 'safe screws close glandbolts gland-gaps impeller handturn pipes ready proof',
    'loosened glandbolts': 'safe gland-gaps handturn pipes ready proof',
    'redone gland-gaps': 'safe handturn pipes ready proof',
    'redone impeller': 'safe handturn pipes ready proof',
    'act take-off':
      'safe parts scribe stationary setting rotary screws collar close glandbolts gland-gaps impeller handturn pipes ready proof',
  },
  'component seal, faces given': {
    'redone shaft':
      'safe scribe stationary setting rotary screws collar close glandbolts gland-gaps impeller handturn breakaway pipes ready proof',
    'redone setting':
      'safe screws collar close glandbolts gland-gaps impeller handturn breakaway pipes ready proof',
    'loosened screws':
      'safe collar close glandbolts gland-gaps impeller handturn breakaway pipes ready proof',
    'redone collar': 'safe screws close glandbolts gland-gaps impeller handturn breakaway pipes ready proof',
    'loosened glandbolts': 'safe gland-gaps handturn breakaway pipes ready proof',
    'redone gland-gaps': 'safe handturn breakaway pipes ready proof',
    'redone impeller': 'safe handturn breakaway pipes ready proof',
    'redone breakaway': 'safe pipes ready proof',
    'act take-off':
      'safe parts scribe stationary setting rotary screws collar close glandbolts gland-gaps impeller handturn breakaway pipes ready proof',
  },
  'cartridge split seal': {
    'redone shaft':
      'safe halves rotary rotaryjoint splitgaps spacers screws angles gland glandangle glandjoint tool otherports glandbolts gland-gaps handturn pipes ready proof',
    'loosened rotaryjoint':
      'safe rotary splitgaps spacers screws angles gland glandangle glandjoint tool otherports glandbolts gland-gaps handturn pipes ready proof',
    'redone splitgaps':
      'safe spacers screws angles gland glandangle glandjoint tool otherports glandbolts gland-gaps handturn pipes ready proof',
    'loosened screws':
      'safe rotary spacers angles gland glandangle glandjoint tool otherports glandbolts gland-gaps handturn pipes ready proof',
    'redone angles':
      'safe gland glandangle glandjoint tool otherports glandbolts gland-gaps handturn pipes ready proof',
    'redone glandangle': 'safe glandjoint tool otherports glandbolts gland-gaps handturn pipes ready proof',
    'loosened glandjoint':
      'safe gland glandangle tool otherports glandbolts gland-gaps handturn pipes ready proof',
    'loosened glandbolts': 'safe gland-gaps handturn pipes ready proof',
    'redone gland-gaps': 'safe handturn pipes ready proof',
    'act take-off':
      'safe parts halves rotary rotaryjoint splitgaps spacers screws angles gland glandangle glandjoint tool otherports glandbolts gland-gaps handturn pipes ready proof',
  },
  'fully split seal': {
    'redone shaft':
      'safe halves holder rotaryjoint splitgaps faces angles gland glandangle glandjoint otherports glandbolts gland-gaps placement baseline handturn pipes ready proof',
    'loosened rotaryjoint':
      'safe holder splitgaps faces angles gland glandangle glandjoint otherports glandbolts gland-gaps placement baseline handturn pipes ready proof',
    'redone splitgaps':
      'safe faces angles gland glandangle glandjoint otherports glandbolts gland-gaps placement baseline handturn pipes ready proof',
    'redone angles':
      'safe gland glandangle glandjoint otherports glandbolts gland-gaps placement baseline handturn pipes ready proof',
    'redone glandangle':
      'safe glandjoint otherports glandbolts gland-gaps placement baseline handturn pipes ready proof',
    'loosened glandjoint':
      'safe gland glandangle otherports glandbolts gland-gaps placement baseline handturn pipes ready proof',
    'loosened glandbolts': 'safe gland-gaps placement baseline handturn pipes ready proof',
    'redone gland-gaps': 'safe handturn pipes ready proof',
    'act take-off':
      'safe parts halves holder rotaryjoint splitgaps faces angles gland glandangle glandjoint otherports glandbolts gland-gaps placement baseline handturn pipes ready proof',
  },
  'fully split seal, fastened': {
    'redone shaft':
      'safe halves holder rotaryjoint splitgaps faces angles gland glandangle glandjoint otherports glandbolts gland-gaps placement baseline handturn pipes ready proof',
    'loosened rotaryjoint':
      'safe holder splitgaps faces angles gland glandangle glandjoint otherports glandbolts gland-gaps placement baseline handturn pipes ready proof',
    'redone splitgaps':
      'safe faces angles gland glandangle glandjoint otherports glandbolts gland-gaps placement baseline handturn pipes ready proof',
    'redone angles':
      'safe gland glandangle glandjoint otherports glandbolts gland-gaps placement baseline handturn pipes ready proof',
    'redone glandangle':
      'safe glandjoint otherports glandbolts gland-gaps placement baseline handturn pipes ready proof',
    'loosened glandjoint':
      'safe gland glandangle otherports glandbolts gland-gaps placement baseline handturn pipes ready proof',
    'loosened glandbolts': 'safe gland-gaps placement baseline handturn pipes ready proof',
    'redone gland-gaps': 'safe handturn pipes ready proof',
    'act take-off':
      'safe parts halves holder rotaryjoint splitgaps faces angles gland glandangle glandjoint otherports glandbolts gland-gaps placement baseline handturn pipes ready proof',
  },
  'clamped split seal': {
    'redone shaft':
      'safe unpack halves screws joined plates rotaryjoint faces stationary drawin glandbolts fixtures baseline handturn pipes ready proof',
    'loosened screws':
      'safe halves joined plates rotaryjoint faces stationary drawin glandbolts fixtures baseline handturn pipes ready proof',
    'loosened rotaryjoint':
      'safe plates faces stationary drawin glandbolts fixtures baseline handturn pipes ready proof',
    'loosened glandbolts': 'safe drawin fixtures baseline handturn pipes ready proof',
    'act take-off':
      'safe parts unpack halves screws joined plates rotaryjoint faces stationary drawin glandbolts fixtures baseline handturn pipes ready proof',
  },
  'purged seal': {
    'redone shaft': 'safe apart throttle assemble centre glandbolts shims handturn pipes gas ready proof',
    'redone runout': 'safe apart throttle assemble centre glandbolts shims handturn pipes gas ready proof',
    'redone throttle': 'safe assemble centre glandbolts shims handturn pipes gas ready proof',
    'loosened glandbolts': 'safe centre shims handturn pipes gas ready proof',
    'redone gas': 'safe ready proof',
    'act take-off':
      'safe parts apart throttle assemble centre glandbolts shims handturn pipes gas ready proof',
  },
  packed: {
    'redone shaft': 'safe plan cut rings follower start breakin',
    'redone follower': 'safe start breakin',
  },
  plunger: {
    'redone sizes': 'safe listed order in mark preload clamp start proof',
    'redone preload': 'safe clamp start proof',
  },
  'plunger, four rings': {
    'redone sizes': 'safe listed order in mark preload clamp start proof',
    'redone preload': 'safe clamp start proof',
  },
  'gear pump': {
    'loosened frontbolts':
      'gears clearance rear rearbolts chambers turn1 drive main nut nuttorque turn2 finish',
    'redone clearance': 'rear rearbolts chambers turn1 turn2 finish',
    'loosened rearbolts': 'turn1 turn2 finish',
    'loosened nuttorque': 'turn2 finish',
  },
  'gear pump, rubber gears': {
    'redone compress': 'clearance rear rearbolts chambers turn1 turn2 finish',
    'loosened frontbolts':
      'gears clearance rear rearbolts chambers turn1 drive main nut nuttorque turn2 finish',
    'redone clearance': 'rear rearbolts chambers turn1 turn2 finish',
    'loosened rearbolts': 'turn1 turn2 finish',
    'loosened nuttorque': 'turn2 finish',
  },
  'vane pump': {
    'loosened headbolts1': 'safe thrust1 shimson1 cap1 capbolts1 turn1 start store',
    'loosened capbolts1': 'safe turn1 start store',
    'loosened headbolts2': 'safe thrust2 shimson2 cap2 capbolts2 turn2 start store',
    'loosened capbolts2': 'safe turn2 start store',
  },
  'vane pump, hung, one head': {
    'loosened headbolts1': 'safe thrust1 shimson1 cap1 capbolts1 turn1 start store',
    'loosened capbolts1': 'safe turn1 start store',
  },
  'vane pump, caps stay': {
    'loosened headbolts1': 'safe turn1 start store',
    'loosened headbolts2': 'safe turn2 start store',
  },
  'vane pump, new heads': {
    'loosened headbolts1': 'safe thrust1 float1 shimson1 cap1 capbolts1 turn1 start store',
    'redone float1': 'safe shimson1 cap1 capbolts1 turn1 start store',
    'loosened capbolts1': 'safe turn1 start store',
    'loosened headbolts2': 'safe thrust2 float2 shimson2 cap2 capbolts2 turn2 start store',
    'redone float2': 'safe shimson2 cap2 capbolts2 turn2 start store',
    'loosened capbolts2': 'safe turn2 start store',
  },
  surveyed: {
    'redone shaft': 'verdict',
  },
};

/** Nothing stands on these: they are the last of their job. */
const LAST = ['redone proof', 'redone residual'];

/** Undone as its name in the table says. */
function undo(h: BearingHand, undone: string): void {
  const [how, id = ''] = undone.split(' ');
  if (how === 'loosened') h.do('bolts.loosened', { step: id, reason: 'to look again' });
  else if (how === 'redone') h.do('measure.repeated', { step: id, done: 'dressed' });
  else h.act(id, undefined, 'to look again');
}

/** Everything on a finished job that can be undone, by its name in the table. */
function undoable(h: BearingHand): string[] {
  const { setup, ticks, readings } = h.state;
  return [
    ...procedureFor(setup).steps.flatMap(({ id, kind }) => [
      ...(ticks.some((t) => t.step === id) ? [`loosened ${id}`] : []),
      ...(kind.repeats && readings.some((r) => r.step === id) ? [`redone ${id}`] : []),
    ]),
    ...actsOn(setup)
      .filter((a) => a.undoes && a.undoes !== 'attempt' && a.may(h.state, {}) === null)
      .map((a) => `act ${a.id}`),
  ];
}

const finished = (name: string): BearingHand => upTo(handAt(EVERY_KIND[name] as Setup), 'sign');

describe('what an act opens again', () => {
  it.each(Object.keys(EVERY_KIND))('is told for everything that can be undone on a job %s', (name) => {
    const told = Object.keys(TABLE[name] ?? {});
    expect(undoable(finished(name)).filter((u) => !LAST.includes(u))).toEqual(told);
  });

  it.each(
    Object.entries(TABLE).flatMap(([name, rows]) =>
      Object.entries(rows).map(([undone, opens]) => [name, undone, opens] as const),
    ),
  )('on a job %s, %s', (name, undone, opens) => {
    const h = finished(name);
    undo(h, undone);
    expect(h.state.steps.flatMap((s) => (s.reopened ? [s.id] : [])).join(' ')).toBe(opens);
  });

  it.each([
    ['cartridge seal', 'glandbolts', 'impeller'],
    ['cartridge seal', 'screws', 'impeller'],
    ['cassette', 'glandbolts', 'impeller'],
    ['cartridge split seal', 'rotaryjoint', 'rotary'],
    ['cartridge split seal', 'screws', 'rotary'],
    ['fully split seal', 'rotaryjoint', 'holder'],
    ['clamped split seal', 'rotaryjoint', 'plates'],
  ])('clips or spacers of a %s come back before its %s are tight again', (name, loose, first) => {
    const h = finished(name);
    undo(h, `loosened ${loose}`);
    const order = procedureFor(h.state.setup).steps.map((s) => s.id);
    const opened = h.state.steps.flatMap((s) => (s.reopened ? [s.id] : []));
    expect(opened).toContain(first);
    expect(order.indexOf(first)).toBeLessThan(order.indexOf(loose));
  });

  it('a bearing taken off begins again: nothing of the first drive-up counts', () => {
    const h = finished('by feelers');
    h.act('dismount', undefined, 'driven too far');
    expect(h.state.attempt).toBe(2);
    expect(h.state.steps.find((s) => s.id === 'driveup')?.status).not.toBe('done');
  });
});
