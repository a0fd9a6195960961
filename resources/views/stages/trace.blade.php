{{-- An outline taken from a photo, point by point. The photo stays in the browser. --}}
<div class="trace" x-data="trace" data-field="{{ $id }}">
    <label class="tool">Trace a photo<input class="sr-only" type="file" accept="image/*" id="trace-photo" x-on:change="load"></label>
    <p class="problem" role="alert" x-show="said" x-text="said" x-cloak></p>
    <div x-show="isOpen" x-cloak>
        <p class="small quiet" id="trace-how">Tap round the outline, top first. Keys: arrows move the cross, with Shift farther, Enter sets a point, Backspace takes it back. Then give its length as it measures: its width follows.</p>
        <div class="trace-sheet">
            <canvas x-ref="photo" aria-hidden="true"></canvas>
            <svg x-ref="sheet" id="trace-sheet" tabindex="0" role="application" aria-label="The photo, to set points on" aria-describedby="trace-how" x-on:click="tap" x-on:keydown="key">
                <path class="trace-outline" x-bind:d="outline"/><path class="trace-dots" x-bind:d="dots"/><path class="trace-cross" x-bind:d="cross"/>
            </svg>
        </div>
        <div class="bar small">
            <button type="button" class="tool" id="trace-back" x-on:click="back" x-bind:disabled="isEmpty">take back a point</button>
            <button type="button" class="may" id="trace-use" x-on:click="use" x-bind:disabled="isTooFew">Use this outline</button>
        </div>
    </div>
</div>
