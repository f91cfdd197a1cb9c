import { DIFFICULTY_IDS } from '@fulcrant/core/job';
import { say } from '@fulcrant/core/units';
import { allRigs, atRandom, careful, careless, debrief, type Laid, layOut } from '@fulcrant/practice';
import '@fulcrant/core/every-trade';
import { type Row, tried } from './row.ts';

const HANDS = [
  ['a careful hand is marked over 90', careful, (score: number) => score > 90],
  ['a careless one under 60', careless, (score: number) => score < 60],
  ['one at random under 30', atRandom, (score: number) => score < 30],
] as const;

/** The mark of a practice bench: every bench, each way it is laid out in turn, so many seeds. It is to be so each time. */
export const marks = (seeds: number): Row[] =>
  allRigs().flatMap((rig) => {
    const laid = (i: number): Laid => layOut(rig, i + 1, DIFFICULTY_IDS[i % DIFFICULTY_IDS.length] ?? 'one');
    return HANDS.map(([statement, hand, right]): Row => {
      const told = tried(seeds, (i) => right(debrief(laid(i), hand(laid(i))).score));
      return { statement, cell: say(rig.name, 'mm'), claimed: 'always', low: 1, high: 1, ...told };
    });
  });
