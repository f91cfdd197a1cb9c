import type { Setup } from '@fulcrant/core/job';
import { fireEvent } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { english } from '../../../core/src/testing/english.ts';
import { EVERY_KIND } from '../../../core/src/testing/every-kind.ts';
import { openJobAt, reload } from '../testing/open.tsx';
import { FakeServer, IMKE, OSKAR } from '../testing/server.ts';
import { all, enter, field, giveReason, placeNow, press, stored, the } from '../testing/sheet.ts';
import { until } from '../testing/until.ts';

const feelers = EVERY_KIND['by feelers'] as Setup;
const heading = () => the('h1').textContent;

describe('from step to step', () => {
  it('the next step comes to the middle, and the keys go on in its field', async () => {
    const { state } = await openJobAt(feelers, 'safe');
    await until(() => all('[data-item]').length > 0);
    for (const item of all('[data-item]')) {
      const input = item.querySelector('input');
      if (input) fireEvent.change(input, { target: { value: 'left on' } });
      await press(/^(OK|Note): /, item);
    }
    await until(() => !the<HTMLButtonElement>('[data-pass-step]').disabled);
    fireEvent.keyDown(document.body, { key: 'F9' });
    await until(() => document.activeElement === field());
    await stored();
    expect(state().present).toBe('shaft');
  });

  it('a step that is done is looked back at, and nothing can be recorded there; one touch leads back', async () => {
    await openJobAt(feelers, 'bench');
    await until(field);
    const place = placeNow();
    const back = await until(
      () =>
        all('nav button, aside button, header button').find((b) =>
          /^Shaft/.test(b.textContent ?? b.ariaLabel ?? ''),
        ) ?? null,
    );
    fireEvent.click(back as HTMLElement);
    await until(() => document.querySelector('form[data-place]') === null);
    expect(document.querySelector('[data-pass-step]')).toBeNull();
    await press('Back to the present step');
    await until(() => placeNow() === place);
  });

  it('F8 takes back the last reading, with a reason; its place is asked again', async () => {
    const { state } = await openJobAt(feelers, 'shaft');
    await enter('89.974');
    fireEvent.keyDown(document.body, { key: 'F8' });
    await giveReason('slipped', 'Undo it');
    await until(() => placeNow() === 's1/0');
    await stored();
    expect(state().readings.at(-1)?.withdrawn).toMatchObject({ reason: 'slipped' });
  });

  it('F2 shows and reads in inches, F4 turns the light', async () => {
    const { state } = await openJobAt(feelers, 'shaft');
    await until(field);
    fireEvent.keyDown(document.body, { key: 'F2' });
    await enter('3.5422');
    await stored();
    expect(state().readings.at(-1)?.value).toBeCloseTo(89.97188, 9);
    fireEvent.keyDown(document.body, { key: 'F4' });
    await until(() => document.documentElement.dataset.theme === 'night');
    fireEvent.keyDown(document.body, { key: 'F4' });
    fireEvent.keyDown(document.body, { key: 'F2' });
  });
});

describe('held', () => {
  it('a fitter holds with a reason; only a lead hand releases; both stand on the sheet', async () => {
    const server = new FakeServer();
    const { state, jobId } = await openJobAt(feelers, 'driveup', server);
    await until(field);
    await press('More');
    await press('Put on hold');
    await press('Put on hold', await until(() => the('[role="dialog"]')));
    await until(() => the('[role="dialog"] [role="alert"]'));
    await giveReason('spanner is at the workshop', 'Put on hold');
    await until(() => document.querySelector('form[data-place]') === null);
    expect(all('button').some((b) => b.textContent === 'Release')).toBe(false);
    await stored();
    server.person = IMKE;
    await reload(jobId, server);
    await press('Release');
    await giveReason('spanner is back', 'Release');
    await until(field);
    await stored();
    expect(english(state().holds)).toMatchObject([
      {
        reason: 'spanner is at the workshop',
        set: { author: { id: 'asta' } },
        released: { author: { id: 'imke' } },
      },
    ]);
  });
});

describe('who may what', () => {
  it('a viewer sees the step and records nothing', async () => {
    const server = new FakeServer();
    server.person = OSKAR;
    await openJobAt(feelers, 'driveup', server);
    await until(() => the('[data-act]'));
    expect(document.querySelector('form[data-place]')).toBeNull();
    expect(document.querySelector('[data-pass-step]')).toBeNull();
  });

  it('a stop is accepted by a lead hand, by name and with a reason; a fitter is told so', async () => {
    const server = new FakeServer();
    const { hand, jobId, state } = await openJobAt(feelers, 'shaft', server);
    const from = hand.events.length;
    hand.survey([89.7, 89.7, 89.7, 89.7, 89.7, 89.7, 89.7, 89.7, 89.7]);
    for (const e of hand.events.slice(from)) server.add(e);
    await reload(jobId, server);
    await until(() => the('[data-finding][data-verdict="reject"]'));
    const accept = () => all('button').filter((b) => b.textContent === 'Accept this, by name');
    expect(accept()).toHaveLength(0);
    server.person = IMKE;
    await reload(jobId, server);
    await until(() => accept().length > 0);
    const before = accept().length;
    fireEvent.click(accept()[0] as HTMLElement);
    await press('Accept', await until(() => the('[role="dialog"]')));
    await until(() => the('[role="dialog"] [role="alert"]'));
    await giveReason('one campaign more, then a new shaft', 'Accept');
    await until(() => accept().length === before - 1);
    await stored();
    expect(state().deviations).toMatchObject([
      { author: { id: 'imke' }, reason: 'one campaign more, then a new shaft' },
    ]);
    expect(heading()).toBeTruthy();
  });

  it('who changed a limit does not look at it; another does', async () => {
    const server = new FakeServer();
    const { hand, jobId, state } = await openJobAt(feelers, 'shaft', server);
    const from = hand.events.length;
    hand.survey([89.7, 89.7, 89.7, 89.7, 89.7, 89.7, 89.7, 89.7, 89.7]);
    hand.do('setup.changed', {
      setup: { ...hand.state.setup, maker: { shaftLowerMm: 89, shaftUpperMm: 90 } } as Setup,
      reason: 'as the sheet says',
    });
    for (const e of hand.events.slice(from)) server.add(e);
    await reload(jobId, server);
    await until(() => the('[data-finding="shaft.unseen"]'));
    expect(document.querySelector('[data-look]')).toBeNull();
    server.person = IMKE;
    await reload(jobId, server);
    fireEvent.click(await until(() => the('[data-look]')));
    await until(() => document.querySelector('[data-finding="shaft.unseen"]') === null);
    await stored();
    expect(state().setupChanges[0]?.seen).toMatchObject({ author: { id: 'imke' } });
  });

  it('nobody signs with another’s name; what was typed stays', async () => {
    const { state } = await openJobAt(feelers, 'sign');
    const name = await until(() => the<HTMLInputElement>('input[autocomplete="name"]'));
    fireEvent.change(name, { target: { value: 'Imke' } });
    await press('Sign the sheet');
    await until(() => the('main [role="alert"]'));
    expect(name.value).toBe('Imke');
    expect(state().signed).toBeFalsy();
  });
});
