import type { Text } from '../message/message.ts';
import { listOf } from '../message/message.ts';

/** Put texts together, in each unit. */
export function joinSaid(parts: ReadonlyArray<Text | null | undefined>, between = ' '): Text {
  return listOf(
    parts.filter((p): p is Text => p !== null && p !== undefined && p !== ''),
    between,
  );
}
