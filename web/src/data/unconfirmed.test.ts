import { beforeEach, describe, expect, it, vi } from 'vitest';
import { confirmed, isUnconfirmed, mayAsk, needsConfirmed, senderHere, takeOver } from './unconfirmed.ts';

const asta = { id: 'asta', name: 'Asta', role: 'fitter' } as const;
const imke = { id: 'imke', name: 'Imke', role: 'lead' } as const;
const bram = { id: 'bram', name: 'Bram', role: 'fitter' } as const;
beforeEach(() => {
  const kept = new Map<string, string>();
  vi.stubGlobal('localStorage', {
    getItem: (k: string) => kept.get(k) ?? null,
    setItem: (k: string, v: string) => void kept.set(k, v),
    removeItem: (k: string) => void kept.delete(k),
  });
});

describe('whoever took over without the server', () => {
  it('sends nothing of their own; what the one before entered still goes', () => {
    expect(senderHere(asta)).toBe('asta');
    takeOver(imke, asta);
    expect(isUnconfirmed(imke)).toBe(true);
    expect(isUnconfirmed(asta)).toBe(false);
    expect(senderHere(imke)).toBe('asta');
    takeOver(bram, imke);
    expect(senderHere(bram)).toBe('asta');
  });

  it('under a name the server holds already nothing goes either: the PIN was not checked', () => {
    takeOver(imke, asta);
    takeOver(asta, imke);
    expect(isUnconfirmed(asta)).toBe(true);
    expect(senderHere(asta)).toBeNull();
    takeOver(imke, asta);
    expect(senderHere(imke)).toBeNull();
    confirmed();
    expect(senderHere(imke)).toBe('imke');
  });

  it('may sign in, and ask nothing else of the server in the name of the one before', () => {
    expect(mayAsk('POST', '/api/hands')).toBe(true);
    takeOver(imke, asta);
    for (const path of ['/api/session', '/api/session/pin', '/api/jobs/1/events', '/api/record/lacks'])
      expect([path, mayAsk('POST', path)]).toEqual([path, true]);
    for (const path of [
      '/api/hands',
      '/api/outages/1',
      '/api/plant',
      '/api/instruments',
      '/api/jobs/1/photos',
    ])
      expect([path, mayAsk('POST', path)]).toEqual([path, false]);
    expect(mayAsk('GET', '/api/jobs')).toBe(true);
  });

  it('signs nothing and answers for nothing; what is read and done is entered', () => {
    for (const type of ['sheet.signed', 'deviation.accepted', 'step.released', 'change.seen'] as const)
      expect(needsConfirmed(type)).toBe(true);
    for (const type of ['reading.taken', 'gate.answered', 'step.held', 'note.added'] as const)
      expect(needsConfirmed(type)).toBe(false);
  });
});
