import { MEASURE_TITLE } from '../api/condition.ts';
import { conditionOf, type JobKind, type Setup, schoolOf, schoolsOf } from '../api/setup.ts';
import { SEAL_FAMILY_TITLE } from '../procedures/seal.ts';
import { len, num, pres, rough, temp, tor } from '../quantities/say.ts';
import type { FitUpSheet, SheetReading } from './sheet.ts';

/** What the sheet of a job is called. */
export const sheetTitle = (sheet: Pick<FitUpSheet, 'procedure'>): string =>
  SHEET_TITLE[sheet.procedure.id as JobKind] ?? 'Fit-up sheet';

const SHEET_TITLE: Partial<Record<JobKind, string>> = {
  'condition.survey': 'Condition sheet',
  dismounting: 'Dismounting sheet',
  regreasing: 'Greasing sheet',
  seal: 'Seal sheet',
  packing: 'Packing sheet',
  plunger: 'Plunger sheet',
  'seal-wear': 'Wear sheet',
};

const FIT_WORDS = { fit: 'fit to receive', 'not-fit': 'not fit', undecided: 'undecided' } as const;

/** The numbers asked for a year later, as heading and text with quantity marks; a dash where there is none. */
export function resultRows(sheet: Pick<FitUpSheet, 'setup' | 'results'>): Array<[string, string]> {
  const r = sheet.results;
  const length = (mm: number | null) => (mm === null ? '–' : len(mm));
  const shaft: [string, string] = [
    'Shaft, smallest and largest',
    r.smallestMm === null || r.largestMm === null ? '–' : `${num(r.smallestMm)} and ${len(r.largestMm)}`,
  ];
  if (sheet.setup.procedure === 'condition.survey')
    return [
      ['Verdict', r.verdict === null ? '–' : FIT_WORDS[r.verdict]],
      shaft,
      ['Run-out, largest TIR', length(r.runoutMm)],
      [
        'End play, radial play',
        `${r.endPlayMm === null ? '–' : num(r.endPlayMm)} and ${length(r.radialPlayMm)}`,
      ],
      ['Box face, TIR', length(r.faceMm)],
      ['Box bore, TIR', length(r.boreMm)],
    ];
  const setup = sheet.setup;
  if (setup.procedure === 'dismounting') return [['Let go at', r.letGoMpa === null ? '–' : pres(r.letGoMpa)]];
  if (setup.procedure === 'regreasing')
    return [
      ['Grease given', r.greaseG === null ? '–' : `${r.greaseG.toFixed(0)} g`],
      ['Hottest afterwards', r.hottestC === null ? '–' : temp(r.hottestC)],
      ['Again in', r.intervalH === null ? '–' : `${Math.round(r.intervalH)} hours`],
    ];
  const leak: Array<[string, string]> =
    r.dropsPerMin === null ? [] : [['Leakage, last counted', `${r.dropsPerMin} drops a minute`]];
  if (setup.procedure === 'plunger')
    return [
      [
        'Nut from its mark',
        r.preloadDeg === null ? '–' : `${r.preloadDeg}° · ${len((setup.nutPitchMm * r.preloadDeg) / 360, 2)}`,
      ],
    ];
  if (setup.procedure === 'seal-wear')
    return [
      ['Baseline', len(setup.baselineMm, 2)],
      ['Stands now', r.wearMm === null ? '–' : len(r.wearMm, 2)],
      ['Service due on', r.wearDueOn ?? '–'],
    ];
  if (setup.procedure === 'packing')
    return [
      shaft,
      ['Rings in', r.rings === null ? '–' : String(r.rings)],
      ['Cut to', r.ringCutMm === null ? '–' : len(r.ringCutMm, 1)],
      ['Follower, spread of its gaps', length(r.glandSpreadMm)],
      ['Flats turned', r.flats === null ? '–' : String(r.flats)],
      ...leak,
    ];
  if (setup.procedure === 'seal')
    return [
      shaft,
      ...(r.compressionMm === null
        ? []
        : [['Compression as it runs', len(r.compressionMm, 2)] as [string, string]]),
      ['Gland, spread of its gaps', length(r.glandSpreadMm)],
      ['Gland bolts', r.torqueNm === null ? '–' : `${setup.glandBolts}, ${tor(r.torqueNm)}`],
      ...(r.recoveryRounds === null
        ? []
        : [['Rounds of centring recovery', String(r.recoveryRounds)] as [string, string]]),
      ...(r.baselineMm === null ? [] : [['Wear baseline', len(r.baselineMm, 2)] as [string, string]]),
      ...leak,
    ];
  const torque = (set: string) => (r.torqueNm === null ? '–' : `${set}, ${tor(r.torqueNm)}`);
  const hottest: Array<[string, string]> =
    r.hottestC === null ? [] : [['Hottest in the first hours', temp(r.hottestC)]];
  if (setup.procedure === 'split-bearing')
    return [
      shaft,
      ['Race gaps, both joints', r.gapsMm === null ? '–' : `${num(r.gapsMm[0])} and ${len(r.gapsMm[1])}`],
      ['Seating rounds', r.seatingRounds === null ? '–' : String(r.seatingRounds)],
      ['Cap bolts', torque(`${setup.capBolts.count} × ${setup.capBolts.size} ${setup.capBolts.grade}`)],
      ...hottest,
    ];
  return [
    shaft,
    ['Bench clearance', length(r.benchMm)],
    ['Reduction', length(r.reductionMm)],
    ['Residual clearance', length(r.residualMm)],
    ...(r.travelMm === null ? [] : [['Drive-up', length(r.travelMm)] as [string, string]]),
    ['Nut from snug', r.nutDeg === null ? '–' : `${(r.nutDeg / 360).toFixed(2)} turn`],
    ['Cap bolts', torque(`${setup.boltCount} × ${setup.boltSize} ${setup.boltGrade}`)],
    ...hottest,
  ];
}

