import { type FailureGuide, olderThan, over, seen, under, youngerThan } from '../../engine/failure.ts';

/** Packing that has come out. */
export const PACKING_FAILURE: FailureGuide = {
  id: 'gland-rings',
  part: 'rings of a gland',
  title: 'Packing that came out',
  questions: [
    {
      id: 'inner',
      ask: 'The rings where they ran on the shaft',
      look: 'The first ring out is the one at the follower; lay them in order.',
      answers: [
        ['even', 'worn evenly'],
        ['glazed', 'glazed, hard, burnt'],
        ['one-side', 'worn on one side'],
        ['torn', 'torn or scuffed'],
      ],
    },
    {
      id: 'outer',
      ask: 'The rings where they lay in the box',
      look: 'Scored outsides turned with the shaft.',
      answers: [
        ['still', 'clean: they stood still'],
        ['turned', 'scored: they turned'],
      ],
    },
    {
      id: 'spent',
      ask: 'Which rings are spent',
      look: 'Compare the ring at the follower with the one at the bottom.',
      answers: [
        ['follower', 'those at the follower only'],
        ['all', 'all alike'],
        ['bottom', 'those at the bottom'],
      ],
    },
    {
      id: 'joints',
      ask: 'The joints',
      look: 'Where the ends met: a gap shows where it leaked.',
      answers: [
        ['tight', 'met'],
        ['gap', 'stood apart'],
        ['overlap', 'overlapped'],
        ['line', 'stood behind each other'],
      ],
    },
    {
      id: 'sleeve',
      ask: 'The sleeve',
      look: 'By fingernail, along and round.',
      answers: [
        ['smooth', 'smooth'],
        ['grooved', 'grooved'],
        ['scored', 'scored'],
      ],
    },
    {
      id: 'lantern',
      ask: 'The lantern ring',
      look: 'Where did it stand against its port, before it was pulled?',
      answers: [
        ['under', 'under its port'],
        ['past', 'pushed past its port'],
        ['none', 'there is none'],
      ],
    },
  ],
  causes: [
    {
      id: 'worn-out',
      cause: 'It wore out: the life that was in it',
      next: 'Nothing to put right. Plan the next packing by the days this one lived.',
      signs: [
        seen('inner', 'even', 2, 'the rings wore evenly'),
        olderThan(300, 2, 'it lived long'),
        seen('sleeve', ['grooved', 'scored'], -1, 'the sleeve is hurt'),
        seen('inner', 'glazed', -2, 'it burnt'),
      ],
    },
    {
      id: 'too-tight',
      cause: 'The gland was pulled too tight: no leak, no cooling',
      next: 'Break it in under the drop counter; drops are its coolant. Never under the lower count.',
      signs: [
        seen('inner', 'glazed', 3, 'the rings are glazed'),
        seen('spent', 'follower', 1, 'those at the follower took it'),
        under('dropsPerMin', 8, 2, 'its sheet had hardly a drop'),
        seen('sleeve', 'grooved', 1, 'the sleeve is grooved'),
        seen('inner', 'even', -2, 'nothing burnt'),
      ],
    },
    {
      id: 'runout',
      cause: 'The shaft swings or stands off the middle of its box',
      next: 'Run-out at the box, play of the bearings, box to shaft.',
      signs: [
        seen('inner', 'one-side', 2, 'the rings wore on one side'),
        over('runoutMm', 0.08, 3, 'its sheet had a large run-out'),
        over('boreMm', 0.25, 2, 'its sheet had the box off the shaft’s middle'),
        over('radialPlayMm', 0.15, 2, 'its sheet had play in the bearings'),
        under('runoutMm', 0.04, -1, 'its sheet had the shaft running true'),
      ],
    },
    {
      id: 'sleeve',
      cause: 'The sleeve was worn before it was packed',
      next: 'No packing holds on a groove: sleeve renewed or turned round before the next.',
      signs: [
        seen('sleeve', 'grooved', 2, 'it is grooved'),
        seen('sleeve', 'scored', 2, 'it is scored'),
        seen('inner', 'torn', 1, 'the rings are torn'),
        youngerThan(60, 1, 'it lived a few weeks only'),
        seen('sleeve', 'smooth', -3, 'it is smooth'),
      ],
    },
    {
      id: 'rings-cut',
      cause: 'The rings were cut or laid wrong',
      next: 'Cut on a mandrel, ends to meet, joints a quarter round from each other, each ring seated by itself.',
      signs: [
        seen('joints', ['gap', 'overlap'], 3, 'the ends did not meet'),
        seen('joints', 'line', 3, 'the joints stood behind each other'),
        seen('outer', 'turned', 2, 'the rings turned in the box'),
        seen('joints', 'tight', -1, 'the ends met'),
      ],
    },
    {
      id: 'lantern',
      cause: 'The lantern ring lost its port: no flush, grit came in',
      next: 'Measure it in: after the last tightening it still stands under its port.',
      signs: [
        seen('lantern', 'past', 3, 'it stood past its port'),
        seen('spent', 'bottom', 2, 'the rings at the bottom went first'),
        seen('sleeve', 'scored', 1, 'grit scored the sleeve'),
        seen('lantern', ['under', 'none'], -3, 'it stood right, or there is none'),
      ],
    },
  ],
};
