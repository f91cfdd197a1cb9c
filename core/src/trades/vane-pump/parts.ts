import { COMMON } from '../../message/common/messages.ts';
import type { PumpPart } from '../../steps/rebuild/assembly.ts';
import type { TaggedPart } from '../../steps/rebuild/part-tags.ts';
import { M } from './messages.ts';

/** What comes off each side, and what is never used again. */
export const VANE_PUMP_TAGGED: readonly TaggedPart[] = [
  { id: 'seat', name: COMMON.seat, renewed: M.tappedOutRimCrackedSeen },
  { id: 'rotating', name: M.rotatingRing, renewed: M.hasWornSeatRan },
  { id: 'greaseseal', name: COMMON.greaseSeal, renewed: M.bentAsTappedOut },
  { id: 'headring', name: M.headORing, renewed: M.hasTakenShape },
  { id: 'retainer', name: M.retainerDrivePin },
  { id: 'thrust', name: M.thrustWashersNeedleCageRing },
  { id: 'bearing', name: M.bearingHead },
];

/** One side in the order it goes together, by the steps of the first side; the case at the left. */
export const PARTS: readonly PumpPart[] = [
  { id: 'case', name: M.caseRotor, shape: 'case', at: 'head1', along: 0 },
  { id: 'greaseseal', name: M.greaseSeal2, shape: 'ring', at: 'seat1', item: 'greaseseal', along: 5 },
  { id: 'seat', name: COMMON.seat3, shape: 'face', at: 'seat1', item: 'hands', along: 4 },
  { id: 'headring', name: M.headORing2, shape: 'gasket', at: 'seat1', item: 'ring', along: 3 },
  { id: 'retainer', name: M.retainer, shape: 'ring', at: 'rotary1', item: 'retainer', along: 1 },
  { id: 'rotating', name: M.rotatingRing2, shape: 'face', at: 'rotary1', item: 'notches', along: 2 },
  { id: 'head', name: M.head, shape: 'plate', at: 'headon1', item: 'slid', along: 6, door: [1, 5] },
  { id: 'thrust', name: M.thrustParts, shape: 'bearing', at: 'thrust1', item: 'parts', along: 7 },
  { id: 'shims', name: M.shims, shape: 'gasket', at: 'shimson1', along: 8 },
  { id: 'cap', name: M.cap, shape: 'plate', at: 'cap1', item: 'lined', along: 9, door: [7, 8] },
];
