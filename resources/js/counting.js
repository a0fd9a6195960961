import { book, isDirty, root } from './counting/book.js';
import { drained, save } from './counting/saved.js';

export { isDirty } from './counting/book.js';
export { counter } from './counting/counter.js';
export { arrived, count, drained } from './counting/saved.js';

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
