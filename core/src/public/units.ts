/** Units: what is typed is read, what is inside is said, quantity by quantity. */

export { parseAngle, sayNutAngle } from '../quantities/angle.ts';
export { formatForce, parseForce } from '../quantities/force.ts';
export { formatFrequency, parseFrequency } from '../quantities/frequency.ts';
export {
  formatLength,
  type LengthUnit,
  lengthDigits,
  MM_PER_INCH,
  parseLength,
  parseTypedNumber,
} from '../quantities/length.ts';
export { formatPressure, parsePressure } from '../quantities/pressure.ts';
export { formatRoughness, parseRoughness } from '../quantities/roughness.ts';
export { type Said, say, sayIn } from '../quantities/say.ts';
export { formatTemperature } from '../quantities/temperature.ts';
export { formatTorque, parseTorque } from '../quantities/torque.ts';
export { formatVelocity, parseVelocity } from '../quantities/velocity.ts';
