// Run by node's own runner: what scripts decide without a page.
import assert from 'node:assert/strict';
import { beforeEach, test } from 'node:test';
import { figureOf, keepMeasured, tellRatio } from '../../resources/js/ratio.js';

/** A page with one drawing, so many of its units a pixel and so many of them a millimetre. */
const page = (words, scale, unitsPerMm) => {
    const told = words === null ? null : { textContent: words };
    const picture = { getScreenCTM: () => ({ a: scale }), dataset: { k: String(unitsPerMm) } };

    return { told, querySelector: (one) => (one === '.ratio' ? told : picture) };
};

beforeEach(() => {
    const kept = new Map();
    globalThis.localStorage = {
        getItem: (key) => kept.get(key) ?? null, setItem: (key, value) => kept.set(key, value),
    };
});

test('a ratio has the two digits that can be seen', () => {
    assert.deepEqual([3.3712, 0.8456, 12.4, 1, 2.04].map(figureOf), ['3.4', '0.85', '12', '1', '2']);
});

test('a drawing that was made smaller to fit says how large it is seen', () => {
    const shrunk = page('4 : 1', 0.842, 4 * 96 / 25.4);
    tellRatio(shrunk);
    assert.equal(shrunk.told.textContent, '3.4 : 1');
});

test('the words about it stay, and what was told is told anew', () => {
    const shown = page('drawn 2.5 : 1 · ', 1, 2.5 * 96 / 25.4);
    tellRatio(shown);
    assert.equal(shown.told.textContent, 'drawn 2.5 : 1 · ');
    const halved = page(shown.told.textContent, 0.5, 2.5 * 96 / 25.4);
    tellRatio(halved);
    assert.equal(halved.told.textContent, 'drawn 1.3 : 1 · ');
});

test('of a screen that was measured its own millimetres are meant', () => {
    keepMeasured(5);
    const shown = page('1 : 1', 1, 10);
    tellRatio(shown);
    assert.equal(shown.told.textContent, '2 : 1');
});

test('where nothing is drawn, or nothing said of it, nothing is said', () => {
    assert.doesNotThrow(() => tellRatio(page(null, 1, 4)));
    const none = page('4 : 1', 0, 4);
    tellRatio(none);
    assert.equal(none.told.textContent, '4 : 1');
});
