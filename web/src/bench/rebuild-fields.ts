import type { Text } from '@fulcrant/core/messages';
import { M } from './messages.ts';
/** What the inputs of pumps put together are called on the bench. */
export const REBUILD_LABELS: Record<string, Text> = {
  pieces: M.piecesHandThicknessMmHow,
  stackMm: M.stackLiesThereLoose,
  clearancesMm: M.clearancesOverGearsMm,
  leastMm: M.wantedLeast,
  mostMm: M.wantedMost,
  compressedFraction: M.lostUnderTorqueShareThickness,
  fractionUncertainty: M.shareStandardUncertainty,
  pairs: M.stacksMeasuredLooseUnderTorque,
  wantedMm: M.thicknessWanted,
  toleranceMm: M.mayOff,
  floatMm: M.endFloatMeasured,
  moreShims: M.oneMoreShimMakes,
  tasks: M.tasksNameMinutesAfterWhich,
  resources: M.whatThereNameHowMany,
  seed: M.seedSearch,
  seconds: M.secondsLook,
  lips: M.lipsWhichMustFaceFaces,
};

/** An example to start each of their sums from. */
export const REBUILD_START: Record<string, Record<string, string>> = {
  'rebuild.gasket-stack': {
    pieces: '0.1 8\n0.15 6',
    stackMm: '0.5',
    clearancesMm: '0.05 0.06 0.04 0.05',
    leastMm: '0',
    mostMm: '0.25',
    pairs: '0.40 0.37\n0.60 0.55\n0.80 0.74',
    resolutionMm: '0.01',
  },
  'rebuild.gasket-compression': { pairs: '0.40 0.37\n0.60 0.55\n0.80 0.74' },
  'rebuild.shim-stack': { pieces: '0.1 4\n0.2 3\n0.5 2', wantedMm: '1.3', toleranceMm: '0.02' },
  'rebuild.end-float': {
    floatMm: '0.28',
    stackMm: '1.3',
    leastMm: '0.10',
    mostMm: '0.20',
    moreShims: 'looser',
    resolutionMm: '0.01',
    pieces: '0.1 4\n0.2 3\n0.5 2',
  },
  'planning.schedule': {
    tasks:
      'survey 60 - crew:1\nbearing 180 survey crew:2,pump:1\nseal 150 bearing crew:1\nfan 200 - crew:1,pump:1\nalign 60 seal,fan crew:2',
    resources: 'crew 2\npump 1',
  },
  'rebuild.lip-orientation': { lips: 'front-chamber inward inward\nfront-housing inward outward' },
};
