import {
  type AnglesStepValues,
  type BreakInStepValues,
  type GasValues,
  type GlandGapsValues,
  type JobState,
  MARK_NAME,
  type PackingRingsValues,
  type PackingSetup,
  type PairGapsValues,
  type Place,
  type PlungerSetup,
  type PortsStepValues,
  type PreloadStepValues,
  type ProofValues,
  type RingsStepValues,
  type SealSetup,
  type SettingStepValues,
  type StepReport,
  type ThrottleValues,
  type WearSetup,
  type WearWatchValues,
} from '@fulcrant/core';
import { lazy, type ReactNode, Suspense } from 'react';
import { ClockFigure, type ClockLine } from '../../figures/ClockFigure.tsx';
import { GlandFigure } from '../../figures/GlandFigure.tsx';
import { NutMarkFigure } from '../../figures/NutMarkFigure.tsx';
import { CutFigure, PackingFigure } from '../../figures/PackingFigures.tsx';
import { SealSettingFigure } from '../../figures/SealSettingFigure.tsx';
import { BaselineFigure, GasFigure, ThrottleFigure } from '../../figures/SealSmallFigures.tsx';
import { RaceFigure } from '../../figures/SplitFigures.tsx';

const BreakInChart = lazy(() => import('./BreakInChart.tsx'));
const WearChart = lazy(() => import('./WearChart.tsx'));
const ProofChart = lazy(() => import('./ProofChart.tsx'));

type Props = {
  state: JobState;
  step: string;
  shown: StepReport;
  place: Place | null;
  typed: number | null;
  onTurn: ((deg: number) => void) | undefined;
};

const cap = (s: string): string => s.charAt(0).toUpperCase() + s.slice(1);
const chart = (c: ReactNode) => <Suspense fallback={<div className="h-60" />}>{c}</Suspense>;

/** Splits and seams on the clock face, with what each pair comes to. */
function splits({ shown, place, typed, onTurn }: Props): ReactNode {
  const v = shown.values as AnglesStepValues;
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

function ports({ state, shown, place, typed, onTurn }: Props): ReactNode {
  const v = shown.values as PortsStepValues;
  const setup = state.setup as SealSetup;
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

function rings({ state, shown, place, typed, onTurn }: Props): ReactNode {
  const v = shown.values as RingsStepValues;
  const next = Number(/^ring\/(\d+)$/.exec(place?.key ?? '')?.[1] ?? 0);
  const off = (i: number) => {
    const [a, b] = [v.jointsDeg[i], v.jointsDeg[i - 1]];
    return a !== undefined && b !== undefined && Math.abs(((a - b + 540) % 360) - 180) < v.staggerDeg - 20;
  };
  return (
    <div className="grid items-center gap-2 md:grid-cols-[1.2fr_1fr]">
      <PackingFigure
        setup={state.setup as PackingSetup}
        plan={v.plan}
        seated={v.jointsDeg.length}
        bare
        active={next || undefined}
      />
      <ClockFigure
        marks={Array.from({ length: v.plan.count }, (_, i) => ({
          key: `ring/${i + 1}`,
          name: `joint of ring ${i + 1}`,
          deg: v.jointsDeg[i] ?? null,
          across: false,
          bad: off(i),
        }))}
        active={place?.key ?? null}
        typedDeg={typed}
        onTurn={onTurn}
        lines={[]}
        wanted={
          next && v.plan.jointsDeg[next - 1] !== undefined
            ? [{ deg: v.plan.jointsDeg[next - 1] ?? 0, word: 'joint' }]
            : []
        }
        innerFirst
        compact
        note={`joints ${v.staggerDeg}° on; ring 1 innermost`}
      />
    </div>
  );
}

/** The figure of a step in a stuffing box, or of a plunger; undefined where the step is none of these. */
export function boxFigure(props: Props): ReactNode | undefined {
  const { state, step, shown, place, typed } = props;
  const key = place?.key;
  switch (step) {
    case 'setting':
    case 'collar':
      return shown.values ? (
        <SealSettingFigure values={shown.values as SettingStepValues} active={key} typed={typed} />
      ) : null;
    case 'impeller':
      return shown.values && 'collarMm' in (shown.values as object) ? (
        <SealSettingFigure values={shown.values as SettingStepValues} active={undefined} typed={null} />
      ) : null;
    case 'angles':
      return splits(props);
    case 'ports':
      return ports(props);
    case 'splitgaps': {
      const v = shown.values as PairGapsValues;
      return (
        <RaceFigure
          what="split"
          values={{ raceMm: { a: v.aMm, b: v.bMm }, ringMm: null, offsetDeg: null, offsetWantedDeg: 90 }}
          shaftMm={(state.setup as SealSetup).shaftMm}
          place={key}
        />
      );
    }
    case 'gland-gaps':
    case 'follower':
      return (
        <GlandFigure
          values={shown.values as GlandGapsValues}
          active={key}
          typed={typed}
          what={step === 'follower' ? 'follower to box face' : 'gland to box'}
        />
      );
    case 'baseline':
      return (
        <BaselineFigure
          mm={typed ?? (shown.values as { baselineMm: number | null }).baselineMm}
          pins={(state.setup as SealSetup).family === 'clamp-split'}
        />
      );
    case 'throttle':
      return <ThrottleFigure values={shown.values as ThrottleValues} active={key} />;
    case 'gas':
      return (
        <GasFigure
          values={shown.values as GasValues}
          processMpa={(state.setup as SealSetup).processMpa ?? 0}
          typed={typed}
        />
      );
    case 'proof':
      return chart(<ProofChart values={shown.values as ProofValues} />);
    case 'plan':
      return (
        <>
          <PackingFigure setup={state.setup as PackingSetup} plan={shown.values as PackingRingsValues} />
          <CutFigure setup={state.setup as PackingSetup} plan={shown.values as PackingRingsValues} />
        </>
      );
    case 'wear':
      return chart(
        <WearChart
          values={shown.values as WearWatchValues}
          serviceMm={(state.setup as WearSetup).serviceMm}
        />,
      );
    case 'rings':
      return rings(props);
    case 'breakin':
      return chart(<BreakInChart values={shown.values as BreakInStepValues} />);
    case 'preload': {
      const v = shown.values as PreloadStepValues;
      const mm = (state.setup as PlungerSetup).nutPitchMm;
      const deg = (key === 'end' ? typed : null) ?? v.endDeg;
      const back = (key === 'back' ? typed : null) ?? v.backDeg;
      const at = deg ?? (back === null ? 0 : -back);
      return (
        <NutMarkFigure
          slots={6}
          turnedDeg={at}
          band={{ minDeg: -45, maxDeg: 45 }}
          marked
          note={
            deg !== null
              ? `${Math.abs(deg)}° ${deg < 0 ? 'short of' : 'past'} its mark: ${((mm * Math.abs(deg)) / 360).toFixed(2)} mm`
              : `backed off ${back ?? 0}°: ${((mm * (back ?? 0)) / 360).toFixed(2)} mm`
          }
        />
      );
    }
    default:
      return undefined;
  }
}

/** The cutting figure beside the questions of the cut. */
export function cutFigure(state: JobState): ReactNode {
  const plan = state.steps.find((s) => s.id === 'plan')?.report?.values as PackingRingsValues | null;
  return plan ? <CutFigure setup={state.setup as PackingSetup} plan={plan} /> : null;
}
