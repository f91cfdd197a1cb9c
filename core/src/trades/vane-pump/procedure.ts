import type { Procedure, StepDefinition } from '../../engine/step.ts';
import { boltsStep } from '../../steps/bolts.ts';
import { asked, ifFitted, item } from '../../steps/questions.ts';
import { assemblyStep } from '../../steps/rebuild/assembly.ts';
import { handTurnStep } from '../../steps/rebuild/hand-turn.ts';
import { tagStep } from '../../steps/rebuild/part-tags.ts';
import { ISOLATED, ROTOR, safeStep } from '../../steps/safe-step.ts';
import { signature } from '../../steps/signature.ts';
import { type StandsOn, standing } from '../../steps/standing.ts';
import { startOrder } from '../../steps/start-order.ts';
import { PARTS, TAGGED } from './parts.ts';
import { shimsByFloat, type VanePumpSetup } from './setup.ts';
import { countedOff, countedOn, floatMeasured, HEAP_ITEM } from './shims.ts';

type Step = StepDefinition<VanePumpSetup>;
type Side = 1 | 2;

const safe = safeStep('Safe and complete', [
  ISOLATED,
  item(
    'Safe',
    'pressure',
    'Pump and system depressurised and vented; the gauge shows nothing. It stays in its pipes.',
  ),
  ROTOR,
  item('Safe', 'gas', 'No flammable or harmful vapour: measured, and said by whoever set the permit.'),
  item('Safe', 'protected', 'Eye protection, gloves for what was in it, boots on.'),
  ifFitted('Kit', 'instructions', 'Maker’s instructions on the bench; they outrank this list.'),
  item('Kit', 'kit', 'Seats, rings, grease seals, O-rings of both sides: new, in their wrapping.'),
  ifFitted('Kit', 'tools', 'Guard ring, shaft guard, guide rods, clean seat tool at hand.'),
]);

/** What is heavy, and where the weep hole stands: by how the pump is mounted. */
const weep = ({ mounted }: VanePumpSetup): string =>
  mounted === 'foot' ? 'at the bottom, 6 o’clock' : 'opposite the suction';
const nipple = ({ mounted }: VanePumpSetup): string =>
  mounted === 'foot' ? 'on top, 12 o’clock' : 'at the bottom, opposite the suction';

const CAUSES = [
  'shims that are not the ones that came off',
  'a seat that is not home, or cracked',
  'the retainer’s notch beside the pin',
  'vanes stuck in their slots',
] as const;

/** A head or a cap drawn up: rods or jacking bolts fill holes until they are out. */
const drawn = (
  id: string,
  title: string,
  count: (s: VanePumpSetup) => number,
  torqueNm: (s: VanePumpSetup) => number | undefined,
  head: boolean,
  rods: boolean,
): Step => ({
  id,
  title,
  needs: [head ? 'headNm' : 'capNm'],
  kind: boltsStep<VanePumpSetup>((s) => ({
    what: title,
    count: count(s),
    layout: 'circle',
    makerTorqueNm: torqueNm(s),
    ...(rods
      ? {
          occupied: {
            holes: [1, 1 + Math.floor(count(s) / 2)],
            by: 'guide rod',
            free: 'rods',
            wait: 'The guide rods still fill the last two holes: take them out, and say so below.',
          },
        }
      : {}),
    ...(head
      ? {
          jacking: {
            holes: 2,
            step: id.replace('headbolts', 'headon'),
            free: 'jackout',
            wait: 'Jacking bolts still stand in their holes: the head would gape. Out with them first.',
          },
        }
      : {}),
  })),
  guide: rods
    ? 'Snug all but the two under the rods; rods out, last two in; then the star, the last pass to torque.'
    : head
      ? 'Snug, then the star, the last pass to torque.'
      : 'Snug, then crosswise to torque.',
  items: rods ? [item('Rods', 'rods', 'Both guide rods are out; the last two bolts can go in.')] : [],
});

