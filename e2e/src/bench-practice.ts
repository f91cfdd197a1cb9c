import { Plant } from '../../packages/trials/src/plant.ts';
import { RigHand } from './rig-hand.ts';

/** How long each stand-in holds the page when it is handled, on a machine four times as slow: aim under 16 ms, a frame. */
const SLOWER = 4;
const FRAME_MS = 16;
/** These benches are sound: no words are a fault’s. */
const NOTHING_IS = /(?!)/;

const plant = await Plant.open();
let over = 0;
try {
  const { page } = await plant.visit('Asta');
  const cdp = await page.context().newCDPSession(page);

  /** An act done again and again: script, styles and layout until the page would paint. The 95th of a hundred, ms. */
  async function handled(name: string, selector: string, key?: string): Promise<void> {
    await page.locator(selector).first().waitFor();
    await cdp.send('Emulation.setCPUThrottlingRate', { rate: SLOWER });
    const times = await page.evaluate(
      async ({ selector, key }) => {
        const out: number[] = [];
        for (let i = 0; i < 60; i++) {
          const el = document.querySelector<HTMLElement>(selector);
          if (!el) break;
          const began = performance.now();
          if (key) el.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }));
          else el.click();
          // What was told to the page is drawn at the end of this turn.
          await Promise.resolve();
          await Promise.resolve();
          document.body.getBoundingClientRect();
          out.push(performance.now() - began);
          await new Promise((done) => requestAnimationFrame(done));
        }
        return out;
      },
      { selector, key },
    );
    await cdp.send('Emulation.setCPUThrottlingRate', { rate: 1 });
    const sorted = [...times].sort((a, b) => a - b);
    const p95 = sorted[Math.floor(0.95 * sorted.length)] ?? Number.NaN;
    if (!(p95 < FRAME_MS)) over++;
    console.log(
      `${name.padEnd(28)} ${p95.toFixed(1)} ms in 95 of 100, ${(p95 / FRAME_MS).toFixed(2)} of a frame (${times.length} times)`,
    );
  }
  const open = async (rig: string): Promise<RigHand> => {
    await page.goto(`${plant.url}/practice/bench/${rig}?difficulty=sound&seed=3`);
    await page.locator('[data-rig]').waitFor();
    return new RigHand(page, NOTHING_IS);
  };
  const on = async (hand: RigHand, until: string): Promise<void> => {
    while ((await page.locator(until).count()) === 0) {
      await hand.look();
      await page.locator('[data-pass-step]:not([disabled]), [data-tool-at]').first().waitFor();
      if ((await page.locator('[data-pass-step]:not([disabled])').count()) > 0) await hand.pass();
      else await hand.read();
    }
  };
  const shaft = await open('shaft');
  await on(shaft, '[data-wheel]');
  await handled('the shaft turned', '[data-wheel]', 'ArrowLeft');
  await page.locator('[data-wheel]').press('End');
  await handled('the dial tapped', '[data-tap]');
  const sleeve = await open('sleeve');
  await on(sleeve, '[data-push], [data-bring]');
  await page.locator('[data-bring]').click();
  await handled('a micrometer rocked', '[data-rock]');
  await on(sleeve, '[data-blow]');
  await handled('a blow on the spanner', '[data-blow]');
  await page.locator('[data-bring]').click();
  await handled('a blade pushed', '[data-push]');
  const nut = await open('hydraulic-nut');
  await on(nut, '[data-stroke-here]');
  await handled('a stroke of the pump', '[data-stroke-here]');
} finally {
  await plant.close();
}
process.exit(over > 0 ? 1 : 0);
