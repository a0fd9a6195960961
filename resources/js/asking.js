import { writing } from './keys.js';

/** The question line in the header is one key away, wherever the maker has left single keys on and is not writing. */
export function asking(page) {
    page.addEventListener('keydown', (event) => {
        const line = page.querySelector('#top-ask, #ask');
        const isFree = event.key === '/' && !event.ctrlKey && !event.metaKey && !event.altKey;
        if (!isFree || line === null || page.body.dataset.shortcuts !== 'on' || event.target.closest?.(writing)) {
            return;
        }
        event.preventDefault();
        line.focus();
        line.select();
    });
}
