import type { Page } from 'playwright-core';

export type Typed = { place: string; raw: string; step: string };

/** A hand at the sheet in the browser: types what a millwright types, and remembers it. */
export class SheetHand {
  readonly typed: Typed[] = [];
  /** The last pass of bolts went on to the next step by itself. */
  private wentOn = false;
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

  /** Every question of the step told as it should be: the first by the mouse, those after it each by its own button. */
  async answerAll(): Promise<void> {
    const items = this.page.locator('[data-item]');
    await items.first().waitFor();
    const notes = items.locator('input');
    for (let i = 0; i < (await notes.count()); i++) await notes.nth(i).fill('as it should be');
    const first = items.first().getByRole('button', { name: /^(OK|Note)/ });
    if ((await first.getAttribute('aria-pressed')) !== 'true') await first.click();
    await this.page.evaluate(async () => {
      const open = () =>
        [...document.querySelectorAll('[data-item]')].find(
          (item) => !item.querySelector('button[aria-pressed="true"]'),
        );
      const asked = document.querySelectorAll('[data-item]').length;
      for (let i = 0; i <= asked; i++) {
        const item = open();
        if (!item) return;
        const yes = [...item.querySelectorAll('button')].find((b) =>
          /^(OK|Note)/.test(b.ariaLabel ?? b.textContent ?? ''),
        );
        yes?.click();
        const until = performance.now() + 20_000;
        while (!item.querySelector('button[aria-pressed="true"]') && item.isConnected) {
          if (performance.now() > until) throw new Error(`not taken: ${item.textContent}`);
          await new Promise((done) => setTimeout(done, 8));
        }
      }
    });
  }

  /** On to the next step; its heading comes to the middle. */
  async on(): Promise<void> {
    if (this.wentOn) {
      this.wentOn = false;
      return;
    }
    const button = this.page.locator('[data-pass-step]');
    const label = await button.textContent();
    await button.click().catch(this.withSheet);
    await this.page
      .waitForFunction((before) => document.querySelector('[data-pass-step]')?.textContent !== before, label)
      .catch(this.withSheet);
  }

  /** A fault, with what the sheet says at that moment. */
  private readonly withSheet = async (fault: unknown): Promise<never> => {
    throw new Error(`${fault}\nThe sheet says:\n${await this.page.locator('body').textContent()}`);
  };

  /** Choose where the next reading is taken. */
  async choose(label: string): Promise<void> {
    await this.page.getByRole('button', { name: label, exact: true }).click();
  }

  async withdrawLast(reason: string): Promise<void> {
    await this.page.getByRole('button', { name: 'Undo last' }).click();
    await this.page.getByRole('dialog').locator('textarea').fill(reason).catch(this.withSheet);
    await this.page.getByRole('button', { name: 'Undo it' }).click();
    await this.page.getByRole('dialog').waitFor({ state: 'detached' });
  }

  /** The sheet comes to this verdict on a finding; judging follows the reading, so it is waited for. */
  async judged(code: string, verdict: string): Promise<void> {
    try {
      await this.page
        .locator(`[data-finding="${code}"][data-verdict="${verdict}"]`)
        .first()
        .waitFor({ timeout: 20_000 });
    } catch {
      const stands = await this.page
        .locator('[data-finding]')
        .evaluateAll((all) =>
          all.map((f) => `${f.getAttribute('data-finding')} ${f.getAttribute('data-verdict')}`),
        );
      throw new Error(`${code} is not ${verdict}; the sheet says: ${stands.join(', ')}`);
    }
  }

  async waiting(): Promise<number> {
    return Number(await this.page.locator('[data-waiting]').getAttribute('data-waiting'));
  }

  async allStored(): Promise<void> {
    await this.page.locator('[data-waiting="0"]').waitFor({ timeout: 30_000 });
    if ((await this.page.locator('[data-aside]').count()) === 0) return;
    await this.page.locator('[data-aside]').click();
    throw new Error(`The server refused: ${await this.page.getByRole('dialog').textContent()}`);
  }

  /**
   * Tighten every bolt as the sheet asks: a pass by one touch, or bolt by bolt where each is judged; in a seating loop each still
   * moved so far in its round.
   */
  async bolts(moved?: (round: number) => string): Promise<void> {
    const form = this.page.locator('form[data-pass]');
    while ((await form.count()) > 0) {
      const at = () => {
        const f = document.querySelector<HTMLElement>('form[data-pass]');
        return f ? `${f.dataset.pass}/${f.dataset.bolt ?? 'all'}` : null;
      };
      const before = await this.page.evaluate(at);
      const turned = form.locator('[data-moved]');
      if (moved && (await turned.count()) > 0)
        await turned.fill(moved(Number(await form.getAttribute('data-pass'))));
      const tell = form.locator('[data-pass-told], [data-tick]').first();
      this.wentOn = (await tell.getAttribute('data-and-on')) !== null;
      if (this.wentOn) {
        const label = await this.page.locator('[data-pass-step]').textContent();
        await tell.click();
        await this.page
          .waitForFunction((was) => document.querySelector('[data-pass-step]')?.textContent !== was, label)
          .catch(this.withSheet);
        return;
      }
      await tell.click();
      await this.page
        .waitForFunction((b) => {
          const f = document.querySelector<HTMLElement>('form[data-pass]');
          return !f || `${f.dataset.pass}/${f.dataset.bolt ?? 'all'}` !== b;
        }, before)
        .catch(this.withSheet);
    }
  }

  /** A reading after which the step asks for nothing more: the field goes away. */
  async last(step: string, raw: string): Promise<void> {
    const place = await this.place();
    await this.form().locator('input').fill(raw);
    await this.page.keyboard.press('Enter');
    await this.form().waitFor({ state: 'detached', timeout: 20_000 });
    this.typed.push({ place: place ?? '', raw, step });
  }

  /** Sign, and see it signed and sent. */
  async sign(name: string): Promise<void> {
    await this.page.getByLabel('as recorded here, signed').fill(name);
    await this.page.getByRole('button', { name: 'Sign the sheet' }).click();
    await this.page.getByText(`signed by ${name}`).first().waitFor();
    await this.allStored();
  }
}
