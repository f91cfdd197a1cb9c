import type { GateItem, Procedure } from '../../engine/step.ts';
import { safeStep } from '../../steps/safe-step.ts';
import { signature } from '../../steps/signature.ts';
import { type StandsOn, standing } from '../../steps/standing.ts';
import { greaseMatch, greaseStrokes, greaseWatch } from './greasing.ts';
import type { RegreaseSetup } from './setup.ts';

const RUNNING: GateItem[] = [
  { id: 'guarded', group: 'Safe', ask: 'It runs, and the nipple is reached from outside every guard.' },
  { id: 'clear', group: 'Safe', ask: 'Hose, sleeves and rag clear of what turns.' },
];
const STILL: GateItem[] = [
  { id: 'isolated', group: 'Safe', ask: 'Energy isolated, locked and tagged by me; try-start done.' },
  { id: 'blocked', group: 'Safe', ask: 'Nothing turns by itself.' },
];

/** What its temperature does is watched after what went in. */
const STANDS_ON: StandsOn = { strokes: ['match'], watch: ['strokes'] };

/** One bearing regreased: what goes in, slowly, and what its temperature does afterwards. */
export function regreasingJob(setup: RegreaseSetup): Procedure<RegreaseSetup> {
  return {
    title: 'Regreasing',
    steps: standing(STANDS_ON, [
      safeStep('Safe and clean', [
        ...(setup.how === 'running' ? RUNNING : STILL),
        {
          id: 'nipple',
          group: 'Clean',
          ask: 'Nipple and relief wiped clean; the relief is free.',
          kind: 'machine',
        },
        {
          id: 'gun',
          group: 'Clean',
          ask: 'The gun holds the grease said here; its stroke was weighed once.',
        },
      ]),
      {
        id: 'match',
        title: 'Grease',
        kind: greaseMatch,
        guide: 'Two greases are not mixed: the thickener first, then base oil and additives by the maker.',
        closes: 'Once the fresh grease is in, the old cannot be told from it.',
      },
      {
        id: 'strokes',
        title: 'Strokes',
        kind: greaseStrokes,
        guide:
          setup.how === 'running'
            ? 'Slowly, while it runs: grease spreads, and heat shows at once.'
            : 'Slowly, standing still, until the relief opens.',
        caution: 'A blocked relief sends the grease into the seal. Resistance at the gun: stop.',
        items: [
          {
            id: 'ended',
            group: 'Stop',
            ask: 'Stopped by a rule: clean grease at the seal, relief open, resistance at the gun, or the quantity.',
          },
          {
            id: 'seals',
            group: 'Stop',
            ask: 'Housing seals with nipples of their own got theirs, or have none.',
          },
        ],
      },
      {
        id: 'watch',
        title: 'Watch',
        kind: greaseWatch,
        guide: 'A rise that falls back within hours is usual; one that keeps climbing is not.',
        loop: true,
        items: [
          { id: 'wiped', group: 'Watch', ask: 'What was purged is wiped away; relief and nipple closed.' },
        ],
      },
      { id: 'sign', title: 'Signature', kind: signature, guide: 'The sheet stays with the machine.' },
    ]),
  };
}
