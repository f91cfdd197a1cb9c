import { type BendValues, shaftBend } from '../../arithmetic/shaft/bend.ts';
import { RUNOUT, runoutLimits } from '../../arithmetic/shaft/limits.ts';
import { RUNOUT_LIMIT, type RunoutValues, runout } from '../../arithmetic/shaft/runout.ts';
import { decisionOf, rulesOf } from '../../engine/setup.ts';
import type { Facts, StepReport } from '../../engine/state.ts';
import { stepKind } from '../../engine/step.ts';
import type { Beam, Finding, WorkingLine } from '../../judgement/result.ts';
import type { Text } from '../../message/message.ts';
import { inline, isText, sameText } from '../../message/message.ts';
import type { AngleReading } from '../../metrology/harmonics.ts';
import { chosenOf } from '../../sources/methods.ts';
import { gaugeFindings } from '../gauges.ts';
import { inHand } from '../in-hand.ts';
import { M } from './messages.ts';
import type { ShaftSetup } from './shaft-setup.ts';
import { conditionOf } from './shaft-setup.ts';
import { againInTurn, nextInTurn, readsSwing, type Turn, type TurnLook, turnOf, turnPlace } from './turn.ts';

export type RunoutStation = {
  atMm: number;
  readings: AngleReading[];
  closingMm: number | null;
  values: RunoutValues;
};
export type RunoutStepValues = { stations: RunoutStation[]; wanted: number; bend: BendValues | null };

/** A dial that reads more than this is not on a shaft any more. */
const BELIEVED_MM = 3;

/** Where the stations of the run-out lie: evenly along the seat, a twentieth in from each end; one alone in its middle. */
export function runoutGrid(setup: ShaftSetup): { stationsMm: number[]; wanted: number } {
  const c = conditionOf(setup);
  const n = c.runoutStations ?? 2;
  const edge = setup.seatMm / 20;
  const stationsMm = Array.from({ length: n }, (_, i) =>
    Number((n === 1 ? setup.seatMm / 2 : edge + ((setup.seatMm - 2 * edge) * i) / (n - 1)).toFixed(1)),
  );
  return { stationsMm, wanted: c.runoutAngles ?? 8 };
}

const looks = (setup: ShaftSetup): TurnLook[] => {
  const { stationsMm, wanted } = runoutGrid(setup);
  return stationsMm.map((atMm, s) => ({
    prefix: `s${s + 1}/`,
    wanted,
    bySwing: readsSwing({ setup }),
    label: stationsMm.length > 1 ? M.station3({ s: s + 1, count: stationsMm.length }) : '',
    limitMm: BELIEVED_MM,
    station: s,
    atMm,
  }));
};

/** An indicator over whole turns at stations along the shaft; the shape behind the run-out is told from both. */
export const runoutStep = stepKind<ShaftSetup, RunoutStepValues>('runout', {
  limits: ({ shaftMm }) => [
    {
      title: M.runOutTir,
      maker: 'runoutMm',
      quantity: 'length',
      rule: RUNOUT.id,
      schools: runoutLimits(shaftMm),
    },
  ],
  repeats: true,
  report(facts, step) {
    const all = looks(facts.setup);
    const turns = all.map((look) => turnOf(facts, step, look.prefix));
    const many = all.length > 1;
    const judged = all.map((look, s) => judgeStation(facts, look, turns[s] as Turn, many ? s + 1 : null));
    const bend = bendOf(
      all,
      judged.map((r) => r.values),
    );
    const results = judged.map((r) => toldByAll(r, bend?.findings[0]?.remedy));
    const read = turns.flatMap((t) => t.taken);
    const at = turns.findIndex((t, s) => nextInTurn(t, all[s] as TurnLook) !== null);
    const look = all[at];
    const turn = turns[at];
    const key = look && turn ? nextInTurn(turn, look) : null;
    const found = look && key ? turnPlace(facts, step, look, key) : null;
    const next = found && !isText(found) ? found : null;
    const findings: Finding[] = [
      ...results.flatMap((r) => r.findings),
      ...(bend?.findings ?? []),
      ...gaugeFindings(read),
    ];
    const working: WorkingLine[] = [
      ...results.flatMap((r, s) => r.working.filter((w) => s === 0 || !sameText(w.what, RUNOUT_LIMIT))),
      ...(bend?.working ?? []),
    ];
    return {
      findings,
      working,
      beams: worstFirst(results.flatMap((r) => r.beams)),
      values: {
        wanted: all[0]?.wanted ?? 8,
        stations: all.map((l, s) => ({
          atMm: l.atMm ?? 0,
          readings: turns[s]?.readings ?? [],
          closingMm: turns[s]?.closingMm ?? null,
          values: (results[s] as (typeof results)[number]).values,
        })),
        bend: bend?.values ?? null,
      } satisfies RunoutStepValues,
      next,
      choices: choices(all, turns, next, at),
      ...(look && !(look.bySwing && turn?.count === 0)
        ? { turn: { prefix: look.prefix, wanted: look.wanted } }
        : {}),
      act: next ? M.turnRead({ label: inline(next.label, 'first') }) : M.everyTurnWholeReadVerdict,
    };
  },
  place(facts, step, key) {
    for (const look of looks(facts.setup)) {
      const place = turnPlace(facts, step, look, key);
      if (place !== null) return place;
    }
    return M.thereNoSuchPlaceShaft;
  },
});

