import { goesOnTo, type Setup } from '@fulcrant/core/job';
import { type BoltValues, bolts, gaps, gate, signature } from '@fulcrant/core/steps';
import { useGauge } from '../entry/gauge-choice.ts';
import { bearingViews } from './bearing/views.tsx';
import { BoltsStep } from './bolts/BoltsStep.tsx';
import { conditionViews } from './condition/views.tsx';
import { GateStep } from './GateStep.tsx';
import { rebuildViews } from './rebuild/views.tsx';
import { SignStep } from './SignStep.tsx';
import type { StepView, ViewProps } from './view.tsx';
import { view } from './view.tsx';

/** Bolts tightened pass by pass or one by one, and what is asked round them. */
function Bolts(p: ViewProps<Setup, BoltValues>) {
  const { state, step, values, open, job } = p;
  // One that reaches what these bolts take in the end, and is in date.
  const wrench = useGauge(WRENCHES, values.torque.torqueNm || undefined);
  return (
    <BoltsStep
      values={values}
      open={open}
      choice={wrench}
      questionsFirst={step.itemsFirst === true}
      questions={step.items ? <GateStep {...p} /> : null}
      onTick={(tick) => job.act('bolt.tightened', { step: step.id, ...tick })}
      goesOn={open ? goesOnTo(state, step) : null}
      onPass={
        job.practice
          ? null
          : async (told, on) =>
              (
                await job.actAll([
                  ...told.map((pass) => ({
                    type: 'bolts.tightened' as const,
                    data: { step: step.id, ...pass },
                  })),
                  ...(on ? [{ type: 'step.passed' as const, data: { step: step.id } }] : []),
                ] as Parameters<typeof job.actAll>[0])
              ).find((refused) => refused !== null) ?? null
      }
    />
  );
}
const WRENCHES = ['wrench'] as const;

/** Steps more than one trade has. */
export const views: StepView[] = [
  view(gate, { Body: GateStep }),
  view(bolts, { Body: Bolts }),
  view(signature, {
    Body: ({ state, open, job }) => (
      <SignStep state={state} open={open} onSign={(name) => job.act('sheet.signed', { name })} />
    ),
  }),
  view(gaps, {}),
  ...conditionViews,
  ...bearingViews,
  ...rebuildViews,
];
