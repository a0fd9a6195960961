{{-- A length read off a photo with a card or a ruler in it; the photo stays in the browser. $field: where it goes. --}}
<details class="measure" x-data="measure" data-field="{{ $field }}">
    <summary>Measure on a photo</summary>
    <p class="small quiet mt-1">Lay a bank card or a ruler flat beside it, the camera straight above. The photo stays on this device.</p>
    <div class="bar mt-1">
        <label class="tool">Choose a photo<input class="sr-only" type="file" accept="image/*" id="measure-photo"
            x-on:change="load"></label>
        @if (auth()->user()?->workshop->has_camera)<button type="button" class="tool" id="measure-camera" x-on:click="look"
            x-show="isAway">Use the camera</button>@endif
        <label class="sr-only" for="measure-known">What you know</label>
        <select class="in is-text !w-auto" id="measure-known" x-model="known">
            <option value="85.6">a card, its long edge: 85.6 mm</option><option
            value="53.98">a card, its short edge: 54 mm</option><option value="">another length, mm</option></select>
        <span x-show="isOwn" x-cloak><label class="sr-only" for="measure-own">That length in millimetres</label><input
            class="in !w-24" id="measure-own" x-model="own" inputmode="decimal" autocomplete="off" placeholder="50"></span>
    </div>
    @if (auth()->user()?->workshop->has_camera)<div x-show="isLooking" x-cloak>
        <video x-ref="view" class="measure-view" muted playsinline aria-label="What the camera sees"></video>
        <p class="bar mt-1"><button type="button" class="may" id="measure-snap" x-on:click="snap">Take it</button>
            <button type="button" class="tool" x-on:click="away">put it away</button></p></div>@endif
    <p class="problem" role="alert" x-show="said" x-text="said" x-cloak></p>
    <div x-show="isOpen" x-cloak>
        <p class="mt-1" id="measure-how" aria-live="polite"><strong x-text="asks"></strong>
            <span class="small quiet">Arrows move the cross, Enter sets it, Backspace takes it back.</span></p>
        <div class="trace-sheet">
            <canvas x-ref="photo" aria-hidden="true"></canvas>
            <svg x-ref="sheet" id="measure-sheet" tabindex="0" role="application"
                aria-label="The photo, to measure on" aria-describedby="measure-how" x-on:click="tap" x-on:keydown="key">
                <path class="measure-line" x-bind:d="lines"/><path class="trace-dots" x-bind:d="dots"/>
                    <path class="trace-cross" x-bind:d="cross"/>
            </svg>
        </div>
        <p class="bar mt-1"><strong class="figure" id="measure-says" x-text="says" aria-live="polite"></strong>
            <button type="button" class="tool" x-on:click="back" x-bind:disabled="isEmpty">take back a point</button>
            <button type="button" class="may" id="measure-use" x-on:click="use" x-show="isFound"
                x-cloak>Write it down</button></p>
    </div>
</details>
