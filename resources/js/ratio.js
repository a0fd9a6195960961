// How large a drawing is seen, which may be less than it was drawn for: what it says of that is read off the screen.
const KEPT = 'hebra-pixels-per-mm';
/** Of a screen that was never measured [CSS Values and Units: 96 px are an inch]. */
const USUAL = 96 / 25.4;

/** Pixels of this screen in a millimetre; 0 where it was never measured. */
export const measured = () => Number(localStorage.getItem(KEPT)) || 0;

export const keepMeasured = (pixelsPerMm) => localStorage.setItem(KEPT, String(pixelsPerMm));

/** Two digits, as many as can be seen. */
export const figureOf = (ratio) => String(Number(ratio.toPrecision(2)));

export function tellRatio(root) {
    const [told, picture] = [root.querySelector('.ratio'), root.querySelector('.canvas svg')];
    const seen = picture?.getScreenCTM()?.a * picture?.dataset.k / (measured() || USUAL);
    if (told !== null && seen > 0) {
        told.textContent = told.textContent.replace(/[\d.]+(?= : 1)/, figureOf(seen));
    }
}

/** Where the drawing lies on the screen. */
export const placeOf = (canvas) => canvas.querySelector('svg').getScreenCTM();
