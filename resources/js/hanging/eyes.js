import { drawn } from '../svg.js';

/** The eyes, those that cannot take it apart. */
export function light(canvas, eyes, cannot) {
    canvas.querySelector('svg').append(...eyes.map((eye) => ring(eye[1], eye[2], eye[3], cannot(eye) !== '')));
}

/** What is carried, as it is seen. */
export function ghostOf(picture, part, box) {
    const { width, height } = box;
    const ghost = drawn('svg', { width, height, viewBox: picture.getAttribute('viewBox'), class: 'part-carried' });
    picture.querySelectorAll(`[data-mark^="${CSS.escape(part)}:"]`).forEach((one) => {
        const copy = one.cloneNode(true);
        copy.removeAttribute('data-mark');
        ghost.append(copy);
    });

    return ghost;
}

function ring(ref, x, y, isOut) {
    return drawn('circle', { class: isOut ? 'eye-here is-out' : 'eye-here', cx: x, cy: y, r: 13, 'data-eye': ref });
}

/** The eye that takes what is carried, with its name, or why it cannot. */
export function named([, , x, y, name], why) {
    const words = drawn('text', { class: why === '' ? 'eye-words' : 'eye-words is-out', x: x + 20, y: y + 5 });
    words.textContent = why === '' ? name : `▲ ${why}`;

    return words;
}
