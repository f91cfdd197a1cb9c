import type { Procedure, StepDefinition } from '../../engine/step.ts';
import { boltsStep } from '../../steps/bolts.ts';
import { asked, ifFitted, item } from '../../steps/questions.ts';
import { assemblyStep } from '../../steps/rebuild/assembly.ts';
import { handTurnStep } from '../../steps/rebuild/hand-turn.ts';
import { lipStep } from '../../steps/rebuild/lip-seals.ts';
import { tagStep } from '../../steps/rebuild/part-tags.ts';
import { ISOLATED, ROTOR, safeStep } from '../../steps/safe-step.ts';
import { signature } from '../../steps/signature.ts';
import { type StandsOn, standing } from '../../steps/standing.ts';
import { endClearance } from './clearance.ts';
import { squeeze } from './compression.ts';
import { lipsOf, PARTS, TAGGED } from './parts.ts';
import type { GearPumpSetup } from './setup.ts';

/** Orders of size, to catch a slip of unit: 35 to 40 lbf·ft, 45 to 50 lbf·ft. Common practice, no source. */
const USUAL_PLATE_NM = [47, 54] as const;
const USUAL_NUT_NM = [61, 68] as const;

const ORDER = ['front', 'gears', 'clearance', 'rear', 'chambers', 'drive', 'main', 'nut'] as const;
type Id = (typeof ORDER)[number];

const together = (
  id: Id,
  title: string,
  guide: string,
  items: Parameters<typeof asked>[3],
  more: Partial<StepDefinition<GearPumpSetup>> = {},
) => assemblyStep<GearPumpSetup>(PARTS, ORDER, id, title, guide, items, more);

const safe = safeStep('Safe and complete', [
  ISOLATED,
  item('Safe', 'drained', 'Pump drained, flushed, without pressure, cool; its fluid’s safety sheet is read.'),
  ROTOR,
  item('Safe', 'lift', 'Two people, or gear rated for it, lift pump and plates; no fingers between them.'),
  item('Safe', 'protected', 'Eye protection, gloves for what was in it, boots on.'),
  ifFitted('Kit', 'instructions', 'Maker’s instructions on the bench; they outrank this list.'),
  item('Kit', 'kit', 'Kit complete: gaskets, lip seals, O-rings, shaft seal, all still wrapped.'),
]);

/** An end plate drawn up: guide pins fill two holes until all other bolts hold the plate. */
const plate = (id: string, title: string): StepDefinition<GearPumpSetup> => ({
  id,
  title,
  needs: ['plateNm'],
  kind: boltsStep<GearPumpSetup>((s) => ({
    what: title,
    count: s.plateBolts,
    layout: 'circle',
    makerTorqueNm: s.plateNm,
    usualNm: USUAL_PLATE_NM,
    occupied: {
      holes: [1, 1 + Math.floor(s.plateBolts / 2)],
      by: 'guide pin',
      free: 'pins',
      wait: 'The guide pins still fill the last two holes: take them out, and say so below.',
    },
  })),
  guide:
    'All bolts by hand but the two where the pins are; pins out, last two in; then the star, pass by pass.',
  items: [item('Pins', 'pins', 'Both guide pins are out; the last two bolts can go in.')],
});

const CAUSES = [
  'a gear that touches a plate (end clearance)',
  'a lip seal turned over or a sleeve left in',
  'a bearing not home, or both its shields still on',
  'gears not meshed square; dirt between them',
] as const;

/** The lock ring’s way round, by the school and the pump’s own rotation. */
const ringWay = ({ ringSchool, rotation }: GearPumpSetup): string =>
  ringSchool === 'clockwise' ? 'clockwise' : rotation;

/** Each part is closed over by the next; a plate taken off opens what lies behind it, and what was turned over by hand. */
const STANDS_ON: StandsOn = {
  front: ['lips', 'bench'],
  frontbolts: ['front'],
  gears: ['frontbolts'],
  clearance: ['gears', 'frontbolts', 'compress'],
  rear: ['clearance'],
  rearbolts: ['rear'],
  chambers: ['rear'],
  turn1: ['rearbolts', 'frontbolts', 'chambers'],
  drive: ['frontbolts'],
  main: ['drive'],
  nut: ['main'],
  nuttorque: ['nut'],
  turn2: ['turn1', 'nuttorque', 'main'],
  finish: ['turn2'],
};

