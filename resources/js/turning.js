/** The piece in space, turned by pointer, finger or arrow keys. Its library is fetched only when it is asked for. */
const STEP = Math.PI / 18;
let wanted = false;
let angles = null;

export function turning() {
    return {
        stop: () => {},
        ends: new AbortController(),
        place: /** @type {any} */ (null),

        init() {
            this.place = this.$root;
            this.place.querySelector('.turns').hidden = false;
            // Who asks for a flat view wants that.
            const { signal } = this.ends;
            this.place.querySelectorAll('.sides a').forEach((side) => {
                side.addEventListener('click', () => { wanted = false; }, { signal });
            });
            if (wanted) {
                this.begin();
            }
        },

        destroy() {
            this.stop();
            this.ends.abort();
        },

        toggle() {
            wanted = !wanted;
            wanted ? this.begin() : this.end();
        },

        async begin() {
            const room = this.place.querySelector('.space');
            const button = this.place.querySelector('.turns');
            button.setAttribute('aria-pressed', 'true');
            this.place.classList.add('is-turning');
            room.hidden = false;
            room.dataset.state = 'waiting';
            try {
                const [space, answer] = await Promise.all([import('./space.js'), fetch(room.dataset.scene)]);
                if (!answer.ok) {
                    throw new Error(String(answer.status));
                }
                this.stop = await space.show(room, await answer.arrayBuffer(), angles, (now) => { angles = now; }, STEP);
                room.dataset.state = 'shown';
            } catch {
                room.dataset.state = 'failed';
                room.textContent = 'It cannot be turned here. The front, the side and the back can be seen.';
            }
        },

        end() {
            this.stop();
            this.stop = () => {};
            const room = this.place.querySelector('.space');
            room.hidden = true;
            room.textContent = '';
            this.place.classList.remove('is-turning');
            this.place.querySelector('.turns').setAttribute('aria-pressed', 'false');
        },
    };
}
