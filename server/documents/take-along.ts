import { aboveDrawing, frameDrawing } from '@core/drawing';
import { flyingSteps } from '@core/field';
import { inFlyingOrder, shotLines, type ShotLine } from '@core/handover';
import { bySeverity } from '@core/warnings';
import { drawn } from './pdf';
import type { Printed } from './printed';
import { flownAs, settingsOf } from './shot-list';
import { takeAlongScript, TAKE_ALONG_STYLE } from './take-along-page';

const escape = (text: string): string => text.replace(/[&<>"']/g, (c) => `&#${c.codePointAt(0) ?? 0};`);

/** Drawings are black on white; on this page they take the colour of the text. */
const picture = (drawing: Parameters<typeof drawn>[0] | null, label: string): string =>
  drawing
    ? `<figure>${drawn(drawing).replaceAll('#000', 'currentColor').replaceAll('#777', 'var(--weak)')}<figcaption>${label}</figcaption></figure>`
    : '';

const card = (whole: Printed, l: ShotLine): string => {
  const { say, text, choice, drawing } = whole.voice;
  const { facts, warnings } = l.shot;
  const steps = flyingSteps(facts, l.launch);
  const care = bySeverity(warnings).filter((w) => w.severity !== 'note');
  const says = (key: Parameters<typeof say>[0], values?: Parameters<typeof say>[1]): string =>
    escape(say(key, values));
  return `<article data-shot="${l.id}" data-location="${facts.location.id}">
<h2 dir="auto"><b>${l.number}</b> ${escape(l.title || say('untitled'))}</h2>
<p class="quiet">${escape(flownAs(whole, l))} · ${escape(choice('priority', l.shot.facts.shot.priority))}</p>
<ol>${steps.map((s) => `<li>${escape(text(s))}</li>`).join('')}</ol>
<p class="dial">${escape(settingsOf(l, whole.voice) || say('noSetting'))}</p>
${care.length > 0 ? `<ul class="care">${care.map((w) => `<li>${escape(text(w.say))}</li>`).join('')}</ul>` : ''}
<div class="pictures">${picture(frameDrawing(facts, 0, 200), says('firstFrame'))}${picture(frameDrawing(facts, 1, 200), says('lastFrame'))}${picture(aboveDrawing(facts, l.launch, 220, 112, drawing), says('fromAbove'))}</div>
<div class="takes"><span>${says('afterTake')}</span><button data-rating="good">${says('good')}</button><button data-rating="maybe">${says('maybe')}</button><button data-rating="no-good">${says('noGood')}</button><span class="list" role="status"></span><span class="quiet">${says('takesOf', { n: l.takes })}</span></div>
</article>`;
};

/**
 * The day as one HTML file that needs nothing else: what to fly in order, with settings and pictures, and a log of takes that
 * is saved as a file and brought in again under Footage.
 */
export const takeAlong = (whole: Printed): string => {
  const { say, write, clock, date, choice, language } = whole.voice;
  const { film } = whole.input;
  const lines = inFlyingOrder(shotLines(whole));
  const places = [...new Set(lines.map((l) => l.shot.facts.location.id))];
  const sections = places.map((id) => {
    const here = lines.filter((l) => l.shot.facts.location.id === id);
    const place = whole.derived.places.get(id);
    const window = place
      ? say('takeAlongOf', {
          from: clock(place.windowFromMs, place.location.zone),
          to: clock(place.windowToMs, place.location.zone),
          height: write(place.location.returnHeightM, 'metres', 0),
          action: choice('loss', place.location.lossAction),
        })
      : '';
    return `<section><h1 dir="auto">${escape(here[0]?.location ?? '')}</h1><p>${date(here[0]?.date ?? '')}, ${escape(window)}</p>${here.map((l) => card(whole, l)).join('\n')}</section>`;
  });
  return `<!doctype html>
<html lang="${language}">
<head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1">
<meta http-equiv="content-security-policy" content="default-src 'none'; style-src 'unsafe-inline'; script-src 'unsafe-inline'">
<title>${escape(film.name)}</title><style>${TAKE_ALONG_STYLE}</style></head>
<body data-film="${film.id}">
<header><b dir="auto">${escape(film.name)}</b><button id="save">${escape(say('saveLog'))}</button><span id="count" role="status"></span></header>
<p class="quiet">${escape(say('takeAlongCare'))}</p>
${sections.join('\n')}
<script>${takeAlongScript(whole.voice)}</script>
</body></html>`;
};
