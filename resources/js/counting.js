import htmx from 'htmx.org';
import { hands, pause, untilTheyRest } from './hands.js';

const retry = 4_000;

/**
 * Counts that were pressed and are not saved yet, of the piece on the page. The figure changes at once; behind it one save after the other goes to the
 * workshop, each with the latest count of what it counts, so that none is lost and none is doubled, however slow the workshop is. They are kept on the
 * device until they have arrived.
 */
const book = { piece: '', revision: null, counts: new Map(), flying: false, isAway: false, following: 0, timer: 0 };

const nameOf = (piece) => `hebra.counts.${piece}`;
const root = () => document.querySelector('#desk');
const onPage = () => Number(/** @type {HTMLInputElement | null | undefined} */ (root()?.querySelector('input[name=revision]'))?.value ?? 0);

export const isDirty = () => book.counts.size > 0 || book.flying;

function keep() {
    try {
        if (book.counts.size === 0) {
            localStorage.removeItem(nameOf(book.piece));
        } else {
            localStorage.setItem(nameOf(book.piece), JSON.stringify({ revision: book.revision ?? onPage(), counts: [...book.counts] }));
        }
    } catch {
        // A full or forbidden store: it works as long as the page is open.
    }
}

/** Shows a count wherever the page tells it. */
function show(key, count) {
    for (const one of /** @type {NodeListOf<HTMLElement>} */ (document.querySelectorAll(`[data-count-of="${key}"]`))) {
        one.textContent = String(count);
        if (one.hasAttribute('data-count')) {
            one.dataset.count = String(count);
            one.setAttribute('aria-valuenow', String(count));
        }
    }
}

export function count(key, change, value) {
    hands.last = performance.now();
    book.following++;
    book.counts.set(key, { change, count: value });
    keep();
    show(key, value);
    document.querySelector('#do-undo-')?.removeAttribute('disabled');
    document.querySelector('#do-redo-')?.setAttribute('disabled', '');
    clearTimeout(book.timer);
    book.timer = setTimeout(save, 60);
}

/** One save at a time; what is pressed meanwhile goes with the next. */
async function save() {
    if (book.flying || book.counts.size === 0) {
        return;
    }
    const [key, { change, count: value }] = book.counts.entries().next().value;
    book.flying = true;
    let problem = null;
    try {
        const answer = await fetch(`/pieces/${book.piece}/changes`, {
            method: 'POST', credentials: 'same-origin', keepalive: true,
            headers: { 'Content-Type': 'application/json', Accept: 'application/json', 'X-CSRF-TOKEN': /** @type {HTMLMetaElement} */ (document.querySelector('meta[name=csrf-token]')).content },
            body: JSON.stringify({ ...change, count: String(value), revision: book.revision ?? onPage() }),
        });
        if (answer.ok) {
            book.revision = (await answer.json()).revision;
            book.isAway = false;
            document.querySelector('#offline')?.setAttribute('hidden', '');
            if (book.counts.get(key)?.count === value) {
                book.counts.delete(key);
            }
        } else if (answer.status >= 500 || answer.status === 429) {
            throw new Error(String(answer.status));
        } else {
            // Refused: changed elsewhere, or no such count. The page is shown as it is, with the reason.
            problem = (await answer.json().catch(() => ({}))).message ?? 'This could not be saved: load the page again.';
            book.counts.clear();
            book.revision = null;
        }
    } catch {
        book.isAway = true;
        document.querySelector('#offline')?.removeAttribute('hidden');
    }
    book.flying = false;
    keep();
    if (book.isAway) {
        book.timer = setTimeout(save, retry);
    } else if (book.counts.size > 0) {
        save();
    } else {
        follow(problem);
    }
}

/** The drawing and all else follow when the hands rest; given up when they stir again. */
async function follow(problem) {
    const at = ++book.following;
    if (problem === null) {
        await untilTheyRest();
    }
    if (at !== book.following || isDirty() || root() === null) {
        return;
    }
    const value = (name) => /** @type {HTMLInputElement | null} */ (root().querySelector(`input[name=${name}]`))?.value ?? '';
    const address = `${location.pathname}?${new URLSearchParams({ open: value('open'), run: value('run'), hung: value('hung') })}`;
    try {
        const answer = await fetch(address, { credentials: 'same-origin', headers: { 'HX-Request': 'true' } });
        const html = await answer.text();
        if (!answer.ok || at !== book.following || isDirty()) {
            return;
        }
        if (hands.isDown) {
            follow(problem);

            return;
        }
        const focus = document.activeElement?.id ?? '';
        htmx.swap('#desk', html, { swapStyle: 'outerHTML', swapDelay: 0, settleDelay: 0 });
        if (focus !== '' && document.activeElement === document.body) {
            document.getElementById(focus)?.focus();
        }
        if (problem !== null) {
            root().querySelector('.piece-head')?.after(Object.assign(document.createElement('p'), { className: 'banner', role: 'alert', textContent: problem }));
        }
    } catch {
        // The count is saved; the drawing follows with the next change.
    }
}

