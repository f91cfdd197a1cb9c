import { type FailureGuide, olderThan, over, seen, under, youngerThan } from '../../engine/failure.ts';

/** Two years of running: most seals that reach it were fitted right. */
const OLD_SEAL_DAYS = 700;
const YOUNG_SEAL_DAYS = 60;

/** A mechanical seal that has come out. */
export const SEAL_FAILURE: FailureGuide = {
  id: 'face-seal',
  part: 'a mechanical seal',
  title: 'A mechanical seal that came out',
  questions: [
    {
      id: 'track',
      ask: 'The wear track on the hard face',
      look: 'Hold it to the light, turn it slowly. The softer face is the narrower one: its width is what the track should have.',
      answers: [
        ['as-face', 'as wide as the narrower face, even all round'],
        ['wide', 'wider than the narrower face, all round'],
        ['narrow', 'narrower than it'],
        ['one-side', 'deep or wide on one side only'],
        ['broken', 'not all round: it does not close'],
        ['none', 'hardly a track at all'],
      ],
    },
    {
      id: 'heat',
      ask: 'Heat',
      look: 'Blue, brown or matt patches; a net of fine cracks running outwards.',
      answers: [
        ['none', 'no sign of it'],
        ['round', 'all round'],
        ['patch', 'in patches'],
        ['cracks', 'fine cracks from the middle outwards'],
      ],
    },
    {
      id: 'chips',
      ask: 'Edges of the faces',
      look: 'Both edges of both faces, by fingernail.',
      answers: [
        ['whole', 'whole'],
        ['outer', 'chipped at the outer edge'],
        ['inner', 'chipped at the inner edge'],
        ['split', 'broken through'],
      ],
    },
    {
      id: 'oring',
      ask: 'O-rings',
      look: 'Bend each, look at its section, and compare with a new one.',
      answers: [
        ['good', 'round and soft as new'],
        ['set', 'flat, set to the groove'],
        ['swollen', 'swollen or gone soft'],
        ['hard', 'hard, cracked'],
        ['nibbled', 'cut or nibbled'],
      ],
    },
    {
      id: 'sleeve',
      ask: 'Sleeve or shaft where the moving O-ring sat',
      look: 'A bright or rusty ring is fretting; a step is wear.',
      answers: [
        ['clean', 'clean'],
        ['fretted', 'fretted: a worn ring'],
        ['scored', 'scored along'],
        ['marked', 'marked by set screws where none belong'],
      ],
    },
    {
      id: 'moving',
      ask: 'The part that moves along',
      look: 'Press it by hand; look between springs and under the moving ring.',
      answers: [
        ['free', 'moves freely'],
        ['clogged', 'clogged: product, crystals, lime'],
        ['stuck', 'stuck'],
        ['worn', 'drive pins or lugs worn on one side'],
      ],
    },
    {
      id: 'clips',
      ask: 'Clips, pins, spacers',
      look: 'Is anything still in that should have come out, or the other way about?',
      answers: [
        ['out', 'all out, as they should be'],
        ['left', 'one was left in'],
        ['unknown', 'cannot be told any more'],
      ],
    },
  ],
  causes: [
    {
      id: 'worn-out',
      cause: 'It wore out: the life that was in it',
      next: 'Nothing to put right. Plan the next one by the days this one lived.',
      signs: [
        seen('track', 'as-face', 2, 'the track is as wide as the face and even'),
        olderThan(OLD_SEAL_DAYS, 2, 'it lived long'),
        youngerThan(YOUNG_SEAL_DAYS, -3, 'it lived a few weeks only'),
        seen('heat', ['round', 'patch', 'cracks'], -2, 'it ran hot'),
        seen('chips', ['outer', 'inner', 'split'], -2, 'its faces are chipped'),
        seen('oring', ['swollen', 'hard', 'nibbled'], -1, 'its O-rings suffered'),
      ],
    },
    {
      id: 'runout',
      cause: 'The shaft swings: it runs out, or bends under its load',
      next: 'Read the run-out at the seal and at the impeller, and the play of the bearings, before the next one goes in.',
      signs: [
        seen('track', 'wide', 3, 'the track is wider than the face all round'),
        over('runoutMm', 0.05, 3, 'its sheet had a large run-out'),
        under('runoutMm', 0.03, -2, 'its sheet had the shaft running true'),
        over('radialPlayMm', 0.08, 2, 'its sheet had play in the bearings'),
        seen('moving', 'worn', 1, 'its drive is worn on one side'),
        seen('sleeve', 'fretted', 1, 'the moving O-ring fretted the sleeve'),
        seen('track', ['as-face', 'narrow'], -2, 'the track is no wider than the face'),
      ],
    },
    {
      id: 'square',
      cause: 'Gland or seat stood out of square',
      next: 'Sweep the box face, feel the gland’s gaps at four places, look at the gasket for two layers or dirt.',
      signs: [
        seen('track', 'one-side', 3, 'the track is deep on one side'),
        seen('track', 'broken', 2, 'the track does not close'),
        over('glandSpreadMm', 0.05, 3, 'its sheet had the gland’s gaps uneven'),
        over('faceMm', 0.05, 2, 'its sheet had the box face out of square'),
        under('glandSpreadMm', 0.03, -2, 'its sheet had the gland square'),
        seen('moving', 'worn', 1, 'it nodded once a turn: its drive is worn'),
        seen('track', 'as-face', -2, 'the track is even'),
      ],
    },
    {
      id: 'dry',
      cause: 'It ran dry, or its flush failed',
      next: 'Look at flush, vent and filling: was the box full before the start, is the line open, does the pump run off its curve?',
      signs: [
        seen('heat', 'cracks', 3, 'fine cracks run outwards: heated and quenched'),
        seen('heat', 'round', 2, 'it was hot all round'),
        seen('oring', 'hard', 2, 'its O-rings are hard'),
        seen('track', 'as-face', 1, 'the track is even and deep'),
        over('hottestC', 90, 1, 'its sheet had it warm from the first hours'),
        seen('heat', 'none', -3, 'nothing was hot'),
      ],
    },
    {
      id: 'attack',
      cause: 'The O-rings were of the wrong stuff for this fluid',
      next: 'Look up elastomer, fluid and temperature; mineral grease on EPDM does the same.',
      signs: [
        seen('oring', 'swollen', 3, 'they are swollen'),
        seen('oring', 'hard', 1, 'they are hard'),
        seen('moving', 'stuck', 1, 'the moving part stuck on them'),
        seen('oring', ['good', 'set'], -2, 'they are sound'),
        youngerThan(YOUNG_SEAL_DAYS, 1, 'it went within weeks'),
      ],
    },
    {
      id: 'clogged',
      cause: 'Product got between: it hung up and the faces opened',
      next: 'Quench or flush against crystals and lime; a clean barrier; is the leak side washed?',
      signs: [
        seen('moving', 'clogged', 3, 'the moving part is clogged'),
        seen('moving', 'stuck', 2, 'it is stuck'),
        seen('chips', 'inner', 1, 'solids nibbled the inner edge'),
        seen('track', 'none', 1, 'the faces hardly ran on each other'),
        seen('moving', 'free', -3, 'it moves freely'),
      ],
    },
    {
      id: 'set-wrong',
      cause: 'It was set wrong: pressed too much, too little, or a clip left in',
      next: 'Prove the next one: distance sleeve to gland before clips and after screws; impeller and growth reckoned in.',
      signs: [
        seen('clips', 'left', 3, 'a clip was left in'),
        seen('track', 'none', 2, 'the faces hardly met'),
        seen('heat', 'round', 1, 'pressed too much it runs hot'),
        seen('sleeve', 'marked', 1, 'screws marked the sleeve: it moved, or was moved'),
        seen('clips', 'out', -1, 'all clips were out'),
        youngerThan(YOUNG_SEAL_DAYS, 2, 'it went within weeks'),
        olderThan(OLD_SEAL_DAYS, -3, 'it lived long'),
      ],
    },
    {
      id: 'cavitation',
      cause: 'The pump hammers: cavitation, or run off its curve',
      next: 'Listen at the suction; look at its head, the strainer, and where on its curve it runs.',
      signs: [
        seen('chips', 'outer', 3, 'the outer edges are chipped'),
        seen('chips', 'split', 2, 'a face broke through'),
        seen('moving', 'worn', 1, 'the drive was hammered'),
        over('vibrationMmPerS', 4.5, 2, 'its sheet had it vibrating'),
        over('endPlayMm', 0.15, 1, 'its sheet had much end play'),
        seen('chips', 'whole', -2, 'the edges are whole'),
      ],
    },
    {
      id: 'hurt',
      cause: 'It was hurt while it was fitted',
      next: 'Chamfer, cover splines and keyway, clean hands, nothing dropped: the next one goes in by the sheet.',
      signs: [
        seen('oring', 'nibbled', 3, 'an O-ring is cut'),
        seen('sleeve', 'scored', 2, 'the sleeve is scored along'),
        seen('chips', 'split', 1, 'a face is broken through'),
        youngerThan(7, 3, 'it leaked within days'),
        olderThan(OLD_SEAL_DAYS, -3, 'it lived long'),
      ],
    },
  ],
};
