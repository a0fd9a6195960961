import htmx from 'htmx.org';
import { keepPage } from './keeping.js';
import { areResting, hands } from './hands.js';
import { until } from './until.js';

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
            this.$root.textContent = ticking() ? 'clicks on each count: be silent' : 'click on each count';
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

const $ = (id) => document.querySelector(id);
const say = (id, words) => ($(id).textContent = words);


/**
 * The making: the screen stays awake, a digit sets the count, time runs while somebody works. Every move is done on the page at once, with the steps that
 * it carries; it is kept on the device under its own name and sent behind, in order, however slow the workshop is, or when it is back.
 */
export function bench() {
    return {
        lock: null,
        state: null,
        isAway: false,
        isFlushing: false,
        timers: [],
        listeners: [],

        init() {
            this.light((this.$root.dataset.marks ?? '').split(' ').filter(Boolean));
            this.awake();
            const carried = { ...JSON.parse(this.$root.dataset.carried), behind: [], queue: [] };
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

        /** The whole piece as far as it has come: parts that are not begun are faint. */
        fade(parts) {
            for (const one of /** @type {NodeListOf<HTMLElement>} */ (document.querySelectorAll('#desk .drawing [data-mark]'))) {
                one.classList.toggle('is-unmade', parts.includes(one.dataset.mark.split(':')[0]));
            }
        },

        showClock() {
            const shown = $('#step-clock');
            if (shown) {
                const seconds = Math.floor(worked() / 1000);
                const rests = clock.from === 0 || performance.now() > clock.last + idle;
                shown.hidden = false;
                shown.textContent = `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}${rests ? ', resting' : ''} ·`;
            }
        },

        showUntil() {
            if (this.state.foretold) {
                const [about, range] = until(this.state);
                say('#step-until', about);
                say('#step-range', range);
            }
        },

        /** A move that goes the long way, such as a spoiled wire: it gets a name of its own, and stands on what was done before it. */
        name(event) {
            if (event.detail.verb === 'patch' && event.detail.path.startsWith('/makings/')) {
                event.detail.parameters.set('event', crypto.randomUUID());
                event.detail.parameters.set('ms', String(worked()));
                event.detail.parameters.set('at', String(this.state.moves));
            }
        },

        /** What was done on the page is sent before anything else is asked of the workshop. */
        first(event) {
            if (this.state.queue.length === 0 || !event.detail.elt.closest('#desk')) {
                return;
            }
            event.preventDefault();
            this.drained().then(() => event.detail.issueRequest(true));
        },

        async drained() {
            while (this.state.queue.length > 0 && !this.isAway) {
                await this.flush();
                await new Promise((go) => setTimeout(go, 30));
            }
        },

        step() {
            return this.state.ahead[0];
        },

        /** Done on the page and written down on the device. */
        move(what) {
            const state = this.state;
            const move = { event: crypto.randomUUID(), at: String(state.moves), counted: '', hooked: '', all: '', ms: String(worked()), ...what };
            const last = state.queue[state.queue.length - 1];
            // Counts of one step that are still here become one: the last.
            if (move.do === 'count' && last?.do === 'count' && last.at === move.at && state.queue.length > (state.flying ?? 0)) {
                state.queue.pop();
            }
            state.queue.push(move);
            // By the workshop's clock, not the device's, which may be wrong.
            state.now += 1;
            hands.last = performance.now();
            if (move.do === 'count') {
                state.counted = Number(move.counted);
                tick(state.counted);
            } else if (move.do === 'next') {
                state.behind.push(state.ahead.shift());
                Object.assign(state, { step: state.step + 1, moves: state.moves + 1, counted: 0 });
            } else if (state.behind.length > 0) {
                state.ahead.unshift(state.behind.pop());
                Object.assign(state, { step: state.step - 1, moves: state.moves + 1, counted: 0 });
            }
            store(state);
            begin(`${state.making}/${state.moves}`);
            this.show(move.do === 'count');
            this.flush();
        },

        goOn() {
            const step = this.step();
            if (step === undefined) {
                return;
            }
            if (this.state.counted < step.count) {
                this.move({ do: 'count', counted: String(this.state.counted + 1) });
            } else {
                this.move({ do: 'next', hooked: step.asks ? '1' : '' });
            }
        },

        allDone() {
            const step = this.step();
            if (step !== undefined && this.state.counted < step.count) {
                this.move({ do: 'next', all: '1', hooked: step.asks ? '1' : '' });
            }
        },

        oneMore() {
            const step = this.step();
            if (step?.counted === 'wraps') {
                this.move({ do: 'count', counted: String(Math.min(Math.max(20, 2 * step.count), this.state.counted + 1)) });
            }
        },

        goBack() {
            if (this.state.behind.length > 0) {
                this.move({ do: 'back' });
            } else if (this.state.step > 0) {
                // What lies before the steps that the page carries is the workshop's to say.
                this.drained().then(() => htmx.ajax(/** @type {any} */ ('PATCH'), `/makings/${this.state.making}`, { target: '#desk', swap: 'outerHTML', values: { do: 'back', at: this.state.moves, _token: this.token() } }));
            }
        },

        token() {
            return /** @type {HTMLInputElement} */ (document.querySelector('input[name=_token]')).value;
        },

        /** The step as it stands; where only its count changed, only that. */
        show(isCount = false) {
            const [step, counted] = [this.step(), this.state.counted];
            const count = step?.count ?? 0;
            if (!isCount) {
                this.showStep(step);
            }
            $('#step-count').hidden = count === 0;
            const shown = $('#step-count [data-count]');
            shown.textContent = shown.dataset.count = String(counted);
            $('#step-tally').replaceChildren(...Array.from({ length: Math.min(60, count === 0 ? 0 : Math.max(count, counted)) }, (_, at) => Object.assign(document.createElement('span'), { className: at < counted ? 'mark is-done' : 'mark' })));
            $('#step-straighten').hidden = !(step?.straightens > 0 && counted > 0 && counted < count && counted % step.straightens === 0);
            this.showBar(step, count, counted);
            this.showUntil();
            this.showAway();
        },

        showStep(step) {
            for (const one of /** @type {NodeListOf<HTMLElement>} */ (document.querySelectorAll('#desk .of-workshop'))) {
                one.hidden = true;
            }
            say('#step-whose', step?.whose ?? '');
            say('#step-place', `step ${Math.min(this.state.step + 1, this.state.total)} of ${this.state.total}`);
            $('#step-progress').value = this.state.step;
            const isAll = step === undefined && this.state.step >= this.state.total;
            say('#step-title', step?.title ?? (isAll ? 'That was the last step' : 'One moment'));
            say('#step-text', step?.text ?? (isAll ? 'Next it is looked over, weighed and logged.' : 'The page carries forty steps, and you have done them: the rest comes when the workshop is back.'));
            const picture = $('#step-picture');
            picture.hidden = step === undefined;
            if (step !== undefined) {
                $('#step-picture-large').srcset = `${step.picture}&large=1`;
                picture.src = step.picture;
            }
            this.fetchNext();
            say('#step-tool', step?.tool ? `With: ${step.tool}` : '');
            $('#step-cautions').replaceChildren(...(step?.cautions ?? []).map((words) => Object.assign(document.createElement('p'), { className: 'caution', textContent: words })));
            say('#step-expected', String(step?.count ?? 0));
            say('#step-counted', step?.counted ?? '');
            for (const strip of /** @type {NodeListOf<HTMLElement>} */ (document.querySelectorAll('#desk .bench-strip'))) {
                strip.hidden = strip.dataset.cut !== step?.strip;
            }
            document.querySelector('#desk .troubles')?.classList.toggle('is-hard', step?.isHard === true);
            this.light(step?.marks ?? []);
            this.fade(step?.unmade ?? []);
            this.showAhead();
        },

        /** The next three, small: what hands will want to lie ready for. */
        showAhead() {
            $('#step-ahead')?.replaceChildren(...this.state.ahead.slice(1, 4).map((step) => {
                const one = document.createElement('li');
                const picture = Object.assign(new Image(), { src: step.picture, alt: '' });
                one.append(picture, Object.assign(document.createElement('span'), { textContent: step.title }));

                return one;
            }));
        },

        /** The pictures of the next steps are there before they are asked for. */
        fetchNext() {
            const large = matchMedia($('#step-picture-large')?.media ?? 'all').matches ? '&large=1' : '';
            for (const step of this.state.ahead.slice(1, 11)) {
                new Image().src = step.picture + large;
            }
        },

        showBar(step, count, counted) {
            const isCounted = counted >= count;
            const asks = isCounted ? (step?.asks ?? '') : '';
            $('#step-asks').hidden = asks === '';
            $('#step-asks strong').textContent = asks;
            const go = $('#go-on');
            go.hidden = step === undefined;
            go.dataset.key = asks ? 'y' : 'Space | PageDown | ArrowRight';
            go.firstChild.textContent = (!isCounted ? 'Count one' : asks ? 'Yes, it is hooked on' : 'Done, next') + ' ';
            go.querySelector('kbd').textContent = asks ? 'Y' : 'space';
            $('#all-form').hidden = step === undefined || isCounted;
            $('#all-done').firstChild.textContent = step?.counted === 'wraps' && counted > 0 ? `Stop at ${counted} ${counted === 1 ? 'wrap' : 'wraps'} ` : `All ${count} are done `;
            $('#more-form').hidden = step === undefined || !isCounted || step.counted !== 'wraps';
            $('#back-form').hidden = this.state.step === 0;
            if (!document.activeElement || document.activeElement === document.body) {
                go.focus();
            }
        },

        showAway() {
            $('#away').hidden = !this.isAway;
            const kept = this.state.queue.length;
            say('#away-kept', kept === 0 ? 'what you do is' : `${kept} ${kept === 1 ? 'move is' : 'moves are'}`);
            $('.bench-more').hidden = this.isAway;
            if (this.isAway) {
                $('#offline')?.setAttribute('hidden', '');
            }
        },

        /** Sends what was done, in order; then, once the hands rest, lets the rest of the page follow. */
        async flush() {
            if (this.isFlushing || this.state.queue.length === 0) {
                return;
            }
            this.isFlushing = true;
            const sent = this.state.queue.slice(0, 500);
            this.state.flying = sent.length;
            try {
                const answer = await fetch(`/makings/${this.state.making}/events`, {
                    method: 'POST', credentials: 'same-origin',
                    headers: { 'Content-Type': 'application/json', Accept: 'application/json', 'X-CSRF-TOKEN': this.token() },
                    body: JSON.stringify({ events: sent }),
                });
                if (answer.ok) {
                    const back = await answer.json();
                    this.arrived(sent.length, back);
                } else if ([401, 403, 404, 419].includes(answer.status)) {
                    // Signed out meanwhile, or the making is no more: say so, and keep what is kept.
                    this.lost();
                    say('#away-kept', `you are signed out or this making was closed elsewhere. Load the page again: ${this.state.queue.length} moves are`);
                } else if (answer.status >= 500) {
                    this.lost();
                }
            } catch {
                this.lost();
            } finally {
                this.isFlushing = false;
                this.state.flying = 0;
            }
            if (this.state.queue.length > 0 && !this.isAway) {
                this.flush();
            }
        },

        arrived(count, back) {
            this.state.queue.splice(0, count);
            this.isAway = false;
            store(this.state);
            this.showAway();
            this.left = [...(this.left ?? []), ...back.left];
            if (this.state.queue.length === 0) {
                this.follow();
            }
        },

        lost() {
            this.isAway = true;
            this.showAway();
        },

        /** The drawing, the strip and what else the workshop knows of the step; given up when a hand stirs meanwhile. */
        async follow() {
            const at = ++this.following;
            while (!areResting()) {
                await new Promise((go) => setTimeout(go, 60));
            }
            if (at !== this.following || this.state.queue.length > 0 || !this.$root.isConnected) {
                return;
            }
            const since = hands.last;
            try {
                const answer = await fetch(location.pathname, { credentials: 'same-origin', headers: { 'HX-Request': 'true' } });
                const html = await answer.text();
                if (!answer.ok || at !== this.following || hands.last !== since || hands.isDown || this.state.queue.length > 0) {
                    return answer.ok && at === this.following ? this.follow() : undefined;
                }
                const left = this.left ?? [];
                htmx.swap('#desk', html, { swapStyle: 'outerHTML', swapDelay: 0, settleDelay: 0 });
                tell(left);
            } catch {
                // Away again: what was done is kept, and the page goes on.
            }
        },

        following: 0,

        left: [],

        digit(event) {
            const step = this.step();
            if (!/^[1-9]$/.test(event.key) || event.ctrlKey || event.altKey || event.metaKey || event.target.closest?.('input, textarea, select') || !(step?.count > 0)) {
                return;
            }
            this.move({ do: 'count', counted: String(Math.min(step.counted === 'wraps' ? Math.max(20, 2 * step.count) : step.count, Number(event.key))) });
        },
    };
}

/** What no longer fitted, because the making went on elsewhere meanwhile. */
function tell(left) {
    if (left.length > 0) {
        const words = `${left.length === 1 ? 'One move' : `${left.length} moves`} of this device did not fit any more: ${left[0]}`;
        document.querySelector('.stage-panel')?.prepend(Object.assign(document.createElement('p'), { className: 'banner', role: 'alert', textContent: words }));
    }
}

/** Once for each making: its page is large. */
async function keepMaking(making) {
    if (sessionStorage.getItem(nameOf(making)) !== 'kept' && await keepPage()) {
        sessionStorage.setItem(nameOf(making), 'kept');
    }
}
