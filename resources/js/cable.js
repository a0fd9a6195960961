// A scale on a cable: the last line that it sent is kept for the workshop, which reads it.
const NO_CABLE = 'This browser reads no cable. Type what the scale shows under Correct, in Stock.';
const LOST = 'The cable is loose, or another program reads the scale: connect it again.';
const BAUD = 9600;
const LONGEST = 120;

export const cable = () => ({
    said: '',
    isOn: false,
    get isOff() {
        return !this.isOn;
    },
    async connect() {
        if (!navigator.serial) {
            this.said = NO_CABLE;
            return;
        }
        // Nobody chose a scale.
        const port = await navigator.serial.requestPort().catch(() => null);
        if (port === null) {
            return;
        }
        this.said = '';
        try {
            await port.open({ baudRate: BAUD });
            this.isOn = true;
            await this.read(port.readable.getReader(), new TextDecoder());
        } catch {
            // Said below: it is the same for whoever weighs.
        }
        [this.isOn, this.said] = [false, LOST];
        this.keep('');
    },
    async read(reader, decoder, rest = '') {
        for (;;) {
            const { value, done } = await reader.read();
            if (done) {
                return;
            }
            const lines = (rest + decoder.decode(value, { stream: true })).split(/[\r\n]+/);
            rest = (lines.pop() ?? '').slice(-LONGEST);
            const last = lines.filter((line) => line.trim() !== '').pop();
            if (last !== undefined) {
                this.keep(last.slice(0, LONGEST));
            }
        }
    },
    keep(line) {
        this.$refs.line.value = line;
    },
});
