import type { Text } from '@fulcrant/core/messages';
import { type BoltValues, openIn } from '@fulcrant/core/steps';
import { formatTorque } from '@fulcrant/core/units';
import { type FormEvent, useEffect, useRef, useState } from 'react';
import { GaugePicker } from '../../entry/GaugePicker.tsx';
import type { GaugeChoice } from '../../entry/gauge-choice.ts';
import { byHand } from '../../entry/unlisted-gauges.ts';
import { takeCaret } from '../../ui/caret.ts';
import { Button, Fault } from '../../ui/controls.tsx';
import { useSay, useSettings, Words } from '../../ui/settings.tsx';
import { M } from './messages.ts';
import type { ToldPass } from './told.ts';
import { WrenchField, WrenchHelp } from './WrenchField.tsx';
import { useWrenchAt } from './wrench-at.ts';

/** The passes from the one at hand to the full torque, each with what is left of it; none where something still fills a hole. */
function through(values: BoltValues): Array<{ pass: number; bolts: number[]; torqueNm: number | null }> {
  const { next, held } = values;
  if (!next || (held && held.filled.length > 0)) return [];
  return values.passes.flatMap((p, i) =>
    i < next.pass || p.kind === 'round'
      ? []
      : [{ pass: i, bolts: i === next.pass ? openIn(values, i) : [...p.order], torqueNm: p.torqueNm }],
  );
}

/** What is left of a pass, in its order: tightened, and told by one touch. */
export function PassForm({
  values,
  choice,
  onPass,
  goesOn,
  onSingly,
}: {
  values: BoltValues;
  choice: GaugeChoice;
  onPass: (told: readonly ToldPass[], on: boolean) => Promise<Text | null>;
  /** The step after this one, where nothing comes after this pass: telling it goes on. Else null. */
  goesOn: Text | null;
  onSingly: () => void;
}) {
  const say = useSay();
  const { unit } = useSettings();
  const next = values.next;
  const at = useWrenchAt(next?.torqueNm ?? null);
  const [fault, setFault] = useState<Text | null>(null);
  const form = useRef<HTMLFormElement>(null);
  useEffect(() => takeCaret(form.current?.querySelector<HTMLElement>('[data-pass-told]') ?? null), []);
  const pass = next ? values.passes[next.pass] : null;
  if (!next || !pass) return null;
  const left = openIn(values, next.pass);
  const round = pass.kind === 'round';

  const tell = async (moved: boolean) => {
    const torque = at.read();
    if ('message' in torque) return setFault(torque.message);
    const instrument = next.torqueNm === null ? byHand(say) : choice.gauge;
    if (!instrument)
      return setFault(say(M.noWrenchReaches({ torque: formatTorque(next.torqueNm ?? 0, unit) })));
    setFault(
      await onPass(
        [{ pass: next.pass, bolts: left, torqueNm: torque.nm, instrument, ...(moved ? { moved } : {}) }],
        goesOn !== null && !moved,
      ),
    );
  };
  // Whoever has the wrench on the bolts does not put it down between the passes: told when the last of them is done.
  const toFull = through(values);
  const tellAll = async () => {
    const instrument = choice.gauge;
    if (!instrument)
      return setFault(say(M.noWrenchReaches({ torque: formatTorque(toFull.at(-1)?.torqueNm ?? 0, unit) })));
    setFault(
      await onPass(
        toFull.map((p) => ({
          pass: p.pass,
          bolts: p.bolts,
          torqueNm: p.torqueNm ?? 0,
          instrument: p.torqueNm === null ? byHand(say) : instrument,
        })),
        false,
      ),
    );
  };
  const told = (title: Text | null): Text => {
    const count = left.length;
    if (round) return title ? M.noneMovedOnTo({ count, title }) : M.allCheckedNoneMoved({ count });
    if (title) return M.allTightOnTo({ count, title });
    return next.torqueNm === null ? M.allHandTight({ count }) : M.allTight({ count });
  };
  const submit = (e: FormEvent) => {
    e.preventDefault();
    void tell(false);
  };
  return (
    <form
      ref={form}
      onSubmit={submit}
      noValidate
      className="flex flex-col gap-2"
      data-whole-pass={next.pass}
      data-pass={next.pass}
    >
      <div className="flex flex-wrap items-end gap-x-5 gap-y-2">
        <p className="m-0 min-w-40">
          <span className="kicker !text-brass">
            <Words of={pass.name} />
          </span>
          <span className="figures block text-2xl font-semibold" data-order>
            {left.join(' · ')}
          </span>
        </p>
        {next.torqueNm !== null && (
          <WrenchField text={at.text} onText={at.setText} invalid={fault !== null} />
        )}
        <Button
          type="submit"
          weight="solid"
          className="min-h-14"
          data-pass-told
          data-and-on={goesOn ? '' : undefined}
        >
          {say(told(goesOn))}
        </Button>
        {toFull.length > 1 && (
          <Button className="min-h-14" onClick={() => void tellAll()} data-passes-told={toFull.length}>
            {say(
              M.allPassesTold({
                count: toFull.length,
                torque: formatTorque(toFull.at(-1)?.torqueNm ?? 0, unit),
              }),
            )}
          </Button>
        )}
        {round && (
          <Button className="min-h-14" onClick={() => void tell(true)} data-some-moved>
            {say(M.someMoved)}
          </Button>
        )}
        <Button weight="bare" className="!text-base" onClick={onSingly} data-singly>
          {say(M.oneAtATime)}
        </Button>
        {next.torqueNm !== null && <GaugePicker choice={choice} />}
      </div>
      {values.ticks.length === 0 && (
        <p className="m-0 text-muted">{say(M.tightenInThisOrder({ one: values.spec.one }))}</p>
      )}
      {fault && <Fault>{say(fault)}</Fault>}
      {next.torqueNm !== null && (
        <WrenchHelp
          torqueNm={next.torqueNm}
          gauge={choice.gauge}
          onTake={(nm) => at.setText(formatTorque(nm, unit))}
        />
      )}
    </form>
  );
}
