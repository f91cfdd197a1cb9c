import type { CalculatorResult, Finding } from '../../judgement/result.ts';
import type { Text } from '../../message/message.ts';
import { expr } from '../../message/message.ts';
import { len, num } from '../../quantities/say.ts';
import { M } from './messages.ts';

/** Everything a V-ring set may be of. */
export const V_RING_PARTS = [
  'bottom-ring',
  'header',
  'pressure-1',
  'pressure-2',
  'pressure-3',
  'pressure-4',
  'lantern',
  'adapter',
  'wiper',
] as const;
export type VRingPart = (typeof V_RING_PARTS)[number];
export const PART_NAME: Record<VRingPart, Text> = {
  'bottom-ring': M.bottomJunkRing,
  header: M.headerRing,
  'pressure-1': M.pressureRing,
  'pressure-2': M.pressureRing,
  'pressure-3': M.pressureRing,
  'pressure-4': M.pressureRing,
  lantern: M.lanternRing,
  adapter: M.adapter,
  wiper: M.wiperPackingNut,
};

export const V_RING_LUBRICATIONS = ['oil', 'grease'] as const;

/** What a set is made of, as it was listed before anything was laid. */
export type VRingSet = {
  bottom: boolean;
  header: boolean;
  pressureRings: number;
  lantern: boolean;
  adapter: boolean;
  wiper: boolean;
};
export const USUAL_V_RINGS: VRingSet = {
  bottom: true,
  header: true,
  pressureRings: 2,
  lantern: false,
  adapter: true,
  wiper: true,
};

/** The parts of a set, from the pressure end outward. */
export const partsOf = (set: VRingSet): VRingPart[] =>
  V_RING_PARTS.filter((p) =>
    p === 'bottom-ring'
      ? set.bottom
      : p.startsWith('pressure-')
        ? Number(p.slice(-1)) <= set.pressureRings
        : set[p as 'header' | 'lantern' | 'adapter' | 'wiper'],
  );

/** Pressure rings look alike: either may come first. */
const kind = (p: string): string => p.replace(/-\d$/, '');

/** The first part that is out of its place, and why; the place counted from the pressure end. */
export type Misplaced = { at: number; why: Text };

/**
 * A set laid out from the pressure end, judged by rules and not by one list: the bottom ring faces the pressure, the header lies
 * behind it, the pressure rings behind the header in one run but for a lantern between them, the adapter last before the nut, and
 * a wiper in the nut. Source: common practice, no source.
 * @returns null where every rule holds and no part is missing
 */
export function firstWrong(order: readonly string[], set: VRingSet = USUAL_V_RINGS): Misplaced | null {
  const parts = partsOf(set);
  const missing = parts.find(
    (p) => order.filter((o) => kind(o) === kind(p)).length < parts.filter((q) => kind(q) === kind(p)).length,
  );
  if (missing || order.length !== parts.length)
    return {
      at: order.length,
      why: M.missingSomethingThereSetHas({ partName: PART_NAME[missing ?? 'wiper'] }),
    };
  const at = (p: string) => order.findIndex((o) => kind(o) === p);
  const last = (p: string) => order.findLastIndex((o) => kind(o) === p);
  const rules: Array<[VRingPart | 'pressure', boolean, Text]> = [
    ['bottom-ring', at('bottom-ring') <= 0, M.bottomRingFacesPressureFirst],
    ['header', at('header') <= at('bottom-ring') + 1, M.headerRingLiesBehindBottom],
    ['pressure', at('pressure') > at('header'), M.pressureRingsLieBehindHeader],
    ['lantern', at('lantern') < 0 || at('lantern') > at('header'), M.lanternRingStandsAmongBehind],
    [
      'adapter',
      at('adapter') < 0 || at('adapter') > Math.max(last('pressure'), at('lantern')),
      M.adapterClosesSetBehindLast,
    ],
    ['wiper', at('wiper') < 0 || at('wiper') === order.length - 1, M.wiperSitsNutOutermost],
  ];
  const broken = rules.filter(([, holds]) => !holds).map(([part, , why]) => ({ at: at(part), why }));
  return broken.sort((a, b) => a.at - b.at)[0] ?? null;
}

