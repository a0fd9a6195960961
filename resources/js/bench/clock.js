const idle = 180_000;

/** How long somebody has really worked at the step on the bench: it stops with a hidden page and with idle hands. */
const clock = { step: '', worked: 0, from: 0, last: 0 };

function settle(now) {
    if (clock.from > 0) {
        clock.worked += Math.max(0, Math.min(now, clock.last + idle) - clock.from);
    }
    clock.from = document.hidden ? 0 : now;
}

function stir() {
    const now = performance.now();
    if (clock.from > 0 && now > clock.last + idle) {
        settle(now);
    }
    clock.last = now;
    clock.from ||= now;
}

export function worked() {
    const now = performance.now();

    return Math.round(clock.worked + (clock.from > 0 ? Math.max(0, Math.min(now, clock.last + idle) - clock.from) : 0));
}

export function begin(step) {
    if (clock.step !== step) {
        Object.assign(clock, { step, worked: 0, from: performance.now(), last: performance.now() });
    }
}

for (const kind of ['pointerdown', 'pointermove', 'keydown', 'touchstart']) {
    document.addEventListener(kind, stir, { passive: true, capture: true });
}
document.addEventListener('visibilitychange', () => {
    settle(performance.now());
    clock.last = performance.now();
});

/** Whether nobody stirs. */
export const rests = () => clock.from === 0 || performance.now() > clock.last + idle;
