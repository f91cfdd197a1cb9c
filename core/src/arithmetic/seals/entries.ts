import { array, boolean, number, object, string } from 'yup';
import { type Calculator, entry, mm, signed } from '../../judgement/entry.ts';
import { ANGLE_MARKS, type AngleMark, type AngleRule, sealAngles } from './angles.ts';
import { ELASTOMERS, elastomerGuide, FLUIDS } from './elastomers.ts';
import { faceLoad, sealFlush } from './face-load.ts';
import { glandTilt } from './gland-tilt.ts';
import { M } from './messages.ts';
import { oRing } from './o-ring.ts';
import { sealPorts } from './ports.ts';
import { purgeGas } from './purge.ts';
import { setScrewRule } from './set-screws.ts';
import { compressionShift, sealSetting } from './setting.ts';
import { sealWear } from './wear.ts';

const deg = () => number().min(0).max(360);
const mpa = () => number().min(0).max(100);
const length = (max = 1000) => number().min(0).max(max);

export const SEAL_ENTRIES: readonly Calculator[] = [
  entry(
    'seal.setting',
    M.settingDimensionComponentSeal,
    object({
      freeLengthMm: mm().required(),
      compressionMm: mm().required(),
      rotary: string()
        .oneOf(['inside', 'outside'] as const)
        .required(),
      seatMm: signed(500).required(),
      gasketMm: length(20),
    }).noUnknown(),
    sealSetting,
  ),
  entry(
    'seal.compression-shift',
    M.whatMovesSealsCompressionAfter,
    object({
      compressionMm: mm().required(),
      settingMm: signed(),
      impellerMm: signed(),
      growthMm: signed(),
      endPlayMm: length(20),
      resolutionMm: mm(1).required(),
      makerLowerMm: mm(),
      makerUpperMm: mm(),
    }).noUnknown(),
    compressionShift,
  ),
  entry(
    'seal.face-load',
    M.sealsFacesBalanceClosingPressure,
    object({
      faceOutsideMm: mm().required(),
      faceInsideMm: mm().required(),
      balanceMm: mm().required(),
      pressureFrom: string().oneOf(['outside', 'inside'] as const),
      springN: length(1e5).required(),
      pressureMpa: mpa().required(),
      speedRpm: number().min(0).max(50000).required(),
      friction: number().min(0.005).max(0.5),
      dropFactor: number().min(0).max(1),
      makerPvLimit: number().moreThan(0).max(1000),
      flushRiseK: number().moreThan(0).max(100),
      densityKgM3: number().moreThan(0).max(3000),
      heatJPerKgK: number().moreThan(0).max(10000),
    }).noUnknown(),
    faceLoad,
  ),
  entry(
    'seal.flush',
    M.flushFlowRiseTemperature,
    object({
      powerW: number().moreThan(0).max(1e6).required(),
      riseK: number().moreThan(0).max(100).required(),
      densityKgM3: number().moreThan(0).max(3000),
      heatJPerKgK: number().moreThan(0).max(10000),
    }).noUnknown(),
    sealFlush,
  ),
  entry(
    'seal.set-screws',
    M.mustSetScrewsHardened,
    object({
      shaftMm: mm(500).required(),
      boxPressureMpa: mpa(),
      hardened: boolean().required(),
      caseHardened: boolean(),
    }).noUnknown(),
    setScrewRule,
  ),
  entry(
    'seal.gland-tilt',
    M.glandTiltFromGapsWhich,
    object({
      gaps: array(
        object({ angleDeg: deg().required(), gapMm: length(20).required() })
          .noUnknown()
          .required(),
      )
        .min(3)
        .max(16)
        .required(),
      bolts: number().integer().min(2).max(16).required(),
      firstBoltDeg: deg(),
      resolutionMm: mm(1).required(),
      rigid: boolean(),
      makerLimitMm: mm(5),
    }).noUnknown(),
    glandTilt,
  ),
  entry(
    'seal.angles',
    M.splitsSeamsRoundShaftWhich,
    object({
      marks: object(Object.fromEntries(ANGLE_MARKS.map((m) => [m, deg()])))
        .noUnknown()
        .required(),
      rules: array(
        object({
          a: string().oneOf(ANGLE_MARKS).required(),
          b: string().oneOf(ANGLE_MARKS).required(),
          want: string()
            .oneOf(['square', 'apart'] as const)
            .required(),
        })
          .noUnknown()
          .required(),
      )
        .min(1)
        .max(10)
        .required(),
    }).noUnknown(),
    (i) =>
      sealAngles({
        marks: i.marks as Partial<Record<AngleMark, number>>,
        rules: i.rules as AngleRule[],
      }),
  ),
  entry(
    'seal.ports',
    M.barrierPortsRotationView,
    object({
      rotation: string()
        .oneOf(['clockwise', 'anticlockwise'] as const)
        .required(),
      seenFrom: string()
        .oneOf(['drive-end', 'pump-end'] as const)
        .required(),
      inletDeg: deg(),
      outletDeg: deg(),
    }).noUnknown(),
    sealPorts,
  ),
  entry(
    'seal.purge',
    M.purgeGasWindowRegulatorsThrottle,
    object({
      processMpa: number().min(-0.1).max(100).required(),
      gasMpa: number().min(-0.1).max(100),
      mostOverMpa: mpa(),
      clearancesMm: array(length(5).required()).min(1).max(12),
      seals: number().integer().min(1).max(20).required(),
      regulators: number().integer().min(0).max(20).required(),
      lineMm: mm(200),
    }).noUnknown(),
    purgeGas,
  ),
  entry(
    'seal.wear',
    M.wearAgainstBaselineWhenDue,
    object({
      readings: array(
        object({ days: number().min(0).max(36500).required(), projectionMm: signed(50).required() })
          .noUnknown()
          .required(),
      )
        .min(1)
        .max(200)
        .required(),
      serviceMm: length(50),
    }).noUnknown(),
    sealWear,
  ),
  entry(
    'seal.elastomer',
    M.elastomerFluidTemperatureFromMemory,
    object({
      elastomer: string().oneOf(ELASTOMERS).required(),
      fluid: string().oneOf(FLUIDS).required(),
      temperatureC: number().min(-200).max(400).required(),
      grease: string().oneOf(['none', 'silicone', 'petroleum'] as const),
    }).noUnknown(),
    elastomerGuide,
  ),
  entry(
    'seal.o-ring',
    M.oRingStretchSqueezeFill,
    object({
      insideMm: mm(2000).required(),
      sectionMm: mm(30).required(),
      seatMm: mm(2000).required(),
      depthMm: mm(30).required(),
      grooveWidthMm: mm(60),
      use: string()
        .oneOf(['static', 'moving'] as const)
        .required(),
    }).noUnknown(),
    oRing,
  ),
];
