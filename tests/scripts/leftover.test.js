import assert from 'node:assert/strict';
import { test } from 'node:test';
import { millimetres } from '../../resources/js/leftover.js';

test('millimetres are read with a point or a comma, several ends added', () => {
    assert.equal(millimetres('12'), 12);
    assert.equal(millimetres(' 12,5 mm '), 12.5);
    assert.equal(millimetres('12 + 11.5mm'), 23.5);
});

test('what only the workshop can read is none of them', () => {
    for (const text of ['', 'half', '1/2 in', '12 +', '-3', '3 cm', '1.2.3']) {
        assert.equal(millimetres(text), null, text);
    }
});
