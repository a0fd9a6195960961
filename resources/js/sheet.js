// A photo that is looked at in the browser and never leaves it: a cross is moved over it by pointer or keys, and sets points.
const MOST_BYTES = 20 * 1024 * 1024;
const ROOM = 480;
const STEP = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] };

/** What a sheet adds: `set()` takes the place of the cross, `back()` the last one off again. */
export const photoSheet = () => ({
    points: /** @type {number[][]} */ ([]),
    at: [0, 0],
    wide: 0,
    high: 0,
    said: '',
    async load(event) {
        const file = event.target.files[0];
        if (!file) {
            return;
        }
        if (file.size > MOST_BYTES) {
            this.refuse(`The photo is ${Math.ceil(file.size / 1024 / 1024)} MB: give one of at most 20 MB.`);
            return;
        }
        const photo = await createImageBitmap(file).catch(() => null);
        if (!photo) {
            this.refuse(`“${file.name}” is no photo that can be read here: give a JPEG or PNG.`);
            return;
        }
        this.show(photo);
    },
    refuse(sentence) {
        this.said = sentence;
        this.wide = 0;
    },
    show(photo) {
        const scale = Math.min(1, ROOM / Math.max(photo.width, photo.height));
        [this.wide, this.high] = [Math.round(photo.width * scale), Math.round(photo.height * scale)];
        const { photo: canvas, sheet } = this.$refs;
        [canvas.width, canvas.height] = [this.wide, this.high];
        canvas.getContext('2d').drawImage(photo, 0, 0, this.wide, this.high);
        sheet.setAttribute('viewBox', `0 0 ${this.wide} ${this.high}`);
        [this.points, this.at, this.said] = [[], [Math.round(this.wide / 2), Math.round(this.high / 2)], ''];
        this.$nextTick(() => sheet.focus());
    },
    tap(event) {
        const box = this.$refs.sheet.getBoundingClientRect();
        this.at = [
            Math.round((event.clientX - box.left) / box.width * this.wide),
            Math.round((event.clientY - box.top) / box.height * this.high),
        ];
        this.set();
    },
    key(event) {
        const step = STEP[event.key];
        if (step) {
            const by = event.shiftKey ? 10 : 2;
            const within = (value, most) => Math.max(0, Math.min(most, value));
            this.at = [within(this.at[0] + by * step[0], this.wide), within(this.at[1] + by * step[1], this.high)];
        } else if (event.key === 'Enter' || event.key === ' ') {
            this.set();
        } else if (event.key === 'Backspace') {
            this.back();
        } else {
            return;
        }
        event.preventDefault();
    },
    back() {
        this.points = this.points.slice(0, -1);
    },
    isThere() {
        const last = this.points[this.points.length - 1];
        return last && last[0] === this.at[0] && last[1] === this.at[1];
    },
});

/** Round each point, as a path. */
export const dotsOf = (points) => points.map(([x, y]) => `M${x - 3} ${y}a3 3 0 1 0 6 0a3 3 0 1 0 -6 0`).join('');

/** @param {number[]} at */
export const crossOf = ([x, y]) => `M${x - 8} ${y}h16M${x} ${y - 8}v16`;
