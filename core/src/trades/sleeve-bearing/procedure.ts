import { stampQueries } from '../../arithmetic/bearings/stamp.ts';
import { M as H } from '../../engine/headings/messages.ts';
import { type Procedure, redone, type StepDefinition } from '../../engine/step.ts';
import type { Finding } from '../../judgement/result.ts';
import { COMMON } from '../../message/common/messages.ts';
import type { Text } from '../../message/message.ts';
import {
  baseStep,
  carrierSteps,
  fixedFirstStep,
  floatStep,
  greaseStep,
  hasCap,
  houseStep,
  inboardStep,
  loadStep,
  specOf,
} from '../../steps/bearing/closing-steps.ts';
import { endSteps } from '../../steps/bearing/end-steps.ts';
import { layoutOf } from '../../steps/bearing/fitting-parts.ts';
import { CLOSING_STANDS_ON } from '../../steps/bearing/stands-on.ts';
import { boltsStep } from '../../steps/bolts.ts';
import { conditionSteps, LAST_MEASURES } from '../../steps/condition/condition-steps.ts';
import { ISOLATED, safeStep } from '../../steps/safe-step.ts';
import { type StandsOn, standing } from '../../steps/standing.ts';
import { M } from './messages.ts';
import { mountSteps, twoNutsStep } from './mount-steps.ts';
import { capBolts, type DriveUpSchool, type SleeveSetup, schoolOf } from './setup.ts';
import { sheetAgainStep } from './sheet-again.ts';

/** What has to be at hand, by school; a tool in poor condition counts as missing. */
const TOOLS: Record<DriveUpSchool, Text> = {
  feelers: M.feelersMicrometerSpannerDriftTorque,
  'nut-angle': M.markerProtractorSpannerDriftSoft,
  hydraulic: M.hydraulicNutSleevePumpHose,
};

/** What of the stamp is not read, or speaks against a sleeve: said before anything is unpacked. */
const stampFindings = ({ partNumber }: SleeveSetup): Finding[] =>
  stampQueries(partNumber ?? '', { sleeve: true }).map((reason) => ({
    code: 'safe.stamp',
    verdict: 'caution',
    reason,
    params: { reason },
    source: 'practice',
    acceptable: true,
  }));

const safe = (setup: SleeveSetup) =>
  safeStep<SleeveSetup>(
    COMMON.safeComplete,
    [
      ISOLATED,
      {
        id: 'drained',
        group: H.safe,
        ask: COMMON.nothingUnderPressureHotHarmful,
      },
      {
        id: 'supported',
        group: H.safe,
        ask: M.rotorBlockedLoadOffBearing,
      },
      { id: 'protected', group: H.safe, ask: M.eyeProtectionGlovesBootsHammer },
      {
        id: 'instructions',
        group: COMMON.kit,
        ask: M.makersInstructionsBenchPartsStamp,
      },
      {
        id: 'parts',
        group: COMMON.kit,
        ask: M.bearingSleeveNutNewLock,
      },
      { id: 'tools', group: COMMON.kit, ask: TOOLS[schoolOf(setup)] },
      {
        id: 'preservative',
        group: COMMON.kit,
        ask: COMMON.preservativeBearingLeftWipedOff,
        note: true,
      },
      {
        id: 'inboard',
        group: COMMON.kit,
        ask: M.inboardSealPartsHereLooked,
        kind: 'machine',
      },
      {
        id: 'clean',
        group: COMMON.kit,
        ask: M.shaftSleeveBoreHousingClean,
      },
    ],
    stampFindings,
  );

const CAP: StepDefinition<SleeveSetup> = {
  id: 'bolts',
  title: COMMON.capBolts,
  needs: ['maker.torqueNm', 'boltCount', 'boltSize', 'boltGrade'],
  kind: boltsStep((s: SleeveSetup) => {
    const set = capBolts(s);
    return specOf('bolt', COMMON.capBolts, set, { layout: layoutOf(set), housing: true });
  }),
  guide: M.halvesMatchedCleanBoltsPattern,
  caution: M.keepFingersOutJointAs,
  again: true,
};

/** What is measured on a bare shaft. */
const SHAFT = ['shaft', 'finish', 'runout'];

/** What is driven up stands on its zero, what is locked on what was driven up; what is closed over it on its lock. */
const STANDS_ON: StandsOn = {
  ...CLOSING_STANDS_ON,
  bench: ['inboard'],
  target: ['bench'],
  zero: ['fit'],
  // A shaft dressed or changed: the bearing is off it, and all of this is done again.
  inboard: ['nuts', ...SHAFT.map(redone)],
  fit: ['inboard', ...SHAFT.map(redone)],
  driveup: ['zero', 'fit'],
  release: ['driveup'],
  lock: ['driveup', 'release'],
  grease: ['lock'],
  float: ['lock'],
  house: ['lock', 'float', 'grease'],
  bolts: ['house', 'float', 'lock'],
};

const TITLE = {
  feelers: M.bearingAdapterSleeveFeelers,
  'nut-angle': M.bearingAdapterSleeveNutAngle,
  hydraulic: M.bearingAdapterSleeveHydraulicNut,
} as const;

/**
 * Spherical roller bearing with tapered bore on an adapter sleeve, split pillow block; how drive-up is judged is a variant of
 * it. Nothing is fitted to a shaft that has not passed: the condition measures come first, alignment last.
 */
export function sleeveBearing(setup: SleeveSetup): Procedure<SleeveSetup> {
  const condition = conditionSteps(setup);
  return {
    title: TITLE[schoolOf(setup)],
    steps: standing(STANDS_ON, [
      safe(setup),
      ...sheetAgainStep(setup),
      ...fixedFirstStep(setup),
      ...condition.filter((s) => !LAST_MEASURES.includes(s.id)),
      ...twoNutsStep(setup),
      ...inboardStep(setup),
      ...mountSteps(setup),
      ...greaseStep(setup),
      ...floatStep(setup),
      ...houseStep(setup),
      ...(hasCap(setup) ? [CAP] : []),
      ...carrierSteps(setup),
      ...loadStep(setup),
      ...condition.filter((s) => LAST_MEASURES.includes(s.id)),
      ...baseStep(setup),
      ...endSteps(setup),
    ]),
  };
}
