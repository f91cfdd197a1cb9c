import type { BrowserContext } from 'playwright-core';

/** A phone’s line: 10 Mbit/s down, 40 ms there and back. */
const LINE = { offline: false, latency: 40, downloadThroughput: 10e6 / 8, uploadThroughput: 5e6 / 8 };

/**
 * From an address given to something on the page, ms: nothing kept from before, over a phone's line, on a processor so many times as slow.
 * @param shown what must be there for the page to be of use
 */
export async function firstLoad(
  device: BrowserContext,
  url: string,
  shown: string,
  slower: number,
): Promise<number> {
  const page = await device.newPage();
  const devtools = await device.newCDPSession(page);
  await devtools.send('Network.enable');
  await devtools.send('Network.emulateNetworkConditions', LINE);
  await devtools.send('Emulation.setCPUThrottlingRate', { rate: slower });
  const began = performance.now();
  await page.goto(url, { waitUntil: 'commit' });
  await page.locator(shown).first().waitFor();
  const ms = performance.now() - began;
  await page.close();
  return ms;
}
