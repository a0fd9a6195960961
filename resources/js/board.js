/**
 * The board of Lay out: leaders run from what is measured to its field, a tap on the drawing chooses, and a bead from
 * the tray is carried to its gap. Rules are the server's: what is dropped is a change like any other.
 */
import { carrying } from './carrying.js';

const SVG = 'http://www.w3.org/2000/svg';

export function board() {
    return {
        watch: null,
        stop: () => {},

        init() {
            this.watch = new ResizeObserver(() => this.draw());
            this.watch.observe(this.$root.querySelector('.drawing'));
            this.watch.observe(this.$root.querySelector('.canvas svg'));
            this.redraw = () => this.draw();
            this.$root.addEventListener('scroll', this.redraw, true);
            this.$root.addEventListener('focusin', this.redraw);
            this.$root.querySelector('.canvas').addEventListener('click', (event) => this.choose(event));
            carrying(this.$root).then((stop) => { this.stop = stop; });
            this.draw();
        },

        destroy() {
            this.watch.disconnect();
            this.stop();
        },

        /** Elbows from each measured place to the left edge of its field. */
        draw() {
            const room = this.$root.querySelector('.leaders');
            const picture = this.$root.querySelector('.canvas svg');
            if (room === null || getComputedStyle(room).display === 'none') {
                return;
            }
            const box = (one) => this.$root.querySelector(one).getBoundingClientRect();
            const [corner, seen, list] = ['.leaders', '.canvas', '.beside'].map(box);
            const toWindow = picture.getScreenCTM();
            room.replaceChildren(...[...this.$root.querySelectorAll('.beside [data-at]')].flatMap((one) => {
                const [x, y] = one.dataset.at.split(' ').map(Number);
                const from = new DOMPoint(x, y).matrixTransform(toWindow);
                const field = (one.querySelector('.in') ?? one).getBoundingClientRect();
                const [left, middle] = [field.left - corner.left - 4, field.top + field.height / 2];
                const isDrawn = from.x >= seen.left && from.x <= seen.right
                    && from.y >= seen.top && from.y <= seen.bottom;
                const isListed = middle > list.top && middle < list.bottom;
                const end = Math.min(left, list.left - corner.left + 20);

                return isDrawn && isListed
                    ? this.leader(one, from.x - corner.left, from.y - corner.top, end, middle - corner.top)
                    : [];
            }));
        },

        leader(one, x, y, left, middle) {
            const isHere = one.contains(document.activeElement);
            const path = document.createElementNS(SVG, 'path');
            path.setAttribute('d', `M${x} ${y}L${left - 22} ${middle}H${left}`);
            path.classList.toggle('is-here', isHere);
            const dot = document.createElementNS(SVG, 'circle');
            for (const [name, value] of [['cx', x], ['cy', y], ['r', isHere ? 4 : 2.6]]) {
                dot.setAttribute(name, value);
            }

            return [path, dot];
        },

        /** What is tapped is chosen; a stretch of the chosen part opens its measure. */
        choose(event) {
            const mark = event.target.closest('[data-mark]')?.dataset.mark ?? '';
            if (mark === '' || document.documentElement.classList.contains('is-pointing')) {
                return;
            }
            const field = this.$root.querySelector(`.beside [data-of="${CSS.escape(mark)}"] .in`);
            if (field !== null) {
                field.focus();
                field.select?.();

                return;
            }
            const [part, stretch] = mark.split(':');
            const run = stretch.startsWith('bead-') ? `#run-${CSS.escape(part)}-${stretch.slice(5)}` : '';
            const whole = document.querySelector(`#part-${CSS.escape(part)}`);
            const chosen = (run === '' ? null : document.querySelector(run)) ?? whole;
            chosen?.click();
        },
    };
}
