import { GLOSSARY, TRADE_TERMS } from '@fulcrant/core/messages';
import { expect, it } from 'vitest';
import { openPage } from '../testing/open.tsx';
import { fill, the } from '../testing/sheet.ts';
import { until } from '../testing/until.ts';

const count = () => Number(the('[data-terms]').dataset.terms);

it('lists every term of the trade and of the program, and finds one by its letters', async () => {
  await openPage('/glossary');
  await until(() => the('[data-terms]'));
  const all = count();
  expect(all).toBeGreaterThan(TRADE_TERMS.length + GLOSSARY.length);
  await fill('Find a term', 'lantern');
  await until(() => count() < 4);
  expect(the('[data-terms]').textContent).toContain('open ring between packing rings');
  await fill('Find a term', 'zzz');
  await until(() => count() === 0);
  expect(document.querySelector('main')?.textContent).toContain('No term has these letters.');
});
