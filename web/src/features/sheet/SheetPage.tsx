import {
  describeSetup,
  type FitUpSheet,
  fitUpSheet,
  formatTorque,
  kindOf,
  reopeningOf,
  type SheetReading,
  sayPlace,
  saySheetReading,
  sheetTitle,
  sleeveOf,
  VERDICT_WORD,
} from '@fulcrant/core';
import { format } from 'date-fns';
import { FileJson, FileText, Printer, Table } from 'lucide-react';
import type { ReactNode } from 'react';
import { Link, useParams } from 'react-router';
import { Corner } from '../../app/Corner.tsx';
import { useJob } from '../../app/job.ts';
import { useQueue } from '../../app/queue.ts';
import { useSay, useSettings } from '../../app/settings.tsx';
import { BearingFigure } from '../../figures/BearingFigure.tsx';
import { Results } from './Results.tsx';
import { SheetFigures } from './SheetFigures.tsx';

const when = (at: string) => format(new Date(at), 'd MMM yyyy HH:mm');
function Section({ title, children }: { title: string; children: ReactNode }) {
  return (
    <section className="break-inside-avoid-page border-t border-rule px-4 py-3">
      <h2 className="m-0 mb-1 text-xl">{title}</h2>
      {children}
    </section>
  );
}

/** The record that stays with the machine, as it will print. */
export function SheetPage() {
  const { id = '' } = useParams();
  const job = useJob(id);
  const { unit } = useSettings();
  const say = useSay();
  const { waiting } = useQueue();
  if (!job.state)
    return (
      <main className="p-8 text-lg">
        {job.loading ? 'Fetching the sheet …' : (job.fault ?? 'There is no such job.')}
      </main>
    );
  const sheet = fitUpSheet(job.state, job.events, job.number);
  const unsent = waiting.filter((w) => w.event.jobId === id).length;
  const link = 'flex min-h-12 items-center gap-2 border border-ink px-4 font-label text-lg font-semibold';
  const bench = sheet.results.benchMm;
  return (
    <div className="mx-auto max-w-5xl p-2 md:p-3.5">
      <nav aria-label="This sheet" className="no-print mb-3 flex flex-wrap items-center gap-3">
        <Link className={link} to={`/jobs/${id}`}>
          Back to the job
        </Link>
        {job.number && unsent === 0 && (
          <>
            <a
              className={link}
              href={`/api/jobs/${id}/sheet.pdf?units=${unit}`}
              target="_blank"
              rel="noreferrer"
              data-pdf
            >
              <FileText aria-hidden="true" size={20} /> PDF
            </a>
            <a
              className={link}
              href={`/api/jobs/${id}/sheet.json`}
              target="_blank"
              rel="noreferrer"
              data-json
            >
              <FileJson aria-hidden="true" size={20} /> JSON
            </a>
          </>
        )}
        {unsent > 0 && (
          <p className="m-0 font-medium text-brass">
            PDF and JSON come when the {unsent} waiting entries are sent.
          </p>
        )}
        {job.number && unsent === 0 && (
          <a className={link} href={`/api/jobs/${id}/readings.csv`} data-csv>
            <Table aria-hidden="true" size={20} /> CSV
          </a>
        )}
        <button type="button" className={link} onClick={() => print()}>
          <Printer aria-hidden="true" size={20} /> Print
        </button>
      </nav>
      <main className="border border-rule">
        <div className="flex flex-wrap items-baseline justify-between gap-4 px-4 py-3">
          <h1 className="m-0 text-3xl">{sheetTitle(sheet)}</h1>
          <p className="m-0 text-lg">
            <span className="figures">{sheet.number ?? 'not sent yet'}</span> · {sheet.title.state}
          </p>
        </div>
        <p className="m-0 px-4 pb-2 text-sm text-muted">{say(describeSetup(sheet.setup))}.</p>
        <Results sheet={sheet} />
        <SheetFigures state={job.state} />
        {bench !== null && kindOf(sheet.setup) === 'sleeve-bearing' && (
          <div className="mx-auto max-w-3xl px-4 pt-3">
            <BearingFigure
              setup={sleeveOf(sheet)}
              clearanceMm={sheet.results.residualMm ?? bench}
              rowAMm={sheet.results.residualMm}
              rowBMm={sheet.results.residualMm}
              travelMm={
                sheet.results.travelMm ??
                (sheet.results.nutDeg === null
                  ? null
                  : (sleeveOf(sheet).pitchMm * sheet.results.nutDeg) / 360)
              }
              travelDimension
              shaftMm={sheet.results.largestMm}
            />
          </div>
        )}
        {sheet.steps.map((s) => (
          <Section key={s.id} title={s.title}>
            {s.answers.length > 0 && (
              <ul className="m-0 list-none p-0 text-[0.95rem]">
                {s.answers.map((a) => (
                  <li key={a.ask}>
                    <strong>{a.answer}</strong> {a.ask} {a.note && <em>{a.note}</em>}{' '}
                    <span className="text-muted">
                      {a.by}, {when(a.at)}
                    </span>
                  </li>
                ))}
              </ul>
            )}
            <Readings readings={sheet.readings.filter((r) => r.step === s.id)} />
            <Bolts bolts={sheet.bolts.filter((b) => b.step === s.id)} />
            <ul className="m-0 list-none p-0 text-[0.95rem]">
              {s.findings.map((f) => (
                <li key={f.code} className="py-0.5">
                  <strong>{VERDICT_WORD[f.verdict]}.</strong> {f.reason}{' '}
                  <span className="text-muted">
                    {f.limit ? `Limit ${f.limit}. ` : ''}
                    {f.source ?? ''}
                  </span>
                  {f.accepted && (
                    <span className="block font-medium">
                      Deviation accepted by {f.accepted.by}, {when(f.accepted.at)}: {f.accepted.reason}
                    </span>
                  )}
                </li>
              ))}
            </ul>
            {s.working.length > 0 && (
              <dl className="m-0 mt-1 grid grid-cols-[auto_1fr] gap-x-4 text-sm">
                {s.working.map((w, i) => (
                  // biome-ignore lint/suspicious/noArrayIndexKey: lines of one sum stand in order and may repeat
                  <div key={i} className="contents">
                    <dt className="text-muted">{w.what}</dt>
                    <dd className="figures m-0">{w.sum}</dd>
                  </div>
                ))}
              </dl>
            )}
            {s.before.map((b, i) => (
              <div key={b.at} className="mt-2 border-l-2 border-faint pl-3 text-[0.95rem]">
                <strong>
                  Measuring {i + 1}, before: {b.done}
                </strong>{' '}
                <span className="text-muted">
                  {b.by}, {when(b.at)}
                </span>
                <ul className="m-0 list-none p-0">
                  {b.findings
                    .filter((f) => f.verdict !== 'incomplete')
                    .map((f) => (
                      <li key={f.code}>
                        {VERDICT_WORD[f.verdict]}. {f.reason}
                      </li>
                    ))}
                </ul>
              </div>
            ))}
            {s.passedBy && (
              <p className="m-0 mt-1 text-sm text-muted">
                Passed by {s.passedBy}, {s.passedAt ? when(s.passedAt) : ''}
              </p>
            )}
          </Section>
        ))}
        <Section title="Also recorded">
          <ul className="m-0 list-none p-0 text-[0.95rem]">
            {sheet.deviations.map((d) => (
              <li key={d.at}>
                Deviation accepted at {d.step}
                {d.attempt > 1 ? `, attempt ${d.attempt}` : ''} by {d.by}, {when(d.at)}: {d.reason} (it stood:{' '}
                {d.stood})
              </li>
            ))}
            {sheet.holds.map((h) => (
              <li key={`${h.step}${h.reason}`}>
                Hold at {h.step}: {h.reason}{' '}
                {h.releasedBy ? `Released by ${h.releasedBy}, ${when(h.releasedAt ?? '')}.` : 'Not released.'}
              </li>
            ))}
            {sheet.dismountings.map((d) => (
              <li key={d.at}>
                {reopeningOf(sheet.setup).said} by {d.by}, {when(d.at)}: {d.reason}
              </li>
            ))}
            {sheet.loosenings.map((d) => (
              <li key={d.at}>
                Bolts loosened by {d.by}, {when(d.at)}: {d.reason}
              </li>
            ))}
            {sheet.setupChanges.map((c) => (
              <li key={c.at}>
                Setup changed by {c.by}, {when(c.at)} ({c.changed.join(', ')}): {c.reason}
              </li>
            ))}
            {sheet.notes.map((n) => (
              <li key={n.at}>
                Note by {n.by}, {when(n.at)}: {n.text}
              </li>
            ))}
          </ul>
          {sheet.sources.length > 0 && (
            <>
              <h3 className="kicker mb-0 mt-2">Sources</h3>
              <ul className="m-0 list-none p-0 text-sm">
                {sheet.sources.map((s) => (
                  <li key={s.id}>
                    {s.title}: {s.rank}
                  </li>
                ))}
              </ul>
            </>
          )}
        </Section>
        <dl
          className="m-0 ml-auto grid max-w-xl grid-cols-2 border-l border-t border-rule"
          aria-label="Title block"
        >
          {(
            [
              ['Machine', sheet.title.machine],
              ['Position', sheet.title.position],
              ['Job', sheet.number ?? 'not sent yet'],
              ['Part', sheet.title.partNumber ?? 'not given'],
              ['Opened', `${when(sheet.title.openedAt)}, ${sheet.title.openedBy}`],
              [
                'Signed',
                sheet.signature ? `${sheet.signature.name}, ${when(sheet.signature.at)}` : 'not yet',
              ],
            ] as const
          ).map(([k, v]) => (
            <div key={k} className="border-b border-faint px-3 py-1.5">
              <dt className="kicker">{k}</dt>
              <dd className="m-0 font-medium">{v}</dd>
            </div>
          ))}
        </dl>
      </main>
      <footer>
        <Corner job={id} />
      </footer>
    </div>
  );
}

