import { number, object, string } from 'yup';
import { type Calculator, entry, mm } from '../../judgement/entry.ts';
import { BOLT_GRADES } from './grades.ts';
import { M } from './messages.ts';
import { BOLT_LAYOUTS, boltPattern } from './pattern.ts';
import { setScrewSequence } from './set-screws.ts';
import { boltStretch } from './stretch.ts';
import { BOLT_SIZES } from './threads.ts';
import { boltTorque, FRICTIONS } from './torque.ts';
import { wrenchSetting } from './wrench.ts';

export const BOLTING_ENTRIES: readonly Calculator[] = [
  entry(
    'bolting.torque',
    M.tighteningTorqueShortFormLong,
    object({
      size: string()
        .oneOf(BOLT_SIZES.map((b) => b.name))
        .required(),
      grade: string()
        .oneOf([...BOLT_GRADES])
        .required(),
      friction: string().oneOf(FRICTIONS).required(),
      makerTorqueNm: mm(5000),
      plantTorqueNm: mm(5000),
      mu: number().min(0.04).max(0.5),
    }).noUnknown(),
    boltTorque,
  ),
  entry(
    'bolting.sequence',
    M.orderPassesBoltPattern,
    object({
      count: number().integer().min(2).max(32).required(),
      layout: string().oneOf(BOLT_LAYOUTS).required(),
      torqueNm: mm(5000).required(),
    }).noUnknown(),
    boltPattern,
  ),
  entry(
    'bolting.set-screws',
    M.orderSetScrewsDogPoints,
    object({
      dogs: number().integer().min(0).max(16).required(),
      cups: number().integer().min(0).max(16).required(),
      torqueNm: mm(5000).required(),
    })
      .noUnknown()
      .test('some', M.thereNoSetScrewTighten, (s) => !s || s.dogs + s.cups > 0),
    setScrewSequence,
  ),
  entry(
    'bolting.wrench',
    M.settingTorqueWrenchExtension,
    object({
      torqueNm: mm(5000).required(),
      wrenchMm: mm(3000).required(),
      extensionMm: number().min(0).max(2000),
      extensionDeg: number().min(0).max(360),
      scaleLowNm: number().min(0).max(5000).required(),
      scaleHighNm: mm(5000).required(),
    }).noUnknown(),
    wrenchSetting,
  ),
  entry(
    'bolting.stretch',
    M.studTightenedStretch,
    object({
      size: string()
        .oneOf(BOLT_SIZES.map((b) => b.name))
        .required(),
      grade: string()
        .oneOf([...BOLT_GRADES])
        .required(),
      gripMm: mm(3000).required(),
      threadMm: number().min(0).max(3000).required(),
      stretchMm: number().min(0).max(20),
      stepMm: mm(1),
      share: number().min(0.1).max(0.95),
    })
      .noUnknown()
      .test('grip', M.thereMoreThreadThanGrip, (s) => !s || s.threadMm <= s.gripMm),
    boltStretch,
  ),
];
