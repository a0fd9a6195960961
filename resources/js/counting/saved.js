import htmx from 'htmx.org';
import { hands, pause, untilTheyRest } from '../hands.js';
import { swapOf } from '../patched.js';
import { book, isDirty, keep, nameOf, onPage, root, show } from './book.js';

const retry = 4_000;

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
export async function save() {
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
    const field = (name) => root()?.querySelector(`input[name=${name}]`);
    const value = (name) => /** @type {HTMLInputElement | null | undefined} */ (field(name))?.value ?? '';
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
        const swap = { swapStyle: /** @type {any} */ (swapOf('outerHTML', html)), swapDelay: 0, settleDelay: 0 };
        htmx.swap('#desk', html, swap, { contextElement: document.body });
        if (focus !== '' && document.activeElement === document.body) {
            document.getElementById(focus)?.focus();
        }
        if (problem !== null) {
            const said = { className: 'banner', role: 'alert', textContent: problem };
            root()?.querySelector('.piece-head')?.after(Object.assign(document.createElement('p'), said));
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
            const kept = JSON.parse(localStorage.getItem(nameOf(piece)) ?? 'null');
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
