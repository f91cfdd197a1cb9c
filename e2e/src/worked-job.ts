import { BearingHand } from '@fulcrant/core/examples';
import { gaugeKind, type Instrument } from '@fulcrant/core/instruments';
import type { JobEvent, Setup } from '@fulcrant/core/job';
import type { Page } from 'playwright-core';
import { v7 } from 'uuid';
import type { Tool } from '../../core/src/engine/hand.ts';
import type { HandTools } from '../../core/src/engine/scripted-hand.ts';
import { workStep } from '../../core/src/testing/every-kind.ts';

const ASTA = { id: 'asta', name: 'Asta', role: 'fitter' } as const;

/** One gauge of each kind that reaches everywhere, put into the plant’s register where it is not there yet. */
async function gaugesOf(page: Page, url: string): Promise<HandTools> {
  const range: Record<Tool, [step: number, low: number, high: number]> = {
    micrometer: [0.001, 50, 125],
    feeler: [0.005, 0.02, 1],
    wrench: [1, 1, 600],
    protractor: [1, 0, 360],
    dial: [0.001, 0, 10],
    roughness: [0.00001, 0, 0.02],
    caliper: [0.02, 0, 600],
    laser: [0.01, 0, 50],
    pressure: [0.1, 0, 100],
    thermometer: [0.5, 0, 200],
    gun: [1, 0, 500],
    counter: [1, 0, 5000],
    vibration: [0.1, 0, 100],
    tension: [0.5, 1, 1000],
    force: [0.5, 0, 5000],
  };
  const read = async () =>
    (await (await page.request.get(`${url}/api/instruments`)).json()).instruments as Instrument[];
  let all = await read();
  const named = (kind: string) => `Trial ${kind}`;
  for (const [kind, [step, low, high]] of Object.entries(range))
    if (!all.some((g) => g.name === named(kind)))
      await page.request.post(`${url}/api/instruments`, {
        data: { name: named(kind), kind, step, low, high, calibrationDue: '2099-01-01' },
      });
  all = await read();
  const cards = new Map<string, { scatter: number; free: number }>();
  for (const g of all.filter((x) => x.name.startsWith('Trial ') && gaugeKind(x.kind).byHand)) {
    const at = Math.round(g.high / 2 / g.step) * g.step;
    const values = Array.from({ length: 10 }, (_, i) => at + (i === 3 ? g.step : 0));
    const made = await page.request.post(`${url}/api/hands`, { data: { instrumentId: g.id, values } });
    const { scatter, free } = (await made.json()).card;
    cards.set(g.id, { scatter, free });
  }
  return Object.fromEntries(
    Object.keys(range).map((kind) => {
      const found = all.find((g) => g.name === named(kind));
      if (!found) throw new Error(`No ${kind} in the register.`);
      const { standIn: _never, ...gauge } = found;
      return [kind, { ...gauge, ...(cards.has(gauge.id) ? { hand: cards.get(gauge.id) } : {}) }];
    }),
  ) as unknown as HandTools;
}

const HOUR_MS = 3_600_000;
const handAt = (tools: HandTools, setup: Setup, position: string, hours: number): BearingHand =>
  new BearingHand(
    v7(),
    (at: Date) => v7({ msecs: at.getTime() }),
    tools,
    ASTA,
    new Date(Date.now() - hours * HOUR_MS),
  ).open(v7(), { ...setup, machine: 'Typing stand', position });

async function send(page: Page, url: string, hand: BearingHand): Promise<void> {
  for (let from = 0; from < hand.events.length; from += 100) {
    const events: JobEvent[] = hand.events.slice(from, from + 100);
    const answer = await (
      await page.request.post(`${url}/api/jobs/${hand.jobId}/events`, { data: { events } })
    ).json();
    const refused = answer.outcomes?.find((o: { outcome: string }) => o.outcome !== 'stored');
    if (!answer.outcomes || refused) throw new Error(JSON.stringify(refused ?? answer));
  }
}

/** A job worked by the book as far as a step, sent as Asta; its sheet is opened in the page. */
export async function workedTo(
  page: Page,
  url: string,
  setup: Setup,
  step: string,
  position: string,
): Promise<{ jobId: string; hand: BearingHand }> {
  const hand = handAt(await gaugesOf(page, url), setup, position, 6);
  for (let i = 0; i < 60 && hand.state.present !== step; i++) {
    const at = hand.state.present ?? '';
    workStep(hand);
    hand.pass(at);
  }
  await send(page, url, hand);
  await page.goto(`${url}/jobs/${hand.jobId}`);
  return { jobId: hand.jobId, hand };
}

/** A job at each step of one kind of work, with all of the step entered; with `every` one as the step comes too. */
export async function jobsOnTheWay(
  page: Page,
  url: string,
  setup: Setup,
  position: string,
  every: boolean,
): Promise<Array<[step: string, jobId: string]>> {
  const tools = await gaugesOf(page, url);
  const jobs: Array<[string, string]> = [];
  for (let n = every ? 0 : 1; n < 60; n += every ? 1 : 2) {
    // Days ago: the checks of the next day are due too.
    const hand = handAt(tools, setup, `${position}, ${n}`, 96);
    for (let i = 0; i < Math.floor(n / 2) && hand.state.present; i++) {
      const at = hand.state.present;
      workStep(hand);
      hand.pass(at);
    }
    const step = hand.state.present;
    if (step === null || step === undefined) break;
    if (n % 2 === 1 && step !== 'sign') workStep(hand);
    await send(page, url, hand);
    jobs.push([step, hand.jobId]);
    if (step === 'sign') break;
  }
  return jobs;
}
