// The outline of a bought part taken from a photo.
import { crossOf, dotsOf, photoSheet } from './sheet.js';

const MOST_POINTS = 200;

export const trace = () => ({
    ...photoSheet(),
    get isOpen() {
        return this.wide > 0;
    },
    get isEmpty() {
        return this.points.length === 0;
    },
    get isTooFew() {
        return this.points.length < 3;
    },
    get outline() {
        return this.points.length === 0 ? '' : `M${this.points.map((point) => point.join(' ')).join('L')}${this.points.length > 2 ? 'Z' : ''}`;
    },
    get dots() {
        return dotsOf(this.points);
    },
    get cross() {
        return crossOf(this.at);
    },
    set() {
        if (this.isThere()) {
            return;
        }
        if (this.points.length === MOST_POINTS) {
            this.said = `${MOST_POINTS} points are enough for an outline: use it, or take some back.`;
            return;
        }
        this.points = [...this.points, [...this.at]];
        this.said = '';
    },
    use() {
        const root = /** @type {any} */ (this).$root;
        const field = /** @type {HTMLInputElement} */ (document.getElementById(root.dataset.field));
        field.value = this.outline;
        field.form?.requestSubmit();
    },
});
