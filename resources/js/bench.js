import { begin } from './bench/clock.js';
import { keepMaking, store, stored } from './bench/kept.js';
import { moves } from './bench/moves.js';
import { sent } from './bench/sent.js';
import { shown } from './bench/shown.js';

export { sound } from './bench/tick.js';

const retry = 4_000;

/**
 * The making: the screen stays awake, a digit sets the count, time runs while somebody works. Every move is done on the page at once, with the steps that
 * it carries; it is kept on the device under its own name and sent behind, in order, however slow the workshop is, or when it is back.
 */
export function bench() {
    return {
        ...shown,
        ...moves,
        ...sent,

        lock: /** @type {WakeLockSentinel | null} */ (null),
        state: /** @type {any} */ (null),
        isAway: false,
        isFlushing: false,
        timers: /** @type {number[]} */ ([]),
        listeners: /** @type {[EventTarget, string, EventListener][]} */ ([]),

        init() {
            const { marks, carried: told } = /** @type {any} */ (this).$root.dataset;
            this.light((marks ?? '').split(' ').filter(Boolean));
            this.awake();
            const carried = { ...JSON.parse(told), behind: [], queue: [] };
            carried.carriedFrom = carried.step;
            const kept = stored(carried.making);
            // A page out of the device's own store is older than what the device knows.
            const isOld = kept !== null && (kept.queue.length > 0 || kept.now > carried.now);
            this.state = isOld ? kept : carried;
            store(this.state);
            if (!isOld) {
                keepMaking(carried.making);
            }
            begin(`${this.state.making}/${this.state.moves}`);
            this.listen(document.body, 'htmx:configRequest', (event) => this.name(event));
            this.listen(document.body, 'htmx:confirm', (event) => this.first(event));
            this.listen(window, 'online', () => this.flush());
            this.listen(document, 'visibilitychange', () => {
                if (!document.hidden) {
                    this.awake();
                    this.flush();
                }
            });
            this.fetchNext();
            this.showUntil();
            this.timers.push(
                setInterval(() => this.showClock(), 1000), setInterval(() => this.showUntil(), 60_000),
                setInterval(() => this.flush(), retry),
            );
            if (isOld) {
                this.show();
                this.flush();
            }
        },

        destroy() {
            this.lock?.release();
            this.timers.forEach(clearInterval);
            this.listeners.forEach(([target, kind, listener]) => target.removeEventListener(kind, listener));
        },

        listen(target, kind, listener) {
            target.addEventListener(kind, listener);
            this.listeners.push([target, kind, listener]);
        },

        async awake() {
            try {
                this.lock = await navigator.wakeLock?.request('screen') ?? null;
            } catch {
                // Refused on battery saving or in a hidden tab: the work goes on, the screen may sleep.
            }
        },
    };
}
