import { lineSplitter } from '@fulcrant/core/instruments';
import type { Text } from '@fulcrant/core/messages';
import { MessageError } from '@fulcrant/core/units';
import { M } from './messages.ts';

/** What of the browser's serial interface is used here; it is not in every browser, nor in its types. */
type SerialPort = {
  open(options: { baudRate: number }): Promise<void>;
  close(): Promise<void>;
  readable: ReadableStream<Uint8Array> | null;
};
type Serial = { requestPort(): Promise<SerialPort> };

const serial = (): Serial | undefined => (navigator as Navigator & { serial?: Serial }).serial;

/** Can a gauge on a serial port be read in this browser? */
export const hasSerial = (): boolean => serial() !== undefined;

/** The usual speed of gauges that send lines. */
const BAUD = 9600;

/**
 * Ask for a serial port and hear its lines. Resolves when the port is open; `ended` is called once, with a sentence, when it
 * gives no more. Returns what closes it.
 * @throws Error with a sentence where no port was chosen or it cannot be opened
 */
export async function openSerial(
  line: (text: string) => void,
  ended: (why: Text) => void,
): Promise<() => void> {
  const chosen = await serial()
    ?.requestPort()
    .catch(() => null);
  if (!chosen) throw new MessageError(M.noPortChosen);
  await chosen.open({ baudRate: BAUD }).catch(() => {
    throw new MessageError(M.portHeldByAnother);
  });
  const reader = chosen.readable?.getReader();
  if (!reader) throw new MessageError(M.portGivesNothing);
  const split = lineSplitter();
  const decode = new TextDecoder();
  let closed = false;
  const pump = async () => {
    for (;;) {
      const { value, done } = await reader.read();
      if (done) return;
      for (const text of split(decode.decode(value, { stream: true }))) line(text);
    }
  };
  void pump()
    .catch(() => undefined)
    .then(async () => {
      await chosen.close().catch(() => undefined);
      if (!closed) ended(M.gaugeUnpluggedPortEnded);
    });
  return () => {
    closed = true;
    void reader.cancel().catch(() => undefined);
  };
}
