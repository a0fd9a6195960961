const SVG = 'http://www.w3.org/2000/svg';

/** An element of a drawing with its attributes. */
export function drawn(name, attributes) {
    const element = document.createElementNS(SVG, name);
    Object.entries(attributes).forEach(([key, value]) => element.setAttribute(key, value));

    return element;
}
