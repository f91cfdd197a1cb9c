import { array, boolean, number, object, string } from 'yup';
import { decisionSum } from '../../judgement/decision-sum.ts';
import { type Calculator, entry, mm, rule, signed, turn } from '../../judgement/entry.ts';
import { idsOf } from '../../sources/methods.ts';
import { shaftBend } from './bend.ts';
import { diameterSurvey } from './diameter-survey.ts';
import { shaftFinish } from './finish.ts';
import { isoFit } from './fit.ts';
import { GROOVE_PLACES } from './groove.ts';
import { END_PLAY, RUNOUT } from './limits.ts';
import { M } from './messages.ts';
import { shaftPlay } from './play.ts';
import { runout } from './runout.ts';
import { runoutGrowth } from './runout-growth.ts';
import { SEATS, SPLIT_RACE_GRADES } from './seat-limits.ts';
import { iso286Limits } from './tolerance.ts';

const matrix = () => array(array(number().moreThan(0).max(1000).nullable().defined()).required());

/** One list a station, one number (or null) an angle. */
const fits = (
  rows: Array<Array<number | null>> | undefined,
  s: { stationsMm?: unknown; anglesDeg?: unknown },
): boolean => {
  if (!Array.isArray(rows) || !Array.isArray(s.stationsMm) || !Array.isArray(s.anglesDeg)) return true;
  const { stationsMm, anglesDeg } = s;
  return rows.length === stationsMm.length && rows.every((r) => r?.length === anglesDeg.length);
};

export const SHAFT_ENTRIES: readonly Calculator[] = [
  entry(
    'shaft.diameter-survey',
    M.diameterSurveySeatStationsAngles,
    object({
      nominalMm: mm(500).required(),
      system: string()
        .oneOf(['metric', 'inch'] as const)
        .required(),
      seat: string().oneOf(SEATS),
      splitRaceGrade: string().oneOf(SPLIT_RACE_GRADES),
      throttleBoreMm: mm(500),
      stationsMm: array(number().min(0).max(5000).required()).min(2).max(12).required(),
      anglesDeg: array(number().min(0).lessThan(360).required()).min(2).max(24).required(),
      diametersMm: matrix().required(),
      uncertaintiesMm: array(array(number().moreThan(0).max(1).nullable().defined()).required()),
      resolutionMm: mm(1).required(),
      makerLowerMm: mm(500),
      makerUpperMm: mm(500),
      grooveBesideMm: mm(500),
      grooveInsideMm: mm(500),
      grooveUnder: string().oneOf(GROOVE_PLACES),
      rule: rule(),
    })
      .noUnknown()
      .test(
        'shape',
        M.diametersMmNeedsOneListPer,
        (s) => !s || (fits(s.diametersMm, s) && fits(s.uncertaintiesMm, s)),
      ),
    diameterSurvey,
  ),
  entry(
    'shaft.runout',
    M.runOutStationWhatShape,
    object({
      shaftMm: mm(500).required(),
      readings: turn(),
      closingMm: signed(),
      resolutionMm: mm(1).required(),
      school: string().oneOf(idsOf(RUNOUT)).required(),
      makerLimitMm: mm(5),
      rule: rule(),
      wanted: number().integer().min(4).max(24),
      where: string().max(40),
    }).noUnknown(),
    runout,
  ),
  entry(
    'shaft.bend',
    M.bentOffCentreBruisedFrom,
    object({
      stations: array(
        object({
          atMm: number().min(-20000).max(20000).required(),
          eccentricityMm: number().min(0).max(20).required(),
          highSpotDeg: number().min(0).lessThan(360).required(),
          uncertaintyMm: number().min(0).max(1).required(),
          higherMm: number().min(0).max(20),
        })
          .noUnknown()
          .required(),
      )
        .min(1)
        .max(12)
        .required(),
    }).noUnknown(),
    shaftBend,
  ),
  entry(
    'shaft.finish',
    M.finishUnderSealGasketFace,
    object({
      surface: string()
        .oneOf(['shaft', 'gasket-face'] as const)
        .required(),
      parameter: string()
        .oneOf(['Ra', 'Rq'] as const)
        .required(),
      readingsUm: array(number().min(0).max(100).required()).max(24).required(),
      resolutionUm: number().moreThan(0).max(5).required(),
      makerLimitUm: number().moreThan(0).max(50),
      rule: rule(),
    }).noUnknown(),
    shaftFinish,
  ),
  entry(
    'shaft.play',
    M.endPlayRadialPlay,
    object({
      end: array(
        object({ pushMm: signed().required(), pullMm: signed().required() }).noUnknown().required(),
      ).max(12),
      radial: array(
        object({ restMm: signed().required(), liftMm: signed().required() }).noUnknown().required(),
      ).max(12),
      resolutionMm: mm(1).required(),
      school: string().oneOf(idsOf(END_PLAY)).required(),
      makerEndMm: mm(5),
      makerRadialMm: mm(5),
      rule: rule(),
    }).noUnknown(),
    shaftPlay,
  ),
  entry(
    'tolerance.iso286',
    M.limitsSizeIso286,
    object({
      nominalMm: number().moreThan(0).max(500).required(),
      designation: string().min(2).max(6).required(),
    }).noUnknown(),
    (i) => {
      const v = iso286Limits(i.nominalMm, i.designation);
      const sum = M.mMm({
        nominal: i.nominalMm,
        designation: i.designation,
        lowerDeviation: (1000 * v.lowerDeviationMm).toFixed(1),
        upperDeviation: (1000 * v.upperDeviationMm).toFixed(1),
        lower: v.lowerMm.toFixed(4),
        upper: v.upperMm.toFixed(4),
      });
      return { values: v, findings: [], working: [{ what: M.limits, sum }], beams: [] };
    },
  ),
  entry(
    'metrology.decision',
    M.acceptRejectTooCloseCall,
    object({
      readingsMm: array(signed(1000).required()).min(1).max(200).required(),
      stepMm: mm(1).required(),
      lowerMm: signed(1000),
      upperMm: signed(1000),
      difference: boolean(),
      otherMm: number().min(0).max(1),
      rule: rule(),
    })
      .noUnknown()
      .test(
        'order',
        M.lowerLimitStandsAboveUpper,
        (s) => s?.lowerMm === undefined || s.upperMm === undefined || s.lowerMm < s.upperMm,
      ),
    decisionSum,
  ),
  entry(
    'tolerance.fit',
    M.fitHoleShaftIso286,
    object({
      nominalMm: mm(500).required(),
      hole: string().max(8).required(),
      shaft: string().max(8).required(),
      holeMm: mm(510),
      shaftMm: mm(510),
    }).noUnknown(),
    isoFit,
  ),
  entry(
    'shaft.runout-growth',
    M.runOutOverYearsWhen,
    object({
      readings: array(
        object({ days: number().min(0).max(36500).required(), runoutMm: number().min(0).max(10).required() })
          .noUnknown()
          .required(),
      )
        .min(1)
        .max(200)
        .required(),
      limitMm: mm(10).required(),
      resolutionMm: mm(1),
    }).noUnknown(),
    runoutGrowth,
  ),
];
