import assert from 'node:assert/strict';
import { beforeEach, test } from 'node:test';
import { settled, store, stubbed, workshop } from './stubs.js';

// What is done at the bench goes to the workshop in order, and what did not arrive is kept.
const page = { said: /** @type {Record<string, string>} */ ({}), swapped: /** @type {string[]} */ ([]) };
globalThis.document = /** @type {any} */ ({
    addEventListener() {},
    querySelector: (of) => of === 'input[name=_token]'
        ? { value: 'a token' }
        : {
            set textContent(words) { page.said[of] = words; },
            prepend: (one) => { page.said.banner = one.textContent; },
        },
    createElement: () => ({}),
});
globalThis.window = /** @type {any} */ ({ addEventListener() {} });
globalThis.location = /** @type {any} */ ({ pathname: '/pieces/piece/make' });
globalThis.localStorage = store();
stubbed({ 'htmx.org': { swap: (_, html) => page.swapped.push(html) } });
const { sent } = await import('../../resources/js/bench/sent.js');
const { hands } = await import('../../resources/js/hands.js');
let asked = workshop();

const bench = (...queue) => ({
    ...sent, isAway: false, isFlushing: false, left: [], following: 0, shownAway: 0, showAway() { this.shownAway++; },
    $root: { isConnected: true }, state: { making: 'making', moves: 4, queue: [...queue], flying: 0 },
});
const move = (event) => ({ event, do: 'done' });

beforeEach(() => {
    asked = workshop();
    globalThis.localStorage.kept.clear();
    Object.assign(page, { said: {}, swapped: [] });
    Object.assign(hands, { last: -1e6, isDown: false });
});

test('moves are sent in their order, each under its own name, and are gone when they arrived', async () => {
    const one = bench(move('a'), move('b'));
    one.flush();
    assert.equal(asked[0].address, '/makings/making/events');
    assert.deepEqual(asked[0].body.events.map(({ event }) => event), ['a', 'b']);
    assert.equal(one.state.flying, 2);
    asked[0].answers(200, { left: [] });
    await settled();
    assert.deepEqual(one.state.queue, []);
    assert.equal(one.state.flying, 0);
    assert.deepEqual(JSON.parse(globalThis.localStorage.getItem('hebra.making.making')).queue, []);
});

test('what is done while they are under way is sent after them, and none twice', async () => {
    const one = bench(move('a'));
    one.flush();
    one.state.queue.push(move('b'), move('c'));
    one.flush();
    assert.equal(asked.length, 1, 'one sending at a time');
    asked[0].answers(200, { left: [] });
    await settled();
    assert.deepEqual(asked.map(({ body }) => body.events.map(({ event }) => event)), [['a'], ['b', 'c']]);
});

test('no more than five hundred at a time', async () => {
    const one = bench(...Array.from({ length: 620 }, (_, at) => move(`m${at}`)));
    one.flush();
    asked[0].answers(200, { left: [] });
    await settled();
    assert.deepEqual(asked.map(({ body }) => body?.events.length), [500, 120]);
    assert.equal(asked[1].body.events[0].event, 'm500');
});

test('a workshop that is away keeps all of them, and the page says so', async () => {
    for (const fails of [(one) => one.fails(new Error('away')), (one) => one.answers(500, {})]) {
        const one = bench(move('a'), move('b'));
        one.flush();
        fails(asked.at(-1));
        await settled();
        assert.equal(one.isAway, true);
        assert.equal(one.shownAway, 1);
        assert.equal(one.state.queue.length, 2);
        one.flush();
        asked.at(-1).answers(200, { left: [] });
        await settled();
        assert.equal(one.isAway, false);
        assert.equal(one.state.queue.length, 0);
    }
});

test('who is signed out is told, and nothing is thrown away', async () => {
    for (const status of [401, 403, 404, 419]) {
        const one = bench(move('a'), move('b'));
        one.flush();
        asked.at(-1).answers(status, {});
        await settled();
        assert.match(page.said['#away-kept'], /signed out.*2 moves are/u, String(status));
        assert.equal(one.state.queue.length, 2);
    }
});

test('when all has arrived the page follows, once the hands rest', async () => {
    const one = bench(move('a'));
    one.flush();
    asked[0].answers(200, { left: ['step 3 was done already'] });
    await settled();
    assert.equal(asked[1].address, '/pieces/piece/make');
    asked[1].answers(200, '<div id="desk">anew</div>');
    await settled();
    assert.deepEqual(page.swapped, ['<div id="desk">anew</div>']);
    assert.equal(page.said.banner, 'One move of this device did not fit any more: step 3 was done already');
});

test('what is done while the page is fetched is not undone by it', async () => {
    const one = bench(move('a'));
    one.flush();
    asked[0].answers(200, { left: [] });
    await settled();
    one.state.queue.push(move('b'));
    asked[1].answers(200, '<div id="desk">old</div>');
    await settled();
    assert.deepEqual(page.swapped, []);
});

test('what goes the long way waits until the moves before it have arrived, and gets a name of its own', async () => {
    const one = bench(move('a'));
    let isIssued = false;
    const event = {
        detail: { elt: { closest: () => ({}) }, issueRequest: () => { isIssued = true; } },
        isStopped: false, preventDefault() { this.isStopped = true; },
    };
    one.first(event);
    assert.equal(event.isStopped, true);
    await settled();
    assert.equal(isIssued, false);
    asked[0].answers(200, { left: [] });
    while (!isIssued) {
        await new Promise((go) => setTimeout(go, 5));
    }
    assert.equal(one.state.queue.length, 0);

    const parameters = new Map();
    one.name({ detail: { verb: 'patch', path: '/makings/making', parameters } });
    assert.equal(parameters.get('at'), '4');
    assert.match(parameters.get('event'), /^[0-9a-f-]{36}$/u);
    one.name({ detail: { verb: 'post', path: '/makings/making', parameters: { set: () => assert.fail() } } });
});
