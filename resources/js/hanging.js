import htmx from 'htmx.org';
import { nearest } from './nearest.js';

/** How near an eye takes what is carried, in pixels of the window. */
const REACH = 70;
const SVG = 'http://www.w3.org/2000/svg';

/**
 * A part is taken by its wire and carried to another eye: those that can take it light up, the nearest tells its name.
 * Escape, or let go of elsewhere, hangs it back. Resolves to what ends it.
 */
export async function hanging(board) {
    const { parts, eyes } = JSON.parse(board.dataset.hangs ?? '{"parts":[],"eyes":[]}');
    const canvas = board.querySelector('.canvas');
    // A part hangs in an eye of those before it; where there is but one, it hangs there.
    const hangs = (part) => eyes.filter(([at]) => at < parts.indexOf(part));
    if (hangs(parts[parts.length - 1]).length < 2) {
        return () => {};
    }
    const { default: interact } = await import('interactjs');
    const held = { part: '', ghost: null, eye: null, interaction: null, from: null };
    const hung = interact('g.wire[data-mark]', { context: canvas }).styleCursor(false).draggable({
        listeners: {
            start: (event) => take(event, canvas, hangs, held),
            move: (event) => move(event, canvas, hangs, held),
            end: () => letGo(board, canvas, held),
        },
    });
    const put = (event) => {
        if (event.key === 'Escape' && held.ghost !== null) {
            held.eye = null;
            clear(canvas, held);
            held.interaction?.stop();
        }
    };
    const plain = () => canvas.querySelectorAll('g.wire[style]').forEach((one) => one.removeAttribute('style'));
    document.addEventListener('keydown', put);
    document.addEventListener('htmx:beforeSwap', plain);

    return () => {
        hung.unset();
        document.removeEventListener('keydown', put);
        document.removeEventListener('htmx:beforeSwap', plain);
    };
}

function take(event, canvas, hangs, held) {
    const [part] = event.target.dataset.mark.split(':');
    const mayHang = hangs(part);
    if (mayHang.length < 2 || document.documentElement.classList.contains('is-pointing')) {
        return;
    }
    const picture = canvas.querySelector('svg');
    const box = picture.getBoundingClientRect();
    held.part = part;
    held.interaction = event.interaction;
    held.from = { x: event.clientX0, y: event.clientY0, left: box.left, top: box.top };
    held.ghost = ghostOf(picture, part, box);
    document.body.append(held.ghost);
    picture.querySelectorAll(`[data-mark^="${CSS.escape(part)}:"]`).forEach((one) => one.classList.add('is-held'));
    picture.append(...mayHang.map(([, ref, x, y]) => ring(ref, x, y)));
}

/** What is carried, as it is seen. */
function ghostOf(picture, part, box) {
    const ghost = document.createElementNS(SVG, 'svg');
    const { width, height } = box;
    const frame = { width, height, viewBox: picture.getAttribute('viewBox'), class: 'part-carried' };
    for (const [key, value] of Object.entries(frame)) {
        ghost.setAttribute(key, value);
    }
    picture.querySelectorAll(`[data-mark^="${CSS.escape(part)}:"]`).forEach((one) => {
        const copy = one.cloneNode(true);
        copy.removeAttribute('data-mark');
        ghost.append(copy);
    });

    return ghost;
}

function ring(ref, x, y) {
    const circle = document.createElementNS(SVG, 'circle');
    for (const [key, value] of [['class', 'eye-here'], ['cx', x], ['cy', y], ['r', 13], ['data-eye', ref]]) {
        circle.setAttribute(key, value);
    }

    return circle;
}

function move(event, canvas, hangs, held) {
    if (held.ghost === null) {
        return;
    }
    const [left, top] = [held.from.left + event.clientX - held.from.x, held.from.top + event.clientY - held.from.y];
    held.ghost.style.transform = `translate(${left}px, ${top}px)`;
    held.eye = eyeAt(canvas, hangs(held.part), [event.clientX, event.clientY]);
    canvas.querySelectorAll('.eye-here').forEach((one) => {
        one.classList.toggle('is-near', one.dataset.eye === held.eye?.ref);
    });
    canvas.querySelector('.eye-words')?.remove();
    if (held.eye !== null) {
        const words = document.createElementNS(SVG, 'text');
        for (const [key, value] of [['class', 'eye-words'], ['x', held.eye.x + 20], ['y', held.eye.y + 5]]) {
            words.setAttribute(key, value);
        }
        words.textContent = held.eye.words;
        canvas.querySelector('svg').append(words);
    }
}

/** The eye that takes the part, with its name. */
function eyeAt(canvas, eyes, where) {
    const eye = nearest(canvas, eyes, REACH, ...where);
    if (eye === null) {
        return null;
    }
    const [, ref, x, y, words] = eye;

    return { ref, x, y, words };
}

function clear(canvas, held) {
    held.ghost?.remove();
    held.ghost = null;
    canvas.querySelectorAll('.eye-here, .eye-words').forEach((one) => one.remove());
    canvas.querySelectorAll('.is-held').forEach((one) => one.classList.remove('is-held'));
}

function letGo(board, canvas, held) {
    const [eye, part] = [held.ghost === null ? null : held.eye, held.part];
    clear(canvas, held);
    if (eye === null) {
        return;
    }
    const form = board.querySelector('.tray-foot form');
    const change = { do: 'part.hang', part, on: eye.ref, open: part, run: 0 };
    const values = { ...Object.fromEntries(new FormData(form)), ...change };
    htmx.ajax('POST', form.action, { source: form, target: '#desk', swap: 'outerHTML show:none', values });
}
