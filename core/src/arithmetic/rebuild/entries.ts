import { array, number, object, string } from 'yup';
import { type Calculator, entry, mm } from '../../judgement/entry.ts';
import { DECISION, idsOf } from '../../sources/methods.ts';
import { type CompressionPair, type GasketInput, gasketCompression, gasketStack } from './gaskets.ts';
import { LIP_WAYS, type LipWay, lipOrientation } from './lips.ts';
import { M } from './messages.ts';
import { endFloat, shimStack } from './shims.ts';

/** Pieces on hand, a thickness and its count each. */
const pieces = array(
  object({
    thicknessMm: number().min(0.001).max(10).required(),
    count: number().integer().min(0).max(60).required(),
  })
    .noUnknown()
    .required(),
)
  .min(1)
  .max(20);

const pairs = array(
  object({
    looseMm: number().moreThan(0).max(60).required(),
    torquedMm: number().moreThan(0).max(60).required(),
  })
    .noUnknown()
    .required(),
)
  .min(1)
  .max(40);

const inBand = (s: { leastMm: number; mostMm: number } | undefined): boolean => !s || s.mostMm > s.leastMm;
const BAND = M.mostMustOverLeast;

/** A stack with what it loses under torque given, or learned from stacks measured loose and tight. */
function stackLearned(input: GasketInput & { pairs?: readonly CompressionPair[] | undefined }) {
  if (!input.pairs) return gasketStack(input);
  const learned = gasketCompression(input.pairs);
  const { fraction, uncertainty } = learned.values;
  const told = gasketStack({
    ...input,
    compressedFraction: Math.min(0.5, Math.max(0, fraction)),
    fractionUncertainty: uncertainty ?? undefined,
  });
  return {
    ...told,
    findings: [...told.findings, ...learned.findings],
    working: [...learned.working, ...told.working],
  };
}

export const REBUILD_ENTRIES: readonly Calculator[] = [
  entry(
    'rebuild.gasket-stack',
    M.gasketStackEndClearance,
    object({
      pieces: pieces.required(),
      stackMm: number().min(0).max(20).required(),
      clearancesMm: array(number().min(0).max(5).required()).min(1).max(8).required(),
      leastMm: number().min(0).max(5).required(),
      mostMm: mm(5).required(),
      compressedFraction: number().min(0).max(0.5),
      fractionUncertainty: number().min(0).max(0.25),
      pairs,
      resolutionMm: mm(1).required(),
      rule: string().oneOf(idsOf(DECISION)),
    })
      .noUnknown()
      .test('band', BAND, inBand),
    stackLearned,
  ),
  entry(
    'rebuild.gasket-compression',
    M.whatGasketStackLosesUnder,
    object({ pairs: pairs.required() }).noUnknown(),
    (input: { pairs: CompressionPair[] }) => gasketCompression(input.pairs),
  ),
  entry(
    'rebuild.shim-stack',
    M.shimsWantedThickness,
    object({
      pieces: pieces.required(),
      wantedMm: mm(50).required(),
      toleranceMm: number().min(0).max(5).required(),
    }).noUnknown(),
    shimStack,
  ),
  entry(
    'rebuild.end-float',
    M.shimsFromMeasuredEndFloat,
    object({
      floatMm: number().min(0).max(10).required(),
      stackMm: number().min(0).max(50).required(),
      leastMm: number().min(0).max(5).required(),
      mostMm: mm(5).required(),
      moreShims: string()
        .oneOf(['looser', 'tighter'] as const)
        .required(),
      resolutionMm: mm(1).required(),
      pieces,
    })
      .noUnknown()
      .test('band', BAND, inBand),
    endFloat,
  ),
  entry(
    'rebuild.lip-orientation',
    M.whichWayLipsFace,
    object({
      lips: array(
        object({
          name: string().trim().min(1).max(80).required(),
          wants: string().oneOf(LIP_WAYS).required(),
          fitted: string().oneOf(LIP_WAYS),
        })
          .noUnknown()
          .required(),
      )
        .min(1)
        .max(60)
        .required(),
    }).noUnknown(),
    ({ lips }: { lips: Array<{ name: string; wants: LipWay; fitted?: LipWay | undefined }> }) =>
      lipOrientation(
        lips.map((l, i) => ({ id: String(i + 1), where: '', name: l.name, wants: l.wants, wrong: '' })),
        Object.fromEntries(lips.map((l, i) => [String(i + 1), l.fitted])),
      ),
  ),
];
