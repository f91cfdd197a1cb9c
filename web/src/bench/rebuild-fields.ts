/** What the inputs of pumps put together are called on the bench. */
export const REBUILD_LABELS: Record<string, string> = {
  pieces: 'Pieces on hand: thickness in mm, how many; one a line',
  stackMm: 'The stack that lies there, loose',
  clearancesMm: 'Clearances over the gears, mm',
  leastMm: 'Wanted: least',
  mostMm: 'Wanted: most',
  compressedFraction: 'Lost under torque, share of the thickness',
  fractionUncertainty: 'That share, standard uncertainty',
  pairs: 'Stacks measured: loose, under torque, mm; one a line',
  wantedMm: 'Thickness wanted',
  toleranceMm: 'It may be off by',
  floatMm: 'End float measured',
  moreShims: 'One more shim makes it',
  tasks: 'Tasks: name, minutes, after which (a,b or -), what it needs (pump:1,crew:2 or -); one a line',
  resources: 'What there is: name, how many; one a line',
  seed: 'Seed of the search',
  seconds: 'Seconds to look',
  lips: 'Lips: which, must face, faces; one a line',
};

/** An example to start each of their sums from. */
export const REBUILD_START: Record<string, Record<string, string>> = {
  'rebuild.gasket-stack': {
    pieces: '0.1 8\n0.15 6',
    stackMm: '0.5',
    clearancesMm: '0.05 0.06 0.04 0.05',
    leastMm: '0',
    mostMm: '0.25',
    pairs: '0.40 0.37\n0.60 0.55\n0.80 0.74',
    resolutionMm: '0.01',
  },
  'rebuild.gasket-compression': { pairs: '0.40 0.37\n0.60 0.55\n0.80 0.74' },
  'rebuild.shim-stack': { pieces: '0.1 4\n0.2 3\n0.5 2', wantedMm: '1.3', toleranceMm: '0.02' },
  'rebuild.end-float': {
    floatMm: '0.28',
    stackMm: '1.3',
    leastMm: '0.10',
    mostMm: '0.20',
    moreShims: 'looser',
    resolutionMm: '0.01',
    pieces: '0.1 4\n0.2 3\n0.5 2',
  },
  'planning.schedule': {
    tasks:
      'survey 60 - crew:1\nbearing 180 survey crew:2,pump:1\nseal 150 bearing crew:1\nfan 200 - crew:1,pump:1\nalign 60 seal,fan crew:2',
    resources: 'crew 2\npump 1',
  },
  'rebuild.lip-orientation': { lips: 'front-chamber inward inward\nfront-housing inward outward' },
};
