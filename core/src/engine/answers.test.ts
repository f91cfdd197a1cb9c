import { expect, it } from 'vitest';
import { fitUpSheet } from '../sheet/sheet.ts';
import { english } from '../testing/english.ts';
import { EVERY_KIND } from '../testing/every-kind.ts';
import { handAt, refuses, step } from '../testing/test-stand.ts';

it('a question about what this machine has not is answered so, with a reason that prints; never one of safety', () => {
  const setup = EVERY_KIND['cartridge seal'];
  if (!setup) throw new Error('There is no such kind.');
  const h = handAt(setup);
  refuses(() => h.answer('safe', 'isolated', 'none', 'no energy here'), /never skipped/);
  refuses(() => h.answer('safe', 'instructions', 'none'), /Why does it not apply/);
  h.answer('safe', 'instructions', 'none', 'the sheet came with the pump');
  expect(english(step(h, 'safe').report?.findings)).toContainEqual(
    expect.objectContaining({ code: 'safe.instructions.none', verdict: 'caution' }),
  );
  // Answered, it stands in nobody's way.
  h.answerAll('safe').pass('safe');
  expect(JSON.stringify(english(fitUpSheet(h.state, null).document))).toMatch(
    /Does not apply.*came with the pump/,
  );
});
