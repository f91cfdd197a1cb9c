import type { CalculatorResult, Finding } from '../../judgement/result.ts';
import { COMMON } from '../../message/common/messages.ts';
import { M } from './messages.ts';

export type PortsInput = {
  /** Running direction of the shaft, as it is seen from that end; left out where nobody has said it. */
  rotation?: 'clockwise' | 'anticlockwise' | undefined;
  /** From which end shaft and ports are looked at. */
  seenFrom: 'drive-end' | 'pump-end';
  /** Barrier inlet and outlet as they stand, degrees clockwise from the top as seen; left out where not placed. */
  inletDeg?: number | undefined;
  outletDeg?: number | undefined;
};

export type PortsValues = {
  /** Middle of the pair: 3 o'clock or 9 o'clock, as seen. */
  sideDeg: 90 | 270;
  /** Where inlet (lower) and outlet (upper) go, as seen. */
  inletDeg: number;
  outletDeg: number;
  vents: boolean | null;
};

/** The pair of ports stands so far apart on a usual gland. Common practice, no source. */
const HALF_PAIR_DEG = 30;
const WITHIN_DEG = 20;

const off = (a: number, b: number): number => {
  const d = (((a - b) % 360) + 360) % 360;
  return Math.min(d, 360 - d);
};
/** Height of a place on the clock face, 1 at the top. */
const height = (deg: number): number => Math.cos((deg * Math.PI) / 180);

/**
 * Barrier or buffer ports by rotation, question and answer in one view: a shaft that turns clockwise as seen has them at 3 o'clock as
 * seen, lower in, upper out; one that turns the other way at 9. From the other end the same shaft turns the other way, and the
 * same ports stand at 9. In at the bottom, out at the top, so that it vents.
 * Source: common practice, no source. Flush ports do not care.
 */
export function sealPorts(input: PortsInput): CalculatorResult<PortsValues> {
  const mirrored = input.rotation === 'anticlockwise';
  const seen = M.seenFrom({ replace: input.seenFrom.replace('-', ' ') });
  const sideDeg = mirrored ? 270 : 90;
  const inletDeg = mirrored ? 270 - HALF_PAIR_DEG : 90 + HALF_PAIR_DEG;
  const outletDeg = mirrored ? 270 + HALF_PAIR_DEG : 90 - HALF_PAIR_DEG;
  const { inletDeg: i, outletDeg: o } = input;
  const placed = i !== undefined && o !== undefined;
  const vents = placed ? height(o) > height(i) : null;
  const findings: Finding[] = [];
  const shared = { source: 'practice' as const, acceptable: true };
  const oClock = mirrored ? M.n9Oclock : M.n3Oclock;
  if (input.rotation === undefined)
    findings.push({
      ...shared,
      code: 'ports.rotation',
      verdict: 'incomplete',
      reason: M.whichWayShaftTurnsNot({ seen }),
      params: { seen },
      remedy: M.bumpCouplingApartReadArrow,
      acceptable: false,
    });
  else if (!placed)
    findings.push({
      ...shared,
      code: 'ports.side',
      verdict: 'incomplete',
      reason: M.turnsPortsInletBelowOutlet({ rotation: input.rotation, seen, oClock }),
      params: { rotation: input.rotation, seen, oClock },
      acceptable: false,
    });
  else {
    const right = off(i, inletDeg) <= 60 && off(o, outletDeg) <= 60;
    findings.push({
      ...shared,
      code: 'ports.side',
      verdict: right ? 'accept' : 'reject',
      reason: right
        ? M.portsStandAsRotationWants({ oClock, seen })
        : M.portsBelongShaftTurns({ oClock, seen, rotation: input.rotation }),
      params: {
        oClock: right ? oClock : null,
        seen: right ? seen : null,
        oClock2: right ? null : oClock,
        seen2: right ? null : seen,
        rotation: right ? null : input.rotation,
      },
      ...(right ? {} : { remedy: M.turnGlandNoPipeConnected }),
    });
    findings.push({
      ...shared,
      code: 'ports.vent',
      verdict: vents ? 'accept' : 'reject',
      reason: vents ? M.outletStandsAboveInletVents : M.outletStandsBelowInletAir,
      params: { vents: Boolean(vents) },
      ...(vents ? {} : { remedy: M.changeInletOutletOverTurn }),
    });
    if (vents && Math.abs(off(o, 0)) > 90 + WITHIN_DEG)
      findings.push({
        ...shared,
        code: 'ports.high',
        verdict: 'caution',
        reason: M.outletNotNearTopBubble,
        params: {},
        remedy: M.asHighAsGlandAllows,
      });
  }
  return {
    values: { sideDeg, inletDeg, outletDeg, vents },
    findings,
    working: [
      {
        what: M.side,
        sum: M.out({
          rotation: input.rotation ?? COMMON.notSaid,
          seen,
          oClock,
          inlet: inletDeg,
          outlet: outletDeg,
        }),
      },
    ],
    beams: [],
  };
}
