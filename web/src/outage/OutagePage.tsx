import type { Text } from '@fulcrant/core/messages';
import { COMMON, textKey } from '@fulcrant/core/messages';
import { type Known, momentAt, networkOf, type Outage, type Placed } from '@fulcrant/core/outage';
import { shiftTimeIn } from '@fulcrant/core/sheet';
import { saidBy } from '@fulcrant/core/units';
import { Tabs, ToggleGroup } from 'radix-ui';
import { startTransition, useCallback, useLayoutEffect, useMemo, useRef, useState } from 'react';
import { useParams } from 'react-router';
import { type OutageKnown, useOutage } from '../data/outages.ts';
import { useSession } from '../data/session.tsx';
import { Corner } from '../entry/Corner.tsx';
import { Button, Fault } from '../ui/controls.tsx';
import { Page } from '../ui/Page.tsx';
import { useSay, Words } from '../ui/settings.tsx';
import { Whole } from '../ui/Whole.tsx';
import { Beside, type Proposal } from './Beside.tsx';
import { Board } from './Board.tsx';
import { ChosenPiece } from './ChosenPiece.tsx';
import { adopted, boundOf, moved, movedOn, saidBroken, unpinned, withPlan } from './change.ts';
import { Headline } from './Headline.tsx';
import { KitPanel } from './KitPanel.tsx';
import { ListsPanel } from './ListsPanel.tsx';
import { M } from './messages.ts';
import { OutageSetup } from './OutageSetup.tsx';
import { RiskPanel } from './RiskPanel.tsx';
import { onQuarter, ZOOMS, type Zoom } from './scale.ts';
import { useKeep } from './use-keep.ts';
import { usePlanner, useRisk } from './use-planner.ts';
import { WhatIfPanel } from './WhatIfPanel.tsx';

/** An outage: its board, and beside it how sure it is, what if, who does what, what is laid out. */
export function OutagePage() {
  const say = useSay();
  const { id = '' } = useParams();
  const known = useOutage(id);
  if (!known.data)
    return (
      <Page title={say(COMMON.outage)} ways={[['/outages', say(COMMON.outages)]]} corner={<Corner />}>
        {known.isError ? (
          <Fault>
            <Words of={saidBy(known.error)} />
          </Fault>
        ) : (
          <p className="text-muted">{say(COMMON.loading)}</p>
        )}
      </Page>
    );
  return <OutageSheet key={id} known={known.data} />;
}

