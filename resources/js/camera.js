// A photo taken here and now, with the camera of this device; it goes where a chosen photo would.
const NO_CAMERA = 'No camera answers here, or it may not be used: choose a photo.';

/** What a sheet with a photo on it adds: `show(photo)` and `refuse(sentence)` are the sheet's own. */
export const camera = () => ({
    stream: /** @type {MediaStream | null} */ (null),
    async look() {
        this.said = '';
        this.stream = await navigator.mediaDevices?.getUserMedia({ video: { facingMode: 'environment' } })
            .catch(() => null) ?? null;
        if (this.stream === null) {
            this.refuse(NO_CAMERA);
            return;
        }
        this.$refs.view.srcObject = this.stream;
        await this.$refs.view.play();
    },
    async snap() {
        const photo = await createImageBitmap(this.$refs.view).catch(() => null);
        this.away();
        photo === null ? this.refuse(NO_CAMERA) : this.show(photo);
    },
    away() {
        this.stream?.getTracks().forEach((track) => track.stop());
        this.stream = null;
    },
});
