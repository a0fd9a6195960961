/** A page that is written anew under busy hands loses what they press: it waits until they have rested so long, and no finger is down. */
const rest = 450;

export const hands = { last: 0, isDown: false };

/** @type {[keyof DocumentEventMap, boolean][]} */
const kinds = [
    ['pointerdown', true], ['pointerup', false], ['pointercancel', false], ['keydown', true], ['keyup', false],
];
for (const [kind, isDown] of kinds) {
    document.addEventListener(kind, () => (hands.isDown = isDown), { passive: true, capture: true });
}
window.addEventListener('blur', () => (hands.isDown = false));

export const areResting = () => !hands.isDown && performance.now() - hands.last > rest;

export const pause = (milliseconds) => new Promise((go) => setTimeout(go, milliseconds));

export async function untilTheyRest() {
    while (!areResting()) {
        await pause(60);
    }
}
