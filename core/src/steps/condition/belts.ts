import { type BeltSetValues, beltSet } from '../../arithmetic/drives/belt-set.ts';
import { placeKey } from '../../engine/place-key.ts';
import { decisionOf } from '../../engine/setup.ts';
import type { Facts, Place } from '../../engine/state.ts';
import { stepKind } from '../../engine/step.ts';
import { sayReading } from '../../instruments/quantity.ts';
import { gaugeFindings } from '../gauges.ts';
import { inHand } from '../in-hand.ts';
import { needed } from './condition.ts';
import { listedPlace, nextOf, takenAt, valueAt } from './listed-places.ts';
import { M } from './messages.ts';
import { conditionOf, type ShaftSetup } from './shaft-setup.ts';

export type BeltStepValues = BeltSetValues & { by: 'note' | 'force'; spanMm: number };

/** A belt of the set, counted from the machine outwards. */
export const beltKey = placeKey('b{belt}');

const byOf = ({ setup }: Facts<ShaftSetup>): 'note' | 'force' => conditionOf(setup).beltBy ?? 'note';

const all = (facts: Facts<ShaftSetup>): Place[] => {
  const by = byOf(facts);
  return Array.from({ length: needed(conditionOf(facts.setup), 'belts') }, (_, i) => ({
    key: beltKey.write({ belt: i + 1 }),
    label: by === 'note' ? M.noteBelt({ i: i + 1 }) : M.forceBelt({ i: i + 1 }),
    quantity: by === 'note' ? ('frequency' as const) : ('force' as const),
    low: by === 'note' ? 1 : 0.5,
    high: by === 'note' ? 1000 : 5000,
    instrumentKinds: [by === 'note' ? ('tension' as const) : ('force' as const)],
  }));
};

/** Every belt of the drive: the note of its struck span, or the force that bends it by 1/64 of the span. */
export const beltStep = stepKind<ShaftSetup, BeltStepValues>('belts', {
  repeats: true,
  report(facts, step) {
    const c = conditionOf(facts.setup);
    const by = byOf(facts);
    const spanMm = needed(c, 'beltSpanMm');
    const taken = takenAt(facts, step);
    const gauge = inHand(taken, 1);
    const result = beltSet({
      by,
      spanMm,
      readings: all(facts).map((p) => valueAt(facts, step, p.key) ?? null),
      step: gauge.resolutionMm,
      hand: gauge.hand,
      massKgPerM: c.beltMassKgPerM,
      wantedN: c.beltWantedN,
      powerKw: c.beltPowerKw,
      serviceFactor: c.beltServiceFactor,
      speedMPerS: c.beltSpeedMPerS,
      arcDeg: c.beltArcDeg,
      rule: decisionOf(facts.setup),
    });
    const next = nextOf(facts, step, all(facts));
    const wanted = sayReading(by === 'note' ? 'tension' : 'force', result.values.wantedReading);
    return {
      findings: [...result.findings, ...gaugeFindings(taken)],
      working: result.working,
      beams: result.beams,
      values: { ...result.values, by, spanMm } satisfies BeltStepValues,
      next,
      act: next
        ? by === 'note'
          ? M.strikeBeltMiddleSpanWanted({ belt: beltKey.read(next.key)?.belt, wanted })
          : M.bendBeltMiddleSpanWanted({ belt: beltKey.read(next.key)?.belt, wanted })
        : M.everyBeltMeasuredReadVerdict,
    };
  },
  place: (facts, step, key) => listedPlace(facts, step, all(facts), key),
});