/** One side: opened, its seal out and the new one in, closed with its own shims. The second is the first in a mirror. */
function sideSteps(n: Side, s: VanePumpSetup): Step[] {
  const side = `side ${n}`;
  const at = (id: string) => `${id}${n}`;
  // The drawing follows the first side's names; the mirror is drawn the same.
  const order = ['head', 'seat', 'rotary', 'headon', 'thrust', 'shimson', 'cap'].map((id) => at(id));
  const parts = PARTS.map((p) => ({ ...p, at: p.at.replace('1', String(n)) }));
  const together = (
    id: string,
    title: string,
    guide: string,
    items: Parameters<typeof asked>[3],
    more: Partial<Step> = {},
  ) => assemblyStep<VanePumpSetup>(parts, order, at(id), `${title}, ${side}`, guide, items, more);
  const capOff: Step[] = s.capStays
    ? []
    : [
        {
          id: at('shimsoff'),
          title: `Cap off, ${side}`,
          kind: countedOff(),
          guide:
            'Cap off square; shims counted into heaps by thickness, marked with this side, written down.',
          closes: 'Mixed with the other side’s, nobody can say again which were whose.',
          items: [HEAP_ITEM],
        },
        asked(at('thrustoff'), `Thrust parts off, ${side}`, 'In their order, laid out as they came.', [
          item('Thrust', 'order', 'Washer, needle cage, washer, ring: laid out in this order.'),
          item('Thrust', 'state', 'Rollers, tracks and ring: wear, colour, dents?', { note: true }),
        ]),
      ];
  return [
    ...capOff,
    asked(
      at('headoff'),
      `Head off, ${side}`,
      'Jacked off by its own holes, square; the shaft is not touched.',
      [
        item('Head', 'jacked', 'Jacking bolts turned in evenly, a little each; head came off square.'),
        item('Head', 'shaft', 'Nothing touched the shaft.', {
          remedy: 'Look at it with a lamp: a scratch under the O-ring leaks. Dress it, or stop here.',
        }),
        item(
          'Head',
          'together',
          'Old grease seal and seat tapped out together round the rim, and thrown away.',
        ),
        item('Head', 'bore', 'Bore cleaned; no lead-in chamfer: its edge lightly emeried, dust out.'),
      ],
      { caution: 'The head is heavy: gear or two people, and no hand between it and the case.' },
    ),
    together(
      'seat',
      'New seal into the head',
      'Grease seal first, then the seat: by hand only, never a hammer or a press.',
      [
        ifFitted(
          'Grease seal',
          'greaseseal',
          'Grease seal flat side down on its tool until it clicks, tapped home.',
        ),
        item('Seat', 'oiled', 'Seat and its O-ring generously oiled, bore too.'),
        item('Seat', 'smooth', 'Smooth side up.', {
          remedy:
            'The other way the ring runs on the rough side and leaks from the first turn: out, and a new one in.',
        }),
        item(
          'Seat',
          'guard',
          s.fixtures === 'none'
            ? 'Clean cloth between hand and seat: nothing else touches the face.'
            : 'Guard ring on the tool: nothing but it touches the face.',
        ),
        item('Seat', 'hands', 'Pushed with the hands alone until it snapped in.', {
          remedy: 'Hammered or pressed it cracks where it cannot be seen: out, and a new one in.',
        }),
        item('Seat', 'looked', 'Looked at afterwards all round: level, no chip, no print.'),
        item('Head', 'ring', 'Head face clean, new O-ring in its groove.'),
      ],
      { closes: 'Once the head is on, the seat cannot be seen.' },
    ),
    together('rotary', 'Rotating ring', 'Shaft clean and oiled, drive pin and keyway at 12 o’clock.', [
      item('Shaft', 'clean', 'Shaft clean, dressed, oiled.'),
      item('Shaft', 'pin', 'Drive pin and keyway at 12 o’clock.'),
      item('Ring', 'retainer', 'Retainer on, its notch on the drive pin.', {
        remedy:
          'Beside the pin it is not driven: the ring stands still and the shaft turns in it. Turn it until it drops on.',
      }),
      item('Ring', 'oring', 'O-ring on the rotating ring’s back.'),
      item('Ring', 'notches', 'Its notches sit on the retainer’s guides.'),
      item('Ring', 'faces', 'Both faces wiped last, untouched since.'),
    ]),
    together(
      'headon',
      'Head on',
      s.fixtures === 'none'
        ? 'By hand, square to the shaft: the faces do not meet while the head slides on.'
        : 'Shaft guard and two guide rods: the faces do not meet while the head slides on.',
      [
        ...(s.fixtures === 'none'
          ? []
          : [
              item('Head', 'guard', 'Shaft guard on before the head.'),
              item('Head', 'rods', 'Two guide rods in opposite holes.'),
            ]),
        item('Head', 'weep', `Weep hole ${weep(s)}.`, {
          remedy: 'Off and round: elsewhere a leak fills the bearing before anybody sees it.',
        }),
        item('Head', 'jackout', 'Jacking bolts out of their holes before it slides back.', {
          remedy: 'Out with them: they hold the head off its face, and it gapes.',
        }),
        item(
          'Head',
          'slid',
          s.fixtures === 'none'
            ? 'Slid on by hand, home all round.'
            : 'Slid over the rods by hand, home all round.',
        ),
      ],
      { closes: 'Once the head is home, the faces cannot be seen.' },
    ),
    drawn(
      at('headbolts'),
      `Head bolts, ${side}`,
      (x) => x.headBolts,
      (x) => x.headNm,
      true,
      s.fixtures !== 'none',
    ),
    ...(s.capStays
      ? s.fixtures === 'none'
        ? []
        : [
            asked(at('guardoff'), `Guard off, ${side}`, 'After torque.', [
              item('Guard', 'off', 'Shaft guard off.'),
            ]),
          ]
      : [
          together('thrust', 'Thrust parts in', 'Guard off after torque; then the order they lay in.', [
            ...(s.fixtures === 'none' ? [] : [item('Thrust', 'off', 'Shaft guard off.')]),
            item('Thrust', 'parts', 'Ring, washer, needle cage, washer: in, greased.'),
          ]),
          ...(shimsByFloat(s)
            ? [
                {
                  id: at('float'),
                  title: `End float, ${side}`,
                  kind: floatMeasured(at('shimsoff')),
                  guide:
                    'Cap over the shims that came off, bolts snug; a dial on the shaft, pushed and pulled.',
                  repeatWord: 'Put on anew',
                } satisfies Step,
              ]
            : []),
          {
            id: at('shimson'),
            title: shimsByFloat(s) ? `Shims by the float, ${side}` : `Same shims back, ${side}`,
            kind: countedOn(at('shimsoff'), shimsByFloat(s) ? at('float') : null),
            guide: shimsByFloat(s)
              ? 'Cap off again; the heap the float asks for, counted before the cap goes on.'
              : 'The same shims, lined up by two bolts; counted once more before the cap goes on.',
            items: [HEAP_ITEM],
          },
          together('cap', 'Cap on', 'Over its shims, nipple where grease is pushed in from.', [
            ifFitted('Cap', 'nipple', `Nipple ${nipple(s)}.`),
            item('Cap', 'lined', 'Shims lined up by two bolts, none pinched.'),
          ]),
          drawn(
            at('capbolts'),
            `Cap bolts, ${side}`,
            (x) => x.capBolts,
            (x) => x.capNm,
            false,
            false,
          ),
        ]),
    handTurnStep<VanePumpSetup>(at('turn'), `Hand turn, ${side}`, 'It turns over freely by hand.', CAUSES),
  ];
}

