import type { Page } from 'playwright-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Plant } from '../../packages/trials/src/plant.ts';
import { violations } from './axe.ts';
import { beginsBy } from './go.ts';
import { ownPlant } from './shared-plant.ts';
import { drawn, still } from './still.ts';
import { unsaid } from './unsaid.ts';

let plant: Plant;
beforeAll(async () => {
  // A works of its own: what others add to the cupboard, or sign in a minute, would change what comes to hand and how long work takes.
  plant = await ownPlant();
});
afterAll(() => plant?.close());

const choose = async (page: Page, label: string, option: string | RegExp) => {
  await page.getByRole('combobox', { name: label }).click();
  await page
    .getByRole('option', { name: option, exact: typeof option === 'string' })
    .first()
    .click();
};
const end = (page: Page) => page.locator('[data-end]').getAttribute('data-end').then(Number);
/** A plan as the server keeps it. */
const kept = async (page: Page) => {
  const id = page.url().split('/').at(-1);
  return (await (await page.request.get(`${plant.url}/api/outages/${id}`)).json()).told as {
    version: number;
    outage: { pins: Array<{ task: string; startsAt?: string; by: string[] }>; plan?: { end: number } };
  };
};
const settled = async (page: Page, version: number) => {
  await expect.poll(async () => (await kept(page)).version, { timeout: 20_000 }).toBeGreaterThan(version);
};

