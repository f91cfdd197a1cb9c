import { gaugeKind, type Instrument, outOfDate } from '@fulcrant/core/instruments';
import type { Setup } from '@fulcrant/core/job';
import type { Text } from '@fulcrant/core/messages';
import { COMMON } from '@fulcrant/core/messages';
import { kitOf, kitRowKey, type Outage, type OutageNetwork, toolsWanted } from '@fulcrant/core/outage';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { faultsOf } from '../data/asked.ts';
import { layOut, type OutageKnown } from '../data/outages.ts';
import { useSession } from '../data/session.tsx';
import { useInstruments } from '../data/site.ts';
import { useSay, Words } from '../ui/settings.tsx';
import { M } from './messages.ts';

const GROUP: Record<string, Text> = {
  bearings: COMMON.bearings,
  seals: COMMON.seals,
  parts: COMMON.parts,
  rope: COMMON.packing,
  bolts: COMMON.bolts,
  grease: COMMON.grease,
  gaskets: COMMON.gaskets,
  shims: COMMON.shims,
};
const said = (count: number, unit: string) =>
  unit === 'mm' ? `${(count / 1000).toFixed(2)} m` : unit === 'piece' ? `${count}` : `${count} ${unit}`;

/** What all jobs want together, ticked as it is laid out; what is short of tools is said. */
export function KitPanel({
  id,
  outage,
  setups,
  net,
  laid,
}: {
  id: string;
  outage: Outage;
  setups: Readonly<Record<string, Setup | undefined>>;
  net: OutageNetwork;
  laid: OutageKnown['laid'];
}) {
  const client = useQueryClient();
  const { person } = useSession();
  const mayTick = person?.role === 'lead' || person?.role === 'fitter';
  const say = useSay();
  const [fault, setFault] = useState<Text | null>(null);
  const tick = async (row: string) => {
    setFault(null);
    try {
      const told = await layOut(id, row, laid[row] === undefined);
      client.setQueryData<OutageKnown>(['outage', id], (k) => k && { ...k, ...told });
    } catch (error) {
      setFault(Object.values(faultsOf(error))[0] ?? null);
    }
  };
  const { rows, unknown } = kitOf(outage, setups);
  const tools = toolsWanted(outage, net.pieces);
  const gauges = (useInstruments().data?.instruments ?? []).filter((g) => !g.standIn);
  const wall = outage.endsAt.slice(0, 10);
  const stale = gauges.filter((g) => outOfDate(g, wall));
  const kinds = new Map<Instrument['kind'], number>();
  for (const g of gauges) if (!outOfDate(g, wall)) kinds.set(g.kind, (kinds.get(g.kind) ?? 0) + 1);
  return (
    <div className="grid gap-x-10 gap-y-4 lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]" data-kit={rows.length}>
      <table className="w-full border-collapse text-left">
        <thead>
          <tr className="kicker border-b border-rule">
            <th className="py-1 pr-3">{say(COMMON.outWord)}</th>
            <th className="pr-3">{say(COMMON.kind)}</th>
            <th className="pr-3">{say(M.item)}</th>
            <th className="pr-3 text-right">{say(M.howMuch)}</th>
            <th>{say(M.forText)}</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((r) => {
            const name = kitRowKey(r);
            return (
              <tr key={name} className="border-b border-faint align-top">
                <td className="pr-3">
                  <button
                    type="button"
                    aria-pressed={laid[name] !== undefined}
                    aria-label={say(M.laidOut({ item: r.item }))}
                    onClick={() => void tick(name)}
                    disabled={!mayTick}
                    className="grid min-h-12 w-12 place-items-center border border-ink font-label text-lg aria-pressed:bg-ink aria-pressed:text-paper"
                  >
                    {laid[name] === undefined ? '' : '✓'}
                  </button>
                </td>
                <td className="py-2 pr-3 text-muted">
                  <Words of={GROUP[r.group] ?? r.group} />
                </td>
                <td className="py-2 pr-3 font-label text-lg font-semibold">
                  {say(r.item)}
                  {laid[name] !== undefined && (
                    <span className="block text-sm font-normal text-muted">
                      {say(M.laidOut2({ laid: laid[name] }))}
                    </span>
                  )}
                </td>
                <td className="figures whitespace-nowrap py-2 pr-3 text-right">{said(r.count, r.unit)}</td>
                <td className="py-2 text-sm text-muted">
                  {r.jobs.map((j) => `${j.job.machine}, ${j.job.position}`).join('; ')}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <div>
        {fault && (
          <p role="alert" className="m-0 pb-3 font-medium text-stop">
            <Words of={fault} />
          </p>
        )}
        <h2 className="kicker m-0 border-b border-rule pb-1">{say(M.sharedTools)}</h2>
        <ul className="m-0 list-none p-0">
          {tools.map((t) => (
            <li key={t.tool} className="flex justify-between border-b border-faint py-1.5">
              <span>{t.tool}</span>
              <span className={t.there === 0 ? 'font-medium text-stop' : 'text-muted'}>
                {t.there === 0
                  ? say(M.noneHerePiecesWant({ pieces: t.pieces }))
                  : say(M.herePiecesWant({ there: t.there, pieces: t.pieces }))}
                {t.outOfReach > 0 && t.there > 0 && (
                  <span className="block font-medium text-stop">
                    {say(M.noneReachesTorque({ outOfReach: t.outOfReach }))}
                  </span>
                )}
              </span>
            </li>
          ))}
        </ul>
        <h2 className="kicker m-0 border-b border-rule pb-1 pt-4">{say(COMMON.gauges)}</h2>
        <ul className="m-0 list-none p-0" data-gauges-out={stale.length}>
          {stale.map((g) => (
            <li key={g.id} className="flex justify-between gap-4 border-b border-faint py-1.5">
              <span>{g.name}</span>
              <span className="font-medium text-stop">
                {say(
                  M.outDate({
                    calibrationDue: outOfDate(g, outage.startsAt.slice(0, 10))
                      ? M.already
                      : M.beforeWall({ calibrationDue: g.calibrationDue ?? '' }),
                  }),
                )}
              </span>
            </li>
          ))}
        </ul>
        <p className="m-0 py-1 text-sm text-muted">
          {stale.length === 0 ? say(M.allDatePastWall) : say(M.othersDatePastWall)}
          {[...kinds].map(([kind, n]) => `${n} × ${say(gaugeKind(kind).name)}`).join(', ') ||
            say(COMMON.noneWord)}
          .
        </p>
        {unknown.length > 0 && (
          <p className="mt-3 text-sm text-muted">
            {say(
              M.nobodyHasSaidYetWhat({
                unknown: unknown.map((j) => `${j.machine}, ${j.position}`).join('; '),
              }),
            )}
          </p>
        )}
        <p className="m-0 mt-2 no-print">
          <a
            className="inline-flex min-h-12 items-center text-steel underline underline-offset-4"
            href={`/api/outages/${id}/kit.csv`}
          >
            {say(M.csvKit)}
          </a>
        </p>
      </div>
    </div>
  );
}