/** One side in its order; what is brought up stands on both. */
const STANDS_ON: StandsOn = {
  ...Object.fromEntries(
    (['1', '2'] as const).flatMap((n) =>
      Object.entries({
        headbolts: ['headon'],
        thrust: ['headbolts'],
        float: ['thrust'],
        shimson: ['float', 'thrust'],
        cap: ['shimson'],
        capbolts: ['cap'],
        turn: ['headbolts', 'capbolts'],
      }).map(([id, on]) => [`${id}${n}`, on.map((x) => `${x}${n}`)]),
    ),
  ),
  start: ['turn1', 'turn2', 'grease'],
  store: ['start'],
};

/** A vane pump's seals changed in its heads, in its pipes: one side whole, then the other in the mirror. */
export function vanePumpSeals(setup: VanePumpSetup): Procedure<VanePumpSetup> {
  const light = setup.product === 'light';
  return {
    title: setup.sides === 'both' ? 'Vane pump, both seals changed' : 'Vane pump, one seal changed',
    steps: standing(STANDS_ON, [
      safe,
      asked('relief', 'Relief and parts', 'Before a bolt is turned.', [
        ifFitted('Relief', 'valve', 'Relief valve of the pump pulled: it moves.'),
        ...(setup.sides === 'first'
          ? [item('Side', 'left', `The other head is left: ${setup.leftBecause ?? ''}.`)]
          : []),
      ]),
      ...sideSteps(1, setup),
      ...(setup.sides === 'both' ? sideSteps(2, setup) : []),
      tagStep<VanePumpSetup>(TAGGED),
      asked(
        'grease',
        'Grease',
        'The relief is proved free first: else the grease goes through the new seal.',
        [
          ifFitted('Grease', 'free', 'Grease relief cleaned and proved free, by hand.', {
            remedy: 'Free it or renew it before any grease: blocked, it sends the grease into the seal.',
          }),
          ifFitted('Grease', 'nipple', 'Nipple wiped clean.'),
          item('Grease', 'slowly', 'Greased slowly; stopped as the relief opened.'),
        ],
      ),
      {
        ...asked(
          'start',
          'Brought up',
          light
            ? 'Slowly, by the bypass, with vapour before any liquid.'
            : 'Slowly, by the bypass; pressure let in a little at a time.',
          [
            ...startOrder({
              drive: setup.drive ?? 'untouched',
              group: 'Start',
              isolated: [],
              guards: 'Guards on, tools out, people clear.',
              lifted: item('Start', 'permit', 'Isolation lifted by whoever set it, by name.'),
            }),
            ...(light
              ? [
                  item(
                    'Start',
                    'vapour',
                    'Filled with vapour first, slowly: liquid flashing on dry faces cracks them.',
                  ),
                ]
              : []),
            item('Start', 'slow', 'Pressure let in slowly; no drop at weep hole, head or cap.'),
            item('Start', 'runs', 'Runs without a new noise; weep hole dry after a quarter of an hour.', {
              note: true,
            }),
          ],
          {
            inOrder: true,
            caution:
              'Stay clear of what turns. A leak of what is under pressure burns or freezes: hands off, shut it in.',
          },
        ),
        starts: true,
      },
      asked('store', 'Left in order', 'Or stored, where it does not run yet.', [
        item('Store', 'closed', 'It runs; or openings are closed and light oil is inside.'),
        ifFitted('Store', 'spares', 'Spares and tags go to the store with this sheet’s number.'),
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
