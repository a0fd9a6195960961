import Alpine from '@alpinejs/csp';
import htmx from 'htmx.org';
import morphdom from 'morphdom';

/**
 * The board is written anew where its answer differs from what stands there: what a change leaves as it was is neither
 * laid out nor painted again. All that listens begins anew, as on a fresh page. Elsewhere an answer takes the place of
 * the whole desk.
 */
const NAME = 'patched';

const boardOf = (room) => room.querySelector('#desk:has(.board)');

/** How an answer takes its place, as htmx says it: told for all of the desk, less where a board is answered by one. */
export const swapOf = (told, html) => (
    boardOf(document) !== null && html.includes('<div class="board"') ? told.replace('outerHTML', NAME) : told
);

function patch(live, fresh) {
    const canvas = live.querySelector('.canvas');
    const [left, top] = [canvas.scrollLeft, canvas.scrollTop];
    live.querySelectorAll('dialog[open]').forEach((dialog) => dialog.close());
    // What was typed and not sent is no part of what is compared.
    live.querySelectorAll('form').forEach((form) => form.reset());
    Alpine.mutateDom(() => {
        Alpine.destroyTree(live);
        morphdom(live, fresh, {
            // What is drawn stands in its order: to be moved costs a drawing more than to be told anew.
            getNodeKey: (node) => (node instanceof HTMLElement ? node.id : undefined),
            onBeforeElUpdated: asItWas,
        });
        Alpine.initTree(live);
    });
    // Of a drawing that is seen larger, what was looked at stays in sight.
    if (left > 0 || top > 0) {
        canvas.scrollTo(left, top);
    }
}

// Who asked is written anew: a field that was changed and sent by Enter asked twice, and is answered once.
let asked = /** @type {Element | null} */ (null);
document.addEventListener('htmx:beforeSwap', ({ detail }) => (asked = detail.requestConfig.elt));

/** What is fetched as soon as it is there is fetched again; what is the same is left alone. */
function asItWas(stands, fresh) {
    const isFetched = fresh.getAttribute('hx-trigger')?.startsWith('load') ?? false;
    if (isFetched || stands === asked) {
        const anew = fresh.cloneNode(true);
        if (isFetched) {
            // Until it is there what it was stays to be read, faint.
            anew.replaceChildren(...stands.childNodes);
            anew.setAttribute('aria-busy', 'true');
        }
        stands.replaceWith(anew);

        return false;
    }

    return !stands.isEqualNode(fresh);
}

document.addEventListener('htmx:afterSwap', ({ detail }) => detail.target?.removeAttribute('aria-busy'));

htmx.defineExtension(NAME, {
    handleSwap(style, target, fragment) {
        if (style !== NAME) {
            return false;
        }
        patch(target, boardOf(fragment));

        return [target];
    },
});
