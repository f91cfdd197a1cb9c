import type { BearingHand } from '@fulcrant/core/examples';
import { hand, hoursAgo, tools } from './hands.ts';
import { POSITIONS } from './works.ts';

const SMALL_WRENCH = 'wrench-0';
const nearly = (mm: number) => {
  let n = 0;
  return () => Number((mm + ([0.001, -0.002, 0, 0.002, -0.001][n++ % 5] ?? 0)).toFixed(3));
};

/** Work in stuffing boxes: a cartridge that touches, a seal being set, splits in line, a box breaking in, a plunger, a
 * seal wearing. */
export function boxes(ids: Map<string, string>): BearingHand[] {
  const p = POSITIONS;
  const juice = hand(ids, p.thinJuiceSeal, 'bram', hoursAgo(3.4), tools('mic-3', 'feel-b', SMALL_WRENCH))
    .safe()
    .answerAll('parts')
    .pass('parts')
    .follow('shaft', 'micrometer', nearly(59.99))
    .pass('shaft')
    .answerAll('slide')
    .pass('slide')
    .read('ports', 'inlet', 120, 'protractor')
    .read('ports', 'outlet', 60, 'protractor')
    .pass('ports')
    .gate('otherports')
    .gate('impeller')
    .read('reach', 'sleeve', 11.6, 'caliper')
    .pass('reach')
    .tighten('glandbolts')
    .pass('glandbolts')
    .follow('gland-gaps', 'feeler', (at) => (at.key === 'gap/90' ? 0.52 : 0.5))
    .pass('gland-gaps')
    .tighten('screws')
    .pass('screws')
    .answerAll('clips')
    .pass('clips')
    .read('reached', 'sleeve', 11.64, 'caliper')
    .pass('reached')
    .do('gate.answered', { step: 'handturn', item: 'turn0', answer: 'no' })
    .do('gate.answered', { step: 'handturn', item: 'r1-clips', answer: 'yes' })
    .do('gate.answered', { step: 'handturn', item: 'r1-gland', answer: 'yes' });

  const condensate = hand(
    ids,
    p.condensateSeal,
    'asta',
    hoursAgo(2.6),
    tools('mic-3', 'feel-b', SMALL_WRENCH),
  )
    .safe()
    .answerAll('parts')
    .pass('parts')
    .follow('shaft', 'micrometer', nearly(59.99))
    .pass('shaft')
    .read('play', 'end/push/1', 0, 'dial')
    .read('play', 'end/pull/1', 0.06, 'dial')
    .read('play', 'radial/rest/1', 0, 'dial')
    .read('play', 'radial/lift/1', 0.03, 'dial')
    .pass('play')
    .answerAll('scribe')
    .pass('scribe')
    .answerAll('stationary')
    .pass('stationary')
    .read('setting', 'seat', 6.2, 'caliper')
    .read('setting', 'gasket', 0.8, 'caliper');

  const pulp = hand(ids, p.pulpWaterSeal, 'bram', hoursAgo(2.1), tools('mic-4', 'feel-b', SMALL_WRENCH))
    .safe()
    .answerAll('parts')
    .pass('parts')
    .follow('shaft', 'micrometer', nearly(89.99))
    .pass('shaft')
    .answerAll('halves')
    .pass('halves')
    .answerAll('holder')
    .pass('holder')
    .answerAll('rotaryjoint')
    .tighten('rotaryjoint')
    .pass('rotaryjoint')
    .read('splitgaps', 'split/a', 0.12, 'feeler')
    .read('splitgaps', 'split/b', 0.12, 'feeler')
    .answerAll('splitgaps')
    .pass('splitgaps')
    .answerAll('faces')
    .pass('faces')
    .read('angles', 'stationary-split', 88, 'protractor')
    .read('angles', 'rotary-split', 95, 'protractor');

  const lime = hand(ids, p.limePacked, 'asta', hoursAgo(2), tools('mic-3', 'feel-b'))
    .safe()
    .answerAll('strip')
    .pass('strip')
    .follow('shaft', 'micrometer', nearly(59.98))
    .pass('shaft')
    .answerAll('plan')
    .pass('plan')
    .answerAll('cut')
    .pass('cut')
    .follow('rings', 'protractor', (at) => ((Number(at.key.split('/')[1]) - 1) * 90) % 360)
    .answerAll('rings')
    .pass('rings')
    .follow('follower', 'feeler', () => 0.8)
    .answerAll('follower')
    .pass('follower')
    .answerAll('start')
    .pass('start')
    .read('breakin', 'drops/1', 164, 'counter')
    .wait(10)
    .read('breakin', 'drops/2', 130, 'counter')
    .read('breakin', 'flats/1', 60, 'protractor')
    .wait(10)
    .read('breakin', 'drops/3', 88, 'counter')
    .read('breakin', 'flats/2', 60, 'protractor')
    .wait(10)
    .read('breakin', 'drops/4', 62, 'counter')
    .read('breakin', 'gland/1', 41, 'thermometer');

  const plunger = hand(ids, p.dosingPlunger, 'bram', hoursAgo(1.2), tools('mic-3'))
    .safe()
    .gate('look')
    .read('sizes', 'plunger/run', 59.985, 'micrometer')
    .read('sizes', 'plunger/end', 59.998, 'micrometer')
    .read('sizes', 'bore', 80.04, 'caliper')
    .pass('sizes')
    .gate('listed');
  const wear = hand(ids, p.pulpWaterWear, 'asta', hoursAgo(24 * 130), tools('mic-3'))
    .safe()
    .read('wear', 'wear/1', 0.92, 'caliper')
    .wait(60 * 24 * 60)
    .read('wear', 'wear/2', 0.66, 'caliper');
  return [juice, condensate, pulp, lime, plunger, wear];
}
