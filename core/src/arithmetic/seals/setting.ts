import { doubtSaid } from '../../judgement/doubt.ts';
import type { Beam, CalculatorResult, Finding } from '../../judgement/result.ts';
import { COMMON } from '../../message/common/messages.ts';
import { expr } from '../../message/message.ts';
import { COVERAGE, decide } from '../../metrology/decision.ts';
import { type Hand, readingUncertainty } from '../../metrology/hand.ts';
import { MessageError } from '../../quantities/message-error.ts';
import { len, num } from '../../quantities/say.ts';
import { M } from './messages.ts';

export type SettingInput = {
  /** Collar back to face, unloaded. */
  freeLengthMm: number;
  /** How much the spring is to be pressed together. */
  compressionMm: number;
  /** The rotary stands inside the box (usual) or outside it. */
  rotary: 'inside' | 'outside';
  /** Where the seat's face stands from the box face: positive inside the box, negative outside it, in the gland. */
  seatMm: number;
  /** Compressed thickness of the gasket, where the seat was measured without it: it moves the seat outward. */
  gasketMm?: number | undefined;
};

export type SettingValues = {
  /** Collar back to face at the working compression. */
  workingLengthMm: number;
  /** Seat face from the box face with its gasket, positive inside. */
  seatFaceMm: number;
  /** The back of the collar from the box face: into the box for a rotary inside, out of it for one outside. */
  collarMm: number;
  /** What a slip of sign would cost in compression. */
  signSlipMm: number;
};

/** More of its free length than a seal's spring is pressed together by; the maker's sheet may ask it all the same. Our own choice. */
const MOST_COMPRESSED = 0.4;

/**
 * Where the collar of a component seal is set: working length = free length − working compression; rotary inside the box, depth
 * from the box face = working length + how far the seat's face stands inside it (less where it lies outside). A rotary outside
 * the box is the mirror of it.
 * Source: geometry; common practice.
 * @throws RangeError where the compression leaves no length, or the collar would not clear the box face
 * @example sealSetting({ freeLengthMm: 52, compressionMm: 4, rotary: 'inside', seatMm: -3 }).values.collarMm // 45
 */
export function sealSetting(input: SettingInput): CalculatorResult<SettingValues> {
  const workingLengthMm = input.freeLengthMm - input.compressionMm;
  if (!(workingLengthMm > 0)) throw new MessageError(M.workingCompressionAsLongAs);
  const seatFaceMm = input.seatMm - (input.gasketMm ?? 0);
  const inside = input.rotary === 'inside';
  const collarMm = workingLengthMm + (inside ? seatFaceMm : -seatFaceMm);
  if (!(collarMm > 0)) throw new MessageError(M.collarWouldNotStandClear);
  const words = M.boxFromFace({ collar: len(collarMm, 2), inside: inside ? 'into' : 'out' });
  const sign = (inside ? seatFaceMm : -seatFaceMm) >= 0 ? '+' : '−';
  return {
    values: { workingLengthMm, seatFaceMm, collarMm, signSlipMm: 2 * Math.abs(seatFaceMm) },
    findings: [
      ...(input.compressionMm > MOST_COMPRESSED * input.freeLengthMm
        ? [
            {
              code: 'setting.compression',
              verdict: 'reject' as const,
              reason: M.compressedTooFar({
                share: Math.round((100 * input.compressionMm) / input.freeLengthMm),
              }),
              params: { compressionMm: input.compressionMm, freeLengthMm: input.freeLengthMm },
              remedy: M.readBothAgain,
              source: 'geometry' as const,
              acceptable: true,
            },
          ]
        : []),
      {
        code: 'setting.collar',
        verdict: 'accept',
        reason: M.setBackCollar({ words }),
        params: { words },
        source: 'geometry',
        ...(seatFaceMm === 0
          ? {}
          : {
              remedy: M.lookSignFigureWrongWay({ seatFace: len(2 * Math.abs(seatFaceMm), 2) }),
            }),
        acceptable: false,
      },
    ],
    working: [
      {
        what: M.workingLength,
        sum: expr`${num(input.freeLengthMm, 2)} − ${num(input.compressionMm, 2)} = ${len(workingLengthMm, 2)}`,
      },
      {
        what: M.seatsFace,
        sum: M.boxFace({
          seat: num(input.seatMm, 2),
          gasket: input.gasketMm ? M.gasket({ gasket: num(input.gasketMm, 2) }) : '',
          seatFace: len(seatFaceMm, 2),
          seatFace2: seatFaceMm >= 0 ? 'inside' : 'outside',
        }),
      },
      {
        what: M.collar,
        sum: expr`${num(workingLengthMm, 2)} ${sign} ${num(Math.abs(seatFaceMm), 2)} = ${len(collarMm, 2)}`,
      },
    ],
    beams: [],
  };
}

