import type { PackingSetup, PlungerSetup } from '../../api/setup.ts';
import type { Finding } from '../../calculators/result.ts';
import { answerTo, standing } from '../../engine/facts.ts';
import type { Facts, Place, Reading } from '../../engine/state.ts';
import { type BreakInValues, packingBreakIn } from '../../packing/break-in.ts';
import {
  firstWrong,
  PART_NAME,
  type PlungerPreloadValues,
  plungerPreload,
  type VRingPart,
} from '../../packing/plunger.ts';
import { type PackingRingsValues, packingRings } from '../../packing/rings.ts';
import type { StepKind } from '../types.ts';
import { EVERY_MIN, minutesAfter, nextCount, rowOf } from './counted.ts';
import { gaugeFindings } from './gauges.ts';
import { itemFindings } from './item-findings.ts';
import { anglePlace, listedPlace, nextListed, valueAt } from './places-in-order.ts';

/** The packing of a job’s box, worked out from its setup. */
export const ringsOf = (facts: Pick<Facts, 'setup'>) => {
  const s = facts.setup as PackingSetup;
  return packingRings({
    shaftMm: s.shaftMm,
    boxBoreMm: s.boxBoreMm,
    boxDepthMm: s.boxDepthMm,
    lanternMm: s.lanternMm,
    portMm: s.portMm,
    allowancePercent: s.allowancePercent,
    cut: s.cut,
    boxes: s.boxes,
    staggerDeg: s.staggerDeg,
  });
};

/** Section, ring length, count, lantern and order, told before anything is cut. */
export const packingPlan: StepKind = {
  report(facts, step) {
    const result = ringsOf(facts);
    return {
      ...result,
      findings: [...result.findings, ...itemFindings(facts, step)],
      values: result.values satisfies PackingRingsValues,
      next: null,
      act: result.findings[0]?.reason ?? '',
    };
  },
};

export type RingsStepValues = { plan: PackingRingsValues; jointsDeg: number[]; staggerDeg: number };

/** A joint stands so far from the last one at the least. Common practice, no source. */
const STAGGER_WITHIN_DEG = 20;

/** Ring by ring to the bottom of the box, each seated on its own, its joint off the one before. */
export const ringsLoop: StepKind = {
  report(facts, step) {
    const plan = ringsOf(facts).values;
    const stagger = (facts.setup as PackingSetup).staggerDeg;
    const taken = standing(facts, step.id);
    const jointsDeg = rowOf(taken, 'ring/').map((r) => r.value);
    const missing = plan.count - jointsDeg.length;
    const findings: Finding[] = jointsDeg.flatMap((deg, i) => staggered(jointsDeg, i, deg, stagger));
    if (missing > 0)
      findings.push({
        code: 'rings.open',
        verdict: 'incomplete',
        reason: `${jointsDeg.length} of ${plan.count} rings are in.`,
        acceptable: false,
      });
    else if (!findings.some((f) => f.verdict === 'reject'))
      findings.push({
        code: 'rings.in',
        verdict: 'accept',
        reason: `${jointsDeg.length} rings are in, joints staggered.`,
        source: 'practice',
        acceptable: true,
      });
    const n = nextCount(taken, 'ring/');
    const lantern = plan.below !== null && jointsDeg.length === plan.below;
    return {
      findings: [...findings, ...(missing > 0 ? [] : itemFindings(facts, step)), ...gaugeFindings(taken)],
      working: [],
      beams: [],
      values: { plan, jointsDeg, staggerDeg: stagger } satisfies RingsStepValues,
      next: missing > 0 ? ringPlace(n) : null,
      act:
        missing > 0
          ? `${lantern ? 'Lantern ring first, then ring' : 'Ring'} ${jointsDeg.length + 1}: seat it, enter where its joint stands`
          : 'All rings are in.',
    };
  },
  place(facts, step, key) {
    const n = nextCount(standing(facts, step.id), 'ring/');
    if (key !== `ring/${n}`) return 'Rings go in one after the other.';
    return n > ringsOf(facts).values.count ? 'All rings are in already.' : ringPlace(n);
  },
};

const ringPlace = (n: number): Place => anglePlace(`ring/${n}`, `Joint of ring ${n}, from the top clockwise`);

function staggered(all: readonly number[], i: number, deg: number, stagger: number): Finding[] {
  const before = all[i - 1];
  if (before === undefined) return [];
  const d = Math.abs(((deg - before + 540) % 360) - 180);
  return d >= stagger - STAGGER_WITHIN_DEG
    ? []
    : [
        {
          code: `rings.joint.${i + 1}`,
          verdict: 'reject',
          reason: `The joint of ring ${i + 1} stands only ${d.toFixed(0)}° from the one below it.`,
          limit: `${stagger}° ± ${STAGGER_WITHIN_DEG}°`,
          source: 'practice',
          remedy: 'Pull it, turn its joint on, seat it again; withdraw the reading.',
          acceptable: false,
        },
      ];
}

