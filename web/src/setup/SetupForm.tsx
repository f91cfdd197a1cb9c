import { fieldsAsked, fromForm, type StartSetup, toForm } from '@fulcrant/core/forms';
import { type FormValues, formName, type Setup, type Trade } from '@fulcrant/core/job';
import { say } from '@fulcrant/core/units';
import type { ReactNode } from 'react';
import { useForm, useWatch } from 'react-hook-form';
import { Button, Fault } from '../ui/controls.tsx';
import { useSay, useSettings } from '../ui/settings.tsx';
import { type FieldErrors, FieldGroups } from './FieldGroups.tsx';
import { M } from './messages.ts';

type Props = {
  trade: Trade;
  start: StartSetup;
  does: string;
  onSetup: (setup: Setup) => Promise<void>;
  after?: ReactNode;
};

/** What a job rests on. Each fault stands beside its field; what was typed stays; what is not asked for is not shown. */
export function SetupForm({ trade, start, does, onSetup, after }: Props) {
  const tell = useSay();
  const { unit } = useSettings();
  const form = useForm<FormValues>({
    defaultValues: toForm(trade, start, unit),
    resolver: (values) => {
      const read = fromForm(trade, values, unit);
      if ('setup' in read) return { values, errors: {} };
      return {
        values: {},
        errors: Object.fromEntries(
          Object.entries(read.faults).map(([k, fault]) => [k, { type: 'value', message: say(fault, unit) }]),
        ),
      };
    },
  });
  const values = useWatch({ control: form.control }) as FormValues;
  const submit = form.handleSubmit(async (typed) => {
    const read = fromForm(trade, typed, unit);
    if ('setup' in read) await onSetup(read.setup);
  });
  const errors = form.formState.errors;
  const asked = fieldsAsked(trade, values);
  const faulty = asked.filter((f) => errors[formName(f.name)]).length;
  return (
    <form onSubmit={(e) => void submit(e)} noValidate className="flex flex-col gap-5">
      <FieldGroups
        fields={asked}
        values={values}
        errors={errors as FieldErrors}
        register={form.register}
        onFlag={(name, value) => form.setValue(name, value, { shouldValidate: true })}
      />
      {after}
      {faulty > 0 && (
        <Fault>{faulty === 1 ? tell(M.oneFieldWantsLook) : tell(M.fieldsWantLook({ faulty }))}</Fault>
      )}
      <Button type="submit" weight="solid" className="self-start">
        {does}
      </Button>
    </form>
  );
}
