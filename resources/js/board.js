/**
 * The board of Lay out: leaders run from what is measured to its field, its handle is pulled, a tap on the drawing
 * chooses, and a bead from the tray is carried to its gap. Rules are the server's: what is dropped or let go is a
 * change like any other.
 */
import { carrying } from './carrying.js';
import { hanging } from './hanging.js';
import { pulling, step } from './pulling.js';
import { tellRatio } from './ratio.js';
import { drawn } from './svg.js';

export function board() {
    return {
        watch: /** @type {ResizeObserver | null} */ (null),
        ends: new AbortController(),

        init() {
            // It says so once to begin with, when all is laid out.
            const watch = new ResizeObserver(() => this.draw());
            watch.observe(this.$root.querySelector('.drawing'));
            watch.observe(this.$root.querySelector('.canvas'));
            this.watch = watch;
            const { signal } = this.ends;
            const redraw = () => this.draw();
            this.$root.addEventListener('scroll', redraw, { capture: true, signal });
            this.$root.addEventListener('focusin', redraw, { signal });
            this.$root.addEventListener('toggle', redraw, { capture: true, signal });
            this.$root.querySelector('.canvas').addEventListener('click', (event) => this.choose(event), { signal });
            pulling(this.$root, redraw, signal);
            this.$root.querySelector('.beside')?.addEventListener('keydown', step, { signal });
            Promise.all([carrying(this.$root, signal), hanging(this.$root, signal)])
                .then(() => (this.$root.dataset.carries = 'on'));
        },

        destroy() {
            this.watch?.disconnect();
            this.ends.abort();
        },

        /** Elbows from each measured place to the left edge of its field. */
        draw() {
            const room = this.$root.querySelector('.leaders');
            const picture = this.$root.querySelector('.canvas svg');
            if (room === null || getComputedStyle(room).display === 'none') {
                return;
            }
            tellRatio(this.$root);
            const box = (one) => this.$root.querySelector(one).getBoundingClientRect();
            const [corner, seen, list] = ['.leaders', '.canvas', '.beside'].map(box);
            const toWindow = picture.getScreenCTM();
            const said = room.querySelector('.pull-said');
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
            }), ...this.flags(room, picture), ...(said === null ? [] : [said]));
        },

        /** From each thing that is wrong to where it is wrong, and a ring about that. */
        flags(room, picture) {
            const [corner, toWindow] = [room.getBoundingClientRect(), picture.getScreenCTM()];

            return [...this.$root.querySelectorAll('.flags [data-at]')].flatMap((flag) => {
                const [x, y] = flag.dataset.at.split(' ').map(Number);
                const spot = new DOMPoint(x, y).matrixTransform(toWindow);
                const [left, top] = [spot.x - corner.left, spot.y - corner.top];
                const box = flag.getBoundingClientRect();
                const [from, level] = [box.right - corner.left, box.top + 14 - corner.top];
                const line = drawn('path', { d: `M${from} ${level}H${(from + left) / 2}L${left} ${top}` });
                const ring = drawn('circle', { cx: left, cy: top, r: 15 });
                const kind = flag.classList.contains('is-stop') ? 'is-stop' : 'is-warn';
                [line, ring].forEach((one) => one.classList.add('wrong', kind));

                return [line, ring];
            });
        },

        leader(one, x, y, left, middle) {
            const isHere = one.contains(document.activeElement);
            const path = drawn('path', { d: `M${x} ${y}L${left - 22} ${middle}H${left}` });
            path.classList.toggle('is-here', isHere);
            const dot = drawn('circle', { cx: x, cy: y, r: isHere ? 4 : 2.6 });

            const isMoved = 'steps' in one.dataset && one.dataset.steps !== '[]';

            return isMoved ? [path, this.handle(one, x, y), dot] : [path, dot];
        },

        /** What is taken hold of: wide enough for a finger, seen as a ring. */
        handle(one, x, y) {
            const handle = drawn('g', { class: 'handle' });
            handle.dataset.for = one.querySelector('.in').id;
            const reach = matchMedia('(pointer: coarse)').matches ? 22 : 14;
            for (const [r, name] of [[reach, 'reach'], [6.5, 'grip']]) {
                handle.append(drawn('circle', { cx: x, cy: y, r, class: name }));
            }

            return handle;
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
            /** @type {HTMLElement | null} */ (chosen)?.click();
        },
    };
}
