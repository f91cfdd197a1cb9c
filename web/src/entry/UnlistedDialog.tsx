import { gaugeKind, type Instrument, quantityOf, USUAL_STEP } from '@fulcrant/core/instruments';
import type { Text } from '@fulcrant/core/messages';
import { COMMON } from '@fulcrant/core/messages';
import { measured } from '@fulcrant/core/units';
import { type FormEvent, useState } from 'react';
import { Link, useLocation } from 'react-router';
import { Button, Dialog } from '../ui/controls.tsx';
import { useSay, useSettings, Words } from '../ui/settings.tsx';
import { TextField } from '../ui/TextField.tsx';
import { M } from './messages.ts';

/** A gauge that is in no list is named, and what it reads to said: the work does not wait for the list. */
export function UnlistedDialog({
  kinds,
  onName,
  onClose,
}: {
  kinds: ReadonlyArray<Instrument['kind']>;
  onName: (kind: Instrument['kind'], name: string, step: number) => void;
  onClose: () => void;
}) {
  const say = useSay();
  const { unit } = useSettings();
  const { pathname } = useLocation();
  const [kind, setKind] = useState<Instrument['kind']>(kinds[0] ?? 'caliper');
  const [name, setName] = useState('');
  const [typed, setTyped] = useState<string | null>(null);
  const [faults, setFaults] = useState<{ name?: Text; step?: Text }>({});
  const told = measured(quantityOf(kind));
  const step = typed ?? told.format(USUAL_STEP[kind], unit);
  const submit = (e: FormEvent) => {
    e.preventDefault();
    e.stopPropagation();
    const read = typed === null ? null : told.readStep ? told.readStep(step) : told.read(step, unit);
    const found = {
      ...(name.trim().length < 2 ? { name: M.giveGaugeName } : {}),
      ...(read && !read.ok
        ? { step: read.message }
        : read?.ok && read.value <= 0
          ? { step: M.stepMoreThanNothing }
          : {}),
    };
    setFaults(found);
    if (Object.keys(found).length > 0) return;
    onName(kind, name.trim(), read?.ok ? read.value : USUAL_STEP[kind]);
    onClose();
  };
  return (
    <Dialog open onClose={onClose} title={say(M.gaugeNotListed)}>
      <form onSubmit={submit} noValidate className="flex flex-col gap-3">
        <p className="m-0">{say(M.printsWithReadingNoCalibration)}</p>
        {kinds.length > 1 && (
          <fieldset className="m-0 flex flex-wrap gap-2 border-0 p-0">
            <legend className="kicker">{say(COMMON.kind)}</legend>
            {kinds.map((k) => (
              <button
                key={k}
                type="button"
                aria-pressed={kind === k}
                onClick={() => {
                  setKind(k);
                  setTyped(null);
                }}
                className="min-h-12 border border-muted px-3 font-label text-base aria-pressed:border-2 aria-pressed:border-brass aria-pressed:font-semibold"
              >
                <Words of={gaugeKind(k).name} />
              </button>
            ))}
          </fieldset>
        )}
        <TextField
          label={say(M.nameOfGauge)}
          value={name}
          onText={setName}
          maxLength={60}
          fault={faults.name}
        />
        <TextField
          label={say(gaugeKind(kind).step)}
          value={step}
          onText={setTyped}
          inputMode="decimal"
          maxLength={20}
          fault={faults.step}
        />
        <div className="flex flex-wrap items-center gap-3">
          <Button type="submit" weight="solid" data-use-unlisted>
            {say(M.useThisGauge)}
          </Button>
          <Button onClick={onClose}>{say(COMMON.cancel)}</Button>
          <Link
            to={`/gauges/new?kind=${kind}&back=${encodeURIComponent(pathname)}`}
            className="inline-flex min-h-12 items-center text-steel underline underline-offset-4"
          >
            {say(M.addGaugeToList)}
          </Link>
        </div>
      </form>
    </Dialog>
  );
}
