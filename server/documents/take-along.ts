import { aboveDrawing, frameDrawing } from '@core/drawing';
import { flyingSteps } from '@core/field';
import { inFlyingOrder, shotLines, type Handover, type ShotLine } from '@core/handover';
import { createFormatter, EN } from '@core/messages';
import { clockText, dayText } from '@core/time';
import { bySeverity } from '@core/warnings';
import { drawn } from './pdf';
import { launchOf, settingsOf } from './shot-list';
import { TAKE_ALONG_SCRIPT, TAKE_ALONG_STYLE } from './take-along-page';

const escape = (text: string): string => text.replace(/[&<>"']/g, (c) => `&#${c.codePointAt(0) ?? 0};`);

/** Drawings are black on white; on this page they take the colour of the text. */
const picture = (drawing: Parameters<typeof drawn>[0] | null, label: string): string =>
  drawing
    ? `<figure>${drawn(drawing).replaceAll('#000', 'currentColor').replaceAll('#777', 'var(--weak)')}<figcaption>${label}</figcaption></figure>`
    : '';

const card = (whole: Handover, l: ShotLine, say: ReturnType<typeof createFormatter>): string => {
  const { facts, warnings } = l.shot;
  const launch = launchOf(whole, l);
  const steps = flyingSteps(facts, launch);
  const care = bySeverity(warnings).filter((w) => w.severity !== 'note');
  const when =
    l.startMs === null ? 'in no flight' : `flight ${l.flight ?? ''}, ${clockText(l.startMs, l.zone)}`;
  return `<article data-shot="${l.id}" data-location="${facts.location.id}">
<h2 dir="auto"><b>${l.number}</b> ${escape(l.title || 'untitled')}</h2>
<p class="quiet">${escape(when)} · pack ${escape(l.pack || '–')} · card ${escape(l.card || '–')} · ${escape(l.shot.facts.shot.priority)}</p>
<ol>${steps.map((s) => `<li>${escape(say.text(s))}</li>`).join('')}</ol>
<p class="dial">${escape(settingsOf(l) || 'no setting')}</p>
${care.length > 0 ? `<ul class="care">${care.map((w) => `<li>${escape(say.text(w.say))}</li>`).join('')}</ul>` : ''}
<div class="pictures">${picture(frameDrawing(facts, 0, 200), 'first frame')}${picture(frameDrawing(facts, 1, 200), 'last frame')}${picture(aboveDrawing(facts, launch, 220, 112), 'from above')}</div>
<div class="takes"><span>Recording? Then:</span><button data-rating="good">Good</button><button data-rating="maybe">Maybe</button><button data-rating="no-good">No good</button><span class="list" role="status"></span><span class="quiet">of ${l.takes}</span></div>
</article>`;
};

/**
 * The day as one HTML file that needs nothing else: what to fly in order, with settings and pictures, and a log of takes that
 * is saved as a file and brought in again under Footage.
 */
export const takeAlong = (whole: Handover): string => {
  const { film } = whole.input;
  const say = createFormatter(EN, 'en', film.units);
  const lines = inFlyingOrder(shotLines(whole));
  const places = [...new Set(lines.map((l) => l.shot.facts.location.id))];
  const sections = places.map((id) => {
    const here = lines.filter((l) => l.shot.facts.location.id === id);
    const place = whole.derived.places.get(id);
    const window = place
      ? `${clockText(place.windowFromMs, place.location.zone)} to ${clockText(place.windowToMs, place.location.zone)}, return-to-home height ${place.location.returnHeightM} m, lost link: ${place.location.lossAction}`
      : '';
    return `<section><h1 dir="auto">${escape(here[0]?.location ?? '')}</h1><p>${dayText(here[0]?.date ?? '')}, ${escape(window)}</p>${here.map((l) => card(whole, l, say)).join('\n')}</section>`;
  });
  return `<!doctype html>
<html lang="en">
<head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1">
<meta http-equiv="content-security-policy" content="default-src 'none'; style-src 'unsafe-inline'; script-src 'unsafe-inline'">
<title>${escape(film.name)}</title><style>${TAKE_ALONG_STYLE}</style></head>
<body data-film="${film.id}">
<header><b dir="auto">${escape(film.name)}</b><button id="save">Save log</button><span id="count" role="status"></span></header>
<p class="quiet">The aircraft’s own display counts. Rules differ: check the local rule before every flight. Obstacles and clearance are not checked on this page: read the site map before you leave.</p>
${sections.join('\n')}
<script>${TAKE_ALONG_SCRIPT}</script>
</body></html>`;
};
