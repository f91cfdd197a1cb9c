import type { BearingHand } from '@fulcrant/core/examples';
import { gauge, hand, hoursAgo, round90, shifted, tools } from './hands.ts';
import { POSITIONS } from './works.ts';

/** The other schools, a split bearing, a bearing coming off, one just greased, one in its first hours. */
export function otherWork(ids: Map<string, string>): BearingHand[] {
  const p = POSITIONS;
  const layshaft = hand(ids, p.washerMiddle, 'bram', hoursAgo(5.5), tools('mic-3'))
    .safe()
    .survey(shifted(55, round90))
    .pass('shaft')
    .gate('inboard')
    .bench([
      [0.065, 0.065],
      [0.06, 0.065],
      [0.065, 0.065],
    ])
    .pass('bench')
    .answerAll('fit')
    .pass('fit')
    .read('zero', 'tap/1', 14, 'protractor')
    .read('zero', 'tap/2', 4, 'protractor')
    .read('zero', 'tap/3', 0, 'protractor')
    .answerAll('zero')
    .pass('zero')
    .read('driveup', 'turn/1', 60, 'protractor')
    .read('driveup', 'lock/deg60', 3, 'protractor');

  const dryer = hand(ids, p.dryerTail, 'asta', hoursAgo(3.2), {
    ...tools('mic-8'),
    dial: gauge('dial-1'),
  })
    .safe()
    .survey(shifted(200, round90))
    .pass('shaft')
    .answerAll('nuts')
    .pass('nuts')
    .gate('inboard')
    .answerAll('fit')
    .pass('fit')
    .read('driveup', 'start/p', 3, 'pressure')
    .read('driveup', 'start/z', 2.5, 'dial')
    .read('driveup', 'n1/p', 10.5, 'pressure')
    .read('driveup', 'n1/d', 2.01, 'dial')
    .read('driveup', 'n2/p', 15, 'pressure')
    .read('driveup', 'n2/d', 1.52, 'dial');

  const fan = hand(ids, p.coolFixed, 'bram', hoursAgo(26), tools('mic-3'))
    .safe()
    .survey(shifted(70, round90))
    .pass('shaft')
    .gate('inboard')
    .bench([
      [0.085, 0.085],
      [0.08, 0.085],
      [0.085, 0.085],
    ])
    .pass('bench')
    .pass('target')
    .gate('fit')
    .drive(0, 0.085, 0.085)
    .drive(45, 0.07, 0.07)
    .drive(90, 0.05, 0.055)
    .drive(112.5, 0.045, 0.045)
    .read('driveup', 'lock/deg112.5', 3, 'protractor')
    .pass('driveup')
    .lock(3, [
      [0.04, 0.04],
      [0.04, 0.04],
    ])
    .pass('lock')
    .bolts()
    .pass('bolts')
    .answerAll('handturn')
    .pass('handturn')
    .wait(60 * 24)
    .answerAll('start')
    .pass('start')
    .read('runin', 'ambient', 19, 'thermometer')
    .read('runin', 't/1', 22, 'thermometer')
    .wait(14)
    .read('runin', 't/2', 39, 'thermometer')
    .wait(14)
    .read('runin', 't/3', 47.5, 'thermometer')
    .wait(14)
    .read('runin', 't/4', 52, 'thermometer');
  const fanFloat = hand(ids, p.coolFloat, 'asta', hoursAgo(2.2), tools('mic-3')).safe();

  const screw = hand(ids, p.screwDrive, 'asta', hoursAgo(4.5), tools('mic-4', 'feel-a', 'wrench-1'))
    .safe()
    .survey(shifted(100, round90))
    .pass('shaft')
    .answerAll('pedestal')
    .pass('pedestal')
    .answerAll('outer')
    .tighten('outer')
    .answerAll('outer')
    .pass('outer')
    .answerAll('grease1')
    .pass('grease1')
    .read('race', 'race/a', 0.24, 'feeler')
    .read('race', 'race/b', 0.24, 'feeler')
    .answerAll('race')
    .pass('race')
    .follow('clamps', 'feeler', () => 0.24, 6)
    .read('clamps', 'offset', 90, 'protractor')
    .answerAll('clamps')
    .pass('clamps')
    .read('axial', 'side/towards', 1.4, 'caliper')
    .read('axial', 'side/away', 1.6, 'caliper')
    .answerAll('axial')
    .pass('axial')
    .tighten('seat', (round) => (round === 1 ? 38 : round === 2 ? 9 : 2), 14);

  const off = hand(ids, p.pressOff, 'bram', hoursAgo(2.8), tools('mic-4'))
    .safe()
    .answerAll('found')
    .pass('found')
    .answerAll('loose')
    .pass('loose')
    .read('nutback', 'back/1', 720, 'protractor')
    .pass('nutback')
    .read('letgo', 'n1/peak', 34, 'pressure')
    .read('letgo', 'n1/after', 31.5, 'pressure');

  const grease = hand(ids, p.dryerGrease, 'asta', hoursAgo(1.4), tools('mic-4'))
    .safe()
    .pass('match')
    .read('strokes', 'before', 58, 'thermometer')
    .read('strokes', 'strokes/1', 60, 'gun')
    .read('strokes', 'strokes/2', 37, 'gun')
    .answerAll('strokes')
    .pass('strokes')
    .wait(12)
    .read('watch', 't/1', 66, 'thermometer')
    .wait(14)
    .read('watch', 't/2', 71, 'thermometer');
  return [layshaft, dryer, fan, fanFloat, screw, off, grease];
}
