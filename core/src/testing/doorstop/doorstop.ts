import type { Act } from '../../engine/act.ts';
import { readingAt, standing } from '../../engine/facts.ts';
import { figureOf } from '../../engine/figure.ts';
import type { Place } from '../../engine/state.ts';
import { stepKind } from '../../engine/step.ts';
import { defineTrade } from '../../engine/trade.ts';
import { drawnAt, reportAt } from '../../engine/trades.ts';
import { circle, figure, label } from '../../judgement/draw.ts';
import { len } from '../../quantities/say.ts';
import { orDash } from '../../steps/came.ts';
import { item } from '../../steps/questions.ts';
import { safeStep } from '../../steps/safe-step.ts';
import { signature } from '../../steps/signature.ts';
import { english } from '../english.ts';
import { type DoorSetup, doorSchema } from './setup.ts';
import { slots } from './slots.ts';

const place: Place = {
  key: 'gap',
  label: 'Gap at the latch',
  quantity: 'gap',
  low: 0,
  high: 30,
  instrumentKinds: ['feeler', 'caliper'],
};

/** The gap felt at the latch, against the one wanted. */
export const doorGap = stepKind<DoorSetup, { gapMm: number | null }>('door-gap', {
  report(facts, step) {
    const gapMm = readingAt(facts, step.id, 'gap')?.value ?? null;
    const most = facts.setup.maker.mostMm ?? facts.setup.gapMm + 1;
    const verdict = gapMm === null ? 'incomplete' : gapMm > most ? 'reject' : 'accept';
    return {
      findings: [
        {
          code: 'door.gap',
          verdict,
          reason:
            gapMm === null
              ? 'The gap is not felt yet.'
              : `Gap ${english(len(gapMm))}, most ${english(len(most))}.`,
          params: { gapMm, most },
          acceptable: gapMm !== null,
        },
      ],
      working: [],
      beams: [],
      values: { gapMm },
      next: gapMm === null ? place : null,
      act: gapMm === null ? 'Feel the gap at the latch' : 'The gap is felt.',
    };
  },
  place: (facts, step, key) =>
    key === 'gap' && !readingAt(facts, step.id, 'gap') ? place : 'There is nothing to read there.',
});

/** The stop is moved again after its gap was felt. */
const MOVE_STOP: Act<DoorSetup> = {
  id: 'move-stop',
  words: {
    does: 'Move the stop again',
    said: 'Stop moved again',
    ask: 'Why is it moved?',
    confirm: 'It is moved',
    caution: 'Nobody comes through this door.',
  },
  undoes: ['gap'],
  may: (state) => (standing(state, 'gap').length > 0 ? null : 'The gap is not felt yet.'),
};

/** A trade nobody has: a door's stop set to its gap. It shows that a new one touches its own folder and one line of a list. */
export const doorstop = defineTrade<DoorSetup>({
  id: 'doorstop',
  schema: doorSchema,
  usual: { procedure: 'doorstop', gapMm: 3, holdBefore: [], maker: {} },
  procedure: () => ({
    title: 'Door’s stop set',
    steps: [
      safeStep('Safe', [item('Safe', 'shut', 'Nobody comes through this door.')]),
      { id: 'gap', title: 'Gap', kind: doorGap, guide: 'Blade between door and stop.' },
      { id: 'sign', title: 'Signature', kind: signature, guide: 'Name below.' },
    ],
  }),
  words: {
    offer: ['Set a door’s stop', 'to its gap'],
    setup: 'Door',
    changes: 'gap',
    sheet: 'Door sheet',
    signed: 'Set',
    came(state) {
      const gapMm = doorGap.valuesOf(reportAt(state, 'gap'))?.gapMm ?? null;
      return { results: { gapMm }, rows: [['Gap', orDash(gapMm)]] };
    },
    drawings: (state) => drawnAt(state, 'gap'),
  },
  slots,
  figures: [
    figureOf(doorGap, ({ values, typed }) =>
      figure({ width: 300, height: 120, title: 'Gap at the latch', name: 'door' }, [
        circle({ cx: 150, cy: 60, r: 40, ink: 'ink', fill: 'shade' }),
        label({ x: 150, y: 65 }, orDash(typed ?? values.gapMm)),
      ]),
    ),
  ],
  acts: () => [MOVE_STOP],
  example: {
    setups: {
      doorstop: {
        procedure: 'doorstop',
        machine: 'Gatehouse',
        position: 'Door',
        gapMm: 3,
        holdBefore: [],
        maker: {},
      },
    },
    work: { gap: (h) => h.read('gap', 'gap', 3.2, 'feeler') },
  },
});