export type BreakInStepValues = BreakInValues & {
  points: Array<{ minutes: number; flats: number; dropsPerMin: number; glandC?: number | undefined }>;
  dueAt: string | null;
};

const READINGS_MOST = 60;
const MINUTE_MS = 60_000;

/** Drops, flats and waits until the leakage is steady in its band. */
export const breakIn: StepKind = {
  report(facts, step) {
    const s = facts.setup as PackingSetup;
    const taken = standing(facts, step.id, 'any');
    const first = Date.parse(rowOf(taken, 'drops/')[0]?.at ?? '');
    const points = pointsOf(facts, step.id, first);
    const result = packingBreakIn({
      shaftMm: s.shaftMm,
      school: s.leakSchool,
      flatDropsPerMin: s.flatDropsPerMin,
      pitchMm: s.studPitchMm,
      followerMm: s.followerMm,
      readings: points,
    });
    const { state, nextMinutes } = result.values;
    const done = state === 'done';
    const drops = `drops/${nextCount(taken, 'drops/')}`;
    const flats = `flats/${nextCount(taken, 'flats/')}`;
    // Turned already since the drops were counted: now they are counted again.
    const turned = flatsSince(taken);
    const turn = !turned && (state === 'turn' || state === 'too-dry' || state === 'hot');
    return {
      ...result,
      findings: [...result.findings, ...(done ? itemFindings(facts, step) : []), ...gaugeFindings(taken)],
      values: {
        ...result.values,
        points,
        dueAt: done || nextMinutes === null || Number.isNaN(first) ? null : minutesAfter(first, nextMinutes),
      } satisfies BreakInStepValues,
      next: done
        ? null
        : breakPlace(turn && points.length > 0 ? flats : drops, points.length, flatsOf(taken)),
      choices: [
        { key: drops, label: 'Drops' },
        { key: flats, label: 'Flats' },
        { key: `gland/${nextCount(taken, 'gland/')}`, label: 'Warmth' },
      ],
      act: sayAct(turned && !done && state !== 'bottomed' ? 'wait' : state, points.length),
    };
  },
  place(facts, step, key) {
    const taken = standing(facts, step.id, 'any');
    const m = /^(drops|flats|gland)\/(\d{1,2})$/.exec(key);
    if (!m || Number(m[2]) !== nextCount(taken, `${m[1]}/`)) return 'Readings come one after the other.';
    if (m[1] !== 'drops' && rowOf(taken, 'drops/').length === 0) return 'First count the drops as it starts.';
    return breakPlace(key, rowOf(taken, 'drops/').length, flatsOf(taken)) ?? 'There is no such reading.';
  },
};

function sayAct(state: BreakInValues['state'], count: number): string {
  if (count === 0) return 'Start it leaking generously; count the drops a minute';
  switch (state) {
    case 'done':
      return 'Steady in its band: stop here.';
    case 'turn':
      return 'Each nut one flat, in turn; enter the flats together';
    case 'too-dry':
    case 'hot':
      return 'Each nut back a flat; enter it with a minus';
    case 'bottomed':
      return 'The follower is at its end.';
    default:
      return 'Wait, then count the drops again';
  }
}

/** Were the nuts turned after the drops were last counted? */
const flatsSince = (taken: readonly Reading[]): boolean =>
  taken.findLastIndex((r) => r.place.startsWith('flats/')) >
  taken.findLastIndex((r) => r.place.startsWith('drops/'));

/** Every count of the drops (a reading of flats is kept as the angle it is), with the flats turned till then and the gland’s warmth last felt. */
function pointsOf(facts: Facts, step: string, first: number): BreakInStepValues['points'] {
  const taken = standing(facts, step, 'any');
  let flats = 0;
  let glandC: number | undefined;
  const points: BreakInStepValues['points'] = [];
  let sim = 0;
  for (const r of taken) {
    if (r.place.startsWith('flats/')) flats += r.value / 60;
    else if (r.place.startsWith('gland/')) glandC = r.value;
    else if (r.place.startsWith('drops/')) {
      points.push({
        minutes: r.instrument.standIn
          ? EVERY_MIN * sim++
          : Math.round((10 * (Date.parse(r.at) - first)) / MINUTE_MS) / 10,
        flats,
        dropsPerMin: r.value,
        glandC,
      });
      glandC = undefined;
    }
  }
  return points;
}

