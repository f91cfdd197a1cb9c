import { array, boolean, number, object, string } from 'yup';
import { type Calculator, entry, mm, rule } from '../../judgement/entry.ts';
import { beltTension } from './belt.ts';
import { beltSet } from './belt-set.ts';
import { M } from './messages.ts';
import { vibrationZone } from './vibration.ts';

export const DRIVE_ENTRIES: readonly Calculator[] = [
  entry(
    'drive.belt',
    M.beltTensionNoteForce,
    object({
      spanMm: mm(10_000).required(),
      massKgPerM: number().moreThan(0).max(20).required(),
      hertz: number().moreThan(0).max(1000),
      forceN: number().moreThan(0).max(5000),
      deflectionMm: mm(500),
      wantedN: number().moreThan(0).max(1e6),
      powerKw: number().moreThan(0).max(10_000),
      serviceFactor: number().min(1).max(3),
      speedMPerS: number().moreThan(0).max(60),
      belts: number().integer().min(1).max(40),
      arcDeg: number().min(60).max(300),
    }).noUnknown(),
    beltTension,
  ),
  entry(
    'drive.belt-set',
    M.beltsOneDriveEachAgainst,
    object({
      by: string()
        .oneOf(['note', 'force'] as const)
        .required(),
      spanMm: mm(10_000).required(),
      readings: array(number().moreThan(0).max(5000).required()).min(1).max(24).required(),
      step: number().moreThan(0).max(100).required(),
      massKgPerM: number().moreThan(0).max(20),
      wantedN: number().moreThan(0).max(1e6),
      powerKw: number().moreThan(0).max(10_000),
      serviceFactor: number().min(1).max(3),
      speedMPerS: number().moreThan(0).max(60),
      arcDeg: number().min(60).max(300),
      rule: rule(),
    }).noUnknown(),
    beltSet,
  ),
  entry(
    'drive.vibration',
    M.zoneVibrationWhetherHasChanged,
    object({
      mmPerS: number().min(0).max(200).required(),
      machine: string()
        .oneOf(['medium', 'large', 'pump', 'large-pump'] as const)
        .required(),
      support: string().oneOf(['rigid', 'flexible'] as const),
      critical: boolean(),
      beforeMmPerS: number().min(0).max(200),
    }).noUnknown(),
    vibrationZone,
  ),
];
