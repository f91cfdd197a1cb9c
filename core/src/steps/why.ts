/**
 * Why a step is there, one paragraph each, for whoever does it the first time. By step id; a trade puts together those it shares
 * with its own. Source: common practice.
 */
export type Why = Readonly<Record<string, string>>;

/** How a job begins and how it ends. */
export const WHY_EVERY: Why = {
  safe: 'Machines hurt people who thought they were off. Whoever puts the hands in locks the energy out and tries the start; nothing under pressure, hot or harmful is left inside; the rotor cannot turn, the load hangs on rated gear. And the kit is whole before the machine is opened: what is missing now holds the job on the bench, what is missing later holds it in pieces. Local rules and permits outrank this list.',
  sign: 'A year from now somebody stands here with the next failure and asks what was measured, with which gauge, and who says so. The name under the sheet answers. From then on it stands as it was signed; what has to be put right becomes a revision with its reason.',
};

/** What a shaft and what is round it are measured for. */
export const WHY_SHAFT: Why = {
  look: 'A burr cuts the O-ring that slides over it, and nobody sees the cut until it leaks. A fingernail drawn along the shaft finds a step no eye finds. Dirt under a gauge is measured as if it were steel, so cleaning and dressing come before any number.',
  shaft:
    'Nothing is better than the seat it stands on. Size decides whether the part grips at all; out of round presses its shape into the ring; a taper lets it creep. Largest and smallest count, not the mean: the part sits on the worst place. Two opposite points cannot see an odd number of lobes; a V-block can.',
  finish:
    'A rough shaft is a file for what seals on it; too rough a face leaks past its gasket however tight the bolts are. The stylus goes across the lay, because along it every surface looks smooth.',
  runout:
    'The seal’s faces have to follow the shaft at every turn. A shaft that is off centre, one that is bent and one that is oval show the same total, and want three different remedies: that is why the whole turn is read and taken apart by its shape. The first angle is read again at the end; where it differs, the gauge moved and the turn tells nothing.',
  play: 'End play moves the faces apart and together; radial play lets the shaft fall where no centring holds it. Over the limit the bearing is the fault, and a new seal would only hide it for some weeks.',
  face: 'The gland stands as square as the face it is bolted to, and the seal as square as the gland. The indicator rides on the shaft, so that it measures the face against the axis the seal will turn about. A shaft that floats writes its end play into the reading: it is held one way.',
  bore: 'A box off the shaft’s middle leaves the seal room on one side only, and throws a register’s gland off centre. The bracket sags by its own weight and reads that as an error of the box, unless its sag was measured.',
  envelope:
    'A seal that does not go in is found out with the pump open and the shift gone. Bore, depth, the first obstruction and the studs are held against its sheet while there is still time to order another.',
  softfoot:
    'A foot that does not bear is pulled down by its bolt and bends the machine’s frame: the bearings bind and no alignment holds. One foot at a time is loosened and watched. A gap that is wedge-shaped is not cured by a flat shim.',
  housings:
    'A self-aligning bearing forgives an angle, but only so much; past it the rollers run on their edges and a sealed one rubs. Housings are lined up after the base is tight, for tightening moves them.',
  coupling:
    'What is out of line here comes back as vibration, heat and a seal that wears on one side. Two dials at four places tell offset and angle apart, and so what to lay under which foot. A machine that will run warm grows: it is set low cold, so that it stands in line warm.',
  belts:
    'Slack, a belt slips, burns and throws dust; tight, it bends the shaft and the bearing beside the pulley carries a load nobody reckoned with. The thumb cannot tell: the note of the span can, or the force that bends it. Belts of one drive are changed as a set, or the new one pulls alone.',
};

/** What every bearing shares, from its place on the shaft to its first hours. */
export const WHY_BEARING: Why = {
  inboard:
    'What sits between bearing and shoulder cannot pass the bearing afterwards. Forgotten, it means taking the bearing off again, and a new zero.',
  fixedfirst:
    'One bearing holds the shaft, the other lets it grow. The fixed one goes on first, because the place of the float is reckoned from it; two that hold press against each other as soon as the shaft is warm.',
  float:
    'Steel grows by more than a hundredth of a millimetre a metre and degree. Where the ring finds no room on the side the shaft grows to, the whole growth lands on the rollers. A ring put beside a float makes a fixed bearing of it, unnoticed until it runs hot.',
  grease:
    'Rollers that start dry are marked before the grease reaches them; so the bearing itself is filled by hand. The housing gets only its share by speed: what is too much is churned and heats the bearing.',
  grease1:
    'A blocked channel is found now or by a failed bearing. Fresh grease at the hole in the race is the proof, before another part closes over it.',
  house:
    'The halves of one housing were bored together, and belong together. Sealant squeezed into the seat lifts the ring out of round; a seal turned the wrong way lets in what it should keep out. All of it is out of sight once the cap is on.',
  bolts:
    'A cap drawn down on one side pinches the ring oval, and a torque worked out from the bolt can be twice what the housing bears: its own sheet decides. Crosswise and in passes, because each bolt loosens its neighbours a little.',
  carriers:
    'The carriers find their place by the closed cap, so they are drawn up after it, whichever way the housing was closed. Then the labyrinth is packed: the grease in it is the seal.',
  carrierbolts:
    'Drawn up before the cap, a carrier holds the halves apart. After it, they go to torque crosswise.',
  ringscrews:
    'A seal ring that is not tight turns with the wrong part and wears its own seat away. Turned by hand once more, it must not rub.',
  load: 'A shaft on its sling hangs where the sling holds it, not where it will run. The load is given back before anything is lined up: what was lined up before moves when the support comes out.',
  base: 'Base bolts fix what was lined up, so they come last and in turn. A wrong order walks the housing out of line while it is being tightened.',
  handturn:
    'The hand feels what the motor would not: a scrape, a tight spot, metal on metal. What stops a hand costs an hour; what the motor turns in spite of it costs the part.',
  start:
    'Direction is tried while nothing is coupled that could be hurt by the wrong one. The guard is back before anything turns, and whoever may start it does.',
  runin:
    'A bearing warms up as it spreads its grease, and then settles. One that keeps climbing is too tight, too full or not in line, and says so in the first hours, while it can still be helped. Read at set times, because a curve tells what one number cannot.',
};

/** What both rebuilds of a pump share. */
export const WHY_REBUILD: Why = {
  tags: 'A pump goes together from what lies on the bench. Laid out as it came off, each part tagged renew, use again or spare, nothing that has taken its shape goes back, and a ring left over at the end is known as a spare and not as a mistake.',
  start:
    'New faces and a pump full of gas do not go together. Brought up slowly by the bypass, vapour before liquid where it pumps such, they are wet before they are fast.',
};
