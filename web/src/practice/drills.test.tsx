import type { Text } from '@fulcrant/core/messages';
import { allDrills, type Drill, putBy } from '@fulcrant/practice';
import { fireEvent } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { english } from '../../../core/src/testing/english.ts';
import { DECK_IDS } from '../../../packages/practice/src/drill.ts';
import { openPage } from '../testing/open.tsx';
import { FakeServer } from '../testing/server.ts';
import { all, press, the } from '../testing/sheet.ts';
import { until } from '../testing/until.ts';
import { violations } from '../testing/violations.ts';

const asked = (): Drill => {
  const drill = allDrills().find((d) => d.id === the('[data-drill]').dataset.drill);
  if (!drill) throw new Error('This question is in no deck.');
  return drill;
};
const option = (text: Text): HTMLElement => {
  const found = all('[data-drill] button').find((b) => b.textContent?.replace('✓ ', '') === english(text));
  if (!found) throw new Error(`No answer “${english(text)}”.`);
  return found;
};
const server = () => {
  const kept = new Map<string, ReturnType<typeof putBy>>();
  return new FakeServer()
    .on('GET', '/api/practice/drills', () => ({ kept: [...kept.values()] }))
    .on('POST', '/api/practice/drills', ({ body }) => {
      for (const { id, right, at } of (body as { answers: Array<{ id: string; right: 0 | 1; at: string }> })
        .answers)
        kept.set(id, putBy(kept.get(id) ?? null, id, right === 1, at));
      return { kept: [...kept.values()] };
    });
};

/** Answer the question that stands there as it should be. */
function answer(drill: Drill): void {
  if (drill.form === 'choice') fireEvent.click(option(drill.right));
  if (drill.form === 'several') for (const r of drill.right) fireEvent.click(option(r));
  if (drill.form === 'number')
    fireEvent.change(the('[data-drill] input'), { target: { value: String(drill.right) } });
  if (drill.form !== 'choice') fireEvent.submit(the('[data-drill]'));
}

describe('the drills', () => {
  it.each(DECK_IDS)(
    '%s: a question is answered, told right or wrong with the reason, and remembered',
    async (deck) => {
      const practice = server();
      await openPage('/practice/drills', practice);
      fireEvent.click(await until(() => the(`[data-deck="${deck}"]`)));
      await until(() => the('[data-drill]'));
      const drill = asked();
      answer(drill);
      await until(() => the('[data-told]'));
      // An order is drawn at random; only that can be wrong here.
      if (drill.form !== 'row') expect(the('[data-told]').dataset.told).toBe('true');
      await until(() => practice.written.length === 1);
      expect(practice.written[0]?.body).toMatchObject({ answers: [{ id: drill.id }] });
      expect(await violations()).toEqual([]);
    },
  );

  it('a word that is no number is said at its field, and loses nothing', async () => {
    await openPage('/practice/drills', server());
    fireEvent.click(await until(() => the('[data-deck="gauge"]')));
    const field = await until(() => the<HTMLInputElement>('[data-drill] input'));
    fireEvent.change(field, { target: { value: 'about four' } });
    fireEvent.submit(the('[data-drill]'));
    await until(() => the('[data-drill] [role="alert"]'));
    expect(field.value).toBe('about four');
  });

  it('without network one practises on all the same, and is told that it is not remembered', async () => {
    const practice = server();
    await openPage('/practice/drills', practice);
    fireEvent.click(await until(() => the('[data-deck="fraction"]')));
    await until(() => the('[data-drill]'));
    practice.away = true;
    answer(asked());
    await until(() => the('[data-told]'));
    await until(() => the('main [role="alert"]'));
    practice.away = false;
    await press(/./, the('[data-drill]')).catch(() => undefined);
  });
});
