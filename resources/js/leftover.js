const MILLIMETRES = /^\s*\d+([.,]\d+)?\s*(mm)?\s*$/;

/** What was left over, laid at the end of its cut while it is written: millimetres; the workshop reads the rest. */
export function leftover() {
    const millimetres = (text) => (MILLIMETRES.test(text) ? Number.parseFloat(text.replace(',', '.')) : null);
    const field = (root, name) => root.querySelector(`[name="${name}"]`);

    return {
        laid() {
            for (const bar of this.$root.querySelectorAll('.log-bar')) {
                const { of, longest } = bar.dataset;
                const cut = millimetres(field(this.$root, `cut[${of}]`).value);
                const left = millimetres(field(this.$root, `left[${of}]`).value);
                const share = (mm) => `${(100 * mm) / Number(longest)}%`;
                const isSeen = cut !== null && left !== null && left <= cut;
                const mark = bar.querySelector('.log-left');
                mark.setAttribute('x', isSeen ? share(cut - left) : '0');
                mark.setAttribute('width', isSeen ? share(left) : '0');
            }
        },
    };
}
