import { describe, expect, it } from 'vitest';
import { placeAt } from '../engine/admit.ts';
import { reduce } from '../engine/judge.ts';
import type { PlaceQuantity } from '../engine/place-quantity.ts';
import type { Setup } from '../engine/setup.ts';
import type { Place, Reading } from '../engine/state.ts';
import { inOpenUnit } from '../instruments/quantity.ts';
import { readValue } from '../job/read-value.ts';
import { isText } from '../message/message.ts';
import { MPA_PER_PSI } from '../quantities/pressure.ts';
import { say } from '../quantities/say.ts';
import { saySheetReading } from '../sheet/words.ts';
import { MEASURES } from '../steps/condition/condition.ts';
import { english } from '../testing/english.ts';
import { EVERY_KIND, workAll } from '../testing/every-kind.ts';
import { gauge, handAt, surveyor } from '../testing/test-stand.ts';
import type { ConditionSetup } from './survey/setup.ts';
import { USUAL_CONDITION } from './survey/setup.ts';

type Unit = 'mm' | 'in';

/**
 * What a person types for a value at a kind of place, and how far the typed digits may be off it. Written out here by hand
 * (25.4 mm to the inch, 1 psi = 0.0068948 MPa, °F = 1.8 °C + 32, 60° to a flat of a hexagon), so that it shares nothing with
 * what reads it back.
 */
const typed: Record<PlaceQuantity, (v: number, unit: Unit) => { text: string; within: number }> = {
  diameter: length(4),
  gap: length(4),
  dial: length(4),
  length: length(3),
  angle: (v) => ({ text: String(v), within: 1e-9 }),
  roughness: (v, unit) =>
    unit === 'mm'
      ? { text: (v * 1000).toFixed(2), within: 0.000005 }
      : { text: ((v * 1e6) / 25.4).toFixed(1), within: 0.0000013 },
  pressure: (v, unit) =>
    unit === 'mm' ? { text: String(v), within: 1e-9 } : { text: (v / 0.0068948).toFixed(2), within: 0.0005 },
  temperature: (v, unit) =>
    unit === 'mm' ? { text: String(v), within: 1e-9 } : { text: (1.8 * v + 32).toFixed(1), within: 0.03 },
  // 1 lbf·ft = 1.355818 N·m.
  torque: (v, unit) =>
    unit === 'mm' ? { text: String(v), within: 1e-9 } : { text: (v / 1.355818).toFixed(3), within: 0.0007 },
  count: (v) => ({ text: String(v), within: 0 }),
  // 1 mm/s rms = √2 / 25.4 in/s peak.
  velocity: (v, unit) =>
    unit === 'mm'
      ? { text: String(v), within: 1e-9 }
      : { text: ((v * Math.SQRT2) / 25.4).toFixed(4), within: 0.001 },
  frequency: (v) => ({ text: String(v), within: 1e-9 }),
  // 1 lbf = 4.448222 N.
  force: (v, unit) =>
    unit === 'mm' ? { text: String(v), within: 1e-9 } : { text: (v / 4.448222).toFixed(4), within: 0.0003 },
  flats: (v) => ({ text: String(v / 60), within: 1e-9 }),
};
function length(inchDigits: number) {
  return (v: number, unit: Unit) =>
    unit === 'mm'
      ? { text: v.toFixed(3), within: 0.00051 }
      : { text: (v / 25.4).toFixed(inchDigits), within: 25.4 * 0.51 * 10 ** -inchDigits };
}

const met = new Set<PlaceQuantity>();

/** Type a value at a place and see that the same value is understood. */
function types(place: Place, value: number): void {
  met.add(place.quantity);
  for (const unit of ['mm', 'in'] as const) {
    const { text, within } = typed[place.quantity](value, unit);
    const seen = readValue(text, place.quantity, unit);
    const where = `“${text}” at ${english(place.label)} (${place.quantity}) on a sheet in ${unit}`;
    if ('message' in seen) throw new Error(`${where}: ${english(seen.message)}`);
    expect(Math.abs(seen.value - value), where).toBeLessThanOrEqual(within);
    expect(english(seen.said), where).toMatch(/\d/);
  }
}

