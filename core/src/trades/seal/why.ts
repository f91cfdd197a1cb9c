import { WHY_EVERY, WHY_SHAFT, type Why } from '../../steps/why.ts';

/** Why each step of fitting a mechanical seal is there, whichever its family. */
export const why: Why = {
  ...WHY_EVERY,
  ...WHY_SHAFT,
  parts:
    'An O-ring of the wrong rubber swells in a week; mineral grease does it to EPDM before the pump runs. Soft set screws slip on a hard shaft under pressure. All of it can be seen on the bench, and none of it in the box.',
  slide:
    'Pushed by the gland, a cartridge slides apart inside and its setting is gone. By the sleeve it goes on whole.',
  change:
    'Only the inside is new: the gland has kept its place. A pin beside its hole, or a pad beside its groove, holds the faces open.',
  ports:
    'Barrier liquid has to go in low and come out high, or the gas stays at the faces. On which side that is turns with the shaft, and with the end it is seen from: question, figure and answer use one view.',
  otherports:
    'Flush, quench and drain have each their own port; in the wrong one the seal runs dry while everything looks connected. They are turned to place now and piped later: a pipe pulls.',
  impeller:
    'Whatever moves the shaft moves the faces by as much. So the impeller is set while the clips still hold the seal, or, where there are none, its movement is counted into the compression.',
  reach:
    'The clips hold the maker’s setting. Its length is taken now, while it is certain, so that it can be proved once they are off.',
  reached:
    'The same length again, screws at torque and clips off. Where it differs the sleeve has moved, and no look from outside would show it.',
  glandbolts:
    'Unevenly drawn, the gland tilts, and the face with it; it then opens and shuts once a turn. Crosswise and in passes, to the seal’s own sheet: the gasket, not the strength of the bolt, decides.',
  'gland-gaps':
    'The seal runs as square as its gland stands. Four gaps tell which way it leans, and so which bolt comes in and by how much.',
  screws:
    'Dog points sit in holes: drawn first they put the sleeve in its place. Cup points bite where they are, and hold. The other way about, the cups bite with the sleeve beside its place.',
  snug: 'With no screw snug the sleeve is free as soon as a clip comes off, and the springs push it along. By the short leg of the key, all round.',
  clips:
    'A clip left in stops the start, or breaks in it. Counted out and kept: without them the seal cannot be moved or taken off with its setting.',
  handturn:
    'In its running direction, by hand. A slight drag is the faces; metal on metal is a gland off centre. Then the clips go back and the seal is centred by them, in their order; after two rounds something else is wrong, and it is looked for.',
  pipes:
    'A pipe that has to be pulled to its flange pulls the gland. So it comes after the seal has been turned by hand, and the gland is looked at again.',
  ready:
    'Dry faces are gone in seconds: the box is filled and vented, what cools and flushes it flows, the coupling is in line and its direction tried. Everything that was in the way is out, and counted.',
  proof:
    'A seal shows in its first day whether it was fitted well. Some drops at the start can be bedding; drops that stay, or a gland that grows warmer than its fluid, are not. Hence the four times.',
  scribe:
    'Every length of the setting is taken from one mark, made where the impeller will run. If the shaft is moved later, the mark tells by how much.',
  stationary:
    'The seat is brittle and its face is flat to the light. Pressed in by hand through a clean disc it stands square; struck, it cracks where nobody sees it. Halves are joined clear of the flange, so that no face touches metal.',
  setting:
    'The springs work in a band of a millimetre or two. Too far in they burn the faces, too little and they open. Where the seat’s face stands decides the sign, and a wrong sign costs twice its distance.',
  rotary:
    'The O-ring passes threads and keyways on its way: taped, oiled and with a turn it passes whole. Halves stay half tight until the spacers have put them in their place.',
  collar:
    'Set screws pull the collar along as they bite. So what counts is where it stands after them, not where it was put.',
  close:
    'The gasket that was measured is the gasket that is fitted: its thickness is part of the setting. The gland comes up square or the seat is struck.',
  breakaway:
    'Springs and faces ask for a torque that can be worked out. Far more is metal, a dry O-ring, a face stuck; far less, the faces do not touch.',
  halves:
    'Halves of one part were broken or cut as one, and fit only each other. Shipping spacers come out and are counted; faces touch nothing, for a fingerprint is thicker than the film they run on.',
  rotaryjoint:
    'Drawn on one side first, the halves close there and gape opposite. Side about, little by little, both joints close alike; where one screw carries the washer, it goes first.',
  splitgaps:
    'Equal gaps are the only sign from outside that the halves are drawn round the shaft evenly. Unequal, the holder sits askew and the face with it.',
  spacers:
    'The spacers gave the place; from here on they are in the way. They come out before the set screws bite.',
  angles:
    'Two splits in line are one path for what is sealed. Set away from each other, each covers the other’s joint.',
  gland:
    'It closes over what has been joined, felt and looked at, so all of that is done before. Its split stands away from the split it covers.',
  glandangle: 'Square to the split it covers: in line, the gasket’s joint and the seal’s would leak as one.',
  glandjoint: 'Side about to the sheet’s torque, with the setting tool still holding it square.',
  tool: 'Left in, it stops the start. Out before the bolts, it no longer hinders the seal in finding its middle.',
  holder:
    'The holder carries the face, and the spacer says where it stands. A spacer against the wrong surface puts the whole seal in the wrong place, while all of it looks right: which surface did it touch?',
  faces:
    'A hair or a streak of grease holds the faces apart by more than their film. Halves are nested in their order and pressed until no nail feels a step at the joint.',
  baseline:
    'What stands proud today is face that can be worn. It is measured when it is new, because later there is nothing to compare with; from then on the same comparison tells how much is left.',
  plates:
    'The plates between rotor and flange give the fitting dimension. Pushed square against both, they are taken out after the clamp ring is tight.',
  drawin:
    'Two screws pull the cover in evenly past the rotor, and are undone again so that it can be turned: ports upright, or it cannot be vented.',
  fixtures:
    'Fixtures hold the faces apart for the fitting. One left in stops the start; they are counted out and kept.',
  apart:
    'This seal follows the shaft by moving sideways. What does not move by hand on the bench will not follow it in the machine.',
  throttle:
    'Gas costs money and the throttle meters it: by how much it is larger than the shaft, both sides together. Three places round, for an oval one leaks as its widest.',
  assemble:
    'Inside out, in this order; sealant thin on one side of each joint, for what is squeezed in holds a part that must move.',
  centre:
    'The shaft as it stands is off the axis it turns about. Centred on the shaft, the stator would be off by that; so the shims allow for where its high spot stands.',
  shims: 'Shims held it in the middle while the bolts were drawn. One left in is ground up at the start.',
  gas: 'The gas must stand over the process everywhere and always, or the process comes out. One regulator for several seals gives it to the one that leaks most: each has its own. Inert gas takes the breath away: the place is aired.',
};
