import htmx from 'htmx.org';
import { areResting, hands } from '../hands.js';
import { worked } from './clock.js';
import { store } from './kept.js';
import { say } from './page.js';

/** What was done on the page goes to the workshop, in order, and what it makes of it comes back. */
export const sent = {
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

    token() {
        return /** @type {HTMLInputElement} */ (document.querySelector('input[name=_token]')).value;
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

    left: /** @type {any[]} */ ([]),
};

/** What no longer fitted, because the making went on elsewhere meanwhile. */
function tell(left) {
    if (left.length > 0) {
        const words = `${left.length === 1 ? 'One move' : `${left.length} moves`} of this device did not fit any more: ${left[0]}`;
        document.querySelector('.stage-panel')?.prepend(Object.assign(document.createElement('p'), { className: 'banner', role: 'alert', textContent: words }));
    }
}