/** What stands on the sheet for a reading, read back by a person in that unit. */
function prints(r: Reading, kind: PlaceQuantity): void {
  for (const unit of ['mm', 'in'] as const) {
    const line = say(saySheetReading(inOpenUnit(r.instrument.kind, r.value)), unit);
    const n = Number.parseFloat(line.replace('−', '-'));
    const back = line.includes('µin')
      ? (n * 25.4) / 1e6
      : line.includes('µm')
        ? n / 1000
        : line.includes('in/s')
          ? (n * 25.4) / Math.SQRT2
          : line.includes(' in')
            ? n * 25.4
            : line.includes('psi')
              ? n * MPA_PER_PSI
              : line.includes('°F')
                ? (n - 32) / 1.8
                : line.includes('lbf·ft')
                  ? n * 1.355818
                  : line.includes('kN')
                    ? n * 1000
                    : line.includes('lbf')
                      ? n * 4.448222
                      : n;
    const near = {
      ...{ pressure: 0.06, temperature: 0.6, torque: 0.07, roughness: 0.00001 },
      // A decimal of a lbf, or of a kN.
      ...{ frequency: 0.06, force: 51 },
    } as Partial<Record<PlaceQuantity, number>>;
    expect(Math.abs(back - r.value), `${line} for ${r.value} at ${r.place}`).toBeLessThanOrEqual(
      near[kind] ?? 0.0016,
    );
  }
}

/** Every reading of a worked job, and every other place that could have been read at that moment. */
function everyPlace(events: Parameters<typeof reduce>[0]): number {
  let count = 0;
  for (const [i, e] of events.entries()) {
    if (e.type !== 'reading.taken') continue;
    const state = reduce(events.slice(0, i));
    if (!state) throw new Error('A reading before the job is opened.');
    const place = placeAt(state, e.data.step, e.data.place);
    if (isText(place)) throw new Error(english(place));
    types(place, e.data.value);
    const after = reduce(events.slice(0, i + 1))?.readings.at(-1);
    if (after) prints(after, place.quantity);
    const report = state.steps.find((s) => s.id === e.data.step)?.report;
    for (const choice of report?.choices ?? []) {
      const other = placeAt(state, e.data.step, choice.key);
      if (!isText(other))
        types(
          other,
          Math.round(Math.min(other.high, Math.max(other.low, other.low + 0.3 * (other.high - other.low)))),
        );
    }
    count++;
  }
  return count;
}

describe('what a person types is what is stored, said back and printed, in both units', () => {
  it.each(Object.entries<Setup>(EVERY_KIND))('at every place of a job %s', (_name, setup) => {
    const { events } = workAll(handAt(setup));
    const read = events.some((e) => e.type === 'reading.taken');
    expect(everyPlace(events) > 0).toBe(read);
  });

  it.each(['note', 'force'] as const)(
    'at every place of a survey with all its measures, belts by their %s',
    (beltBy) => {
      const all: ConditionSetup['condition'] = {
        ...USUAL_CONDITION.condition,
        measures: MEASURES.filter((m) => m !== 'look' && m !== 'shaft'),
        belts: 3,
        beltBy,
        beltSpanMm: 560,
        beltMassKgPerM: 0.19,
        beltWantedN: 310,
        seat: 'mechanical-seal',
        runoutStations: 1,
        runoutAngles: 6,
        boxBoreMm: 90,
        faceRadiusMm: 60,
        feet: 4,
        housings: 2,
        housingSpanMm: 600,
        housingWidthMm: 200,
        couplingMethod: 'rim-and-face',
        speedRpm: 1450,
        faceDiameterMm: 150,
        frontFeetMm: 200,
        feetSpanMm: 400,
        sealBoreLowerMm: 80,
        sealBoreUpperMm: 95,
        sealDepthMm: 50,
      };
      const h = surveyor({ shaftMm: 60 }, all);
      h.safe();
      const tool = {
        micrometer: 60,
        feeler: 0.04,
        dial: 0.004,
        caliper: 90,
        roughness: 0.0004,
        laser: 0.02,
        tension: 36,
        force: 19.4,
      } as const;
      for (let i = 0; i < 600; i++) {
        const present = h.state.steps.find((s) => s.id === h.state.present);
        const next = present?.report?.next;
        if (!present || present.id === 'verdict') break;
        if (!next) {
          h.answerAll(present.id);
          if (h.state.steps.find((s) => s.id === present.id)?.blocking.length) break;
          h.pass(present.id);
          continue;
        }
        const kind = next.instrumentKinds[0] as keyof typeof tool;
        const usual = tool[kind];
        const value = usual >= next.low && usual <= next.high ? usual : (next.low + next.high) / 2;
        h.read(present.id, next.key, Number(value.toFixed(4)), kind);
      }
      expect(h.state.present).toBe('verdict');
      expect(everyPlace(h.events)).toBeGreaterThan(30);
    },
  );

  it('with every kind of place met', () => {
    expect([...met].sort()).toEqual(Object.keys(typed).sort());
  });

  it('and drops a minute are the drops counted', () => {
    // Seen in use: 30 typed was kept as 1800, and the proof and the break-in judged by it.
    expect(readValue('30', 'count', 'mm')).toEqual({ value: 30, said: '30' });
    expect(english(readValue('2 1/2', 'count', 'mm'))).toHaveProperty('message');
    expect(gauge('drops', 'counter', 1, 0, 2000).high).toBeGreaterThan(30);
  });
});
