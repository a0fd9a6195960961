import { keepPage } from '../keeping.js';

const nameOf = (making) => `hebra.making.${making}`;

/** What the device knows of a making. */
export function stored(making) {
    try {
        return JSON.parse(localStorage.getItem(nameOf(making)) ?? 'null');
    } catch {
        return null;
    }
}

export function store(state) {
    try {
        localStorage.setItem(nameOf(state.making), JSON.stringify(state));
    } catch {
        // A full or forbidden store: the page still works, as long as it is open.
    }
}

/** Once for each making: its page is large. */
export async function keepMaking(making) {
    if (sessionStorage.getItem(nameOf(making)) !== 'kept' && await keepPage()) {
        sessionStorage.setItem(nameOf(making), 'kept');
    }
}
