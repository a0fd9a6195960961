import htmx from 'htmx.org';

const idle = 180_000;
const retry = 4_000;

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

function worked() {
    const now = performance.now();

    return Math.round(clock.worked + (clock.from > 0 ? Math.max(0, Math.min(now, clock.last + idle) - clock.from) : 0));
}

function begin(step) {
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

const ticking = () => localStorage.getItem('hebra.tick') === 'on';
let sounds = null;

/** A short tick; a higher one at each five. */
function tick(count) {
    if (!ticking()) {
        return;
    }
    sounds ??= new AudioContext();
    const tone = sounds.createOscillator();
    const gain = sounds.createGain();
    tone.frequency.value = count % 5 === 0 ? 1320 : 880;
    gain.gain.setValueAtTime(0.12, sounds.currentTime);
    gain.gain.exponentialRampToValueAtTime(0.001, sounds.currentTime + 0.08);
    tone.connect(gain).connect(sounds.destination);
    tone.start();
    tone.stop(sounds.currentTime + 0.09);
}

export function sound() {
    return {
        init() {
            this.$root.hidden = typeof AudioContext === 'undefined';
            this.say();
        },

        turn() {
            localStorage.setItem('hebra.tick', ticking() ? 'off' : 'on');
            this.say();
            tick(1);
        },

        say() {
            this.$root.setAttribute('aria-pressed', String(ticking()));
            this.$root.textContent = ticking() ? 'ticks when you count: be silent' : 'tick when I count';
        },
    };
}

const nameOf = (making) => `hebra.making.${making}`;

function stored(making) {
    try {
        return JSON.parse(localStorage.getItem(nameOf(making)));
    } catch {
        return null;
    }
}

function store(state) {
    try {
        localStorage.setItem(nameOf(state.making), JSON.stringify(state));
    } catch {
        // A full or forbidden store: the page still works, as long as it is open.
    }
}

/**
 * The making: the screen stays awake, a digit sets the count, time runs while somebody works. Where the workshop cannot be reached the page goes on
 * alone with the steps that it carries; what was done is kept on the device, each move under its own name, and sent when the workshop is back.
 */
export function bench() {
    return {
        lock: null,
        state: null,
        isAway: false,
        sent: null,
        timers: [],
        listeners: [],

        init() {
            this.light((this.$root.dataset.marks ?? '').split(' ').filter(Boolean));
            this.awake();
            const carried = { ...JSON.parse(this.$root.dataset.carried), behind: [], queue: [] };
            const kept = stored(carried.making);
            // A page out of the device's own store is older than what the device knows.
            const isOld = kept !== null && (kept.queue.length > 0 || kept.now > carried.now);
            this.state = isOld ? kept : carried;
            store(this.state);
            if (!isOld) {
                keepPage(carried.making);
            }
            begin(`${this.state.making}/${this.state.moves}`);
            this.listen(document.body, 'htmx:configRequest', (event) => this.name(event));
            this.listen(document.body, 'htmx:sendError', () => this.lost());
            this.listen(document.body, 'htmx:timeout', () => this.lost());
            this.listen(document.body, 'htmx:responseError', (event) => event.detail.xhr.status >= 502 && this.lost());
            this.listen(window, 'online', () => this.flush());
            this.listen(document, 'visibilitychange', () => {
                if (!document.hidden) {
                    this.awake();
                    if (this.isAway) {
                        this.flush();
                    }
                }
            });
            this.timers.push(setInterval(() => this.showClock(), 1000));
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
                this.lock = await navigator.wakeLock?.request('screen');
            } catch {
                // Refused on battery saving or in a hidden tab: the work goes on, the screen may sleep.
            }
        },

        light(marks) {
            const desk = this.$root.closest('#desk');
            desk.classList.toggle('has-lit', marks.length > 0);
            for (const one of desk.querySelectorAll('[data-mark]')) {
                one.classList.toggle('is-lit', marks.includes(one.dataset.mark));
            }
        },

        showClock() {
            const shown = document.querySelector('#step-clock');
            if (shown) {
                const seconds = Math.floor(worked() / 1000);
                const rests = clock.from === 0 || performance.now() > clock.last + idle;
                shown.hidden = false;
                shown.textContent = `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}${rests ? ', resting' : ''} ·`;
            }
        },

        /** A move that is about to be sent: it gets a name of its own and the time it took. */
        name(event) {
            if (event.detail.verb !== 'patch' || !event.detail.path.startsWith('/makings/')) {
                return;
            }
            const parameters = event.detail.parameters;
            parameters.set('event', crypto.randomUUID());
            parameters.set('ms', String(worked()));
            this.sent = Object.fromEntries(['event', 'do', 'at', 'counted', 'hooked', 'all', 'ms'].map((key) => [key, parameters.get(key) ?? '']));
            if (this.sent.do === 'count') {
                tick(Number(this.sent.counted));
            }
        },

        lost() {
            if (this.sent === null) {
                return;
            }
            const move = this.sent;
            this.sent = null;
            if (['next', 'back', 'count'].includes(move.do)) {
                this.keep(move);
            } else {
                this.show();
            }
            this.await();
        },

        await() {
            if (!this.isWaiting) {
                this.isWaiting = true;
                this.timers.push(setInterval(() => this.flush(), retry));
            }
        },

        /** Written down on the device, and done on the page. */
        keep(move) {
            const state = this.state;
            state.queue.push(move);
            // By the workshop's clock, not the device's, which may be wrong.
            state.now += 1;
            if (move.do === 'count') {
                state.counted = Number(move.counted);
            } else if (move.do === 'next') {
                state.behind.push(state.ahead.shift());
                Object.assign(state, { step: state.step + 1, moves: state.moves + 1, counted: 0 });
            } else if (state.behind.length > 0) {
                state.ahead.unshift(state.behind.pop());
                Object.assign(state, { step: state.step - 1, moves: state.moves + 1, counted: 0 });
            }
            store(state);
            begin(`${state.making}/${state.moves}`);
            this.show();
        },

        show() {
            this.isAway = true;
            const step = this.state.ahead[0];
            const text = (id, words) => (document.querySelector(id).textContent = words);
            document.querySelector('#here').hidden = true;
            document.querySelector('#away').hidden = false;
            document.querySelector('#offline')?.setAttribute('hidden', '');
            const kept = this.state.queue.length;
            text('#away-kept', kept === 0 ? 'what you do is' : `${kept} ${kept === 1 ? 'move is' : 'moves are'}`);
            // What goes wrong, and in which order, is told when the workshop is back.
            document.querySelector('.bench-more').hidden = true;
            text('#away-whose', step?.whose ?? '');
            text('#away-place', `step ${Math.min(this.state.step + 1, this.state.total)} of ${this.state.total}`);
            const isAll = step === undefined && this.state.step >= this.state.total;
            text('#away-title', step?.title ?? (isAll ? 'All steps are done' : 'No further without the workshop'));
            text('#away-text', step?.text ?? (isAll ? 'Weigh and log when the workshop is back.' : 'The page carries forty steps, and you have done them: the rest comes when the workshop is back.'));
            text('#away-tool', step?.tool ? `With: ${step.tool}` : '');
            document.querySelector('#away-cautions').replaceChildren(...(step?.cautions ?? []).map((words) => Object.assign(document.createElement('p'), { className: 'caution', textContent: words })));
            const [count, counted] = [step?.count ?? 0, this.state.counted];
            document.querySelector('#away-tally').replaceChildren(...Array.from({ length: Math.min(60, count) }, (_, at) => Object.assign(document.createElement('span'), { className: at < counted ? 'mark is-done' : 'mark' })));
            text('#away-count', count > 0 ? `${counted} of ${count} ${step.counted}` : '');
            document.querySelector('#away-straighten').hidden = !(step?.straightens > 0 && counted > 0 && counted < count && counted % step.straightens === 0);
            const isCounted = counted >= count;
            text('#away-asks', isCounted ? (step?.asks ?? '') : '');
            text('#away-go', !isCounted ? 'Count one' : step?.asks ? 'Yes, it is hooked on' : 'Done, next');
            document.querySelector('#away-go').hidden = step === undefined;
            document.querySelector('#away-all').hidden = step === undefined || isCounted;
            document.querySelector('#away-back').hidden = this.state.behind.length === 0;
            this.light(step?.marks ?? []);
            document.querySelector('#away-go').focus();
        },

        move(what) {
            this.keep({ event: crypto.randomUUID(), at: String(this.state.moves), counted: '', hooked: '', all: '', ms: String(worked()), ...what });
            this.await();
        },

        goOn() {
            const step = this.state.ahead[0];
            if (this.state.counted < step.count) {
                tick(this.state.counted + 1);
                this.move({ do: 'count', counted: String(this.state.counted + 1) });
            } else {
                this.move({ do: 'next', hooked: step.asks ? '1' : '' });
            }
        },

        allDone() {
            this.move({ do: 'next', all: '1', hooked: this.state.ahead[0].asks ? '1' : '' });
        },

        goBack() {
            this.move({ do: 'back' });
        },

        async flush() {
            if (this.isFlushing) {
                return;
            }
            this.isFlushing = true;
            try {
                const queue = this.state.queue.slice(0, 500);
                const answer = await fetch(`/makings/${this.state.making}/events`, {
                    method: 'POST', credentials: 'same-origin',
                    headers: { 'Content-Type': 'application/json', Accept: 'application/json', 'X-CSRF-TOKEN': document.querySelector('input[name=_token]').value },
                    body: JSON.stringify({ events: queue }),
                });
                if (answer.ok) {
                    const back = await answer.json();
                    this.state.queue.splice(0, queue.length);
                    if (this.state.queue.length === 0) {
                        store({ ...back, behind: [], queue: [] });
                        this.timers.forEach(clearInterval);
                        await htmx.ajax('GET', location.pathname, { target: '#desk', select: '#desk', swap: 'outerHTML' });
                        this.tell(back.left);

                        return;
                    }
                    store(this.state);
                } else if ([401, 403, 404, 419].includes(answer.status)) {
                    // Signed out meanwhile, or the making is no more: say so, and keep what is kept.
                    document.querySelector('#away-kept').textContent = `you are signed out or this making was closed elsewhere. Load the page again: ${this.state.queue.length} moves are`;
                }
            } catch {
                // Still away.
            } finally {
                this.isFlushing = false;
            }
        },

        /** What no longer fitted, because the making went on elsewhere meanwhile. */
        tell(left) {
            if (left.length > 0) {
                const words = `${left.length === 1 ? 'One move' : `${left.length} moves`} of this device did not fit any more: ${left[0]}`;
                document.querySelector('.stage-panel')?.prepend(Object.assign(document.createElement('p'), { className: 'banner', role: 'alert', textContent: words }));
            }
        },

        digit(event) {
            const tally = this.$refs.counted;
            if (!/^[1-9]$/.test(event.key) || event.ctrlKey || event.altKey || event.metaKey) {
                return;
            }
            if (this.isAway) {
                const step = this.state.ahead[0];
                if (step && step.count > 0) {
                    this.move({ do: 'count', counted: String(Math.min(step.count, Number(event.key))) });
                }
            } else if (tally) {
                tally.value = event.key;
                tally.form.requestSubmit();
            }
        },
    };
}

/** The page of a making opens without the workshop too, as it was last seen: its worker keeps it once, with what it is dressed in. */
async function keepPage(making) {
    if (!('serviceWorker' in navigator) || sessionStorage.getItem(nameOf(making)) === 'kept') {
        return;
    }
    try {
        await navigator.serviceWorker.register('/bench-worker.js');
        const worker = await navigator.serviceWorker.ready;
        worker.active.postMessage([location.pathname, ...performance.getEntriesByType('resource').map((one) => one.name).filter((name) => name.includes('/build/'))]);
        sessionStorage.setItem(nameOf(making), 'kept');
    } catch {
        // Not allowed here: the page works as long as it is open.
    }
}

if (location.pathname === '/sign-in') {
    // Who signs out leaves no page of theirs on the device; what was not sent yet stays for when they are back.
    globalThis.caches?.delete('hebra-bench-1');
}
