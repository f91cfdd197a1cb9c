import { WHY_EVERY, WHY_REBUILD, type Why } from '../../steps/why.ts';

/** Why each step of a vane pump’s seal change is there; each side its own, told once. */
export const why: Why = {
  ...WHY_EVERY,
  ...WHY_REBUILD,
  relief:
    'The pump stays in its pipes, so it is the pipes that are without pressure, the system too. The relief valve is seen to move now: greased behind a stuck one, the new seal is pressed out.',
  guardoff: 'The guard kept the shaft from the new seal while the head went on. Left in, it is ground up.',
  shimsoff:
    'The shims set the bearing’s play, and each side has its own. Counted into heaps by thickness and written down as they come off, one lost is found by the count, and not by a hot bearing.',
  thrustoff:
    'Washer, needles, washer, ring: laid out in that order, they go back in it. Turned about, the needles run on the wrong face.',
  headoff:
    'Jacked by its own holes a few turns a side, the head comes square. Levered, it drags across the shaft and scores what the seal is to run on.',
  seat: 'The seat is pressed by hand, because a blow cracks it where nobody looks. The grease seal behind it goes first, flat side down, or there is no way to it. Both are new: taken out, they are never fitted again.',
  rotary:
    'Pin and keyway on top, where they can be seen: the retainer’s notch sits on the pin, the ring’s on the guides. One beside its notch turns late, and wears through.',
  headon:
    'Two rods carry the head, so that the faces meet only at the end, and square. Jacking bolts out first, the weep hole where it drains.',
  headbolts:
    'Snug all but the two under the rods; rods out, these in; then the star. The last pass is to torque: the head is what holds the seat square.',
  thrust:
    'Guard off once the head is tight, and the parts in the order they lay in: the load of the whole rotor runs over them.',
  float:
    'With a new head or bearing the old shims mean nothing. Cap on and snug, the shaft pushed and pulled under a dial: what it moves, less what it should, is the heap to put in.',
  shimson:
    'Nothing that sets the play was changed, so the same shims go back on the same side. Lined up by two bolts, because one that is caught is as good as one too few.',
  cap: 'The nipple stands where grease can be pushed in: on top, or below on a hung pump. Its relief was proved.',
  capbolts: 'Crosswise, for a cap drawn down on one side tips the bearing over its shims.',
  turn: 'By hand, whole turns. Before the other side is opened: what binds now is of this side.',
  grease:
    'Slowly, nipple and relief clean, and no more once the relief opens. Grease that cannot leave by the relief leaves by the new seal.',
  store: 'A pump left open rusts and takes in dirt. Ports closed, light oil in.',
};
