import type { Facts } from '../../engine/state.ts';
import type { StepDefinition } from '../../engine/step.ts';
import { glandGaps, QUARTERS } from '../../steps/gland-gaps.ts';
import { asked, ifFitted, item } from '../../steps/questions.ts';
import { signature } from '../../steps/signature.ts';
import { startOrder } from '../../steps/start-order.ts';
import { portsStep } from './angles.ts';
import { sealProof } from './proof.ts';
import { impellerClearance, reachedStep, reachStep } from './setting-kept.ts';
import type { SealSetup } from './setup.ts';
import { gasStep } from './small.ts';
import { RECOVERY_ITEMS, turnRecovery } from './turn-recovery.ts';

/** Barrier ports turned to their place while nothing is bolted yet. */
export const portsPlaced = (setup: SealSetup): StepDefinition<SealSetup>[] => [
  ...(setup.barrier
    ? [
        {
          id: 'ports',
          title: 'Ports',
          kind: portsStep,
          guide: 'Turned to their place now; no pipe is connected before the hand turn.',
          repeatWord: 'Turned',
        } satisfies StepDefinition<SealSetup>,
      ]
    : []),
  asked(
    'otherports',
    'Flush and drain',
    'Turned to their place now; no pipe is connected before the hand turn.',
    [
      ifFitted('Ports', 'flush', 'Flush port stands where its pipe comes; the unused one stays plugged.'),
      ifFitted('Ports', 'quench', 'Quench enters above, its drain is the lowest.'),
      ifFitted('Ports', 'drain', 'Drain and vent stand where they drain and vent.'),
    ],
  ),
];

/** All the impeller’s adjustments come before a bolt is drawn. */
export const impellerGate: StepDefinition<SealSetup> = {
  id: 'impeller',
  title: 'Impeller',
  kind: impellerClearance,
  guide: 'Every adjustment of the impeller is made now, with the clips holding the seal’s setting.',
  repeatWord: 'Adjusted',
  items: [
    item('Impeller', 'clipsin', 'Clips or template in and screwed home.'),
    ifFitted('Impeller', 'assembled', 'Pump put together again.'),
    ifFitted('Impeller', 'adjusted', 'All impeller adjustments made.'),
  ],
  closes: 'Once the set screws hold, moving the impeller needs the clips back and this order anew.',
};

/** The setting as the clips hold it, and proved by the same length when the screws do. */
export const settingAsClipped: StepDefinition<SealSetup> = {
  id: 'reach',
  title: 'Setting, clipped',
  kind: reachStep,
  guide: 'From the sleeve’s end to the gland, with the clips in: the length that proves the setting later.',
  closes: 'Once the clips are off, where they held the sleeve can no longer be measured.',
  repeatWord: 'Set anew',
};
export const settingProved: StepDefinition<SealSetup> = {
  id: 'reached',
  title: 'Setting proved',
  kind: reachedStep,
  guide: 'The same length again, screws at torque and clips off: it has not moved.',
  repeatWord: 'Set anew',
};

/** Gaps of the gland at the quarters: square before it is left. */
export const glandGapsStep = (setup: SealSetup): StepDefinition<SealSetup> => ({
  id: 'gland-gaps',
  title: 'Gland square',
  kind: glandGaps((facts: Facts<SealSetup>) => ({
    bolts: facts.setup.glandBolts,
    rigid: setup.softGasket !== true,
    atDeg: QUARTERS,
  })),
  guide: 'Gap from gland to box at four places; the seal runs as square as its gland stands.',
  repeatWord: 'Bolts moved',
  standsOn: ['glandbolts'],
});

/** Clips never come off with no screw snug: dog points and cup points by hand first. */
export const snugStep: StepDefinition<SealSetup> = asked(
  'snug',
  'Screws snug',
  'By hand, with the short leg of the key, before a clip comes off.',
  [
    item('Snug', 'dogs', 'Every dog point snug by hand, in its hole.'),
    item('Snug', 'cups', 'Every cup point snug by hand.'),
  ],
);

/** Clips out, counted and kept. */
export const clipsStep = (setup: SealSetup): StepDefinition<SealSetup> =>
  asked(
    'clips',
    'Clips off',
    'One left in stops the start.',
    [
      item('Clips', 'off', 'All clips, or the template, out and counted.'),
      item('Clips', 'kept', 'Clips kept with the machine: they are needed before it is moved.'),
      ifFitted('Clips', 'cord', 'A pull cord, where there is one, out last.'),
    ],
    setup.tail === 'clips-first'
      ? { closes: 'The screws are drawn with the seal held by its gland alone.' }
      : { closes: 'Once the clips are out, the impeller does not move any more.' },
  );

