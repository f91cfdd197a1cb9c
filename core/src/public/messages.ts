/** Messages: ids and params without language, and how they are put into words. */

export { COMMON } from '../message/common/messages.ts';
export { defineMessages } from '../message/define.ts';
export { GLOSSARY } from '../message/glossary/terms.ts';
export { TRADE_TERMS } from '../message/glossary/trade.ts';
export { PSEUDO, speak } from '../message/language.ts';
export { type Arg, expr, inline, isText, listOf, sameText, type Text, textKey } from '../message/message.ts';
