import { array, boolean, number, object, string } from 'yup';
import { type Calculator, entry, mm, signed } from '../../judgement/entry.ts';
import { clearanceClass } from './clearance-class.ts';
import { clearanceReduction } from './clearance-reduction.ts';
import { CLEARANCE_CLASSES } from './clearance-table.ts';
import { crossCheck } from './cross-check.ts';
import { driveUpForecast } from './drive-up-forecast.ts';
import { driveUpTarget } from './drive-up-target.ts';
import { bearingFloat } from './float.ts';
import { hydraulicNut } from './hydraulic-nut.ts';
import { interferenceFit } from './interference.ts';
import { bearingLife } from './life.ts';
import { lockAlignment, type Pattern } from './lock-alignment.ts';
import { M } from './messages.ts';
import { nutAngle } from './nut-angle.ts';
import { splitRaceGap } from './split-race-gap.ts';
import { thermalShift } from './thermal.ts';
import { warmFit } from './warm-fit.ts';

const gap = () => number().min(0).max(5).required();
const bore = () => number().moreThan(18).max(500).required();
const taper = () =>
  number<12 | 30>()
    .oneOf([12, 30] as const)
    .required();
const boreClass = () => string().oneOf(CLEARANCE_CLASSES).required();
const feel = () => string().oneOf(['snug', 'goes'] as const);
const hollow = () => number().min(0).max(0.9);
const pitch = () => number().min(0.5).max(10).required();
const pattern = () =>
  object({
    count: number().integer().min(1).max(60),
    anglesDeg: array(number().min(0).max(360).required()).min(1).max(60),
  })
    .noUnknown()
    .required()
    .test(
      'one-of',
      (p: { path: string }) => M.pathTakesEitherCountList({ path: p.path }),
      (p) => !p || (p.count === undefined) !== (p.anglesDeg === undefined),
    );
const pair = object({ rowAMm: gap(), rowBMm: gap() }).noUnknown();

const target = {
  boreMm: bore(),
  taper: taper(),
  clearanceClass: boreClass(),
  benchMm: number().moreThan(0).max(2).required(),
  pitchMm: pitch(),
  hollowRatio: hollow(),
  makerReductionMinMm: mm(1),
  makerReductionMaxMm: mm(1),
  makerLeastResidualMm: mm(1),
};

