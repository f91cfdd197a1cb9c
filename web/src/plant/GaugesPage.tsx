import { gaugeKind, handOn, type Instrument } from '@fulcrant/core/instruments';
import { records } from '@fulcrant/core/job';
import { readingUncertainty } from '@fulcrant/core/judgement';
import type { Text } from '@fulcrant/core/messages';
import { COMMON } from '@fulcrant/core/messages';
import { useQueryClient } from '@tanstack/react-query';
import { format } from 'date-fns';
import { type FormEvent, useState } from 'react';
import { Link } from 'react-router';
import { ApiFault, call } from '../data/api.ts';
import { sendCertificate, useCertificates } from '../data/certificates.ts';
import { dependsOnReader, inOwnHand, useOwnHand } from '../data/hands.ts';
import { isOverdue } from '../data/overdue.ts';
import { useSession } from '../data/session.tsx';
import { useInstruments } from '../data/site.ts';
import { Corner } from '../entry/Corner.tsx';
import { Button, Dialog, Fault } from '../ui/controls.tsx';
import { useSay, useSettings, Words } from '../ui/settings.tsx';
import { sayIn, sayStep } from './gauge-said.ts';
import { M } from './messages.ts';

/** The register of gauges: what each steps by, how far it reaches, how much doubt a reading with it has, when it is due. */
export function GaugesPage() {
  const say = useSay();
  const { instruments: gauges = [], outOfUse = [] } = useInstruments().data ?? {};
  const certificates = useCertificates().data ?? [];
  const own = useOwnHand();
  const client = useQueryClient();
  const [fault, setFault] = useState<Text | null>(null);
  const use = async (gauge: Instrument, inUse: boolean) => {
    try {
      await call('POST', `/api/instruments/${gauge.id}/use`, { inUse });
      setFault(null);
      await client.invalidateQueries({ queryKey: ['instruments'] });
    } catch (error) {
      setFault(error instanceof ApiFault ? error.title : say(M.noConnectionServerTakenOut));
    }
  };
  const { unit } = useSettings();
  const { person } = useSession();
  const [renewing, setRenewing] = useState<Instrument | null>(null);
  const rows = [...gauges].sort(
    (a, b) => Number(isOverdue(b)) - Number(isOverdue(a)) || a.kind.localeCompare(b.kind),
  );
  return (
    <div className="mx-auto max-w-6xl p-2 md:p-3.5">
      <main className="border border-rule">
        <div className="flex flex-wrap items-baseline justify-between gap-4 border-b border-rule px-6 py-3">
          <h1 className="m-0 text-3xl">{say(COMMON.gauges)}</h1>
          <span className="flex gap-6">
            <Link
              className="inline-flex min-h-12 min-w-12 items-center text-steel underline underline-offset-4"
              to="/gauges/new"
            >
              {say(COMMON.addGauge)}
            </Link>
            <Link
              className="inline-flex min-h-12 min-w-12 items-center text-steel underline underline-offset-4"
              to="/"
            >
              {say(COMMON.shiftBoard)}
            </Link>
          </span>
        </div>
        <div className="overflow-x-auto px-6 py-3">
          <table className="w-full border-collapse text-left">
            <thead>
              <tr className="kicker">
                <th className="py-1 pr-4">{say(COMMON.gauge)}</th>
                <th className="pr-4">{say(COMMON.kind)}</th>
                <th className="pr-4">{say(M.step)}</th>
                <th className="pr-4">{say(M.reads)}</th>
                <th className="pr-4">{say(M.doubtOneReading)}</th>
                <th className="pr-4">{say(M.calibrationDue)}</th>
              </tr>
            </thead>
            <tbody>
              {rows.map((g) => (
                <tr key={g.id} className="border-t border-faint align-middle" data-gauge={g.id}>
                  <td className="py-1.5 pr-4 font-label text-lg font-semibold">
                    {g.name}
                    {g.serial && (
                      <span className="block font-mono text-sm font-normal text-muted">{g.serial}</span>
                    )}
                    {g.standIn && (
                      <span className="block text-sm font-normal text-brass">{say(M.standPracticeOnly)}</span>
                    )}
                  </td>
                  <td className="pr-4">
                    <Words of={gaugeKind(g.kind).name} />
                  </td>
                  <td className="figures whitespace-nowrap pr-4">
                    <Words of={sayStep(g, g.step, unit)} />
                  </td>
                  <td className="figures whitespace-nowrap pr-4">
                    {g.kind === 'dial' || g.kind === 'laser'
                      ? `± ${say(sayIn(g, g.high, unit, 1))}`
                      : say(
                          M.to({
                            g: say(sayIn(g, g.low, unit, 1)).replace(/(\d)\s.*$/, '$1'),
                            g2: sayIn(g, g.high, unit, 1),
                          }),
                        )}
                  </td>
                  <td className="figures whitespace-nowrap pr-4">
                    <Words
                      of={sayStep(
                        g,
                        Number(
                          (2 * readingUncertainty(g.step, { card: handOn(inOwnHand(g, own)) })).toPrecision(
                            2,
                          ),
                        ),
                        unit,
                      )}
                    />
                    {dependsOnReader(g) && !g.standIn && person && records(person.role) && (
                      <Link
                        className="flex min-h-12 items-center text-sm text-steel underline underline-offset-4"
                        to={`/hands/new?gauge=${encodeURIComponent(g.id)}`}
                      >
                        {own(g) ? say(M.ownHandUntil({ dueOn: own(g)?.dueOn ?? '' })) : say(M.readHandCard)}
                      </Link>
                    )}
                  </td>
                  <td className="pr-4">
                    {g.standIn || g.calibrationDue === undefined ? (
                      <span className="text-muted">{say(COMMON.noneWord)}</span>
                    ) : (
                      <span className={isOverdue(g) ? 'font-medium text-stop' : ''}>
                        {isOverdue(g) ? say(M.outDateSince) : ''}
                        {format(new Date(g.calibrationDue), 'd MMM yyyy')}
                      </span>
                    )}
                    {certificates
                      .filter((c) => c.instrumentId === g.id)
                      .slice(0, 2)
                      .map((c) => (
                        <a
                          key={c.hash}
                          href={`/api/certificates/${c.hash}`}
                          target="_blank"
                          rel="noreferrer"
                          className="flex min-h-12 max-w-48 items-center truncate text-sm text-steel underline underline-offset-4"
                        >
                          {say(M.certificate({ at: format(new Date(c.at), 'd MMM yyyy') }))}
                        </a>
                      ))}
                  </td>
                  <td className="text-right">
                    {person && records(person.role) && !g.standIn && (
                      <Button weight="bare" className="!text-base" onClick={() => setRenewing(g)}>
                        {say(M.enterCalibration)}
                      </Button>
                    )}
                    {person?.role === 'lead' && !g.standIn && (
                      <Button
                        weight="bare"
                        className="!text-base"
                        aria-label={say(M.outUse({ name: g.name }))}
                        onClick={() => void use(g, false)}
                      >
                        {say(M.outUse2)}
                      </Button>
                    )}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
          {fault && (
            <Fault>
              <Words of={fault} />
            </Fault>
          )}
          {outOfUse.length > 0 && (
            <section aria-label={say(M.outUse2)} className="mt-4">
              <h2 className="kicker m-0 border-b border-rule pb-1">{say(M.outUseWhatReadStands)}</h2>
              <ul className="m-0 list-none p-0">
                {outOfUse.map((g) => (
                  <li key={g.id} className="flex items-center gap-4 border-b border-faint py-1">
                    <span className="font-label text-lg font-semibold text-muted">{g.name}</span>
                    <span className="flex-1 text-muted">
                      <Words of={gaugeKind(g.kind).name} />
                    </span>
                    {person?.role === 'lead' && (
                      <Button
                        weight="bare"
                        className="!text-base"
                        aria-label={say(M.backUse({ name: g.name }))}
                        onClick={() => void use(g, true)}
                      >
                        {say(M.backUse2)}
                      </Button>
                    )}
                  </li>
                ))}
              </ul>
            </section>
          )}
          <p className="mt-3 max-w-3xl text-sm text-muted">{say(M.doubtHolds95100Steps)}</p>
        </div>
      </main>
      {renewing && <Renew key={renewing.id} gauge={renewing} onClose={() => setRenewing(null)} />}
      <footer>
        <Corner />
      </footer>
    </div>
  );
}

function Renew({ gauge, onClose }: { gauge: Instrument; onClose: () => void }) {
  const say = useSay();
  const client = useQueryClient();
  const [due, setDue] = useState('');
  const [paper, setPaper] = useState<File | null>(null);
  const [fault, setFault] = useState<Text | null>(null);
  const submit = async (e: FormEvent) => {
    e.preventDefault();
    try {
      // The paper first: a date without it would look finished.
      if (paper) await sendCertificate(gauge.id, paper);
      await call('POST', `/api/instruments/${gauge.id}/calibrated`, { calibrationDue: due });
      await client.invalidateQueries({ queryKey: ['instruments'] });
      await client.invalidateQueries({ queryKey: ['certificates'] });
      onClose();
    } catch (error) {
      setFault(
        error instanceof ApiFault
          ? (error.faults[0]?.message ?? error.title)
          : say(M.noConnectionServerDateEntered),
      );
    }
  };
  return (
    <Dialog open onClose={onClose} title={say(M.backFromCalibration({ name: gauge.name }))}>
      <form onSubmit={(e) => void submit(e)} noValidate className="flex flex-col gap-3">
        <label className="flex flex-col">
          <span className="kicker">{say(M.nextDue)}</span>
          <input
            type="date"
            value={due}
            onChange={(e) => setDue(e.target.value)}
            aria-invalid={fault !== null}
            className="min-h-12 border-0 border-b-2 border-brass bg-transparent text-lg"
          />
        </label>
        <label className="flex flex-col">
          <span className="kicker">{say(M.certificatePdfJpegPngIf)}</span>
          <input
            type="file"
            accept="application/pdf,image/jpeg,image/png"
            onChange={(e) => setPaper(e.target.files?.[0] ?? null)}
            className="min-h-12 border-0 border-b-2 border-muted bg-transparent py-2 text-base"
          />
        </label>
        {fault && (
          <Fault>
            <Words of={fault} />
          </Fault>
        )}
        <Button type="submit" weight="solid" className="self-start">
          {say(M.writeRegister)}
        </Button>
      </form>
    </Dialog>
  );
}
