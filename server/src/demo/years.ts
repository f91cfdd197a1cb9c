import type { BearingHand } from '@fulcrant/core/examples';
import { TRUE_SHAFT } from '@fulcrant/core/simulators';
import { type DismountSetup, USUAL_DISMOUNT } from '@fulcrant/core/trades';
import { fittedBy70, hand, hoursAgo, tools } from './hands.ts';
import { dialOn, nearly } from './surveys.ts';
import { POSITIONS } from './works.ts';

/** Months in hours, as far as a demo minds. */
const monthsAgo = (months: number): Date => hoursAgo(months * 30.44 * 24);

/** Work of earlier years: what a position’s history is made of. */
export function years(ids: Map<string, string>): BearingHand[] {
  const p = POSITIONS;
  const mic = tools('mic-3');
  const first = fittedBy70(hand(ids, p.fanDrive, 'asta', monthsAgo(38), mic)).do('sheet.signed', {
    name: 'Asta',
  });
  const takenOff: DismountSetup = {
    ...USUAL_DISMOUNT,
    machine: p.fanDrive.machine,
    position: p.fanDrive.position,
    demo: true,
    asLeftMm: 0.0425,
  };
  const off = hand(ids, takenOff, 'bram', monthsAgo(17), mic)
    .safe()
    .answerAll('found')
    .pass('found')
    .read('residual', 'found/A', 0.085, 'feeler')
    .read('residual', 'found/B', 0.09, 'feeler')
    .pass('residual')
    .answerAll('loose')
    .pass('loose')
    .read('nutback', 'back/1', 800, 'protractor')
    .answerAll('nutback')
    .pass('nutback')
    .answerAll('parts')
    .pass('parts')
    .do('sheet.signed', { name: 'Bram' });
  const second = fittedBy70(hand(ids, p.fanDrive, 'bram', monthsAgo(16.8), mic)).do('sheet.signed', {
    name: 'Bram',
  });
  const swings = [
    [44, 0.0065],
    [32, 0.009],
    [19, 0.0105],
    [7, 0.0135],
  ] as const;
  const surveys = swings.map(([months, offsetMm]) =>
    hand(ids, p.condensate2, months % 2 ? 'asta' : 'bram', monthsAgo(months), mic)
      .safe()
      .answerAll('look')
      .pass('look')
      .follow('shaft', 'micrometer', nearly(59.982))
      .pass('shaft')
      .follow('runout', 'dial', dialOn({ ...TRUE_SHAFT, offsetMm, offsetDeg: 80 }))
      .pass('runout')
      .pass('verdict')
      .do('sheet.signed', { name: months % 2 ? 'Asta' : 'Bram' }),
  );
  return [first, off, second, ...surveys];
}
