import type { Setup } from '@fulcrant/core';
import type { ReactNode } from 'react';
import { useForm } from 'react-hook-form';
import { useSettings } from '../../app/settings.tsx';
import { Button, Fault } from '../../ui/controls.tsx';
import { FIELDS, type Field, type FormValues, formName, fromForm, toForm } from './setup-fields.ts';

type Props = {
  start: Partial<Setup>;
  does: string;
  onSetup: (setup: Setup) => Promise<void>;
  before?: ReactNode;
  after?: ReactNode;
};

const groups = [...new Set(FIELDS.map((f) => f.group))];

/** Bearing, shaft, bolts and maker's values. Each fault stands beside its field; what was typed stays. */
export function SetupForm({ start, does, onSetup, before, after }: Props) {
  const { unit } = useSettings();
  const form = useForm<FormValues>({
    defaultValues: toForm(start, unit),
    resolver: (values) => {
      const read = fromForm(values, unit);
      if ('setup' in read) return { values, errors: {} };
      return {
        values: {},
        errors: Object.fromEntries(
          Object.entries(read.faults).map(([k, message]) => [k, { type: 'value', message }]),
        ),
      };
    },
  });
  const submit = form.handleSubmit(async (values) => {
    const read = fromForm(values, unit);
    if ('setup' in read) await onSetup(read.setup);
  });
  const errors = form.formState.errors;
  return (
    <form onSubmit={(e) => void submit(e)} noValidate className="flex flex-col gap-5">
      {before}
      {groups.map((group) => (
        <fieldset key={group} className="m-0 border-0 border-t border-rule p-0 pt-2">
          <legend className="kicker pr-3">{group}</legend>
          <div className="grid gap-x-6 gap-y-3 sm:grid-cols-2 lg:grid-cols-4">
            {FIELDS.filter((f) => f.group === group).map((f) => (
              <FieldRow
                key={f.name}
                field={f}
                fault={errors[formName(f.name)]?.message}
                register={form.register(formName(f.name))}
              />
            ))}
          </div>
        </fieldset>
      ))}
      {after}
      {Object.keys(errors).length > 0 && (
        <Fault>
          {Object.keys(errors).length === 1
            ? 'One field wants a look.'
            : `${Object.keys(errors).length} fields want a look.`}
        </Fault>
      )}
      <Button type="submit" weight="solid" className="self-start">
        {does}
      </Button>
    </form>
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
  const id = `field-${formName(field.name)}`;
  return (
    <div>
      <label htmlFor={id} className="text-sm text-muted">
        {field.label}
      </label>
      {field.kind === 'choice' ? (
        <select id={id} {...register} className={look} aria-invalid={fault !== undefined}>
          {field.options?.map(([value, label]) => (
            <option key={value} value={value}>
              {label}
            </option>
          ))}
        </select>
      ) : (
        <input
          id={id}
          {...register}
          className={`${look} ${field.kind === 'text' ? '' : 'figures'}`}
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
