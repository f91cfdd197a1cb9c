/** Units: what is typed is read, what is inside is said, quantity by quantity. */

export { parseAngle, sayNutAngle } from '../quantities/angle.ts';
export { formatForce } from '../quantities/force.ts';
export {
  formatLength,
  type LengthUnit,
  lengthDigits,
  MM_PER_INCH,
  parseLength,
  parseTypedNumber,
} from '../quantities/length.ts';
export { allOfBefore } from '../quantities/marks-of-before.ts';
export { measured, type Quantity } from '../quantities/measured.ts';
export { MessageError, saidBy } from '../quantities/message-error.ts';
export { formatPressure } from '../quantities/pressure.ts';
export { formatRoughness, parseRoughness } from '../quantities/roughness.ts';
export { keepAllSaid, keepSaid, say, sayAll } from '../quantities/say.ts';
export { formatTemperature } from '../quantities/temperature.ts';
export { formatTorque, parseTorque, parseTorqueRange, TORQUE_UNITS } from '../quantities/torque.ts';
