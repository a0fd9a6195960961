import assert from 'node:assert/strict';
import { test } from 'node:test';

const MINUTE = 60_000;
const heard = /** @type {Record<string, () => void>} */ ({});
const page = { hidden: false, addEventListener: (kind, does) => { heard[kind] = does; } };
globalThis.document = /** @type {any} */ (page);
let now = 1000;
performance.now = () => now;
const { begin, rests, worked } = await import('../../resources/js/bench/clock.js');

const pass = (ms) => { now += ms; };
const stir = (kind = 'pointermove') => heard[kind]();
const turn = (isHidden) => {
    page.hidden = isHidden;
    heard.visibilitychange();
};

test('while hands stir it counts', () => {
    begin('m/1');
    for (let minute = 0; minute < 10; minute++) {
        pass(MINUTE);
        stir();
    }
    assert.equal(worked(), 10 * MINUTE);
    assert.equal(rests(), false);
});

test('a step that is begun again goes on, another begins at nothing', () => {
    begin('m/1');
    assert.equal(worked(), 10 * MINUTE);
    begin('m/2');
    assert.equal(worked(), 0);
});

test('idle hands count for three minutes, then no more until they stir', () => {
    begin('m/3');
    pass(20 * MINUTE);
    assert.equal(worked(), 3 * MINUTE);
    assert.equal(rests(), true);
    stir('keydown');
    pass(MINUTE);
    assert.equal(worked(), 4 * MINUTE);
    assert.equal(rests(), false);
});

test('a hidden page does not count, and goes on from where it was', () => {
    begin('m/4');
    pass(MINUTE);
    turn(true);
    pass(30 * MINUTE);
    assert.equal(worked(), MINUTE);
    assert.equal(rests(), true);
    turn(false);
    pass(2 * MINUTE);
    assert.equal(worked(), 3 * MINUTE);
});
