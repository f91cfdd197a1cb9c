import type { Lip } from '../../arithmetic/rebuild/lips.ts';
import { COMMON } from '../../message/common/messages.ts';
import type { PumpPart } from '../../steps/rebuild/assembly.ts';
import type { TaggedPart } from '../../steps/rebuild/part-tags.ts';
import { M } from './messages.ts';
import type { GearPumpSetup } from './setup.ts';

const ONCE = M.hasTakenShapeSealsNo;

/** What comes off, and what is never used again. */
export const GEAR_PUMP_TAGGED: readonly TaggedPart[] = [
  { id: 'gaskets', name: COMMON.gaskets, renewed: ONCE },
  { id: 'lips', name: M.lipSeals, renewed: M.lipPressedOutBent },
  { id: 'orings', name: COMMON.oRings, renewed: ONCE },
  { id: 'faceseal', name: M.sealDriveShaft, renewed: M.facesHaveWornEachOther },
  { id: 'plates', name: M.wearPlates },
  { id: 'gears', name: M.gearsShafts },
  { id: 'bearings', name: COMMON.bearings },
  { id: 'rings', name: M.snapRingsLockRing },
  { id: 'bolts', name: M.boltsNutSetScrews },
];

const LEAKS = M.whatHoldsWouldPassAs;
const ALIKE = M.bothHousingFaceSameWay;
const PLATES = [M.frontPlate, M.rearPlateDriveSide, M.rearPlateIdlerSide] as const;

/** Every lip seal, and the way its lip must face; those of the small housings as the pump is drawn. */
export const lipsOf = ({ housingLips }: GearPumpSetup): Lip[] => [
  ...PLATES.flatMap((where, i): Lip[] => [
    { id: `chamber${i + 1}a`, where, name: M.chamberInner, wants: 'inward', wrong: LEAKS },
    { id: `chamber${i + 1}b`, where, name: M.chamberOuter, wants: 'inward', wrong: LEAKS },
    { id: `housing${i + 1}a`, where, name: M.housingFirst, wants: housingLips, wrong: ALIKE },
    { id: `housing${i + 1}b`, where, name: M.housingSecond, wants: housingLips, wrong: ALIKE },
  ]),
  { id: 'drivea', where: M.driveHousing, name: M.first, wants: 'inward', wrong: LEAKS },
  { id: 'driveb', where: M.driveHousing, name: M.second, wants: 'inward', wrong: ALIKE },
];

/** The pump in the order it goes together, the step each part goes on at, and where it stands: drive side at the left. */
export const PARTS: readonly PumpPart[] = [
  { id: 'case', name: M.caseText, shape: 'case', at: 'front', item: 'which', along: 0 },
  { id: 'gasket1', name: M.gasket, shape: 'gasket', at: 'front', item: 'inner', along: -1 },
  { id: 'wear1', name: M.wearPlate, shape: 'plate', at: 'front', item: 'wear', along: -2 },
  { id: 'gasket2', name: M.gasket, shape: 'gasket', at: 'front', item: 'outer', along: -3 },
  {
    id: 'frontplate',
    name: M.frontPlate2,
    shape: 'plate',
    at: 'front',
    item: 'chamber',
    along: -4,
    door: [-4, -1],
  },
  {
    id: 'drivegear',
    name: M.driveGear,
    shape: 'gear',
    at: 'gears',
    item: 'drive',
    along: 0,
    shaft: 'upper',
  },
  { id: 'idler', name: M.idler, shape: 'gear', at: 'gears', item: 'idler', along: 0, shaft: 'lower' },
  { id: 'stack', name: M.gasketStack, shape: 'gasket', at: 'clearance', along: 1 },
  { id: 'wear2', name: M.wearPlate, shape: 'plate', at: 'rear', item: 'wear', along: 2 },
  { id: 'gasket3', name: M.outerGasket, shape: 'gasket', at: 'rear', item: 'outer', along: 3 },
  {
    id: 'rearplate',
    name: M.rearPlate,
    shape: 'plate',
    at: 'rear',
    item: 'pockets',
    along: 4,
    door: [0, 4],
  },
  {
    id: 'frontbearing',
    name: M.bearings2,
    shape: 'bearing',
    at: 'chambers',
    item: 'bearing1',
    along: -5,
    shaft: 'lower',
  },
  { id: 'frontplug', name: M.plug, shape: 'nut', at: 'chambers', item: 'plug1', along: -6, shaft: 'lower' },
  {
    id: 'rearbearing1',
    name: M.bearings2,
    shape: 'bearing',
    at: 'chambers',
    item: 'bearing2',
    along: 5,
    shaft: 'upper',
  },
  { id: 'rearplug1', name: M.plug, shape: 'nut', at: 'chambers', item: 'plug2', along: 6, shaft: 'upper' },
  {
    id: 'rearbearing2',
    name: M.bearings2,
    shape: 'bearing',
    at: 'chambers',
    item: 'bearing3',
    along: 5,
    shaft: 'lower',
  },
  { id: 'rearplug2', name: M.plug, shape: 'nut', at: 'chambers', item: 'plug3', along: 6, shaft: 'lower' },
  {
    id: 'stationary',
    name: M.stationary,
    shape: 'face',
    at: 'drive',
    item: 'saddle',
    along: -6,
    shaft: 'upper',
  },
  {
    id: 'rotary',
    name: M.rotatingElement,
    shape: 'face',
    at: 'drive',
    item: 'rotary',
    along: -5,
    shaft: 'upper',
  },
  {
    id: 'saddle',
    name: M.saddle,
    shape: 'sleeve',
    at: 'drive',
    item: 'home',
    along: -7,
    shaft: 'upper',
    door: [-6.5, -4.5],
  },
  {
    id: 'mainbearing',
    name: M.mainBearing,
    shape: 'bearing',
    at: 'main',
    item: 'flush',
    along: -8,
    shaft: 'upper',
  },
  {
    id: 'housing',
    name: M.sealHousing,
    shape: 'sleeve',
    at: 'main',
    item: 'housing',
    along: -9,
    shaft: 'upper',
  },
  {
    id: 'lockbearing',
    name: M.lockingBearing,
    shape: 'bearing',
    at: 'main',
    item: 'locking',
    along: -10,
    shaft: 'upper',
  },
  { id: 'ring', name: M.lockRing, shape: 'ring', at: 'nut', item: 'ring', along: -11, shaft: 'upper' },
  { id: 'nut', name: COMMON.nut2, shape: 'nut', at: 'nut', item: 'paste', along: -12, shaft: 'upper' },
];
