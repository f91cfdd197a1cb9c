import {
  type CompressionShiftValues,
  compressionShift,
  type SettingValues,
  sealSetting,
} from '../../arithmetic/seals/setting.ts';
import { standing } from '../../engine/facts.ts';
import type { Facts, Place, StepReport } from '../../engine/state.ts';
import { kindFamily, stepKind } from '../../engine/step.ts';
import { COMMON } from '../../message/common/messages.ts';
import type { Text } from '../../message/message.ts';
import { MessageError, saidBy } from '../../quantities/message-error.ts';
import { len } from '../../quantities/say.ts';
import { playStep } from '../../steps/condition/play.ts';
import { gaugeFindings } from '../../steps/gauges.ts';
import { inHand } from '../../steps/in-hand.ts';
import { itemFindings } from '../../steps/item-findings.ts';
import { lengthPlace, listedPlace, nextListed, valueAt } from '../../steps/places-in-order.ts';
import { M } from './messages.ts';
import type { SealSetup } from './setup.ts';

export type SettingStepValues = {
  seatMm: number | null;
  gasketMm: number | null;
  freeLengthMm: number;
  compressionMm: number;
  rotary: 'inside' | 'outside';
  setting: SettingValues | null;
  /** Where the collar was really set; null before. */
  collarMm: number | null;
  shift: CompressionShiftValues | null;
};

const ROOM_MM = 300;
const settingPlaces = (): Place[] => [
  lengthPlace('seat', COMMON.seatsFaceFromBoxFace, -ROOM_MM, ROOM_MM),
  lengthPlace('gasket', M.gasketPressedTogether0If, 0, 20),
];

/** What a component seal’s setup must give. @throws RangeError where it is missing; such a setup is refused */
function sizesOf(facts: Facts<SealSetup>): {
  freeLengthMm: number;
  compressionMm: number;
  rotary: 'inside' | 'outside';
} {
  const s = facts.setup;
  if (s.freeLengthMm === undefined || s.compressionMm === undefined)
    throw new MessageError(M.freeLengthWorkingCompressionMissing);
  return { freeLengthMm: s.freeLengthMm, compressionMm: s.compressionMm, rotary: s.rotary ?? 'inside' };
}

/** The setting dimension from where the seat’s face stands, as it is worked out before the rotary goes in. */
export const sealSettingStep = stepKind<SealSetup, SettingStepValues | null>('seal-setting', {
  essential: true,
  repeats: true,
  // Asked only of a value that moves the collar by more than a third of the seal: a decimal or a sign slips easily.
  asks(facts, step) {
    const { freeLengthMm } = facts.setup;
    const far = ['seat', 'gasket'].some(
      (key) => Math.abs(valueAt(facts, step, key) ?? 0) > (freeLengthMm ?? Number.POSITIVE_INFINITY) / 3,
    );
    return far ? (step.items ?? []) : [];
  },
  report(facts, step) {
    const sizes = sizesOf(facts);
    const [seatMm, gasketMm] = [valueAt(facts, step, 'seat'), valueAt(facts, step, 'gasket')];
    const next = nextListed(facts, step, settingPlaces());
    const whole = seatMm !== null && gasketMm !== null;
    const result = whole ? settingOrFault(sizes, seatMm, gasketMm) : null;
    return {
      findings: [
        ...(result?.findings ?? [
          {
            code: 'setting.open',
            verdict: 'incomplete' as const,
            reason: M.whereSeatsFaceStandsNot,
            params: {},
            acceptable: false,
          },
        ]),
        ...(next ? [] : itemFindings(facts, step)),
        ...gaugeFindings(standing(facts, step.id)),
      ],
      working: result?.working ?? [],
      beams: [],
      values: {
        seatMm,
        gasketMm,
        ...sizes,
        setting: result?.values ?? null,
        collarMm: null,
        shift: null,
      } satisfies SettingStepValues,
      next,
      act: next
        ? next.key === 'seat'
          ? M.measureWhereSeatsFaceStands
          : M.measureGasketAsWillPressed
        : result?.values
          ? M.scribeShaftCollarFromBox({ collar: len(result.values.collarMm, 2) })
          : M.lookSeatSignAgain,
    };
  },
  place: listedPlace(settingPlaces),
});

/** The setting, or why there is none, said as a finding. */
function settingOrFault(
  sizes: ReturnType<typeof sizesOf>,
  seatMm: number,
  gasketMm: number,
): { values: SettingValues | null; findings: StepReport['findings']; working: StepReport['working'] } {
  try {
    return sealSetting({ ...sizes, seatMm, gasketMm });
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
    return {
      values: null,
      findings: [
        {
          code: 'setting.fault',
          verdict: 'reject',
          reason: saidBy(error),
          params: { message: saidBy(error) },
          remedy: M.measureSeatAgainSignPut,
          acceptable: false,
        },
      ],
      working: [],
    };
  }
}

const collarPlaces = (): Place[] => [lengthPlace('collar', M.backCollarFromBoxFace, 0, 2 * ROOM_MM)];
const impellerPlaces = (): Place[] => [lengthPlace('impeller', M.impellerMovedSincePressesMore, -10, 10)];

const settingOf = (carried: Record<string, StepReport>): SettingStepValues | null =>
  sealSettingStep.valuesOf(carried.setting);

/** Compression as the collar was set, then with the impeller, growth and end play: on the beam. */
export const compression = kindFamily<SealSetup, SettingStepValues | null>('seal-compression');

const compressionStep = (places: () => Place[], act: Text) =>
  compression.kind({
    repeats: true,
    report(facts, step, carried) {
      const before = settingOf(carried);
      const setup = facts.setup;
      const next = nextListed(facts, step, places());
      const wanted = before?.setting?.collarMm ?? null;
      const collarMm =
        valueAt(facts, step, 'collar') ?? compression.valuesOf(carried.collar)?.collarMm ?? null;
      const used = standing(facts, step.id);
      const result =
        before && wanted !== null && collarMm !== null && !next
          ? compressionShift({
              compressionMm: before.compressionMm,
              // A collar set nearer the seat than worked out presses more.
              settingMm: wanted - collarMm,
              impellerMm: valueAt(facts, step, 'impeller') ?? 0,
              growthMm: step.id === 'impeller' ? setup.growthMm : undefined,
              endPlayMm:
                step.id === 'impeller'
                  ? (playStep.valuesOf(carried.play)?.endPlayMm ?? undefined)
                  : undefined,
              ...inHand(used, 0.01),
              makerLowerMm: setup.maker.compressionLowerMm,
              makerUpperMm: setup.maker.compressionUpperMm,
            })
          : null;
      return {
        findings: [
          ...(result?.findings ?? [
            {
              code: `${step.id}.open`,
              verdict: 'incomplete' as const,
              reason: COMMON.notMeasuredYet({ label: next?.label ?? M.something }),
              params: { label: next?.label ?? M.something },
              acceptable: false,
            },
          ]),
          ...(next ? [] : itemFindings(facts, step)),
          ...gaugeFindings(used),
        ],
        working: result?.working ?? [],
        beams: result?.beams ?? [],
        values: before ? { ...before, collarMm, shift: result?.values ?? null } : null,
        next,
        act: next ? act : (result?.findings[0]?.reason ?? ''),
      };
    },
    place: listedPlace(places),
  });

export const collarStep = compressionStep(collarPlaces, M.measureCollarsBackFromBox);
export const impellerStep = compressionStep(impellerPlaces, M.adjustImpellerEnterHowFar);
