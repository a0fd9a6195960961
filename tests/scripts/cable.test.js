import assert from 'node:assert/strict';
import { test } from 'node:test';
import { cable } from '../../resources/js/cable.js';

// A scale on a cable sends lines, in whatever pieces they come.
const scale = (...pieces) => {
    const lines = /** @type {string[]} */ ([]);
    const one = Object.assign(cable(), { $refs: { line: { set value(line) { lines.push(line); } } } });
    const bytes = pieces.map((piece) => new TextEncoder().encode(piece));
    const reader = { read: async () => (bytes.length > 0 ? { value: bytes.shift(), done: false } : { done: true }) };

    return one.read(reader, new TextDecoder()).then(() => lines);
};
const connected = async (serial) => {
    Object.defineProperty(globalThis, 'navigator', { value: { serial }, configurable: true });
    const kept = /** @type {string[]} */ ([]);
    const one = Object.assign(cable(), { $refs: { line: { set value(line) { kept.push(line); } } } });
    await one.connect();

    return { said: one.said, isOn: one.isOn, isOff: one.isOff, kept };
};

test('a line counts when it has ended', async () => {
    assert.deepEqual(await scale('  1.2', '34 g\r', '\n'), ['  1.234 g']);
    assert.deepEqual(await scale('1.234 g'), []);
});

test('of several that came together the last counts, and empty ones do not', async () => {
    assert.deepEqual(await scale('1.0 g\r\n1.1 g\r\n\r\n', '1.2 g\n'), ['1.1 g', '1.2 g']);
});

test('a letter that is cut in two is put together', async () => {
    const sign = new TextEncoder().encode('±0.01 g\n');
    const lines = /** @type {string[]} */ ([]);
    const one = Object.assign(cable(), { $refs: { line: { set value(line) { lines.push(line); } } } });
    const bytes = [sign.slice(0, 1), sign.slice(1)];
    const reader = { read: async () => ({ value: bytes.shift(), done: bytes.length === 0 && lines.length > 0 }) };
    await one.read(reader, new TextDecoder());
    assert.deepEqual(lines, ['±0.01 g']);
});

test('what never ends a line does not fill the device', async () => {
    const [line] = await scale('9'.repeat(5000), '\n');
    assert.equal(line.length, 120);
});

test('a browser that reads no cable says what to do instead', async () => {
    assert.match((await connected(undefined)).said, /Type what the scale shows/u);
});

test('who chooses no scale is told nothing', async () => {
    const { said, isOn } = await connected({ requestPort: () => Promise.reject(new Error('none was chosen')) });
    assert.deepEqual([said, isOn], ['', false]);
});

test('a cable that comes loose is told, and nothing is kept of what it last said', async () => {
    const pieces = [new TextEncoder().encode('4.20 g\n')];
    const port = {
        open: async ({ baudRate }) => assert.equal(baudRate, 9600),
        readable: { getReader: () => ({ read: async () => {
            if (pieces.length === 0) {
                throw new Error('loose');
            }

            return { value: pieces.shift(), done: false };
        } }) },
    };
    const { said, isOff, kept } = await connected({ requestPort: async () => port });
    assert.match(said, /cable is loose/u);
    assert.equal(isOff, true);
    assert.deepEqual(kept, ['4.20 g', '']);
});
