// The way of a free wire is said on at the caret: by a tap on what is offered, or on the drawing. What is said while the
// workshop still answers the last waits for its turn.
const waiting = [];
let isSent = false;
let open = null;

function answered() {
    isSent = false;
    if (waiting.length > 0) {
        open?.say(waiting.shift());
    }
}

// Whether the answer is on the page, or there was none. What is only looked up, such as a price, answers nothing.
const isChange = (event) => event.detail.requestConfig?.verb !== 'get';
document.addEventListener('htmx:afterSettle', (event) => isChange(event) && answered());
document.addEventListener('htmx:afterRequest', (event) => event.detail.successful || (isChange(event) && answered()));

export const course = () => ({
    said: /** @type {(event: any) => void} */ (() => {}),
    init() {
        open = this;
        this.said = (event) => this.point(event);
        document.addEventListener('click', this.said);
        document.documentElement.classList.add('is-pointing');
    },
    destroy() {
        document.removeEventListener('click', this.said);
        document.documentElement.classList.remove('is-pointing');
    },
    put(event) {
        this.say(event.currentTarget.dataset.move);
    },
    point(event) {
        const mark = event.target.closest?.('svg [data-mark]')?.dataset.mark ?? '';
        const { part, taps } = JSON.parse(this.$root.dataset.taps);
        const move = mark.startsWith(`${part}:`) ? taps[mark.slice(part.length + 1)] : undefined;
        if (move) {
            this.say(move);
        }
    },
    // After the move that the caret stands in; at the end where it stands nowhere.
    say(move) {
        if (isSent) {
            waiting.push(move);
            return;
        }
        const text = this.$refs.text;
        const all = text.value;
        const caret = document.activeElement === text ? text.selectionStart : all.length;
        const next = all.slice(caret).search(/[·;,|\n]/u);
        const at = next < 0 ? all.length : caret + next;
        const before = all.slice(0, at).trimEnd();
        const parted = /[·;,|:]$/u.test(before) || before === '' ? ' ' : ' · ';
        const after = all.slice(at);
        text.value = `${before}${parted}${move}${/^[·;,|]/u.test(after) ? ' ' : ''}${after}`.trimStart();
        isSent = document.documentElement.classList.contains('js');
        text.dispatchEvent(new Event('change', { bubbles: true }));
    },
});
