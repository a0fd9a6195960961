<section>
    <p class="font-title text-[clamp(1.7rem,4vw,2.9rem)] leading-[1.12] font-semibold max-w-2xl text-balance">Plan wire jewelry before a single cut. Know what every piece took.</p>
    <ul class="mt-6 grid gap-2 max-w-xl text-lg">
        <li>Lay out the beads; see which wire goes through them.</li>
        <li>Every cut with its reason, its bends marked, printed 1 : 1.</li>
        <li>Steps that never close a loop before it is hooked on.</li>
        <li>The metal in the book, to the milligram.</li>
    </ul>
    <div class="mt-8 scrolls">@include('svg.strip', ['strip' => \App\View\Welcome::strip()])</div>
</section>
