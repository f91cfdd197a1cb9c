import { array, boolean, number, object, string } from 'yup';
import { type Calculator, entry, mm } from '../../judgement/entry.ts';
import { COMMON } from '../../message/common/messages.ts';
import { idsOf } from '../../sources/methods.ts';
import { greaseCompatibility, THICKENERS } from './compatibility.ts';
import { FIRST_FILL } from './fill-method.ts';
import { firstFill } from './first-fill.ts';
import { M } from './messages.ts';
import { ROLLING_KINDS, regreasing, regreasingInterval } from './regreasing.ts';
import { runIn } from './run-in.ts';
import { regreasingWatch } from './watch.ts';

const temperatures = () =>
  array(
    object({
      minutes: number().min(0).max(100000).required(),
      temperatureC: number().min(-40).max(300).required(),
    })
      .noUnknown()
      .required(),
  )
    .max(500)
    .required();
const volume = () => number().min(0).max(1e6);
const speed = () => number().moreThan(0).max(50000).required();

export const LUBRICATION_ENTRIES: readonly Calculator[] = [
  entry(
    'lubrication.first-fill',
    M.firstFillBearingHousing,
    object({
      boreMm: mm(1000).required(),
      outsideMm: mm(2000),
      widthMm: mm(1000),
      massKg: number().moreThan(0).max(20000),
      speedRpm: number().moreThan(0).max(50000),
      housingCm3: volume(),
      baseCm3: volume(),
      school: string().oneOf(idsOf(FIRST_FILL)).required(),
      sealed: boolean(),
      greased: boolean(),
      densityGCm3: number().min(0.5).max(2),
      gramsPerStroke: number().moreThan(0).max(100),
    })
      .noUnknown()
      .test(
        'ring',
        COMMON.outsideMustLargerThanBore,
        (s) => !s || s.outsideMm === undefined || !(s.boreMm >= s.outsideMm),
      ),
    firstFill,
  ),
  entry(
    'lubrication.regreasing',
    M.greasePutRegreasing,
    object({
      outsideMm: mm(2000).required(),
      widthMm: mm(1000).required(),
      gramsPerStroke: number().moreThan(0).max(100),
    }).noUnknown(),
    regreasing,
  ),
  entry(
    'lubrication.interval',
    M.hoursBetweenRegreasings,
    object({
      kind: string().oneOf(ROLLING_KINDS).required(),
      boreMm: mm(1000).required(),
      speedRpm: speed(),
      temperatureC: number().min(-40).max(200),
      vertical: boolean(),
      dirtFactor: number().moreThan(0).max(1),
    }).noUnknown(),
    regreasingInterval,
  ),
  entry(
    'lubrication.run-in',
    M.firstHoursTemperatureTrendWhat,
    object({
      ambientC: number().min(-40).max(60).required(),
      readings: temperatures(),
    }).noUnknown(),
    runIn,
  ),
  entry(
    'lubrication.watch',
    M.temperatureAfterRegreasingUsualRise,
    object({ startC: number().min(-40).max(200).required(), readings: temperatures() }).noUnknown(),
    regreasingWatch,
  ),
  entry(
    'lubrication.compatibility',
    M.mayTwoGreasesMeetThickener,
    object({
      inside: string().oneOf(THICKENERS).required(),
      fresh: string().oneOf(THICKENERS).required(),
    }).noUnknown(),
    greaseCompatibility,
  ),
];
