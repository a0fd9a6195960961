import assert from 'node:assert/strict';
import { test } from 'node:test';
import { step } from '../../resources/js/pulling.js';
import { placesOf } from '../../resources/js/pulling/shown.js';

const STEPS = [['2 mm', 'mark 1'], ['2.5 mm', 'mark 2'], ['3 mm', '']];
const pressed = (key, value, more = {}) => {
    const form = { dataset: { steps: JSON.stringify(STEPS) }, sent: 0, requestSubmit() { this.sent++; } };
    const event = {
        key, altKey: false, ctrlKey: false, metaKey: false, isPrevented: false,
        target: { value, closest: () => form }, preventDefault() { this.isPrevented = true; }, ...more,
    };
    step(event);

    return { value: event.target.value, sent: form.sent, isPrevented: event.isPrevented };
};

test('a key goes from mark to mark of the maker’s own pliers, and that is a change', () => {
    assert.deepEqual(pressed('ArrowUp', '2.5 mm'), { value: '3 mm', sent: 1, isPrevented: true });
    assert.deepEqual(pressed('ArrowDown', ' 2.5 mm '), { value: '2 mm', sent: 1, isPrevented: true });
});

test('beyond the last mark, and from what is none, it stays and nothing is sent', () => {
    for (const [key, value] of [['ArrowUp', '3 mm'], ['ArrowDown', '2 mm'], ['ArrowUp', '2.7 mm'], ['ArrowUp', '']]) {
        assert.deepEqual(pressed(key, value), { value, sent: 0, isPrevented: false }, `${key} at ${value}`);
    }
});

test('what moves a bead or the page moves no measure', () => {
    assert.equal(pressed('ArrowUp', '2 mm', { altKey: true }).sent, 0);
    assert.equal(pressed('ArrowUp', '2 mm', { ctrlKey: true }).sent, 0);
    assert.equal(pressed('PageUp', '2 mm').sent, 0);
});

test('leaders end where their fields say', () => {
    const field = (key, at) => ({ elements: { key: { value: key } }, dataset: { at } });
    const board = { querySelectorAll: () => [field('loop', '10 20'), field('neck', '12 30')] };
    assert.deepEqual(placesOf(board), { loop: '10 20', neck: '12 30' });
});
