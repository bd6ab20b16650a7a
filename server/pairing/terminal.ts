import { toString as drawCode } from 'qrcode';
import { CODE_LIFE_MS } from './codes';
import type { Lan } from './lan';

/** What the terminal shows for the first device: a code to photograph, and the same in words. */
export const invitationText = async (lan: Lan): Promise<string> => {
  const { links, code } = await lan.invite();
  const [link = ''] = links;
  const drawn = await drawCode(link, { type: 'terminal', small: true });
  const where = links.map((l) => `  ${l.replace(/\?.*/, '')}`).join('\n');
  return `\n${drawn}\n  Pair a phone on the same network:\n${where}\n  Code ${code}, once, within ${CODE_LIFE_MS / 60_000} minutes. More codes under Settings, Devices.\n`;
};
