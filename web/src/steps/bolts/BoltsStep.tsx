import { boltFigure } from '@fulcrant/core/figures';
import type { Text } from '@fulcrant/core/messages';
import { COMMON, textKey } from '@fulcrant/core/messages';
import { type BoltValues, eachIsJudged, openIn } from '@fulcrant/core/steps';
import { formatTorque } from '@fulcrant/core/units';
import { type ReactNode, useRef, useState } from 'react';
import type { GaugeChoice } from '../../entry/gauge-choice.ts';
import { DrawingView } from '../../figures/DrawingView.tsx';
import { useSay, useSettings, Words } from '../../ui/settings.tsx';
import { M } from './messages.ts';
import { PassForm } from './PassForm.tsx';
import { TickForm } from './TickForm.tsx';
import type { Tick, ToldPass } from './told.ts';

type Props = {
  values: BoltValues;
  open: boolean;
  choice: GaugeChoice;
  onTick: (tick: Tick) => Promise<Text | null>;
  /** Null where each bolt is to be told: at a practice bench, where the pulling is what is practised. */
  goesOn: Text | null;
  onPass: ((told: readonly ToldPass[], on: boolean) => Promise<Text | null>) | null;
  /** Questions that come before the wrench, or after it. */
  questions: ReactNode;
  questionsFirst: boolean;
};

/** The pattern, pass by pass: one touch a pass, or bolt by bolt where somebody wants to or where each movement is judged. */
export function BoltsStep({
  values,
  open,
  choice,
  onTick,
  onPass,
  goesOn,
  questions,
  questionsFirst,
}: Props) {
  const { unit } = useSettings();
  // Whoever types each torque goes on in the field; the others go on at the button.
  const typing = useRef(false);
  const [singly, setSingly] = useState(false);
  // A bolt touched on the drawing is told by itself, whichever was next.
  const [picked, setPicked] = useState<number | null>(null);
  // The one that was touched is ringed as long as it can still be pulled in this pass.
  const shown =
    values.next && picked !== null && openIn(values, values.next.pass).includes(picked)
      ? { ...values, next: { ...values.next, bolt: picked } }
      : values;
  const whole = onPass !== null && values.spec.count > 1 && !eachIsJudged(values);
  return (
    <div className="flex flex-col gap-4">
      {questionsFirst && questions}
      <DrawingView
        drawing={boltFigure({ values: shown })}
        onPick={
          open && !choice.coming
            ? (bolt) => {
                setSingly(true);
                setPicked(bolt);
              }
            : undefined
        }
        className="overflow-visible lg:[@media(max-height:790px)]:max-h-36!"
      />
      <Passes values={values} />
      {open &&
        values.next &&
        !choice.coming &&
        (whole && !singly ? (
          <PassForm
            key={`${values.next.pass}/${values.ticks.length} ${unit}`}
            values={values}
            choice={choice}
            onPass={onPass}
            goesOn={goesOn}
            onSingly={() => setSingly(true)}
          />
        ) : (
          // Each tick begins with its own torque, no movement, and the next bolt allowed.
          <TickForm
            key={`${values.next.pass}/${values.next.bolt}/${values.ticks.length} ${unit} ${picked}`}
            values={values}
            choice={choice}
            first={picked}
            onTick={async (tick) => {
              const refused = await onTick(tick);
              if (refused === null) setPicked(null);
              return refused;
            }}
            typing={typing}
            onWhole={
              whole
                ? () => {
                    setSingly(false);
                    setPicked(null);
                  }
                : null
            }
          />
        ))}
      {!questionsFirst && questions}
    </div>
  );
}

/** The passes in a row: what each is, its torque, how many bolts of it are done. Of a seating loop the last rounds only. */
function Passes({ values }: { values: BoltValues }) {
  const say = useSay();
  const { unit } = useSettings();
  const from = Math.max(0, values.passes.length - 6);
  return (
    <ol className="m-0 flex list-none flex-wrap border-y border-rule p-0" aria-label={say(M.passes)}>
      {values.passes.map((p, i) => {
        if (i < from) return null;
        const done = p.order.filter((b) => values.ticks.some((t) => t.pass === i && t.bolt === b)).length;
        const round = values.settling[values.passes.slice(0, i).filter((x) => x.kind === 'round').length];
        return (
          <li
            key={textKey(p.name)}
            aria-current={values.next?.pass === i ? 'step' : undefined}
            className={`min-w-[6.5rem] flex-1 border-l border-faint px-3 py-1.5 first:border-l-0 ${values.next?.pass === i ? 'bg-shade' : ''}`}
          >
            <span className="block font-label text-lg font-semibold">
              <Words of={p.name} />
            </span>
            <span className="figures block text-sm">
              {p.torqueNm === null ? say(COMMON.hand) : formatTorque(p.torqueNm, unit)}
            </span>
            <span className="figures block text-sm text-muted">
              {p.kind === 'round' && round !== undefined
                ? say(M.moved({ round }))
                : say(COMMON.of({ done, count: p.order.length }))}
            </span>
          </li>
        );
      })}
    </ol>
  );
}
