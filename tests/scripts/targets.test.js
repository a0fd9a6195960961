import assert from 'node:assert/strict';
import { test } from 'node:test';

globalThis.DOMPoint = /** @type {any} */ (class {
    constructor(x, y) {
        Object.assign(this, { x, y });
    }

    matrixTransform({ k, x, y }) {
        return { x: this.x * k + x, y: this.y * k + y };
    }
});

const { named, targetAt } = await import('../../resources/js/carrying/targets.js');
const { nearest } = await import('../../resources/js/nearest.js');

const bead = (mark, left, top, size = 20) => ({
    dataset: { mark }, getBoundingClientRect: () => ({ left, top, width: size, height: size }),
});
/** Drawn at twice its size, 100 to the right and 50 down; its paper is 400 by 300. */
const board = (beads = []) => ({
    querySelectorAll: () => beads,
    querySelector: (of) => of === '.drawing'
        ? { getBoundingClientRect: () => ({ left: 100, top: 50, right: 500, bottom: 350 }) }
        : { querySelector: () => ({ getScreenCTM: () => ({ k: 2, x: 100, y: 50 }) }) },
});
const gaps = [['p1', 0, 50, 20, 0], ['p1', 1, 50, 60, 90]];

test('a mark names its part and its run', () => {
    assert.deepEqual(named('p3:bead-2'), { part: 'p3', at: 2 });
});

test('the nearest is found in the window, within a reach', () => {
    const canvas = board().querySelector('.canvas');
    assert.equal(nearest(canvas, gaps, 30, 205, 92), gaps[0]);
    assert.equal(nearest(canvas, gaps, 30, 205, 160), gaps[1]);
    assert.equal(nearest(canvas, gaps, 30, 400, 300), null);
    assert.equal(nearest(canvas, [], 30, 205, 92), null);
});

test('over the middle of a bead it takes that one’s place; from the wire they change places', () => {
    const there = bead('p2:bead-1', 200, 100);
    const fromTray = targetAt(board([there]), { from: null, gaps }, 210, 110);
    assert.deepEqual([fromTray.do, fromTray.part, fromTray.at, fromTray.over], ['bead.swap', 'p2', 1, there]);
    const fromWire = targetAt(board([there]), { from: { part: 'p1', at: 0 }, gaps }, 210, 110);
    assert.deepEqual(
        [fromWire.do, fromWire.part, fromWire.at, fromWire.to, fromWire.place],
        ['bead.exchange', 'p1', 0, 'p2', 1],
    );
});

test('over itself, or beside the middle of another, the gap takes it', () => {
    const own = bead('p1:bead-0', 190, 80);
    const carried = { from: { part: 'p1', at: 0 }, gaps };
    assert.equal(targetAt(board([own]), carried, 200, 90).do, 'bead.carry');
    const other = bead('p2:bead-1', 190, 80);
    assert.equal(targetAt(board([other]), { from: null, gaps }, 208, 90).do, 'bead.add');
});

test('off the paper a bead is taken off; one of the tray goes back, and so does what is near nothing', () => {
    const off = targetAt(board(), { from: { part: 'p1', at: 1 }, gaps }, 20, 20);
    assert.deepEqual([off.do, off.part, off.at], ['bead.remove', 'p1', 1]);
    assert.equal(targetAt(board(), { from: null, gaps }, 20, 20), null);
    assert.equal(targetAt(board(), { from: { part: 'p1', at: 1 }, gaps }, 480, 340), null);
});
