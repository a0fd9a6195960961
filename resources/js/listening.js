// The step on the bench goes on by the maker’s voice, where the browser can listen and the maker asks for it.
import { speak } from './voice.js';

const Recognition = window.SpeechRecognition ?? window.webkitSpeechRecognition;
const WORDS = { 'how long': 'how long', next: 'next', done: 'next', back: 'back' };
const AGAIN_MS = 400;

/** What of its words a sentence says last: `… and next`. */
export function commandIn(sentence) {
    const said = sentence.toLowerCase();
    const found = Object.keys(WORDS).map((word) => [said.lastIndexOf(word), word]).filter(([at]) => at >= 0);

    return found.length === 0 ? '' : WORDS[found.sort(([one], [other]) => other - one)[0][1]];
}

/** Whether the maker asked for it: a page that is written anew under the work listens on. */
let isAsked = false;

const press = (id) => document.querySelector(id)?.click();

const does = {
    next: () => press('#go-on'),
    back: () => press('#back-form button'),
    'how long': () => speak(
        ['#step-until', '#step-range'].map((one) => document.querySelector(one)?.textContent ?? '')
            .join('').replace('·', ''),
    ),
};

export const ear = () => ({
    isOn: false,
    heard: '',
    hears: /** @type {any} */ (null),

    init() {
        this.$root.hidden = Recognition === undefined;
        if (isAsked) {
            this.start();
        }
    },

    destroy() {
        this.stop();
    },

    turn() {
        isAsked = !this.isOn;
        isAsked ? this.start() : this.stop();
    },

    start() {
        this.isOn = true;
        this.heard = '';
        this.hears = Object.assign(new /** @type {new () => any} */ (Recognition)(), { lang: 'en', continuous: true });
        // What was heard, by the name that the Web Speech API has for it.
        this.hears.onresult = (event) => this.hear(event.results[event.results.length - 1][0].transcript);
        this.hears.onerror = (event) => event.error === 'not-allowed' && this.refused();
        // Browsers stop listening after a while of silence.
        this.hears.onend = () => this.isOn && setTimeout(() => this.isOn && this.hears.start(), AGAIN_MS);
        this.hears.start();
    },

    refused() {
        isAsked = false;
        this.stop();
        this.isOn = true;
        this.heard = 'The browser does not let this page listen.';
    },

    stop() {
        this.isOn = false;
        this.hears?.stop();
        this.hears = null;
    },

    hear(sentence) {
        const command = commandIn(sentence);
        this.heard = command === '' ? `“${sentence.trim()}” is none of them.` : '';
        does[command]?.();
    },
});
