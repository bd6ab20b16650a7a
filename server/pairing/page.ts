import { createHash } from 'node:crypto';
import type { Entered } from './codes';

type Texts = Readonly<
  Record<
    | 'title'
    | 'intro'
    | 'code'
    | 'name'
    | 'pair'
    | 'trust'
    | 'trustWhy'
    | 'trustHow'
    | 'download'
    | 'compare'
    | 'phone'
    | Exclude<Entered, 'right'>,
    string
  >
>;

const TEXTS: Readonly<Record<'en' | 'de', Texts>> = {
  en: {
    title: 'Pair this device',
    intro:
      'Dusk Slate on the computer shows a code that can be used once, within five minutes. This device then reads and writes all films there until it is removed in the settings.',
    code: 'Code',
    name: 'Name of this device',
    pair: 'Pair device',
    trust: 'Before: trust the computer',
    trustWhy:
      'The computer signs its connection itself. Without its certificate the browser warns, and the application cannot be kept on this device for work without a network.',
    trustHow:
      'Download the certificate, compare its SHA-256 fingerprint with the one on the computer’s screen, and install it in the settings of this device under certificates. On some phones a second switch, in the certificate trust settings, turns it on. Remove it there when you no longer use it.',
    download: 'Download certificate',
    compare: 'SHA-256 fingerprint',
    phone: 'Phone',
    wrong: 'This code is not known. Look at the computer again.',
    used: 'This code has been used already. If that was not you, remove the device in the settings on the computer. Ask there for a new code.',
    expired: 'This code has run out. Ask for a new one on the computer.',
  },
  de: {
    title: 'Dieses Gerät koppeln',
    intro:
      'Dusk Slate auf dem Rechner zeigt einen Code, der einmal und fünf Minuten lang gilt. Danach liest und schreibt dieses Gerät dort alle Filme, bis es in den Einstellungen entfernt wird.',
    code: 'Code',
    name: 'Name dieses Geräts',
    pair: 'Gerät koppeln',
    trust: 'Vorher: dem Rechner vertrauen',
    trustWhy:
      'Der Rechner unterschreibt seine Verbindung selbst. Ohne sein Zertifikat warnt der Browser, und die Anwendung kann nicht für die Arbeit ohne Netz auf diesem Gerät bleiben.',
    trustHow:
      'Lade das Zertifikat, vergleiche seinen SHA-256-Fingerabdruck mit dem auf dem Bildschirm des Rechners, und installiere es in den Einstellungen dieses Geräts unter Zertifikaten. Auf manchen Telefonen schaltet es erst ein zweiter Schalter in den Vertrauenseinstellungen ein. Entferne es dort, wenn du es nicht mehr brauchst.',
    download: 'Zertifikat laden',
    compare: 'SHA-256-Fingerabdruck',
    phone: 'Telefon',
    wrong: 'Dieser Code ist nicht bekannt. Sieh noch einmal auf den Rechner.',
    used: 'Dieser Code ist schon verwendet. Wenn du das nicht warst, entferne das Gerät in den Einstellungen auf dem Rechner. Lass dir dort einen neuen Code geben.',
    expired: 'Dieser Code ist abgelaufen. Lass dir auf dem Rechner einen neuen geben.',
  },
};

const STYLE = `
:root{color-scheme:dark light}
body{margin:0;padding:28px 20px;background:#1d1b1f;color:#ece7df;font:17px/1.45 system-ui,sans-serif}
main{max-width:440px;margin:auto;display:grid;gap:14px}
h1{font-size:26px;margin:0}h2{font-size:19px;margin:14px 0 0}p{margin:0}
label{display:grid;gap:4px}
input{font:inherit;font-size:20px;padding:10px;min-height:44px;box-sizing:border-box;background:#2a272d;color:inherit;border:1px solid #8d8794}
input[name=code]{letter-spacing:.16em;text-transform:uppercase}
button,a.button{font:inherit;min-height:48px;padding:0 16px;background:#c9b8f0;color:#1d1b1f;border:0;font-weight:600;display:grid;place-items:center;text-decoration:none}
a.button{background:none;color:inherit;border:1px solid #8d8794}
form{display:grid;gap:14px}
.fault{border-left:4px solid #ff8a75;padding-left:10px}
code{overflow-wrap:anywhere;font-size:15px}
`;
/** The page's own style by its content; nothing else is let through. */
export const STYLE_HASH = `'sha256-${createHash('sha256').update(STYLE).digest('base64')}'`;

const escape = (text: string): string => text.replace(/[&<>"']/g, (c) => `&#${c.charCodeAt(0)};`);

/** The page a device that is not paired sees; it needs no script. */
export const pairingPage = (
  language: 'en' | 'de',
  given: {
    readonly code: string;
    readonly fault: Exclude<Entered, 'right'> | null;
    readonly fingerprint: string;
  },
): string => {
  const t = TEXTS[language];
  return `<!doctype html><html lang="${language}"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width,initial-scale=1"><title>${t.title} – Dusk Slate</title><style>${STYLE}</style></head><body><main>
<h1>${t.title}</h1>${given.fault ? `<p class="fault" role="alert">${t[given.fault]}</p>` : ''}<p>${t.intro}</p>
<form method="post" action="/pair"><label>${t.code}<input name="code" value="${escape(given.code)}" autocomplete="one-time-code" autocapitalize="characters" spellcheck="false" required maxlength="16"></label>
<label>${t.name}<input name="name" value="${t.phone}" required maxlength="60"></label><button>${t.pair}</button></form>
<h2>${t.trust}</h2><p>${t.trustWhy}</p><p>${t.trustHow}</p><a class="button" href="/authority.crt">${t.download}</a>
<p>${t.compare}<br><code>${given.fingerprint}</code></p></main></body></html>`;
};
