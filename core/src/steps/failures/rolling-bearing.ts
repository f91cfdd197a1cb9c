import { type FailureGuide, olderThan, over, seen, under, youngerThan } from '../../engine/failure.ts';

/** A rolling bearing that has come off. */
export const BEARING_FAILURE: FailureGuide = {
  id: 'rolling-bearing',
  part: 'a bearing',
  title: 'A bearing that came off',
  questions: [
    {
      id: 'path',
      ask: 'The running path in the outer ring',
      look: 'Turn it to the light: a matt band where the rollers ran.',
      answers: [
        ['load-side', 'on the loaded side, in the middle'],
        ['round', 'all round'],
        ['edge', 'at one edge'],
        ['askew', 'crossing from one edge to the other'],
        ['spots', 'in marks the rollers’ distance apart'],
      ],
    },
    {
      id: 'surface',
      ask: 'Races and rollers',
      look: 'Loupe and fingernail.',
      answers: [
        ['smooth', 'smooth'],
        ['spalled', 'spalled: pieces broken out'],
        ['dented', 'dented, by hard grit'],
        ['smeared', 'smeared'],
        ['fluted', 'washboard across the path'],
        ['rust', 'rust'],
      ],
    },
    {
      id: 'colour',
      ask: 'Colour',
      look: 'Straw, brown, blue: it was hot.',
      answers: [
        ['bright', 'bright steel'],
        ['straw', 'straw to brown'],
        ['blue', 'blue'],
      ],
    },
    {
      id: 'fretting',
      ask: 'Under ring or sleeve',
      look: 'Red-brown dust and matt patches: it crept or worked.',
      answers: [
        ['none', 'clean'],
        ['under-sleeve', 'fretting between shaft and sleeve'],
        ['under-ring', 'fretting between sleeve and ring'],
        ['housing', 'fretting or wear in the housing seat'],
      ],
    },
    {
      id: 'grease',
      ask: 'The grease',
      look: 'Colour, smell, grit between the fingers, water.',
      answers: [
        ['good', 'like new, a little darker'],
        ['dark', 'dark, hard, burnt smell'],
        ['milky', 'milky: water'],
        ['gritty', 'gritty'],
        ['full', 'the housing was packed full'],
        ['little', 'hardly any'],
      ],
    },
  ],
  causes: [
    {
      id: 'fatigue',
      cause: 'It wore out: the life that was in it',
      next: 'Compare with the reckoned life; nothing to put right where it is of that order.',
      signs: [
        seen('surface', 'spalled', 2, 'it is spalled'),
        seen('path', 'load-side', 1, 'it ran where its load lies'),
        olderThan(1800, 3, 'it lived for years'),
        seen('fretting', 'none', 1, 'it sat fast'),
        youngerThan(200, -3, 'it lived some months only'),
      ],
    },
    {
      id: 'tight',
      cause: 'It was driven up too far: no clearance left when warm',
      next: 'Residual by feelers on the next sheet, against the maker’s least; mind a warm shaft.',
      signs: [
        seen('path', 'round', 2, 'it ran all round'),
        seen('colour', ['straw', 'blue'], 2, 'it was hot'),
        under('residualMm', 0.025, 3, 'its sheet had little clearance left'),
        over('hottestC', 85, 2, 'its sheet had it hot in the first hours'),
        under('foundMm', 0.02, 2, 'it was found with hardly any clearance'),
        seen('colour', 'bright', -2, 'it was never hot'),
      ],
    },
    {
      id: 'loose',
      cause: 'It sat loose: driven up too little, or the sleeve let go',
      next: 'Shaft diameters, drive-up to the band, lock; clearance as found beside as left.',
      signs: [
        seen('fretting', ['under-sleeve', 'under-ring'], 3, 'it worked on its seat'),
        over('foundMm', 0.1, 1, 'it was found with much clearance'),
        under('reductionMm', 0.03, 2, 'its sheet had a small reduction'),
        seen('fretting', 'none', -2, 'its seat is clean'),
      ],
    },
    {
      id: 'askew',
      cause: 'Housing and shaft did not stand in line',
      next: 'Housings’ slopes against the shaft, feet felt for soft ones, coupling read again.',
      signs: [
        seen('path', 'askew', 3, 'its path crosses over'),
        seen('path', 'edge', 1, 'it ran at one edge'),
        over('runoutMm', 0.1, 1, 'its sheet had the shaft bent'),
        over('vibrationMmPerS', 4.5, 1, 'its sheet had it vibrating'),
        seen('path', 'load-side', -2, 'it ran where it should'),
      ],
    },
    {
      id: 'crossed',
      cause: 'It carried thrust it should not: float with no room, two fixed ones',
      next: 'Room at the float, rings on the right side; only one bearing of a shaft is fixed.',
      signs: [
        seen('path', 'edge', 3, 'it ran at one edge'),
        seen('colour', ['straw', 'blue'], 1, 'it was hot'),
        seen('path', ['load-side', 'round'], -2, 'it ran in the middle'),
      ],
    },
    {
      id: 'dirt',
      cause: 'Dirt or water came in',
      next: 'Seals and their lips, what washes the housing, how the grease is kept.',
      signs: [
        seen('surface', 'dented', 3, 'hard grit dented it'),
        seen('grease', 'gritty', 3, 'the grease is gritty'),
        seen('grease', 'milky', 3, 'there was water in it'),
        seen('surface', 'rust', 2, 'it rusted'),
        seen('grease', 'good', -2, 'the grease is clean'),
      ],
    },
    {
      id: 'grease',
      cause: 'Grease: too much, too little, too old, or two that do not go together',
      next: 'Fill by volume, interval by the hours, never two thickeners without asking.',
      signs: [
        seen('grease', 'dark', 2, 'it is burnt'),
        seen('grease', 'full', 2, 'the housing was packed full: it churned'),
        seen('grease', 'little', 3, 'there was hardly any'),
        seen('surface', 'smeared', 2, 'rollers smeared'),
        seen('colour', 'straw', 1, 'it was warm'),
        seen('grease', 'good', -3, 'the grease is as it should be'),
      ],
    },
    {
      id: 'still',
      cause: 'It was shaken while it stood, or struck at fitting',
      next: 'Turn standing machines by hand now and then; no blow through the rollers.',
      signs: [
        seen('path', 'spots', 3, 'it is marked at the rollers’ distance'),
        seen('surface', 'smooth', -1, 'it is smooth'),
        youngerThan(60, 1, 'it lived a few weeks only'),
      ],
    },
    {
      id: 'current',
      cause: 'Electric current went through it',
      next: 'Shaft earthed, insulated bearing or coupling; welding earth never through a bearing.',
      signs: [
        seen('surface', 'fluted', 3, 'it is fluted like a washboard'),
        seen('surface', ['smooth', 'dented', 'spalled'], -2, 'no fluting'),
      ],
    },
  ],
};
