import { CALCULATORS } from '@fulcrant/core/calculators';
import { cleanup, fireEvent } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { english } from '../../../core/src/testing/english.ts';
import { openPage } from '../testing/open.tsx';
import { FakeServer, IMKE, SITE } from '../testing/server.ts';
import { all, dialog, fill, labelled, press, the } from '../testing/sheet.ts';
import { until } from '../testing/until.ts';
import { violations } from '../testing/violations.ts';

const said = (words: RegExp) => until(() => words.test(document.body.textContent ?? ''));
const refusal = (title: string, status = 401) =>
  new Response(JSON.stringify({ title }), { status, headers: { 'content-type': 'application/json' } });

describe('signing in', () => {
  const away = () => {
    const server = new FakeServer();
    server.person = null;
    return server;
  };

  it('wants a name and a password, says what the server says, and loses nothing', async () => {
    const server = away().on('POST', '/api/session', () => refusal('Name and password do not go together.'));
    await openPage('/sign-in', server);
    await press('Sign in');
    await until(() => the('[role="alert"]'));
    await fill('Name', 'Asta');
    await fill('Password', 'a guess');
    await press('Sign in');
    await said(/do not go together/);
    expect(labelled('Name').value).toBe('Asta');
    expect(await violations()).toEqual([]);
  });

  it('leads to the board; at a demo by one touch', async () => {
    const server = away()
      .on('GET', '/api/greeting', () => ({
        state: 'ready',
        demo: true,
        site: 'Test works',
        offers: { password: 'beet-campaign', people: [{ name: 'Asta', role: 'fitter' }] },
      }))
      .on('POST', '/api/session', () => ({
        person: { id: 'asta', name: 'Asta', role: 'fitter' },
        plant: SITE,
      }));
    const { router } = await openPage('/sign-in', server);
    await until(() => the('[data-offers] button'));
    await press(/^Asta/);
    await until(() => router.state.location.pathname === '/');
    expect(server.written[0]?.body).toMatchObject({ name: 'Asta', password: 'beet-campaign' });
  });

  it('a site nobody leads yet begins with its first visit', async () => {
    const server = away().on('GET', '/api/greeting', () => ({ state: 'first-visit', demo: false, site: '' }));
    const { router } = await openPage('/sign-in', server);
    await until(() => router.state.location.pathname === '/first-visit');
    await until(() => all('input').length >= 4);
    expect(await violations()).toEqual([]);
  });
});

describe('the calculators', () => {
  it('each begins with an example that works out', async () => {
    await openPage('/bench');
    for (const c of CALCULATORS) {
      fireEvent.click(all('nav button').find((b) => b.textContent === english(c.title)) as HTMLElement);
      await until(() => the('[data-sum]').textContent === english(c.title));
      expect(all('main [role="alert"]').map((a) => `${c.id}: ${a.textContent}`)).toEqual([]);
      expect(document.body.textContent).not.toMatch(/NaN|undefined|[⟦⟧]/);
    }
  });

  it('are found by any words of title or chapter; which one and what is typed stand in the address', async () => {
    const { router } = await openPage('/bench');
    const titles = () => all('nav[aria-label="Calculators"] li button').map((b) => b.textContent);
    expect(titles()).toHaveLength(CALCULATORS.length);
    await fill('Find a calculator', 'bearing clearance');
    expect(titles().length).toBeGreaterThan(0);
    expect(titles().length).toBeLessThan(CALCULATORS.length / 3);
    await fill('Find a calculator', 'no such thing');
    await said(/No calculator found/);
    await fill('Bearing bore', '120 mm');
    await until(() => /boreMm=120/.test(router.state.location.search));
    const kept = router.state.location;
    cleanup();
    await openPage(`${kept.pathname}${kept.search}`);
    expect(labelled('Bearing bore').value).toBe('120 mm');
  });

  it('works out as one types, and says what is wrong beside the field', async () => {
    await openPage('/bench');
    await said(/0\.045 to 0\.060 mm/);
    await fill('Bearing bore', 'ten');
    await until(() => the('main [role="alert"]'));
    expect(labelled('Bearing bore').value).toBe('ten');
  });
});

