import { message, yesNo, type Message } from '../messages';

/** A shot by its number and its title, or that it has none. */
export const shotName = (number: number | '', title: string): Message =>
  message('shot.name', { number, named: yesNo(title !== ''), title });

/** A title, or that there is none. */
export const titleOr = (title: string): Message =>
  title === '' ? message('shot.untitled') : message('plain', { text: title });
