import htmx from 'htmx.org';

/** How near a gap takes what is carried, in pixels of the window. */
const REACH = 90;
const SVG = 'http://www.w3.org/2000/svg';

/**
 * A bead of the tray is carried over the drawing; the nearest gap of a wire opens and takes it. Escape puts it back.
 * Resolves to what ends it.
 */
export async function carrying(board) {
    if (board.querySelector('.well') === null || !board.dataset.gaps) {
        return () => {};
    }
    const { default: interact } = await import('interactjs');
    const carried = { picture: null, gap: null, interaction: null, gaps: JSON.parse(board.dataset.gaps) };
    const well = interact('.well', { context: board }).styleCursor(false).draggable({
        // A tray that scrolls sideways is left to the finger; up to the drawing it is carried.
        startAxis: 'y',
        lockAxis: 'xy',
        listeners: {
            start: (event) => lift(event, carried),
            move: (event) => move(event, board, carried),
            end: (event) => drop(event, board, carried),
        },
    });
    const put = (event) => {
        if (event.key === 'Escape' && carried.picture !== null) {
            lower(board, carried);
            carried.interaction?.stop();
        }
    };
    // What the library styled would be copied as an attribute when the page is written anew, which is not allowed here.
    const plain = () => board.querySelectorAll('.well[style]').forEach((one) => one.removeAttribute('style'));
    document.addEventListener('keydown', put);
    document.addEventListener('htmx:beforeSwap', plain);

    return () => {
        well.unset();
        document.removeEventListener('keydown', put);
        document.removeEventListener('htmx:beforeSwap', plain);
    };
}

function lift(event, carried) {
    carried.picture = event.target.querySelector('.well-bead').cloneNode(true);
    carried.interaction = event.interaction;
    carried.picture.classList.add('bead-carried');
    document.body.append(carried.picture);
    event.target.classList.add('is-held');
}

function move(event, board, carried) {
    if (carried.picture === null) {
        return;
    }
    // Above a finger that would hide it.
    const up = event.interaction.pointerType === 'touch' ? 70 : 23;
    const left = event.clientX - carried.picture.clientWidth / 2;
    carried.picture.style.transform = `translate(${left}px, ${event.clientY - up}px)`;
    carried.gap = nearest(board, carried.gaps, event.clientX, event.clientY - (up - 23));
    show(board, carried.gap);
}

function nearest(board, gaps, x, y) {
    const toWindow = board.querySelector('.canvas svg').getScreenCTM();
    let best = null;
    for (const [part, at, gapX, gapY, degrees] of gaps) {
        const place = new DOMPoint(gapX, gapY).matrixTransform(toWindow);
        const far = Math.hypot(place.x - x, place.y - y);
        if (far < REACH && (best === null || far < best.far)) {
            best = { part, at, x: gapX, y: gapY, degrees, far };
        }
    }

    return best;
}

function show(board, gap) {
    board.querySelectorAll('.gap-here').forEach((one) => one.remove());
    if (gap === null) {
        return;
    }
    const line = document.createElementNS(SVG, 'path');
    line.setAttribute('class', 'gap-here');
    line.setAttribute('d', 'M-26 0H26M-26 -5V5M26 -5V5');
    line.setAttribute('transform', `translate(${gap.x} ${gap.y}) rotate(${gap.degrees})`);
    board.querySelector('.canvas svg').append(line);
}

function lower(board, carried) {
    carried.picture?.remove();
    carried.picture = null;
    show(board, null);
    board.querySelectorAll('.is-held').forEach((one) => one.classList.remove('is-held'));
}

function drop(event, board, carried) {
    const gap = carried.picture === null ? null : carried.gap;
    lower(board, carried);
    if (gap === null) {
        return;
    }
    // The tray's own form with another place: the server knows the rest.
    const form = event.target.closest('form');
    const place = { part: gap.part, at: gap.at, open: gap.part, run: gap.at, bead: event.target.value };
    const values = { ...Object.fromEntries(new FormData(form)), ...place };
    htmx.ajax('POST', form.action, { source: form, target: '#desk', swap: 'outerHTML show:none', values });
}
