import {
  BOLT_GRADES,
  BOLT_SIZES,
  check,
  type LengthUnit,
  lengthDigits,
  parseLength,
  parseTorque,
  parseTypedNumber,
  type Setup,
  setupSchema,
} from '@fulcrant/core';

type Kind = 'text' | 'length' | 'number' | 'torque' | 'choice';

export type Field = {
  name: string;
  label: string;
  group: string;
  kind: Kind;
  options?: ReadonlyArray<readonly [string, string]>;
  optional?: boolean;
  decimals?: number;
};

const f = (group: string, name: string, label: string, kind: Kind, more: Partial<Field> = {}): Field => ({
  group,
  name,
  label,
  kind,
  ...more,
});
const same = (values: readonly string[]) => values.map((v) => [v, v] as const);

/** The setup form: what is asked, in the order of the work. Lengths are typed as people say them. */
export const FIELDS: readonly Field[] = [
  f('Place', 'machine', 'Machine', 'text'),
  f('Place', 'position', 'Position', 'text'),
  f('Place', 'role', 'Bearing is', 'choice', {
    options: [
      ['fixed', 'fixed'],
      ['float', 'float'],
    ],
  }),
  f('Place', 'partNumber', 'Part, as stamped', 'text', { optional: true }),
  f('Bearing and sleeve', 'boreMm', 'Bearing bore', 'length', { decimals: 1 }),
  f('Bearing and sleeve', 'taper', 'Taper', 'choice', {
    options: [
      ['12', '1:12'],
      ['30', '1:30'],
    ],
  }),
  f('Bearing and sleeve', 'clearanceClass', 'Clearance class', 'choice', {
    options: [
      ['C2', 'C2'],
      ['CN', 'normal'],
      ['C3', 'C3'],
      ['C4', 'C4'],
      ['C5', 'C5'],
    ],
  }),
  f('Bearing and sleeve', 'pitchMm', 'Sleeve thread pitch', 'length', { decimals: 2 }),
  f('Bearing and sleeve', 'nutSlots', 'Nut slots', 'number'),
  f('Bearing and sleeve', 'washerTabs', 'Washer tabs', 'number'),
  f('Bearing and sleeve', 'feltAt', 'Gap is felt', 'choice', {
    options: [
      ['top', 'top (ring standing)'],
      ['bottom', 'bottom (ring hanging)'],
    ],
  }),
  f('Bearing and sleeve', 'feel', 'A reading is', 'choice', {
    options: [
      ['snug', 'the snug blade, as felt'],
      ['goes', 'the thickest blade that goes'],
    ],
  }),
  f('Shaft', 'shaftSystem', 'Shaft is', 'choice', {
    options: [
      ['metric', 'metric, h9'],
      ['inch', 'inch commercial'],
    ],
  }),
  f('Shaft', 'shaftMm', 'Shaft diameter', 'length', { decimals: 3 }),
  f('Shaft', 'hollowBoreMm', 'Bore of a hollow shaft', 'length', { optional: true, decimals: 1 }),
  f('Shaft', 'seatMm', 'Seat length', 'length', { decimals: 1 }),
  f('Shaft', 'stations', 'Stations along it', 'number'),
  f('Shaft', 'angles', 'Angles at each', 'number'),
  f('Cap bolts', 'boltSize', 'Size', 'choice', { options: same(BOLT_SIZES.map((b) => b.name)) }),
  f('Cap bolts', 'boltGrade', 'Grade', 'choice', { options: same(BOLT_GRADES) }),
  f('Cap bolts', 'boltCount', 'Bolts', 'number'),
  f('Cap bolts', 'boltLayout', 'Set out as', 'choice', {
    options: [
      ['rectangle', 'rectangle'],
      ['circle', 'circle'],
    ],
  }),
  f('Cap bolts', 'friction', 'Threads', 'choice', {
    options: [
      ['dry', 'dry'],
      ['oiled', 'lightly oiled'],
      ['anti-seize', 'anti-seize'],
    ],
  }),
  f('Cap bolts', 'holdBefore', 'Lead hand releases before', 'choice', {
    options: [
      ['', 'nothing'],
      ['driveup', 'drive-up'],
      ['lock', 'lock'],
      ['bolts', 'cap bolts'],
      ['handturn', 'hand turn'],
      ['sign', 'signature'],
    ],
  }),
  f('Maker’s sheet, outranks every table', 'maker.benchLowerMm', 'Bench clearance, least', 'length', {
    optional: true,
  }),
  f('Maker’s sheet, outranks every table', 'maker.benchUpperMm', 'Bench clearance, most', 'length', {
    optional: true,
  }),
  f('Maker’s sheet, outranks every table', 'maker.reductionMinMm', 'Reduction, least', 'length', {
    optional: true,
  }),
  f('Maker’s sheet, outranks every table', 'maker.reductionMaxMm', 'Reduction, most', 'length', {
    optional: true,
  }),
  f('Maker’s sheet, outranks every table', 'maker.leastResidualMm', 'Least residual', 'length', {
    optional: true,
  }),
  f('Maker’s sheet, outranks every table', 'maker.shaftLowerMm', 'Shaft, least', 'length', {
    optional: true,
  }),
  f('Maker’s sheet, outranks every table', 'maker.shaftUpperMm', 'Shaft, most', 'length', { optional: true }),
  f('Maker’s sheet, outranks every table', 'maker.torqueNm', 'Cap-bolt torque', 'torque', { optional: true }),
];

