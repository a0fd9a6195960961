/** How far apart two fingers are, and what is between them. */
export const apartOf = ([one, other]) => Math.hypot(one.clientX - other.clientX, one.clientY - other.clientY);
export const amid = ([one, other]) => ({
    clientX: (one.clientX + other.clientX) / 2,
    clientY: (one.clientY + other.clientY) / 2,
});

/** The paper itself is taken hold of and moved, where it is larger than its room. A finger scrolls it anyway. */
export function pan(event, canvas) {
    if (event.pointerType !== 'mouse' || event.button !== 0 || event.target.closest('[data-mark]')) {
        return;
    }
    const from = { x: event.clientX + canvas.scrollLeft, y: event.clientY + canvas.scrollTop };
    const move = (moved) => {
        [canvas.scrollLeft, canvas.scrollTop] = [from.x - moved.clientX, from.y - moved.clientY];
    };
    addEventListener('pointermove', move);
    addEventListener('pointerup', () => removeEventListener('pointermove', move), { once: true });
}
