const ticking = () => localStorage.getItem('hebra.tick') === 'on';
let sounds = null;

/** A short tick; a higher one at each five. */
export function tick(count) {
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
