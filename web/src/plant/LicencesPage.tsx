import { COMMON } from '@fulcrant/core/messages';
import { MessageError, saidBy } from '@fulcrant/core/units';
import { useQuery } from '@tanstack/react-query';
import { Corner } from '../entry/Corner.tsx';
import { Fault } from '../ui/controls.tsx';
import { Page } from '../ui/Page.tsx';
import { useSay, Words } from '../ui/settings.tsx';
import { M } from './messages.ts';

type Shipped = { name: string; version: string; licence: string };

/** Whose work the product stands on: every package that ships with it, under its licence. */
export function LicencesPage() {
  const say = useSay();
  const shipped = useQuery({
    queryKey: ['licences'],
    queryFn: async (): Promise<Shipped[]> => {
      const response = await fetch('/licences.json');
      if (!response.ok) throw new MessageError(M.listNotWithBuild);
      return (await response.json()) as Shipped[];
    },
    staleTime: Number.POSITIVE_INFINITY,
  });
  const of = (kind: string) => shipped.data?.filter((s) => s.licence === kind) ?? [];
  const kinds = [...new Set(shipped.data?.map((s) => s.licence))].sort((a, b) => of(b).length - of(a).length);
  return (
    <Page title={say(M.licences)} ways={[['/plant', say(COMMON.plant)]]} corner={<Corner />}>
      <p className="m-0 max-w-3xl">
        {say(M.fulcrantsOwnCodeUnderMit({ count: shipped.data?.length ?? '…' }))}
      </p>
      {shipped.isError && (
        <Fault>
          <Words of={saidBy(shipped.error)} />
        </Fault>
      )}
      {kinds.map((kind) => {
        const all = of(kind);
        return (
          <section key={kind} aria-label={kind} className="pt-4">
            <h2 className="kicker m-0 border-b border-rule pb-1">
              {kind}, {all.length}
            </h2>
            <ul className="m-0 list-none columns-2 gap-x-8 p-0 pt-1 md:columns-3 lg:columns-4">
              {all.map((s) => (
                <li key={`${s.name} ${s.version}`} className="break-inside-avoid">
                  {s.name} <span className="figures text-muted">{s.version}</span>
                </li>
              ))}
            </ul>
          </section>
        );
      })}
    </Page>
  );
}
