import type { BearingHand } from '@fulcrant/core/examples';
import type { Place } from '@fulcrant/core/job';
import { type ShaftModel, surfaceAt, TRUE_SHAFT } from '@fulcrant/core/simulators';
import { hand, hoursAgo, tools } from './hands.ts';
import { POSITIONS } from './works.ts';

/** What a dial of 2 µm steps shows on a shaft. */
export const dialOn = (shaft: ShaftModel) => (p: Place) =>
  Math.round(surfaceAt(shaft, p.turn?.atMm ?? 0, p.turn?.angleDeg ?? 0) / 0.002) * 0.002;
export const nearly = (mm: number) => {
  let n = 0;
  return () => Number((mm + ([0.001, -0.002, 0, 0.002, -0.001][n++ % 5] ?? 0)).toFixed(3));
};

/** Surveys in different states: a bent shaft found, an oval one being read, a coupling to be moved, one signed. */
export function surveys(ids: Map<string, string>): BearingHand[] {
  const p = POSITIONS;
  const bent: ShaftModel = { ...TRUE_SHAFT, bendMmPerM: 0.62, bendFromMm: -12, bendDeg: 118, ovalMm: 0.0015 };
  const juice = hand(ids, p.juiceSeal, 'asta', hoursAgo(5), tools('mic-3'))
    .safe()
    .answerAll('look')
    .pass('look')
    .follow('shaft', 'micrometer', nearly(59.984))
    .pass('shaft')
    .follow('finish', 'roughness', (at) => (at.key.startsWith('shaft') ? 0.00052 : 0.0021))
    .pass('finish')
    .follow('runout', 'dial', dialOn(bent));

  const oval: ShaftModel = { ...TRUE_SHAFT, ovalMm: 0.045, ovalDeg: 35, offsetMm: 0.006, offsetDeg: 250 };
  const lime = hand(ids, p.limeBox, 'bram', hoursAgo(2.5), tools('mic-in'))
    .safe()
    .answerAll('look')
    .pass('look')
    .follow('shaft', 'micrometer', nearly(61.885))
    .pass('shaft')
    .follow('runout', 'dial', dialOn(oval), 13);

  const rim = [0, -0.14, -0.31, -0.17, 0, -0.052, -0.118, -0.066];
  let r = 0;
  const coupling = hand(ids, p.molassesCoupling, 'bram', hoursAgo(1.5), tools('mic-3'))
    .safe()
    .follow('softfoot', 'feeler', (at) => (at.key === 'f2/a' ? 0.16 : 0.02))
    .do('measure.repeated', { step: 'softfoot', done: '0.15 full shim laid under foot 2' })
    .follow('softfoot', 'feeler', () => 0.02)
    .pass('softfoot')
    .read('coupling', 'rim/sag', -0.06, 'dial')
    .follow('coupling', 'dial', () => rim[r++] ?? 0);

  const housings = hand(ids, p.pressHousings, 'asta', hoursAgo(1), tools('mic-4'))
    .safe()
    .follow('softfoot', 'feeler', () => 0.02)
    .pass('softfoot')
    .follow('housings', 'laser', (at) => ({ 'h2/vn': 0.42, 'h2/vf': 1.65 })[at.key] ?? 0.05);

  const signed = hand(ids, p.thickJuice, 'asta', hoursAgo(28), tools('mic-3'))
    .safe()
    .answerAll('look')
    .pass('look')
    .follow('shaft', 'micrometer', nearly(59.982))
    .pass('shaft')
    .follow('runout', 'dial', dialOn({ ...TRUE_SHAFT, bruiseMm: 0.09, bruiseAtMm: 30, bruiseDeg: 225 }))
    .do('measure.repeated', { step: 'runout', done: 'bruise filed, abrasive cloth round the shaft' })
    .follow('runout', 'dial', dialOn({ ...TRUE_SHAFT, offsetMm: 0.006, offsetDeg: 80 }))
    .pass('runout')
    .read('play', 'end/push/1', 0, 'dial')
    .read('play', 'end/pull/1', 0.06, 'dial')
    .read('play', 'radial/rest/1', 0, 'dial')
    .read('play', 'radial/lift/1', 0.03, 'dial')
    .pass('play')
    .pass('verdict')
    .do('sheet.signed', { name: 'Asta' });
  return [juice, lime, coupling, housings, signed];
}