export async function drained() {
    while (isDirty() && !book.isAway) {
        clearTimeout(book.timer);
        await save();
        await pause(20);
    }
}

/** A desk has come on the page: what was counted on this device and has not arrived is counted again. */
export function arrived(piece) {
    if (book.piece !== piece) {
        Object.assign(book, { piece, revision: null });
        book.counts.clear();
        try {
            const kept = JSON.parse(localStorage.getItem(nameOf(piece)));
            // What came since from elsewhere is newer.
            if (kept !== null && onPage() <= kept.revision + 1) {
                kept.counts.forEach(([key, one]) => book.counts.set(key, one));
            }
        } catch {
            // Nothing was kept that can be read.
        }
        if (book.counts.size > 0) {
            save();
        }
    } else if (!isDirty()) {
        book.revision = null;
    }
    book.counts.forEach(({ count: value }, key) => show(key, value));
}

// Whatever else is asked of the workshop waits until the counts have arrived, and stands on them.
document.addEventListener('htmx:confirm', (event) => {
    if (isDirty() && event.detail.elt.closest('#desk')) {
        event.preventDefault();
        drained().then(() => event.detail.issueRequest(true));
    }
});
document.addEventListener('htmx:configRequest', (event) => {
    if (book.revision !== null && event.detail.parameters.has?.('revision') && event.detail.elt.closest('#desk')) {
        event.detail.parameters.set('revision', String(Math.max(book.revision, Number(event.detail.parameters.get('revision')))));
    }
    // What draws the desk anew follows by itself; anything else, the price that comes later, leaves that to be done.
    if (event.detail.target?.contains(root())) {
        book.following++;
    }
});
document.addEventListener('click', (event) => {
    const link = /** @type {HTMLAnchorElement | null | undefined} */ (/** @type {HTMLElement} */ (event.target).closest?.('a[href]'));
    if (link !== null && link !== undefined && isDirty() && !book.isAway && !link.target && !link.hasAttribute('hx-get') && link.origin === location.origin && !event.defaultPrevented && !(event.ctrlKey || event.metaKey || event.shiftKey)) {
        event.preventDefault();
        drained().then(() => location.assign(link.href));
    }
});
window.addEventListener('online', save);

/** − and + with the figure between them, which can be typed. */
export function counter() {
    return {
        change() {
            return JSON.parse(this.$root.dataset.change);
        },

        figure() {
            return this.$root.querySelector('[data-count]');
        },

        set(value) {
            const [least, most] = [Number(this.$root.dataset.least), Number(this.$root.dataset.most)];
            const next = Math.max(least, Math.min(most, value));
            if (next !== Number(this.figure().dataset.count)) {
                count(this.figure().dataset.countOf, this.change(), next);
                const fewer = this.$root.querySelector('button');
                fewer.disabled = this.$root.dataset.stops === 'on' && next <= least;
            }
        },

        by(step) {
            this.set(Number(this.figure().dataset.count) + step);
        },

        more(event) {
            event.preventDefault();
            this.by(1);
        },

        /** One fewer than the least goes the long way: it takes the thing off. */
        fewer(event) {
            if (Number(this.figure().dataset.count) > Number(this.$root.dataset.least)) {
                event.preventDefault();
                event.stopPropagation();
                this.by(-1);
            }
        },

        typed() {
            const text = this.figure().textContent.trim();
            if (/^\d{1,6}$/.test(text)) {
                this.set(Number(text));
            }
            this.figure().textContent = this.figure().dataset.count;
        },

        typing(event) {
            const steps = { ArrowUp: 1, ArrowDown: -1, PageUp: 10, PageDown: -10 };
            event.stopPropagation();
            if (event.key === 'Enter') {
                event.preventDefault();
                this.typed();
            } else if (event.key === 'Escape') {
                this.figure().textContent = this.figure().dataset.count;
                this.figure().blur();
            } else if (event.key in steps) {
                event.preventDefault();
                this.typed();
                this.by(steps[event.key]);
            }
        },

        all() {
            getSelection().selectAllChildren(this.figure());
        },
    };
}