export type PlungerPreloadInput = {
  /** Pitch of the nut's thread; left out where nobody knows it: then it is told in turns alone. */
  pitchMm?: number | undefined;
  /** Turned back from the mark, degrees. */
  backDeg?: number | undefined;
  /** Where the nut ended from the mark: positive past it, negative short of it. */
  endDeg?: number | undefined;
};

export type PlungerPreloadValues = { backMm: number | null; endMm: number | null; withinMm: number | null };

const BACK_DEG = 270;
const BACK_WITHIN_DEG = 30;
const WITHIN_DEG = 45;

/**
 * Preload of a V-ring set by its mark: backed off three quarters for the plunger, brought back to within an eighth of a turn.
 * Source: common practice, no source; pitch × angle ÷ 360.
 */
export function plungerPreload(input: PlungerPreloadInput): CalculatorResult<PlungerPreloadValues> {
  const { pitchMm } = input;
  const mm = (deg: number) => (pitchMm === undefined ? null : (pitchMm * deg) / 360);
  const way = (deg: number, decimals: number) => {
    const along = mm(deg);
    return along === null ? '' : M.thatIs({ mm: len(Math.abs(along), decimals) });
  };
  const { backDeg, endDeg } = input;
  const shared = { source: 'practice' as const, acceptable: false };
  const findings: Finding[] = [];
  if (backDeg === undefined)
    findings.push({
      ...shared,
      code: 'plunger.back',
      verdict: 'incomplete',
      reason: M.notBackedOffYetThree,
      params: {},
    });
  else {
    const off = Math.abs(backDeg - BACK_DEG);
    findings.push({
      ...shared,
      code: 'plunger.back',
      acceptable: true,
      verdict: off <= BACK_WITHIN_DEG ? 'accept' : 'caution',
      reason: M.backedOff({ back: backDeg, mm: way(backDeg, 2) }),
      params: { backDeg, backDeg2: mm(backDeg) },
      limit: M.threeQuartersTurn,
      ...(off <= BACK_WITHIN_DEG ? {} : { remedy: M.enoughPlungerGoesSoftBar }),
    });
  }
  if (endDeg === undefined)
    findings.push({
      ...shared,
      code: 'plunger.end',
      verdict: 'incomplete',
      reason: M.nutNotBackMarkYet,
      params: {},
    });
  else
    findings.push({
      ...shared,
      code: 'plunger.end',
      verdict: Math.abs(endDeg) <= WITHIN_DEG + 1e-9 ? 'accept' : 'reject',
      reason: M.nutStandsMark({
        end: Math.abs(endDeg),
        end2: endDeg < 0 ? 'short' : 'past',
        mm: way(endDeg, 2),
      }),
      params: { endDeg: Math.abs(endDeg), endDeg2: Boolean(endDeg < 0), endDeg3: mm(endDeg) },
      limit: M.withinEighthTurn45,
      ...(Math.abs(endDeg) <= WITHIN_DEG
        ? {}
        : {
            remedy: endDeg > 0 ? M.backMarkTooMuchPreload : M.towardsMark,
          }),
    });
  return {
    values: {
      backMm: backDeg === undefined ? null : mm(backDeg),
      endMm: endDeg === undefined ? null : mm(endDeg),
      withinMm: mm(WITHIN_DEG),
    },
    findings,
    working:
      pitchMm === undefined
        ? []
        : [
            {
              what: M.eighthTurn,
              sum: M.n8Preload({ pitch: num(pitchMm, 2), mm: len((pitchMm * WITHIN_DEG) / 360, 3) }),
            },
            ...(endDeg === undefined
              ? []
              : [
                  {
                    what: M.offMark,
                    sum: expr`${num(pitchMm, 2)} × ${endDeg} ÷ 360 = ${len((pitchMm * endDeg) / 360, 3)}`,
                  },
                ]),
          ],
    beams: [],
  };
}
