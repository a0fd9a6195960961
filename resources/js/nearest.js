/** Of what the drawing names with `[one, other, x, y, more]`, the nearest to a point of the window, within a reach. */
export function nearest(canvas, named, reach, x, y) {
    const toWindow = canvas.querySelector('svg').getScreenCTM();
    const far = ([, , atX, atY]) => {
        const place = new DOMPoint(atX, atY).matrixTransform(toWindow);

        return Math.hypot(place.x - x, place.y - y);
    };
    const [best] = named.map((one) => [far(one), one]).sort(([one], [other]) => one - other);

    return best !== undefined && best[0] < reach ? best[1] : null;
}
