import { WHY_BEARING, WHY_EVERY, WHY_SHAFT, type Why } from '../../steps/why.ts';

/** Why each step of packing a box is there. */
export const why: Why = {
  ...WHY_EVERY,
  ...WHY_SHAFT,
  handturn: WHY_BEARING.handturn ?? '',
  strip:
    'One old ring left at the bottom takes the place of a new one, and the lantern no longer comes under its port. They are counted out, because the last is the one that is not seen.',
  plan: 'Section is half of what bore and shaft leave. The length is that of the middle of the ring, not of the shaft; a skewed cut takes more. Most of the sealing is done by the first few rings at the follower: many more only rub.',
  cut: 'A ring too long bulges, one too short gapes, and both leak for good. Cut on a mandrel of the shaft’s size and tried in the box, the first one is the pattern for all.',
  rings:
    'Opened sideways like a spring washer a ring keeps its shape; bent straight it cracks on the inside. Each is seated on its own, for the follower presses only the nearest. Joints set off, or all of them make one channel.',
  follower:
    'A follower that is cocked presses one side hard and leaves the other loose: it burns here and leaks there. Finger-tight and the gap alike all round is how it begins.',
  start:
    'New packing must run wet. Generous leakage carries its heat away until it has bedded; tightened dry in the first minutes it glazes, and then leaks for ever.',
  breakin:
    'Each flat moves the follower by a sixth of the pitch, and the packing follows some minutes later. Who does not wait tightens twice. The steady drops are not a fault: they are the cooling.',
};
