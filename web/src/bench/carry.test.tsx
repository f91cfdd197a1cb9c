import type { Setup } from '@fulcrant/core/job';
import { fireEvent } from '@testing-library/react';
import { expect, it } from 'vitest';
import { EVERY_KIND, upTo } from '../../../core/src/testing/every-kind.ts';
import { freshJob, openPage } from '../testing/open.tsx';
import { FakeServer, OSKAR } from '../testing/server.ts';
import { all, press, the } from '../testing/sheet.ts';
import { until } from '../testing/until.ts';

const feelers = EVERY_KIND['by feelers'] as Setup;
const type = (label: string, value: string) =>
  fireEvent.change(the(`#bench-${label}`), { target: { value } });

it('a result goes on the sheet of an open job as a note: what was entered, and what came of it', async () => {
  const one = upTo(freshJob({ ...feelers, machine: 'Going fan', position: 'Drive end' }), 'shaft');
  const two = upTo(freshJob({ ...feelers, machine: 'Other fan', position: 'Free end' }), 'shaft');
  const server = new FakeServer().hold(one.events).hold(two.events);
  await openPage('/bench?sum=bearing.drive-up-target', server);
  await until(() => the('[data-sum]'));
  type('boreMm', '125');
  await until(() => all('button').some((b) => b.textContent === 'Add to a job'));
  await press('Add to a job');
  await until(() => the('[data-note]'));
  const note = the('[data-note]').textContent ?? '';
  expect(note).toContain('125');
  expect(note).toMatch(/ (OK|Caution|Stop|Too close to call)\. /);
  fireEvent.change(the('[role="dialog"] input[type="search"]'), { target: { value: 'other' } });
  await until(() => all('[role="dialog"] li').length === 1);
  // Two taps are one note.
  fireEvent.click(the('[role="dialog"] li button'));
  fireEvent.click(the('[role="dialog"] li button'));
  await until(() => the('[data-carried]'));
  await until(() => server.state(two.jobId).notes.length === 1);
  expect(server.state(two.jobId).notes[0]?.text).toBe(note);
  expect(server.state(one.jobId).notes).toHaveLength(0);
});

it('who records nothing is not offered it', async () => {
  const server = new FakeServer();
  server.person = OSKAR;
  await openPage('/bench?sum=bearing.drive-up-target', server);
  await until(() => the('[data-sum]'));
  expect(all('button').some((b) => b.textContent === 'Add to a job')).toBe(false);
});