describe('the gauges', () => {
  it('one’s own goes into the register; what is no number is said at its field and nothing is lost', async () => {
    const server = new FakeServer();
    server.on('POST', '/api/instruments', ({ body }) => {
      server.instruments = [...server.instruments, { ...(body as object), id: 'new' } as never];
      return { id: 'new' };
    });
    const { router } = await openPage('/gauges/new', server);
    await press('Add');
    await until(() => all('[role="alert"]').length > 0);
    await fill('Name', 'Feelers Z');
    await fill('Smallest division', 'half');
    await fill('Calibration due', '2031-01-31');
    await fill('Reads from', '0.02');
    await fill('Reads to', '1');
    await press('Add');
    await until(() => all('[role="alert"]').length > 0);
    expect(labelled('Name').value).toBe('Feelers Z');
    expect(server.written).toHaveLength(0);
    await fill('Smallest division', '0.02');
    await press('Add');
    await until(() => router.state.location.pathname === '/gauges');
    await said(/Feelers Z/);
    expect(server.written[0]?.body).toMatchObject({ kind: 'feeler', step: 0.02, low: 0.02, high: 1 });
  });

  it('are listed, those out of date first', async () => {
    const server = new FakeServer();
    server.instruments = server.instruments.map((g, i) =>
      i === 2 ? { ...g, calibrationDue: '2020-01-01' } : g,
    );
    server.on('GET', '/api/certificates', () => ({ certificates: [] }));
    await openPage('/gauges', server);
    const rows = await until(() => (all('tbody tr').length > 3 ? all('tbody tr') : null));
    expect(rows[0]?.textContent).toMatch(/2020/);
    expect(await violations()).toEqual([]);
  });
});

describe('the house rules', () => {
  const rule = () => the('[data-rule="runout"]');
  const answers = () => [...rule().querySelectorAll<HTMLButtonElement>('button')];

  it('are read by a fitter and set by a lead hand alone', async () => {
    const server = new FakeServer();
    await openPage('/house-rules', server);
    await until(rule);
    expect(
      answers()
        .filter((b) => b.getAttribute('aria-pressed') === 'false')
        .every((b) => b.disabled),
    ).toBe(true);
  });

  it('one touch sets one rule', async () => {
    const server = new FakeServer();
    server.person = IMKE;
    server.on('POST', '/api/house-rules', ({ body }) => ({
      rules: body,
      set: { by: 'Imke', at: '2026-12-01T00:00:00Z' },
    }));
    await openPage('/house-rules', server);
    await until(rule);
    fireEvent.click(answers().find((b) => b.getAttribute('aria-pressed') === 'false') as HTMLElement);
    await until(() => server.written.length === 1);
    expect(Object.keys(server.written[0]?.body as object)).toEqual(['runout']);
  });

  it('nothing stands as chosen before the server has said what is', async () => {
    const server = new FakeServer();
    let comes = () => {};
    const held = new Promise<void>((done) => {
      comes = done;
    });
    const { usualRules } = await import('@fulcrant/core/job');
    server.on('GET', '/api/house-rules', () => held.then(() => ({ rules: usualRules(), set: null })));
    await openPage('/house-rules', server);
    expect(all('[data-rule]')).toHaveLength(0);
    comes();
    await until(rule);
  });
});

describe('the people', () => {
  it('a lead hand adds one and is shown a code once', async () => {
    const server = new FakeServer();
    server.person = IMKE;
    const people = [{ id: 'imke', name: 'Imke', role: 'lead', retiredAt: null, canSignIn: true }];
    server
      .on('GET', '/api/people', () => ({ people }))
      .on('POST', '/api/people', ({ body }) => {
        people.push({
          id: 'tore',
          name: (body as { name: string }).name,
          role: 'fitter',
          retiredAt: null,
          canSignIn: false,
        });
        return { id: 'tore', name: 'Tore', code: 'ABCDE-FGHJK' };
      });
    await openPage('/people', server);
    await until(() => the('[data-person="Imke"]'));
    await fill('Add a person', 'Tore');
    await press('Add');
    await until(() => the('[data-code]').textContent?.includes('ABCDE-FGHJK') || null);
    await press('Done', await dialog());
    await until(() => the('[data-person="Tore"]'));
    expect(await violations()).toEqual([]);
  });
});

describe('what falls due', () => {
  it('stands late, in its day, or after the week', async () => {
    const at = (days: number) => new Date(Date.now() + days * 86_400_000).toISOString();
    const line = (days: number, what: string) => ({
      at: at(days),
      kind: 'gauge',
      what,
      machine: '',
      position: '',
      title: what,
      where: what,
      to: '/gauges',
    });
    const server = new FakeServer()
      .on('GET', '/api/due', () => ({
        due: [line(-3, 'Late gauge'), line(0, 'Gauge of today'), line(30, 'Gauge of next month')],
      }))
      .on('GET', '/api/due/feed', () => ({ feed: null }));
    await openPage('/due', server);
    await until(() => the('section[aria-label="Late"]'));
    await until(() => the('ol[aria-label="The week"]'));
    await press('Week after');
    await press('This week');
    expect(await violations()).toEqual([]);
  });
});
