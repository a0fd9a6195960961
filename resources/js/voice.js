// The step that is on the bench, read aloud by the browser’s own voice where the maker asks for it.
const KEPT = 'hebra-reads-aloud';
const READ = ['#step-whose', '#step-title', '#step-text', '#step-asks'];

const voice = window.speechSynthesis;
const isOn = () => localStorage.getItem(KEPT) === 'yes';

/** Said now, whatever was being said. */
export function speak(words) {
    voice?.cancel();
    voice?.speak(Object.assign(new SpeechSynthesisUtterance(words), { lang: 'en', rate: 0.95 }));
}

function read() {
    const words = READ.map((one) => /** @type {HTMLElement | null} */ (document.querySelector(one)))
        .filter((one) => one !== null).filter((one) => !one.hidden)
        .map((one) => one.textContent.trim()).filter(Boolean);
    speak(words.join('. '));
}

export const reader = () => ({
    watch: /** @type {MutationObserver | null} */ (null),

    init() {
        const title = document.querySelector('#step-title');
        if (!voice || title === null) {
            return;
        }
        this.$root.hidden = false;
        this.watch = new MutationObserver(() => isOn() && read());
        this.watch.observe(title, { childList: true, characterData: true, subtree: true });
        this.show();
    },

    destroy() {
        this.watch?.disconnect();
    },

    turn() {
        localStorage.setItem(KEPT, isOn() ? 'no' : 'yes');
        isOn() ? read() : voice.cancel();
        this.show();
    },

    show() {
        this.$root.setAttribute('aria-pressed', String(isOn()));
    },
});
