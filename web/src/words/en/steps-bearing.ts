/** What the pages of steps/bearing say, in ICU MessageFormat. */
export const en = {
  around: 'around it',
  fetchingJobs: 'Loading the jobs …',
  fixedBearings: 'Fixed bearings on {machine}',
  lastShownOlderOnesTheir: 'The last {count} are shown; older ones by their number on the board.',
  named: 'Named',
  noJobFixedBearingMachine:
    'No job of a fixed bearing on this machine is known. Mount it first; or a lead hand accepts, by name.',
  one: 'This one is on',
  stands: 'stands at “{title}”',
} as const;
