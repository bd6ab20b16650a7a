export { EN } from './en';
export { createFormatter, type Catalogue, type Formatter } from './formatter';
export {
  listed,
  measured,
  onDay,
  message,
  messageKey,
  nameText,
  plainText,
  yesNo,
  type DateValue,
  type ListValue,
  type Message,
  type MessageValue,
  type Name,
  type QuantityValue,
} from './message';
export { type Sum, term, type Term } from './sum';
export { wordIn } from './word';
