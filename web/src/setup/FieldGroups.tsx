import { type Field, type FormValues, formName } from '@fulcrant/core/job';
import { COMMON, sameText, textKey } from '@fulcrant/core/messages';
import type { UseFormRegister } from 'react-hook-form';
import { Button, Fault } from '../ui/controls.tsx';
import { useSay, Words } from '../ui/settings.tsx';
import { TorqueField } from '../ui/TorqueField.tsx';

type Rows = {
  fields: readonly Field[];
  values: FormValues;
  errors: FieldErrors;
  register: UseFormRegister<FormValues>;
  onFlag: (name: string, value: string) => void;
};
export type FieldErrors = Record<string, { message?: string } | undefined>;

/** Fields of a setup by their groups: what is on or off in a row, then what is typed or chosen. */
export function FieldGroups({ fields, values, errors, register, onFlag }: Rows) {
  const groups = [...new Map(fields.map((f) => [textKey(f.group), f.group])).values()];
  return groups.map((group) => {
    const flags = fields.filter((f) => sameText(f.group, group) && f.quantity === 'flag');
    const rest = fields.filter((f) => sameText(f.group, group) && f.quantity !== 'flag');
    return (
      <fieldset key={textKey(group)} className="m-0 border-0 border-t border-rule p-0 py-2">
        <legend className="kicker pr-3">
          <Words of={group} />
        </legend>
        <FlagRow fields={flags} values={values} errors={errors} onFlag={onFlag} />
        <div className="grid gap-x-6 gap-y-3 sm:grid-cols-2 lg:grid-cols-4">
          {rest.map((f) =>
            f.quantity === 'torque' ? (
              <TorqueField
                key={f.name}
                id={`field-${formName(f.name)}`}
                label={f.label}
                hint={f.hint}
                value={values[formName(f.name)] ?? ''}
                fault={errors[formName(f.name)]?.message}
                onText={(text) => onFlag(formName(f.name), text)}
              />
            ) : (
              <FieldRow
                key={f.name}
                field={f}
                value={values[formName(f.name)] ?? ''}
                fault={errors[formName(f.name)]?.message}
                register={register(formName(f.name))}
                onChoose={(value) => onFlag(formName(f.name), value)}
              />
            ),
          )}
        </div>
      </fieldset>
    );
  });
}

/** What is on or off, side by side; nothing where there is none. */
export function FlagRow({ fields, values, errors, onFlag }: Omit<Rows, 'register'>) {
  return fields.length === 0 ? null : (
    <div className="mb-2 flex flex-wrap gap-2">
      {fields.map((f) => (
        <Flag
          key={f.name}
          field={f}
          on={values[formName(f.name)] === 'yes'}
          fault={errors[formName(f.name)]?.message}
          onFlag={(on) => onFlag(formName(f.name), on ? 'yes' : '')}
        />
      ))}
    </div>
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
        <Words of={field.label} />
      </Button>
      {fault && <Fault>{fault}</Fault>}
    </div>
  );
}

function FieldRow({
  field,
  value,
  fault,
  register,
  onChoose,
}: {
  field: Field;
  value: string;
  fault: string | undefined;
  register: ReturnType<UseFormRegister<FormValues>>;
  onChoose: (value: string) => void;
}) {
  const look = 'min-h-12 w-full border-0 border-b-2 border-muted bg-paper text-lg text-ink';
  const say = useSay();
  const id = `field-${formName(field.name)}`;
  return (
    <div data-decided={field.decided}>
      <label htmlFor={id} className="text-sm text-muted">
        <Words of={field.label} />
      </label>
      {field.hint && (
        <span className="block text-[0.8125rem] leading-tight text-muted">
          <Words of={field.hint} />
        </span>
      )}
      {field.quantity === 'choice' ? (
        <select
          id={id}
          value={value}
          onChange={(e) => onChoose(e.target.value)}
          className={look}
          aria-invalid={fault !== undefined}
        >
          {(field.optional || field.decided) && (
            <option value="">{field.decided ? say(COMMON.chosen) : say(COMMON.notSaid)}</option>
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
