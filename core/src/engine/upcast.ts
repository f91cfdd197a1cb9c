import { textOfBefore } from '../quantities/marks-of-before.ts';

type Loose = { type?: unknown; data?: unknown };
type Data = Record<string, unknown>;

/** What each kind of event carries today, made out of what it carried when it was stored. A kind not named has not changed. */
const TODAY: Record<string, (data: Data) => Data> = {
  // What was accepted was kept as a sentence with its quantities marked.
  'deviation.accepted': (data) =>
    typeof data.stands === 'string' && data.stands.includes('⟦')
      ? { ...data, stands: textOfBefore(data.stands) }
      : data,
  // Cap bolts were the only ones there were.
  'bolt.tightened': (data) => (data.step === undefined ? { ...data, step: 'bolts' } : data),
  'bolts.loosened': (data) => (data.step === undefined ? { ...data, step: 'bolts' } : data),
};

/** Kinds of event there were before a trade named its own acts: the act says which it was, and the trade knows it by that. */
const ACTS: Record<string, (data: Data) => Data> = {
  'bearing.dismounted': ({ reason }) => ({ reason }),
  'fixed.named': (params) => ({ params }),
};

/**
 * An event of any age as today's rules read it: the one place that knows how events were written before. What it does not
 * know it leaves alone; it never throws.
 */
export function upcast<T>(event: T): T {
  if (event === null || typeof event !== 'object') return event;
  const { type, data } = event as Loose;
  if (typeof type !== 'string' || data === null || typeof data !== 'object' || Array.isArray(data))
    return event;
  if (Object.hasOwn(ACTS, type))
    return { ...event, type: 'act.done', data: { act: type, ...ACTS[type]?.(data as Data) } };
  const today = Object.hasOwn(TODAY, type) ? TODAY[type] : undefined;
  if (!today) return event;
  const now = today(data as Data);
  return now === data ? event : { ...event, data: now };
}
