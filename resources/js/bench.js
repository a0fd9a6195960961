/** The making: the screen stays awake, and a digit sets the count. */
export function bench() {
    return {
        lock: null,

        async init() {
            this.light();
            try {
                this.lock = await navigator.wakeLock?.request('screen');
            } catch {
                // Refused on battery saving or in a hidden tab: the work goes on, the screen may sleep.
            }
        },

        destroy() {
            this.lock?.release();
        },

        light() {
            const marks = (this.$root.dataset.marks ?? '').split(' ').filter(Boolean);
            const desk = this.$root.closest('#desk');
            desk.classList.toggle('has-lit', marks.length > 0);
            for (const mark of marks) {
                for (const one of desk.querySelectorAll(`[data-mark="${CSS.escape(mark)}"]`)) {
                    one.classList.add('is-lit');
                }
            }
        },

        digit(event) {
            const tally = this.$refs.counted;
            if (!tally || !/^[1-9]$/.test(event.key) || event.ctrlKey || event.altKey || event.metaKey) {
                return;
            }
            tally.value = event.key;
            tally.form.requestSubmit();
        },
    };
}
