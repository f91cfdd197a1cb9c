import type { Text } from '../message/message.ts';
import { say } from './say.ts';

/** What cannot be worked out, as a message: thrown by sums and tables, told to people where it is caught. */
export class MessageError extends RangeError {
  /** What is wrong, by id and params. */
  readonly text: Text;

  constructor(text: Text, options?: ErrorOptions) {
    super(say(text, 'mm'), options);
    this.name = 'MessageError';
    this.text = text;
  }
}

/** What an error tells people: its message by id where it has one. */
export const saidBy = (error: Error): Text => (error instanceof MessageError ? error.text : error.message);
