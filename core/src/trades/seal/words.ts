import type { TradeWords } from '../../engine/trade.ts';
import { reportAt } from '../../engine/trades.ts';
import { clockOf } from '../../judgement/drawing.ts';
import { len } from '../../quantities/say.ts';
import { boltsCame, boltsRow, leakRows, orDash, type Row, shaftCame, spreadCame } from '../../steps/came.ts';
import { conditionCame } from '../../steps/condition/came.ts';
import { turnDrawings } from '../../steps/condition/drawings.ts';
import { gapsDrawing, leakDrawing } from '../../steps/drawings.ts';
import { largest } from '../../steps/wrench-reach.ts';
import { angles } from './angles.ts';
import { sealProof } from './proof.ts';
import { compression } from './setting.ts';
import type { SealSetup } from './setup.ts';
import { baselines } from './small.ts';
import { turnRecovery } from './turn-recovery.ts';

const row = (heading: string, mm: number | null): Row[] => (mm === null ? [] : [[heading, len(mm, 2)]]);

import { LAST_MEASURES } from '../../steps/condition/condition-steps.ts';
import { measured } from '../../steps/condition/pieces.ts';

/** What is said of a seal fitted. */
export const words: TradeWords<SealSetup> = {
  offer: ['Fit a seal', 'each family in its order'],
  setup: 'Seal, shaft, torques',
  changes: 'seal, torques',
  sheet: 'Seal sheet',
  signed: 'Fitted',
  comes: 'shut',
  torqueNm: (setup) => largest(setup.glandNm, setup.screwNm, setup.jointNm),
  tasks: [
    measured(['parts'], {
      name: 'Parts, shaft and face measured',
      minutes: [30, 50, 90],
      finds: { what: 'shaft or face fails', odds: 0.06, minutes: [120, 240, 480] },
    }),
    {
      id: 'fit',
      name: 'Seal put in and set',
      steps: [
        'slide',
        'change',
        'scribe',
        'apart',
        'throttle',
        'stationary',
        'assemble',
        'plates',
        'drawin',
        'fixtures',
        'centre',
        'shims',
        'setting',
        'rotary',
        'collar',
        'close',
        'breakaway',
        'halves',
        'rotaryjoint',
        'faces',
        'holder',
        'splitgaps',
        'spacers',
        'tool',
        'angles',
        'gland',
        'glandangle',
        'glandjoint',
        'ports',
        'otherports',
        'snug',
        'impeller',
        'reach',
        'glandbolts',
        'gland-gaps',
        'baseline',
        'screws',
        'clips',
        'reached',
        'handturn',
      ],
      skill: 'seals',
      hands: 1,
      tools: ['torque wrench'],
      minutes: [60, 100, 200],
      pauses: true,
    },
    {
      id: 'pipe',
      name: 'Pipes, ready to start',
      steps: [...LAST_MEASURES, 'pipes', 'gas', 'ready'],
      skill: 'seals',
      hands: 1,
      minutes: [30, 45, 90],
      pauses: true,
    },
    {
      id: 'proof',
      name: 'Started and proved',
      steps: ['start', 'proof'],
      skill: 'seals',
      hands: 1,
      tools: ['run-in watch'],
      minutes: [30, 40, 60],
      waits: 60,
    },
  ],
  came(state) {
    const { row: shaftRow, ...shaft } = shaftCame(state);
    const set =
      compression.valuesOf(reportAt(state, 'impeller')) ?? compression.valuesOf(reportAt(state, 'collar'));
    const counted = (sealProof.valuesOf(reportAt(state, 'proof'))?.points ?? []).filter(
      (p) => p.dropsPerMin !== null,
    );
    const results = {
      ...shaft,
      ...conditionCame(state),
      compressionMm: set?.shift?.compressionMm ?? null,
      glandSpreadMm: spreadCame(state, 'gland-gaps'),
      torqueNm: boltsCame(state, 'glandbolts'),
      recoveryRounds: turnRecovery.valuesOf(reportAt(state, 'handturn'))?.rounds ?? null,
      baselineMm: baselines.valuesOf(reportAt(state, 'baseline'))?.baselineMm ?? null,
      dropsPerMin: counted.at(-1)?.dropsPerMin ?? null,
    };
    return {
      results,
      rows: [
        shaftRow,
        ...row('Compression as it runs', results.compressionMm),
        ['Gland, spread of its gaps', orDash(results.glandSpreadMm)],
        boltsRow('Gland bolts', String(state.setup.glandBolts), results.torqueNm),
        ...(results.recoveryRounds === null
          ? []
          : [['Rounds of centring recovery', String(results.recoveryRounds)] as Row]),
        ...row('Wear baseline', results.baselineMm),
        ...leakRows(results.dropsPerMin),
      ],
    };
  },
  drawings(state) {
    const set = angles.valuesOf(reportAt(state, 'angles'));
    const clashes = new Set((set?.pairs ?? []).flatMap((p) => (p.offDeg > 0 ? [p.a, p.b] : [])));
    const marks = (set?.marks ?? []).flatMap((m) =>
      m.deg === null
        ? []
        : [{ deg: m.deg, said: m.name, ink: clashes.has(m.mark) ? ('stop' as const) : ('ink' as const) }],
    );
    const counted = (sealProof.valuesOf(reportAt(state, 'proof'))?.points ?? []).flatMap((p) =>
      p.dropsPerMin === null ? [] : [{ minutes: p.minutes, dropsPerMin: p.dropsPerMin }],
    );
    return [
      ...turnDrawings(state),
      ...(marks.length > 0 ? [clockOf('Splits and seams', marks, 'end view from outboard')] : []),
      ...gapsDrawing(state, 'gland-gaps', 'Gland to box'),
      ...leakDrawing('Proof', counted),
    ];
  },
};
