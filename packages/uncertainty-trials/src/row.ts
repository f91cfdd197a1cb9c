/** One thing the product states, tried many times: what it claims, what share of the truths it caught. */
export type Row = {
  /** What is stated, and in which corner of the grid it was tried. */
  statement: string;
  cell: string;
  trials: number;
  /** Share of the truths that were caught, or of what was named falsely. */
  share: number;
  /** Between these it holds. */
  low: number;
  high: number;
  claimed: string;
};

/** How far the share itself is uncertain at 99 %, for as many trials: a row is outside only beyond that. */
const slack = (share: number, trials: number): number =>
  2.58 * Math.sqrt(Math.max(1e-4, share * (1 - share)) / Math.max(1, trials));

export const holds = (r: Row): boolean =>
  r.trials > 0 &&
  r.share >= r.low - slack(r.low || r.share, r.trials) &&
  r.share <= r.high + slack(r.high === 1 ? r.share : r.high, r.trials);

const percent = (x: number): string => `${(100 * x).toFixed(1)} %`;

/** The table as it is printed and kept in docs. */
export function table(rows: readonly Row[]): string {
  const lines = rows.map(
    (r) =>
      `| ${r.statement} | ${r.cell} | ${r.claimed} | ${percent(r.low)} to ${percent(r.high)} | ${percent(r.share)} | ${r.trials} | ${holds(r) ? 'holds' : '**outside**'} |`,
  );
  return [
    '| what is stated | tried on | claimed | band | caught | trials | |',
    '| --- | --- | --- | --- | --- | --- | --- |',
    ...lines,
  ].join('\n');
}

/** A stated 95 %. */
export const NINETY_FIVE = { claimed: '95 %', low: 0.93, high: 0.97 } as const;

/** How often a trial came true. */
export function tried(trials: number, one: (i: number) => boolean | null): { share: number; trials: number } {
  let [hits, counted] = [0, 0];
  for (let i = 0; i < trials; i++) {
    const hit = one(i);
    if (hit === null) continue;
    counted++;
    if (hit) hits++;
  }
  return { share: counted === 0 ? 0 : hits / counted, trials: counted };
}