export type CompressionShiftInput = {
  compressionMm: number;
  /** Collar as it was set, less where it should be, towards the seat positive. */
  settingMm?: number | undefined;
  /** Shaft moved after setting, towards more compression positive. */
  impellerMm?: number | undefined;
  growthMm?: number | undefined;
  /** Whole end play: half of it either way. */
  endPlayMm?: number | undefined;
  resolutionMm: number;
  /** What is known of the hand that read it. */
  hand?: Hand | undefined;
  makerLowerMm?: number | undefined;
  makerUpperMm?: number | undefined;
};

export type CompressionShiftValues = {
  shiftMm: number;
  compressionMm: number;
  lowestMm: number;
  highestMm: number;
  lowerMm: number;
  upperMm: number;
};

/** Allowed either side of the working compression where the sheet says nothing: 1/32 in. Common practice, no source. */
export const COMPRESSION_BAND_MM = 0.8;

/**
 * What moves a seal's compression after it was set: impeller adjustment, thermal growth, end play, each one for one.
 * Source: geometry; the band common practice where the maker gives none.
 */
export function compressionShift(input: CompressionShiftInput): CalculatorResult<CompressionShiftValues> {
  const shiftMm = (input.settingMm ?? 0) + (input.impellerMm ?? 0) + (input.growthMm ?? 0);
  const compressionMm = input.compressionMm + shiftMm;
  const half = (input.endPlayMm ?? 0) / 2;
  const lowerMm = input.makerLowerMm ?? input.compressionMm - COMPRESSION_BAND_MM;
  const upperMm = input.makerUpperMm ?? input.compressionMm + COMPRESSION_BAND_MM;
  const u = readingUncertainty(input.resolutionMm, input.hand);
  const maker = input.makerLowerMm !== undefined || input.makerUpperMm !== undefined;
  const verdicts = [compressionMm - half, compressionMm + half].map(
    (c) => decide(c, u, { lower: lowerMm, upper: upperMm }).verdict,
  );
  const verdict = verdicts.includes('reject')
    ? 'reject'
    : verdicts.includes('too-close')
      ? 'too-close'
      : 'accept';
  const range =
    half > 0
      ? M.endPlay({ compression: num(compressionMm - half, 2), compression2: len(compressionMm + half, 2) })
      : '';
  const finding: Finding = {
    code: 'compression',
    verdict,
    reason: M.sealPressedTogether({
      compression: len(compressionMm, 2),
      range,
      verdict: verdict === 'reject' ? 'outsideWhatAllows' : 'text',
    }),
    params: { compressionMm, range, verdict: Boolean(verdict === 'reject') },
    limit: COMMON.to3({ lower: num(lowerMm, 2), upper: len(upperMm, 2) }),
    source: maker ? 'maker' : 'practice',
    acceptable: true,
    ...(verdict === 'accept'
      ? {}
      : {
          remedy:
            verdict === 'reject'
              ? M.moveCollarSeatImpellerBack({
                  compression: len(Math.abs(compressionMm - input.compressionMm), 2),
                  compression2: compressionMm > input.compressionMm ? 'awayFrom' : 'towards',
                })
              : M.measureAgainFinerGauge,
        }),
  };
  const beam: Beam = {
    label: COMMON.compression,
    quantity: 'length',
    value: compressionMm,
    target: input.compressionMm,
    lower: lowerMm,
    upper: upperMm,
    expanded: COVERAGE.k2 * u + half,
    verdict,
    // End play is no scatter: where it widens the pointer its words would say less than is drawn.
    ...(half > 0
      ? {}
      : {
          doubt: doubtSaid({
            stepMm: input.resolutionMm,
            hand: input.hand,
            marginMm: Math.min(compressionMm - lowerMm, upperMm - compressionMm),
            where: M.setting,
          }),
        }),
  };
  return {
    values: {
      shiftMm,
      compressionMm,
      lowestMm: compressionMm - half,
      highestMm: compressionMm + half,
      lowerMm,
      upperMm,
    },
    findings: [finding],
    working: [
      {
        what: M.movedSince,
        sum: M.settingImpellerGrowth({
          setting: num(input.settingMm ?? 0, 2),
          impeller: num(input.impellerMm ?? 0, 2),
          growth: num(input.growthMm ?? 0, 2),
          shift: len(shiftMm, 2),
        }),
      },
      {
        what: M.compression2,
        sum: expr`${num(input.compressionMm, 2)} + ${num(shiftMm, 2)} = ${len(compressionMm, 2)}`,
      },
    ],
    beams: [beam],
  };
}
