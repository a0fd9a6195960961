/** A password is shown while its maker wants to see it. */
export function password() {
    return {
        words: 'show',
        toggle() {
            const isShown = this.$refs.field.type === 'text';
            this.$refs.field.type = isShown ? 'password' : 'text';
            this.words = isShown ? 'show' : 'hide';
        },
    };
}
