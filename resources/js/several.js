// Several runs of beads chosen at once: with shift on the drawing or the line, in a frame drawn with shift, all that
// are alike, or by the boxes beside them, which work without scripts too. What is done with them is one change.
import { drawn } from './svg.js';

const LEAST_PX = 6;

export const several = () => ({
    count: 0,
    words: '',
    root: /** @type {any} */ (null),
    stops: /** @type {(() => void)[]} */ ([]),

    init() {
        this.root = this.$root.closest('.board') ?? document;
        const canvas = this.root.querySelector('.canvas');
        this.on(this.root, 'click', (event) => this.also(event), true);
        this.on(canvas, 'pointerdown', (event) => this.frame(event), true);
        this.on(this.root, 'change', (event) => event.target.matches('.choose') && this.show());
        this.on(document, 'keydown', (event) => this.key(event));
        this.show();
    },

    destroy() {
        this.stops.forEach((stop) => stop());
    },

    on(target, kind, listener, capture = false) {
        target.addEventListener(kind, listener, capture);
        this.stops.push(() => target.removeEventListener(kind, listener, capture));
    },

    boxes() {
        return [...this.root.querySelectorAll('.choose')];
    },

    boxOf(mark) {
        return this.boxes().find((box) => box.dataset.mark === mark);
    },

    /** With shift a tap chooses one more, or one less. */
    also(event) {
        const mark = event.target.closest('[data-mark*=":bead-"]')?.dataset.mark;
        const box = event.shiftKey || event.ctrlKey || event.metaKey ? this.boxOf(mark) : undefined;
        if (box !== undefined) {
            event.preventDefault();
            event.stopPropagation();
            box.checked = !box.checked;
            this.show();
        }
    },

    alike() {
        const kinds = new Set(this.boxes().filter((box) => box.checked).map((box) => box.dataset.bead));
        this.boxes().forEach((box) => (box.checked ||= kinds.has(box.dataset.bead)));
        this.show();
    },

    leave() {
        this.boxes().forEach((box) => (box.checked = false));
        this.show();
    },

    key(event) {
        if (event.key === 'Escape' && this.count > 0 && !document.querySelector('dialog[open]')) {
            this.leave();
        }
    },

    /** From where shift is held down to where it is let go: every bead whose middle lies between. */
    frame(event) {
        if (!event.shiftKey || event.pointerType === 'touch') {
            return;
        }
        event.stopPropagation();
        const [x, y] = [event.clientX, event.clientY];
        const room = this.root.querySelector('.leaders') ?? this.root.querySelector('.canvas svg');
        const corner = room.getBoundingClientRect();
        const frame = drawn('rect', { class: 'marquee' });
        const bounds = (now) => [
            Math.min(x, now.clientX), Math.min(y, now.clientY), Math.max(x, now.clientX), Math.max(y, now.clientY),
        ];
        const move = (now) => {
            const [left, top, right, bottom] = bounds(now);
            Object.entries({ x: left - corner.left, y: top - corner.top, width: right - left, height: bottom - top })
                .forEach(([name, value]) => frame.setAttribute(name, value));
            frame.isConnected || room.append(frame);
        };
        const end = (now) => {
            frame.remove();
            listened.forEach(([kind, listener]) => window.removeEventListener(kind, listener));
            const [left, top, right, bottom] = bounds(now);
            if (now.type === 'pointerup' && Math.max(right - left, bottom - top) > LEAST_PX) {
                this.within(left, top, right, bottom);
            }
        };
        /** @type {[string, (now: Event) => void][]} */
        const listened = [['pointermove', move], ['pointerup', end], ['pointercancel', end]];
        listened.forEach(([kind, listener]) => window.addEventListener(kind, listener));
    },

    within(left, top, right, bottom) {
        for (const bead of this.root.querySelectorAll('.canvas [data-mark*=":bead-"]')) {
            const box = bead.getBoundingClientRect();
            const [x, y] = [(box.left + box.right) / 2, (box.top + box.bottom) / 2];
            const choice = this.boxOf(bead.dataset.mark);
            if (choice !== undefined && x >= left && x <= right && y >= top && y <= bottom) {
                choice.checked = true;
            }
        }
        this.show();
    },

    /** What is chosen is seen in the drawing and the line, and how many it is. */
    show() {
        const chosen = new Set(this.boxes().filter((box) => box.checked).map((box) => box.dataset.mark));
        this.count = chosen.size;
        this.words = `${chosen.size} chosen`;
        this.root.classList.toggle('has-several', chosen.size > 0);
        for (const one of this.root.querySelectorAll('[data-mark*=":bead-"]')) {
            one.classList.toggle('is-several', chosen.has(one.dataset.mark));
        }
    },
});
