import type { Field, FormValues } from '@fulcrant/core/engine/asked';
import { formName } from '@fulcrant/core/engine/asked';
import type { Setup } from '@fulcrant/core/engine/setup';
import type { Trade } from '@fulcrant/core/engine/trade';
import type { StartSetup } from '@fulcrant/core/job/setup-form';
import { fieldsAsked, fromForm, toForm } from '@fulcrant/core/job/setup-form';
import type { ReactNode } from 'react';
import { useForm, useWatch } from 'react-hook-form';
import { Button, Fault } from '../ui/controls.tsx';
import { useSay, useSettings } from '../ui/settings.tsx';

type Props = {
  trade: Trade;
  start: StartSetup;
  does: string;
  onSetup: (setup: Setup) => Promise<void>;
  before?: ReactNode;
  after?: ReactNode;
};

/** What a job rests on. Each fault stands beside its field; what was typed stays; what is not asked for is not shown. */
export function SetupForm({ trade, start, does, onSetup, before, after }: Props) {
  const { unit } = useSettings();
  const form = useForm<FormValues>({
    defaultValues: toForm(trade, start, unit),
    resolver: (values) => {
      const read = fromForm(trade, values, unit);
      if ('setup' in read) return { values, errors: {} };
      return {
        values: {},
        errors: Object.fromEntries(
          Object.entries(read.faults).map(([k, message]) => [k, { type: 'value', message }]),
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
  const groups = [...new Set(asked.map((f) => f.group))];
  const faulty = asked.filter((f) => errors[formName(f.name)]).length;
  return (
    <form onSubmit={(e) => void submit(e)} noValidate className="flex flex-col gap-5">
      {before}
      {groups.map((group) => {
        const flags = asked.filter((f) => f.group === group && f.quantity === 'flag');
        const fields = asked.filter((f) => f.group === group && f.quantity !== 'flag');
        return (
          <fieldset key={group} className="m-0 border-0 border-t border-rule p-0 pt-2">
            <legend className="kicker pr-3">{group}</legend>
            {flags.length > 0 && (
              <div className="mb-2 flex flex-wrap gap-2">
                {flags.map((f) => (
                  <Flag
                    key={f.name}
                    field={f}
                    on={values[formName(f.name)] === 'yes'}
                    fault={errors[formName(f.name)]?.message}
                    onFlag={(on) =>
                      form.setValue(formName(f.name), on ? 'yes' : '', { shouldValidate: true })
                    }
                  />
                ))}
              </div>
            )}
            <div className="grid gap-x-6 gap-y-3 sm:grid-cols-2 lg:grid-cols-4">
              {fields.map((f) => (
                <FieldRow
                  key={f.name}
                  field={f}
                  fault={errors[formName(f.name)]?.message}
                  register={form.register(formName(f.name))}
                />
              ))}
            </div>
          </fieldset>
        );
      })}
      {after}
      {faulty > 0 && (
        <Fault>{faulty === 1 ? 'One field wants a look.' : `${faulty} fields want a look.`}</Fault>
      )}
      <Button type="submit" weight="solid" className="self-start">
        {does}
      </Button>
    </form>
  );
}

/** Something asked for or not, as a button that stays down. */
function Flag({
  field,
  on,
  fault,
  onFlag,
}: {
  field: Field;
  on: boolean;
  fault: string | undefined;
  onFlag: (on: boolean) => void;
}) {
  return (
    <div>
      <Button aria-pressed={on} weight={on ? 'solid' : 'line'} onClick={() => onFlag(!on)}>
        {field.label}
      </Button>
      {fault && <Fault>{fault}</Fault>}
    </div>
  );
}

function FieldRow({
  field,
  fault,
  register,
}: {
  field: Field;
  fault: string | undefined;
  register: ReturnType<ReturnType<typeof useForm<FormValues>>['register']>;
}) {
  const look = 'min-h-12 w-full border-0 border-b-2 border-muted bg-paper text-lg text-ink';
  const say = useSay();
  const id = `field-${formName(field.name)}`;
  return (
    <div data-decided={field.decided}>
      <label htmlFor={id} className="text-sm text-muted">
        {field.label}
      </label>
      {field.quantity === 'choice' ? (
        <select id={id} {...register} className={look} aria-invalid={fault !== undefined}>
          {(field.optional || field.decided) && (
            <option value="">{field.decided ? 'to be chosen' : 'not said'}</option>
          )}
          {field.options?.map(([value, label]) => (
            <option key={value} value={value}>
              {say(label)}
            </option>
          ))}
        </select>
      ) : (
        <input
          id={id}
          {...register}
          className={`${look} ${field.quantity === 'text' ? '' : 'figures'}`}
          autoComplete="off"
          maxLength={80}
          aria-invalid={fault !== undefined}
          aria-describedby={fault ? `${id}-fault` : undefined}
        />
      )}
      {fault && <Fault id={`${id}-fault`}>{fault}</Fault>}
    </div>
  );
}
