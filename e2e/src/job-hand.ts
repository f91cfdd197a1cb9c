import type { Page } from 'playwright-core';
import { fillOpenBoxes, showUsual } from './opening.ts';
import { SheetHand } from './sheet-hand.ts';

type Form = {
  /** The kind of work, by the words on its button. */
  work: string;
  position: string;
  /** Fields by label, typed; choices by label, by what they are called. */
  fields?: Record<string, string>;
  choices?: Record<string, string>;
  /** Parts and measures that are on; all others among `known` are off. */
  on?: string[];
  /** The depth of check, by the words on its button; the site's where not said. */
  depth?: string;
};

/** Flags a new job's form may begin with. */
const FLAGS = [
  'Inspect shaft',
  'Shaft diameters',
  'Run-out',
  'End and radial play',
  'Finish',
  'Box face',
  'Box bore',
  'Seal envelope',
  'Housing close-up',
  'First fill',
  'Load and base bolts',
  'Run-in checks',
  'Feelers as well',
  'Mount and dismount nut',
  'Impeller clearance is set',
];

/** Open a job by the form and answer its gate. */
export async function openJob(
  page: Page,
  url: string,
  { work, position, fields = {}, choices = {}, on = [], depth }: Form,
): Promise<{ hand: SheetHand; jobId: string }> {
  await page.goto(`${url}/jobs/new`);
  await page.getByRole('button', { name: new RegExp(`^${work}`) }).click();
  await showUsual(page);
  await page.getByLabel('Machine', { exact: true }).fill('Test drive');
  await page.getByLabel('Position', { exact: true }).fill(position);
  for (const [label, value] of Object.entries(choices)) {
    // What decides the order of work is chosen in sight, by its name.
    const row = page.getByRole('group', { name: label, exact: true });
    if ((await row.count()) > 0) await row.getByRole('button', { name: value, exact: true }).click();
    else await page.getByLabel(label, { exact: true }).selectOption({ label: value });
  }
  if (depth) await page.getByRole('button', { name: new RegExp(`^${depth}`) }).click();
  for (const name of FLAGS) {
    const flag = page.getByRole('button', { name, exact: true });
    if ((await flag.count()) === 0) continue;
    if (((await flag.getAttribute('aria-pressed')) === 'true') !== on.includes(name)) await flag.click();
  }
  for (const [label, value] of Object.entries(fields))
    await page.getByLabel(label, { exact: true }).fill(value);
  await fillOpenBoxes(page, work);
  await chooseBolts(page);
  await page.getByRole('button', { name: 'Start job' }).click();
  await page.waitForURL(/\/jobs\/[0-9a-f-]{36}$/);
  const hand = new SheetHand(page);
  await hand.answerAll();
  await hand.on();
  return { hand, jobId: page.url().split('/').at(-1) ?? '' };
}

/** Bolts begin unsaid: whoever has them in front of him chooses. Those a test has not chosen itself are M16, 8.8, four. */
async function chooseBolts(page: Page): Promise<void> {
  const rows = page.locator('[data-decided]');
  for (let i = 0; i < (await rows.count()); i++) {
    const field = rows.nth(i).locator('select, input');
    if ((await field.inputValue()) !== '') continue;
    const id = (await field.getAttribute('id')) ?? '';
    if (/size$/i.test(id)) await field.selectOption('M16');
    else if (/grade$/i.test(id)) await field.selectOption('8.8');
    else await field.fill('4');
  }
}

/** Diameters of a seat of two stations and three angles. */
export async function survey(hand: SheetHand, around: number): Promise<void> {
  const off = [-0.026, -0.028, -0.024, -0.027, -0.029];
  for (const o of off) await hand.read('shaft', (around + o).toFixed(3));
  await hand.last('shaft', (around - 0.025).toFixed(3));
  await hand.on();
}