export type FormValues = Record<string, string>;

/** RHF reads a dot as nesting; the maker's fields travel with a colon. */
export const formName = (name: string): string => name.replace('.', ':');

function valueAt(setup: Partial<Setup>, name: string): unknown {
  const [head, tail] = name.split('.') as [string, string?];
  const v = (setup as Record<string, unknown>)[head];
  return tail ? (v as Record<string, unknown> | undefined)?.[tail] : v;
}

/** A setup as the form shows it, lengths in the unit in force. */
export function toForm(setup: Partial<Setup>, unit: LengthUnit): FormValues {
  return Object.fromEntries(
    FIELDS.map((field) => {
      const v = valueAt(setup, field.name);
      const text =
        v === undefined || v === null
          ? ''
          : field.kind === 'length' && typeof v === 'number'
            ? `${Number(lengthDigits(v, unit, Math.max(3, field.decimals ?? 3)))} ${unit}`
            : field.name === 'holdBefore'
              ? ((v as string[])[0] ?? '')
              : field.kind === 'torque'
                ? `${v} N·m`
                : String(v);
      return [formName(field.name), text];
    }),
  );
}

export type FormFaults = Record<string, string>;

function readField(field: Field, text: string, unit: LengthUnit): { value: unknown } | { message: string } {
  if (text === '')
    return field.optional || field.name === 'holdBefore'
      ? { value: field.name === 'holdBefore' ? [] : undefined }
      : { message: `${field.label} is missing.` };
  switch (field.kind) {
    case 'length': {
      const r = parseLength(text, unit);
      return r.ok ? { value: Number(r.mm.toFixed(6)) } : { message: r.message };
    }
    case 'torque': {
      const r = parseTorque(text, unit);
      return r.ok ? { value: Number(r.nm.toFixed(3)) } : { message: r.message };
    }
    case 'number': {
      const r = parseTypedNumber(text);
      return r ? { value: r.value } : { message: `${field.label} is a number.` };
    }
    case 'choice':
      return { value: field.name === 'taper' ? Number(text) : field.name === 'holdBefore' ? [text] : text };
    case 'text':
      return { value: text };
  }
}

/** The form as a setup, or a sentence for each field that is not right. `base` keeps what the form does not ask. */
export function fromForm(values: FormValues, unit: LengthUnit): { setup: Setup } | { faults: FormFaults } {
  const faults: FormFaults = {};
  const setup: Record<string, unknown> = { maker: {} };
  for (const field of FIELDS) {
    const read = readField(field, (values[formName(field.name)] ?? '').trim(), unit);
    if ('message' in read) faults[formName(field.name)] = read.message;
    else if (read.value !== undefined) {
      const [head, tail] = field.name.split('.') as [string, string?];
      if (tail) (setup[head] as Record<string, unknown>)[tail] = read.value;
      else setup[head] = read.value;
    }
  }
  if (Object.keys(faults).length > 0) return { faults };
  const checked = check(setupSchema, setup);
  if (checked.ok) return { setup: checked.value as Setup };
  for (const { path, message } of checked.faults) {
    const field = FIELDS.find((x) => x.name === path);
    faults[field ? formName(field.name) : 'shaftMm'] = field ? message.replace(path, field.label) : message;
  }
  return { faults };
}
