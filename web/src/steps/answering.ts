import type { GateItem, Said } from '@fulcrant/core/job';
import type { Text } from '@fulcrant/core/messages';
import { COMMON } from '@fulcrant/core/messages';
import { useState } from 'react';
import { useSay } from '../ui/settings.tsx';
import { M } from './messages.ts';

export type OnAnswer = (item: string, answer: Said, note?: string) => void;

/** Answers as their buttons have them: a narrow button says the long one short. */
export const SHORT_ANSWER: Record<Said, Text> = { yes: COMMON.ok, no: COMMON.notOk, none: M.n };

/** One question on its way to an answer: the words that go with it, and what is still wanting. */
export function useAnswering(item: GateItem, before: string | undefined, onAnswer: OnAnswer) {
  const say = useSay();
  const [note, setNote] = useState(before ?? '');
  const [fault, setFault] = useState<Text | null>(null);
  /** It was said not to be on this one; the reason is still to come. */
  const [lacks, setLacks] = useState(false);
  const give = (answer: Said) => {
    const words = note.trim();
    if (item.note && words === '') return setFault(say(COMMON.writeDownWhatSeenWord));
    if (answer === 'none' && words === '') return setFault(say(COMMON.whyDoesNotApplyWord));
    setFault(null);
    setLacks(false);
    const kept = item.note || answer === 'none' || (item.mayNote && words !== '');
    onAnswer(item.id, answer, kept ? words : undefined);
  };
  return { note, setNote, fault, lacks, setLacks, give };
}
