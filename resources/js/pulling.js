import { placesOf, putBack, refuse, say, show } from './pulling/shown.js';

/**
 * A measure is pulled by its handle on the drawing, step by step along the marks of the maker's tools; the drawing and
 * the figures follow before anything is kept. Let go, it is a change like any other; Escape puts it back.
 */

/** So far the pointer goes for a step, in pixels of the window. */
const STEP = 13;

/** Until it is told to end. */
export function pulling(board, redraw, signal) {
    const room = board.querySelector('.leaders');
    if (room === null) {
        return;
    }
    let pull = null;
    const begin = (event) => {
        const handle = event.target.closest('.handle');
        if (handle === null || pull !== null || (event.pointerType === 'mouse' && event.button !== 0)) {
            return;
        }
        event.preventDefault();
        pull = held(board, event, handle.dataset.for);
        room.setPointerCapture(event.pointerId);
        room.classList.add('is-pulled');
        say(room, pull, event);
    };
    const go = (event) => {
        if (pull === null || event.pointerId !== pull.pointer) {
            return;
        }
        const [right, down] = [event.clientX - pull.x, event.clientY - pull.y];
        // Away from where it was held, to the right or down, is more.
        const far = Math.abs(right) > Math.abs(down) ? right : down;
        const at = Math.max(0, Math.min(pull.steps.length - 1, pull.from + Math.round(far / STEP)));
        if (at !== pull.at) {
            pull.at = at;
            pull.field.value = pull.steps[at][0];
            attempt(board, pull, redraw, () => say(room, pull, event));
        }
        say(room, pull, event);
    };
    const end = (event) => {
        if (pull === null || event.pointerId !== pull.pointer) {
            return;
        }
        const done = pull;
        finish();
        if (event.type === 'pointercancel' || done.refused !== '') {
            putBack(board, done, redraw);
            done.refused === '' || refuse(board, done);
        } else if (done.at !== done.from) {
            done.form.requestSubmit();
        }
    };
    const finish = () => {
        pull.stop.abort();
        room.querySelector('.pull-said')?.remove();
        room.classList.remove('is-pulled');
        pull = null;
    };
    const escape = (event) => {
        if (event.key === 'Escape' && pull !== null) {
            const done = pull;
            finish();
            putBack(board, done, redraw);
        }
    };
    room.addEventListener('pointerdown', begin, { signal });
    room.addEventListener('pointermove', go, { signal });
    room.addEventListener('pointerup', end, { signal });
    room.addEventListener('pointercancel', end, { signal });
    document.addEventListener('keydown', escape, { signal });
}

/** A step up or down in a field that has steps: the same by keyboard. */
export function step(event) {
    const form = event.target.closest('[data-steps]');
    const by = { ArrowUp: 1, ArrowDown: -1 }[event.key];
    if (form === null || by === undefined || event.altKey || event.ctrlKey || event.metaKey) {
        return;
    }
    const steps = JSON.parse(form.dataset.steps);
    const at = steps.findIndex(([value]) => value === event.target.value.trim());
    const next = at < 0 ? undefined : steps[at + by];
    if (next === undefined) {
        return;
    }
    event.preventDefault();
    event.target.value = next[0];
    form.requestSubmit();
}

function held(board, event, id) {
    const field = /** @type {HTMLInputElement} */ (document.getElementById(id));
    const form = /** @type {HTMLFormElement} */ (field.closest('form'));
    const steps = JSON.parse(form.dataset.steps ?? '[]');
    const from = Math.max(0, steps.findIndex(([value]) => value === field.value.trim()));

    return {
        pointer: event.pointerId, x: event.clientX, y: event.clientY, field, form, steps, from, at: from, refused: '',
        stop: new AbortController(), isAsking: false, asked: from,
        was: {
            value: field.value, drawing: board.querySelector('.canvas').innerHTML,
            figures: board.querySelector('.follows').outerHTML, places: placesOf(board),
            ratio: board.querySelector('.ratio').textContent,
        },
    };
}

/** One question at a time; what was pulled meanwhile is asked next. */
async function attempt(board, pull, redraw, said) {
    if (pull.isAsking) {
        return;
    }
    pull.isAsking = true;
    while (pull.asked !== pull.at && !pull.stop.signal.aborted) {
        pull.asked = pull.at;
        const asked = new URL(board.dataset.tried, document.baseURI);
        for (const name of ['do', 'part', 'key']) {
            asked.searchParams.set(name, pull.form.elements[name].value);
        }
        asked.searchParams.set('value', pull.steps[pull.asked][0]);
        try {
            const answer = await fetch(asked, { signal: pull.stop.signal, headers: { Accept: 'application/json' } });
            const told = await answer.json();
            pull.refused = answer.ok ? told.stop : told.message ?? 'That cannot be made.';
            if (answer.ok && !pull.stop.signal.aborted) {
                show(board, told, redraw);
            }
        } catch (problem) {
            if (problem instanceof DOMException && problem.name === 'AbortError') {
                return;
            }
            pull.refused = 'Hebra is not reached: it goes back as it was.';
        }
        said();
    }
    pull.isAsking = false;
}
