import type { Setup } from '@fulcrant/core/job';
import { fireEvent } from '@testing-library/react';
import { expect, it } from 'vitest';
import { EVERY_KIND } from '../../../core/src/testing/every-kind.ts';
import { openJobAt } from '../testing/open.tsx';
import { FakeServer } from '../testing/server.ts';
import { press, the } from '../testing/sheet.ts';
import { until } from '../testing/until.ts';

const pump = EVERY_KIND['vane pump, hung, one head'] as Setup;

it('whoever took over by PIN says it again before a signature; a wrong one signs nothing', async () => {
  const server = new FakeServer();
  const tried: unknown[] = [];
  server.on('POST', '/api/session/pin/check', ({ body }) => {
    tried.push(body);
    return (body as { pin: string }).pin === '4711'
      ? new Response(null, { status: 204 })
      : Response.json(
          { title: 'Not signed in.', status: 400, faults: [{ path: 'pin', message: 'Wrong PIN.' }] },
          { status: 400 },
        );
  });
  localStorage.setItem('fulcrant.by-pin', server.person?.id ?? '');
  const { state } = await openJobAt(pump, 'sign', server);
  const pin = () => the<HTMLInputElement>('[data-pin]');
  fireEvent.change(await until(pin), { target: { value: '0000' } });
  await press('Sign the sheet');
  await until(() => the('form [role="alert"]'));
  expect(tried).toEqual([{ pin: '0000' }]);
  expect(state().signed).toBeNull();
  fireEvent.change(pin(), { target: { value: '4711' } });
  await press('Sign the sheet');
  await until(() => state().signed !== null);
});
