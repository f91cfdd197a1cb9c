import type { JobEvent, Setup } from '@fulcrant/core/job';
import { fireEvent } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { EVERY_KIND } from '../../../core/src/testing/every-kind.ts';
import { openJobAt } from '../testing/open.tsx';
import { dialog, enter, field, giveReason, placeNow, press, stored, the, type } from '../testing/sheet.ts';
import { until } from '../testing/until.ts';

const kind = (name: string): Setup => EVERY_KIND[name] as Setup;
const feelers = kind('by feelers');

describe('a reason', () => {
  it('takes a few words; “back” does nothing; Escape closes and the caret is in the field', async () => {
    const { state } = await openJobAt(feelers, 'shaft');
    await enter('89.974');
    await press('Undo last');
    const open = await dialog();
    await press('Undo it', open);
    await until(() => the('[role="dialog"] [role="alert"]'));
    await press('Back', open);
    await until(() => document.querySelector('[role="dialog"]') === null);
    await stored();
    expect(state().readings.at(-1)?.withdrawn).toBeUndefined();
    await until(() => document.activeElement === field());
  });
});

describe('no number here', () => {
  it('is said by one touch with a reason, stands on the sheet, and lets the step go on', async () => {
    const { state } = await openJobAt(kind('packed'), 'follower');
    await until(() => the('[data-lacking]'));
    const step = state().present;
    fireEvent.click(the('[data-lacking]'));
    const reason = await until(() => the('[role="dialog"] fieldset button'));
    fireEvent.click(reason);
    await until(() => document.querySelector('[role="dialog"]') === null);
    await until(() => state().lacking.length > 0);
    expect(state().lacking.at(-1)).toMatchObject({ step, reason: reason.textContent });
  });

  it('in other words wants words', async () => {
    const { state } = await openJobAt(kind('packed'), 'follower');
    fireEvent.click(await until(() => the('[data-lacking]')));
    const typed = await until(() => the<HTMLInputElement>('[role="dialog"] input'));
    fireEvent.change(typed, { target: { value: 'x' } });
    await press('As typed below', await dialog());
    await until(() => the('[role="dialog"] [role="alert"]'));
    expect(typed.value).toBe('x');
    expect(state().lacking).toHaveLength(0);
  });
});

describe('a corrected answer', () => {
  it('of a step that was passed opens it, with who and why; both answers stay', async () => {
    const { state } = await openJobAt(feelers, 'bench');
    await press(/^Inboard side first/, await until(() => the('header')));
    await press('More');
    await press('Correct an answer');
    fireEvent.click(await until(() => the('[role="dialog"] li button')));
    const words = [...document.querySelectorAll<HTMLInputElement>('[role="dialog"] input')];
    fireEvent.change(words.at(-1) as HTMLInputElement, { target: { value: 'looked at the wrong side' } });
    await press(/^Not OK$/, await dialog());
    await until(() => state().answers.some((a) => a.answer === 'no'));
    expect(state().present).toBe('inboard');
  });
});

describe('more', () => {
  it('all readings of the step are listed, and one of them is taken back from there', async () => {
    const { state } = await openJobAt(feelers, 'shaft');
    for (const raw of ['89.974', '89.973']) await enter(raw);
    await press('More');
    await press('All readings of this step');
    const open = await dialog();
    await until(() => open.textContent?.includes('89.974') || null);
    await press(/^Undo/, open);
    await giveReason('read on the wrong side', 'Undo it');
    await stored();
    expect(state().readings.filter((r) => r.withdrawn)).toHaveLength(1);
  });

  it('a note goes on the sheet', async () => {
    const { state } = await openJobAt(feelers, 'driveup');
    await press('More');
    await press('Note on the sheet');
    await giveReason('spanner promised for two o’clock', 'Save');
    await stored();
    expect(state().notes).toMatchObject([
      { text: 'spanner promised for two o’clock', author: { id: 'asta' } },
    ]);
  });

  it('measured again, what was read before stands beside', async () => {
    const { state } = await openJobAt(feelers, 'shaft');
    for (const raw of ['89.974', '89.973', '89.976']) await enter(raw);
    await press('More');
    await press('Measure this step again');
    await giveReason('shaft dressed', 'Measure again');
    await until(() => placeNow() === 's1/0');
    await until(() => the('[data-before="1"]'));
    await stored();
    expect(state().readings.filter((r) => r.step === 'shaft')).toHaveLength(3);
  });

  it('readings come out of a file: bad rows are named with their lines, the good ones taken', async () => {
    const { state } = await openJobAt(feelers, 'shaft');
    await until(field);
    await press('More');
    await press('Readings from a file');
    const csv =
      'station;angle;diameter;unit\r\n1;0;89,985;\r\n1;60;3.5427;in\r\n1;120;fifty;\r\n2;0;89.984;mm\r\n9;0;89.98;mm\r\n2;0;89.98;mm\r\n';
    const input = await until(() => the<HTMLInputElement>('input[type="file"]'));
    const file = new File([`\uFEFF${csv}`], 'survey.csv', { type: 'text/csv' });
    Object.defineProperty(input, 'files', { value: [file] });
    fireEvent.change(input);
    await until(() => the('[data-bad-row="4"]'));
    await until(() => the('[data-bad-row="6"]'));
    await until(() => the('[data-bad-row="7"]'));
    await press(/^Import the 3 good rows/);
    await until(() => document.querySelector('[role="dialog"]') === null);
    await stored();
    const read = state().readings.filter((r) => r.step === 'shaft');
    // 3.5427 in = 89.98458 mm
    expect(read.map((r) => [r.place, Number(r.value.toFixed(5)), r.via])).toEqual([
      ['s1/0', 89.985, 'file'],
      ['s1/60', 89.98458, 'file'],
      ['s2/0', 89.984, 'file'],
    ]);
  });
});

describe('a time told later', () => {
  it('goes with its reading; one before the last is refused and nothing is lost', async () => {
    const running = Object.values(EVERY_KIND).find((s) => s.procedure === undefined && 'runIn' in s);
    const { server } = await openJobAt(running ?? ({ ...feelers, runIn: {} } as Setup), 'runin');
    await enter('21');
    const earlier = () => the<HTMLInputElement>('input[type="time"]');
    const clock = (minutes: number) => {
      const at = new Date(Date.now() + minutes * 60_000);
      return `${String(at.getHours()).padStart(2, '0')}:${String(at.getMinutes()).padStart(2, '0')}`;
    };
    // A clock two minutes ahead is yesterday's, and that was before the job.
    fireEvent.change(await until(earlier), { target: { value: clock(2) } });
    await type('24');
    fireEvent.submit(the('form[data-place]'));
    await until(() => the('form[data-place] [role="alert"]'));
    expect(field().value).toBe('24');
    fireEvent.change(earlier(), { target: { value: clock(0) } });
    await enter('24');
    await stored();
    const sent = server.written.flatMap((w) => (w.body as { events: JobEvent[] }).events ?? []);
    expect(sent.at(-1)?.data).toHaveProperty('readAt');
    expect(earlier().value).toBe('');
  });
});
