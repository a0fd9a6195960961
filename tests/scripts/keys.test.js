import assert from 'node:assert/strict';
import { test } from 'node:test';
import { nameOf, pressKeyButton } from '../../resources/js/keys.js';

const press = (key, more = {}) => ({
    key, shiftKey: false, ctrlKey: false, metaKey: false, altKey: false, isComposing: false, isPrevented: false,
    target: { closest: () => null }, preventDefault() { this.isPrevented = true; }, ...more,
});

const button = (names, more = {}) => ({
    dataset: { key: names }, disabled: false, clicks: 0, closest: () => null, matches: () => false,
    click() { this.clicks++; }, ...more,
});

const page = (buttons, shortcuts = 'on') => ({ dataset: { shortcuts }, querySelectorAll: () => buttons });

test('a key is named as a button names it', () => {
    assert.equal(nameOf(press('ArrowUp', { altKey: true })), 'Alt+ArrowUp');
    assert.equal(nameOf(press('Z', { ctrlKey: true })), 'Ctrl+z');
    assert.equal(nameOf(press('Z', { ctrlKey: true, shiftKey: true })), 'Ctrl+Shift+z');
    assert.equal(nameOf(press('z', { metaKey: true })), 'Ctrl+z', 'the key that stands for it elsewhere');
    assert.equal(nameOf(press(' ')), 'Space');
    assert.equal(nameOf(press('Delete', { shiftKey: true })), 'Shift+Delete');
    assert.equal(nameOf(press('+', { shiftKey: true })), '+', 'what takes shift to write is that sign');
});

test('the button that names a key is pressed, whichever of its names it is', () => {
    const [more, fewer] = [button('+ | ='), button('-')];
    const event = press('=');

    assert.equal(pressKeyButton(page([fewer, more]), event), true);
    assert.deepEqual([more.clicks, fewer.clicks], [1, 0]);
    assert.equal(event.isPrevented, true);
});

test('what is hidden or off is not pressed, and the key is left to the browser', () => {
    const hidden = button('n', { closest: (of) => of === '[hidden]' ? {} : null });
    const off = button('u', { disabled: true });
    for (const key of ['n', 'u', 'x']) {
        const event = press(key);
        assert.equal(pressKeyButton(page([hidden, off]), event), false, key);
        assert.equal(event.isPrevented, false, key);
    }
    assert.deepEqual([hidden.clicks, off.clicks], [0, 0]);
});

test('who writes, writes', () => {
    const undo = button('Ctrl+z');

    assert.equal(pressKeyButton(page([undo]), press('z', { ctrlKey: true, target: { closest: () => ({}) } })), false);
    assert.equal(pressKeyButton(page([undo]), press('z', { ctrlKey: true, isComposing: true })), false);
    assert.equal(undo.clicks, 0);
});

test('single keys are left off where the maker left them off, those with another key are not', () => {
    const [next, undo] = [button('n'), button('Ctrl+z')];

    assert.equal(pressKeyButton(page([next, undo], 'off'), press('n')), false);
    assert.equal(pressKeyButton(page([next, undo], 'off'), press('z', { ctrlKey: true })), true);
    assert.deepEqual([next.clicks, undo.clicks], [0, 1]);
});

test('space and enter stay with what has the focus', () => {
    const onLink = { closest: (of) => of.startsWith('button') ? {} : null };
    const goOn = button('Space | Enter');

    assert.equal(pressKeyButton(page([goOn]), press(' ', { target: onLink })), false);
    assert.equal(pressKeyButton(page([goOn]), press('Enter', { target: onLink })), false);
    assert.equal(pressKeyButton(page([goOn]), press(' ')), true);
    assert.equal(goOn.clicks, 1);
});
