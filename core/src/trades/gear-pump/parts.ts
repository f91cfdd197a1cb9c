import type { Lip } from '../../arithmetic/rebuild/lips.ts';
import type { PumpPart } from '../../steps/rebuild/assembly.ts';
import type { TaggedPart } from '../../steps/rebuild/part-tags.ts';
import type { GearPumpSetup } from './setup.ts';

const ONCE = 'it has taken its shape, and seals no second time.';

/** What comes off, and what is never used again. */
export const TAGGED: readonly TaggedPart[] = [
  { id: 'gaskets', name: 'Gaskets', renewed: ONCE },
  { id: 'lips', name: 'Lip seals', renewed: 'a lip that was pressed out is bent.' },
  { id: 'orings', name: 'O-rings', renewed: ONCE },
  { id: 'faceseal', name: 'Seal of the drive shaft', renewed: 'its faces have worn to each other.' },
  { id: 'plates', name: 'Wear plates' },
  { id: 'gears', name: 'Gears and shafts' },
  { id: 'bearings', name: 'Bearings' },
  { id: 'rings', name: 'Snap rings, lock ring' },
  { id: 'bolts', name: 'Bolts, nut, set screws' },
];

const LEAKS = 'What it holds would pass it as soon as there is pressure.';
const ALIKE = 'Both of a housing face the same way: else what gets between them stays there.';
const PLATES = ['Front plate', 'Rear plate, drive side', 'Rear plate, idler side'] as const;

/** Every lip seal, and the way its lip must face; those of the small housings as the pump is drawn. */
export const lipsOf = ({ housingLips }: GearPumpSetup): Lip[] => [
  ...PLATES.flatMap((where, i): Lip[] => [
    { id: `chamber${i + 1}a`, where, name: 'chamber, inner', wants: 'inward', wrong: LEAKS },
    { id: `chamber${i + 1}b`, where, name: 'chamber, outer', wants: 'inward', wrong: LEAKS },
    { id: `housing${i + 1}a`, where, name: 'housing, first', wants: housingLips, wrong: ALIKE },
    { id: `housing${i + 1}b`, where, name: 'housing, second', wants: housingLips, wrong: ALIKE },
  ]),
  { id: 'drivea', where: 'Drive housing', name: 'first', wants: 'inward', wrong: LEAKS },
  { id: 'driveb', where: 'Drive housing', name: 'second', wants: 'inward', wrong: ALIKE },
];

/** The pump in the order it goes together, the step each part goes on at, and where it stands: drive side at the left. */
export const PARTS: readonly PumpPart[] = [
  { id: 'case', name: 'case', shape: 'case', at: 'front', item: 'which', along: 0 },
  { id: 'gasket1', name: 'gasket', shape: 'gasket', at: 'front', item: 'inner', along: -1 },
  { id: 'wear1', name: 'wear plate', shape: 'plate', at: 'front', item: 'wear', along: -2 },
  { id: 'gasket2', name: 'gasket', shape: 'gasket', at: 'front', item: 'outer', along: -3 },
  {
    id: 'frontplate',
    name: 'front plate',
    shape: 'plate',
    at: 'front',
    item: 'chamber',
    along: -4,
    door: [-4, -1],
  },
  {
    id: 'drivegear',
    name: 'drive gear',
    shape: 'gear',
    at: 'gears',
    item: 'drive',
    along: 0,
    shaft: 'upper',
  },
  { id: 'idler', name: 'idler', shape: 'gear', at: 'gears', item: 'idler', along: 0, shaft: 'lower' },
  { id: 'stack', name: 'gasket stack', shape: 'gasket', at: 'clearance', along: 1 },
  { id: 'wear2', name: 'wear plate', shape: 'plate', at: 'rear', item: 'wear', along: 2 },
  { id: 'gasket3', name: 'outer gasket', shape: 'gasket', at: 'rear', item: 'outer', along: 3 },
  {
    id: 'rearplate',
    name: 'rear plate',
    shape: 'plate',
    at: 'rear',
    item: 'pockets',
    along: 4,
    door: [0, 4],
  },
  {
    id: 'frontbearing',
    name: 'bearings',
    shape: 'bearing',
    at: 'chambers',
    item: 'bearing1',
    along: -5,
    shaft: 'lower',
  },
  { id: 'frontplug', name: 'plug', shape: 'nut', at: 'chambers', item: 'plug1', along: -6, shaft: 'lower' },
  {
    id: 'rearbearing1',
    name: 'bearings',
    shape: 'bearing',
    at: 'chambers',
    item: 'bearing2',
    along: 5,
    shaft: 'upper',
  },
  { id: 'rearplug1', name: 'plug', shape: 'nut', at: 'chambers', item: 'plug2', along: 6, shaft: 'upper' },
  {
    id: 'rearbearing2',
    name: 'bearings',
    shape: 'bearing',
    at: 'chambers',
    item: 'bearing3',
    along: 5,
    shaft: 'lower',
  },
  { id: 'rearplug2', name: 'plug', shape: 'nut', at: 'chambers', item: 'plug3', along: 6, shaft: 'lower' },
  {
    id: 'stationary',
    name: 'stationary',
    shape: 'face',
    at: 'drive',
    item: 'saddle',
    along: -6,
    shaft: 'upper',
  },
  {
    id: 'rotary',
    name: 'rotating element',
    shape: 'face',
    at: 'drive',
    item: 'rotary',
    along: -5,
    shaft: 'upper',
  },
  {
    id: 'saddle',
    name: 'saddle',
    shape: 'sleeve',
    at: 'drive',
    item: 'home',
    along: -7,
    shaft: 'upper',
    door: [-6.5, -4.5],
  },
  {
    id: 'mainbearing',
    name: 'main bearing',
    shape: 'bearing',
    at: 'main',
    item: 'flush',
    along: -8,
    shaft: 'upper',
  },
  {
    id: 'housing',
    name: 'seal housing',
    shape: 'sleeve',
    at: 'main',
    item: 'housing',
    along: -9,
    shaft: 'upper',
  },
  {
    id: 'lockbearing',
    name: 'locking bearing',
    shape: 'bearing',
    at: 'main',
    item: 'locking',
    along: -10,
    shaft: 'upper',
  },
  { id: 'ring', name: 'lock ring', shape: 'ring', at: 'nut', item: 'ring', along: -11, shaft: 'upper' },
  { id: 'nut', name: 'nut', shape: 'nut', at: 'nut', item: 'paste', along: -12, shaft: 'upper' },
];
