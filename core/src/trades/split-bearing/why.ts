import { WHY_BEARING, WHY_EVERY, WHY_SHAFT, type Why } from '../../steps/why.ts';

/** Why each step of a split roller bearing is there. */
export const why: Why = {
  ...WHY_EVERY,
  ...WHY_SHAFT,
  ...WHY_BEARING,
  pedestal:
    'Which lower half goes in decides on which side the grease boss ends, and it is not turned afterwards. Left loose, the base can follow the bearing; shims carry the whole of it, or the base bends.',
  outer:
    'The rollers cross the joint at every turn. A step there that a fingernail feels is a blow the bearing feels. The lubrication hole stands on top, or no grease arrives.',
  race: 'The race grips by being drawn round the shaft. With no gap at its joints it has closed on itself and grips nothing: the shaft is too small. Gaps that differ let it sit askew; the feeler in the lower one holds them alike.',
  clamps:
    'A clamp ring’s joint over the race’s joint leaves both weak at one place: they are set off. Lips inward, for they hold the race. Finger-tight, so that all can still move.',
  axial:
    'Fixed, the cage runs free between the ribs; float, the rollers stand where they still have track when the shaft has grown. Once the race is seated it is not moved along any more.',
  seat: 'Tightening one screw loosens the others, and the rings seat only by blows. So it goes round until no screw moves more than a few degrees: only that tells that they are down, the torque alone does not.',
  seated:
    'The seating changes the gaps. Felt again at torque, they show whether the race closed evenly, or is pulled over to one side.',
  cage: 'Joined and turned on the race before anything closes: a clip not home is found by hand now, or by the rollers later.',
  cartridge:
    'The half with the port goes on top and its grease path was proved before. A gap in its joint after torque means that something is between.',
  lower:
    'The cartridge aligns itself in its round seat, but only under the load it will carry. So the shaft comes down before the cap goes on.',
  bolts:
    'Just closed, the shaft is turned: the cartridge finds its own line. Drawn to torque first, it stays where it happened to stand. A gap at the pedestal’s joint is closed by a soft mallet, never by its bolts.',
};