function OutageSheet({ known }: { known: OutageKnown }) {
  const tell = useSay();
  const { told: kept, zone } = known;
  const { outage } = kept;
  const { person } = useSession();
  const leads = person?.role === 'lead';
  const [zoom, setZoom] = useState<Zoom>(
    () => ZOOMS.find(([z]) => z === sessionStorage.getItem('fulcrant.zoom'))?.[0] ?? 'outage',
  );
  const [chosen, setChosen] = useState<string | null>(null);
  const [fault, setFault] = useState<Text | null>(null);
  const [proposal, setProposal] = useState<Proposal | null>(null);
  const planner = usePlanner();
  const facts: Known = useMemo(
    () => ({
      zone,
      at: known.at,
      setups: known.setups,
      durations: known.durations,
      progress: known.progress,
      ended: known.ended,
    }),
    [zone, known.at, known.setups, known.durations, known.progress, known.ended],
  );
  const net = useMemo(() => networkOf(outage, facts), [outage, facts]);
  // As planned, and moved on by what has happened since.
  const going = useMemo(() => (outage.plan ? movedOn(net, adopted(outage)) : null), [net, outage]);
  const seen = useMemo(
    () => (proposal && proposal.outage !== outage ? networkOf(proposal.outage, facts) : net),
    [proposal, outage, facts, net],
  );
  const placed: readonly Placed[] = proposal?.planned.placed ?? going?.placed ?? [];
  const say = useCallback((m: number) => shiftTimeIn(zone)(momentAt(outage, m)), [zone, outage]);
  const keep = useKeep(known);
  // What the board shows, and what it will show: a second key comes before the first is drawn.
  const at = useRef({ outage, placed });
  useLayoutEffect(() => {
    at.current = { outage, placed };
  }, [outage, placed]);
  const put = async (next: Outage, after?: number): Promise<boolean> => {
    const refused = await keep(next, after);
    setFault(refused ? (Object.values(refused)[0] ?? null) : null);
    return refused === null;
  };
  const plan = async (title: Text, next: Outage) => {
    setFault(null);
    const base = kept.version;
    const found = await planner.plan((next === outage ? net : networkOf(next, facts)).network);
    if (found) startTransition(() => setProposal({ title, outage: next, planned: found, base }));
  };
  const adopt = async (p: Proposal) => {
    if (await put(withPlan(p.outage, p.planned, p.planned.bound, known.at), p.base)) setProposal(null);
  };
  const move = (piece: string, start: number, unit: string | null) => {
    const now = at.current;
    const then = moved(now.outage, facts, now.placed, piece, start, unit, say);
    setChosen(piece);
    if ('refused' in then) return setFault(then.refused);
    const next = withPlan(then.outage, then.planned, boundOf(now.outage), known.at);
    at.current = { outage: next, placed: then.planned.placed };
    void put(next);
  };
  const nudge = (piece: string, unit: string, minutes: number, lanes: number) => {
    const here = at.current.placed.find((p) => p.id === piece);
    if (!here) return;
    const hand = here.units.includes(unit) ? unit : here.units[0];
    const lane = outage.crew.findIndex((c) => c.id === hand) + lanes;
    const to = outage.crew[Math.min(outage.crew.length - 1, Math.max(0, lane))];
    move(piece, onQuarter(here.start) + minutes, to?.id ?? null);
  };
  const circle = proposal ? null : (going?.fault ?? null);
  const end = circle ? null : (proposal?.planned.end ?? going?.end ?? null);
  const broken = (proposal?.planned ?? going)?.broken ?? [];
  const unplaced = broken.filter((b) => !placed.some((p) => p.id === b.task)).length;
  const told = useRisk(seen.network, placed, seen.doubts, seen.wall);
  const mayMove = leads && !proposal && !planner.running;
  const late = end !== null && end > seen.wall + 1e-6;
  return (
    <Page title={outage.name} ways={[['/outages', tell(COMMON.outages)]]} corner={<Corner />} wide>
      <div className="flex flex-wrap items-center gap-x-6 gap-y-2 pb-3" data-head>
        <Headline
          end={end}
          wall={seen.wall}
          unplaced={unplaced}
          stuck={circle !== null}
          risk={told?.risk ?? null}
          proposed={proposal !== null}
          say={say}
        />
        <ToggleGroup.Root
          type="single"
          aria-label={tell(M.howMuchSeen)}
          value={zoom}
          onValueChange={(z) => {
            if (!z) return;
            setZoom(z as Zoom);
            sessionStorage.setItem('fulcrant.zoom', z);
          }}
          className="ml-auto flex"
        >
          {ZOOMS.map(([z, words]) => (
            <ToggleGroup.Item
              key={z}
              value={z}
              className="min-h-12 border border-muted px-4 font-label text-lg font-medium data-[state=on]:border-2 data-[state=on]:border-brass data-[state=on]:font-semibold"
            >
              <Words of={words} />
            </ToggleGroup.Item>
          ))}
        </ToggleGroup.Root>
        {leads && !planner.running && !proposal && (
          <Button
            weight="solid"
            disabled={outage.jobs.length === 0 || outage.crew.length === 0}
            onClick={() => void plan(outage.plan ? tell(M.replanned) : tell(M.firstPlan), outage)}
            data-plan
          >
            {outage.plan ? tell(M.replan) : tell(M.plan)}
          </Button>
        )}
        {planner.running && (
          <span className="flex items-center gap-3" data-planning>
            <span className="text-muted">
              {Math.round(100 * planner.share)} %
              {planner.best ? tell(M.soFar({ end: say(planner.best.end) })) : ''}
            </span>
            <Button onClick={planner.stop}>{tell(M.stopTake)}</Button>
          </span>
        )}
      </div>
      {late && !proposal && !planner.running && leads && (
        <p className="m-0 mb-3 border-l-4 border-stop pl-3" data-threatened>
          {tell(M.asPlannedNowWorkEnds)} <strong>{tell(M.replan)}</strong> {tell(M.looksAnotherWayWhatLeft)}
        </p>
      )}
      {proposal && (
        <Beside
          proposal={proposal}
          before={going?.placed ?? []}
          wall={seen.wall}
          outage={outage}
          zone={zone}
          onAdopt={leads ? () => void adopt(proposal) : null}
          onThrow={() => setProposal(null)}
        />
      )}
      {planner.fault && (
        <Fault>
          <Words of={planner.fault} />
        </Fault>
      )}
      {fault && (
        <Fault>
          <Words of={fault} />
        </Fault>
      )}
      {circle && (
        <Fault>
          <Words of={circle} />
        </Fault>
      )}
      {broken.map((b) => (
        <Fault key={`${b.task} ${textKey(b.why)}`}>
          <Words of={saidBroken(seen, b, say, placed)} />
        </Fault>
      ))}
      <Whole what={tell(M.board)} again={kept.version}>
        <Board
          outage={proposal?.outage ?? outage}
          net={seen}
          placed={placed}
          zone={zone}
          zoom={zoom}
          chosen={chosen}
          onChoose={setChosen}
          onMove={mayMove ? move : null}
          onNudge={mayMove ? nudge : null}
        />
      </Whole>
      {chosen && (
        <ChosenPiece
          net={seen}
          placed={placed}
          chosen={chosen}
          outage={outage}
          say={say}
          mayMove={mayMove}
          onUnpin={mayMove ? () => void put(unpinned(outage, chosen)) : null}
        />
      )}
      <Tabs.Root defaultValue={outage.jobs.length === 0 ? 'setup' : 'risk'} className="mt-4">
        <Tabs.List className="flex flex-wrap border-b border-rule" aria-label={tell(M.aboutOutage)}>
          {[
            ['risk', tell(M.willDone)],
            ['what-if', tell(M.whatIf2)],
            ['lists', tell(M.whoDoesWhat)],
            ['kit', tell(COMMON.kit)],
            ['setup', tell(M.windowCrewJobs)],
          ].map(([v, words]) => (
            <Tabs.Trigger
              key={v}
              value={v ?? ''}
              className="min-h-12 border-b-4 border-transparent px-4 font-label text-lg font-medium data-[state=active]:border-brass data-[state=active]:font-semibold"
            >
              {words}
            </Tabs.Trigger>
          ))}
        </Tabs.List>
        <Tabs.Content value="risk" className="pt-3">
          <RiskPanel
            outage={proposal?.outage ?? outage}
            net={seen}
            placed={placed}
            told={told?.risk ?? null}
            bound={proposal?.planned.bound ?? boundOf(outage)}
            say={say}
            onTry={mayMove && outage.plan ? (title, next) => void plan(title, next) : null}
          />
        </Tabs.Content>
        <Tabs.Content value="what-if" className="pt-3">
          <WhatIfPanel
            outage={outage}
            now={net.now}
            zone={zone}
            busy={planner.running}
            onTry={(title, next) => void plan(title, next)}
          />
        </Tabs.Content>
        <Tabs.Content value="lists" className="pt-3">
          <ListsPanel id={kept.id} outage={outage} net={seen} placed={placed} zone={zone} />
        </Tabs.Content>
        <Tabs.Content value="kit" className="pt-3">
          <KitPanel id={kept.id} outage={outage} setups={known.setups} net={net} laid={known.laid} />
        </Tabs.Content>
        <Tabs.Content value="setup" className="pt-3">
          <OutageSetup known={known} mayChange={leads} onKeep={keep} />
        </Tabs.Content>
      </Tabs.Root>
    </Page>
  );
}
