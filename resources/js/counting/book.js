/**
 * Counts that were pressed and are not saved yet, of the piece on the page. The figure changes at once; behind it one save after the other goes to the
 * workshop, each with the latest count of what it counts, so that none is lost and none is doubled, however slow the workshop is. They are kept on the
 * device until they have arrived.
 */
export const book = { piece: '', revision: null, counts: new Map(), flying: false, isAway: false, following: 0, timer: 0 };

export const nameOf = (piece) => `hebra.counts.${piece}`;
export const root = () => document.querySelector('#desk');
export const onPage = () => Number(/** @type {HTMLInputElement | null | undefined} */ (root()?.querySelector('input[name=revision]'))?.value ?? 0);

export const isDirty = () => book.counts.size > 0 || book.flying;

export function keep() {
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
export function show(key, count) {
    for (const one of /** @type {NodeListOf<HTMLElement>} */ (document.querySelectorAll(`[data-count-of="${key}"]`))) {
        one.textContent = String(count);
        if (one.hasAttribute('data-count')) {
            one.dataset.count = String(count);
            one.setAttribute('aria-valuenow', String(count));
        }
    }
}
