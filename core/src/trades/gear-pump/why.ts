import { WHY_EVERY, WHY_REBUILD, type Why } from '../../steps/why.ts';

const PLATE_BOLTS =
  'Two guide pins keep gaskets and plate over their holes and sit where two bolts belong. All others by hand, pins out, the last two in, and only then the star: drawn up over the pins, the plate is held by them and not by its joint.';
const TURN =
  'Gears that mesh turn under the hand all the way round. A tight spot is dirt, a burr or too little end clearance, and the motor would only drive it in. What will not turn is a stop.';

/** Why each step of a gear pump’s rebuild is there. */
export const why: Why = {
  ...WHY_EVERY,
  ...WHY_REBUILD,
  clean:
    'End clearance is a few hundredths on a face as large as a hand: a flake of old gasket takes all of it. Only new gaskets; all else is cleaned and looked over for wear.',
  compress:
    'A gasket is thinner under the bolts than in the hand, and by how much depends on its sort. Three stacks measured loose and under torque say it for these, and how surely.',
  lips: 'A lip keeps in what presses into it and lets by what comes from behind. Once the plate is on, that door is shut: all of them are looked at together, now, on the picture.',
  bench:
    'Small housings, dowels and chambers are made up where there is light and room. In the pump there is neither.',
  front:
    'Gasket, wear plate, gasket, plate: the wear plate’s large bore faces the drive gear. In another order the pump turns and does not pump.',
  frontbolts: PLATE_BOLTS,
  gears:
    'A keyway or thread cuts the lip it passes; a sleeve over the shaft’s end costs a minute. Oiled, because the first turns are without liquid.',
  clearance:
    'Nothing, and the gears seize warm; too much, and the liquid slips back behind them. Only the loose gaskets lie there, so what is felt is told as it will be under torque. The smaller gap says whether a gear touches, the larger whether there is too much.',
  rear: 'The last look inside. Sleeves on both shaft ends, for the lips in the plate pass them both; the pockets outward.',
  rearbolts: PLATE_BOLTS,
  drains: 'A plug forgotten is found by the floor. To the same torque as the plates.',
  chambers:
    'Three times the same, which is how one gets forgotten. Both shields come off, since the grease has to pass; it is pressed in until the gun feels it.',
  turn1: TURN,
  drive:
    'The rubber goes first, the face outward, and nothing touches it that has oil or a fingerprint on it. The grooves, seen through the port, show that the saddle is home.',
  main: 'One shield off to the grease, the other inward to keep it in. Flush with the saddle, or the nut presses on it.',
  nut: 'Drawn up once, the nut seats bearing and rotor; off again, the ring is driven round, and the nut goes on for good. Which way it is driven is asked, for practitioners differ.',
  nuttorque:
    'Short of its torque the rotor creeps along the shaft and eats the end clearance. Three set screws keep it.',
  turn2: TURN,
  finish: 'Open ports take in dirt until the pump is piped, and it is the new faces that find it.',
};
