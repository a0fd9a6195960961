import assert from 'node:assert/strict';
import { test } from 'node:test';

const pressed = /** @type {string[]} */ ([]);
const said = /** @type {string[]} */ ([]);
globalThis.window = /** @type {any} */ ({
    speechSynthesis: { cancel() {}, speak: (one) => said.push(one.words) },
});
globalThis.SpeechSynthesisUtterance = /** @type {any} */ (class {
    constructor(words) {
        this.words = words;
    }
});
globalThis.document = /** @type {any} */ ({
    querySelector: (of) => ({
        '#step-until': { textContent: 'until about 4:05' }, '#step-range': { textContent: ' · 4:00 to 4:10' },
    })[of] ?? { click: () => pressed.push(of) },
});
const { commandIn, ear } = await import('../../resources/js/listening.js');

test('the last of its words counts, wherever it stands', () => {
    assert.equal(commandIn('Next'), 'next');
    assert.equal(commandIn('that one is done'), 'next');
    assert.equal(commandIn('next, no, back'), 'back');
    assert.equal(commandIn('how long will that take'), 'how long');
    assert.equal(commandIn('put the kettle on'), '');
});

test('what is heard is done, or said to be none of them', () => {
    const one = Object.assign(ear(), { $root: { hidden: false } });
    one.hear('and next');
    one.hear('go back');
    assert.deepEqual(pressed, ['#go-on', '#back-form button']);
    one.hear('how long');
    assert.deepEqual(said, ['until about 4:05  4:00 to 4:10']);
    assert.equal(one.heard, '');
    one.hear(' wire ');
    assert.equal(one.heard, '“wire” is none of them.');
    assert.equal(pressed.length, 2);
});

test('where the browser cannot listen, nothing offers it', () => {
    const one = Object.assign(ear(), { $root: { hidden: false } });
    one.init();
    assert.equal(one.$root.hidden, true);
});
