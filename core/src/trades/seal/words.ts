import type { JobState } from '../../engine/state.ts';
import type { TradeWords } from '../../engine/trade.ts';
import { drawnAt, reportAt } from '../../engine/trades.ts';
import { COMMON } from '../../message/common/messages.ts';
import type { Text } from '../../message/message.ts';
import { len } from '../../quantities/say.ts';
import { bolts } from '../../steps/bolts.ts';
import { boltsCame, boltsRow, leakRows, orDash, type Row, shaftCame, spreadCame } from '../../steps/came.ts';
import { conditionCame } from '../../steps/condition/came.ts';
import { turnDrawings } from '../../steps/condition/drawings.ts';
import { leakDrawing } from '../../steps/drawings.ts';
import { M } from './messages.ts';
import { screwsOf } from './parts.ts';
import { sealProof } from './proof.ts';
import { compression } from './setting.ts';
import type { SealSetup } from './setup.ts';
import { baselines } from './small.ts';
import { turnRecovery } from './turn-recovery.ts';

const row = (heading: Text, mm: number | null): Row[] => (mm === null ? [] : [[heading, len(mm, 2)]]);

/** The gland bolts as they were tightened: to a torque, or snug. */
const glandRow = (state: JobState<SealSetup>): Row => {
  const count = String(state.setup.glandBolts);
  const values = bolts.valuesOf(reportAt(state, 'glandbolts'));
  return values?.spec.snug
    ? [M.glandBolts3, M.boltsSnug({ count: state.setup.glandBolts })]
    : boltsRow(M.glandBolts3, count, boltsCame(state, 'glandbolts'));
};

/** What is said of a seal fitted. */
export const words: TradeWords<SealSetup> = {
  offer: [M.fitSeal, M.eachFamilyOrder],
  setup: M.sealShaftTorques,
  changes: M.sealTorques,
  sheet: M.sealSheet,
  signed: COMMON.fitted,
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
      screwTorqueNm: boltsCame(state, 'screws'),
      firstDropsPerMin: counted[0]?.dropsPerMin ?? null,
      recoveryRounds: turnRecovery.valuesOf(reportAt(state, 'handturn'))?.rounds ?? null,
      baselineMm: baselines.valuesOf(reportAt(state, 'baseline'))?.baselineMm ?? null,
      dropsPerMin: counted.at(-1)?.dropsPerMin ?? null,
    };
    return {
      results,
      rows: [
        shaftRow,
        ...row(M.compressionAsRuns, results.compressionMm),
        [M.glandSpreadGaps, orDash(results.glandSpreadMm)],
        glandRow(state),
        ...(results.screwTorqueNm === null
          ? []
          : [boltsRow(M.setScrews3, String(screwsOf(state.setup)), results.screwTorqueNm)]),
        ...(results.recoveryRounds === null
          ? []
          : [[M.roundsCentringRecovery, String(results.recoveryRounds)] as Row]),
        ...row(M.wearBaseline2, results.baselineMm),
        ...(counted.length > 1
          ? [[M.leakageAtStart, COMMON.dropsMinute2({ dropsPerMin: counted[0]?.dropsPerMin ?? 0 })] as Row]
          : []),
        ...leakRows(results.dropsPerMin),
      ],
    };
  },
  drawings(state) {
    const counted = (sealProof.valuesOf(reportAt(state, 'proof'))?.points ?? []).flatMap((p) =>
      p.dropsPerMin === null ? [] : [{ minutes: p.minutes, dropsPerMin: p.dropsPerMin }],
    );
    return [
      ...turnDrawings(state),
      ...drawnAt(state, 'angles', 'glandangle', 'gland-gaps'),
      ...leakDrawing(COMMON.proof, counted),
    ];
  },
};
