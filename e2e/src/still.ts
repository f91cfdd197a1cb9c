import type { Page } from 'playwright-core';

/**
 * Wait until the page stands still: its fonts are there, nothing is animated, and for some frames nothing on it has changed. What ticks by itself, such as a clock, changes seldom enough to be passed over.
 */
export async function still(page: Page): Promise<void> {
  await page.evaluate(async () => {
    await document.fonts.ready;
    // A busy machine now and then draws no frame at all: a tenth of a second passes for one.
    const frame = () =>
      new Promise((done) => {
        requestAnimationFrame(done);
        setTimeout(done, 100);
      });
    let quiet = 0;
    const seen = new MutationObserver(() => {
      quiet = 0;
    });
    seen.observe(document, { subtree: true, childList: true, attributes: true, characterData: true });
    for (let i = 0; quiet < 8 && i < 300; i++) {
      await frame();
      quiet = document.getAnimations().some((a) => a.playState === 'running') ? 0 : quiet + 1;
    }
    seen.disconnect();
  });
}

/** Wait for two frames: what measures itself has answered a new size. */
export async function drawn(page: Page): Promise<void> {
  await page.evaluate(async () => {
    for (let i = 0; i < 2; i++)
      await new Promise((done) => {
        requestAnimationFrame(done);
        setTimeout(done, 100);
      });
  });
}
