import htmx from 'htmx.org';
import { hands } from '../hands.js';
import { begin, worked } from './clock.js';
import { store } from './kept.js';
import { tick } from './tick.js';

/** What hands do at the step at hand. */
export const moves = {
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

    digit(event) {
        const step = this.step();
        if (!/^[1-9]$/.test(event.key) || event.ctrlKey || event.altKey || event.metaKey || event.target.closest?.('input, textarea, select') || !(step?.count > 0)) {
            return;
        }
        this.move({ do: 'count', counted: String(Math.min(step.counted === 'wraps' ? Math.max(20, 2 * step.count) : step.count, Number(event.key))) });
    },
};