/** The hand turn of a cartridge, with its recovery. */
export const recoveryTurn: StepDefinition<SealSetup> = {
  id: 'handturn',
  title: 'Hand turn',
  kind: turnRecovery,
  loop: true,
  guide: 'By hand, in running direction. Metal on metal: centring recovery, in its order.',
  caution: 'Isolation stays on. Keep sleeves and rag clear.',
  items: RECOVERY_ITEMS,
};

/** The hand turn of a seal that centres itself, or was centred. */
export const handTurnStep: StepDefinition<SealSetup> = asked(
  'handturn',
  'Hand turn',
  'By hand, in running direction.',
  [
    item('Turn', 'free', 'Turns; a slight drag is normal, metal contact is not.', {
      remedy: 'Look for what touches: tool or spacer left in, gland off square, bore off the shaft’s middle.',
    }),
  ],
  {
    caution: 'Isolation stays on. Keep sleeves and rag clear.',
    standsOn: ['glandbolts', 'gland-gaps', 'screws', 'setting', 'collar', 'impeller', 'throttle', 'angles'],
  },
);

/** The gas of a purged seal: set when its pipes are on. */
const gas: StepDefinition<SealSetup> = {
  id: 'gas',
  title: 'Gas',
  kind: gasStep,
  guide: 'Own regulator and gauge for each seal, line ½ in or larger; over the process by the window shown.',
  caution: 'Gas that fills a closed space takes the breath away: vent, and mind the alarm.',
  repeatWord: 'Set anew',
  items: [
    item('Gas', 'own', 'Regulator and gauge serve this seal alone.'),
    ifFitted('Gas', 'interlock', 'Gas failing stops the machine: interlock tried.'),
  ],
};

/** What every seal ends with: pipes, start, proof over a day, signature. */
export const sealEnd = (setup: SealSetup): StepDefinition<SealSetup>[] => [
  asked(
    'pipes',
    'Pipes',
    'Only now: a pipe’s load can pull the gland off square.',
    [
      item('Pipes', 'ports', 'Ports looked at once more: the right ones, unused ones plugged.'),
      ifFitted('Pipes', 'connected', 'Flush, quench or barrier connected, without load on the gland.'),
      ...(setup.family === 'purged' ? [] : [item('Pipes', 'vented', 'Box vented and filled.')]),
    ],
    { standsOn: ['handturn', 'breakaway'] },
  ),
  ...(setup.family === 'purged' ? [gas] : []),
  asked(
    'ready',
    'Ready to start',
    'Everything that was in the way is out.',
    startOrder({
      drive: setup.drive ?? 'coupling',
      group: 'Ready',
      isolated: [
        item('Ready', 'out', 'Clips, spacers, tools and shims: all out, all counted.'),
        ...(setup.family === 'purged'
          ? []
          : [item('Ready', 'rest', 'Filled and under pressure, at rest: no drop.')]),
        ...(setup.barrier ? [item('Ready', 'barrier', 'Barrier flows: felt or seen at its return.')] : []),
      ],
      coupled: 'Coupling joined; alignment read again with the pipes on.',
      guards: 'Guards on; nobody beside coupling or seal.',
      lifted: item('Ready', 'handed', 'Isolation lifted by the rule of the house, by name.'),
    }),
    {
      inOrder: true,
      caution: 'A first start can spray: stand clear, shield up, eyes protected.',
      closes: 'Once it has run, faces and baselines are no longer new.',
      standsOn: ['pipes', 'handturn', 'gas'],
      starts: true,
    },
  ),
  {
    id: 'proof',
    title: 'Proof',
    kind: sealProof,
    dueWord: 'Read the seal’s leakage and warmth',
    guide: 'Leakage and gland’s warmth at the start, after 15 minutes, an hour, and the next day.',
    caution: 'Count from where no part turns and nothing can spray.',
    items: [item('Proof', 'noise', 'No noise, no smell, no spray in the first minutes.')],
    loop: true,
    standsOn: ['ready'],
  },
  { id: 'sign', title: 'Signature', kind: signature, guide: 'Name below. The sheet stays with the machine.' },
];
