import { until } from '../until.js';
import { rests, worked } from './clock.js';
import { $, say } from './page.js';

/** The step as the page shows it. */
export const shown = {
    light(marks) {
        const desk = this.$root.closest('#desk');
        desk.classList.toggle('has-lit', marks.length > 0);
        for (const one of desk.querySelectorAll('[data-mark]')) {
            one.classList.toggle('is-lit', marks.includes(one.dataset.mark));
        }
    },

    /** The whole piece as far as it has come: parts that are not begun are faint. */
    fade(parts) {
        for (const one of /** @type {NodeListOf<HTMLElement>} */ (document.querySelectorAll('#desk .drawing [data-mark]'))) {
            one.classList.toggle('is-unmade', parts.includes((one.dataset.mark ?? '').split(':')[0]));
        }
    },

    showClock() {
        const shown = $('#step-clock');
        if (shown) {
            const seconds = Math.floor(worked() / 1000);
            shown.hidden = false;
            shown.textContent = `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}${rests() ? ', resting' : ''} ·`;
        }
    },

    showUntil() {
        if (this.state.foretold) {
            const [about, range] = until(this.state);
            say('#step-until', about);
            say('#step-range', range);
        }
    },

    /** The step as it stands; where only its count changed, only that. */
    show(isCount = false) {
        const [step, counted] = [this.step(), this.state.counted];
        const count = step?.count ?? 0;
        if (!isCount) {
            this.showStep(step);
        }
        $('#step-count').hidden = count === 0;
        const shown = $('#step-count [data-count]');
        shown.textContent = shown.dataset.count = String(counted);
        $('#step-tally').replaceChildren(...Array.from({ length: Math.min(60, count === 0 ? 0 : Math.max(count, counted)) }, (_, at) => Object.assign(document.createElement('span'), { className: at < counted ? 'mark is-done' : 'mark' })));
        $('#step-straighten').hidden = !(step?.straightens > 0 && counted > 0 && counted < count && counted % step.straightens === 0);
        this.showBar(step, count, counted);
        this.showUntil();
        this.showAway();
    },

    showStep(step) {
        for (const one of /** @type {NodeListOf<HTMLElement>} */ (document.querySelectorAll('#desk .of-workshop'))) {
            one.hidden = true;
        }
        say('#step-whose', step?.whose ?? '');
        say('#step-place', `step ${Math.min(this.state.step + 1, this.state.total)} of ${this.state.total}`);
        $('#step-progress').value = this.state.step;
        const isAll = step === undefined && this.state.step >= this.state.total;
        say('#step-title', step?.title ?? (isAll ? 'That was the last step' : 'One moment'));
        say('#step-text', step?.text ?? (isAll ? 'Next it is looked over, weighed and logged.' : 'The page carries forty steps, and you have done them: the rest comes when the workshop is back.'));
        const picture = $('#step-picture');
        picture.hidden = step === undefined;
        if (step !== undefined) {
            $('#step-picture-large').srcset = `${step.picture}&large=1`;
            picture.src = step.picture;
        }
        this.fetchNext();
        say('#step-tool', step?.tool ? `With: ${step.tool}` : '');
        $('#step-cautions').replaceChildren(...(step?.cautions ?? []).map((words) => Object.assign(document.createElement('p'), { className: 'caution', textContent: words })));
        say('#step-expected', String(step?.count ?? 0));
        say('#step-counted', step?.counted ?? '');
        for (const strip of /** @type {NodeListOf<HTMLElement>} */ (document.querySelectorAll('#desk .bench-strip'))) {
            strip.hidden = strip.dataset.cut !== step?.strip;
        }
        document.querySelector('#desk .troubles')?.classList.toggle('is-hard', step?.isHard === true);
        this.light(step?.marks ?? []);
        this.fade(step?.unmade ?? []);
        this.showAhead();
    },

    /** The next three, small: what hands will want to lie ready for. */
    showAhead() {
        $('#step-ahead')?.replaceChildren(...this.state.ahead.slice(1, 4).map((step) => {
            const one = document.createElement('li');
            const picture = Object.assign(new Image(), { src: step.picture, alt: '' });
            one.append(picture, Object.assign(document.createElement('span'), { textContent: step.title }));

            return one;
        }));
    },

    /** The pictures of the next steps are there before they are asked for. */
    fetchNext() {
        const large = matchMedia($('#step-picture-large')?.media ?? 'all').matches ? '&large=1' : '';
        for (const step of this.state.ahead.slice(1, 11)) {
            new Image().src = step.picture + large;
        }
    },

    showBar(step, count, counted) {
        const isCounted = counted >= count;
        const asks = isCounted ? (step?.asks ?? '') : '';
        $('#step-asks').hidden = asks === '';
        $('#step-asks strong').textContent = asks;
        const go = $('#go-on');
        go.hidden = step === undefined;
        go.dataset.key = asks ? 'y' : 'Space | PageDown | ArrowRight';
        go.firstChild.textContent = (!isCounted ? 'Count one' : asks ? 'Yes, it is hooked on' : 'Done, next') + ' ';
        go.querySelector('kbd').textContent = asks ? 'Y' : 'space';
        $('#all-form').hidden = step === undefined || isCounted;
        $('#all-done').firstChild.textContent = step?.counted === 'wraps' && counted > 0 ? `Stop at ${counted} ${counted === 1 ? 'wrap' : 'wraps'} ` : `All ${count} are done `;
        $('#more-form').hidden = step === undefined || !isCounted || step.counted !== 'wraps';
        $('#back-form').hidden = this.state.step === 0;
        if (!document.activeElement || document.activeElement === document.body) {
            go.focus();
        }
    },

    showAway() {
        $('#away').hidden = !this.isAway;
        const kept = this.state.queue.length;
        say('#away-kept', kept === 0 ? 'what you do is' : `${kept} ${kept === 1 ? 'move is' : 'moves are'}`);
        $('.bench-more').hidden = this.isAway;
        if (this.isAway) {
            $('#offline')?.setAttribute('hidden', '');
        }
    },
};
