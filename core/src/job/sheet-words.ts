import { MEASURE_TITLE } from '../api/condition.ts';
import { conditionOf, type Setup, schoolsOf } from '../api/setup.ts';
import { len, num, rough, tor } from '../quantities/say.ts';
import type { FitUpSheet, SheetReading } from './sheet.ts';

/** What the sheet of a job is called. */
export const sheetTitle = (sheet: Pick<FitUpSheet, 'procedure'>): string =>
  sheet.procedure.id === 'condition.survey' ? 'Condition sheet' : 'Fit-up sheet';

const FIT_WORDS = { fit: 'fit to receive', 'not-fit': 'not fit', undecided: 'undecided' } as const;

/** The numbers asked for a year later, as heading and text with quantity marks; a dash where there is none. */
export function resultRows(sheet: FitUpSheet): Array<[string, string]> {
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
  const { boltCount, boltSize, boltGrade } = sheet.setup;
  return [
    shaft,
    ['Bench clearance', length(r.benchMm)],
    ['Reduction', length(r.reductionMm)],
    ['Residual clearance', length(r.residualMm)],
    ['Nut from snug', r.nutDeg === null ? '–' : `${(r.nutDeg / 360).toFixed(2)} turn`],
    ['Cap bolts', r.torqueNm === null ? '–' : `${boltCount} × ${boltSize} ${boltGrade}, ${tor(r.torqueNm)}`],
  ];
}

/** What was worked on, in a line with quantity marks: sizes, and the house rules the verdicts rest on. */
export function describeSetup(setup: Setup): string {
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
  return [
    `Part ${setup.partNumber ?? 'not given'}`,
    shaft,
    `bore ${len(setup.boreMm, 1)}`,
    `taper 1:${setup.taper}`,
    `class ${setup.clearanceClass === 'CN' ? 'normal' : setup.clearanceClass}`,
    `sleeve pitch ${len(setup.pitchMm, 2)}`,
    `${setup.nutSlots} slots, ${setup.washerTabs} tabs`,
    `gap felt at the ${setup.feltAt}`,
    setup.feel === 'goes' ? 'thickest blade that goes' : 'snug blade',
    asked,
    rules,
  ].join('; ');
}

/** A reading's value with its unit, as a quantity mark. */
export const sayReading = (r: Pick<SheetReading, 'value' | 'unit'>): string =>
  r.unit === 'deg' ? `${r.value}°` : r.unit === 'µm' ? rough(r.value) : len(r.value);

/** Where a reading stands, with the attempt and the measuring it belongs to where they are not the first. */
export const sayPlace = (r: Pick<SheetReading, 'place' | 'attempt' | 'measuring'>): string =>
  `${r.attempt > 1 ? `${r.attempt}: ` : ''}${r.measuring > 1 ? `measuring ${r.measuring}: ` : ''}${r.place}`;
