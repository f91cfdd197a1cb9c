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
  const balloons = balloonsOf(drawn.map((f) => places[f.name]));
  const box = (f: Field, mark?: number) => (
    <SizeBox
      key={f.name}
      field={f}
      mark={mark}
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
    <figure
      className={`m-0 grid gap-x-8 gap-y-3 ${drawn.length > 0 ? 'md:grid-cols-[minmax(0,1fr)_minmax(0,1.6fr)]' : ''}`}
      aria-label={say(M.printPosition)}
    >
      <div
        className={`grid content-start gap-3 sm:grid-cols-2 ${drawn.length > 0 ? 'md:grid-cols-1' : 'lg:grid-cols-4'}`}
      >
        {drawn.map((f, i) => box(f, i + 1))}
        {beside.map((f) => box(f))}
      </div>
      {drawn.length > 0 && (
        <svg
          viewBox="0 -26 1000 242"
          className="sticky top-4 hidden w-full self-start md:block"
          aria-hidden="true"
        >
          <path d="M10 110 H990" stroke="var(--muted)" strokeDasharray="16 5 4 5" fill="none" />
          <path d="M30 86 H970 V134 H30 Z" fill="var(--paper)" stroke="var(--ink)" strokeWidth="2" />
          <Shapes shapes={shown.flatMap((p) => p.shapes)} />
          {drawn.map((f, i) => {
            const place = places[f.name];
            const empty = (values[formName(f.name)] ?? '').trim() === '';
            const ink = empty ? 'var(--brass)' : 'var(--muted)';
            return (
              <g key={f.name} fill="none" stroke={ink} strokeWidth={empty ? 2.2 : 1.4}>
                <path d={place?.line} />
                <path
                  d={`M${balloons[i]} 14 L${place?.at[0]} 24 V${place?.at[1]}`}
                  strokeWidth="1.2"
                  strokeDasharray="3 3"
                />
                <circle cx={balloons[i]} cy="-4" r="18" fill="var(--paper)" />
                <text
                  x={balloons[i]}
                  y="4"
                  textAnchor="middle"
                  className="figures"
                  fontSize="24"
                  fontWeight="600"
                  fill={empty ? 'var(--brass)' : 'var(--ink)'}
                  stroke="none"
                >
                  {i + 1}
                </text>
              </g>
            );
          })}
        </svg>
      )}
    </figure>
  );
}

/** Balloons stand so far apart, in the drawing's own unit. */
const APART = 44;

/** Where the balloon of each place stands along the top: over what it measures, moved aside where two would cover each other. */
function balloonsOf(places: ReadonlyArray<MeasuredPlace | undefined>): number[] {
  const order = places.map((p, i) => ({ i, x: p?.at[0] ?? 0 })).sort((a, b) => a.x - b.x);
  const at: number[] = places.map(() => 0);
  let from = 24;
  for (const { i, x } of order) {
    at[i] = Math.min(Math.max(x, from), 976);
    from = (at[i] ?? 0) + APART;
  }
  return at;
}

function SizeBox({
  field,
  mark,
  free,
  value,
  from,
  typed,
  fault,
  register,
  onChoose,
}: {
  field: Field;
  /** Its balloon on the print. */
  mark: number | undefined;
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
      <span className="block text-[0.95rem] leading-tight">
        {mark !== undefined && (
          <span
            aria-hidden="true"
            className="figures mr-1.5 inline-grid size-5 place-items-center rounded-full border border-current text-xs font-semibold max-md:hidden"
          >
            {mark}
          </span>
        )}
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
        <span id={`${id}-from`} className="block text-[0.8125rem] leading-tight text-brass">
          <Words of={said} />
        </span>
      )}
      {fault && <Fault id={`${id}-fault`}>{fault}</Fault>}
    </div>
  );
}