/** What was worked on, in a line with quantity marks: sizes, and the house rules the verdicts rest on. */
export function describeSetup(setup: Setup): string {
  const part = `Part ${setup.partNumber ?? 'not given'}`;
  if (setup.procedure === 'dismounting')
    return [part, `sleeve: ${setup.design.replace('-', ' ')}`, setup.twoNuts ? 'two nuts' : '']
      .filter(Boolean)
      .join('; ');
  if (setup.procedure === 'regreasing')
    return [
      part,
      `bearing ${len(setup.boreMm, 0)} × ${len(setup.outsideMm, 0)} × ${len(setup.widthMm, 0)}`,
      `${setup.speedRpm} rpm`,
      setup.how === 'running' ? 'while it runs' : 'standing still',
      `${setup.thickenerFresh} on ${setup.thickenerInside}`,
    ].join('; ');
  if (setup.procedure === 'plunger')
    return [part, `lubricated with ${setup.lubrication}`, `nut’s pitch ${len(setup.nutPitchMm, 2)}`].join(
      '; ',
    );
  if (setup.procedure === 'seal-wear')
    return [
      part,
      `fitted ${setup.fittedOn}`,
      setup.gauge === 'pins' ? 'read on the locking pins' : 'read against the setting spacer',
      `service at ${len(setup.serviceMm, 2)}`,
    ].join('; ');
  const schools = schoolsOf(setup);
  const c = conditionOf(setup);
  const rules = `house rules: run-out ${schools.runout}, face ${schools.face}, end play ${schools.endPlay}, decision ${schools.decision === 'k2' ? 'k = 2' : '1.65 u at one-sided limits'}`;
  const shaft = `shaft ${len(setup.shaftMm, 3)} ${setup.shaftSystem}`;
  const asked = `measures: ${c.measures.map((m) => MEASURE_TITLE[m].toLowerCase()).join(', ')}`;
  if (setup.procedure === 'condition.survey')
    return [
      `Part ${setup.partNumber ?? 'none'}`,
      shaft,
      `seat for ${(c.seat ?? 'adapter-sleeve').replace('-', ' ')}`,
      c.boxBoreMm === undefined ? '' : `box bore ${len(c.boxBoreMm, 1)}`,
      asked,
      rules,
    ]
      .filter(Boolean)
      .join('; ');
  if (setup.procedure === 'split-bearing')
    return [
      part,
      shaft,
      `bore ${len(setup.boreMm, 1)}`,
      `clamp screws ${setup.clampScrews.count} × ${setup.clampScrews.size} ${setup.clampScrews.grade}`,
      `outer race: ${setup.raceSchool === 'joints-first' ? 'joints first' : 'square on its shoulder first'}`,
      asked,
      rules,
    ].join('; ');
  if (setup.procedure === 'packing')
    return [
      part,
      shaft,
      `box ${len(setup.boxBoreMm, 1)} × ${len(setup.boxDepthMm, 1)}`,
      `${setup.cut} cut, allowance ${setup.allowancePercent} %, joints ${setup.staggerDeg}° apart`,
      setup.leakSchool === 'flat'
        ? `leakage ${setup.flatDropsPerMin} drops a minute`
        : 'leakage by shaft diameter',
      asked,
      rules,
    ].join('; ');
  if (setup.procedure === 'seal')
    return [
      part,
      shaft,
      SEAL_FAMILY_TITLE[setup.family].toLowerCase(),
      setup.freeLengthMm === undefined || setup.compressionMm === undefined
        ? ''
        : `free ${len(setup.freeLengthMm, 2)}, compressed by ${len(setup.compressionMm, 2)}`,
      setup.elastomer ? `${setup.elastomer} in ${setup.fluid ?? 'a fluid not given'}` : '',
      setup.oRings ? `O-ring ends ${setup.oRings}` : '',
      setup.tail && (setup.family === 'cartridge' || setup.family === 'cassette')
        ? setup.tail.replace('-', ' ')
        : '',
      setup.spacer ? `spacer ${setup.spacer}` : '',
      asked,
      rules,
    ]
      .filter(Boolean)
      .join('; ');
  return [
    part,
    shaft,
    `bore ${len(setup.boreMm, 1)}`,
    `taper 1:${setup.taper}`,
    `class ${setup.clearanceClass === 'CN' ? 'normal' : setup.clearanceClass}`,
    `drive-up by ${schoolOf(setup).replace('-', ' ')}`,
    `sleeve pitch ${len(setup.pitchMm, 2)}`,
    `${setup.nutSlots} slots, ${setup.washerTabs} tabs`,
    `gap felt at the ${setup.feltAt}`,
    setup.feel === 'goes' ? 'thickest blade that goes' : 'snug blade',
    asked,
    rules,
  ].join('; ');
}

/** A reading's value with its unit, as a quantity mark. */
export function saySheetReading(r: Pick<SheetReading, 'value' | 'unit'>): string {
  switch (r.unit) {
    case 'mm':
      return len(r.value);
    case 'µm':
      return rough(r.value);
    case 'deg':
      return `${r.value}°`;
    case 'N·m':
      return tor(r.value);
    case 'MPa':
      return pres(r.value);
    case '°C':
      return temp(r.value);
    case 'strokes':
      return `${r.value} strokes`;
    case 'drops/min':
      return `${r.value} drops/min`;
  }
}
