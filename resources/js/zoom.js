import { keepMeasured, measured, placeOf, tellRatio } from './ratio.js';
import { amid, apartOf, pan } from './zoom/fingers.js';

/**
 * The drawing larger and smaller, or as large as the piece is; the desk is swapped at every change, so that stays here.
 */
const LARGEST = 6;
/** A bank card, mm [ISO/IEC 7810, ID-1], which a screen is measured by once; what it came to is this device's. */
const CARD_MM = 85.6;
let factor = 1;
let isTrue = false;

export function zoom() {
    return {
        ends: new AbortController(),

        init() {
            this.$root.querySelector('.zoom').hidden = false;
            // Nothing is asked of a drawing that only fits: what is asked for is laid out at once.
            if (factor !== 1 || isTrue) {
                this.show();
            } else {
                this.$root.querySelector('.zoom-fit').disabled = true;
                this.$root.querySelector('.canvas').tabIndex = -1;
            }
            const canvas = this.$root.querySelector('.canvas');
            const { signal } = this.ends;
            // It says so once to begin with, when all is laid out.
            const seen = new ResizeObserver(() => tellRatio(this.$root));
            seen.observe(canvas);
            signal.addEventListener('abort', () => seen.disconnect());
            canvas.addEventListener('wheel', (event) => this.wheeled(event), { passive: false, signal });
            canvas.addEventListener('touchstart', (event) => this.pinched(event), { passive: true, signal });
            canvas.addEventListener('pointerdown', (event) => pan(event, canvas), { signal });
        },

        destroy() {
            this.ends.abort();
        },

        /** As a trackpad's pinch comes, and with Ctrl held. */
        wheeled(event) {
            if (event.ctrlKey) {
                event.preventDefault();
                this.set(factor * Math.exp(-event.deltaY / 200), event);
            }
        },

        /** Two fingers: as far apart as they are, so much larger; what is between them stays there. */
        pinched(event) {
            if (event.touches.length !== 2) {
                return;
            }
            const canvas = event.currentTarget;
            const [apart, from] = [apartOf(event.touches), factor];
            const move = (moved) => {
                if (moved.touches.length === 2) {
                    moved.preventDefault();
                    this.set(from * apartOf(moved.touches) / apart, amid(moved.touches));
                }
            };
            const end = () => {
                canvas.removeEventListener('touchmove', move);
                canvas.removeEventListener('touchend', end);
                canvas.removeEventListener('touchcancel', end);
            };
            canvas.addEventListener('touchmove', move, { passive: false });
            canvas.addEventListener('touchend', end);
            canvas.addEventListener('touchcancel', end);
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

        /** What lies under the point stays under it; without one, the middle. */
        set(wanted, point = /** @type {{ clientX: number, clientY: number } | null} */ (null)) {
            const canvas = this.$root.querySelector('.canvas');
            const [room, seen] = [canvas.getBoundingClientRect(), placeOf(canvas)];
            const middle = { clientX: room.left + room.width / 2, clientY: room.top + room.height / 2 };
            const { clientX, clientY } = point ?? middle;
            const at = new DOMPoint(clientX, clientY).matrixTransform(seen.inverse());
            [factor, isTrue] = [Math.min(LARGEST, wanted < 1.1 ? 1 : wanted), false];
            this.show();
            const now = at.matrixTransform(placeOf(canvas));
            canvas.scrollLeft += now.x - clientX;
            canvas.scrollTop += now.y - clientY;
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
            keepMeasured(this.$refs.measure.querySelector('input').value / CARD_MM);
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
            tellRatio(this.$root);
        },
    };
}