/** Read again at the highest and lowest angle of the turn just read, and the next place itself. */
function choices(
  all: TurnLook[],
  turns: Turn[],
  next: StepReport['next'],
  at: number,
): StepReport['choices'] {
  const now = at >= 0 ? at : all.length - 1;
  const turn = turns[now];
  const look = all[now];
  if (!turn || !look || (turn.count < look.wanted && turn.swingsMm.length === 0)) return [];
  return [...(next ? [{ key: next.key, label: M.next }] : []), ...againInTurn(turn, look)];
}

function judgeStation(facts: Facts<ShaftSetup>, look: TurnLook, turn: Turn, station: number | null) {
  const rules = rulesOf(facts.setup);
  return runout({
    shaftMm: facts.setup.shaftMm,
    readings: turn.readings,
    swingsMm: turn.swingsMm,
    bySwing: look.bySwing,
    closingMm: turn.closingMm,
    ...inHand(turn.taken, 0.01),
    school: chosenOf(rules, RUNOUT),
    makerLimitMm: facts.setup.maker.runoutMm,
    rule: decisionOf(facts.setup),
    wanted: look.wanted,
    ...(station === null ? {} : { where: M.station4({ s: station }), station: String(station) }),
  });
}

/** Once the stations together have told what is wrong, the remedy of one that runs off centre is theirs. */
function toldByAll<R extends ReturnType<typeof judgeStation>>(result: R, remedy: Text | undefined): R {
  if (!remedy || result.values.shape !== 'off-centre') return result;
  return {
    ...result,
    findings: result.findings.map((f) =>
      f.verdict === 'reject' && f.code.startsWith('runout.tir') ? { ...f, remedy } : f,
    ),
  };
}

/** Bent, off centre or bruised, as soon as two whole turns can be fitted. */
function bendOf(all: TurnLook[], values: RunoutValues[]) {
  const stations = values.flatMap((v, s) => {
    const h1 = v.harmonics[0];
    const atMm = all[s]?.atMm ?? 0;
    return h1 && v.taken >= (all[s]?.wanted ?? 8)
      ? [
          {
            atMm,
            eccentricityMm: h1.amplitudeMm,
            highSpotDeg: h1.phaseDeg,
            uncertaintyMm: h1.uncertaintyMm,
            noise: v.noise,
            higherMm: Math.max(0, ...v.harmonics.slice(1).map((h) => h.amplitudeMm)),
          },
        ]
      : [];
  });
  return stations.length >= 2 ? shaftBend({ stations }) : null;
}

/** The beam nearest to (or farthest past) its stop comes first. */
const worstFirst = (beams: Beam[]): Beam[] =>
  [...beams].sort((a, b) => b.value / (b.upper ?? 1) - a.value / (a.upper ?? 1)).slice(0, 1);
