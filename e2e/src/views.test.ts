import { gzipSync } from 'node:zlib';
import type { Page } from 'playwright-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Plant } from '../../packages/trials/src/plant.ts';
import { violations } from './axe.ts';
import { beginsBy, go, hasCome } from './go.ts';
import { badlyLaid } from './laid.ts';
import { ownPlant } from './shared-plant.ts';
import { drawn, still } from './still.ts';
import { unsaid } from './unsaid.ts';

let plant: Plant;
beforeAll(async () => {
  plant = await ownPlant();
});
afterAll(() => plant?.close());

type BoardJob = {
  id: string;
  number: string;
  machine: string;
  position: string;
  kind: string;
  rail: unknown[];
  present: string | null;
};
const jobsOf = async (page: Page): Promise<BoardJob[]> =>
  (await (await page.request.get(`${plant.url}/api/jobs?limit=200`)).json()).jobs;
const find = async (page: Page, machine: string, position: string): Promise<BoardJob> => {
  const job = (await jobsOf(page)).find((j) => j.machine === machine && j.position.startsWith(position));
  if (!job) throw new Error(`${machine}, ${position}`);
  return job;
};

async function allViews(page: Page): Promise<Array<[string, string]>> {
  const jobs = await jobsOf(page);
  // One of each step, by kind of job; the gate all begin at looks alike in all.
  const present = new Map(jobs.map((j) => [j.present === 'safe' ? 'safe' : `${j.kind} ${j.present}`, j.id]));
  const signed = jobs.find((j) => j.present === null);
  return [
    ['board', '/'],
    ['sign-in', '/sign-in'],
    ['new job', '/jobs/new'],
    ['bench', '/bench'],
    ['gauge', '/gauges/new'],
    ['gauges', '/gauges'],
    ['site rules', '/house-rules'],
    ['account', '/account'],
    ...[...present].map(([step, id]): [string, string] => [`step ${step}`, `/jobs/${id}`]),
    ['sheet', `/jobs/${signed?.id}/sheet`],
    ['setup', `/jobs/${jobs.find((j) => j.present)?.id}/setup`],
  ];
}

const DESK = { width: 1280, height: 800 };
const PHONE = { width: 390, height: 844 };
const SIZES = [
  PHONE,
  { width: 800, height: 1280 },
  { width: 1024, height: 768 },
  { width: 1180, height: 820 },
  DESK,
];

describe('every view', () => {
  // In three parts: a busy machine takes its time over each.
  it.each([0, 1, 2])(
    'has no axe violation by day and by night; at every size all can be touched, nothing overlaps or scrolls sideways (part %d)',
    async (part) => {
      const { page, context, complaints } = await plant.visit('Asta');
      const found: string[] = [];
      const wide: string[] = [];
      const laid: string[] = [];
      let theme = part % 2 === 0 ? 'day' : 'night';
      await beginsBy(page, theme);
      const mine = (await allViews(page)).filter((_, i) => i % 3 === part);
      expect(mine.length).toBeGreaterThan(3);
      for (const [name, path] of mine) {
        if (page.url() === 'about:blank') await page.goto(plant.url);
        await go(page, path);
        await still(page);
        // Names and roles of a step are tried without a browser; here only what is drawn counts.
        const drawnOnly = name.startsWith('step ') ? 'color-contrast' : undefined;
        found.push(...(await violations(page, drawnOnly)).map((v) => `${name}, ${theme}: ${v}`));
        found.push(...(await unsaid(page)).map((u) => `${name} says ${u}`));
        // The other light in place, by its key; the next view begins in it.
        theme = theme === 'day' ? 'night' : 'day';
        await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
        await page.keyboard.press('F4');
        const turned = await page
          .waitForFunction((t) => document.documentElement.dataset.theme === t, theme, { timeout: 1500 })
          .then(
            () => true,
            () => false,
          );
        if (!turned) {
          // A view without the key, such as the sign-in, is loaded anew.
          await beginsBy(page, theme);
          await page.reload();
          await hasCome(page);
        }
        await still(page);
        // In the other light only the inks are others.
        found.push(...(await violations(page, 'color-contrast')).map((v) => `${name}, ${theme}: ${v}`));
        for (const size of SIZES) {
          await page.setViewportSize(size);
          await drawn(page);
          const over = await page.evaluate(() => document.documentElement.scrollWidth - innerWidth);
          if (over > 0) wide.push(`${name} at ${size.width}×${size.height}: ${over} px`);
          laid.push(...(await badlyLaid(page)).map((b) => `${name} at ${size.width}×${size.height}: ${b}`));
        }
      }
      expect(found).toEqual([]);
      expect(wide).toEqual([]);
      expect(laid).toEqual([]);
      expect(complaints).toEqual([]);
      await context.close();
    },
  );

  it('nor has what is laid on top of it: dialogs and the keypad', async () => {
    const { page, context } = await plant.visit('Asta');
    const job = await find(page, 'Pulp press drive', 'Gearbox');
    const found: string[] = [];
    for (const theme of ['day', 'night']) {
      // By night only the inks are others.
      const look = async (name: string) => {
        await still(page);
        const rule = theme === 'night' ? 'color-contrast' : undefined;
        found.push(...(await violations(page, rule)).map((v) => `${name}: ${v}`));
      };
      await beginsBy(page, theme);
      await page.goto(`${plant.url}/jobs/${job.id}`);
      await page.locator('form[data-place] input').waitFor();
      await page.getByLabel('Keypad on screen').click();
      await page.getByRole('button', { name: '7', exact: true }).click();
      await page.getByRole('button', { name: 'thou', exact: true }).click();
      await expect.poll(() => page.locator('form[data-place] input').inputValue()).toBe('7 thou');
      await look(`keypad, ${theme}`);
      await page.getByRole('button', { name: 'More' }).click();
      await look(`more, ${theme}`);
      await page.getByRole('button', { name: 'All readings of this step' }).click();
      await look(`readings, ${theme}`);
      await page.keyboard.press('Escape');
      await page.getByRole('button', { name: 'Undo last' }).click();
      await page.getByRole('button', { name: 'Undo it' }).click();
      await look(`withdraw, ${theme}`);
      await page.keyboard.press('Escape');
      await page.locator('form[data-place] input').fill('');
    }
    expect(found).toEqual([]);
    await context.close();
  });

  it('the first screen takes under 175 kB of compressed script', async () => {
    const context = await plant.device();
    const page = await context.newPage();
    const scripts: Buffer[] = [];
    page.on('response', async (r) => {
      if (r.url().endsWith('.js') && !r.url().endsWith('/sw.js'))
        scripts.push(await r.body().catch(() => Buffer.alloc(0)));
    });
    await page.goto(`${plant.url}/sign-in`);
    await page.getByLabel('Name').waitFor();
    await page.waitForLoadState('networkidle');
    const bytes = scripts.reduce((n, s) => n + gzipSync(s).length, 0);
    expect(scripts.length).toBeGreaterThan(0);
    expect(bytes).toBeLessThan(175_000);
    await context.close();
  });

  it('the board is drawn before any trade has come, every line in words', async () => {
    const { page, context } = await plant.visit('Asta');
    const scripts: string[] = [];
    page.on('request', (r) => scripts.push(r.url()));
    await page.goto(plant.url);
    await page.locator('main a[href^="/jobs/"]').nth(9).waitFor();
    expect(scripts.some((s) => s.includes('BoardPage'))).toBe(true);
    expect(scripts.filter((s) => s.includes('every-trade'))).toEqual([]);
    expect(
      ((await page.locator('main').textContent()) ?? '').match(/\b[a-z][A-Za-z]*\.[a-z][A-Za-z]+\b/g),
    ).toBeNull();
    await context.close();
  });
});