/** An external gear pump, from the kit to the signature: bench assemblies first, since a plate closes the door on them. */
export function gearPumpRebuild(setup: GearPumpSetup): Procedure<GearPumpSetup> {
  return {
    title: 'Gear pump rebuilt',
    steps: standing(STANDS_ON, [
      safe,
      tagStep<GearPumpSetup>(TAGGED),
      asked('clean', 'Cleaned and looked over', 'Everything that goes back is clean, and has passed.', [
        item('Wear', 'case', 'Case bores without scores a fingernail catches on.'),
        item(
          'Wear',
          'gears',
          'Gears without chips, pits or a worn edge; shafts without a track under a lip.',
          {
            remedy: 'Renew it, or have it ground; write on the tag which.',
          },
        ),
        item('Wear', 'plates', 'Wear plates flat, no step where the gears ran.'),
        item('Wear', 'faces', 'Gasket faces without scratches across, no remains of the old gasket.'),
      ]),
      lipStep<GearPumpSetup>(
        lipsOf(setup),
        'Seals on the bench',
        'Small housings, chambers and drive housing made up before any plate goes on; lips with a light film.',
        { closes: 'Once a plate is on, no lip in it can be seen or reached.' },
      ),
      asked('bench', 'Bench assemblies', 'What can be made up on the bench is made up on the bench.', [
        ifFitted('Bench', 'orings', 'Small housings: two O-rings each, lubricated, not twisted.'),
        item('Bench', 'pushed', 'Small housings are home in their chambers.'),
        ifFitted('Bench', 'dowels', 'Dowels in both plates.'),
        item('Bench', 'flat', 'Plates clamped flat, rotating parts’ side up.'),
        item(
          'Bench',
          'snap',
          'Drive housing: a snap ring, two lip seals against it, the second snap ring, three O-rings.',
        ),
        ifFitted('Bench', 'picture', 'A picture of every lip is kept.'),
      ]),
      ...(setup.compression === 'measured'
        ? [
            {
              id: 'compress',
              title: 'What gaskets lose',
              kind: squeeze,
              guide:
                'Three stacks of these gaskets between flat plates: measured loose, and again at the plates’ torque.',
              repeatWord: 'Squeezed anew',
            } satisfies StepDefinition<GearPumpSetup>,
          ]
        : []),
      together(
        'front',
        'Front plate',
        'Two guide pins, then gasket, wear plate, gasket, plate: over the pins, in this order.',
        [
          item('Front', 'which', 'Which bore carries the drive gear is marked on the case.'),
          item('Front', 'pins', 'Two guide pins in opposite holes.'),
          item('Front', 'inner', 'Gasket on the case, dry, every hole clear.'),
          item('Front', 'wear', 'Wear plate: its large bore to the drive gear.', {
            remedy: 'Off again: the other way round the drive shaft does not pass, or leaks round itself.',
          }),
          item('Front', 'outer', 'Second gasket on the wear plate.'),
          item('Front', 'chamber', 'Front plate: its large chamber to the drive gear.'),
        ],
        { closes: 'Once the front plate is drawn up, its seals and the first wear plate cannot be seen.' },
      ),
      plate('frontbolts', 'Front plate bolts'),
      together(
        'gears',
        'Gears in',
        'Case and gears oiled; a sleeve over every shaft end that passes a lip.',
        [
          item('Gears', 'oiled', 'Case and gears oiled.'),
          item('Gears', 'drive', 'Drive gear in its bore, its shaft through the large chamber.'),
          item('Gears', 'sleeve', 'Sleeve over the idler’s front end: no edge meets a lip.', {
            remedy: 'Idler out, look at both lips with a lamp; a cut lip is renewed.',
          }),
          item('Gears', 'idler', 'Idler in, teeth meshed.'),
        ],
        { caution: 'Gears are heavy and their teeth bite: fingers out as they mesh.' },
      ),
      {
        id: 'clearance',
        title: 'End clearance',
        kind: endClearance,
        loop: true,
        repeatWord: 'Stack changed',
        guide:
          setup.gears === 'steel'
            ? 'Pins, the loose stack, a straightedge across it; blades to both gears. Steel gears take few gaskets.'
            : 'Pins, the loose stack, a straightedge across it; blades to both gears. Rubber gears take more gaskets.',
        closes: 'Once the second wear plate is on, the clearance can no longer be felt.',
        items: [
          item('Clearance', 'only', 'Only the loose gaskets lie there: no wear plate, no outer gasket yet.'),
        ],
        itemsFirst: true,
      },
      together(
        'rear',
        'Rear plate',
        'Wear plate, one more gasket, sleeves on both shaft ends, then the plate.',
        [
          item('Rear', 'wear', 'Wear plate on, its large bore to the drive gear.'),
          item('Rear', 'outer', 'One gasket on it.'),
          item('Rear', 'sleeves', 'Sleeves on both shaft ends.'),
          item('Rear', 'pockets', 'Rear plate on, its pockets outward.'),
        ],
        { closes: 'Once the rear plate is drawn up, gears and clearance are shut in.' },
      ),
      plate('rearbolts', 'Rear plate bolts'),
      asked('drains', 'Drain plugs', 'To the plates’ torque.', [
        ifFitted('Drains', 'plugs', 'Drain plugs in, to the same torque as the plates.'),
        item('Drains', 'sleevesoff', 'Sleeves off the shaft ends again.'),
      ]),
      together(
        'chambers',
        'Small chambers',
        'Three times the same: bearings, snap ring, plug, grease.',
        ['Front, idler', 'Rear, drive', 'Rear, idler'].flatMap((where, i) => {
          const n = i + 1;
          return [
            item(
              where,
              `bearing${n}`,
              setup.smallBearing === 'roller'
                ? 'Sleeve over the end; roller bearing, its inner race towards the case; then the ball bearing.'
                : 'Sleeve over the end; both ball bearings.',
            ),
            item(where, `shields${n}`, 'Both shields of the ball bearing are off.', {
              remedy: 'Out with it: shielded, it gets no grease from the chamber and runs dry.',
            }),
            item(where, `ring${n}`, 'Snap ring in its groove all round.'),
            item(where, `plug${n}`, 'Plug with its O-ring, anti-seize on its thread.'),
            item(where, `grease${n}`, 'Greased until the gun meets resistance, no further.'),
          ];
        }),
        { closes: 'Once the plugs are in, shields and rings cannot be seen.' },
      ),
      handTurnStep<GearPumpSetup>(
        'turn1',
        'Hand turn',
        'Gears mesh and it turns over freely by hand.',
        CAUSES,
      ),
      together(
        'drive',
        'Drive side seal',
        'Nothing touches a face but what is clean; the shaft has a light film, the faces none.',
        [
          item('Seal', 'saddle', 'Saddle: three O-rings; stationary pressed in, rubber first, straight.'),
          item('Seal', 'guide', 'Guide in the chamber.'),
          item(
            'Seal',
            'rotary',
            'Rotating element on with an oil-free pusher, home against the gear, face outward.',
            {
              remedy: 'Face inward it runs rubber on metal: off with it, look at the face, on again.',
            },
          ),
          item('Seal', 'untouched', 'No finger and no oil on either face.', {
            remedy:
              'Wipe with a lint-free cloth and what the sheet allows; a print makes it leak from the first turn.',
          }),
          item('Seal', 'wiped', 'Shaft wiped clean after the rotary is seated.'),
          item('Seal', 'home', 'Saddle on, face to the case, pushed to the gear.'),
          item(
            'Seal',
            'grooves',
            'Its grooves stand upright and are seen through the inspection port; guide out.',
            {
              remedy: 'Turn the saddle: with the grooves away from the port the seal runs dry and unseen.',
            },
          ),
        ],
        { closes: 'Once the saddle is home, the faces cannot be seen.' },
      ),
      together('main', 'Main bearing and housing', 'One shield off, greased, the other inward.', [
        item('Main', 'shield', 'Main bearing: one shield off, greased, the shield that stays faces inward.', {
          remedy: 'Turn it: with the shield outward grease works into the seal.',
        }),
        item('Main', 'flush', 'It sits flush with the saddle.'),
        item('Main', 'housing', 'Seal housing oiled, lips inward, pushed on.'),
        item('Main', 'locking', 'Locking bearing on without its ring, shield inward.'),
      ]),
      together('nut', 'Nut and lock ring', 'Nut to torque and off again, ring round, nut on for good.', [
        item('Nut', 'seated', 'Nut to torque once, and off again: the bearing is seated.'),
        ifFitted(
          'Nut',
          'ring',
          `Lock ring driven round ${ringWay(setup)}, until it will go no further; its set screw in.`,
          {
            remedy: 'Driven the other way it works itself loose in service.',
          },
        ),
        item('Nut', 'freeagain', 'Turned over by hand once more before the nut.'),
        ifFitted('Nut', 'paste', 'Anti-seize on the thread.'),
      ]),
      {
        id: 'nuttorque',
        title: 'Nut to torque',
        needs: ['nutNm'],
        kind: boltsStep<GearPumpSetup>((s) => ({
          what: 'Shaft nut',
          count: 1,
          layout: 'circle',
          makerTorqueNm: s.nutNm,
          usualNm: USUAL_NUT_NM,
        })),
        guide: 'To the sheet’s torque; then its three set screws.',
        items: [item('Nut', 'screws', 'Three set screws of the nut tight.')],
      },
      handTurnStep<GearPumpSetup>(
        'turn2',
        'Hand turn, whole',
        'It turns over freely by hand, whole turns.',
        CAUSES,
      ),
      asked('finish', 'Closed up', 'What is left open lets dirt in.', [
        ifFitted('Finish', 'plug', 'Inspection plug in.'),
        ifFitted('Finish', 'ports', 'Ports closed until it is piped; if it is stored, light oil inside.'),
        ifFitted('Finish', 'tagged', 'Spares and tags go to the store with this sheet’s number.'),
      ]),
      {
        id: 'sign',
        title: 'Signature',
        kind: signature,
        guide: 'Name below. The sheet stays with the pump.',
      },
    ]),
  };
}
