import type { Text } from '../message/message.ts';
import { ANGLE } from './angle.ts';
import { COUNT } from './count.ts';
import { FORCE } from './force.ts';
import { FREQUENCY } from './frequency.ts';
import { PRESSURE } from './pressure.ts';
import type { Measured } from './quantity.ts';
import { ROUGHNESS } from './roughness.ts';
import { force, len, pres, rough, temp, tor, velocity } from './say.ts';
import { LENGTH } from './size.ts';
import { TEMPERATURE } from './temperature.ts';
import { TORQUE } from './torque.ts';
import { VELOCITY } from './velocity.ts';

/** What a gauge may show: the only list of quantities. `mark` puts a value into a sentence. */
export const MEASURED = {
  length: { ...LENGTH, mark: (mm) => len(mm) },
  roughness: { ...ROUGHNESS, mark: (mm) => rough(1000 * mm) },
  angle: { ...ANGLE, mark: ANGLE.format },
  torque: { ...TORQUE, mark: tor },
  pressure: { ...PRESSURE, mark: pres },
  temperature: { ...TEMPERATURE, mark: temp },
  count: { ...COUNT, mark: COUNT.format },
  velocity: { ...VELOCITY, mark: velocity },
  frequency: { ...FREQUENCY, mark: FREQUENCY.format },
  force: { ...FORCE, mark: force },
} as const satisfies Record<string, Measured & { mark(value: number): Text }>;

export type Quantity = keyof typeof MEASURED;
/** The units open data carries readings in. */
export type MeasuredUnit = (typeof MEASURED)[Quantity]['open']['unit'];

export const QUANTITIES = Object.keys(MEASURED) as Quantity[];

/** What is known of a quantity, whichever it is. */
export const measured = (quantity: Quantity): Measured & { mark(value: number): Text } => MEASURED[quantity];
