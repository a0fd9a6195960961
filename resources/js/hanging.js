import htmx from 'htmx.org';
import { ghostOf, light, named } from './hanging/eyes.js';
import { nearest } from './nearest.js';

/** How near an eye takes what is carried, in pixels of the window. */
const REACH = 70;

/**
 * A part is taken by its wire and carried to another eye, or a new one from the tray: those that can take it light up,
 * the nearest tells its name, or why it cannot. Escape, or let go of elsewhere, hangs it back. Until it is told to
 * end.
 */
export async function hanging(board, signal) {
    const { parts, eyes } = JSON.parse(board.dataset.hangs ?? '{"parts":[],"eyes":[]}');
    const canvas = board.querySelector('.canvas');
    // A part hangs in an eye of those before it; a new one comes last and hangs in any.
    const cannot = (part) => ([at]) => {
        const own = parts.indexOf(part);

        return part === '' || at < own ? '' : at === own ? 'its own eye' : 'that comes after it in the line';
    };
    const { default: interact } = await import('./dragging.js');
    if (signal.aborted) {
        return;
    }
    const held = {
        part: '', technique: '', ghost: null, eye: null, from: null,
        interaction: /** @type {{ stop(): void } | null} */ (null),
    };
    const listeners = (lift) => ({
        start: (event) => lift(event, canvas, held) && light(canvas, eyes, cannot(held.part)),
        move: (event) => move(event, canvas, eyes, cannot(held.part), held),
        end: () => letGo(board, canvas, held),
    });
    const hung = [
        interact('g.wire[data-mark]', { context: canvas }).styleCursor(false)
            .draggable({ listeners: listeners((event) => take(event, canvas, eyes, cannot, held)) }),
        interact('.tray-parts button[name=technique]', { context: board }).styleCursor(false)
            .draggable({ startAxis: 'y', lockAxis: 'xy', listeners: listeners((event) => fetchNew(event, held)) }),
    ];
    const put = (event) => {
        if (event.key === 'Escape' && held.ghost !== null) {
            held.eye = null;
            clear(canvas, held);
            held.interaction?.stop();
        }
    };
    const styled = 'g.wire[style], .tray-parts button[style]';
    const plain = () => board.querySelectorAll(styled).forEach((one) => one.removeAttribute('style'));
    document.addEventListener('keydown', put, { signal });
    document.addEventListener('htmx:beforeSwap', plain, { signal });
    signal.addEventListener('abort', () => hung.forEach((one) => one.unset()));
}

/** A new part from the tray, by its name. */
function fetchNew(event, held) {
    held.technique = event.target.value;
    held.part = '';
    held.interaction = event.interaction;
    held.from = { x: 0, y: 0, left: 12, top: -18 };
    held.ghost = document.createElement('span');
    held.ghost.className = 'part-carried is-new';
    held.ghost.textContent = event.target.firstChild.textContent.trim();
    document.body.append(held.ghost);

    return true;
}

function take(event, canvas, eyes, cannot, held) {
    const [part] = event.target.dataset.mark.split(':');
    const mayHang = eyes.filter((eye) => cannot(part)(eye) === '');
    // Where there is but one, it hangs there.
    if (mayHang.length < 2 || document.documentElement.classList.contains('is-pointing')) {
        return false;
    }
    const picture = canvas.querySelector('svg');
    const box = picture.getBoundingClientRect();
    held.part = part;
    held.technique = '';
    held.interaction = event.interaction;
    held.from = { x: event.clientX0, y: event.clientY0, left: box.left, top: box.top };
    held.ghost = ghostOf(picture, part, box);
    document.body.append(held.ghost);
    picture.querySelectorAll(`[data-mark^="${CSS.escape(part)}:"]`).forEach((one) => one.classList.add('is-held'));

    return true;
}

function move(event, canvas, eyes, cannot, held) {
    if (held.ghost === null) {
        return;
    }
    const [left, top] = [held.from.left + event.clientX - held.from.x, held.from.top + event.clientY - held.from.y];
    held.ghost.style.transform = `translate(${left}px, ${top}px)`;
    const near = nearest(canvas, eyes, REACH, event.clientX, event.clientY);
    const why = near === null ? '' : cannot(near);
    held.eye = near === null || why !== '' ? null : near[1];
    canvas.querySelectorAll('.eye-here').forEach((one) => {
        one.classList.toggle('is-near', one.dataset.eye === near?.[1]);
    });
    canvas.querySelector('.eye-words')?.remove();
    if (near !== null) {
        canvas.querySelector('svg').append(named(near, why));
    }
}

function clear(canvas, held) {
    held.ghost?.remove();
    held.ghost = null;
    canvas.querySelectorAll('.eye-here, .eye-words').forEach((one) => one.remove());
    canvas.querySelectorAll('.is-held').forEach((one) => one.classList.remove('is-held'));
}

function letGo(board, canvas, held) {
    const [eye, part, technique] = [held.ghost === null ? null : held.eye, held.part, held.technique];
    clear(canvas, held);
    if (eye === null) {
        return;
    }
    const form = board.querySelector(technique === '' ? '.tray-foot form' : '.tray-parts form');
    const change = technique === ''
        ? { do: 'part.hang', part, on: eye, open: part, run: 0 }
        : { do: 'part.add', technique, on: eye, at: '' };
    const values = { ...Object.fromEntries(new FormData(form)), ...change };
    htmx.ajax(/** @type {any} */ ('POST'), form.action, { source: form, target: '#desk', swap: 'outerHTML show:none', values });
}
