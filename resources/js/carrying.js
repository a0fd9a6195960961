import htmx from 'htmx.org';
import { ON_WIRE, named, targetAt } from './carrying/targets.js';
import { drawn } from './svg.js';

/**
 * A bead is carried: from the tray, or from where it stands on a wire. The nearest gap opens and takes it; on another
 * bead it takes that one's place; carried off the paper it is taken off. Escape puts it back. Until it is told to end.
 */
export async function carrying(board, signal) {
    if (!board.dataset.gaps) {
        return;
    }
    const { default: interact } = await import('./dragging.js');
    if (signal.aborted) {
        return;
    }
    const gaps = JSON.parse(board.dataset.gaps);
    const carried = {
        picture: null, target: null, from: null, gaps,
        interaction: /** @type {{ stop(): void } | null} */ (null),
    };
    const listeners = {
        start: (event) => lift(event, carried),
        move: (event) => move(event, board, carried),
        end: (event) => drop(event, board, carried),
    };
    // A tray that scrolls sideways is left to the finger; up to the drawing it is carried.
    const held = [
        interact('.well', { context: board })
            .styleCursor(false)
            .draggable({ startAxis: 'y', lockAxis: 'xy', listeners }),
        interact(ON_WIRE, { context: board.querySelector('.canvas') }).styleCursor(false).draggable({ listeners }),
    ];
    const put = (event) => {
        if (event.key === 'Escape' && carried.picture !== null) {
            lower(board, carried);
            carried.interaction?.stop();
        }
    };
    // What the library styled would be copied as an attribute when the page is written anew, which is not allowed here.
    const plain = () => board.querySelectorAll(`.well[style], ${ON_WIRE}[style]`)
        .forEach((one) => one.removeAttribute('style'));
    document.addEventListener('keydown', put, { signal });
    document.addEventListener('htmx:beforeSwap', plain, { signal });
    signal.addEventListener('abort', () => held.forEach((one) => one.unset()));
}

function lift(event, carried) {
    const isFromTray = event.target.matches('.well');
    carried.from = isFromTray ? null : named(event.target.dataset.mark);
    carried.picture = isFromTray ? event.target.querySelector('.well-bead').cloneNode(true) : pictured(event.target);
    carried.interaction = event.interaction;
    carried.picture.classList.add('bead-carried');
    document.body.append(carried.picture);
    event.target.classList.add('is-held');
}

/** A bead of the drawing by itself, as large as it is seen there. */
function pictured(bead) {
    const { x, y, width, height } = bead.getBBox();
    const k = Math.abs(bead.ownerSVGElement.getScreenCTM().a);
    const picture = drawn('svg', { width: width * k, height: height * k, viewBox: `${x} ${y} ${width} ${height}` });
    const copy = bead.cloneNode(true);
    ['data-mark', 'transform', 'style'].forEach((key) => copy.removeAttribute(key));
    picture.append(copy);

    return picture;
}

function move(event, board, carried) {
    if (carried.picture === null) {
        return;
    }
    // Above a finger that would hide it.
    const half = carried.picture.clientHeight / 2;
    const up = event.interaction.pointerType === 'touch' ? half + 47 : half;
    const left = event.clientX - carried.picture.clientWidth / 2;
    carried.picture.style.transform = `translate(${left}px, ${event.clientY - up}px)`;
    carried.target = targetAt(board, carried, event.clientX, event.clientY - (up - half));
    carried.picture.classList.toggle('is-off', carried.target?.do === 'bead.remove');
    show(board, carried.target);
}

function show(board, target) {
    board.querySelectorAll('.gap-here').forEach((one) => one.remove());
    board.querySelectorAll('.is-over').forEach((one) => one.classList.remove('is-over'));
    target?.over?.classList.add('is-over');
    if (!target?.gap) {
        return;
    }
    const line = drawn('path', {
        class: 'gap-here', d: 'M-26 0H26M-26 -5V5M26 -5V5',
        transform: `translate(${target.gap.x} ${target.gap.y}) rotate(${target.gap.degrees})`,
    });
    board.querySelector('.canvas svg').append(line);
}

function lower(board, carried) {
    carried.picture?.remove();
    carried.picture = null;
    show(board, null);
    board.querySelectorAll('.is-held').forEach((one) => one.classList.remove('is-held'));
}

/** Back where it came from: nothing is asked for. */
function isStill({ do: act, part, at, to, place }) {
    return act === 'bead.carry' && part === to && (place === at || place === at + 1);
}

function drop(event, board, carried) {
    const target = carried.picture === null ? null : carried.target;
    lower(board, carried);
    if (target === null || isStill(target)) {
        return;
    }
    const { over, gap, ...change } = target;
    // A form of the board with other values: the server knows the rest.
    const form = board.querySelector('.tray-foot form');
    const values = { ...Object.fromEntries(new FormData(form)), ...change };
    if (event.target.matches('.well')) {
        values.bead = event.target.value;
    }
    htmx.ajax(/** @type {any} */ ('POST'), form.action, { source: form, target: '#desk', swap: 'outerHTML show:none', values });
}
