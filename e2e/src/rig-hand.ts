import type { Page } from 'playwright-core';

/** Somebody at a practice bench in the browser: looks, handles the tool, and writes on the sheet, as a person does. */
export class RigHand {
  constructor(
    readonly page: Page,
    /** What somebody calls out of the way, by the words seen. */
    private readonly bad: RegExp,
  ) {}

  /** Look at everything that is asked now, and answer by what is seen. Whether anything was out of the way. */
  async look(): Promise<boolean> {
    let found = false;
    const { page } = this;
    for (let open = await this.unlooked(); open.length > 0; open = await this.unlooked()) {
      const item = open[0] as string;
      await page.locator(`[data-look="${item}"]`).click();
      await page.locator(`[data-looked="${item}"]`).waitFor();
    }
    for (let item = await this.unanswered(); item; item = await this.unanswered()) {
      const seen = (await page.locator(`[data-looked="${item}"]`).textContent()) ?? '';
      const no = this.bad.test(seen);
      found ||= no;
      const box = page.locator(`[data-item="${item}"]`);
      const yes = box.locator('button[aria-label^="OK:"]');
      if (!no && (await yes.count()) === 0) {
        // What is to be written down is written before it is noted.
        await box.locator('input').fill(/write down: (.*)\./.exec(seen)?.[1] ?? 'as it lies here');
        await page.keyboard.press('Enter');
      } else await (no ? box.locator('button[aria-label^="Not OK:"]') : yes).click();
      await box.locator('button[aria-pressed="true"]').waitFor();
    }
    return found;
  }

  private unlooked = (): Promise<string[]> =>
    this.page
      .locator('[data-look]')
      .evaluateAll((all) => all.map((b) => (b as HTMLElement).dataset.look ?? ''));

  private unanswered = (): Promise<string | null> =>
    this.page.locator('[data-item]').evaluateAll((all) => {
      const open = all.find((f) => !f.querySelector('button[aria-pressed="true"]'));
      return open ? ((open as HTMLElement).dataset.item ?? null) : null;
    });

  async pass(): Promise<void> {
    const before = await this.page.locator('[data-act]').textContent();
    await this.page.locator('[data-pass-step]').click();
    await this.page.waitForFunction((b) => document.querySelector('[data-act]')?.textContent !== b, before, {
      timeout: 20_000,
    });
  }

  get place(): Promise<string | null> {
    return this.page.locator('[data-tool-at]').getAttribute('data-tool-at');
  }

  /** Bring the tool, handle it as it wants to be, and write what it shows; the sheet goes on to another place or asks no more. */
  async read(): Promise<void> {
    const { page } = this;
    const at = await this.place;
    // Brought there unless it stands there already; under a dial the shaft is turned to it.
    const bring = page.locator('[data-bring]');
    if ((await page.locator('[data-wheel]').count()) > 0) await page.locator('[data-wheel]').press('End');
    else if ((await bring.count()) > 0) await bring.click();
    // On a bench of the class the server answers first.
    await page.locator('[data-digits], [data-push], [data-tap]').first().waitFor();
    const digits = page.locator('[data-digits]');
    let raw: string;
    if ((await page.locator('[data-rock]').count()) > 0) {
      const before = await digits.textContent();
      await page.locator('[data-rock]').click();
      // One that stood square already shows the same once more.
      await page
        .waitForFunction((b) => document.querySelector('[data-digits]')?.textContent !== b, before, {
          timeout: 1000,
        })
        .catch(() => undefined);
      raw = ((await digits.textContent()) ?? '').trim();
    } else if ((await page.locator('[data-push]').count()) > 0) raw = await this.feel();
    else raw = ((await digits.textContent()) ?? '').trim();
    await page.locator('form[data-place] input').fill(raw);
    await page.keyboard.press('Enter');
    await page.waitForFunction(
      (b) => document.querySelector<HTMLElement>('[data-tool-at]')?.dataset.toolAt !== b,
      at,
      { timeout: 20_000 },
    );
  }

  /** A gap by blades: thicker until one will not go. */
  private async feel(): Promise<string> {
    const { page } = this;
    if ((await page.locator('[data-square]').count()) > 0) await page.locator('[data-square]').click();
    const inHand = async () =>
      Number(await page.locator('[data-blade-in-hand]').getAttribute('data-blade-in-hand'));
    // The bench’s tool comes back after a word such as “the ring stands square”.
    const push = async () => {
      await page.locator('[data-push]').click();
      return (await page.locator('[data-blade]').getAttribute('data-blade')) ?? '';
    };
    const slide = page.getByRole('slider', { name: 'Blade in hand' });
    let [below, snug]: [number, number | null] = [0, null];
    for (let i = 0; i < 40; i++) {
      const mm = await inHand();
      const felt = await push();
      if (felt === 'will not') return (snug ?? (below + mm) / 2).toFixed(3);
      if (felt === 'snug') snug = mm;
      else below = mm;
      await slide.press('ArrowRight');
    }
    return below.toFixed(3);
  }

  async call(causes: readonly string[]): Promise<void> {
    const { page } = this;
    await page.locator('[data-call]').click();
    for (const c of causes) await page.locator(`[data-cause="${c}"]`).click();
    await page.locator(causes.length > 0 ? '[data-stop-it]' : '[data-fit-to-go]').click();
    await page.locator('[data-debrief]').waitFor();
  }
}
