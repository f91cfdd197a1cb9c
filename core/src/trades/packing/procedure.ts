import type { Facts } from '../../engine/state.ts';
import type { Procedure } from '../../engine/step.ts';
import { conditionSteps, LAST_MEASURES } from '../../steps/condition/condition-steps.ts';
import { glandGaps } from '../../steps/gland-gaps.ts';
import { asked, ifFitted, item } from '../../steps/questions.ts';
import { EMPTY, ISOLATED, ROTOR, safeStep } from '../../steps/safe-step.ts';
import { signature } from '../../steps/signature.ts';
import { type StandsOn, standing } from '../../steps/standing.ts';
import { startOrder } from '../../steps/start-order.ts';
import { breakIn } from './breaking-in.ts';
import { cutting, packingPlan } from './plan.ts';
import { ringsLoop } from './rings-in.ts';
import type { PackingSetup } from './setup.ts';

const safe = safeStep('Safe and complete', [
  ISOLATED,
  EMPTY,
  ROTOR,
  item('Safe', 'protected', 'Eye protection, gloves, boots on; packing hook is sharp.'),
  ifFitted('Kit', 'instructions', 'Maker’s instructions at hand; they outrank this list.'),
  ifFitted('Kit', 'tools', 'Hook, knife, mandrel, split pusher, feelers, caliper: here.'),
]);

/** Where the studs of a follower stand, from the top clockwise. */
const studsDeg = (studs: number): number[] => Array.from({ length: studs }, (_, i) => (360 * i) / studs);
/** A follower this far out of square is cocked: it holds the packing on one side. Our own choice. */
const COCKED_MM = 1;
/** A plane takes three places; a follower on two studs is felt beside them too. */
const gapsDeg = (studs: number): number[] =>
  (studs < 3 ? [0, 90, 180, 270] : studsDeg(studs)).map(Math.round);

/** A ring that comes out takes follower, start and break-in with it; what is cut is cut by the plan. */
const STANDS_ON: StandsOn = {
  plan: ['shaft'],
  cut: ['plan'],
  rings: ['cut'],
  follower: ['rings'],
  belts: ['softfoot', 'coupling'],
  coupling: ['softfoot'],
  start: ['rings', 'follower', 'softfoot', 'coupling', 'belts'],
  breakin: ['start'],
};

/** Compression packing, from the stripped box to the steady leak. */
export function packingJob(setup: PackingSetup): Procedure<PackingSetup> {
  const condition = conditionSteps(setup);
  return {
    title: 'Stuffing box packed',
    steps: standing(STANDS_ON, [
      safe,
      asked('strip', 'Strip', 'Every old ring out, and counted. One left behind spoils the new set.', [
        item('Strip', 'rings', 'Old rings out to the bottom of the box: how many?', { note: true }),
        item('Strip', 'lantern', 'Lantern ring out, cleaned; its place and state?', { note: true }),
        item('Strip', 'clean', 'Box clean, bottom seen with a lamp; flush port open.'),
      ]),
      ...condition.filter((s) => !LAST_MEASURES.includes(s.id)),
      {
        id: 'plan',
        title: 'Section and count',
        kind: packingPlan,
        guide: 'Section from shaft and box, length at the neutral line, rings below and above the lantern.',
        items: [
          item('Packing', 'stock', 'Packing on the bench is this section and suits the fluid.'),
          ifFitted('Packing', 'soft', 'Not hammered flat to make it fit: rolled, if at all.'),
        ],
      },
      asked(
        'cut',
        'Cut',
        'On a mandrel of the shaft’s size, by the cut shown; the first ring is tried in the box.',
        [
          ifFitted('Cut', 'mandrel', 'Cut on a mandrel of the shaft’s size, all to one length.'),
          item('Cut', 'tried', 'First ring tried in the box: ends meet, no gap, no bulge.', {
            remedy: 'Change the length by what was seen, try again, then cut the rest.',
          }),
        ],
        { caution: 'Cut away from the hand that holds.', kind: cutting },
      ),
      {
        id: 'rings',
        title: 'Rings',
        kind: ringsLoop,
        loop: true,
        guide: 'Opened sideways, never bent straight; each seated on its own with the split pusher.',
        closes: 'Once a ring is in, the one below it can no longer be looked at.',
        items: [ifFitted('Rings', 'lantern', 'Lantern ring at its place under the port, or there is none.')],
      },
      {
        id: 'follower',
        title: 'Follower square',
        kind: glandGaps(({ setup: { studs } }: Facts<PackingSetup>) => {
          return { bolts: studs, rigid: false, atDeg: gapsDeg(studs), stopMm: COCKED_MM };
        }),
        guide: 'Nuts finger-tight; gap from follower to box face equal all round, never cocked.',
        repeatWord: 'Nuts moved',
        items: [item('Follower', 'finger', 'Nuts finger-tight only, the shaft turns by hand.')],
      },
      // With the isolation still on: once it runs, nobody has a hand at foot, coupling or belt.
      ...condition.filter((s) => LAST_MEASURES.includes(s.id)),
      asked(
        'start',
        'Start',
        'It starts leaking generously; that is right.',
        startOrder({
          drive: setup.drive ?? 'untouched',
          group: 'Start',
          isolated: [item('Start', 'flush', 'Flush on, box filled, vented.')],
          guards: 'Guards on; nobody beside the coupling.',
          lifted: item('Start', 'handed', 'Isolation lifted by the rule of the house, by name.'),
        }),
        {
          inOrder: true,
          caution:
            'Nuts are set beside a turning shaft: no loose sleeves, spanner from the side, never over it.',
          closes: 'Once it has run, the rings have taken their set and do not come out whole.',
          starts: true,
        },
      ),
      {
        id: 'breakin',
        title: 'Break-in',
        needs: ['studPitchMm', 'followerMm'],
        kind: breakIn,
        dueWord: 'Count the packing’s drops',
        loop: true,
        guide: 'One flat on each nut in turn, then wait; again, until the leak is steady in its band.',
        caution: 'Hot gland or smoke: back off, never quench.',
        items: [item('Break-in', 'even', 'Follower still square after the last flat.')],
      },
      {
        id: 'sign',
        title: 'Signature',
        kind: signature,
        guide: 'Name below. The sheet stays with the machine.',
      },
    ]),
  };
}
