import { count } from './saved.js';

/** − and + with the figure between them, which can be typed. */
export function counter() {
    return {
        change() {
            return JSON.parse(this.$root.dataset.change);
        },

        figure() {
            return this.$root.querySelector('[data-count]');
        },

        set(value) {
            const [least, most] = [Number(this.$root.dataset.least), Number(this.$root.dataset.most)];
            const next = Math.max(least, Math.min(most, value));
            if (next !== Number(this.figure().dataset.count)) {
                count(this.figure().dataset.countOf, this.change(), next);
                const fewer = this.$root.querySelector('button');
                fewer.disabled = this.$root.dataset.stops === 'on' && next <= least;
            }
        },

        by(step) {
            this.set(Number(this.figure().dataset.count) + step);
        },

        more(event) {
            event.preventDefault();
            this.by(1);
        },

        /** One fewer than the least goes the long way: it takes the thing off. */
        fewer(event) {
            if (Number(this.figure().dataset.count) > Number(this.$root.dataset.least)) {
                event.preventDefault();
                event.stopPropagation();
                this.by(-1);
            }
        },

        typed() {
            const text = this.figure().textContent.trim();
            if (/^\d{1,6}$/.test(text)) {
                this.set(Number(text));
            }
            this.figure().textContent = this.figure().dataset.count;
        },

        typing(event) {
            const steps = { ArrowUp: 1, ArrowDown: -1, PageUp: 10, PageDown: -10 };
            event.stopPropagation();
            if (event.key === 'Enter') {
                event.preventDefault();
                this.typed();
            } else if (event.key === 'Escape') {
                this.figure().textContent = this.figure().dataset.count;
                this.figure().blur();
            } else if (event.key in steps) {
                event.preventDefault();
                this.typed();
                this.by(steps[event.key]);
            }
        },

        all() {
            getSelection()?.selectAllChildren(this.figure());
        },
    };
}
