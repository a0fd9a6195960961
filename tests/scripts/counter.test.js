import assert from 'node:assert/strict';
import { test } from 'node:test';
import { stubbed } from './stubs.js';

// − and + with a figure between them that can be typed.
globalThis.document = /** @type {any} */ ({
    activeElement: null, addEventListener() {}, querySelector: () => null, querySelectorAll: () => [],
});
globalThis.window = /** @type {any} */ ({ addEventListener() {} });
globalThis.localStorage = /** @type {any} */ ({ getItem: () => null, setItem() {}, removeItem() {} });
stubbed({ 'htmx.org': { defineExtension() {} }, '@alpinejs/csp': {}, morphdom: () => {} });
const { counter } = await import('../../resources/js/counting/counter.js');
const { book } = await import('../../resources/js/counting/book.js');

const counted = (count, { least = 1, most = 40, stops = 'off' } = {}) => {
    const figure = {
        dataset: { count: String(count), countOf: 'p2/0' }, textContent: String(count), isBlurred: false,
        blur() { this.isBlurred = true; },
    };
    const fewer = { disabled: false };
    const root = {
        dataset: { change: '{"do":"bead.count"}', least: String(least), most: String(most), stops },
        querySelector: (of) => (of === 'button' ? fewer : figure),
    };
    book.counts.clear();
    clearTimeout(book.timer);

    return { one: Object.assign(counter(), { $root: root }), figure, fewer };
};
const pressed = (key) => ({
    key, isPrevented: false, isStopped: false,
    preventDefault() { this.isPrevented = true; }, stopPropagation() { this.isStopped = true; },
});
const told = () => {
    clearTimeout(book.timer);

    return book.counts.get('p2/0')?.count;
};

test('one more and one fewer, between the least and the most', () => {
    for (const [count, by, is] of [[3, 1, 4], [3, -1, 2], [1, -1, undefined], [40, 1, undefined], [38, 10, 40]]) {
        const { one } = counted(count);
        one.by(by);
        assert.equal(told(), is, `${count} and ${by}`);
    }
});

test('a press is done on the page, but that which takes the thing off', () => {
    const { one } = counted(2);
    const event = pressed('');
    one.fewer(event);
    assert.deepEqual([event.isPrevented, event.isStopped, told()], [true, true, 1]);
    const last = counted(1);
    const off = pressed('');
    last.one.fewer(off);
    assert.deepEqual([off.isPrevented, off.isStopped, told()], [false, false, undefined]);
});

test('where nothing is taken off, fewer is no choice at the least', () => {
    const { one, fewer } = counted(2, { stops: 'on' });
    one.by(-1);
    assert.equal(fewer.disabled, true);
    const goesOn = counted(2);
    goesOn.one.by(-1);
    assert.equal(goesOn.fewer.disabled, false);
});

test('what is typed counts where it is a number; otherwise the figure is put back', () => {
    const numbers = [['12', 12], [' 7 ', 7], ['0', 1], ['999', 40]];
    const none = ['1e3', '', '−3', '3.5'].map((text) => [text, undefined]);
    for (const [text, is] of [...numbers, ...none]) {
        const { one, figure } = counted(5);
        figure.textContent = text;
        one.typed();
        assert.equal(told(), is, `“${text}”`);
        assert.equal(figure.textContent, '5', 'it shows what is counted');
    }
});

test('keys step by one and ten, enter takes what is typed, escape puts it back and lets go', () => {
    for (const [key, is] of [['ArrowUp', 6], ['ArrowDown', 4], ['PageUp', 15], ['PageDown', 1]]) {
        const { one } = counted(5);
        const event = pressed(key);
        one.typing(event);
        assert.deepEqual([told(), event.isPrevented, event.isStopped], [is, true, true], key);
    }
    const typed = counted(5);
    typed.figure.textContent = '9';
    typed.one.typing(pressed('Enter'));
    assert.equal(told(), 9);
    const left = counted(5);
    left.figure.textContent = '9';
    left.one.typing(pressed('Escape'));
    assert.deepEqual([told(), left.figure.textContent, left.figure.isBlurred], [undefined, '5', true]);
});

test('a digit is only a digit: no key of the page', () => {
    const { one } = counted(5);
    const event = pressed('7');
    one.typing(event);
    assert.deepEqual([event.isStopped, event.isPrevented, told()], [true, false, undefined]);
});
