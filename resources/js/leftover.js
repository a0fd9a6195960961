const MILLIMETRES = /^\s*\d+([.,]\d+)?\s*(mm)?\s*$/;

/** Several ends are added: 12 + 11.5. Null of what only the workshop can read. */
export const millimetres = (text) => {
    const parts = text.split('+');
    return parts.every((part) => MILLIMETRES.test(part))
        ? parts.reduce((sum, part) => sum + Number.parseFloat(part.replace(',', '.')), 0)
        : null;
};

const grams = (mg) => `${(mg / 1000).toFixed(2)} g`;

/**
 * What was left over, laid at the end of its cut while it is written or pulled, with what that comes to; the needle of
 * the scale follows what is weighed. Millimetres; the workshop reads the rest.
 */
export function leftover() {
    return {
        init() {
            for (const row of this.rows()) {
                row.querySelector('.log-bar')?.addEventListener('pointerdown', (event) => this.pull(row, event));
            }
        },
        rows() {
            return [...this.$root.querySelectorAll('.left-laid')];
        },
        field(name) {
            return this.$root.querySelector(`[name="${name}"]`);
        },
        laid() {
            const sums = { metal: 0, jar: 0 };
            this.rows().forEach((row) => this.lay(row, sums));
            for (const said of this.$root.querySelectorAll('[data-sum]')) {
                said.textContent = grams(sums[said.dataset.sum]);
            }
            this.weigh();
        },
        lay(row, sums) {
            const { of, long, mg, keep, trim, booked } = row.dataset;
            const bar = row.querySelector('.log-bar');
            if (!bar) {
                const [net, scrap] = booked.split(' ').map(Number);
                sums.metal += net;
                sums.jar += scrap;
                return;
            }
            const written = this.field(`left[${of}]`);
            const cut = millimetres(this.field(`cut[${of}]`).value);
            const left = millimetres(written.value);
            const isSeen = cut !== null && left !== null && left <= cut;
            const mark = bar.querySelector('.log-left');
            mark.setAttribute('x', isSeen ? `${(100 * (cut - left)) / long}%` : '0');
            mark.setAttribute('width', isSeen ? `${(100 * left) / long}%` : '0');
            const rest = isSeen ? left : Number.parseFloat(written.placeholder) || 0;
            const kept = millimetres(this.field(`kept[${of}]`)?.value ?? '') ?? (rest >= Number(keep) ? rest : 0);
            sums.metal += mg * ((cut ?? 0) - rest);
            sums.jar += mg * (rest - kept) + Number(trim);
        },
        weigh() {
            const weight = Number.parseFloat(this.field('weight').value.replace(',', '.'));
            const { end, swing } = this.$root.dataset;
            const needle = this.$root.querySelector('[data-needle]');
            needle.dataset.foretold ??= needle.getAttribute('transform');
            const angle = Number(swing) * (2 * Math.min(1.05, weight / Number(end)) - 1);
            needle.setAttribute('transform', weight > 0 ? `rotate(${angle} 150 150)` : needle.dataset.foretold);
        },
        /** The end of what stayed follows the pointer, in half millimetres. */
        pull(row, event) {
            const bar = row.querySelector('.log-bar');
            const box = bar.getBoundingClientRect();
            const { of, long } = row.dataset;
            const to = (at) => {
                const cut = millimetres(this.field(`cut[${of}]`).value) ?? 0;
                const stayed = Math.max(0, Math.min(cut, ((at.clientX - box.left) / box.width) * long));
                this.field(`left[${of}]`).value = String(Math.round(2 * (cut - stayed)) / 2);
                this.laid();
            };
            bar.setPointerCapture(event.pointerId);
            bar.onpointermove = to;
            bar.onpointerup = () => { bar.onpointermove = null; };
            to(event);
        },
    };
}
