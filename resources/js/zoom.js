/** The drawing larger and smaller, or as large as the piece is; the desk is swapped at every change, so that stays here. */
const LARGEST = 6;
/** A bank card, mm [ISO/IEC 7810, ID-1], which a screen is measured by once; what it came to is this device's. */
const CARD_MM = 85.6;
const KEPT = 'hebra-pixels-per-mm';
let factor = 1;
let isTrue = false;

/** Pixels of this screen in a millimetre; 0 where it was never measured. */
const measured = () => Number(localStorage.getItem(KEPT)) || 0;

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
            [factor, isTrue] = [Math.min(LARGEST, wanted < 1.1 ? 1 : wanted), false];
            this.show();
        },

        /** As large as it is; a screen that was never measured is measured first. */
        truly() {
            if (measured() === 0) {
                this.measure();

                return;
            }
            isTrue = !isTrue;
            this.show();
        },

        measure() {
            const dialog = this.$refs.measure;
            dialog.showModal();
            dialog.querySelector('input').value = Math.round(CARD_MM * (measured() || 96 / 25.4));
            this.sized();
        },

        sized() {
            const width = this.$refs.measure.querySelector('input').value;
            this.$refs.card.style.setProperty('--card', `${width}px`);
        },

        keep() {
            localStorage.setItem(KEPT, this.$refs.measure.querySelector('input').value / CARD_MM);
            this.$refs.measure.close();
            isTrue = true;
            this.show();
        },

        leave() {
            this.$refs.measure.close();
        },

        show() {
            const canvas = this.$root.querySelector('.canvas');
            const picture = canvas.querySelector('svg');
            canvas.classList.toggle('is-zoomed', factor > 1 && !isTrue);
            canvas.classList.toggle('is-true', isTrue);
            canvas.style.setProperty('--zoom', factor);
            canvas.style.setProperty('--true', `${picture.viewBox.baseVal.width / picture.dataset.k * measured()}px`);
            canvas.tabIndex = factor > 1 || isTrue ? 0 : -1;
            // The middle stays in the middle.
            canvas.scrollLeft = (canvas.scrollWidth - canvas.clientWidth) / 2;
            canvas.scrollTop = (canvas.scrollHeight - canvas.clientHeight) / 2;
            this.$root.querySelector('.zoom-fit').disabled = factor === 1 && !isTrue;
            this.$root.querySelector('.zoom-true')?.setAttribute('aria-pressed', String(isTrue));
            this.$root.querySelector('.ratio').hidden = isTrue;
        },
    };
}
