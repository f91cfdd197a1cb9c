import { formatLength, MM_PER_INCH, parseLength } from './length.ts';
import { inBoth, type Measured } from './quantity.ts';
import { UM_PER_UIN } from './roughness.ts';

/** A length: inside mm. */
export const LENGTH = {
  name: 'length',
  open: { unit: 'mm', factor: 1 },
  read(text, unit) {
    const l = parseLength(text, unit);
    return l.ok ? { ok: true, value: l.mm, said: inBoth(formatLength, l.mm) } : l;
  },
  format: formatLength,
  empty: { mm: '0.000', in: '.0000' },
  keys: { sign: '/', units: [' mm', ' thou', ' µm', ' in'] },
  sends: { mm: 1, um: 0.001, in: MM_PER_INCH, inch: MM_PER_INCH, uin: UM_PER_UIN / 1000 },
} as const satisfies Measured;
