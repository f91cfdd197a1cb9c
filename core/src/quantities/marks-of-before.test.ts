import { describe, expect, it } from 'vitest';
import { upcast } from '../engine/upcast.ts';
import { allOfBefore, textOfBefore } from './marks-of-before.ts';
import { say } from './say.ts';

describe('texts stored before messages had ids', () => {
  it('say their quantities in either unit, as they did', () => {
    const text = textOfBefore('Taken out ⟦L0.0254|3⟧ of ⟦D0.127|3⟧ at ⟦T180⟧, ⟦C20⟧.');
    expect(say(text, 'mm')).toBe('Taken out 0.025 mm of 0.127 at 180 N·m, 20 °C.');
    expect(say(text, 'in')).toBe('Taken out 0.0010 in of 0.0050 at 133 lbf·ft, 68 °F.');
    expect(say(textOfBefore('⟦D0.02|2,4⟧ ⟦U0⟧'), 'in')).toBe('0.0008 in');
  });

  it('leave a text without marks, and what is no text, as they are', () => {
    const kept = { says: 'Called fit, and it was.', share: 1, at: null, good: [true] };
    expect(allOfBefore(kept)).toEqual(kept);
    expect(textOfBefore('as agreed')).toBe('as agreed');
  });

  it('an acceptance stored then says what stood in today’s form; every other event is left alone', () => {
    const data = { step: 'lock', finding: 'lock.left', stands: 'Left ⟦L0.03|3⟧.', reason: 'agreed' };
    const event = upcast({ type: 'deviation.accepted', data });
    expect(say(event.data.stands, 'in')).toBe('Left 0.0012 in.');
    const note = { type: 'note.added', data: { text: '⟦L1|3⟧' } };
    expect(upcast(note)).toBe(note);
  });
});
