import type { Page } from 'playwright-core';
import { expect } from 'vitest';

export type Typed = { place: string; raw: string; step: string };

/** A hand at the sheet in the browser: types what a millwright types, and remembers it. */
export class SheetHand {
  readonly typed: Typed[] = [];
  constructor(readonly page: Page) {}

  private form() {
    return this.page.locator('form[data-place]');
  }

  async place(): Promise<string | null> {
    return this.form().getAttribute('data-place', { timeout: 20_000 });
  }

  /** Type one reading and Enter; the field must have gone on before this returns. */
  async read(step: string, raw: string): Promise<void> {
    const place = await this.place();
    await this.form().locator('input').fill(raw);
    await this.page.keyboard.press('Enter');
    await this.page
      .waitForFunction(
        (before) => document.querySelector<HTMLElement>('form[data-place]')?.dataset.place !== before,
        place,
        { timeout: 25_000 },
      )
      .catch(async () => {
        const said = await this.page.locator('main').textContent();
        throw new Error(`“${raw}” was not taken at ${place}. The sheet says:\n${said}`);
      });
    this.typed.push({ place: place ?? '', raw, step });
  }

  /** Both rows at the next place. */
  async pair(step: string, a: string, b = a): Promise<void> {
    await this.read(step, a);
    await this.read(step, b);
  }

  async answerAll(): Promise<void> {
    const items = this.page.locator('[data-item]');
    await items.first().waitFor();
    for (let i = 0; i < (await items.count()); i++) {
      const yes = items.nth(i).getByRole('button', { name: /^Yes/ });
      if ((await yes.getAttribute('aria-pressed')) !== 'true') await yes.click();
      await this.page.waitForFunction(
        (n) => document.querySelectorAll('[data-item]')[n]?.querySelector('button[aria-pressed="true"]'),
        i,
      );
    }
  }

  /** On to the next step; its heading comes to the middle. */
  async on(): Promise<void> {
    const button = this.page.locator('[data-pass-step]');
    const label = await button.textContent();
    await button.click();
    await this.page.waitForFunction(
      (before) => document.querySelector('[data-pass-step]')?.textContent !== before,
      label,
    );
  }

  /** Choose where the next reading is taken. */
  async choose(label: string): Promise<void> {
    await this.page.getByRole('button', { name: label, exact: true }).click();
  }

  async withdrawLast(reason: string): Promise<void> {
    await this.page.getByRole('button', { name: 'Withdraw last' }).click();
    await this.page.getByRole('dialog').locator('textarea').fill(reason);
    await this.page.getByRole('button', { name: 'Withdraw it' }).click();
    await this.page.getByRole('dialog').waitFor({ state: 'detached' });
  }

  async verdict(code: string): Promise<string | null> {
    return this.page
      .locator(`[data-finding="${code}"]`)
      .first()
      .getAttribute('data-verdict', { timeout: 20_000 });
  }

  async waiting(): Promise<number> {
    return Number(await this.page.locator('[data-waiting]').getAttribute('data-waiting'));
  }

  async allStored(): Promise<void> {
    await this.page.locator('[data-waiting="0"]').waitFor({ timeout: 30_000 });
    expect(await this.page.locator('[data-aside]').count()).toBe(0);
  }

  /** Tick every bolt in the order the sheet asks. */
  async bolts(): Promise<void> {
    for (;;) {
      const form = this.page.locator('form[data-bolt]');
      if ((await form.count()) === 0) return;
      const before = `${await form.getAttribute('data-pass')}/${await form.getAttribute('data-bolt')}`;
      await form.getByRole('button', { name: /^(Hand tight|Tight)$/ }).click();
      await this.page.waitForFunction((b) => {
        const f = document.querySelector<HTMLElement>('form[data-bolt]');
        return !f || `${f.dataset.pass}/${f.dataset.bolt}` !== b;
      }, before);
    }
  }
}
