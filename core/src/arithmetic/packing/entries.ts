import { array, number, object, string } from 'yup';
import { type Calculator, entry, mm } from '../../judgement/entry.ts';
import { idsOf } from '../../sources/methods.ts';
import { packingBreakIn } from './break-in.ts';
import { actsOfRows } from './break-in-seen.ts';
import { packingFriction } from './friction.ts';
import { LEAKAGE } from './leak-method.ts';
import { M } from './messages.ts';
import { plungerPreload } from './plunger.ts';
import { packingRings } from './rings.ts';
import { packingTravel } from './travel.ts';

export const PACKING_ENTRIES: readonly Calculator[] = [
  entry(
    'packing.rings',
    M.packingSectionRingLengthCount,
    object({
      shaftMm: mm(500).required(),
      boxBoreMm: mm(600).required(),
      boxDepthMm: mm().required(),
      lanternMm: number().min(0).max(200),
      portMm: mm(),
      allowancePercent: number().min(0).max(10).required(),
      cut: string()
        .oneOf(['butt', 'diagonal'] as const)
        .required(),
      compressionPercent: number().min(0).max(40),
      boxes: number().integer().min(1).max(500),
      wastePercent: number().min(0).max(100),
      staggerDeg: number<90 | 120>().oneOf([90, 120] as const),
      stockMm: array(mm(60).required()).min(1).max(60),
    })
      .noUnknown()
      .test('room', M.boxMustLargerThanShaft, (s) => !s || !(s.shaftMm >= s.boxBoreMm)),
    packingRings,
  ),
  entry(
    'packing.break-in',
    M.breakDropsFlatsWhatLeft,
    object({
      shaftMm: mm(500).required(),
      school: string().oneOf(idsOf(LEAKAGE)).required(),
      flatDropsPerMin: number().moreThan(0).max(1000),
      pitchMm: mm(10).required(),
      followerMm: mm(200).required(),
      readings: array(
        object({
          minutes: number().min(0).max(100000).required(),
          flats: number().min(-6).max(200).required(),
          dropsPerMin: number().min(0).max(100000).required(),
          glandC: number().min(-40).max(300),
        })
          .noUnknown()
          .required(),
      )
        .max(200)
        .required(),
    }).noUnknown(),
    ({ readings, ...asked }) => packingBreakIn({ ...asked, acts: actsOfRows(readings) }),
  ),
  entry(
    'packing.travel',
    M.wayLeftFollowerWhenEnd,
    object({
      readings: array(
        object({ days: number().min(0).max(36500).required(), leftMm: number().min(0).max(500).required() })
          .noUnknown()
          .required(),
      )
        .min(1)
        .max(200)
        .required(),
      stopMm: number().min(0).max(200),
      resolutionMm: mm(5),
    }).noUnknown(),
    packingTravel,
  ),
  entry(
    'packing.friction',
    M.frictionPackingEstimate,
    object({
      shaftMm: mm(500).required(),
      lengthMm: mm().required(),
      glandMpa: number().moreThan(0).max(50).required(),
      speedRpm: number().min(0).max(20000).required(),
      friction: number().min(0.005).max(0.5),
      sectionMm: mm(60).required(),
      lateral: number().moreThan(0).max(1),
    }).noUnknown(),
    packingFriction,
  ),
  entry(
    'packing.plunger-preload',
    M.preloadVRingSetMark,
    object({
      pitchMm: mm(10).required(),
      backDeg: number().min(0).max(1080),
      endDeg: number().min(-720).max(720),
    }).noUnknown(),
    plungerPreload,
  ),
];