function Readings({ readings }: { readings: SheetReading[] }) {
  const say = useSay();
  if (readings.length === 0) return null;
  return (
    <table className="my-2 w-full border-collapse text-left text-[0.95rem]">
      <thead>
        <tr className="kicker">
          <th>place</th>
          <th>reading</th>
          <th>typed</th>
          <th>who, when, gauge</th>
        </tr>
      </thead>
      <tbody>
        {readings.map((r) => (
          <tr key={r.id} className="border-t border-faint align-top">
            <td className="figures whitespace-nowrap pr-3">{sayPlace(r)}</td>
            <td className={`whitespace-nowrap pr-3 ${r.withdrawn ? 'line-through' : ''}`}>
              <span className="figures">{say(saySheetReading(r))}</span>
            </td>
            <td className="figures pr-3">
              {r.typed}
              {r.via !== 'typed' && (
                <span className="block font-text text-sm text-muted">
                  {r.via}
                  {r.standIn ? ', stand-in' : ''}
                </span>
              )}
            </td>
            <td className="text-muted">
              {r.by}, {when(r.at)}, {r.instrument}
              {r.withdrawn && (
                <span className="block text-stop">
                  Withdrawn by {r.withdrawn.by}: {r.withdrawn.reason}
                </span>
              )}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** Bolt by bolt: pass, torque, and how far it still moved. */
function Bolts({ bolts }: { bolts: FitUpSheet['bolts'] }) {
  const { unit } = useSettings();
  if (bolts.length === 0) return null;
  return (
    <table className="my-2 w-full border-collapse text-left text-[0.95rem]">
      <thead>
        <tr className="kicker">
          <th>pass</th>
          <th>bolt</th>
          <th>torque</th>
          <th>who, when, wrench</th>
        </tr>
      </thead>
      <tbody>
        {bolts.map((b) => (
          <tr key={`${b.attempt}-${b.set}-${b.pass}-${b.bolt}`} className="border-t border-faint">
            <td>{b.pass}</td>
            <td className="figures">{b.bolt}</td>
            <td className="figures">
              {b.torqueNm === 0 ? 'hand' : formatTorque(b.torqueNm, unit)}
              {b.movedDeg !== null ? `, moved ${b.movedDeg}°` : b.moved ? ', moved' : ''}
            </td>
            <td className="text-muted">
              {b.by}, {when(b.at)}, {b.instrument}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