describe('an outage', () => {
  it('is made by hand: crew, tools, jobs, what waits for what; planned, a piece dragged and pinned, let go; what if; keyboard alone', async () => {
    const { page, context, complaints } = await plant.visit('Imke');
    await page.goto(`${plant.url}/outages`);
    await page.getByLabel('Name of a new outage').fill('Short stop');
    await page.getByRole('button', { name: 'Create' }).click();
    await page.locator('[data-outage-setup]').waitFor();

    // Crew: two hands with what they can do, a tool, three jobs at places the plant knows.
    const skills = async (name: string, which: string[]) => {
      for (const s of which)
        await page
          .getByRole('toolbar', { name: `What ${name} can do` })
          .getByRole('button', { name: s, exact: true })
          .click();
    };
    await skills('Imke', ['bearings', 'measuring']);
    await page.getByRole('button', { name: 'Add person' }).click();
    await page.locator('[data-hand=""]').getByLabel('Name').fill('Jorun');
    await skills('Jorun', ['bearings', 'measuring', 'seals']);
    await page.getByRole('button', { name: 'Add tool' }).click();
    const add = async (work: string, where: string, place: RegExp) => {
      await choose(page, 'The work', work);
      await page.getByLabel('Where', { exact: true }).fill(where);
      await page.getByRole('button', { name: place }).click();
    };
    await add('Fit a bearing', 'fan 3 drive', /^Add Cooling fan 3, Drive end/);
    await add('Fit a bearing', 'fan 3 out', /^Add Cooling fan 3, Outboard/);
    await add('Fit a seal', 'condensate 1', /^Add Condensate pump 1/);
    await page.getByRole('button', { name: /^Suggest links/ }).click();
    // A time that is none stays as typed, with what is wrong beside it; nothing is kept before it is mended.
    const begins = page.locator('[data-shift="Early"]').getByLabel('From');
    await begins.fill('six');
    await page.getByText('Write the time like 06:00.').waitFor();
    await page.locator('[data-keep-outage]').click();
    await page.getByText('One line cannot be read.').waitFor();
    expect((await kept(page)).version).toBe(1);
    await begins.fill('6:00');
    await page.getByLabel('How many').fill('two');
    await page.getByText('A whole number, to a hundred.').waitFor();
    await page.getByLabel('How many').fill('2');
    // Reloaded half way, all of it is still there.
    await page.reload();
    await page.locator('[data-hand="Jorun"]').waitFor();
    expect(await page.locator('[data-job-of]').count()).toBe(3);
    await expect.poll(() => begins.inputValue()).toBe('06:00');
    await page.locator('[data-keep-outage]').click();
    await page.getByText('Changed here, not saved').waitFor({ state: 'detached' });
    expect((await kept(page)).version).toBe(2);

    // Planned in the worker, beside nothing; adopted.
    await page.locator('[data-plan]').click();
    await page.locator('[data-proposal]').waitFor({ timeout: 60_000 });
    await page.getByRole('button', { name: 'Adopt' }).click();
    await page.locator('[data-proposal]').waitFor({ state: 'detached' });
    await page.locator('[data-piece]').first().waitFor();
    const first = await end(page);
    expect(first).toBeGreaterThan(60);

    // Dragged to the right by an hour or so: pinned there, kept, and still there after a reload.
    await page.getByRole('radio', { name: 'Shift' }).click();
    await still(page);
    const piece = page.locator('[data-piece$=":measured"]').first();
    const task = (await piece.getAttribute('data-piece')) ?? '';
    await page.locator('[data-board]').evaluate((b) => b.scrollTo(0, 0));
    const lane = await page.locator(`[data-piece="${task}"]`).boundingBox();
    if (!lane) throw new Error('no piece');
    let version = (await kept(page)).version;
    await piece.scrollIntoViewIfNeeded();
    const from = await page.locator(`[data-piece="${task}"]`).boundingBox();
    if (!from) throw new Error('no piece');
    await page.mouse.move(from.x + from.width / 2, from.y + 20);
    await page.mouse.down();
    await page.mouse.move(from.x + from.width / 2 + 60, from.y + 20, { steps: 4 });
    await page.mouse.move(from.x + from.width / 2 + 130, from.y + 20, { steps: 4 });
    await page.mouse.up();
    await settled(page, version);
    const pinned = (await kept(page)).outage.pins;
    expect(pinned).toMatchObject([{ task, by: [expect.any(String)] }]);
    await page.reload();
    await page.locator(`[data-piece="${task}"][data-pinned="true"]`).waitFor();

    // By keyboard: a quarter on, then to a hand that cannot do it, refused with the reason.
    version = (await kept(page)).version;
    await page.locator(`[data-piece="${task}"]`).focus();
    for (let i = 0; i < 3; i++) await page.keyboard.press('ArrowRight');
    // Three keys without waiting are three quarters of an hour, each kept after the other.
    await settled(page, version + 2);
    const moved = (await kept(page)).outage.pins[0];
    expect(Date.parse(moved?.startsAt ?? '') - Date.parse(pinned[0]?.startsAt ?? '')).toBe(45 * 60_000);
    // Kept, and what stands now still on its way back: a key meanwhile is one change more, no quarrel with oneself.
    version += 3;
    let told = () => {};
    const onItsWay = new Promise<void>((done) => {
      told = done;
    });
    await page.route(/\/api\/outages\/[0-9a-f-]{36}$/, async (route) => {
      if (route.request().method() === 'GET') await onItsWay;
      await route.continue().catch(() => undefined);
    });
    for (const more of [0, 1]) {
      await page.keyboard.press('ArrowRight');
      await settled(page, version + more);
    }
    told();
    await page.unroute(/\/api\/outages\/[0-9a-f-]{36}$/);
    expect(await page.getByText('changed this outage at the same time').count()).toBe(0);
    await page.locator(`[data-piece="${task}"]`).click();
    await page.locator('[data-chosen]').waitFor();
    version = (await kept(page)).version;
    await page.getByRole('button', { name: 'Unlock' }).click();
    await settled(page, version);
    expect((await kept(page)).outage.pins).toEqual([]);
    // Into the past, or into the night: refused in words, nothing changed.
    version = (await kept(page)).version;
    await page.locator('button[data-piece$=":fit"]').focus();
    await page.keyboard.press('ArrowUp');
    await page.getByText('Imke is not listed for seals.').waitFor();
    expect((await kept(page)).version).toBe(version);

    // How sure it is, and what if.
    await page.locator('[data-risk]').waitFor({ timeout: 30_000 });
    const chance = Number(await page.locator('[data-risk]').getAttribute('data-risk'));
    expect(chance).toBeGreaterThanOrEqual(0);
    await page.getByRole('tab', { name: 'What if' }).click();
    await choose(page, 'Which', 'Jorun');
    await page.getByLabel('Hours').fill('48 hours');
    await page.getByRole('button', { name: 'Try it' }).click();
    await page.getByText('How many hours?').waitFor();
    await page.getByLabel('Hours').fill('240');
    await page.getByRole('button', { name: 'Try it' }).click();
    await page.locator('[data-proposal]').waitFor({ timeout: 60_000 });
    version = (await kept(page)).version;
    await page.getByRole('button', { name: 'Discard' }).click();
    expect((await kept(page)).version).toBe(version);
    expect(complaints).toEqual([]);
    await context.close();
  });

  it('lives: the demo’s stop moves on as its sheets do, and when it falls behind says so and plans what is left anew', async () => {
    const { page, context, complaints } = await plant.visit('Imke');
    await page.goto(`${plant.url}/outages`);
    await page.getByText('Stop between campaigns').click();
    await page.locator('[data-piece]').first().waitFor();
    expect(await page.locator('[data-piece][data-state="done"]').count()).toBeGreaterThan(3);
    expect(await page.locator('[data-piece][data-state="begun"]').count()).toBeGreaterThan(0);
    // The wall comes nearer than the work: said, planned anew, what is begun stays.
    await page.getByRole('tab', { name: 'What if' }).click();
    await choose(page, 'What if', 'the deadline moves');
    await page.getByLabel('Hours').fill('-36');
    await page.getByRole('button', { name: 'Try it' }).click();
    await page.locator('[data-proposal]').waitFor({ timeout: 60_000 });
    // When it began; what it ends at moves on with the clock while it is late.
    const beganAt = async () =>
      (await page.locator('[data-piece][data-state="begun"]').first().getAttribute('data-start'))?.split(
        ' to ',
      )[0];
    const begun = await beganAt();
    await page.getByRole('button', { name: 'Adopt' }).click();
    await page.locator('[data-proposal]').waitFor({ state: 'detached' });
    expect(begun).toBeTruthy();
    expect(await beganAt()).toBe(begun);
    // It is past its wall now, and says so; planned anew there is another way with what is left, or there is none.
    await page.locator('[data-threatened]').waitFor();
    await page.locator('[data-plan]').click();
    await page.locator('[data-proposal]').waitFor({ timeout: 60_000 });
    await page.getByRole('button', { name: 'Discard' }).click();
    // Changed here, and meanwhile by somebody else: nothing is lost, and nobody is overwritten unseen.
    await page.getByRole('tab', { name: 'Window, crew, jobs' }).click();
    await page.getByLabel('Outage name').fill('Autumn stop');
    const { version, outage } = await kept(page);
    const id = page.url().split('/').at(-1);
    const other = await page.request.post(`${plant.url}/api/outages/${id}`, {
      data: { after: version, outage: { ...outage, name: 'Stop between campaigns, late' } },
    });
    expect(other.status()).toBe(200);
    await page.reload();
    await page.getByRole('tab', { name: 'Window, crew, jobs' }).click();
    await page.locator('[data-theirs]').waitFor();
    await expect.poll(() => page.getByLabel('Outage name').inputValue()).toBe('Autumn stop');
    expect(await page.locator('[data-keep-outage]').isDisabled()).toBe(true);
    await page.getByRole('button', { name: 'Use theirs, discard mine' }).click();
    await expect.poll(() => page.getByLabel('Outage name').inputValue()).toBe('Stop between campaigns, late');
    const wide = await page.evaluate(() => document.documentElement.scrollWidth - innerWidth);
    expect(wide).toBeLessThanOrEqual(0);
    // Each hand has a list, with what is now or next large.
    await page.getByRole('tab', { name: 'Who does what' }).click();
    await choose(page, 'Whose list', 'Cille');
    await page.locator('[data-now]').waitFor();
    await page.getByRole('tab', { name: 'Kit' }).click();
    await page.locator('[data-kit]').waitFor();
    const tick = page.getByRole('button', { name: /^Ready/ }).first();
    await tick.click();
    await page.getByText('ready, by Imke').waitFor();
    await page.reload();
    await page.getByRole('tab', { name: 'Kit' }).click();
    expect(
      await page
        .getByRole('button', { name: /^Ready/ })
        .first()
        .getAttribute('aria-pressed'),
    ).toBe('true');
    expect(complaints).toEqual([]);
    await context.close();
  });

  it('has no axe violation by day and by night, in each of its parts, and needs no sideways scrolling', async () => {
    const { page, context } = await plant.visit('Asta');
    const found: string[] = [];
    for (const theme of ['day', 'night']) {
      await beginsBy(page, theme);
      await page.goto(`${plant.url}/outages`);
      await page.getByText('Stop between campaigns').click();
      await page.locator('[data-piece]').first().waitFor();
      for (const part of ['In time?', 'What if', 'Who does what', 'Kit', 'Window, crew, jobs']) {
        await page.getByRole('tab', { name: part }).click();
        await still(page);
        const rule = theme === 'night' ? 'color-contrast' : undefined;
        found.push(...(await violations(page, rule)).map((v) => `${part}, ${theme}: ${v}`));
        found.push(...(await unsaid(page)).map((u) => `${part} says ${u}`));
      }
    }
    for (const size of [
      { width: 1024, height: 768 },
      { width: 800, height: 1280 },
      { width: 390, height: 844 },
    ]) {
      await page.setViewportSize(size);
      await drawn(page);
      const over = await page.evaluate(() => document.documentElement.scrollWidth - innerWidth);
      if (over > 0) found.push(`at ${size.width}: ${over} px`);
    }
    expect(found).toEqual([]);
    await context.close();
  });
});
