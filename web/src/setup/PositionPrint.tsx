import type { FormValues } from '@fulcrant/core/engine/asked';
import { type Field, formName } from '@fulcrant/core/engine/asked';
import type { Origin } from '@fulcrant/core/job/opening';
import type { CSSProperties } from 'react';
import type { UseFormRegister } from 'react-hook-form';
import { Fault } from '../ui/controls.tsx';
import { useSay } from '../ui/settings.tsx';

/** Where on the print a size is measured: where its leader ends, and its own dimension line, in the print’s points. */
type Place = { x: number; y: number; line: string };
const across = (x: number, y: number, y2: number) =>
  `M${x} ${y} V${y2} M${x - 6} ${y + 7} L${x} ${y} L${x + 6} ${y + 7} M${x - 6} ${y2 - 7} L${x} ${y2} L${x + 6} ${y2 - 7}`;
const along = (x: number, x2: number, y: number) =>
  `M${x} ${y} H${x2} M${x + 7} ${y - 6} L${x} ${y} L${x + 7} ${y + 6} M${x2 - 7} ${y - 6} L${x2} ${y} L${x2 - 7} ${y + 6} M${x} ${y - 40} V${y + 6} M${x2} ${y - 40} V${y + 6}`;
const BARE_SEAT: Place = { x: 430, y: 172, line: along(310, 490, 172) };
const BOX_BORE: Place = { x: 800, y: 62, line: across(800, 62, 158) };
const PLACES: Readonly<Record<string, Place>> = {
  shaftMm: { x: 110, y: 86, line: across(110, 86, 134) },
  boreMm: { x: 400, y: 70, line: across(400, 70, 150) },
  seatMm: { x: 430, y: 190, line: along(310, 490, 190) },
  boxBoreMm: BOX_BORE,
  'condition.boxBoreMm': BOX_BORE,
  boxDepthMm: { x: 780, y: 206, line: along(680, 880, 206) },
  'condition.faceRadiusMm': { x: 890, y: 150, line: 'M890 110 V196 M884 189 L890 196 L896 189' },
};

/** How a box is drawn: empty, dotted until somebody has looked, solid. */
export type BoxLook = 'open' | 'dotted' | 'solid';
const LOOKS: Readonly<Record<BoxLook, string>> = {
  open: 'border-[3px] border-ink bg-paper',
  dotted: 'border-2 border-dotted border-brass bg-paper',
  solid: 'border-2 border-ink bg-paper',
};

const SAID: Partial<Record<Origin, string>> = {
  here: 'as last time here',
  'other-work': 'known here from other work',
  past: 'from a signed sheet here',
  stamp: 'from the stamp: look',
  card: 'from the part’s card',
  'card-unlooked': 'from a card nobody looked over',
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
  fields: readonly Field[];
  /** Those of them that may be left empty. */
  free: ReadonlySet<string>;
  values: FormValues;
  from: Readonly<Record<string, Origin>>;
  typed: (name: string) => boolean;
  faultOf: (name: string) => string | undefined;
  register: UseFormRegister<FormValues>;
};

/** A print of the position with a box on each dimension line: shaft, bearing, box, as far as the work asks for them. */
export function PositionPrint({ fields, free, values, from, typed, faultOf, register }: Props) {
  const drawn = fields.filter((f) => PLACES[f.name]);
  const beside = fields.filter((f) => !PLACES[f.name]);
  const has = (...names: string[]) => drawn.some((f) => names.includes(f.name));
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
    />
  );
  return (
    <figure className="m-0" aria-label="Print of the position">
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
            {has('boreMm') && (
              <g stroke="var(--ink)" strokeWidth="1.6">
                <path d="M310 70 L490 78 V86 H310 Z M310 150 L490 142 V134 H310 Z" fill="var(--shade)" />
                <path d="M340 42 H460 V72 L340 71 Z M340 149 L460 148 V178 H340 Z" fill="var(--paper)" />
                <g fill="none">
                  <circle cx="372" cy="56" r="11" />
                  <circle cx="428" cy="56" r="11" />
                  <circle cx="372" cy="164" r="11" />
                  <circle cx="428" cy="164" r="11" />
                </g>
              </g>
            )}
            {has('boxBoreMm', 'condition.boxBoreMm') && (
              <g fill="var(--shade)" stroke="var(--ink)" strokeWidth="1.6">
                <path d="M670 30 H880 V62 H680 V86 H670 Z M670 190 H880 V158 H680 V134 H670 Z" />
                <path d="M880 24 V196" strokeWidth="3" />
              </g>
            )}
            {drawn.map((f, i) => {
              // With no bearing on it the seat’s length is told close under the shaft.
              const place = f.name === 'seatMm' && !has('boreMm') ? BARE_SEAT : PLACES[f.name];
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
                    d={`M${from} 0 V10 L${place?.x} 22 V${place?.y}`}
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
}: {
  field: Field;
  free: boolean;
  value: string;
  from: Origin | undefined;
  typed: boolean;
  fault: string | undefined;
  register: Props['register'];
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
        <label htmlFor={id}>{field.label}</label>
        {free && value.trim() === '' && <span className="text-muted">, if there is one</span>}
      </span>
      {field.quantity === 'choice' ? (
        <select
          {...shared}
          {...register(formName(field.name))}
          className={`min-h-12 w-full px-2 text-lg ${LOOKS[look]}`}
        >
          <option value="">to be chosen</option>
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
          {said}
        </span>
      )}
      {fault && <Fault id={`${id}-fault`}>{fault}</Fault>}
    </div>
  );
}
