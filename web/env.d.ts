declare module 'virtual:validators' {
  import type { ErrorObject } from 'ajv';
  type Check = ((value: unknown) => boolean) & { errors?: ErrorObject[] | null };
  export const film: Check;
  export const location: Check;
  export const subject: Check;
  export const shot: Check;
  export const reading: Check;
  export const feature: Check;
  export const ground: Check;
  export const picture: Check;
  export const aircraft: Check;
  export const pack: Check;
  export const card: Check;
  export const filter: Check;
  export const pilot: Check;
  export const practice: Check;
  export const flight: Check;
  export const charger: Check;
  export const device: Check;
  export const flightLogEntry: Check;
  export const gear: Check;
  export const cardMove: Check;
  export const check: Check;
  export const answer: Check;
  export const take: Check;
  export const groundShot: Check;
  export const voiceNote: Check;
}

declare module 'tz-lookup' {
  export default function zoneAt(latitude: number, longitude: number): string;
}
