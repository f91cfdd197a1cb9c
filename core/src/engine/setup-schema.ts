import { convertSchema } from '@sodaru/yup-to-json-schema';
import type { Text } from '../message/message.ts';
import { say } from '../quantities/say.ts';
import { fieldsOf } from './asked.ts';
import { allTrades } from './trades.ts';

type Node = { properties?: Record<string, Node> } & Record<string, unknown>;

/** What is asked for each field, laid beside its shape. */
function titled(node: Node, titles: ReadonlyMap<string, Text>, under = ''): Node {
  if (!node.properties) return node;
  const properties = Object.fromEntries(
    Object.entries(node.properties).map(([key, inner]) => {
      const title = titles.get(`${under}${key}`);
      return [key, { ...titled(inner, titles, `${key}.`), ...(title ? { title: say(title, 'mm') } : {}) }];
    }),
  );
  return { ...node, properties, additionalProperties: false };
}

/** Every trade with the JSON Schema of its setup: what a job of it is opened with. */
export const setupListing = (): Array<{ id: string; title: string; setup: unknown }> =>
  allTrades().map((trade) => ({
    id: trade.id,
    title: trade.words.offer.map((o) => say(o, 'mm')).join(', '),
    setup: {
      $schema: 'http://json-schema.org/draft-07/schema#',
      ...titled(
        convertSchema(trade.schema) as Node,
        new Map(fieldsOf(trade.schema).map((f) => [f.name, f.label])),
      ),
    },
  }));
