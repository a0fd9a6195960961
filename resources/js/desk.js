import { arrived } from './counting.js';
import { nameOf, pressKeyButton } from './keys.js';
import { swapOf } from './patched.js';

/** Keys pressed while the desk is being written anew: they are pressed again, in order, when it is there. */
const waiting = { keys: /** @type {any[]} */ ([]), isBusy: false };

document.addEventListener('htmx:beforeRequest', (event) => {
    waiting.isBusy = waiting.isBusy || event.detail.target?.id === 'desk';
});
for (const kind of ['htmx:afterSettle', 'htmx:sendError', 'htmx:responseError', 'htmx:timeout', 'htmx:sendAbort']) {
    document.addEventListener(kind, () => {
        waiting.isBusy = false;
        while (waiting.keys.length > 0 && !waiting.isBusy) {
            const desk = document.querySelector('#desk');
            const key = waiting.keys.shift();
            if (desk !== null) {
                pressKeyButton(desk, key);
            }
        }
    });
}

document.addEventListener('htmx:beforeSwap', (event) => {
    const { shouldSwap, target, swapOverride, serverResponse, requestConfig } = event.detail;
    if (!shouldSwap || target?.id !== 'desk') {
        return;
    }
    const told = swapOverride ?? target.getAttribute('hx-swap');
    const swap = requestConfig.elt.isConnected ? swapOf(told, serverResponse) : told;
    event.detail.swapOverride = swap;
    if (swap === told) {
        // What is drawn is let go of at once: each of its strokes would be asked whether it wants to say goodbye.
        target.querySelectorAll('svg').forEach((one) => one.replaceChildren());
    }
});

/** The desk of a piece: what belongs together lights up together; single keys press the buttons that name them. */
export function desk() {
    return {
        init() {
            arrived(this.$root.dataset.piece);
        },

        pointed(event) {
            this.light(event.target.closest('[data-mark]'));
        },

        left() {
            this.light(null);
        },

        light(element) {
            // At the bench what the step works on stays lit.
            const marks = (element?.dataset.mark ?? this.$root.querySelector('[data-marks]')?.dataset.marks ?? '').split(' ').filter(Boolean);
            this.$root.classList.toggle('has-lit', marks.length > 0);
            for (const other of this.$root.querySelectorAll('[data-mark]')) {
                other.classList.toggle('is-lit', marks.includes(other.dataset.mark));
            }
        },

        key(event) {
            if (waiting.isBusy && this.$root.dataset.waits === 'on' && [...this.$root.querySelectorAll('[data-key]')].some((one) => one.dataset.key.split(' | ').includes(nameOf(event)))) {
                const { key, ctrlKey, metaKey, altKey, shiftKey, target, isComposing } = event;
                waiting.keys.push({ key, ctrlKey, metaKey, altKey, shiftKey, target, isComposing, preventDefault() {} });
                event.preventDefault();

                return;
            }
            pressKeyButton(this.$root, event);
        },
    };
}
