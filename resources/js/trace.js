// The outline of a bought part taken from a photo: the photo never leaves the browser, only the points set on it do.
const MOST_BYTES = 20 * 1024 * 1024;
const MOST_POINTS = 200;
const ROOM = 480;
const STEP = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] };

export const trace = () => ({
    points: [],
    at: [0, 0],
    wide: 0,
    high: 0,
    said: '',
    get isOpen() {
        return this.wide > 0;
    },
    get isEmpty() {
        return this.points.length === 0;
    },
    get isTooFew() {
        return this.points.length < 3;
    },
    get outline() {
        return this.points.length === 0 ? '' : `M${this.points.map((point) => point.join(' ')).join('L')}${this.points.length > 2 ? 'Z' : ''}`;
    },
    get dots() {
        return this.points.map(([x, y]) => `M${x - 3} ${y}a3 3 0 1 0 6 0a3 3 0 1 0 -6 0`).join('');
    },
    get cross() {
        const [x, y] = this.at;
        return `M${x - 8} ${y}h16M${x} ${y - 8}v16`;
    },
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
    set() {
        const last = this.points[this.points.length - 1];
        if (last && last[0] === this.at[0] && last[1] === this.at[1]) {
            return;
        }
        if (this.points.length === MOST_POINTS) {
            this.said = `${MOST_POINTS} points are enough for an outline: use it, or take some back.`;
            return;
        }
        this.points = [...this.points, [...this.at]];
        this.said = '';
    },
    back() {
        this.points = this.points.slice(0, -1);
    },
    use() {
        const field = document.getElementById(this.$root.dataset.field);
        field.value = this.outline;
        field.form.requestSubmit();
    },
});
