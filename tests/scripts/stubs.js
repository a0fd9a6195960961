import { register } from 'node:module';

// Libraries that need a browser are what a test says they are: `globalThis` has them under their names.
const hooks = (names) => `
    export const resolve = (name, context, next) => ${JSON.stringify(names)}.includes(name)
        ? { url: \`data:text/javascript,export default globalThis['\${name}']\`, shortCircuit: true }
        : next(name, context);`;

export const stubbed = (libraries) => {
    Object.assign(globalThis, libraries);
    register(`data:text/javascript,${encodeURIComponent(hooks(Object.keys(libraries)))}`);
};

/** What was asked of the workshop, in order; each is answered when the test says so. */
export const workshop = () => {
    const asked = /** @type {any[]} */ ([]);
    const none = /** @type {any} */ ({});
    globalThis.fetch = /** @type {any} */ ((address, { body, ...how } = none) => new Promise((go, fails) => {
        const answers = (status, data) => go({
            ok: status < 400, status, json: async () => data, text: async () => String(data),
        });
        asked.push({ address, ...how, body: body === undefined ? null : JSON.parse(body), answers, fails });
    }));

    return asked;
};

/** Until all that waits for nothing but each other is done. */
export const settled = async () => {
    for (let turn = 0; turn < 20; turn++) {
        await Promise.resolve();
    }
};

export const store = () => {
    const kept = new Map();

    return /** @type {any} */ ({
        kept, getItem: (name) => kept.get(name) ?? null, setItem: (name, value) => kept.set(name, String(value)),
        removeItem: (name) => kept.delete(name),
    });
};
