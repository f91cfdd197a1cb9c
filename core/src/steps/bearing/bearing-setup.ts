import type { InferType } from 'yup';
import type { ShaftSetup } from '../condition/shaft-setup.ts';
import type { BoltSet, closingSchema, floatSchema, greaseSchema, runInSchema } from './fitting-parts.ts';

/** What the sheet of a bearing may carry beside its fitting. mm. */
export type BearingSetup = ShaftSetup & {
  role: 'fixed' | 'float';
  boreMm: number;
  float?: InferType<typeof floatSchema> | undefined;
  closing?: InferType<typeof closingSchema> | undefined;
  grease?: InferType<typeof greaseSchema> | undefined;
  baseBolts?: BoltSet | undefined;
  carrierBolts?: BoltSet | undefined;
  ringScrews?: BoltSet | undefined;
  runIn?: InferType<typeof runInSchema> | undefined;
};

/** What a new bearing's sheet usually carries beside the fitting: close-up, load and base bolts, the first hours. */
export const USUAL_PARTS: Pick<BearingSetup, 'closing' | 'grease' | 'baseBolts' | 'runIn'> = {
  // How it is filled is the site's rule.
  grease: { how: 'fill' } as NonNullable<BearingSetup['grease']>,
  closing: { order: 'room', seals: 'labyrinth', rings: 'both' },
  baseBolts: { size: 'M20', grade: '8.8', count: 4, friction: 'oiled', layout: 'rectangle' },
  runIn: {},
};
