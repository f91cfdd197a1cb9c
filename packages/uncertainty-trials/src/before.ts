import type { Row } from './row.ts';

/**
 * What the rule before came to in these same trials, 4000 of each: it knew no hand, took every one to scatter by 0.4 of a step, and
 * as surely as from five readings. Caught by the mean of 1, 2, 3 and 5 readings; truths on a limit accepted, sound ones stopped, and
 * readings taken up to six steps within a limit.
 */
const BEFORE = [
  { steps: 0.2, caught: [1, 0.999, 0.999, 1], onLimit: 0.001, stopped: 0, readings: 1.5 },
  { steps: 0.3, caught: [0.993, 0.995, 0.996, 0.997], onLimit: 0.009, stopped: 0, readings: 1.5 },
  { steps: 0.5, caught: [0.936, 0.958, 0.964, 0.958], onLimit: 0.081, stopped: 0.001, readings: 1.5 },
  { steps: 0.8, caught: [0.796, 0.848, 0.89, 0.898], onLimit: 0.187, stopped: 0.01, readings: 1.5 },
  { steps: 1, caught: [0.697, 0.793, 0.835, 0.871], onLimit: 0.26, stopped: 0.018, readings: 1.5 },
  { steps: 1.5, caught: [0.528, 0.673, 0.77, 0.828], onLimit: 0.344, stopped: 0.045, readings: 1.5 },
  { steps: 2, caught: [0.415, 0.644, 0.738, 0.822], onLimit: 0.404, stopped: 0.075, readings: 1.4 },
] as const;

const percent = (x: number | undefined): string => (x === undefined ? '' : (100 * x).toFixed(1));
const COUNTS = ['1 reading', '2 readings', '3 readings', '5 readings'] as const;
const MEAN = 'mean of readings ± U';
const ON_LIMIT = 'a truth on its limit is accepted';
const STOPPED = 'what is sound is stopped';

/** Before and after, each hand a row, with the price in readings; `rows` are those of the run. */
export function beforeAndAfter(rows: readonly Row[]): string {
  const told = (hand: string) => {
    const of = (statement: string, cell?: string) =>
      rows.find((r) => r.hand === hand && r.statement === statement && (!cell || r.cell === cell));
    const caught = COUNTS.map((c) => percent(of(MEAN, c)?.share)).join(' / ');
    const stopped = of(STOPPED);
    return [
      caught,
      percent(of(ON_LIMIT)?.share),
      percent(stopped?.share),
      stopped?.readings?.toFixed(1) ?? '',
    ];
  };
  const lines = BEFORE.flatMap(({ steps, caught, onLimit, stopped, readings }) => [
    [
      'before',
      `${steps}`,
      caught.map(percent).join(' / '),
      percent(onLimit),
      percent(stopped),
      readings.toFixed(1),
    ],
    ['after, with a repeat check', `${steps}`, ...told(`${steps}, card`)],
    ['after, without', `${steps}`, ...told(`${steps}, no card`)],
  ]);
  return [
    '| rule | hand, steps | caught by 1 / 2 / 3 / 5 readings, % | truth on its limit accepted, % | sound stopped, % | readings, up to 6 steps within |',
    '| --- | --- | --- | --- | --- | --- |',
    ...lines.map((l) => `| ${l.join(' | ')} |`),
  ].join('\n');
}
