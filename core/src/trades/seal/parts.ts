import { M as H } from '../../engine/headings/messages.ts';
import type { GateItem, StepDefinition } from '../../engine/step.ts';
import { COMMON } from '../../message/common/messages.ts';
import type { Text } from '../../message/message.ts';
import type { BoltSpec } from '../../steps/bolt-passes.ts';
import { boltsStep } from '../../steps/bolts.ts';
import { item } from '../../steps/questions.ts';
import { M } from './messages.ts';
import type { SealSetup } from './setup.ts';
import { splitGaps } from './small.ts';

/** Orders of size, to catch a slip of unit: 20 to 30 lbf·ft, 50 to 60 lbf·in. Common practice, no source. */
const USUAL_GLAND_NM = [27, 41] as const;
const USUAL_SCREW_NM = [5.6, 6.8] as const;

const sheetSet =
  (one: BoltSpec['one'], what: Text, spec: (s: SealSetup) => Partial<BoltSpec> & { count: number }) =>
  (setup: SealSetup): BoltSpec => ({ one, what, layout: 'circle', ...spec(setup) });

/** Gland bolts, evenly and crosswise. */
export const glandBolts = (
  title = M.glandBolts3,
  guide = M.evenlyCrosswisePassPassSheets,
  snug = false,
  one: BoltSpec['one'] = 'bolt',
) =>
  ({
    id: 'glandbolts',
    title,
    needs: snug ? [] : ['glandNm'],
    kind: boltsStep(
      sheetSet(one, title, (s) => ({
        count: s.glandBolts,
        ...(snug
          ? { snug: true as const }
          : { makerTorqueNm: s.glandNm, makerMostNm: s.glandMostNm, usualNm: USUAL_GLAND_NM }),
      })),
    ),
    guide,
  }) satisfies StepDefinition<SealSetup>;

/** Set screws: every dog point before the first cup point. */
export const setScrews = (more: Partial<StepDefinition<SealSetup>> = {}): StepDefinition<SealSetup> => ({
  id: 'screws',
  title: M.setScrews3,
  needs: ['screwNm'],
  kind: boltsStep(
    sheetSet('screw', M.setScrews3, (s) => ({
      count: (s.dogs ?? 0) + (s.cups ?? 0),
      dogs: s.dogs ?? 0,
      makerTorqueNm: s.screwNm,
      makerMostNm: s.screwMostNm,
      usualNm: USUAL_SCREW_NM,
    })),
  ),
  guide: M.dogPointsFirstAllThem,
  closes: M.onceScrewsBiteImpellerAdjusted,
  ...more,
});

/** How many screws hold the rotary: dog points and cup points together. */
export const screwsOf = (s: SealSetup): number => (s.dogs ?? 0) + (s.cups ?? 0);

/** Drive screws of a clamped seal: they have no points told apart. */
export const driveScrews: StepDefinition<SealSetup> = {
  id: 'screws',
  title: M.driveScrews2,
  needs: ['screwNm'],
  kind: boltsStep(
    sheetSet('screw', M.driveScrews2, (s) => ({
      count: screwsOf(s),
      makerTorqueNm: s.screwNm,
      makerMostNm: s.screwMostNm,
      usualNm: USUAL_SCREW_NM,
    })),
  ),
  guide: M.rotatingHalvesTheirPinsDrive,
};

/** Joint screws of a split part, drawn side about so that both splits close alike. */
export const jointScrews = (
  id: string,
  title: Text,
  guide: Text,
  more: Partial<StepDefinition<SealSetup>> = {},
): StepDefinition<SealSetup> => ({
  id,
  title,
  needs: ['jointNm'],
  kind: boltsStep(
    sheetSet('screw', title, (s) => ({
      count: s.jointScrews ?? 2,
      makerTorqueNm: s.jointNm,
      makerMostNm: s.jointMostNm,
      usualNm: USUAL_SCREW_NM,
    })),
  ),
  guide,
  ...more,
});

/** Both gaps of a split part, felt after its screws. */
export const gapsStep = (title: Text): StepDefinition<SealSetup> => ({
  id: 'splitgaps',
  title,
  kind: splitGaps,
  guide: M.lookOrFeelBothSplits,
  items: [item(H.halves, 'equal', M.gapsEqualByEyeOrBlade, { remedy: M.easeJointScrewsTightenAlternately })],
  repeatWord: M.drawnAgain,
});

/** Ends of an O-ring at its split, by the house’s school. */
export const oRingEnds = (setup: SealSetup, id: string, which: Text): GateItem =>
  item(
    COMMON.oRings,
    id,
    setup.oRings === 'proud' ? M.oRingsEndsStandLittle({ which }) : M.oRingsEndsLieFlush({ which }),
  );
