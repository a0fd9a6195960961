/** A sheet for the printer. */
export function leaf() {
    return {
        print() {
            window.print();
        },
    };
}
