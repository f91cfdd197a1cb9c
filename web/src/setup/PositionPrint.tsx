import type { Origin } from '@fulcrant/core/forms';
import {
  type Field,
  type FormValues,
  formName,
  type MeasuredPlace,
  type PositionPiece,
} from '@fulcrant/core/job';
import type { Text } from '@fulcrant/core/messages';
import { COMMON } from '@fulcrant/core/messages';
import type { CSSProperties } from 'react';
import type { UseFormRegister } from 'react-hook-form';
import { Shapes } from '../figures/DrawingView.tsx';
import { Fault } from '../ui/controls.tsx';
import { useSay, Words } from '../ui/settings.tsx';
import { M } from './messages.ts';

/** How a box is drawn: empty, dotted until somebody has looked, solid. */
export type BoxLook = 'open' | 'dotted' | 'solid';
const LOOKS: Readonly<Record<BoxLook, string>> = {
  open: 'border-[3px] border-ink bg-paper',
  dotted: 'border-2 border-dotted border-brass bg-paper',
  solid: 'border-2 border-ink bg-paper',
};

const SAID: Partial<Record<Origin, Text>> = {
  here: M.asLastTimeHere,
  'other-work': M.knownHereFromOtherWork,
  past: M.fromSignedSheetHere,
  stamp: M.fromStampLook,
  card: M.fromPartsCard,
  'card-unlooked': M.fromCardNobodyLookedOver,
};

/** How a value stands: an empty one open, one nobody has looked at dotted, all else solid. */
export function lookOf(value: string, from: Origin | undefined, typed: boolean): BoxLook {
  if (value.trim() === '') return 'open';
  if (typed) return 'solid';
  return from === 'stamp' || from === 'card-unlooked' || from === 'other-work' || from === 'usual'
    ? 'dotted'
    : 'solid';
}

type Props = {
  /** What the trade draws of the position, from left to right. */
  pieces: readonly PositionPiece[];
  fields: readonly Field[];
  /** Those of them that may be left empty. */
  free: ReadonlySet<string>;
  values: FormValues;
  from: Readonly<Record<string, Origin>>;
  typed: (name: string) => boolean;
  faultOf: (name: string) => string | undefined;
  register: UseFormRegister<FormValues>;
  onChoose: (name: string, value: string) => void;
};

/** The pieces of a position some of whose sizes are asked for. */
export const drawnOf = (pieces: readonly PositionPiece[], fields: readonly Field[]): PositionPiece[] =>
  pieces.filter((p) => fields.some((f) => p.places[f.name]));

/** Where the sizes of a position are measured on its drawing; of two places of one size the later piece’s counts. */
export const placesOf = (pieces: readonly PositionPiece[]): Readonly<Record<string, MeasuredPlace>> =>
  Object.assign({}, ...pieces.map((p) => p.places));

/** A print of the position with a box on each dimension line, as far as the work asks for them. */
export function PositionPrint({
  pieces,
  fields,
  free,
  values,
  from,
  typed,
  faultOf,
  register,
  onChoose,
}: Props) {
  const say = useSay();
  const shown = drawnOf(pieces, fields);
  const places = placesOf(shown);
  const drawn = fields.filter((f) => places[f.name]);
  const beside = fields.filter((f) => !places[f.name]);
  const box = (f: Field) => (
    <SizeBox
      key={f.name}
      field={f}
      free={free.has(f.name)}
      value={values[formName(f.name)] ?? ''}
      from={from[f.name]}
      typed={typed(f.name)}
      fault={faultOf(f.name)}
      register={register}
      onChoose={onChoose}
    />
  );
  return (
    <figure className="m-0" aria-label={say(M.printPosition)}>
      {drawn.length > 0 && (
        <>
          <div
            className="grid gap-x-4 gap-y-3 sm:grid-cols-2 md:[grid-template-columns:repeat(var(--boxes),minmax(0,1fr))]"
            style={{ '--boxes': drawn.length } as CSSProperties}
          >
            {drawn.map(box)}
          </div>
          <svg viewBox="0 0 1000 216" className="hidden w-full md:block" aria-hidden="true">
            <path d="M10 110 H990" stroke="var(--muted)" strokeDasharray="16 5 4 5" fill="none" />
            <path d="M30 86 H970 V134 H30 Z" fill="var(--paper)" stroke="var(--ink)" strokeWidth="2" />
            <Shapes shapes={shown.flatMap((p) => p.shapes)} />
            {drawn.map((f, i) => {
              const place = places[f.name];
              const empty = (values[formName(f.name)] ?? '').trim() === '';
              const from = ((i + 0.5) / drawn.length) * 1000;
              return (
                <g
                  key={f.name}
                  fill="none"
                  stroke={empty ? 'var(--brass)' : 'var(--muted)'}
                  strokeWidth={empty ? 2.2 : 1.4}
                >
                  <path d={place?.line} />
                  {/* Thin as a leader: from its box above down to where it is measured. */}
                  <path
                    d={`M${from} 0 V10 L${place?.at[0]} 22 V${place?.at[1]}`}
                    strokeWidth="1"
                    strokeDasharray="3 3"
                  />
                </g>
              );
            })}
          </svg>
        </>
      )}
      {beside.length > 0 && (
        <div className="grid gap-x-6 gap-y-3 pt-3 sm:grid-cols-2 lg:grid-cols-4">{beside.map(box)}</div>
      )}
    </figure>
  );
}

function SizeBox({
  field,
  free,
  value,
  from,
  typed,
  fault,
  register,
  onChoose,
}: {
  field: Field;
  free: boolean;
  value: string;
  from: Origin | undefined;
  typed: boolean;
  fault: string | undefined;
  register: Props['register'];
  onChoose: Props['onChoose'];
}) {
  const say = useSay();
  const id = `field-${formName(field.name)}`;
  const look = lookOf(value, from, typed);
  const said = typed ? undefined : from && value.trim() !== '' ? SAID[from] : undefined;
  const shared = {
    id,
    'aria-invalid': fault !== undefined,
    'aria-describedby': fault ? `${id}-fault` : said ? `${id}-from` : undefined,
    'data-box': look,
  };
  return (
    <div className="min-w-0 bg-paper/90">
      <span className="block text-sm leading-tight">
        <label htmlFor={id}>
          <Words of={field.label} />
        </label>
        {free && value.trim() === '' && <span className="text-muted">{say(M.ifThereOne)}</span>}
      </span>
      {field.quantity === 'choice' ? (
        <select
          {...shared}
          value={value}
          onChange={(e) => onChoose(formName(field.name), e.target.value)}
          className={`min-h-12 w-full px-2 text-lg ${LOOKS[look]}`}
        >
          <option value="">{say(COMMON.chosen)}</option>
          {field.options?.map(([v, label]) => (
            <option key={v} value={v}>
              {say(label)}
            </option>
          ))}
        </select>
      ) : (
        <input
          {...shared}
          {...register(formName(field.name))}
          className={`figures min-h-12 w-full px-2 text-lg ${free && value.trim() === '' ? 'border-2 border-faint bg-paper' : LOOKS[look]}`}
          autoComplete="off"
          maxLength={80}
        />
      )}
      {said && (
        <span id={`${id}-from`} className="block text-xs leading-tight text-brass">
          <Words of={said} />
        </span>
      )}
      {fault && <Fault id={`${id}-fault`}>{fault}</Fault>}
    </div>
  );
}
