import assert from 'node:assert/strict';
import { beforeEach, test } from 'node:test';
import { settled, store, stubbed, workshop } from './stubs.js';

// Counts that are pressed: none is lost, none counts twice, however slow the workshop is.
const heard = /** @type {Record<string, (() => void)[]>} */ ({});
const page = { revision: '7', shown: /** @type {any[]} */ ([]), offline: true, swapped: 0 };
const desk = {
    querySelector: (of) => {
        const value = of.includes('revision') ? page.revision : '';

        return of.startsWith('input[name=') ? { value } : null;
    },
};
const nodes = {
    '#desk': desk, 'meta[name=csrf-token]': { content: 'a token' },
    '#offline': {
        setAttribute: () => { page.offline = true; }, removeAttribute: () => { page.offline = false; },
    },
};
globalThis.document = /** @type {any} */ ({
    activeElement: null, addEventListener: (kind, does) => (heard[kind] ??= []).push(does),
    querySelector: (of) => nodes[of] ?? null,
    querySelectorAll: (of) => page.shown.filter((one) => of === `[data-count-of="${one.key}"]`),
});
globalThis.window = /** @type {any} */ ({ addEventListener() {} });
globalThis.location = /** @type {any} */ ({ pathname: '/pieces/piece/lay-out' });
globalThis.localStorage = store();
stubbed({
    'htmx.org': { swap: () => page.swapped++, defineExtension() {} }, '@alpinejs/csp': {}, morphdom: () => {},
});
const { arrived, count, drained, save } = await import('../../resources/js/counting/saved.js');
const { book, isDirty } = await import('../../resources/js/counting/book.js');
const change = { do: 'bead.count', part: 'p2', at: '0' };
const kept = () => JSON.parse(globalThis.localStorage.getItem('hebra.counts.piece') ?? 'null');
let asked = workshop();

beforeEach(() => {
    asked = workshop();
    clearTimeout(book.timer);
    globalThis.localStorage.kept.clear();
    Object.assign(book, { piece: 'piece', revision: null, flying: false, isAway: false, following: 0 });
    book.counts.clear();
    const shown = [{ key: 'p2/0', hasAttribute: () => false }];
    Object.assign(page, { revision: '7', shown, offline: true, swapped: 0 });
});

test('a count is shown at once, kept on the device, and sent on the revision of the page', async () => {
    count('p2/0', change, 4);
    assert.equal(page.shown[0].textContent, '4');
    assert.deepEqual(kept(), { revision: 7, counts: [['p2/0', { change, count: 4 }]] });
    clearTimeout(book.timer);
    save();
    assert.equal(asked[0].address, '/pieces/piece/changes');
    assert.deepEqual(asked[0].body, { ...change, count: '4', revision: 7 });
    asked[0].answers(200, { revision: 8 });
    await settled();
    assert.equal(kept(), null);
    assert.equal(isDirty(), false);
    assert.equal(book.revision, 8);
});

test('what is pressed while one is under way goes with the next, as it is by then', async () => {
    count('p2/0', change, 1);
    save();
    for (const value of [2, 3, 4, 5]) {
        count('p2/0', change, value);
    }
    clearTimeout(book.timer);
    save();
    assert.equal(asked.length, 1, 'one at a time');
    asked[0].answers(200, { revision: 8 });
    await settled();
    assert.deepEqual(asked.map(({ body }) => [body.count, body.revision]), [['1', 7], ['5', 8]]);
    asked[1].answers(200, { revision: 9 });
    await settled();
    assert.equal(isDirty(), false);
});

test('counts of several things are sent one after the other, each on what the last one made', async () => {
    count('p2/0', change, 2);
    count('part p3', { do: 'part.repeat', part: 'p3' }, 6);
    clearTimeout(book.timer);
    save();
    asked[0].answers(200, { revision: 8 });
    await settled();
    assert.deepEqual(asked.map(({ body }) => [body.do, body.count, body.revision]), [
        ['bead.count', '2', 7], ['part.repeat', '6', 8],
    ]);
});

test('a workshop that is away, or busy, loses nothing', async () => {
    const away = (one) => one.fails(new Error('away'));
    for (const fails of [away, (one) => one.answers(503, {}), (one) => one.answers(429, {})]) {
        count('p2/0', change, 3);
        clearTimeout(book.timer);
        save();
        fails(asked.at(-1));
        await settled();
        assert.equal(page.offline, false, 'it is said');
        assert.equal(book.isAway, true);
        assert.deepEqual(kept().counts, [['p2/0', { change, count: 3 }]]);
        clearTimeout(book.timer);
        save();
        asked.at(-1).answers(200, { revision: 9 });
        await settled();
        assert.equal(page.offline, true);
        assert.equal(isDirty(), false);
    }
});

test('what is refused is not asked again', async () => {
    count('p2/0', change, 3);
    clearTimeout(book.timer);
    save();
    asked[0].answers(409, { message: 'This piece was changed elsewhere.' });
    await settled();
    assert.equal(isDirty(), false);
    assert.equal(kept(), null);
    assert.equal(asked.filter(({ method }) => method === 'POST').length, 1);
});

test('what did not arrive is counted again when the piece is opened, unless the piece went on elsewhere', async () => {
    const was = JSON.stringify({ revision: 7, counts: [['p2/0', { change, count: 9 }]] });
    for (const [revision, isCounted] of [['7', true], ['8', true], ['9', false]]) {
        globalThis.localStorage.setItem('hebra.counts.piece', was);
        Object.assign(page, { revision, shown: [{ key: 'p2/0', hasAttribute: () => false }] });
        Object.assign(book, { piece: 'another', flying: false, revision: null });
        const before = asked.length;
        arrived('piece');
        assert.equal(asked.length - before, isCounted ? 1 : 0, `the page is at ${revision}`);
        assert.equal(page.shown[0].textContent, isCounted ? '9' : undefined);
        if (isCounted) {
            asked.at(-1).answers(200, { revision: 10 });
            await settled();
        }
    }
});

test('a store that holds no counts is passed over', () => {
    globalThis.localStorage.setItem('hebra.counts.piece', '{"counts": 3');
    Object.assign(book, { piece: 'another' });
    arrived('piece');
    assert.equal(isDirty(), false);
    assert.equal(asked.length, 0);
});

test('whatever else is asked waits until the counts have arrived', async () => {
    count('p2/0', change, 2);
    let isThere = false;
    const waiting = drained().then(() => { isThere = true; });
    await settled();
    assert.equal(isThere, false);
    asked[0].answers(200, { revision: 8 });
    await waiting;
    assert.equal(isDirty(), false);
});

test('after a refusal the piece is shown as it is', async () => {
    count('p2/0', change, 2);
    clearTimeout(book.timer);
    save();
    asked[0].answers(422, { message: 'Too many.' });
    await settled();
    assert.equal(asked[1].address, '/pieces/piece/lay-out?open=&run=&hung=');
    asked[1].answers(200, '<div id="desk"></div>');
    await settled();
    assert.equal(page.swapped, 1);
});
