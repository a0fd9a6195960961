// Hands rest after so many minutes as their maker chose; what counts is the time since the last rest on this device.
const CHOSEN = 'hebra-rest-minutes';
const SINCE = 'hebra-rest-since';
const LOOKS_MS = 10_000;

const chosen = () => Number(localStorage.getItem(CHOSEN)) || 0;
const since = () => Number(sessionStorage.getItem(SINCE)) || 0;
const begin = () => sessionStorage.setItem(SINCE, String(Date.now()));

export const rest = () => ({
    minutes: String(chosen()),
    isDue: false,
    clock: 0,

    init() {
        since() === 0 && begin();
        this.clock = setInterval(() => this.look(), LOOKS_MS);
        this.look();
    },

    destroy() {
        clearInterval(this.clock);
    },

    look() {
        this.isDue = chosen() > 0 && Date.now() - since() >= chosen() * 60_000;
    },

    choose() {
        localStorage.setItem(CHOSEN, this.minutes);
        this.look();
    },

    rested() {
        begin();
        this.look();
    },
});
