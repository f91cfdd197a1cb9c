import { parseTypedNumber } from './length.ts';
import { M } from './messages.ts';
import type { Measured } from './quantity.ts';

/** A count: strokes of a gun, drops a minute. What is counted, the kind of gauge says. */
export const COUNT = {
  name: 'count',
  open: { unit: 'strokes', factor: 1 },
  read(text) {
    const n = parseTypedNumber(text);
    return n && Number.isInteger(n.value) && n.value >= 0
      ? { ok: true, value: n.value, said: `${n.value}` }
      : { ok: false, message: M.typeWholeNumberExample12 };
  },
  format: (n) => `${n}`,
  empty: { mm: '0', in: '0' },
  keys: { units: [] },
  sends: { dpm: 1 },
} as const satisfies Measured;
