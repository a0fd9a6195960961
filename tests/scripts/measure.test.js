import assert from 'node:assert/strict';
import { test } from 'node:test';
import { measure, measured } from '../../resources/js/measure.js';
import { crossOf, dotsOf, photoSheet } from '../../resources/js/sheet.js';

const near = (seen, wanted, within = 1e-9) => assert.ok(Math.abs(seen - wanted) < within, `${seen}, not ${wanted}`);

test('a length is to the other as their pixels are, whichever way they lie', () => {
    near(measured([[0, 0], [200, 0], [10, 10], [10, 60]], 85.6).mm, 85.6 / 4);
    near(measured([[0, 0], [30, 40], [0, 0], [60, 80]], 50).mm, 100);
});

test('how far off it may be: a pixel at each end, the more the shorter both are', () => {
    // By hand: 20 mm over 100 px is 0.2 mm a pixel; √2·√((1/100)² + (1/100)²) of 20 mm.
    near(measured([[0, 0], [100, 0], [0, 50], [100, 50]], 20).by, 20 * 0.02);
    const far = measured([[0, 0], [400, 0], [0, 50], [400, 50]], 20).by;
    near(far, 20 * 0.005);
});

test('a stretch without length measures nothing', () => {
    assert.equal(measured([[5, 5], [5, 5], [0, 0], [9, 0]], 20), null);
    assert.equal(measured([[0, 0], [9, 0], [5, 5], [5, 5]], 20), null);
});

const sheet = (more = {}) => {
    const one = Object.defineProperties({}, { ...Object.getOwnPropertyDescriptors(measure()) });

    return Object.assign(one, { wide: 480, high: 360, ...more });
};
const point = (one, x, y) => {
    one.at = [x, y];
    one.set();
};

test('four points are set, each asked for; a fifth begins anew with what is measured', () => {
    const one = sheet();
    const asked = [one.asks];
    for (const [x, y] of [[0, 0], [200, 0], [0, 100], [50, 100]]) {
        point(one, x, y);
        asked.push(one.asks);
    }
    assert.deepEqual(asked.map((words) => words.split(' ').slice(0, 2).join(' ')), [
        'Tap one', 'Tap its', 'Tap one', 'Tap its', 'A tap',
    ]);
    assert.equal(one.says, '21.4 mm, give or take 0.6');
    point(one, 7, 7);
    assert.deepEqual(one.points, [[0, 0], [200, 0], [7, 7]], 'what is known stays');
    assert.equal(one.says, '');
    one.back();
    assert.equal(one.points.length, 2);
});

test('a point is not set twice in one place', () => {
    const one = sheet();
    point(one, 4, 4);
    point(one, 4, 4);
    assert.deepEqual(one.points, [[4, 4]]);
});

test('a length of one’s own is read with a comma, and none measures nothing', () => {
    const one = sheet({ known: '', own: '42,8', points: [[0, 0], [100, 0], [0, 0], [50, 0]] });
    near(one.knownMm, 42.8);
    assert.equal(one.says.startsWith('21.4 mm'), true);
    one.own = '';
    assert.equal(one.found, null);
});

test('the cross moves by keys, farther with shift, and stays on the photo', () => {
    const one = Object.assign(photoSheet(), {
        wide: 100, high: 80, at: [50, 79], set() { this.points.push([...this.at]); },
    });
    const key = (name, shiftKey = false) => {
        let isPrevented = false;
        one.key({ key: name, shiftKey, preventDefault: () => { isPrevented = true; } });

        return isPrevented;
    };
    assert.equal(key('ArrowLeft'), true);
    assert.deepEqual(one.at, [48, 79]);
    key('ArrowRight', true);
    key('ArrowDown', true);
    assert.deepEqual(one.at, [58, 80]);
    key('Enter');
    assert.deepEqual(one.points, [[58, 80]]);
    key('Backspace');
    assert.deepEqual(one.points, []);
    assert.equal(key('a'), false, 'other keys are the browser’s');
});

test('a tap is on the photo where it is on the window, however large that is drawn', () => {
    const one = Object.assign(photoSheet(), {
        wide: 480, high: 360, points: [], set() { this.points.push([...this.at]); },
        $refs: { sheet: { getBoundingClientRect: () => ({ left: 20, top: 10, width: 240, height: 180 }) } },
    });
    one.tap({ clientX: 140, clientY: 100 });
    assert.deepEqual(one.points, [[240, 180]]);
});

test('points and the cross are paths about where they are', () => {
    assert.equal(crossOf([10, 20]), 'M2 20h16M10 12v16');
    assert.equal(dotsOf([[10, 20], [30, 40]]).match(/M/g).length, 2);
});
