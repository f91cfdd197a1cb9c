import type { Setup } from '@fulcrant/core/job';
import { fireEvent } from '@testing-library/react';
import { expect, it } from 'vitest';
import { EVERY_KIND } from '../../../core/src/testing/every-kind.ts';
import { call } from '../data/api.ts';
import { flush } from '../data/queue.ts';
import { openJobAt, reload } from '../testing/open.tsx';
import { ASTA, FakeServer, IMKE, SITE } from '../testing/server.ts';
import { all, enter, fill, press, the } from '../testing/sheet.ts';
import { until } from '../testing/until.ts';

const feelers = EVERY_KIND['by feelers'] as Setup;
const who = () => the('[data-person]').textContent;
const sent = (server: FakeServer) =>
  server.written.filter((w) => w.path.endsWith('/events')).map((w) => JSON.stringify(w.body));

/** A works whose tablet Imke may take over by PIN 4711. */
function works(): FakeServer {
  const server = new FakeServer();
  server.on('GET', '/api/device/people', () => ({ people: [ASTA, IMKE] }));
  server.on('POST', '/api/session/pin', ({ body }) => {
    const { person, pin } = body as { person: string; pin: string };
    if (person !== 'imke' || pin !== '4711')
      return new Response('{"title":"This is another PIN."}', { status: 401 });
    server.person = IMKE;
    return { person: IMKE, plant: SITE };
  });
  return server;
}

async function takeOver(pin: string): Promise<void> {
  await press('Asta');
  fireEvent.click(await until(() => the('[data-change-person]')));
  fireEvent.click(await until(() => the('[data-change-to="imke"]')));
  await fill('PIN of Imke', pin);
  fireEvent.submit(the('[data-pin-form]'));
}

it('without the server a PIN lets one work, not confirmed: nothing goes, nothing is signed, until the server has checked it', async () => {
  const server = works();
  const { state, jobId } = await openJobAt(feelers, 'shaft', server);
  await until(() => who() === 'Asta');
  server.away = true;
  await takeOver('4711');
  await until(() => the('[data-unconfirmed]'));
  expect(who()).toContain('Imke');
  await enter('89.972');
  await until(() => the('[data-waiting="1"]'));
  // The server is back: it still holds Asta's sign-in, and what Imke entered stays here.
  server.away = false;
  await flush();
  await reload(jobId, server);
  await until(() => the('[data-unconfirmed]'));
  await flush();
  expect(sent(server)).toEqual([]);
  expect(state().readings.filter((r) => r.step === 'shaft')).toHaveLength(0);
  // What goes straight to the server would be done in Asta's name: it is refused here.
  await expect(call('POST', '/api/hands', {})).rejects.toMatchObject({ status: 403 });
  // A wrong PIN leaves all as it was.
  await press('Not confirmed: enter PIN');
  await fill('PIN of Imke', '1234');
  fireEvent.submit(the('[data-pin-form]'));
  await until(() => the('[data-pin-form] [role="alert"]'));
  await fill('PIN of Imke', '4711');
  fireEvent.submit(the('[data-pin-form]'));
  await until(() => all('[data-unconfirmed]').length === 0);
  await until(() => state().readings.filter((r) => r.step === 'shaft').length === 1);
  expect(state().readings.at(-1)?.author.id).toBe('imke');
});

it('signs nothing while not confirmed, and says why', async () => {
  const server = works();
  const { state } = await openJobAt(feelers, 'sign', server);
  await until(() => who() === 'Asta');
  server.away = true;
  await takeOver('4711');
  await until(() => the('[data-unconfirmed]'));
  await press('Sign the sheet');
  await until(() => all('[role="alert"]').some((a) => a.textContent?.includes('not confirmed')));
  server.away = false;
  await flush();
  expect(state().signed).toBeFalsy();
});

it('what is no PIN takes nobody over', async () => {
  const server = works();
  await openJobAt(feelers, 'shaft', server);
  await until(() => who() === 'Asta');
  server.away = true;
  await takeOver('12');
  await until(() => the('[role="dialog"]').textContent?.includes('4 to 6 digits'));
  expect(who()).toBe('Asta');
});
