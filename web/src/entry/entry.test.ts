import { beforeEach, describe, expect, it, vi } from 'vitest';
import { draftKey, dropDraft, keepDraft, readDraft } from './draft.ts';
import { InTurn } from './in-turn.ts';

describe('readings stored in turn', () => {
  it('are done one after the other, in the order they came, however long each takes', async () => {
    const turn = new InTurn();
    const done: string[] = [];
    const take = (name: string, ticks: number) => async () => {
      for (let i = 0; i < ticks; i++) await Promise.resolve();
      done.push(name);
    };
    await Promise.all([turn.add(take('first', 9)), turn.add(take('second', 1)), turn.add(take('third', 4))]);
    expect(done).toEqual(['first', 'second', 'third']);
  });
  it('one that throws does not hold up those behind it, and says so to who asked', async () => {
    const turn = new InTurn();
    const bad = turn.add(() => Promise.reject(new Error('device gone')));
    const good = turn.add(() => Promise.resolve());
    await expect(bad).rejects.toThrow('device gone');
    await expect(good).resolves.toBeUndefined();
  });
});

describe('half-typed text', () => {
  const kept = new Map<string, string>();
  beforeEach(() => {
    kept.clear();
    vi.stubGlobal('localStorage', {
      getItem: (k: string) => kept.get(k) ?? null,
      setItem: (k: string, v: string) => void kept.set(k, v),
      removeItem: (k: string) => void kept.delete(k),
    });
  });
  it('is kept for its job and its place, and an empty field keeps nothing', () => {
    const [a, b] = [draftKey('job-1', 's1/0'), draftKey('job-2', 's1/0')];
    keepDraft(a, '89.9');
    expect(readDraft(a)).toBe('89.9');
    expect(readDraft(b)).toBe('');
    keepDraft(a, '');
    expect(kept.size).toBe(0);
  });
  it('goes when its reading is kept, unless more was typed since', () => {
    const key = draftKey('job-1', 's1/0');
    keepDraft(key, '89.972');
    dropDraft(key, '89.97');
    expect(readDraft(key)).toBe('89.972');
    dropDraft(key, '89.972');
    expect(readDraft(key)).toBe('');
  });
});