/** Flats turned on each nut by now. */
const flatsOf = (taken: readonly Reading[]): number =>
  rowOf(taken, 'flats/').reduce((sum, r) => sum + r.value / 60, 0);

function breakPlace(key: string, count: number, turned: number): Place | null {
  const m = /^(drops|flats|gland)\/(\d{1,2})$/.exec(key);
  if (!m || Number(m[2]) > READINGS_MOST) return null;
  if (m[1] === 'drops')
    return {
      key,
      label: 'Drops a minute',
      kind: 'count',
      low: 0,
      high: 5000,
      instrumentKinds: ['counter'],
      minutes: EVERY_MIN * count,
      flats: turned,
    };
  if (m[1] === 'gland')
    return {
      key,
      label: 'Gland’s warmth',
      kind: 'temperature',
      low: -40,
      high: 250,
      instrumentKinds: ['thermometer'],
    };
  return {
    key,
    label: 'Flats each nut was turned, − back',
    kind: 'flats',
    low: -360,
    high: 360,
    instrumentKinds: ['protractor'],
  };
}

/** `laid`: somebody said they lie so. Until then the order is any but the right one, to be worked out. */
export type PartsOrderValues = { order: string[]; wrong: number | null; laid: boolean };

const ANY_ORDER: readonly VRingPart[] = [
  'wiper',
  'pressure-1',
  'header',
  'adapter',
  'bottom-ring',
  'pressure-2',
];

/** The parts of a V-ring set laid out in order from the pressure end; the order is kept as it was laid. */
export const partsOrder: StepKind = {
  report(facts, step) {
    const order = (answerTo(facts, step.id, 'order', 'any')?.note ?? '').split(' ').filter(Boolean);
    const wrong = order.length === 0 ? null : firstWrong(order);
    const findings: Finding[] = [
      order.length === 0
        ? {
            code: 'parts.order',
            verdict: 'incomplete',
            reason: 'The parts are not laid out yet.',
            acceptable: false,
          }
        : wrong === null
          ? {
              code: 'parts.order',
              verdict: 'accept',
              reason: 'The parts lie in their order from the pressure end.',
              source: 'practice',
              acceptable: true,
            }
          : {
              code: 'parts.order',
              verdict: 'reject',
              reason: `Place ${wrong + 1} from the pressure end is wrong: ${PART_NAME[order[wrong] as keyof typeof PART_NAME] ?? 'nothing'} does not go there.`,
              source: 'practice',
              remedy: 'Lay them out again: what faces the pressure first?',
              acceptable: false,
            },
    ];
    return {
      findings: [
        ...findings,
        ...itemFindings(facts, step).filter(
          (f) => !f.code.endsWith('.order') && !f.code.endsWith('.unanswered'),
        ),
      ],
      working: [],
      beams: [],
      values: {
        order: order.length ? order : [...ANY_ORDER],
        wrong,
        laid: order.length > 0,
      } satisfies PartsOrderValues,
      next: null,
      act: order.length === 0 ? 'Lay the parts out, from the pressure end' : (findings[0]?.reason ?? ''),
    };
  },
};

export type PreloadStepValues = PlungerPreloadValues & { backDeg: number | null; endDeg: number | null };

const preloadPlaces = (): Place[] => [
  anglePlace('back', 'Nut backed off from its mark', 0, 720),
  anglePlace('end', 'Nut from its mark when it is back: + past it, − short', -360, 360),
];

/** The nut’s mark, backed off for the plunger, and back to within an eighth of a turn. */
export const plungerPreloadStep: StepKind = {
  repeats: true,
  report(facts, step) {
    const [backDeg, endDeg] = [valueAt(facts, step, 'back'), valueAt(facts, step, 'end')];
    const result = plungerPreload({
      pitchMm: (facts.setup as PlungerSetup).nutPitchMm,
      backDeg: backDeg ?? undefined,
      endDeg: endDeg ?? undefined,
    });
    const next = nextListed(facts, step, preloadPlaces());
    return {
      ...result,
      findings: [
        ...result.findings,
        ...(next ? [] : itemFindings(facts, step)),
        ...gaugeFindings(standing(facts, step.id)),
      ],
      values: { ...result.values, backDeg, endDeg } satisfies PreloadStepValues,
      next,
      act: next
        ? next.key === 'back'
          ? 'Back off three quarters of a turn for the plunger'
          : 'Plunger in, nut back to its mark: enter how far off it stands'
        : (result.findings.find((f) => f.remedy)?.remedy ?? 'Within an eighth of its mark.'),
    };
  },
  place: listedPlace(preloadPlaces),
};
