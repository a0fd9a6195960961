// Run by node's own runner: what scripts decide without a page.
import assert from 'node:assert/strict';
import { test } from 'node:test';
import { minutesLeft, until } from '../../resources/js/until.js';

const at = (step, counted = 0) => ({
    foretold: { each: [4, 6, 10], later: 20, from: 0.8, to: 1.5 },
    ahead: [{ count: 3 }, { count: 0 }, { count: 0 }].slice(step - 7), counted, carriedFrom: 7, step,
});

test('what is left is the steps the page carries, and what comes after', () => {
    assert.equal(minutesLeft(at(7)), 40);
    assert.equal(minutesLeft(at(8)), 36);
    assert.equal(minutesLeft(at(10)), 20);
});

test('of the step at hand it is what is not counted yet, and never less than a last look', () => {
    assert.equal(minutesLeft(at(7, 2)), 4 * (1 - 2 / 4) + 36);
    assert.equal(minutesLeft(at(7, 9)), 36);
});

test('it is said by the clock, in five minutes, with its range; by hours where that is long; not at all at its end', () => {
    const now = Date.now;
    Date.now = () => new Date(2026, 10, 30, 9, 2).getTime();
    assert.deepEqual(until(at(7)), ['· until about 9:40', ', 9:30 to 10:05 in four of five']);
    assert.deepEqual(until({ ...at(7), foretold: { each: [], later: 400, from: 1, to: 1 } }), ['· about 6.5 h left', '']);
    assert.deepEqual(until({ ...at(7), foretold: { each: [], later: 0.5, from: 1, to: 1 } }), ['', '']);
    Date.now = now;
});
