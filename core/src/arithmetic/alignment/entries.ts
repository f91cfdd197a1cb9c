import { array, number, object, string } from 'yup';
import { type Calculator, entry, mm, rule, signed } from '../../judgement/entry.ts';
import { COUPLING_METHODS, type CouplingInput, couplingAlignment } from './coupling.ts';
import { hotAlignment } from './growth.ts';
import { housingAlignment } from './housings.ts';
import { M } from './messages.ts';
import { softFoot } from './soft-foot.ts';

/** Four readings at top, right, bottom, left. */
const clock = () => array(signed().required()).length(4);

export const ALIGNMENT_ENTRIES: readonly Calculator[] = [
  entry(
    'alignment.coupling',
    M.couplingOffsetAngleShimsSide,
    object({
      method: string().oneOf(COUPLING_METHODS).required(),
      speedRpm: number().moreThan(0).max(20000).required(),
      rimMm: clock().required(),
      faceMm: clock(),
      backMm: clock(),
      rimSagMm: signed(2),
      backSagMm: signed(2),
      faceDiameterMm: mm(2000),
      dialDistanceMm: mm(3000),
      frontFeetMm: mm(5000).required(),
      feetSpanMm: mm(5000).required(),
      targetOffsetMm: signed(20),
      targetSlopeMmPerM: signed(20),
      resolutionMm: mm(1).required(),
      makerOffsetMm: mm(2),
      makerAnglePer100Mm: mm(2),
      rule: rule(),
    }).noUnknown(),
    // The schema has counted the readings of each dial.
    (i) => couplingAlignment(i as unknown as CouplingInput),
  ),
  entry(
    'alignment.housings',
    M.housingsAlongShaftAgainstWhat,
    object({
      housings: array(
        object({
          atMm: number().min(-20000).max(20000).required(),
          verticalNearMm: signed().required(),
          verticalFarMm: signed().required(),
          horizontalNearMm: signed().required(),
          horizontalFarMm: signed().required(),
        })
          .noUnknown()
          .required(),
      )
        .min(2)
        .max(8)
        .required(),
      widthMm: mm(2000).required(),
      resolutionMm: mm(1).required(),
      abilityDeg: number().moreThan(0).max(5),
      rule: rule(),
    }).noUnknown(),
    housingAlignment,
  ),
  entry(
    'alignment.soft-foot',
    M.softFootGapsWedgesShims,
    object({
      feet: array(array(number().min(0).max(5).required()).max(4).required())
        .min(2)
        .max(8)
        .required(),
      resolutionMm: mm(1).required(),
      makerLimitMm: mm(2),
      rule: rule(),
    }).noUnknown(),
    softFoot,
  ),
  entry(
    'alignment.growth',
    M.coldTargetsAlignmentRunsWarm,
    object({
      driverFrontMm: mm(5000).required(),
      driverRearMm: mm(10_000).required(),
      driverHeightMm: mm(3000).required(),
      driverFrontK: number().min(-200).max(400).required(),
      driverRearK: number().min(-200).max(400).required(),
      drivenFrontMm: mm(5000).required(),
      drivenRearMm: mm(10_000).required(),
      drivenHeightMm: mm(3000).required(),
      drivenFrontK: number().min(-200).max(400).required(),
      drivenRearK: number().min(-200).max(400).required(),
      growthPerK: number().min(1).max(30),
    })
      .noUnknown()
      .test(
        'feet',
        M.rearFeetStandFartherFrom,
        (s) => !s || (s.driverRearMm > s.driverFrontMm && s.drivenRearMm > s.drivenFrontMm),
      ),
    hotAlignment,
  ),
];
