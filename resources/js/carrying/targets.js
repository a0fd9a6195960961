import { nearest } from '../nearest.js';

/** How near a gap takes what is carried, in pixels of the window; how much of a bead's middle is the bead itself. */
const REACH = 90;
const MIDDLE = 0.32;
export const ON_WIRE = '[data-mark*=":bead-"]';

/** The part and the run that a mark of the drawing names. */
export function named(mark) {
    const [part, run] = mark.split(':bead-');

    return { part, at: Number(run) };
}

/** What would be done with it there: null where it would go back. */
export function targetAt(board, carried, x, y) {
    const other = beadAt(board, x, y);
    const { from } = carried;
    if (other !== null && !(from?.part === other.part && from.at === other.at)) {
        const { part, at, bead } = other;
        const change = from === null
            ? { do: 'bead.swap', part, at }
            : { do: 'bead.exchange', ...from, to: part, place: at };

        return { ...change, open: part, run: at, over: bead };
    }
    const gap = gapAt(board, carried.gaps, [x, y]);
    if (gap !== null) {
        const { part, at } = gap;
        const change = from === null
            ? { do: 'bead.add', part, at }
            : { do: 'bead.carry', ...from, to: part, place: at };

        return { ...change, open: part, run: at, gap };
    }
    const paper = board.querySelector('.drawing').getBoundingClientRect();
    const isOff = x < paper.left || x > paper.right || y < paper.top || y > paper.bottom;

    return from !== null && isOff ? { do: 'bead.remove', ...from, open: from.part, run: from.at } : null;
}

/** The bead whose middle lies there. */
function beadAt(board, x, y) {
    for (const bead of board.querySelectorAll(`.canvas ${ON_WIRE}`)) {
        const box = bead.getBoundingClientRect();
        const isIn = Math.abs(x - (box.left + box.width / 2)) < MIDDLE * box.width
            && Math.abs(y - (box.top + box.height / 2)) < MIDDLE * box.height;
        if (isIn) {
            return { ...named(bead.dataset.mark), bead };
        }
    }

    return null;
}

/** The gap that takes what is carried, with the bearing its mark is drawn along. */
function gapAt(board, gaps, where) {
    const gap = nearest(board.querySelector('.canvas'), gaps, REACH, ...where);
    if (gap === null) {
        return null;
    }
    const [part, at, x, y, degrees] = gap;

    return { part, at, x, y, degrees };
}
