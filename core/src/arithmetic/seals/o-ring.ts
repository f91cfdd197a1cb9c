import type { CalculatorResult, Finding } from '../../judgement/result.ts';
import { expr } from '../../message/message.ts';
import { len } from '../../quantities/say.ts';
import { M } from './messages.ts';

export type ORingInput = {
  insideMm: number;
  sectionMm: number;
  /** Diameter it sits on (a groove in a shaft), and how deep the gap is across it when closed. */
  seatMm: number;
  depthMm: number;
  grooveWidthMm?: number | undefined;
  use: 'static' | 'moving';
};

export type ORingValues = { stretch: number; sectionMm: number; squeeze: number; fill: number | null };

/** Squeeze of the section, least and most; most stretch; most of the groove it may fill. Common practice; ISO 3601-2 family, from memory. */
const SQUEEZE = { static: [0.15, 0.3], moving: [0.08, 0.2] } as const;
/** More crushes a ring, and it does not last. Common practice, no source. */
const SQUEEZE_STOP = 0.4;
const STRETCH_MOST = 0.05;
/** So much too large it still lies in its groove as it is closed. Common practice, no source. */
const LOOSE_MOST = 0.03;
const FILL_MOST = 0.85;

/**
 * An O-ring in its groove: stretched over its seat its section becomes thinner, d₂/√(1 + stretch), and that is what is squeezed.
 * Source: volume kept, geometry; limits: ISO 3601-2 family and common practice, from memory.
 * @example oRing({ insideMm: 49, sectionMm: 3.5, seatMm: 50, depthMm: 2.8, use: 'static' }).values.squeeze // about 0.19
 */
export function oRing(input: ORingInput): CalculatorResult<ORingValues> {
  const stretch = (input.seatMm - input.insideMm) / input.insideMm;
  // What the section loses goes by the middle of the ring, which is stretched less than its inside.
  const middle = (input.seatMm - input.insideMm) / (input.insideMm + input.sectionMm);
  const sectionMm = input.sectionMm / Math.sqrt(1 + Math.max(-0.2, middle));
  const squeeze = (sectionMm - input.depthMm) / sectionMm;
  const width = input.grooveWidthMm;
  const fill = width === undefined ? null : ((Math.PI / 4) * sectionMm ** 2) / (width * input.depthMm);
  const [low, high] = SQUEEZE[input.use];
  const shared = { source: 'o-ring-practice' as const, acceptable: true };
  const percent = (x: number) => `${(100 * x).toFixed(0)} %`;
  const findings: Finding[] = [
    {
      ...shared,
      code: 'o-ring.squeeze',
      verdict:
        squeeze <= 0 || squeeze > SQUEEZE_STOP
          ? 'reject'
          : squeeze < low || squeeze > high
            ? 'caution'
            : 'accept',
      reason: squeeze <= 0 ? M.notSqueezedAllDoesNot : M.squeezed({ percent: percent(squeeze) }),
      params: { squeeze: squeeze <= 0 ? null : percent(squeeze) },
      limit: M.to3({ percent: percent(low), percent2: percent(high) }),
      ...(squeeze < low || squeeze > high ? { remedy: M.anotherSectionLookGroovesDepth } : {}),
    },
    {
      ...shared,
      code: 'o-ring.stretch',
      verdict:
        stretch > 2 * STRETCH_MOST || stretch < -LOOSE_MOST
          ? 'reject'
          : stretch > STRETCH_MOST || stretch < -1e-9
            ? 'caution'
            : 'accept',
      reason:
        stretch < -LOOSE_MOST
          ? M.tooLargeSeatWillRuck({ percent: percent(-stretch) })
          : stretch < -1e-9
            ? M.liesLoose({ percent: (-100 * stretch).toFixed(1) })
            : M.stretched({ stretch: (100 * stretch).toFixed(1) }),
      params: {
        stretch: stretch < 0 ? percent(-stretch) : null,
        stretch2: stretch < 0 ? null : 100 * stretch,
      },
      limit: M.up({ percent: percent(STRETCH_MOST) }),
      ...(stretch > STRETCH_MOST || stretch < -1e-9 ? { remedy: M.nextInsideDiameter } : {}),
    },
  ];
  if (fill !== null)
    findings.push({
      ...shared,
      code: 'o-ring.fill',
      verdict: fill > 1 ? 'reject' : fill > FILL_MOST ? 'caution' : 'accept',
      reason: M.fillsGroove({ percent: percent(fill) }),
      params: { fill: percent(fill) },
      limit: M.up({ percent: percent(FILL_MOST) }),
      ...(fill > FILL_MOST ? { remedy: M.swollenHasNowhereGoWider } : {}),
    });
  return {
    values: { stretch, sectionMm, squeeze, fill },
    findings,
    working: [
      {
        what: M.stretched2,
        sum: M.thickMiddle({ section: len(sectionMm, 2), stretch: (100 * middle).toFixed(1) }),
      },
      {
        what: M.squeeze,
        sum: expr`(${len(sectionMm, 2)} − ${len(input.depthMm, 2)}) ÷ ${len(sectionMm, 2)}`,
      },
    ],
    beams: [],
  };
}
