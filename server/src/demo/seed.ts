import type { BearingHand } from '@fulcrant/core/examples';
import { autopsy } from '@fulcrant/core/history';
import type { JobEvent } from '@fulcrant/core/job';
import { v7 } from 'uuid';
import { hashPassword } from '../auth/password.ts';
import { appendEvents } from '../store/append.ts';
import { keepAutopsy } from '../store/autopsies.ts';
import { keepPart, keepShaft, lookOver } from '../store/cards.ts';
import { type Database, run } from '../store/database.ts';
import { newLabel } from '../store/labels.ts';
import { beginPlant, plantIsReady, plantStage } from '../store/plant.ts';
import { boxes } from './boxes.ts';
import { fittings } from './fittings.ts';
import { layHandCards } from './hand-cards.ts';
import { hoursAgo, person } from './hands.ts';
import { otherWork } from './other-work.ts';
import { stopBetweenCampaigns } from './outage.ts';
import { DEMO_PASSWORD, GAUGES, PEOPLE, SITE } from './people-and-gauges.ts';
import { pumps } from './pumps.ts';
import { surveys } from './surveys.ts';
import { AREAS, POSITIONS } from './works.ts';
import { years } from './years.ts';

/** Post a hand's events as each of their authors, the way the queue would. */
async function post(db: Database, worked: BearingHand): Promise<void> {
  const runs: JobEvent[][] = [];
  for (const e of worked.events) {
    const run = runs.at(-1);
    if (run && run[0]?.author.id === e.author.id) run.push(e);
    else runs.push([e]);
  }
  for (const run of runs) {
    const answer = await appendEvents(db, person(run[0]?.author.id ?? ''), worked.jobId, run, {
      // The demo's past is told, not lived: each entry counts as sent when it was made.
      now: (e) => new Date(e.at),
    });
    const refused = answer.outcomes.find((o) => o.outcome === 'refused');
    if (refused) throw new Error(`Demo event refused: ${refused.reason}`);
  }
}

/** A part’s card looked over, one that was not, a shaft, and what was seen on a bearing that came off. Invented. */
async function cards(db: Database, ids: Map<string, string>): Promise<void> {
  const seal = {
    designation: 'HB 60 cartridge',
    trade: 'seal',
    values: { glandNm: 34, screwNm: 6, 'maker.glandSpreadMm': 0.05 },
    source: 'sheet 60, page 3',
  };
  await keepPart(db, seal, 'asta');
  await lookOver(db, seal.designation, 1, 'imke');
  await keepPart(
    db,
    {
      designation: 'HB pump seal set 4',
      trade: 'gear-pump',
      values: { plateNm: 44, nutNm: 58 },
      source: 'sheet of the pump',
    },
    'bram',
  );
  const at = (machine: string, position: string) => ids.get(`${machine}|${position}`) ?? '';
  await keepShaft(
    db,
    {
      name: 'Fan shaft',
      machine: 'Cooling fan 3',
      stations: [
        { positionId: at('Cooling fan 3', 'Drive end, fixed'), atMm: 0, role: 'fixed' },
        { positionId: at('Cooling fan 3', 'Outboard, float'), atMm: 1150, role: 'float' },
      ],
    },
    'imke',
  );
  const seen = {
    fretting: 'under-sleeve',
    colour: 'bright',
    grease: 'dark',
    surface: 'smooth',
    path: 'load-side',
  };
  const asked = {
    kind: 'rolling-bearing' as const,
    seen,
    results: { foundMm: 0.0875, reductionMm: 0.04 },
    livedDays: 640,
  };
  await keepAutopsy(
    db,
    at('Cooling fan 3', 'Drive end, fixed'),
    null,
    {
      kind: asked.kind,
      seen,
      words: 'red dust under the sleeve',
      livedDays: asked.livedDays,
      causes: autopsy(asked),
    },
    'bram',
  );
}

/** Everything a demo that was begun may have laid in, those first that stand on others. */
const OF_THE_DEMO = [
  'drills',
  'outages',
  'certificates',
  'hand_cards',
  'photos',
  'autopsies',
  'cards',
  'feeds',
  'sheets',
  'events',
  'jobs',
  'positions',
  'sessions',
  'codes',
  'people',
] as const;

/**
 * Lay the demo data in once, into an empty house. One that was begun and broken off is cleared and begun again, so it takes the owner
 * of the schema. True where it did.
 */
export async function seedDemo(owner: Database): Promise<boolean> {
  const stage = await plantStage(owner);
  if (stage !== 'none' && stage !== 'begun-demo') return false;
  if (stage === 'none' && !(await beginPlant(owner, true, SITE))) return false;
  for (const table of OF_THE_DEMO) await run(owner, `DELETE FROM ${table}`, []);
  await owner.models.Instrument.destroy({ where: { standIn: false } });
  const positions = Object.values(POSITIONS).map((setup) => ({
    id: v7({ msecs: hoursAgo(24 * 30).getTime() }),
    site: SITE,
    area: AREAS[setup.machine] ?? '',
    label: newLabel(),
    machine: setup.machine,
    position: setup.position,
    setup: JSON.stringify(setup),
  }));
  const ids = new Map(positions.map((p) => [`${p.machine}|${p.position}`, p.id]));
  const worked = [
    ...years(ids),
    ...fittings(ids),
    ...surveys(ids),
    ...otherWork(ids),
    ...boxes(ids),
    ...pumps(ids),
  ];
  const passwordHash = await hashPassword(DEMO_PASSWORD);
  await owner.models.Instrument.bulkCreate(Object.values(GAUGES));
  await owner.models.Position.bulkCreate(positions);
  await owner.models.Person.bulkCreate(PEOPLE.map((p) => ({ ...p, passwordHash })));
  await layHandCards(owner, ['asta', 'bram', 'imke'], Object.values(GAUGES));
  for (const job of worked) await post(owner, job);
  await cards(owner, ids);
  await stopBetweenCampaigns(owner, ids);
  await plantIsReady(owner);
  return true;
}
