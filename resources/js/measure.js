// A length read off a photo that has something of known length in it: two points on that, then two on what is
// measured.
import { camera } from './camera.js';
import { crossOf, dotsOf, photoSheet } from './sheet.js';

const POINTS = 4;

const ASKED = [
    'Tap one end of what you know.', 'Tap its other end.', 'Tap one end of what you measure.', 'Tap its other end.',
];

/** How well a point is set, in pixels of the sheet. */
const OFF = 1;

const between = ([one, other]) => Math.hypot(one[0] - other[0], one[1] - other[1]);

/**
 * Millimetres, and how far off they may be: each end of both stretches by a pixel, across independently.
 * @returns {{mm: number, by: number}|null} null where a stretch has no length
 */
export const measured = (points, knownMm) => {
    const [known, wanted] = [between(points.slice(0, 2)), between(points.slice(2, 4))];
    if (known === 0 || wanted === 0) {
        return null;
    }
    const mm = wanted / known * knownMm;
    return { mm, by: mm * Math.SQRT2 * OFF * Math.hypot(1 / known, 1 / wanted) };
};

export const measure = () => ({
    ...photoSheet(),
    ...camera(),
    known: '85.6',
    own: '',
    get isLooking() {
        return this.stream !== null;
    },
    get isAway() {
        return this.stream === null;
    },
    get isOpen() {
        return this.wide > 0;
    },
    get isEmpty() {
        return this.points.length === 0;
    },
    get isOwn() {
        return this.known === '';
    },
    get knownMm() {
        return Number((this.isOwn ? this.own : this.known).replace(',', '.'));
    },
    get lines() {
        /** @param {number[][]} ends */
        const line = ([one, other]) => one && other ? `M${one.join(' ')}L${other.join(' ')}` : '';
        return line(this.points.slice(0, 2)) + line(this.points.slice(2, 4));
    },
    get dots() {
        return dotsOf(this.points);
    },
    get cross() {
        return crossOf(this.at);
    },
    get asks() {
        return ASKED[this.points.length] ?? 'A tap begins anew with what you measure.';
    },
    get found() {
        return this.points.length === POINTS && this.knownMm > 0 ? measured(this.points, this.knownMm) : null;
    },
    get isFound() {
        return this.found !== null;
    },
    get says() {
        return this.found === null ? '' : `${this.found.mm.toFixed(1)} mm, give or take ${Math.max(0.1, this.found.by).toFixed(1)}`;
    },
    set() {
        if (!this.isThere()) {
            this.points = [...(this.points.length === POINTS ? this.points.slice(0, 2) : this.points), [...this.at]];
        }
    },
    /** Beside what stands in the field already. */
    use() {
        const root = /** @type {any} */ (this).$root;
        const field = /** @type {HTMLInputElement} */ (document.getElementById(root.dataset.field));
        field.value = [field.value.trim(), `${this.found.mm.toFixed(1)} mm`].filter(Boolean).join(', ');
        field.focus();
    },
});
