import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { openHouse, type TestHouse } from '../testing/house.ts';
import { hashPassword, passwordMatches } from './password.ts';
import { endSession, personOfSession, SESSION_HOURS, startSession } from './sessions.ts';

describe('passwords', () => {
  it('are argon2id, salted, and never the same twice', async () => {
    const [one, two] = await Promise.all([hashPassword('beet'), hashPassword('beet')]);
    expect(one).toMatch(/^\$argon2id\$v=19\$m=19456,t=2,p=1\$/);
    expect(one).not.toBe(two);
    expect(await passwordMatches(one, 'beet')).toBe(true);
    expect(await passwordMatches(one, 'Beet')).toBe(false);
    expect(await passwordMatches(null, 'beet')).toBe(false);
  });
});

describe('sessions', () => {
  let house: TestHouse;
  beforeAll(async () => {
    house = await openHouse();
  });
  afterAll(() => house?.close());

  it('stand for a person, are stored only as a hash, and end when told', async () => {
    const token = await startSession(house.db, 'asta');
    expect(await personOfSession(house.db, token)).toEqual({ id: 'asta', name: 'Asta', role: 'fitter' });
    const rows = await house.db.models.Session.findAll();
    expect(JSON.stringify(rows)).not.toContain(token);
    await endSession(house.db, token);
    expect(await personOfSession(house.db, token)).toBeNull();
    expect(await personOfSession(house.db, undefined)).toBeNull();
    expect(await personOfSession(house.db, 'made up')).toBeNull();
  });

  it('run out, and are swept when the next one starts', async () => {
    const token = await startSession(house.db, 'bram');
    const past = new Date(Date.now() - 1000);
    await house.owner.models.Session.update({ expiresAt: past }, { where: { personId: 'bram' } });
    expect(await personOfSession(house.db, token)).toBeNull();
    await startSession(house.db, 'asta');
    expect(await house.db.models.Session.count({ where: { personId: 'bram' } })).toBe(0);
    expect(SESSION_HOURS).toBeGreaterThanOrEqual(12);
  });
});
