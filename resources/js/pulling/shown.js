import { drawn } from '../svg.js';

/** Where the leader of each field on the board ends. */
export function placesOf(board) {
    return Object.fromEntries([...board.querySelectorAll('.beside form[data-at]')].map(
        (one) => [one.elements.key.value, one.dataset.at],
    ));
}

/** The drawing and its figures as they would be. */
export function show(board, { drawing, figures, ratio, places }, redraw) {
    board.querySelector('.canvas').innerHTML = drawing;
    board.querySelector('.follows').outerHTML = figures;
    board.querySelector('.ratio').textContent = typeof ratio === 'string' ? ratio : `${ratio} : 1`;
    for (const form of board.querySelectorAll('.beside form[data-at]')) {
        form.dataset.at = places[form.elements.key.value] ?? form.dataset.at;
    }
    redraw();
}

export function putBack(board, pull, redraw) {
    pull.field.value = pull.was.value;
    show(board, pull.was, redraw);
}

/** Why it went back, where a refusal stands, in the one sentence of the server. */
export function refuse(board, pull) {
    board.querySelectorAll('.pull-refused').forEach((one) => one.remove());
    const sentence = document.createElement('p');
    sentence.className = 'refusal pull-refused';
    sentence.setAttribute('role', 'alert');
    sentence.textContent = pull.refused;
    pull.form.append(sentence);
}

/** Beside the pointer: the size, and which mark that is. */
export function say(room, pull, event) {
    const corner = room.getBoundingClientRect();
    const [value, mark] = pull.steps[pull.at];
    const words = pull.refused !== '' ? pull.refused : `${value}${mark === '' ? '' : ` · ${mark}`}`;
    const said = room.querySelector('.pull-said') ?? room.appendChild(drawn('text', {}));
    said.setAttribute('class', `pull-said${pull.refused === '' ? '' : ' is-refused'}`);
    said.setAttribute('x', event.clientX - corner.left + 16);
    said.setAttribute('y', event.clientY - corner.top - 14);
    said.textContent = words;
}
