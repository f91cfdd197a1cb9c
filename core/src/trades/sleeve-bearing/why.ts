import { WHY_BEARING, WHY_EVERY, WHY_SHAFT, type Why } from '../../steps/why.ts';

/** Why each step of a bearing on its adapter sleeve is there. */
export const why: Why = {
  ...WHY_EVERY,
  ...WHY_SHAFT,
  ...WHY_BEARING,
  bench:
    'How tight it will sit is known only by how much clearance goes, so it must be known what there was. Both rows, several times, the ring turned a little between: rows that differ mean a tilted ring, and every number after would carry that tilt. Outside its class it is another bearing than the stamp says, or another reading.',
  target:
    'Driven up too little, the sleeve creeps and frets; too far, the inner ring cracks or the bearing runs hot without clearance. What to take out comes from the bore; what must stay comes from the class, and a warm shaft asks for more.',
  fit: 'On its taper the bearing travels a dozen times what it loses in clearance. So it starts short of its place by that much. Forced on, the sleeve is cut; opened by a turn of the nut, it slides.',
  zero: 'An angle counts only from where sleeve, shaft and bore touch metal to metal. Both hands, then a tap on the rim: as long as the tap lets it turn on, it is not zero. Without a true zero the maker’s angle means nothing.',
  driveup:
    'Each method measures the same grip another way: by the clearance that goes, by the nut’s angle from a true zero, by travel from a start pressure. Near the end the steps become small, for there is no way back: a bearing driven too far is not made good by loosening the nut, it comes off, is looked at, and starts with a new zero.',
  release:
    'A nut left under pressure looks like one that is done. Released, and the oil pressed home, the next hand on it is safe.',
  lock: 'The nut that drove it up goes forward to the next place where it can be locked, never back: back is clearance nobody measured. Where that place is was known before the last turn, so that it stops where a lock will meet.',
};
