@use('App\View\Desk')
@use('Hebra\Core\Bead\Bead')
{{-- What is done with several runs of beads at once; the boxes that choose them stand beside each in the line. --}}
<form id="several" class="several" method="post" action="{{ $changes }}" hx-post="{{ $changes }}" x-data="several" aria-label="All that are chosen">
    @csrf
    @include('fragments.where', ['desk' => $desk, 'then' => []])
    <strong class="figure" role="status" x-text="words">The chosen ones</strong>
    <span class="bar">
        <button type="submit" class="tool" name="do" value="beads.count -1" aria-label="One fewer of each">−</button>
        <button type="submit" class="tool" name="do" value="beads.count +1" aria-label="One more of each">+</button>
        <button type="submit" class="tool" name="do" value="beads.move -1" aria-label="All up">↑</button>
        <button type="submit" class="tool" name="do" value="beads.move +1" aria-label="All down">↓</button>
        <button type="submit" class="tool" name="do" value="beads.copy">copy</button>
        <button type="submit" class="tool" name="do" value="beads.mirror">mirror</button>
        <button type="submit" class="tool" name="do" value="beads.reverse">turn round</button>
        <button type="submit" class="tool" name="do" value="beads.remove">take off</button>
    </span>
    <span class="bar"><label for="several-bead" class="quiet small">swap for</label><select class="in is-text" id="several-bead" name="bead">
        @foreach ($desk->tray() as $bead)<option value="{{ Desk::line($bead) }}">{{ $bead->words() }}</option>@endforeach
    </select><button type="submit" class="tool" name="do" value="beads.swap">swap</button></span>
    <span class="bar"><label for="several-colour" class="quiet small">colour</label><select class="in is-text" id="several-colour" name="colour">
        @foreach (Bead::COLOURS as $colour)<option>{{ $colour }}</option>@endforeach
    </select><button type="submit" class="tool" name="do" value="beads.colour">recolour</button></span>
    <span class="bar"><button type="button" class="word" id="several-alike" x-on:click="alike" x-cloak>and all alike</button>
        <button type="button" class="word" id="several-leave" x-on:click="leave" x-cloak>none</button></span>
    @if ($problem)@foreach (['chosen', 'colour'] as $field)<x-problem :for="$field" :problem="$problem" />@endforeach @endif
</form>
