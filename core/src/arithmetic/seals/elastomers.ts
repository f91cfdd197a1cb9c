import type { CalculatorResult } from '../../judgement/result.ts';
import { expr, listOf, type Text } from '../../message/message.ts';
import { temp } from '../../quantities/say.ts';
import { M } from './messages.ts';

export const ELASTOMERS = ['NBR', 'EPDM', 'FKM', 'FFKM', 'PTFE', 'silicone'] as const;
export type Elastomer = (typeof ELASTOMERS)[number];
export const FLUIDS = ['water', 'steam', 'mineral oil', 'caustic', 'acid', 'hydrocarbon', 'ketone'] as const;
export type Fluid = (typeof FLUIDS)[number];

/** What each is called: rubbers by their short names, as stamped. */
export const ELASTOMER_NAME: Readonly<Record<Elastomer, Text>> = {
  NBR: 'NBR',
  EPDM: 'EPDM',
  FKM: 'FKM',
  FFKM: 'FFKM',
  PTFE: 'PTFE',
  silicone: M.silicone,
};
export const FLUID_NAME: Readonly<Record<Fluid, Text>> = {
  water: M.fluidWater,
  steam: M.fluidSteam,
  'mineral oil': M.fluidMineralOil,
  caustic: M.fluidCaustic,
  acid: M.fluidAcid,
  hydrocarbon: M.fluidHydrocarbon,
  ketone: M.fluidKetone,
};

type Goes = 'good' | 'limited' | 'no';

/** General knowledge, from memory; °C. Confirm with the maker. */
const RANGE_C: Record<Elastomer, readonly [number, number]> = {
  NBR: [-30, 100],
  EPDM: [-40, 140],
  FKM: [-20, 200],
  FFKM: [-15, 280],
  PTFE: [-100, 230],
  silicone: [-50, 200],
};
const row = (...goes: Goes[]): Goes[] => goes;
/** In the order of FLUIDS. From memory. */
const GUIDE: Record<Elastomer, Goes[]> = {
  NBR: row('good', 'no', 'good', 'limited', 'limited', 'good', 'no'),
  EPDM: row('good', 'good', 'no', 'good', 'limited', 'no', 'good'),
  // Organic acids attack FKM: mineral ones it takes.
  FKM: row('limited', 'no', 'good', 'no', 'limited', 'good', 'no'),
  FFKM: row('good', 'good', 'good', 'good', 'good', 'good', 'good'),
  PTFE: row('good', 'good', 'good', 'good', 'good', 'good', 'good'),
  silicone: row('good', 'limited', 'limited', 'limited', 'no', 'no', 'no'),
};

export type ElastomerInput = {
  elastomer: Elastomer;
  fluid: Fluid;
  temperatureC: number;
  grease?: 'none' | 'silicone' | 'petroleum' | undefined;
};

/**
 * A short guide of what elastomer goes with what fluid and how warm; greases that hurt it.
 * Source: general knowledge, from memory; confirm with the maker.
 */
export function elastomerGuide(
  input: ElastomerInput,
): CalculatorResult<{ goes: Goes; lowC: number; highC: number }> {
  const { elastomer: e, fluid, temperatureC: t } = input;
  const [lowC, highC] = RANGE_C[e];
  const goes = GUIDE[e][FLUIDS.indexOf(fluid)] ?? 'limited';
  const shared = { source: 'elastomer-guide' as const, acceptable: true };
  const confirm = M.fromMemoryConfirmMaker;
  // What could be changed to: usual in this fluid, and warm enough.
  const others = ELASTOMERS.filter((o) => {
    const [low, high] = RANGE_C[o];
    return o !== e && GUIDE[o][FLUIDS.indexOf(fluid)] === 'good' && t >= low && t <= high;
  });
  const changed =
    others.length > 0
      ? M.usualThere({
          others: listOf(
            others.map((o) => ELASTOMER_NAME[o]),
            ', ',
          ),
        })
      : '';
  const wrongGrease =
    (input.grease === 'silicone' && e === 'silicone') || (input.grease === 'petroleum' && e === 'EPDM');
  return {
    values: { goes, lowC, highC },
    findings: [
      {
        ...shared,
        code: 'elastomer.fluid',
        verdict: goes === 'good' ? 'accept' : goes === 'limited' ? 'caution' : 'reject',
        reason: M.inText({
          e: ELASTOMER_NAME[e],
          fluid: FLUID_NAME[fluid],
          goes: goes === 'good' ? 'usual' : goes === 'limited' ? 'limits' : 'not',
        }),
        params: { e, fluid, goes: goes === 'good' ? null : Boolean(goes === 'limited') },
        remedy: goes === 'good' ? confirm : expr`${changed}${confirm}`,
      },
      {
        ...shared,
        code: 'elastomer.heat',
        verdict: t >= lowC && t <= highC ? 'accept' : 'reject',
        reason: M.usuallyTakes({ t: temp(t), e: ELASTOMER_NAME[e], lowC: temp(lowC), highC: temp(highC) }),
        params: { t, e, lowC, highC },
        remedy: t >= lowC && t <= highC ? confirm : expr`${changed}${confirm}`,
      },
      ...(wrongGrease
        ? [
            {
              ...shared,
              code: 'elastomer.grease',
              verdict: 'reject' as const,
              reason: expr`${input.grease === 'silicone' ? M.siliconeGreaseSwellsSiliconeRubber : M.petroleumGreaseMineralOilRuins}.`,
              params: { grease: Boolean(input.grease === 'silicone') },
              remedy: M.anotherLubricantMakerWipeOff,
            },
          ]
        : []),
    ],
    working: [{ what: `${e}, ${fluid}`, sum: M.to2({ goes, lowC: temp(lowC), highC: temp(highC) }) }],
    beams: [],
  };
}
