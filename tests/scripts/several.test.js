import assert from 'node:assert/strict';
import { test } from 'node:test';

globalThis.document = /** @type {any} */ ({
    querySelector: () => null, addEventListener() {}, removeEventListener() {},
});
const { several } = await import('../../resources/js/several.js');

// Several runs of beads chosen at once: three of one kind and one of another, drawn in a row.
const board = () => {
    const box = (at, bead) => ({
        checked: false, dataset: { mark: `p2:bead-${at}`, bead }, matches: (of) => of === '.choose',
    });
    const boxes = [box(0, 'sea'), box(1, 'moss'), box(2, 'sea'), box(3, 'sea')];
    const drawn = boxes.map(({ dataset }, at) => ({
        dataset, isSeveral: false, classList: { toggle(_, is) { drawn[at].isSeveral = is; } },
        getBoundingClientRect: () => ({ left: 100 * at, right: 100 * at + 20, top: 0, bottom: 20 }),
    }));
    const root = /** @type {any} */ ({
        isMarked: false, classList: { toggle: (_, is) => { root.isMarked = is; } }, addEventListener() {},
        querySelectorAll: (of) => (of === '.choose' ? boxes : drawn),
        querySelector: () => ({ addEventListener() {} }), closest: () => root,
    });
    const one = Object.assign(several(), { $root: root });
    one.init();

    return { one, boxes, drawn, root };
};
const chosen = ({ boxes }) => boxes.map(({ checked }) => Number(checked)).join('');
const tapped = (mark, keys = {}) => ({
    target: { closest: () => (mark === null ? null : { dataset: { mark } }) }, isStopped: false,
    preventDefault() { this.isStopped = true; }, stopPropagation() {}, ...keys,
});

test('with shift, control or command a tap chooses one more, or one less', () => {
    const all = board();
    for (const key of ['shiftKey', 'ctrlKey', 'metaKey']) {
        all.one.also(tapped('p2:bead-1', { [key]: true }));
    }
    assert.equal(chosen(all), '0100');
    assert.equal(all.one.words, '1 chosen');
    assert.equal(all.root.isMarked, true);
    assert.deepEqual(all.drawn.map(({ isSeveral }) => isSeveral), [false, true, false, false]);
    all.one.also(tapped('p2:bead-1', { shiftKey: true }));
    assert.equal(chosen(all), '0000');
    assert.equal(all.root.isMarked, false);
});

test('a tap alone, and one beside every bead, is left to whoever else listens', () => {
    const all = board();
    const held = { shiftKey: true };
    for (const event of [tapped('p2:bead-1'), tapped(null, held), tapped('p9:bead-9', held)]) {
        all.one.also(event);
        assert.equal(event.isStopped, false);
    }
    assert.equal(chosen(all), '0000');
});

test('all that are alike', () => {
    const all = board();
    all.one.also(tapped('p2:bead-2', { shiftKey: true }));
    all.one.alike();
    assert.equal(chosen(all), '1011');
    assert.equal(all.one.count, 3);
});

test('a frame takes every bead whose middle lies in it, beside what was chosen', () => {
    const all = board();
    all.one.also(tapped('p2:bead-3', { shiftKey: true }));
    all.one.within(5, 0, 115, 30);
    assert.equal(chosen(all), '1101', 'the middles are at 10 and 110');
    const other = board();
    other.one.within(11, 0, 109, 30);
    assert.equal(chosen(other), '0000');
});

test('escape chooses none, but where there is a question to answer first', () => {
    const all = board();
    all.one.alike();
    all.one.also(tapped('p2:bead-0', { shiftKey: true }));
    globalThis.document.querySelector = /** @type {any} */ (() => ({}));
    all.one.key({ key: 'Escape' });
    assert.equal(chosen(all), '1000');
    globalThis.document.querySelector = () => null;
    all.one.key({ key: 'a' });
    assert.equal(chosen(all), '1000');
    all.one.key({ key: 'Escape' });
    assert.equal(chosen(all), '0000');
});
