import { BOLT_GRADES, BOLT_SIZES } from '@fulcrant/core';
import { chosen, type Field, type FormValues, f, same, withPart } from './field.ts';

const THREADS = [
  ['dry', 'dry'],
  ['oiled', 'lightly oiled'],
  ['anti-seize', 'anti-seize'],
] as const;

/** A set of bolts or screws: size, grade, number, threads, how they are set out, the sheet’s torque. */
export const boltSet = (
  name: string,
  group: string,
  layouts: ReadonlyArray<readonly [string, string]>,
  when?: (values: FormValues) => boolean,
): Field[] => {
  const more = when ? { when } : {};
  return [
    f(group, `${name}.size`, 'Size', 'choice', {
      options: same(BOLT_SIZES.map((b) => b.name)),
      fallback: 'M16',
      ...more,
    }),
    f(group, `${name}.grade`, 'Grade', 'choice', { options: same(BOLT_GRADES), fallback: '8.8', ...more }),
    f(group, `${name}.count`, 'How many', 'number', { fallback: '4', ...more }),
    f(group, `${name}.friction`, 'Threads', 'choice', { options: THREADS, fallback: 'oiled', ...more }),
    ...(layouts.length > 0
      ? [
          f(group, `${name}.layout`, 'Set out as', 'choice', {
            options: layouts,
            fallback: layouts[0]?.[0] ?? '',
            ...more,
          }),
        ]
      : []),
    f(group, `${name}.makerTorqueNm`, 'Torque on the sheet', 'torque', { optional: true, ...more }),
  ];
};

const floats = chosen('role', 'float');
const closes = withPart('closing');
const greases = withPart('grease');
const fills = (school: string) => (v: FormValues) => greases(v) && v['grease:school'] === school;

/** What a bearing’s sheet may carry beside the fitting itself. */
export const ALONGSIDE: Field[] = [
  f('Float', 'float.spanMm', 'Between the bearing centres', 'length', { decimals: 0, when: floats }),
  f('Float', 'float.shaftOverBaseK', 'Shaft warmer than base, K', 'number', { when: floats }),
  f('Float', 'float.marginMm', 'Margin beside the growth', 'length', {
    optional: true,
    decimals: 1,
    when: floats,
  }),
  ...(
    [
      ['closing', 'Housing close-up'],
      ['grease', 'First fill'],
      ['baseBolts', 'Load and base bolts'],
      ['runIn', 'First hours'],
    ] as const
  ).map(([part, label]) => f('Also on this sheet', `with.${part}`, label, 'flag', { optional: true })),
  f('Housing', 'closing.order', 'Closed', 'choice', {
    fallback: 'room',
    when: closes,
    options: [
      ['room', 'with room, cap first'],
      ['in-place', 'in place, seals first'],
    ],
  }),
  f('Housing', 'closing.seals', 'Seals', 'choice', {
    fallback: 'labyrinth',
    when: closes,
    options: [
      ['labyrinth', 'labyrinth'],
      ['contact', 'contact, lip'],
    ],
  }),
  f('Housing', 'closing.rings', 'Fixing rings', 'choice', {
    optional: true,
    when: (v) => closes(v) && v.role === 'fixed',
    options: [
      ['both', 'one each side'],
      ['shoulder', 'one, at the shoulder'],
      ['free-side', 'one, free side'],
      ['none', 'none'],
    ],
  }),
  f('Housing', 'closing.snapRing', 'Snap ring', 'choice', {
    optional: true,
    when: closes,
    options: [
      ['as-was', 'as it was'],
      ['to-fixed', 'moved: now fixed'],
      ['to-float', 'moved: now a float'],
    ],
  }),
  f('Housing', 'closing.endCover', 'Shaft ends here: cover', 'flag', { optional: true, when: closes }),
  f('First fill', 'grease.school', 'Filled', 'choice', {
    fallback: 'by-speed',
    when: greases,
    options: [
      ['by-speed', 'by speed'],
      ['to-shaft', 'base to the shaft'],
      ['share', '20 to 40 %'],
    ],
  }),
  f('First fill', 'grease.outsideMm', 'Bearing outside', 'length', { decimals: 0, when: greases }),
  f('First fill', 'grease.widthMm', 'Bearing width', 'length', { decimals: 0, when: greases }),
  f('First fill', 'grease.massKg', 'Bearing mass, kg', 'number', { when: greases }),
  f('First fill', 'grease.speedRpm', 'Speed, rpm', 'number', { when: greases }),
  f('First fill', 'grease.housingCm3', 'Housing, free, cm³', 'number', { when: greases }),
  f('First fill', 'grease.baseCm3', 'Base to the shaft, cm³', 'number', {
    optional: true,
    when: fills('to-shaft'),
  }),
  f('First fill', 'grease.gramsPerStroke', 'Gun, g a stroke', 'number', { optional: true, when: greases }),
  f('First fill', 'grease.sealed', 'Bearing is sealed', 'flag', { optional: true, when: greases }),
  f('First fill', 'grease.greased', 'Unit came greased', 'flag', { optional: true, when: greases }),
  ...boltSet(
    'baseBolts',
    'Base bolts',
    [
      ['rectangle', 'rectangle'],
      ['circle', 'circle'],
    ],
    withPart('baseBolts'),
  ),
  f('First hours', 'runIn.retorque', 'Sheet asks for another round of the bolts', 'flag', {
    optional: true,
    when: withPart('runIn'),
  }),
  f('First hours', 'runIn.lightProduct', 'Light product: brought up with vapour', 'flag', {
    optional: true,
    when: withPart('runIn'),
  }),
];
