import htmx from 'htmx.org';
import Alpine from '@alpinejs/csp';
import { board } from './board.js';
import { cable } from './cable.js';
import { counter } from './counting.js';
import { course } from './course.js';
import { cutting } from './cutting.js';
import { desk } from './desk.js';
import { asking } from './asking.js';
import { bench, sound } from './bench.js';
import { keepBench } from './keeping.js';
import { leaf } from './leaf.js';
import { leftover } from './leftover.js';
import { password } from './password.js';
import { plot } from './plot.js';
import { measure } from './measure.js';
import { trace } from './trace.js';
import { rest } from './rest.js';
import { reader } from './voice.js';
import { ear } from './listening.js';
import { several } from './several.js';
import { terms } from './terms.js';
import { turning } from './turning.js';
import { zoom } from './zoom.js';

window.htmx = htmx;
document.documentElement.classList.add('js');

Alpine.data('board', board);
Alpine.data('desk', desk);
Alpine.data('cable', cable);
Alpine.data('counter', counter);
Alpine.data('course', course);
Alpine.data('cutting', cutting);
Alpine.data('bench', bench);
Alpine.data('sound', sound);
Alpine.data('leaf', leaf);
Alpine.data('leftover', leftover);
Alpine.data('password', password);
Alpine.data('plot', plot);
Alpine.data('measure', measure);
Alpine.data('trace', trace);
Alpine.data('turning', turning);
Alpine.data('rest', rest);
Alpine.data('voice', reader);
Alpine.data('ear', ear);
Alpine.data('several', several);
Alpine.data('zoom', zoom);
Alpine.start();
asking(document);
keepBench();
terms();

// Whoever signed out leaves no page behind that opens without the workshop.
if (document.querySelector('form[action="/sign-in"]')) {
    window.caches?.keys().then((names) => names.forEach((name) => window.caches.delete(name))).catch(() => {});
}

// A refusal is a page like any other: it replaces the desk with itself, the sentence in its place.
document.addEventListener('htmx:sendError', () => {
    document.querySelector('#offline')?.removeAttribute('hidden');
});
// A long search is stopped where its maker says so; what stands already stays.
document.addEventListener('click', (event) => {
    const search = /** @type {HTMLElement | null | undefined} */ (/** @type {HTMLElement} */ (event.target).closest?.('[data-ends]'))?.dataset.ends;
    const sought = search ? document.querySelector(search) : null;
    if (sought !== null) {
        htmx.trigger(sought, 'htmx:abort');
    }
});

// Busy is asked again, three times at most, a little later each time; then it is said.
document.addEventListener('htmx:beforeSwap', (event) => {
    if (event.detail.xhr.status !== 503) {
        return;
    }
    const { requestConfig: asked, target, xhr } = event.detail;
    const times = Number(asked.headers['X-Again'] ?? 0);
    if (times >= 3 || xhr.getResponseHeader('Retry-After') === null) {
        event.detail.shouldSwap = true;
        return;
    }
    setTimeout(() => htmx.ajax(/** @type {any} */ (asked.verb.toUpperCase()), asked.path, {
        source: asked.elt, target, swap: asked.elt.getAttribute('hx-swap') ?? 'outerHTML show:none', values: Object.fromEntries(asked.formData), headers: { ...asked.headers, 'X-Again': String(times + 1) },
    }), 400 * (times + 1));
});
document.addEventListener('htmx:afterRequest', (event) => {
    if (event.detail.successful) {
        document.querySelector('#offline')?.setAttribute('hidden', '');
    }
});
