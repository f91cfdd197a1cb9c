import type { BearingHand } from '@fulcrant/core/examples';
import { fittedBy70, hand, hoursAgo, round90, shifted, tools } from './hands.ts';
import { POSITIONS } from './works.ts';

/** Bearings judged by feelers, in different states. */
export function fittings(ids: Map<string, string>): BearingHand[] {
  const p = POSITIONS;
  const fan = fittedBy70(hand(ids, p.fanDrive, 'bram', hoursAgo(30), tools('mic-3'))).do('sheet.signed', {
    name: 'Bram',
  });

  const washer = hand(ids, p.washerGear, 'asta', hoursAgo(9), tools('mic-5'))
    .safe()
    .survey(shifted(125, round90))
    .pass('shaft')
    .gate('inboard')
    .bench([
      [0.185, 0.185],
      [0.18, 0.185],
      [0.185, 0.185],
    ])
    .pass('bench')
    .pass('target')
    .gate('fit')
    .drive(0, 0.185, 0.185)
    .drive(45, 0.17, 0.17)
    .drive(90, 0.155, 0.155)
    .drive(135, 0.135, 0.14)
    .drive(180, 0.12, 0.125)
    .drive(202.5, 0.115, 0.115)
    .drive(225, 0.105, 0.11)
    .read('driveup', 'lock/deg225', 2, 'protractor')
    .pass('driveup')
    .lock(2, [
      [0.105, 0.105],
      [0.105, 0.11],
    ])
    .pass('lock');

  const press = hand(ids, p.pressGear, 'asta', hoursAgo(4), tools('mic-4'))
    .safe()
    .survey(round90)
    .pass('shaft')
    .gate('inboard')
    .bench([
      [0.1, 0.1],
      [0.1, 0.105],
      [0.1, 0.1],
    ])
    .pass('bench')
    .pass('target')
    .gate('fit')
    .drive(0, 0.1, 0.1)
    .read('driveup', 'lock/deg0', 4, 'protractor')
    .drive(45, 0.085, 0.085)
    .drive(90, 0.07, 0.07);

  const oval = [124.961, 124.958, 124.92, 124.957, 124.955, 124.918, 124.956, 124.954, 124.921];
  const washerTail = hand(ids, p.washerTail, 'asta', hoursAgo(7), tools('mic-5')).safe().survey(oval);

  const lime = hand(ids, p.limeMilk, 'bram', hoursAgo(3), tools('mic-in', 'feel-in'))
    .safe()
    .survey([61.895, 61.8925, 61.8975, 61.8925]);

  const juice = hand(ids, p.juice, 'bram', hoursAgo(6), tools('mic-5'))
    .safe()
    .survey(shifted(110, round90))
    .pass('shaft')
    .gate('inboard')
    .bench([
      [0.13, 0.13],
      [0.125, 0.13],
      [0.13, 0.13],
    ])
    .pass('bench')
    .pass('target')
    .gate('fit')
    .drive(0, 0.13, 0.13)
    .drive(45, 0.115, 0.115)
    .drive(90, 0.095, 0.1)
    .drive(180, 0.035, 0.03);

  const dryer = hand(ids, p.dryer, 'bram', hoursAgo(5), tools('mic-6', 'feel-b'))
    .safe()
    .survey(shifted(140, round90))
    .pass('shaft')
    .gate('inboard')
    .bench([
      [0.21, 0.21],
      [0.2, 0.21],
      [0.21, 0.2],
    ])
    .pass('bench')
    .pass('target')
    .gate('fit');

  const tail = hand(ids, p.pressTail, 'asta', hoursAgo(2), tools('mic-4'));
  return [fan, washer, washerTail, juice, dryer, press, lime, tail];
}
