import type { PumpPart } from '../../steps/rebuild/assembly.ts';
import type { TaggedPart } from '../../steps/rebuild/part-tags.ts';

/** What comes off each side, and what is never used again. */
export const TAGGED: readonly TaggedPart[] = [
  { id: 'seat', name: 'Seat', renewed: 'tapped out by its rim it is cracked, seen or unseen.' },
  { id: 'rotating', name: 'Rotating ring', renewed: 'it has worn to the seat it ran on.' },
  { id: 'greaseseal', name: 'Grease seal', renewed: 'it is bent as it is tapped out.' },
  { id: 'headring', name: 'Head O-ring', renewed: 'it has taken its shape.' },
  { id: 'retainer', name: 'Retainer and drive pin' },
  { id: 'thrust', name: 'Thrust washers, needle cage, ring' },
  { id: 'bearing', name: 'Bearing in the head' },
];

/** One side in the order it goes together, by the steps of the first side; the case at the left. */
export const PARTS: readonly PumpPart[] = [
  { id: 'case', name: 'case and rotor', shape: 'case', at: 'head1', along: 0 },
  { id: 'greaseseal', name: 'grease seal', shape: 'ring', at: 'seat1', item: 'greaseseal', along: 5 },
  { id: 'seat', name: 'seat', shape: 'face', at: 'seat1', item: 'hands', along: 4 },
  { id: 'headring', name: 'head O-ring', shape: 'gasket', at: 'seat1', item: 'ring', along: 3 },
  { id: 'retainer', name: 'retainer', shape: 'ring', at: 'rotary1', item: 'retainer', along: 1 },
  { id: 'rotating', name: 'rotating ring', shape: 'face', at: 'rotary1', item: 'notches', along: 2 },
  { id: 'head', name: 'head', shape: 'plate', at: 'headon1', item: 'slid', along: 6, door: [1, 5] },
  { id: 'thrust', name: 'thrust parts', shape: 'bearing', at: 'thrust1', item: 'parts', along: 7 },
  { id: 'shims', name: 'shims', shape: 'gasket', at: 'shimson1', along: 8 },
  { id: 'cap', name: 'cap', shape: 'plate', at: 'cap1', item: 'lined', along: 9, door: [7, 8] },
];
