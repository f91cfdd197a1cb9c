import { WHY_EVERY, type Why } from '../../steps/why.ts';

/** Why each step of taking a bearing off is there. */
export const why: Why = {
  ...WHY_EVERY,
  found:
    'A bearing tells why it died by how it stood: the colour of its grease, which way a seal faced, where a ring sat. The first bolt that moves wipes part of it out.',
  residual:
    'It was left with a measured clearance. Grown since, the sleeve has crept or the bearing has worn; shrunk, something drove it further or fouled it. It can be felt only while it still sits on its taper.',
  loose:
    'A nut turned against the load strips its thread or drags the shaft. Base loose, load on the sling, lock off: only then does the nut work on the sleeve alone.',
  nutback:
    'The sleeve holds by its taper and lets go at once, with a bang. The nut, backed off some turns but still on, catches the bearing; taken off, nothing does. A captive nut is its own puller and is driven back.',
  letgo:
    'Oil between the faces carries the bearing off its taper. Pressure climbs, then drops to nothing as it lets go: that zero is the only proof, for from outside a loose one looks like a tight one. Its own, higher, abort pressure holds, and nobody stands in line.',
  pumpoff:
    'Oil left under the piston comes out at the next job, in somebody’s face or on the grease. Turned snug, the nut presses it home; the plug below the rim does not cut the next seal.',
  parts:
    'Whoever asks why it failed needs the parts, paired, marked and not yet washed. And how long it ran says as much as the spalls: gone long before its rating, it did not die of age.',
};
