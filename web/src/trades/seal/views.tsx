import { MARK_NAME } from '@fulcrant/core/calculators';
import {
  type AnglesStepValues,
  angles,
  baselines,
  breakaway,
  compression,
  gasStep,
  kept,
  type PortsStepValues,
  portsStep,
  type SealSetup,
  sealProof,
  sealSettingStep,
  splitGaps,
  sweepMiddle,
  throttleStep,
} from '@fulcrant/core/trades';
import { lazy, Suspense } from 'react';
import type { ClockLine } from '../../figures/ClockFigure.tsx';
import { ClockFigure } from '../../figures/ClockFigure.tsx';
import { RaceFigure } from '../../figures/SplitFigures.tsx';
import type { StepView, ViewProps } from '../../steps/view.tsx';
import { view } from '../../steps/view.tsx';
import { KeptFigure } from './KeptFigure.tsx';
import { SealSettingFigure } from './SealSettingFigure.tsx';
import { BaselineFigure, GasFigure, ThrottleFigure } from './SealSmallFigures.tsx';
import { ShimsFigure } from './ShimsFigure.tsx';

const ProofChart = lazy(() => import('./ProofChart.tsx'));

const cap = (s: string): string => s.charAt(0).toUpperCase() + s.slice(1);

/** Splits and seams on the clock face, with what each pair comes to. */
function SplitsFigure({ values: v, place, typed, onTurn }: ViewProps<SealSetup, AnglesStepValues>) {
  const clash = (key: string) => v.pairs.some((p) => p.offDeg > 0 && (p.a === key || p.b === key));
  const lines = v.pairs.flatMap((p): ClockLine[] =>
    p.betweenDeg === null
      ? []
      : [
          {
            text: `${cap(MARK_NAME[p.a])} to ${MARK_NAME[p.b]}: ${p.betweenDeg.toFixed(0)}°${
              p.offDeg > 0 ? `, turn by ${p.offDeg.toFixed(0)}°` : ''
            }`,
            tone: p.offDeg > 0 ? 'stop' : 'muted',
          },
        ],
  );
  return (
    <ClockFigure
      marks={v.marks.map((m) => ({
        key: m.mark,
        name: m.name,
        deg: m.deg,
        across: m.mark.endsWith('split'),
        bad: clash(m.mark),
      }))}
      active={place?.key ?? null}
      typedDeg={typed}
      onTurn={onTurn}
      lines={lines}
      note="end view from outboard; splits run right across, seams are at one place"
    />
  );
}

/** Barrier ports on the clock face, and where they are wanted. */
function PortsFigure({ setup, values: v, place, typed, onTurn }: ViewProps<SealSetup, PortsStepValues>) {
  return (
    <ClockFigure
      marks={[
        { key: 'inlet', name: 'inlet', deg: v.placed.inletDeg, across: false },
        { key: 'outlet', name: 'outlet', deg: v.placed.outletDeg, across: false },
      ]}
      active={place?.key ?? null}
      typedDeg={typed}
      onTurn={onTurn}
      lines={[
        {
          text: `Turns ${setup.rotation ?? 'clockwise'}, seen from the ${(setup.seenFrom ?? 'drive-end').replace('-', ' ')}`,
          tone: 'ink',
        },
        { text: 'Lower port in, upper out: it vents', tone: 'muted' },
      ]}
      wanted={[
        { deg: v.inletDeg, word: 'in' },
        { deg: v.outletDeg, word: 'out' },
      ]}
      note="dashed: where rotation and view want them"
    />
  );
}

/** Steps of a seal. */
export const views: StepView[] = [
  view(sealSettingStep, {
    Figure: ({ values, place, typed }) => (
      <SealSettingFigure values={values} active={place?.key} typed={typed} />
    ),
    layout: 'field',
  }),
  view(compression, {
    Figure: ({ values, place, typed }) => (
      <SealSettingFigure
        values={values}
        active={place?.key === 'impeller' ? undefined : place?.key}
        typed={place?.key === 'impeller' ? null : typed}
      />
    ),
  }),
  view(angles, { Figure: SplitsFigure, layout: 'field', turned: true }),
  view(portsStep, { Figure: PortsFigure, layout: 'field', turned: true }),
  view(splitGaps, {
    Figure: ({ values: v, setup, place }) => (
      <RaceFigure
        what="split"
        values={{
          raceMm: { a: v.aMm, b: v.bMm },
          ringMm: null,
          ring2Mm: null,
          offsetDeg: null,
          offsetWantedDeg: 90,
        }}
        shaftMm={setup.shaftMm}
        place={place?.key}
      />
    ),
    layout: 'field',
  }),
  view(baselines, {
    Figure: ({ values, setup, typed }) => (
      <BaselineFigure mm={typed ?? values.baselineMm} pins={setup.family === 'clamp-split'} />
    ),
    layout: 'field',
  }),
  view(sweepMiddle, {
    Figure: ({ values }) => <ShimsFigure values={values} />,
    layout: 'field',
  }),
  view(kept, {
    Figure: ({ values, typed, place }) => (
      <KeptFigure values={values} typed={typed} place={place?.key ?? null} />
    ),
    layout: 'field',
  }),
  view(throttleStep, {
    Figure: ({ values, place }) => <ThrottleFigure values={values} active={place?.key} />,
    layout: 'field',
  }),
  view(breakaway, {}),
  view(gasStep, {
    Figure: ({ values, setup, typed }) => (
      <GasFigure values={values} processMpa={setup.processMpa ?? 0} typed={typed} />
    ),
    layout: 'field',
  }),
  view(sealProof, {
    Figure: ({ values }) => (
      <Suspense fallback={<div className="h-60" />}>
        <ProofChart values={values} />
      </Suspense>
    ),
    layout: 'field',
  }),
];
