import { regreasing } from '../../arithmetic/lubrication/regreasing.ts';
import type { Slots } from '../../engine/slots.ts';
import { reportAt } from '../../engine/trades.ts';
import { chosenOf } from '../../sources/methods.ts';
import { minutesAfter } from '../../steps/counted.ts';
import { BEARING_PIECE } from '../../steps/position-pieces.ts';
import { HOTTEST } from '../../steps/series.ts';
import { greaseWatch } from './greasing.ts';
import { M } from './messages.ts';
import { REGREASING } from './methods.ts';
import type { RegreaseSetup } from './setup.ts';
import { BEARING } from './setup.ts';

/** What this trade gives the rest of the product. */
export const slots: Slots<RegreaseSetup> = {
  stage: 'round',
  kit(setup) {
    const { values } = regreasing({ outsideMm: setup.outsideMm, widthMm: setup.widthMm });
    return [
      {
        group: 'grease',
        item: M.thickener({ thickenerFresh: setup.thickenerFresh }),
        count: Math.ceil(values.grams),
        unit: 'g',
      },
    ];
  },
  tasks: [
    {
      id: 'grease',
      name: M.greasedWatched,
      steps: ['safe', 'match', 'strokes', 'watch'],
      skill: 'bearings',
      hands: 1,
      minutes: [15, 20, 35],
    },
  ],
  due(state) {
    const watched = greaseWatch.valuesOf(reportAt(state, 'watch'));
    const last = Date.parse(watched?.points.at(-1)?.at ?? '');
    return watched?.intervalHours == null || Number.isNaN(last)
      ? []
      : [{ what: M.regrease, at: minutesAfter(last, 60 * watched.intervalHours), minutes: 30 }];
  },
  methods: [REGREASING],
  byRules: (rules) => ({ how: chosenOf(rules, REGREASING) }),
  history: { hottestC: { series: HOTTEST } },
  part: { groups: [BEARING], kit: 'parts' },
  position: [BEARING_PIECE],
};
