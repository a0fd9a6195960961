import assert from 'node:assert/strict';
import { beforeEach, test } from 'node:test';

const heard = /** @type {Record<string, ((event: any) => void)[]>} */ ({});
const page = {
    activeElement: null, documentElement: { classList: { add() {}, remove() {}, contains: () => true } },
    addEventListener: (kind, does) => (heard[kind] ??= []).push(does), removeEventListener() {},
};
globalThis.document = /** @type {any} */ (page);
globalThis.Event = /** @type {any} */ (class {});
const { course } = await import('../../resources/js/course.js');

const answered = (verb = 'post') => heard['htmx:afterSettle'].forEach(
    (does) => does({ detail: { requestConfig: { verb } } }),
);

/** A way that is told so far, with the caret where `|` stands; without one it stands elsewhere. */
const told = (text, taps = {}) => {
    const caret = text.indexOf('|');
    const field = {
        value: text.replace('|', ''), selectionStart: caret, changes: 0, dispatchEvent() { this.changes++; },
    };
    page.activeElement = caret < 0 ? null : field;
    const one = Object.assign(course(), {
        $refs: { text: field }, $root: { dataset: { taps: JSON.stringify({ part: 'p2', taps }) } },
    });
    one.init();

    return one;
};

beforeEach(() => answered());

test('a move is said on at the end where the caret stands nowhere', () => {
    const one = told('eye 2.5 · straight 4');
    one.say('wrap 3 on neck');
    assert.equal(one.$refs.text.value, 'eye 2.5 · straight 4 · wrap 3 on neck');
    assert.equal(one.$refs.text.changes, 1, 'and the workshop is told');
});

test('the first move of a way stands alone', () => {
    const one = told('');
    one.say('eye 2.5');
    assert.equal(one.$refs.text.value, 'eye 2.5');
});

test('it comes after the move that the caret stands in', () => {
    const one = told('eye 2|.5 · straight 4 · eye 3');
    one.say('corner 90');
    assert.equal(one.$refs.text.value, 'eye 2.5 · corner 90 · straight 4 · eye 3');
});

test('after what parts moves nothing parts them again', () => {
    const one = told('22: |');
    one.say('eye 2.5');
    assert.equal(one.$refs.text.value, '22: eye 2.5');
});

test('lines are ways of their own', () => {
    const one = told('a: eye 2|\nb: eye 3');
    one.say('straight 9');
    assert.equal(one.$refs.text.value, 'a: eye 2 · straight 9\nb: eye 3');
});

test('while the workshop answers, the next waits, and comes in its order', () => {
    const one = told('eye 2');
    one.say('straight 1');
    one.say('straight 2');
    one.say('straight 3');
    assert.equal(one.$refs.text.value, 'eye 2 · straight 1');
    answered('get');
    assert.equal(one.$refs.text.value, 'eye 2 · straight 1', 'a price that is looked up answers nothing');
    answered();
    answered();
    assert.equal(one.$refs.text.value, 'eye 2 · straight 1 · straight 2 · straight 3');
    answered();
});

test('a tap on the drawing says what it means there; on another part it says nothing', () => {
    const tapped = (mark) => ({ target: { closest: () => ({ dataset: { mark } }) } });
    const one = told('eye 2', { neck: 'wrap 3 on neck' });
    one.point(tapped('p1:neck'));
    one.point(tapped('p2:seat'));
    assert.equal(one.$refs.text.value, 'eye 2');
    one.point(tapped('p2:neck'));
    assert.equal(one.$refs.text.value, 'eye 2 · wrap 3 on neck');
});
