import { pressKeyButton } from './keys.js';

/** The desk of a piece: what belongs together lights up together; single keys press the buttons that name them. */
export function desk() {
    return {
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
            pressKeyButton(this.$root, event);
        },
    };
}
