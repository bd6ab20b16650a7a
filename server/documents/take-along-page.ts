import type { Voice } from './voice';

/** Style of the page that is taken along: readable in the sun, dark where the device is. */
export const TAKE_ALONG_STYLE = `
:root{--paper:#fff;--ink:#111;--weak:#666;--edge:#bbb;--care:#8a5a00;color-scheme:light dark}
@media(prefers-color-scheme:dark){:root{--paper:#19171d;--ink:#efe8da;--weak:#a59fb0;--edge:#4b4657;--care:#f0c36a}}
body{margin:0 auto;max-width:760px;padding:0 14px 60px;background:var(--paper);color:var(--ink);font:18px/1.4 system-ui,sans-serif}
header{position:sticky;top:0;display:flex;gap:12px;align-items:center;padding:10px 0;background:var(--paper);border-bottom:2px solid var(--edge)}
header b{flex:1}
h1{font-size:24px;margin:24px 0 0}h2{font-size:24px;margin:0}
article{border-top:2px solid var(--edge);padding:14px 0;margin-top:14px}
.quiet,figcaption{color:var(--weak);font-size:16px}
.dial{font-size:24px;font-weight:700;margin:8px 0}
.care{color:var(--care)}
.pictures{display:flex;flex-wrap:wrap;gap:12px}figure{margin:0}
button{min-height:52px;min-width:72px;font:inherit;font-weight:600;color:var(--ink);background:none;border:2px solid var(--ink)}
.takes{display:flex;flex-wrap:wrap;gap:8px;align-items:center;margin-top:10px}
.list button{min-height:44px;border-color:var(--edge)}
`;

/** Data for a script: nothing in it ends the script. */
const inScript = (data: unknown): string => JSON.stringify(data).replaceAll('<', '\\u003c');

/** Keeps takes on the device and writes them as a file. Plain script: the page stands alone. */
export const takeAlongScript = ({ choice, say }: Voice): string => `
(() => {
  const film = document.body.dataset.film;
  const key = 'dusk-take-along:' + film;
  let takes = [];
  try { takes = JSON.parse(localStorage.getItem(key)) || []; } catch { takes = []; }
  const id = () => {
    const b = crypto.getRandomValues(new Uint8Array(16));
    b[6] = (b[6] & 15) | 64; b[8] = (b[8] & 63) | 128;
    const h = [...b].map((x) => x.toString(16).padStart(2, '0')).join('');
    return [h.slice(0, 8), h.slice(8, 12), h.slice(12, 16), h.slice(16, 20), h.slice(20)].join('-');
  };
  const words = ${inScript({
    good: choice('rating', 'good'),
    maybe: choice('rating', 'maybe'),
    'no-good': choice('rating', 'no-good'),
  })};
  const count = ${inScript([say('takesCount', { n: 1 }), say('takesCount', { n: 2 })])};
  const back = ${inScript(say('takeBack'))};
  const show = () => {
    try { localStorage.setItem(key, JSON.stringify(takes)); } catch { /* the page still holds them */ }
    document.getElementById('count').textContent = (takes.length === 1 ? count[0] : count[1].replace('2', takes.length));
    for (const card of document.querySelectorAll('article')) {
      const list = card.querySelector('.list');
      list.textContent = '';
      for (const take of takes.filter((t) => t.shotId === card.dataset.shot)) {
        const button = document.createElement('button');
        button.textContent = words[take.rating] + ' ✕';
        button.title = back;
        button.onclick = () => { takes = takes.filter((t) => t !== take); show(); };
        list.append(button);
      }
    }
  };
  for (const button of document.querySelectorAll('[data-rating]'))
    button.onclick = () => {
      const card = button.closest('article');
      takes.push({ id: id(), shotId: card.dataset.shot, locationId: card.dataset.location, utcMs: Date.now(), rating: button.dataset.rating });
      show();
    };
  document.getElementById('save').onclick = () => {
    const text = JSON.stringify({ format: 'dusk-slate-takes', formatVersion: 1, filmId: film, takes }, null, 1);
    const link = document.createElement('a');
    link.href = 'data:application/json;charset=utf-8,' + encodeURIComponent(text);
    link.download = 'takes.json';
    link.click();
  };
  show();
})();
`;