describe('the keyboard alone', () => {
  it('signs in, opens a job from the board, answers, measures, goes on', async () => {
    const context = await plant.device();
    const page = await context.newPage();
    await page.goto(`${plant.url}/sign-in`);
    const keys = page.keyboard;
    /** Tab until the focused control's words match. */
    const tabTo = async (words: RegExp, most = 80) => {
      for (let i = 0; i < most; i++) {
        await keys.press('Tab');
        const label = await page.evaluate(
          () =>
            `${document.activeElement?.getAttribute('aria-label') ?? ''} ${document.activeElement?.textContent ?? ''} ${document.activeElement?.getAttribute('autocomplete') ?? ''}`,
        );
        if (words.test(label)) return;
      }
      throw new Error(`no control ${words}`);
    };
    await tabTo(/username/);
    await keys.type('Asta');
    await keys.press('Tab');
    await keys.type('beet-campaign');
    await keys.press('Enter');
    await page.getByRole('heading', { name: 'Shift board' }).waitFor();
    await page.locator('[data-job]').first().waitFor();
    await tabTo(/Pulp press drive.*Tail end/);
    await keys.press('Enter');
    await page.locator('[data-item]').first().waitFor();
    const items = await page.locator('[data-item]').count();
    for (let i = 0; i < items; i++) {
      // What is to be written down is written before it is noted.
      const written = page.locator('[data-item]').nth(i).locator('input[aria-label^="Preservative"]');
      if ((await written.count()) > 0) {
        await tabTo(/^Preservative/);
        await keys.type('left on, suits this grease');
        await keys.press('Enter');
        continue;
      }
      await tabTo(/^OK: /);
      await keys.press('Space');
    }
    await page.locator('[data-pass-step]:not([disabled])').waitFor();
    await keys.press('F9');
    await page.locator('form[data-place="s1/0"] input:focus').waitFor();
    for (const raw of ['89.974', '89.972', '89.976']) {
      const place = await page.locator('form[data-place]').getAttribute('data-place');
      await keys.type(raw);
      await keys.press('Enter');
      await page.waitForFunction(
        (b) => document.querySelector<HTMLElement>('form[data-place]')?.dataset.place !== b,
        place,
      );
    }
    await keys.press('F8');
    await page.getByRole('dialog').waitFor();
    await tabTo(/^\s*$/, 3).catch(() => undefined);
    await page.getByRole('dialog').locator('textarea').focus();
    await keys.type('slipped off the shoulder?');
    await keys.press('Tab');
    await keys.press('Enter');
    await page.getByRole('dialog').waitFor({ state: 'detached' });
    await page.locator('form[data-place="s1/120"]').waitFor();
    await keys.press('F2');
    await page.locator('[data-unit="in"]').waitFor();
    await page.locator('h1').click();
    await keys.press('?');
    await page.getByRole('dialog', { name: 'Keys' }).waitFor();
    await keys.press('Escape');
    await page.getByRole('dialog').waitFor({ state: 'detached' });
    await context.close();
  });
});
