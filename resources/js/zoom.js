/** The drawing larger and smaller; the desk is swapped at every change, so how large it is stays here. */
const LARGEST = 6;
let factor = 1;

export function zoom() {
    return {
        init() {
            this.$root.querySelector('.zoom').hidden = false;
            this.show();
        },

        nearer() {
            this.set(factor * 1.5);
        },

        farther() {
            this.set(factor / 1.5);
        },

        fit() {
            this.set(1);
        },

        set(wanted) {
            factor = Math.min(LARGEST, wanted < 1.1 ? 1 : wanted);
            this.show();
        },

        show() {
            const canvas = this.$root.querySelector('.canvas');
            canvas.classList.toggle('is-zoomed', factor > 1);
            canvas.style.setProperty('--zoom', factor);
            canvas.tabIndex = factor > 1 ? 0 : -1;
            // The middle stays in the middle.
            canvas.scrollLeft = (canvas.scrollWidth - canvas.clientWidth) / 2;
            canvas.scrollTop = (canvas.scrollHeight - canvas.clientHeight) / 2;
            this.$root.querySelector('.zoom-fit').disabled = factor === 1;
        },
    };
}
