/** A cut dragged onto another lot's bar is taken from that lot: the same as choosing it in the cut's own list. */
export function cutting() {
    return {
        pin: '',

        lift() {
            this.pin = this.$el.dataset.pin;
            this.$event.dataTransfer.effectAllowed = 'move';
            this.$event.dataTransfer.setData('text/plain', this.pin);
        },

        select() {
            const select = /** @type {HTMLSelectElement | null} */ (document.getElementById(this.pin));
            const lot = this.$el.dataset.lot;
            const option = lot ? [...(select?.options ?? [])].find((one) => one.value === lot) : undefined;
            return option ? select : null;
        },

        over() {
            if (this.select()) {
                this.$event.preventDefault();
                this.$el.classList.add('is-over');
            }
        },

        out() {
            this.$el.classList.remove('is-over');
        },

        drop() {
            const select = this.select();
            this.out();
            if (select) {
                this.$event.preventDefault();
                select.value = this.$el.dataset.lot;
                select.dispatchEvent(new Event('change', { bubbles: true }));
            }
        },
    };
}
