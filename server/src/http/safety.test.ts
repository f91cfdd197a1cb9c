import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type Caller, caller, openHouse, type TestHouse } from '../testing/house.ts';

let house: TestHouse;
let nobody: Caller;

beforeAll(async () => {
  house = await openHouse();
  nobody = await caller(house.url);
});
afterAll(() => house?.close());

describe('safety of the house', () => {
  it('sends security headers and a strict script policy', async () => {
    const page = (await nobody('GET', '/')).headers;
    expect(page.get('content-security-policy')).toContain("script-src 'self'");
    expect(page.get('content-security-policy')).not.toMatch(/script-src[^;]*unsafe/);
    expect(page.get('x-content-type-options')).toBe('nosniff');
    for (const path of ['/api/health', '/api/jobs', '/api/nothing']) {
      const { headers } = await nobody('GET', path);
      expect(headers.get('content-security-policy'), path).toMatch(
        /default-src 'none'; frame-ancestors 'none'/,
      );
      expect(headers.get('x-content-type-options'), path).toBe('nosniff');
      expect(headers.get('cache-control'), path).toBe('no-store');
    }
  });

  it('the serving user cannot change or take away an event', async () => {
    const run = (sql: string) => house.db.sequelize.query(sql);
    await expect(run("UPDATE events SET body = '{}'")).rejects.toThrow(/denied/i);
    await expect(run('DELETE FROM events')).rejects.toThrow(/denied/i);
    await expect(run('DELETE FROM jobs')).rejects.toThrow(/denied/i);
    await expect(run('DROP TABLE events')).rejects.toThrow(/denied/i);
  });
});
