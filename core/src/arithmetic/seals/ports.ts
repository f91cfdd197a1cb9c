import type { CalculatorResult, Finding } from '../../judgement/result.ts';

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
  const seen = `seen from the ${input.seenFrom.replace('-', ' ')}`;
  const sideDeg = mirrored ? 270 : 90;
  const inletDeg = mirrored ? 270 - HALF_PAIR_DEG : 90 + HALF_PAIR_DEG;
  const outletDeg = mirrored ? 270 + HALF_PAIR_DEG : 90 - HALF_PAIR_DEG;
  const { inletDeg: i, outletDeg: o } = input;
  const placed = i !== undefined && o !== undefined;
  const vents = placed ? height(o) > height(i) : null;
  const findings: Finding[] = [];
  const shared = { source: 'practice' as const, acceptable: true };
  const oClock = mirrored ? '9 o’clock' : '3 o’clock';
  if (input.rotation === undefined)
    findings.push({
      ...shared,
      code: 'ports.rotation',
      verdict: 'incomplete',
      reason: `Which way the shaft turns, ${seen}, is not said: the ports’ side follows from it.`,
      params: { seen },
      remedy: 'Bump it with the coupling apart or read the arrow, and put it into the setup.',
      acceptable: false,
    });
  else if (!placed)
    findings.push({
      ...shared,
      code: 'ports.side',
      verdict: 'incomplete',
      reason: `Turns ${input.rotation} ${seen}: ports to ${oClock} ${seen}, inlet below, outlet above. Not placed yet.`,
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
        ? `Ports stand at ${oClock} ${seen}, as the rotation wants.`
        : `Ports belong at ${oClock} ${seen}, for a shaft that turns ${input.rotation} ${seen}.`,
      params: {
        oClock: right ? oClock : null,
        seen: right ? seen : null,
        oClock2: right ? null : oClock,
        seen2: right ? null : seen,
        rotation: right ? null : input.rotation,
      },
      ...(right
        ? {}
        : { remedy: 'Turn the gland; no pipe is connected before the seal is set and turned by hand.' }),
    });
    findings.push({
      ...shared,
      code: 'ports.vent',
      verdict: vents ? 'accept' : 'reject',
      reason: vents
        ? 'The outlet stands above the inlet: it vents.'
        : 'The outlet stands below the inlet: air stays in.',
      params: { vents: Boolean(vents) },
      ...(vents ? {} : { remedy: 'Change inlet and outlet over, or turn the gland.' }),
    });
    if (vents && Math.abs(off(o, 0)) > 90 + WITHIN_DEG)
      findings.push({
        ...shared,
        code: 'ports.high',
        verdict: 'caution',
        reason: 'The outlet is not near the top: a bubble may stay above it.',
        params: {},
        remedy: 'As high as the gland allows; vent before start.',
      });
  }
  return {
    values: { sideDeg, inletDeg, outletDeg, vents },
    findings,
    working: [
      {
        what: 'side',
        sum: `${input.rotation ?? 'not said'}, ${seen}: ${oClock}, in at ${inletDeg}°, out at ${outletDeg}°`,
      },
    ],
    beams: [],
  };
}
