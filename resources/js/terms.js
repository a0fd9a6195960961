// Words that were asked for once on this device are met: they still say what they mean, but are not marked any more.
const KEPT = 'hebra-met';

const met = () => new Set(JSON.parse(localStorage.getItem(KEPT) ?? '[]'));

const mark = () => {
    const known = met();
    for (const term of /** @type {NodeListOf<HTMLElement>} */ (document.querySelectorAll('[data-term]'))) {
        term.classList.toggle('is-met', known.has(term.dataset.term));
    }
};

export const terms = () => {
    document.addEventListener('toggle', (event) => {
        const { id } = /** @type {HTMLElement} */ (event.target);
        const term = /** @type {HTMLElement | null} */ (document.querySelector(`[popovertarget="${id}"][data-term]`));
        if (term && event.newState === 'open') {
            localStorage.setItem(KEPT, JSON.stringify([...met().add(term.dataset.term)]));
            mark();
        }
    }, true);
    document.addEventListener('htmx:afterSettle', mark);
    mark();
};
