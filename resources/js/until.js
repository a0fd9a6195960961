// Until about when a making takes, by the maker’s own pace: told anew at every step and every minute.
const ROUGH_MS = 5 * 60_000;
const LONG_MINUTES = 360;

const clock = (minutes, rounded = Math.round) => {
    const at = new Date(rounded((Date.now() + minutes * 60_000) / ROUGH_MS) * ROUGH_MS);

    return `${at.getHours()}:${String(at.getMinutes()).padStart(2, '0')}`;
};

/** Minutes left of what the page carries and of what comes after; of the step at hand what is not counted yet. */
export function minutesLeft({ foretold, ahead, counted, carriedFrom, step }) {
    const gone = Math.max(0, step - carriedFrom);
    const each = foretold.each.slice(gone);
    const count = ahead[0]?.count ?? 0;
    const first = (each[0] ?? 0) * (count > 0 ? 1 - Math.min(1, counted / (count + 1)) : 1);

    return first + each.slice(1).reduce((sum, minutes) => sum + minutes, 0) + foretold.later;
}

/** In words, and the range that holds four of five. */
export function until(state) {
    const minutes = minutesLeft(state);
    if (minutes < 1) {
        return ['', ''];
    }
    if (minutes > LONG_MINUTES) {
        return [`· about ${Math.round(minutes / 30) / 2} h left`, ''];
    }
    const { from, to } = state.foretold;
    const range = [clock(from * minutes, Math.floor), clock(to * minutes, Math.ceil)];

    return [`· until about ${clock(minutes)}`, `, ${range.join(' to ')} in four of five`];
}