export const BEARING_ENTRIES: readonly Calculator[] = [
  entry(
    'bearing.clearance-class',
    M.benchClearanceFeelersAgainstClass,
    object({
      boreMm: bore(),
      clearanceClass: boreClass(),
      sets: array(pair.required()).max(24).required(),
      bladeStepMm: mm(1).required(),
      feel: feel(),
      makerLowerMm: mm(2),
      makerUpperMm: mm(2),
    }).noUnknown(),
    clearanceClass,
  ),
  entry(
    'bearing.clearance-reduction',
    M.clearanceClassReductionLeastResidual,
    object({
      boreMm: bore(),
      taper: taper(),
      clearanceClass: boreClass(),
      makerReductionMinMm: mm(1),
      makerReductionMaxMm: mm(1),
      makerLeastResidualMm: mm(1),
    }).noUnknown(),
    clearanceReduction,
  ),
  entry(
    'bearing.cross-check',
    M.feelersBesideNutAngleHydraulic,
    object({
      school: string()
        .oneOf(['nut-angle', 'hydraulic'] as const)
        .required(),
      boreMm: bore(),
      taper: taper(),
      hollowRatio: hollow(),
      travelMm: mm(30).required(),
      reductionMm: number().min(-1).max(2).required(),
      uncertaintyMm: number().min(0).max(1).required(),
      leastResidualMm: mm(1),
      residualMm: number().min(0).max(2),
    }).noUnknown(),
    crossCheck,
  ),
  entry(
    'bearing.thermal',
    M.clearanceWarmerShaftTakesAway,
    object({
      boreMm: bore(),
      outsideMm: mm(1000),
      shaftOverRingK: number().min(-200).max(200).required(),
      alphaPerK: number().moreThan(0).max(1e-3),
    }).noUnknown(),
    thermalShift,
  ),
  entry(
    'bearing.drive-up-target',
    M.targetDriveUpReductionResidual,
    object(target).noUnknown(),
    driveUpTarget,
  ),
  entry(
    'bearing.drive-up-forecast',
    M.whereDriveUpFeelersStands,
    object({
      ...target,
      benchUncertaintyMm: number().min(0).max(1),
      bladeStepMm: mm(1).required(),
      feel: feel(),
      stepDeg: number().moreThan(0).max(360),
      readings: array(
        object({ angleDeg: number().min(0).max(7200).required(), rowAMm: gap(), rowBMm: gap() })
          .noUnknown()
          .required(),
      )
        .max(200)
        .required(),
    }).noUnknown(),
    driveUpForecast,
  ),
  entry(
    'bearing.lock-alignment',
    M.leastForwardAngleNutNext,
    object({
      boreMm: bore(),
      taper: taper(),
      pitchMm: pitch(),
      nut: pattern(),
      washer: pattern(),
      way: string().oneOf(['forward', 'back'] as const),
      forwardDeg: number().min(0).max(360),
      hollowRatio: hollow(),
      reductionPerDegMm: number().moreThan(0).max(0.1),
      reductionNowMm: number().min(-1).max(2),
      reductionMinMm: mm(1),
      reductionMaxMm: mm(1),
      aimMm: mm(1),
    }).noUnknown(),
    (i) => lockAlignment({ ...i, nut: i.nut as Pattern, washer: i.washer as Pattern }),
  ),
  entry(
    'bearing.interference',
    M.ringShaftInterferencePressure,
    object({
      jointMm: mm(600).required(),
      racewayMm: mm(900).required(),
      shaftBoreMm: number().min(0).max(600),
      widthMm: mm(500).required(),
      sleeveMm: mm(50),
      taper: number<12 | 30>().oneOf([12, 30] as const),
      friction: number().min(0.02).max(0.6),
      interferenceMm: number().min(0).max(2),
      travelMm: number().min(0).max(30),
      reductionMm: number().min(0).max(2),
      smoothingMm: number().min(0).max(0.1),
      benchMm: mm(2),
    }).noUnknown(),
    interferenceFit,
  ),
  entry(
    'bearing.nut-angle',
    M.driveUpNutAngleFrom,
    object({
      boreMm: bore(),
      taper: taper(),
      pitchMm: pitch(),
      makerMinDeg: number().moreThan(0).max(3600).required(),
      makerMaxDeg: number().moreThan(0).max(3600).required(),
      turnedDeg: number().min(0).max(7200),
      stepDeg: number().moreThan(0).max(90),
      zeroProven: boolean().required(),
      benchMm: mm(2),
      hollowRatio: hollow(),
    })
      .noUnknown()
      .test('order', M.makersLeastAngleStandsAbove, (s) => !s || !(s.makerMinDeg > s.makerMaxDeg)),
    nutAngle,
  ),
  entry(
    'bearing.hydraulic-nut',
    M.driveUpHydraulicNutStart,
    object({
      startPressureMpa: number().moreThan(0).max(200).required(),
      sheetAreaMm2: number().moreThan(0).max(1e6),
      nutAreaMm2: number().moreThan(0).max(1e6),
      driveUpMinMm: mm(30).required(),
      driveUpMaxMm: mm(30).required(),
      abortPressureMpa: number().moreThan(0).max(300),
      zeroMm: signed(100),
      sign: number<1 | -1>().oneOf([1, -1] as const),
      nowMm: signed(100),
      nowPressureMpa: number().min(0).max(300),
      resolutionMm: mm(1).required(),
    })
      .noUnknown()
      .test('order', M.leastDriveUpStandsAbove, (s) => !s || !(s.driveUpMinMm > s.driveUpMaxMm)),
    hydraulicNut,
  ),
  entry(
    'bearing.float',
    M.roomFloatBearingNeedsWhere,
    object({
      spanMm: mm(30000).required(),
      shaftOverBaseK: number().min(-200).max(400).required(),
      roomMm: number().min(0).max(200).required(),
      marginMm: number().min(0).max(50),
      offsetMm: signed(100),
      alphaPerK: number().moreThan(0).max(1e-3),
    }).noUnknown(),
    bearingFloat,
  ),
  entry(
    'bearing.split-race-gap',
    M.jointGapsSplitInnerRace,
    object({
      gapAMm: gap(),
      gapBMm: gap(),
      bladeStepMm: mm(1).required(),
      shaftMm: mm(600),
      closedBoreMm: mm(600),
    }).noUnknown(),
    splitRaceGap,
  ),
  entry(
    'bearing.warm-fit',
    M.cylindricalBoreInterferenceHowWarm,
    object({
      boreMm: number().min(3).max(500).required(),
      seat: string().max(8),
      seatMm: mm(510),
      racewayMm: mm(800),
      clearanceMm: number().min(0).max(2),
      ambientC: number().min(-40).max(60),
      playMm: number().min(0).max(1),
    }).noUnknown(),
    warmFit,
  ),
  entry(
    'bearing.life',
    M.ratingLifeFromLoadSpeed,
    object({
      kind: string()
        .oneOf(['ball', 'roller'] as const)
        .required(),
      ratingKn: number().moreThan(0).max(100_000).required(),
      radialKn: number().moreThan(0).max(100_000).required(),
      axialKn: number().min(0).max(100_000),
      x: number().min(0).max(2),
      y: number().min(0).max(10),
      speedRpm: number().min(1).max(60_000).required(),
      reliability: number().oneOf([90, 95, 96, 97, 98, 99]),
      wantedHours: number().moreThan(0).max(1e6),
    }).noUnknown(),
    bearingLife,
  ),
];
