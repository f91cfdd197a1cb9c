import { type BearingHand, feelStack } from '@fulcrant/core/examples';
import { stepOf } from '@fulcrant/core/job';
import { GEAR_PUMP_TAGGED, lipsOf, VANE_PUMP_TAGGED, writeHeap } from '@fulcrant/core/trades';
import { hand, hoursAgo, tools } from './hands.ts';
import { POSITIONS } from './works.ts';

/** Every question of these steps answered yes, one step after the other. */
function through(h: BearingHand, ...steps: string[]): BearingHand {
  for (const step of steps) {
    if (!stepOf(h.state, step)) throw new Error(`The demo's pump has no step ${step}.`);
    h.answerAll(step).pass(step);
  }
  return h;
}

/** A plate or head over its pins: the free holes by hand, pins out, the rest. */
const over = (h: BearingHand, step: string): BearingHand =>
  h.tighten(step).answerAll(step).tighten(step).pass(step);

/** Pumps taken apart: a molasses gear pump whose first stack was too tight, a vane pump with its first side done. */
export function pumps(ids: Map<string, string>): BearingHand[] {
  const gear = hand(ids, POSITIONS.molassesGear, 'bram', hoursAgo(5.5), tools('mic-3')).safe();
  for (const p of GEAR_PUMP_TAGGED)
    gear.answer('tags', p.id, 'yes', p.renewed ? 'renew' : p.id === 'bearings' ? 'spare' : 'reuse');
  through(gear.pass('tags'), 'clean');
  for (const l of lipsOf(POSITIONS.molassesGear)) gear.answer('lips', l.id, 'yes', l.wants);
  through(gear.pass('lips'), 'bench', 'front');
  through(over(gear, 'frontbolts'), 'gears').answerAll('clearance');
  feelStack(gear, 0.36, 0.01);
  gear
    .wait(6)
    .do('measure.repeated', { step: 'clearance', done: 'stack changed: one of 0.12 more' })
    .answerAll('clearance')
    .read('clearance', 'stack', 0.48, 'caliper')
    .read('clearance', 'gap/drive/1', 0.14, 'feeler')
    .read('clearance', 'gap/drive/2', 0.13, 'feeler');

  const vane = hand(ids, POSITIONS.condensateVane, 'asta', hoursAgo(4.2), tools('mic-3')).safe();
  through(vane, 'relief');
  for (const p of VANE_PUMP_TAGGED) vane.answer('tags', p.id, 'yes', p.renewed ? 'renew' : 'reuse');
  vane.pass('tags');
  vane.answer('shimsoff1', 'heaps', 'yes', writeHeap([2, 3, 1])).pass('shimsoff1');
  vane.answerAll('thrustoff1').pass('thrustoff1');
  over(through(vane, 'headoff1', 'seat1', 'rotary1', 'headon1'), 'headbolts1');
  through(vane, 'thrust1')
    .answer('shimson1', 'heaps', 'yes', writeHeap([2, 3, 1]))
    .pass('shimson1');
  through(vane, 'cap1').tighten('capbolts1').pass('capbolts1');
  through(vane, 'turn1');
  return [gear, vane];
}
